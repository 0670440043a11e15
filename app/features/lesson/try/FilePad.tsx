import type { Student } from '@pedastance/contract';
import type { ReadShots } from '@pedastance/core/formats';
import { useState } from 'react';
import { View } from 'react-native';
import { pickShotFile, ReadShotFile, type ShotFile } from '../../../cards/ShotFile';
import { ShotsSoFar } from '../../../cards/ShotsSoFar';
import { hitsOf, isAwaited, namedShots, type NextShot, type Trial } from '../../../domain/trials';
import { useUnits } from '../../../state/useSpeech';
import { fillShots, keepShot } from '../../../state/writes/trial';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Body, Quiet } from '../../../ui/Words';
import { TakeBack } from './TakeBack';
import { common } from '../../../domain/common.messages';
import { messages } from './FilePad.messages';

interface FilePadProps {
  student: Student;
  trial: Trial;
  next: NextShot;
}

/** A shot that the monitor keeps: here it is only noted that it was hit, in its place in the order. */
export function FilePad({ student, trial, next }: FilePadProps) {
  const [fault, setFault] = useState('');
  const hit = async () => {
    try {
      await keepShot(student, trial, next, { mishit: false });
      setFault('');
    } catch (error) {
      setFault(common.notKept((error as Error).message));
    }
  };
  return (
    <View className="gap-3" testID="file-pad">
      <Quiet>{messages.theMonitorKeepsTheFigures}</Quiet>
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button
        words={next.kind === 'warm-up' ? common.warmUpShotHit : messages.hit}
        onPress={() => void hit()}
      />
      <TakeBack student={student} trial={trial} disabled={hitsOf(trial).length === 0} />
    </View>
  );
}

/** The rows of a file that belong to shots still without figures: one for each, in the order they were hit. */
function rowsFor(trial: Trial, { shots }: ReadShots) {
  const awaited = hitsOf(trial).filter(isAwaited);
  const rows = shots.map(({ shot }) => shot);
  return { awaited, rows, fits: rows.length === awaited.length };
}

interface TakeRowsProps {
  student: Student;
  trial: Trial;
  read: ReadShots;
  remember: () => void;
}

/** What of a file goes to which setup, to be looked at before it is kept. */
function TakeRows({ student, trial, read, remember }: TakeRowsProps) {
  const units = useUnits();
  const [fault, setFault] = useState('');
  const { awaited, rows, fits } = rowsFor(trial, read);
  if (read.faults.length > 0) return <Body>{messages.mendTheseRows}</Body>;
  if (!fits)
    return (
      <Notice kind="trouble" live>
        {messages.theFileExpectedRowsOne(awaited.length, rows.length)}
      </Notice>
    );
  const names = namedShots(trial, true).filter(({ awaited: waits }) => waits);
  const take = async () => {
    try {
      await fillShots(student, trial, rows);
      remember();
    } catch (error) {
      setFault(messages.nothingWasKeptThisDevice((error as Error).message));
    }
  };
  return (
    <>
      <ShotsSoFar
        shots={rows.map((shot, at) => ({ name: names[at]!.name, shot }))}
        hand={student.hand}
        units={units}
      />
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button words={messages.takeTheseShots(rows.length)} onPress={() => void take()} />
    </>
  );
}

/** All shots are hit and the monitor has their figures: its file, row by row, goes into A and B. */
export function FileForTrial({ student, trial }: { student: Student; trial: Trial }) {
  const [file, setFile] = useState<ShotFile | null>(null);
  const [fault, setFault] = useState('');
  const pick = async () => {
    const picked = await pickShotFile();
    if (typeof picked === 'string') return setFault(picked);
    setFault('');
    if (picked) setFile(picked);
  };
  const waiting = hitsOf(trial).filter(isAwaited).length;
  return (
    <View className="gap-3" testID="file-for-trial">
      <Body className="text-lg font-semibold">{messages.loadTheMonitorsFileRows(waiting)}</Body>
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button words={messages.chooseTheFile} onPress={() => void pick()} />
      {file && (
        <ReadShotFile key={`${file.name} ${file.text.length}`} student={student} file={file}>
          {(read, _rows, remember) => (
            <TakeRows student={student} trial={trial} read={read} remember={remember} />
          )}
        </ReadShotFile>
      )}
    </View>
  );
}
