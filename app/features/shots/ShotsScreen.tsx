import type { AddressEntry, Student } from '@pedastance/contract';
import { guessColumns, stillAsked, type ColumnSource, type ReadShots } from '@pedastance/core/formats';
import { shotFigure } from '@pedastance/core/phrases';
import { SHOT_FIGURES, SHOT_RANGES } from '@pedastance/core/trial';
import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { prefer, usePreferences } from '../../state/preferences';
import { useOutbox } from '../../state/outbox';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { pickFile } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { StudentPage } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Body, Heading, Quiet } from '../../ui/Words';
import { useComputation } from '../../workers/useComputation';
import { clubAndShot } from '../../domain/sentences';
import { useStudentLog } from '../../state/useStudentLog';
import { addressesIn, shotCount } from '../../domain/trials';
import { dayAndTime } from '../../domain/students';
import { COLUMN_NAMES, ColumnMapper } from './ColumnMapper';
import { keepShots } from '../../state/writes/shots';
import { exportShots } from './exportShots';
import { Waiting } from '../../ui/Waiting';

interface ShotFile {
  name: string;
  text: string;
}

const SHOWN_ROWS = 5;
const TOLD_FAULTS = 12;
/** A file larger than this is no list of shots, bytes. */
const LARGEST_FILE = 20_000_000;

/** The first shots as they would be kept, in the coach's units. */
function Preview({ read }: { read: ReadShots }) {
  const length = usePreferences((state) => state.length);
  return (
    <View className="gap-1" testID="shots-preview">
      {read.shots.slice(0, SHOWN_ROWS).map(({ line, shot }) => {
        const figures = SHOT_FIGURES.flatMap((name) => {
          const value = shot[name];
          return value === undefined
            ? []
            : [`${COLUMN_NAMES[name].toLowerCase()} ${shotFigure(value, SHOT_RANGES[name].unit, length)}`];
        });
        const rest = [shot.strike ?? [], shot.mishit ? 'mishit' : []].flat();
        return <Body key={line}>{`Line ${line}: ${[...figures, ...rest].join(', ')}`}</Body>;
      })}
      {read.shots.length > SHOWN_ROWS && <Quiet>{`And ${read.shots.length - SHOWN_ROWS} more.`}</Quiet>}
      <Quiet>Sideways figures are positive away from the golfer.</Quiet>
    </View>
  );
}

function Faults({ read }: { read: ReadShots }) {
  if (read.faults.length === 0) return null;
  return (
    <Notice kind="trouble" live>
      <Body className="font-semibold">{`${read.faults.length} ${read.faults.length === 1 ? 'figure' : 'figures'} cannot be taken:`}</Body>
      {read.faults.slice(0, TOLD_FAULTS).map(({ line, field, expected, found }, at) => (
        <Body
          key={at}
        >{`Line ${line}, ${field}: expected ${expected}, found ${found === '' ? 'nothing' : `“${found}”`}.`}</Body>
      ))}
      {read.faults.length > TOLD_FAULTS && <Body>{`And ${read.faults.length - TOLD_FAULTS} more.`}</Body>}
    </Notice>
  );
}

interface BringInProps {
  student: Student;
  addresses: readonly AddressEntry[];
  file: ShotFile;
  onDone: (words: string) => void;
}

