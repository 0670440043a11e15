import DeleteIcon from 'lucide-react-native/icons/delete';
import { useEffect, useRef } from 'react';
import { Pressable, Text, View } from 'react-native';
import { ON_DESK } from '../../ui/colours';
import { messages } from './Keypad.messages';

interface KeypadProps {
  /** Whether figures have a decimal point. */
  point: boolean;
  nextWords: string;
  onKey: (key: string) => void;
  onNext: () => void;
  onBack: () => void;
  onSkip: () => void;
}

interface KeyProps {
  label: string;
  words?: string;
  onPress: () => void;
  className?: string;
  disabled?: boolean;
}

function Key({ label, words = label, onPress, className = '', disabled = false }: KeyProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={disabled}
      aria-disabled={disabled}
      onPress={onPress}
      className={`min-h-[48px] flex-1 items-center justify-center rounded-md bg-desk-raised px-[4px] ${disabled ? 'opacity-40' : ''} ${className}`}
    >
      {words === '⌫' ? (
        <DeleteIcon color={ON_DESK} size={24} />
      ) : (
        <Text
          className={`text-center font-text font-semibold text-on-desk ${words.length > 1 ? 'text-[16px] leading-[20px]' : 'text-[24px]'}`}
        >
          {words}
        </Text>
      )}
    </Pressable>
  );
}

/** On a desk the keys of the keyboard do the same; Enter moves on. */
function useKeyboard(keys: Pick<KeypadProps, 'onKey' | 'onNext' | 'onBack' | 'point'>): void {
  const newest = useRef(keys);
  newest.current = keys;
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const { target } = event;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) return;
      const { onKey, onNext, onBack, point } = newest.current;
      if (/^\d$/.test(event.key)) onKey(event.key);
      else if (point && (event.key === '.' || event.key === ',')) onKey('.');
      else if (event.key === 'Backspace') onKey('⌫');
      else if (event.key === 'Enter' || event.key === 'ArrowDown') onNext();
      else if (event.key === 'ArrowUp') onBack();
      else return;
      event.preventDefault();
    };
    addEventListener('keydown', pressed);
    return () => removeEventListener('keydown', pressed);
  }, []);
}

/**
 * Keys for a thumb, so that the places stay in view: no keyboard comes up over them. Their letters are large already and
 * do not grow with the device's text, or the keys would push the form off the screen.
 */
export function Keypad({ point, nextWords, onKey, onNext, onBack, onSkip }: KeypadProps) {
  useKeyboard({ point, onKey, onNext, onBack });
  const digit = (key: string) => <Key key={key} label={key} onPress={() => onKey(key)} />;
  return (
    <View className="flex-row gap-[8px]">
      <View className="flex-[3] gap-[8px]">
        {['123', '456', '789'].map((row) => (
          <View key={row} className="flex-row gap-[8px]">
            {[...row].map(digit)}
          </View>
        ))}
        <View className="flex-row gap-[8px]">
          <Key label={messages.point} words="." disabled={!point} onPress={() => onKey('.')} />
          {digit('0')}
          <Key label={messages.deleteTheLastDigit} words="⌫" onPress={() => onKey('⌫')} />
        </View>
      </View>
      <View className="flex-1 gap-[8px]">
        <Key label={messages.notMeasured} onPress={onSkip} className="flex-none" />
        <Key label={messages.back} onPress={onBack} className="flex-none" />
        <Pressable
          role="button"
          aria-label={nextWords}
          onPress={onNext}
          className="min-h-[48px] flex-1 items-center justify-center rounded-md bg-on-desk"
        >
          <Text className="font-text text-[20px] font-semibold text-desk">{nextWords}</Text>
        </Pressable>
      </View>
    </View>
  );
}
