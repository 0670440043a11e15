import { useId } from 'react';
import { View } from 'react-native';
import { Quiet } from './Words';

interface SelectProps<Value extends string> {
  label: string;
  options: readonly { value: Value; words: string }[];
  value: Value;
  onChange: (value: Value) => void;
}

/** One of many: the device's own list. */
export function Select<Value extends string>({ label, options, value, onChange }: SelectProps<Value>) {
  const id = useId();
  return (
    <View className="gap-1">
      <label htmlFor={id}>
        <Quiet>{label}</Quiet>
      </label>
      <select
        id={id}
        className="select"
        value={value}
        onChange={(event) => onChange(event.target.value as Value)}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.words}
          </option>
        ))}
      </select>
    </View>
  );
}
