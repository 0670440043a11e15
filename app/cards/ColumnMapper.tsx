import {
  COLUMN_UNITS,
  COLUMNS,
  NEEDS,
  SIGNS,
  sourceOf,
  type Column,
  type ColumnSource,
  type FileUnit,
  type Sign,
} from '@pedastance/core/formats';
import { View } from 'react-native';
import { Select } from '../ui/Select';
import { Body } from '../ui/Words';
import { COLUMN_NAMES } from '../domain/shotColumns';
import { messages } from './ColumnMapper.messages';

const NOT_THERE = '';

interface ColumnMapperProps {
  headers: readonly string[];
  sources: readonly ColumnSource[];
  onChange: (sources: ColumnSource[]) => void;
}

/** Unit and side of a column, asked where the file does not say. */
function Details({ source, onChange }: { source: ColumnSource; onChange: (source: ColumnSource) => void }) {
  const { column, unit, sign } = source;
  if (column === 'strike' || column === 'mishit') return null;
  const needs = NEEDS[column];
  const asked = { value: NOT_THERE, words: messages.notSaidYet };
  return (
    <View className="flex-row gap-2">
      {needs.unit && (
        <View className="flex-1">
          <Select
            label={messages.isIn(COLUMN_NAMES[column])}
            options={[asked, ...COLUMN_UNITS[needs.unit].map((each) => ({ value: each, words: each }))]}
            value={unit ?? NOT_THERE}
            onChange={(next) => onChange({ ...source, unit: next === NOT_THERE ? null : (next as FileUnit) })}
          />
        </View>
      )}
      {needs.sign && (
        <View className="flex-1">
          <Select
            label={messages.whichSideIsPositive(COLUMN_NAMES[column])}
            options={[asked, ...SIGNS.map((each) => ({ value: each, words: each }))]}
            value={sign ?? NOT_THERE}
            onChange={(next) => onChange({ ...source, sign: next === NOT_THERE ? null : (next as Sign) })}
          />
        </View>
      )}
    </View>
  );
}

/** Which column of the file is which of ours, found by its name and the coach's to set right. */
export function ColumnMapper({ headers, sources, onChange }: ColumnMapperProps) {
  const set = (column: Column, source: ColumnSource | null) =>
    onChange([...sources.filter((each) => each.column !== column), ...(source ? [source] : [])]);
  return (
    <View className="gap-3" testID="column-mapper">
      {COLUMNS.map((column) => {
        const source = sources.find((each) => each.column === column);
        return (
          <View key={column} className="gap-2 border-b border-grid pb-2">
            <Select
              label={COLUMN_NAMES[column]}
              options={[
                { value: NOT_THERE, words: messages.notInThisFile },
                ...headers.map((header, at) => ({
                  value: String(at),
                  words: header.trim() === '' ? messages.column(at + 1) : header,
                })),
              ]}
              value={source ? String(source.at) : NOT_THERE}
              onChange={(at) =>
                set(column, at === NOT_THERE ? null : sourceOf(column, Number(at), headers[Number(at)]!))
              }
            />
            {source && <Details source={source} onChange={(next) => set(column, next)} />}
          </View>
        );
      })}
      {sources.length === 0 && <Body>{messages.noneOfTheColumns}</Body>}
    </View>
  );
}
