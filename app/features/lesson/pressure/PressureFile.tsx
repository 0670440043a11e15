import {
  odditiesOf,
  readPressure,
  repaired,
  swingsIn,
  traceOf,
  writePressure,
  type PressureOddities,
  type PressureRecording,
  type PressureRepair,
  type SwingTrace,
} from '@pedastance/core/balance';
import Papa from 'papaparse';
import { useState } from 'react';
import { View } from 'react-native';
import { faultsWords } from '../../../domain/fileFaults';
import { addSwings } from '../../../state/pressure';
import { Button } from '../../../ui/Button';
import { pickFile, saveFile } from '../../../ui/files';
import { Notice } from '../../../ui/Notice';
import { Body } from '../../../ui/Words';
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
  const [read, setRead] = useState<Read | null>(null);
  const [faults, setFaults] = useState<string[]>([]);
  const bring = async () => {
    const file = await pickFile('.csv,text/csv');
    if (!file) return;
    setRead(null);
    if (file.size > LARGEST) return setFaults([messages.tooLarge]);
    const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: true });
    const found = readPressure(data, student.hand);
    if ('faults' in found) return setFaults([messages.notTaken, ...faultsWords(found.faults)]);
    setFaults([]);
    setRead({ recording: found.recording, oddities: odditiesOf(found.recording) });
  };
  return (
    <View className="gap-2">
      <Button look="plain" words={step.fromFile} onPress={() => void bring()} />
      {faults.length > 0 && (
        <Notice kind="trouble" live>
          {faults.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </Notice>
      )}
      {read && <Preview read={read} onRead={setRead} onDone={() => setRead(null)} />}
    </View>
  );
}

/** Swings as a file that can be brought in again. */
export function SaveSwings({ swings }: { swings: readonly SwingTrace[] }) {
  const save = () => saveFile('pressure.csv', Papa.unparse(writePressure(swings)), 'text/csv');
  return (
    <View className="flex-row">
      <Button look="quiet" words={step.toFile} onPress={save} />
    </View>
  );
}
