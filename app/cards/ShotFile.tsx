import type { Student } from '@pedastance/contract';
import { guessColumns, stillAsked, type ColumnSource, type ReadShots } from '@pedastance/core/formats';
import { SHOT_FIGURES, SHOT_RANGES } from '@pedastance/core/trial';
import { shotFigure } from '@pedastance/core/units';
import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Working } from './Working';
import { headerKey } from '../domain/headerKey';
import { COLUMN_NAMES } from '../domain/shotColumns';
import { prefer, usePreferences } from '../state/preferences';
import { useUnits } from '../state/useSpeech';
import { pickFile } from '../ui/files';
import { Notice } from '../ui/Notice';
import { Body, Heading, Quiet } from '../ui/Words';
import { useComputation } from '../workers/useComputation';
import { ColumnMapper } from './ColumnMapper';
import { messages } from './ShotFile.messages';

export interface ShotFile {
  name: string;
  text: string;
}

const SHOWN_ROWS = 5;
const TOLD_FAULTS = 12;
/** A file larger than this is no list of shots, bytes. */
const LARGEST_FILE = 20_000_000;

/** Asks the device for a file of shots; null when none was chosen, a sentence where it is too large. */
export async function pickShotFile(): Promise<ShotFile | string | null> {
  const picked = await pickFile('.csv,text/csv,text/plain');
  if (!picked) return null;
  if (picked.size > LARGEST_FILE)
    return messages.expectedAtMostMbFound(picked.name, Math.round(picked.size / 1e6));
  return { name: picked.name, text: await picked.text() };
}

/** The first shots as they would be kept, in the coach's units. */
function Preview({ read }: { read: ReadShots }) {
  const units = useUnits();
  return (
    <View className="gap-1" testID="shots-preview">
      {read.shots.slice(0, SHOWN_ROWS).map(({ line, shot }) => {
        const figures = SHOT_FIGURES.flatMap((name) => {
          const value = shot[name];
          return value === undefined
            ? []
            : [`${COLUMN_NAMES[name].toLowerCase()} ${shotFigure(value, SHOT_RANGES[name].unit, units)}`];
        });
        const rest = [shot.strike ?? [], shot.mishit ? 'mishit' : []].flat();
        return <Body key={line}>{messages.line(line, [...figures, ...rest].join(', '))}</Body>;
      })}
      {read.shots.length > SHOWN_ROWS && <Quiet>{messages.andMore(read.shots.length - SHOWN_ROWS)}</Quiet>}
      <Quiet>{messages.sidewaysFiguresArePositiveAway}</Quiet>
    </View>
  );
}

function Faults({ read }: { read: ReadShots }) {
  if (read.faults.length === 0) return null;
  return (
    <Notice kind="trouble" live>
      <Body className="font-semibold">{messages.cannotBeTaken(read.faults.length)}</Body>
      {read.faults.slice(0, TOLD_FAULTS).map(({ line, field, expected, found }, at) => (
        <Body key={at}>
          {messages.lineExpectedFound(line, field, expected, found === '' ? 'nothing' : `“${found}”`)}
        </Body>
      ))}
      {read.faults.length > TOLD_FAULTS && (
        <Body>{messages.andMoreFaults(read.faults.length - TOLD_FAULTS)}</Body>
      )}
    </Notice>
  );
}

/** A file's table and what its columns are, as far as is known. */
function useMapping(file: ShotFile, student: Student) {
  const remembered = usePreferences((state) => state.shotFiles);
  const [changed, setChanged] = useState<ColumnSource[] | null>(null);
  const asked = useMemo(() => ({ ask: 'rows' as const, of: { text: file.text } }), [file]);
  const tabling = useComputation(asked);
  const { answer: table } = tabling;
  const headers = useMemo(() => table?.[0] ?? [], [table]);
  const rows = useMemo(() => table?.slice(1) ?? [], [table]);
  const signature = headerKey(headers);
  const guessed = useMemo(() => guessColumns(headers), [headers]);
  const sources = changed ?? remembered[signature] ?? guessed;
  const open = stillAsked(sources);
  const ready = table !== null && sources.length > 0 && open.length === 0;
  const question = useMemo(
    () => (ready ? { ask: 'shots' as const, of: { rows, sources, hand: student.hand } } : null),
    [ready, rows, sources, student.hand],
  );
  const { answer: read } = useComputation(question);
  const remember = () =>
    prefer({ shotFiles: { ...usePreferences.getState().shotFiles, [signature]: [...sources] } });
  return { tabling, table, headers, rows, sources, setSources: setChanged, open, ready, read, remember };
}

interface ReadShotFileProps {
  student: Student;
  file: ShotFile;
  /** What is asked before the columns. */
  before?: ReactNode;
  /** What is done with what was read; `remember` keeps the mapping for the next such file. */
  children: (read: ReadShots, rows: number, remember: () => void) => ReactNode;
}

/** A chosen file: its columns, what would be kept of it, and what is done with it. Nothing is written before. */
export function ReadShotFile({ student, file, before, children }: ReadShotFileProps) {
  const { tabling, table, headers, rows, sources, setSources, open, ready, read, remember } = useMapping(
    file,
    student,
  );
  if (!table) return <Working of={tabling} words={messages.reading} />;
  if (rows.length === 0) {
    return <Notice kind="trouble">{messages.expectedAHeader(file.name)}</Notice>;
  }
  return (
    <View className="gap-3">
      <Heading>{file.name}</Heading>
      {before}
      <ColumnMapper headers={headers} sources={sources} onChange={setSources} />
      {open.length > 0 && (
        <Notice kind="caution">
          {messages.beforeItCanBeRead(
            open
              .map(
                ({ column, asks }) =>
                  `${COLUMN_NAMES[column].toLowerCase()}, ${asks === 'unit' ? 'in which unit' : 'which side is positive'}`,
              )
              .join('; '),
          )}
        </Notice>
      )}
      {ready && !read && <Body>{messages.reading}</Body>}
      {read && (
        <>
          <Heading>{messages.whatWouldBeKept}</Heading>
          <Preview read={read} />
          <Faults read={read} />
          {children(read, rows.length, remember)}
        </>
      )}
    </View>
  );
}
