import { lengthIn } from '@pedastance/core/units';
import Papa from 'papaparse';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { ColumnSelects } from '../../cards/ColumnSelects';
import { common } from '../../domain/common.messages';
import {
  guessStudentColumns,
  missingColumns,
  MOST_STUDENT_ROWS,
  readStudents,
  STUDENT_COLUMNS,
  type ReadStudents,
  type StudentMapping,
} from '../../domain/studentFile';
import { headerKey } from '../../domain/headerKey';
import { dayOf } from '../../domain/students';
import { prefer, usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { addStudents } from '../../state/writes/student';
import { Button } from '../../ui/Button';
import { pickFile } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './DataScreen.messages';

const LARGEST_LIST = 2_000_000;
const SHOWN_ROWS = 5;
const TOLD_FAULTS = 12;

interface List {
  name: string;
  headers: string[];
  rows: string[][];
}

/** A chosen list as a table; a sentence where it is none. */
async function pickList(): Promise<List | string | null> {
  const picked = await pickFile('.csv,text/csv,text/plain');
  if (!picked) return null;
  if (picked.size > LARGEST_LIST) return messages.tooLarge(picked.name);
  const { data } = Papa.parse<string[]>(await picked.text(), { skipEmptyLines: 'greedy' });
  const [headers, ...rows] = data;
  if (!headers || rows.length === 0) return messages.noRows(picked.name);
  if (rows.length > MOST_STUDENT_ROWS) return messages.tooManyRows(MOST_STUDENT_ROWS, rows.length);
  return { name: picked.name, headers, rows };
}

interface MappingProps {
  headers: readonly string[];
  mapping: StudentMapping;
  onChange: (mapping: StudentMapping) => void;
}

/** Which column of the file is which of ours, found by its name and the coach's to set right. */
function Mapping({ headers, mapping, onChange }: MappingProps) {
  return (
    <View className="gap-3" testID="student-columns">
      <ColumnSelects
        columns={STUDENT_COLUMNS}
        called={messages.columns}
        names={headers.map((header, at) => header || `${at + 1}`)}
        at={mapping}
        onChange={onChange}
      />
    </View>
  );
}

function Preview({ read }: { read: ReadStudents }) {
  const unit = usePreferences((state) => state.length);
  const { rows, known, faults } = read;
  return (
    <View className="gap-2" testID="students-preview">
      <Body className="font-semibold">{messages.willAdd(rows.length)}</Body>
      {rows.slice(0, SHOWN_ROWS).map(({ line, person, build }) => {
        const height = build
          ? `, ${Math.round(lengthIn(unit, build.figures.height.value))} ${unit === 'cm' ? 'cm' : 'in'}`
          : '';
        return (
          <Body key={line}>{messages.row(line, person.name, person.hand, person.birthYear, height)}</Body>
        );
      })}
      {rows.length > SHOWN_ROWS && <Quiet>{messages.andMore(rows.length - SHOWN_ROWS)}</Quiet>}
      {known.length > 0 && <Quiet>{messages.knownAlready(known.length)}</Quiet>}
      {faults.length > 0 && (
        <Notice kind="trouble" live>
          <Body className="font-semibold">{messages.badRows(faults.length)}</Body>
          {faults.slice(0, TOLD_FAULTS).map(({ line, words }, at) => (
            <Body key={at}>{messages.badRow(line, words)}</Body>
          ))}
          {faults.length > TOLD_FAULTS && <Body>{messages.andMore(faults.length - TOLD_FAULTS)}</Body>}
        </Notice>
      )}
    </View>
  );
}

function ChosenList({ list, onDone }: { list: List; onDone: (words: string) => void }) {
  const students = useRecords((state) => state.students);
  const { length, studentLists } = usePreferences();
  const signature = headerKey(list.headers);
  const guessed = useMemo(() => guessStudentColumns(list.headers), [list]);
  const [changed, setChanged] = useState<StudentMapping | null>(null);
  const [fault, setFault] = useState('');
  // What was found by itself is folded: on a phone the columns would stand before what comes of them.
  const [open, setOpen] = useState(false);
  const mapping = changed ?? studentLists[signature] ?? guessed;
  const missing = missingColumns(mapping);
  const read = useMemo(
    () =>
      missing.length === 0
        ? readStudents(list.rows, mapping, Object.values(students), length, dayOf(new Date()))
        : null,
    [list, mapping, students, length, missing.length],
  );
  const add = async (rows: ReadStudents['rows']) => {
    try {
      await addStudents(rows);
      prefer({ studentLists: { ...studentLists, [signature]: mapping } });
      onDone(messages.added(rows.length));
    } catch (error) {
      setFault(common.notKept((error as Error).message));
    }
  };
  return (
    <View className="gap-3">
      <Heading>{list.name}</Heading>
      {open || changed !== null || missing.length > 0 ? (
        <Mapping headers={list.headers} mapping={mapping} onChange={setChanged} />
      ) : (
        <Button look="quiet" words={messages.setColumns} onPress={() => setOpen(true)} />
      )}
      {missing.map((column) => (
        <Notice key={column} kind="caution">
          {messages.missing[column]}
        </Notice>
      ))}
      {read && <Preview read={read} />}
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      {read && read.rows.length > 0 && (
        <Button words={messages.add(read.rows.length)} onPress={() => void add(read.rows)} />
      )}
    </View>
  );
}

/** Students from a list in a file: mapped once, looked at, then added as any student is, with or without a signal. */
export function StudentsIn() {
  const [list, setList] = useState<List | null>(null);
  const [fault, setFault] = useState('');
  const [done, setDone] = useState('');
  const choose = async () => {
    const picked = await pickList();
    if (picked === null) return;
    setDone('');
    setFault(typeof picked === 'string' ? picked : '');
    setList(typeof picked === 'string' ? null : picked);
  };
  return (
    <View className="gap-3" testID="students-in">
      <Heading>{messages.list}</Heading>
      <Body>{messages.listWhy}</Body>
      <Button look="plain" words={messages.chooseList} onPress={() => void choose()} />
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      {list && (
        <ChosenList
          key={list.name}
          list={list}
          onDone={(words) => {
            setList(null);
            setDone(words);
          }}
        />
      )}
      {done !== '' && (
        <Notice kind="good" live>
          {done}
        </Notice>
      )}
    </View>
  );
}
