import type { ImportAnswer, ImportSummary } from '@pedastance/contract/recordsFile';
import { useState } from 'react';
import { View } from 'react-native';
import { day } from '../../domain/students';
import { api } from '../../state/api';
import { refreshStudents } from '../../state/records';
import { troubleOf } from '../../state/useAsked';
import { Button } from '../../ui/Button';
import { pickFile } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './DataScreen.messages';

const TOLD_FAULTS = 12;

function Summary({ summary }: { summary: ImportSummary }) {
  const { academy, exportedAt, students, entries, namesakes } = summary;
  const lines = [
    messages.fresh(students.fresh),
    messages.entries(entries),
    students.known > 0 && messages.known(students.known),
    students.erased > 0 && messages.erased(students.erased),
    namesakes.length > 0 && messages.namesakes(namesakes.join(', ')),
  ].filter((line) => typeof line === 'string');
  return (
    <View className="gap-1" testID="records-preview">
      <Quiet>{messages.from(academy, day(exportedAt))}</Quiet>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
    </View>
  );
}

function Faults({ faults }: Pick<ImportAnswer, 'faults'>) {
  return (
    <Notice kind="trouble" live>
      <Body className="font-semibold">{messages.nothingTaken}</Body>
      {faults.slice(0, TOLD_FAULTS).map(({ line, field, expected, found }, at) => (
        <Body key={at}>{messages.fault(line, field, expected, found)}</Body>
      ))}
    </Notice>
  );
}

/** Reads in a file of records: first what it would bring, then the word to take it. */
export function RecordsIn({ owner, mayDo }: { owner: string; mayDo: boolean }) {
  const [file, setFile] = useState<File | null>(null);
  const [answer, setAnswer] = useState<ImportAnswer | null>(null);
  const [busy, setBusy] = useState('');
  const [trouble, setTrouble] = useState('');
  const [done, setDone] = useState('');
  const send = async (chosen: File, step: 'preview' | 'take') => {
    setBusy(step === 'preview' ? messages.looking : messages.takingIn);
    setTrouble('');
    try {
      const told = await api.importRecords(owner, chosen, step);
      setAnswer(told);
      if (step === 'preview' || told.faults.length > 0 || !told.summary) return;
      setDone(messages.takenIn(told.summary.students.fresh));
      setFile(null);
      await refreshStudents(owner);
    } catch (error) {
      setTrouble(troubleOf(error));
    } finally {
      setBusy('');
    }
  };
  const choose = async () => {
    const chosen = await pickFile('.jsonl,application/x-ndjson');
    if (!chosen) return;
    setDone('');
    setAnswer(null);
    setFile(chosen);
    await send(chosen, 'preview');
  };
  const ready = file !== null && answer !== null && answer.faults.length === 0 && busy === '';
  return (
    <View className="gap-3" testID="records-in">
      <Heading>{messages.records}</Heading>
      <Body>{messages.recordsWhy}</Body>
      {!mayDo && <Quiet>{messages.ownersOnly}</Quiet>}
      {mayDo && <Button look="plain" words={messages.chooseRecords} onPress={() => void choose()} />}
      {busy !== '' && <Quiet role="status">{busy}</Quiet>}
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      {answer && answer.faults.length > 0 && <Faults faults={answer.faults} />}
      {ready && answer.summary && <Summary summary={answer.summary} />}
      {ready && <Button words={messages.takeIn} onPress={() => void send(file, 'take')} />}
      {done !== '' && (
        <Notice kind="good" live>
          {done}
        </Notice>
      )}
    </View>
  );
}
