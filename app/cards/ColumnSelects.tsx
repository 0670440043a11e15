import { Select } from '../ui/Select';
import { messages } from './ColumnSelects.messages';

const NOT_THERE = '';

interface ColumnSelectsProps<Column extends string> {
  /** What a file can have, in order, each with what it is called. */
  columns: readonly Column[];
  called: Record<Column, string>;
  /** The names of the file's own columns. */
  names: readonly string[];
  /** The place of each in the file, from 0; those it does not have are absent. */
  at: Partial<Record<Column, number>>;
  onChange: (at: Partial<Record<Column, number>>) => void;
}

/** Which column of a file is which: one list for each. */
export function ColumnSelects<Column extends string>(props: ColumnSelectsProps<Column>) {
  const { columns, called, names, at, onChange } = props;
  const options = [
    { value: NOT_THERE, words: messages.notThere },
    ...names.map((words, place) => ({ value: String(place), words })),
  ];
  const place = (column: Column, chosen: string) => {
    const { [column]: _before, ...others } = at;
    const rest = others as Partial<Record<Column, number>>;
    onChange(chosen === NOT_THERE ? rest : { ...rest, [column]: Number(chosen) });
  };
  return (
    <>
      {columns.map((column) => (
        <Select
          key={column}
          label={called[column]}
          options={options}
          value={at[column] === undefined ? NOT_THERE : String(at[column])}
          onChange={(chosen) => place(column, chosen)}
        />
      ))}
    </>
  );
}