/** A chosen file: its columns, what would be kept of it, and the word to keep it. Nothing is written before. */
function BringIn({ student, addresses, file, onDone }: BringInProps) {
  const remembered = usePreferences((state) => state.shotFiles);
  const [changed, setChanged] = useState<ColumnSource[] | null>(null);
  const [addressId, setAddressId] = useState(addresses[0]!.id);
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  const asked = useMemo(() => ({ ask: 'rows' as const, of: { text: file.text } }), [file]);
  const { answer: table } = useComputation(asked);
  const headers = useMemo(() => table?.[0] ?? [], [table]);
  const rows = useMemo(() => table?.slice(1) ?? [], [table]);
  const signature = headers.join('\u001f');
  const guessed = useMemo(() => guessColumns(headers), [headers]);
  const sources = changed ?? remembered[signature] ?? guessed;
  const open = stillAsked(sources);
  const ready = table !== null && sources.length > 0 && open.length === 0;
  const question = useMemo(
    () => (ready ? { ask: 'shots' as const, of: { rows, sources, hand: student.hand } } : null),
    [ready, rows, sources, student.hand],
  );
  const { answer: read } = useComputation(question);
  const bringIn = async () => {
    const address = addresses.find(({ id }) => id === addressId);
    if (!read || !address) return;
    setBusy(true);
    try {
      await keepShots(
        student,
        address,
        read.shots.map(({ shot }) => shot),
      );
      prefer({ shotFiles: { ...usePreferences.getState().shotFiles, [signature]: [...sources] } });
      const left = rows.length - read.shots.length;
      onDone(`${read.shots.length} shots brought in${left > 0 ? `, ${left} rows left out` : ''}.`);
    } catch (error) {
      setFault(`Nothing was kept: this device could not keep it (${(error as Error).message})`);
      setBusy(false);
    }
  };
  if (!table) return <Body>Reading …</Body>;
  if (rows.length === 0) {
    return (
      <Notice kind="trouble">{`${file.name}: expected a header and at least one row, found none.`}</Notice>
    );
  }
  return (
    <View className="gap-3">
      <Heading>{file.name}</Heading>
      <Select
        label="Hit from"
        options={addresses.map((address) => ({
          value: address.id,
          words: `${clubAndShot(address.club, address.shot)}, ${address.standing === 'today' ? 'as stood' : 'as agreed'}, ${dayAndTime(address.madeAt)}`,
        }))}
        value={addressId}
        onChange={setAddressId}
      />
      <ColumnMapper headers={headers} sources={sources} onChange={setChanged} />
      {open.length > 0 && (
        <Notice kind="caution">{`Before it can be read: ${open.map(({ column, asks }) => `${COLUMN_NAMES[column].toLowerCase()}, ${asks === 'unit' ? 'in which unit' : 'which side is positive'}`).join('; ')}.`}</Notice>
      )}
      {ready && !read && <Body>Reading …</Body>}
      {read && (
        <>
          <Heading>What would be kept</Heading>
          <Preview read={read} />
          <Faults read={read} />
          {fault !== '' && (
            <Notice kind="trouble" live>
              {fault}
            </Notice>
          )}
          <Button
            words={
              busy
                ? 'Keeping …'
                : read.faults.length > 0
                  ? `Bring in the ${read.shots.length} good rows, leave the others`
                  : `Bring in ${read.shots.length} shots`
            }
            disabled={busy || read.shots.length === 0}
            onPress={() => void bringIn()}
          />
        </>
      )}
    </View>
  );
}

/** How far the sending is, while there is something to send. */
function Sending({ student }: { student: Student }) {
  const waiting = useOutbox(
    (state) => state.queue.filter((queued) => queued.subjectId === student.id).length,
  );
  const [most, setMost] = useState(0);
  if (waiting > most) setMost(waiting);
  if (waiting === 0 || most === 0) return null;
  return (
    <Quiet role="status">{`On this device; sent ${most - waiting} of ${most} parts (${Math.round((100 * (most - waiting)) / most)} %).`}</Quiet>
  );
}

/** A student's shots from a file and to one. */
export function ShotsScreen() {
  const { student: id } = useLocalSearchParams<{ student: string }>();
  const { student, loaded } = useStudentLog(id);
  const entries = useRecords((state) => state.entries);
  const [file, setFile] = useState<ShotFile | null>(null);
  const [done, setDone] = useState('');
  const [fault, setFault] = useState('');
  const addresses = useMemo(() => {
    const own = Object.values(entries).filter((entry) => entry.studentId === id);
    return [...addressesIn(own).values()].sort((a, b) => b.madeAt.localeCompare(a.madeAt));
  }, [entries, id]);
  const count = useMemo(() => shotCount(Object.values(entries), id), [entries, id]);
  if (!student) return <Waiting words={loaded ? 'This student is not on this device.' : undefined} />;
  const pick = async () => {
    setDone('');
    const picked = await pickFile('.csv,text/csv,text/plain');
    if (!picked) return;
    if (picked.size > LARGEST_FILE) {
      return setFault(`${picked.name}: expected at most 20 MB, found ${Math.round(picked.size / 1e6)} MB`);
    }
    setFault('');
    setFile({ name: picked.name, text: await picked.text() });
  };
  return (
    <StudentPage
      student={student}
      label={`Shots of ${student.name}`}
      title="Shots"
      under={`${student.name} · ${count} shots in the log`}
    >
      <View className="max-w-3xl gap-4">
        {addresses.length === 0 ? (
          <Body>
            Shots belong to a setup: record an address first, and then bring in what was hit from it.
          </Body>
        ) : (
          <View className="flex-row flex-wrap gap-3">
            <Button words="Bring in a file …" onPress={() => void pick()} />
            <Button
              look="plain"
              words="Save all as a file"
              disabled={count === 0}
              onPress={() => void exportShots(student, Object.values(entries))}
            />
          </View>
        )}
        {fault !== '' && (
          <Notice kind="trouble" live>
            {fault}
          </Notice>
        )}
        {done !== '' && (
          <Notice kind="good" live>
            {done}
          </Notice>
        )}
        <Sending student={student} />
        {file && (
          <BringIn
            key={`${file.name} ${file.text.length}`}
            student={student}
            addresses={addresses}
            file={file}
            onDone={(words) => {
              setFile(null);
              setDone(words);
            }}
          />
        )}
        <Quiet>
          A comma- or semicolon-separated file with a header: columns in any order, in metres or yards, with
          either side positive.
        </Quiet>
      </View>
    </StudentPage>
  );
}
