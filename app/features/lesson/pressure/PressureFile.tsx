import { MOST_PRESSURE_SWINGS } from '@pedastance/contract/limits';
import {
  guessPressure,
  writePressure,
  type PressureFault,
  type PressureRepair,
  type SwingTrace,
} from '@pedastance/core/balance';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Working } from '../../../cards/Working';
import { faultsWords } from '../../../domain/fileFaults';
import { headerKey } from '../../../domain/headerKey';
import { prefer, usePreferences } from '../../../state/preferences';
import { addSwings } from '../../../state/pressure';
import { Button } from '../../../ui/Button';
import { pickFile, saveFile } from '../../../ui/files';
import { Notice } from '../../../ui/Notice';
import { Body, Quiet } from '../../../ui/Words';
import { useComputation } from '../../../workers/useComputation';
import type { PressureRead, Question } from '../../../workers/requests';
import { useLessonContext } from '../context';
import { PressureColumns } from './PressureColumns';
import { messages as step } from './PressureStep.messages';
import { messages } from './PressureFile.messages';

/** A file of a recording is no larger than this, bytes. */
const LARGEST = 40 * 1024 * 1024;

/** A recording that was read, before anything of it is taken: what it has, and what would mend it. */
function Preview({
  read,
  onMend,
  onTake,
  onLeave,
}: {
  read: PressureRead;
  onMend: (repair: PressureRepair) => void;
  onTake: () => void;
  onLeave: () => void;
}) {
  const { seconds, rate, oddities } = read;
  return (
    <View className="gap-2 border-l-4 border-lagoon pl-3" testID="pressure-preview">
      <Body>{messages.has(Math.round(seconds), Math.round(rate), oddities.swings)}</Body>
      {oddities.swings > MOST_PRESSURE_SWINGS && <Quiet>{messages.newest(MOST_PRESSURE_SWINGS)}</Quiet>}
      {oddities.leftOut > 0 && <Notice kind="caution">{messages.leftOut(oddities.leftOut)}</Notice>}
      {oddities.rounding > 0 && <Quiet>{messages.rounding(oddities.rounding)}</Quiet>}
      {oddities.saturated && <Notice kind="caution">{messages.saturated}</Notice>}
      {oddities.repairs.map((repair) => (
        <View key={repair} className="gap-1">
          <Body>{messages.odd[repair]}</Body>
          <View className="flex-row">
            <Button look="plain" words={messages.mend[repair]} onPress={() => onMend(repair)} />
          </View>
        </View>
      ))}
      <View className="flex-row flex-wrap gap-2">
        {oddities.swings > 0 && <Button words={messages.take} onPress={onTake} />}
        <Button look="quiet" words={messages.leave} onPress={onLeave} />
      </View>
    </View>
  );
}

type Asked = Question<'pressure'>;

/** A file with fewer columns than two feet need is not one whose columns a coach can name. */
const LEAST_COLUMNS = 5;

/** What is wrong with a file, and the way to say which of its columns is which. */
function NotRead({
  refused: { faults, header },
  asked,
  onAsk,
}: {
  refused: { faults: readonly PressureFault[]; header: readonly string[] };
  asked: Asked;
  onAsk: (asked: Asked) => void;
}) {
  const { hand, mapping: said } = asked.of;
  const [mapping, setMapping] = useState(() => said ?? guessPressure(header, hand));
  // Where the header was understood and a row was not, the columns are most likely right.
  const [open, setOpen] = useState(said !== null || faults.some(({ line }) => line === 1));
  return (
    <>
      <Notice kind="trouble" live>
        {[messages.notTaken, ...faultsWords(faults)].map((line) => (
          <Body key={line}>{line}</Body>
        ))}
      </Notice>
      {header.length >= LEAST_COLUMNS &&
        (open ? (
          <PressureColumns
            header={header}
            mapping={mapping}
            onChange={setMapping}
            onRead={() => onAsk({ ...asked, of: { ...asked.of, mapping, repairs: [] } })}
          />
        ) : (
          <View className="flex-row">
            <Button look="quiet" words={messages.setColumns} onPress={() => setOpen(true)} />
          </View>
        ))}
    </>
  );
}

/** Brings in a recording of a mat: read whole or refused, mended where it is odd, and taken swing by swing. */
export function PressureFile() {
  const { student, build } = useLessonContext();
  const remembered = usePreferences((state) => state.pressureFiles);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [tooLarge, setTooLarge] = useState(false);
  const computation = useComputation(asked);
  const { answer } = computation;
  const refused = answer && 'faults' in answer ? answer : null;
  const read = answer && !('faults' in answer) ? answer : null;
  // A header that was mapped before is read the same way.
  const known = refused && !asked?.of.mapping ? remembered[headerKey(refused.header)] : undefined;
  useEffect(() => {
    if (known) setAsked((before) => before && { ...before, of: { ...before.of, mapping: known } });
  }, [known]);
  const bring = async () => {
    const file = await pickFile('.csv,text/csv');
    if (!file) return;
    setTooLarge(file.size > LARGEST);
    if (file.size > LARGEST) return setAsked(null);
    const { shoeLength, shoeBreadth } = build.figures;
    const shoe = { length: shoeLength.value, breadth: shoeBreadth.value };
    const of = { text: await file.text(), hand: student.hand, shoe, mapping: null, repairs: [] };
    setAsked({ ask: 'pressure', of });
  };
  const take = ({ swings, header }: PressureRead, { of: { mapping } }: Asked) => {
    addSwings('file', swings);
    if (mapping) prefer({ pressureFiles: { ...remembered, [headerKey(header)]: mapping } });
    setAsked(null);
  };
  const mend = (repair: PressureRepair) =>
    setAsked(
      (before) => before && { ...before, of: { ...before.of, repairs: [...before.of.repairs, repair] } },
    );
  return (
    <View className="gap-2">
      <View className="flex-row">
        <Button look="plain" words={step.fromFile} onPress={() => void bring()} />
      </View>
      {asked && !answer && <Working of={computation} />}
      {tooLarge && (
        <Notice kind="trouble" live>
          {messages.tooLarge}
        </Notice>
      )}
      {asked && refused && !known && <NotRead refused={refused} asked={asked} onAsk={setAsked} />}
      {asked && read && (
        <Preview read={read} onMend={mend} onTake={() => take(read, asked)} onLeave={() => setAsked(null)} />
      )}
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
