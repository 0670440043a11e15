import type { ChangeEntry, LogEntry } from '@pedastance/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as newId } from 'uuid';
import { post } from '../../state/outbox';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Quiet } from '../../ui/Words';
import { common } from '../../domain/common.messages';
import { messages } from './CorrectWords.messages';

type Change = ChangeEntry & Pick<LogEntry, 'studentId' | 'receivedAt'>;

/** Corrects the words of a change with a new entry that names the one it replaces. */
export function CorrectWords({ change, onDone }: { change: Change; onDone: () => void }) {
  const [reason, setReason] = useState(change.reason);
  const [feel, setFeel] = useState(change.feel);
  const [note, setNote] = useState(change.note);
  const [fault, setFault] = useState('');

  const save = async () => {
    if (reason.trim() === '') return setFault(messages.reasonExpectedOneFoundNothing);
    const { studentId, receivedAt: _received, ...entry } = change;
    const words = { reason: reason.trim(), feel: feel.trim(), note: note.trim() };
    const body = { ...entry, ...words, id: newId(), madeAt: new Date().toISOString(), replaces: change.id };
    try {
      await post([
        { subjectId: studentId, label: messages.correctedWordsOfAChange, writing: { route: 'entry', body } },
      ]);
      onDone();
    } catch (error) {
      setFault(messages.notSavedThisDevice((error as Error).message));
    }
  };

  return (
    <View className="gap-3">
      <Field
        label={messages.reason}
        value={reason}
        onChangeText={setReason}
        maxLength={500}
        fault={fault || undefined}
      />
      <Field label={messages.feel} value={feel} onChangeText={setFeel} maxLength={500} />
      <Field label={messages.note} value={note} onChangeText={setNote} maxLength={2000} multiline />
      <Quiet>{messages.theLogOnlyGrowsWhat}</Quiet>
      <View className="flex-row gap-3">
        <Button words={messages.recordTheCorrection} onPress={() => void save()} />
        <Button look="quiet" words={common.cancel} onPress={onDone} />
      </View>
    </View>
  );
}
