import type { ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

type Look = 'act' | 'plain' | 'desk' | 'quiet';

const BOX: Record<Look, string> = {
  act: 'bg-lagoon',
  plain: 'border border-ink bg-paper',
  desk: 'bg-desk-raised',
  quiet: '',
};

const WORDS: Record<Look, string> = {
  act: 'text-on-lagoon',
  plain: 'text-ink',
  desk: 'text-on-desk',
  quiet: 'text-lagoon',
};

export interface ButtonProps {
  words: string;
  onPress: () => void;
  look?: Look;
  icon?: ReactNode;
  disabled?: boolean;
  /** What a screen reader says, where the words alone are too short. */
  label?: string;
  className?: string;
  testID?: string;
}

/** Something to do. At least 48 px high, for a thumb in a glove. */
export function Button({
  words,
  onPress,
  look = 'act',
  icon,
  disabled = false,
  label,
  className = '',
  testID,
}: ButtonProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      className={`min-h-[48px] max-w-full flex-row items-center justify-center gap-2 rounded-md px-4 ${BOX[look]} ${disabled ? 'opacity-50' : ''} ${className}`}
    >
      {icon}
      <Text className={`shrink font-text text-base font-semibold ${WORDS[look]}`}>{words}</Text>
    </Pressable>
  );
}

/** A button that is a picture alone; the label says what it does. */
export function IconButton({
  label,
  icon,
  onPress,
  disabled = false,
}: {
  label: string;
  icon: ReactNode;
  onPress: () => void;
  disabled?: boolean;
}) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      className={`h-12 w-12 items-center justify-center rounded-md ${disabled ? 'opacity-40' : ''}`}
    >
      <View aria-hidden>{icon}</View>
    </Pressable>
  );
}
