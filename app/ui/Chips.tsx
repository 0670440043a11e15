import { Pressable, Text, View } from 'react-native';

export interface Chip {
  words: string;
  /** What a screen reader says, where the words alone are too short. */
  label?: string;
  chosen: boolean;
  onPress: () => void;
}

/** What can be said at a glance: a tap says it, a second tap takes it back. */
export function Chips({ label, chips }: { label: string; chips: readonly Chip[] }) {
  return (
    <View role="group" aria-label={label} className="flex-row flex-wrap gap-2">
      {chips.map(({ words, label: spokenLabel, chosen, onPress }) => (
        <Pressable
          key={words}
          role="button"
          aria-label={spokenLabel}
          aria-pressed={chosen}
          onPress={onPress}
          className={`min-h-[48px] max-w-full justify-center rounded-md border border-ink px-3 ${chosen ? 'bg-ink' : 'bg-sheet'}`}
        >
          <Text className={`font-text text-base ${chosen ? 'font-semibold text-paper' : 'text-ink'}`}>
            {words}
          </Text>
        </Pressable>
      ))}
    </View>
  );
}
