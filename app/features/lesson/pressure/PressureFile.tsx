import {
  odditiesOf,
  repaired,
  swingsIn,
  traceOf,
  writePressure,
  type PressureOddities,
  type PressureRecording,
  type PressureRepair,
  type SwingTrace,
} from '@pedastance/core/balance';
import { useState } from 'react';
import { View } from 'react-native';
import { common } from '../../../domain/common.messages';
import { faultsWords } from '../../../domain/fileFaults';
import { addSwings } from '../../../state/pressure';
import { Button } from '../../../ui/Button';
import { pickFile, saveFile } from '../../../ui/files';
import { Notice } from '../../../ui/Notice';
import { Body, Quiet } from '../../../ui/Words';
import { useComputation } from '../../../workers/useComputation';
import type { Question } from '../../../workers/requests';
import { useLessonContext } from '../context';
import { messages as step } from './PressureStep.messages';
import { messages } from './PressureFile.messages';

/** A file of a recording is no larger than this, bytes. */
const LARGEST = 40 * 1024 * 1024;

interface Read {
  recording: PressureRecording;
  oddities: PressureOddities;
}

/** A recording that was read, before anything of it is taken: what it has, and what would mend it. */
function Preview({ read, onRead, onDone }: { read: Read; onRead: (read: Read) => void; onDone: () => void }) {
  const { recording, oddities } = read;
  const { rate, frames } = recording;
  const seconds = Math.round((frames[frames.length - 1]!.at - frames[0]!.at) / 1000);
  const mend = (repair: PressureRepair) => {
    const mended = repaired(recording, repair);
    onRead({ recording: mended, oddities: odditiesOf(mended) });
  };
  const take = () => {
    addSwings(
      'file',
      swingsIn(recording).map((times) => traceOf(recording, times)),
    );
    onDone();
  };
  return (
    <View className="gap-2 border-l-4 border-lagoon pl-3" testID="pressure-preview">
      <Body>{messages.has(seconds, Math.round(rate), oddities.swings)}</Body>
      {oddities.saturated && <Notice kind="caution">{messages.saturated}</Notice>}
      {oddities.repairs.map((repair) => (
        <View key={repair} className="gap-1">
          <Body>{messages.odd[repair]}</Body>
          <View className="flex-row">
            <Button look="plain" words={messages.mend[repair]} onPress={() => mend(repair)} />
          </View>
        </View>
      ))}
      <View className="flex-row flex-wrap gap-2">
        {oddities.swings > 0 && <Button words={messages.take} onPress={take} />}
        <Button look="quiet" words={messages.leave} onPress={onDone} />
      </View>
    </View>
  );
}

/** Brings in a recording of a mat: read whole or refused, mended where it is odd, and taken swing by swing. */
export function PressureFile() {
  const { student } = useLessonContext();
  const [asked, setAsked] = useState<Question<'pressure'> | null>(null);
  const [mended, setMended] = useState<Read | null>(null);
  const [tooLarge, setTooLarge] = useState(false);
  const { answer } = useComputation(asked);
  const done = () => {
    setAsked(null);
    setMended(null);
  };
  const bring = async () => {
    const file = await pickFile('.csv,text/csv');
    if (!file) return;
    setMended(null);
    setTooLarge(file.size > LARGEST);
    if (file.size > LARGEST) return setAsked(null);
    setAsked({ ask: 'pressure', of: { text: await file.text(), hand: student.hand } });
  };
  const faults = answer && 'faults' in answer ? [messages.notTaken, ...faultsWords(answer.faults)] : [];
  const read = mended ?? (answer && 'recording' in answer ? answer : null);
  return (
    <View className="gap-2">
      <Button look="plain" words={step.fromFile} onPress={() => void bring()} />
      {asked && !answer && <Quiet>{common.working}</Quiet>}
      {(faults.length > 0 || tooLarge) && (
        <Notice kind="trouble" live>
          {(tooLarge ? [messages.tooLarge] : faults).map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </Notice>
      )}
      {asked && read && <Preview read={read} onRead={setMended} onDone={done} />}
    </View>
  );
}

/** Swings as a file that can be brought in again. */
export function SaveSwings({ swings }: { swings: readonly SwingTrace[] }) {
  const save = () => {
    // Names and numbers alone: nothing of it has to be quoted.
    const rows = writePressure(swings).map((row) => row.join(','));
    saveFile('pressure.csv', `${rows.join('\r\n')}\r\n`, 'text/csv');
  };
  return (
    <View className="flex-row">
      <Button look="quiet" words={step.toFile} onPress={save} />
    </View>
  );
}
