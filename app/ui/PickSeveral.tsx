import { Pressable, Text, View } from 'react-native';

interface PickSeveralProps<Value extends string> {
  label: string;
  options: readonly { value: Value; words: string }[];
  chosen: readonly Value[];
  onToggle: (value: Value) => void;
}

/** Several of a few, all in view. */
export function PickSeveral<Value extends string>({
  label,
  options,
  chosen,
  onToggle,
}: PickSeveralProps<Value>) {
  return (
    <View role="group" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map(({ value, words }) => {
        const on = chosen.includes(value);
        return (
          <Pressable
            key={value}
            role="checkbox"
            aria-checked={on}
            onPress={() => onToggle(value)}
            className={`min-h-[48px] max-w-full justify-center rounded-md border border-ink px-3 ${on ? 'bg-ink' : 'bg-sheet'}`}
          >
            <Text className={`font-text text-base ${on ? 'font-semibold text-paper' : 'text-ink'}`}>
              {words}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}
