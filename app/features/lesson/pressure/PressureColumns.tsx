import {
  lackingColumns,
  PLACES_IN,
  PRESSURE_COLUMNS,
  TIMES_IN,
  type PressureMapping,
} from '@pedastance/core/balance';
import { View } from 'react-native';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Select } from '../../../ui/Select';
import { Quiet } from '../../../ui/Words';
import { messages } from './PressureFile.messages';

const NOT_THERE = '';

/** Which column of a recording is which, where its names do not tell; read once every column is there that has to be. */
export function PressureColumns({
  header,
  mapping,
  onChange,
  onRead,
}: {
  header: readonly string[];
  mapping: PressureMapping;
  onChange: (mapping: PressureMapping) => void;
  onRead: () => void;
}) {
  const options = [
    { value: NOT_THERE, words: messages.notThere },
    ...header.map((name, at) => ({ value: String(at), words: name.trim() || messages.column(at + 1) })),
  ];
  const lacking = lackingColumns(mapping);
  return (
    <View className="gap-3 border-l-4 border-lagoon pl-3" testID="pressure-columns">
      <Quiet>{messages.sayColumns}</Quiet>
      {PRESSURE_COLUMNS.map((column) => (
        <Select
          key={column}
          label={messages.columns[column]}
          options={options}
          value={mapping.at[column] === undefined ? NOT_THERE : String(mapping.at[column])}
          onChange={(chosen) => {
            const { [column]: _before, ...others } = mapping.at;
            onChange({
              ...mapping,
              at: chosen === NOT_THERE ? others : { ...others, [column]: Number(chosen) },
            });
          }}
        />
      ))}
      <Choice
        label={messages.timeIn}
        options={TIMES_IN.map((value) => ({ value, words: messages.times[value] }))}
        value={mapping.time}
        onChange={(time) => onChange({ ...mapping, time })}
      />
      <Choice
        label={messages.placesIn}
        options={PLACES_IN.map((value) => ({ value, words: messages.places[value] }))}
        value={mapping.places}
        onChange={(places) => onChange({ ...mapping, places })}
      />
      {lacking.length > 0 ? (
        <Quiet>{messages.lacking(lacking.map((column) => messages.columns[column].toLowerCase()))}</Quiet>
      ) : (
        <View className="flex-row">
          <Button words={messages.readIt} onPress={onRead} />
        </View>
      )}
    </View>
  );
}
