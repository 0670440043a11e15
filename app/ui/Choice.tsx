import { Pressable, Text, View } from 'react-native';

export interface Option<Value extends string> {
  value: Value;
  words: string;
  disabled?: boolean;
}

interface ChoiceProps<Value extends string> {
  label: string;
  options: readonly Option<Value>[];
  value: Value | null;
  onChange: (value: Value) => void;
  /** On the dark desk at the bottom of a step. */
  onDesk?: boolean;
  hideLabel?: boolean;
}

/** One of a few, all in view. */
export function Choice<Value extends string>({
  label,
  options,
  value,
  onChange,
  onDesk = false,
  hideLabel = false,
}: ChoiceProps<Value>) {
  return (
    <View className="gap-1">
      {!hideLabel && (
        <Text className={`font-text text-sm ${onDesk ? 'text-on-desk-quiet' : 'text-pencil'}`}>{label}</Text>
      )}
      <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
        {options.map((option) => {
          const chosen = option.value === value;
          const rest = onDesk ? 'border-on-desk-quiet' : 'border-ink';
          const filled = onDesk ? 'bg-on-desk border-on-desk' : 'bg-ink border-ink';
          const words = onDesk ? (chosen ? 'text-desk' : 'text-on-desk') : chosen ? 'text-paper' : 'text-ink';
          return (
            <Pressable
              key={option.value}
              role="radio"
              aria-checked={chosen}
              aria-disabled={option.disabled}
              disabled={option.disabled}
              onPress={() => onChange(option.value)}
              className={`min-h-[48px] max-w-full items-center justify-center rounded-md border px-3 ${chosen ? filled : rest} ${option.disabled ? 'opacity-40' : ''}`}
            >
              <Text
                className={`font-text ${onDesk ? 'text-[16px]' : 'text-base'} ${chosen ? 'font-semibold' : ''} ${words}`}
              >
                {option.words}
              </Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
