import {
  lackingColumns,
  PLACES_IN,
  PRESSURE_COLUMNS,
  TIMES_IN,
  type PressureMapping,
} from '@pedastance/core/balance';
import { View } from 'react-native';
import { ColumnSelects } from '../../../cards/ColumnSelects';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Quiet } from '../../../ui/Words';
import { messages } from './PressureFile.messages';

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
  const lacking = lackingColumns(mapping);
  return (
    <View className="gap-3 border-l-4 border-lagoon pl-3" testID="pressure-columns">
      <Quiet>{messages.sayColumns}</Quiet>
      <ColumnSelects
        columns={PRESSURE_COLUMNS}
        called={messages.columns}
        names={header.map((name, at) => name.trim() || messages.column(at + 1))}
        at={mapping.at}
        onChange={(at) => onChange({ ...mapping, at })}
      />
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
