import { judge } from '@pedastance/core/advice';
import { clubById } from '@pedastance/core/club';
import { inFootWords } from '@pedastance/core/phrases';
import { Link, router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { currentOwner } from '../../state/account';
import { removeDraft } from '../../state/drafts';
import { changeDraft, closeLesson, lesson, openStep } from '../../state/lesson';
import type { LessonDraft } from '../../domain/lessonDraft';
import { useOutbox } from '../../state/outbox';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { clubAndShot, tellAgreed } from '../../domain/sentences';
import { useLessonContext } from './context';
import { recordLesson } from '../../state/writes/record';
import { useCase } from './useJudgement';
import { useLessonPath } from './useLessonPath';
import { useReading } from './useReading';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { hasChange } from '../../domain/lessonDraft';
import { NotMeasured } from './NotMeasured';

async function finish(studentId: string): Promise<void> {
  const { draft } = lesson.getState();
  const owner = currentOwner();
  closeLesson();
  if (draft && owner) await removeDraft(owner, draft.id);
  router.replace(`/students/${studentId}`);
}

function AlreadyRecorded({ draft }: { draft: LessonDraft }) {
  const { student } = useLessonContext();
  const unsent = useOutbox((state) => state.queue.filter((queued) => queued.subjectId === student.id).length);
  if (draft.recorded.length === 0) return null;
  return (
    <View className="gap-2">
      <Notice kind="good" live>
        <Body className="font-semibold">{`Recorded: ${draft.recorded.map((each) => clubById(each.club).name).join(', ')}.`}</Body>
        <Body>
          {unsent > 0
            ? `On this device; ${unsent} not sent yet, and going out by themselves.`
            : 'On this device and on the server.'}
        </Body>
      </Notice>
      <Link href={`/students/${student.id}`} className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">{`The log of ${student.name}`}</Body>
      </Link>
    </View>
  );
}

function ReasonChips({ onPick }: { onPick: (reason: string) => void }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const read = useReading();
  const limits =
    read?.reading.findings.filter((finding) => finding.putForward && finding.limits !== '') ?? [];
  return (
    <View className="gap-2">
      {limits.map((finding) => {
        const words = inFootWords(finding.limits, speech.feet, speech.hand);
        return (
          <Button
            key={finding.item}
            look="plain"
            className="justify-start py-2"
            words={words}
            label={`Use as the reason: ${words}`}
            onPress={() => onPick(finding.limits)}
          />
        );
      })}
    </View>
  );
}

function Words({ draft }: { draft: LessonDraft }) {
  const { student, build, screen, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const read = useReading();
  const judged = useCase();
  const { shotIds } = useLessonPath();
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  if (!read || !draft.club || !draft.setup) return null;
  const changing = hasChange(draft);
  const looked = read.reading.findings.length > 0;

  const record = async () => {
    if (changing && draft.reason.trim() === '') {
      return setFault('Reason: expected why you agreed on this, found nothing');
    }
    setFault('');
    setBusy(true);
    try {
      const judgement = judged && judge(judged);
      const { reading } = read;
      await recordLesson({ draft, student, build, screen, method, reading, judgement, shotIds });
    } catch (error) {
      setFault(`Not recorded: this device could not keep it (${(error as Error).message})`);
    } finally {
      setBusy(false);
    }
  };

  return (
    <View className="gap-3">
      <Heading>{clubAndShot(draft.club, draft.shot)}</Heading>
      <NotMeasured />
      {changing ? (
        tellAgreed(draft.setup, draft.agreed ?? draft.setup, draft.leadHeelLift, speech).map((line) => (
          <Body key={line} className="text-lg">
            {line}
          </Body>
        ))
      ) : (
        <Body>No change is agreed: the address and what was read in it are recorded as they are.</Body>
      )}
      {changing && (
        <>
          <Field
            label="Reason"
            value={draft.reason}
            onChangeText={(reason) => changeDraft({ reason })}
            maxLength={500}
            fault={fault || undefined}
            multiline
          />
          {draft.reason === '' && <ReasonChips onPick={(reason) => changeDraft({ reason })} />}
          <Field
            label="Feel: what the student should feel"
            value={draft.feel}
            onChangeText={(feel) => changeDraft({ feel })}
            maxLength={500}
          />
          <Field
            label="Note, for you"
            value={draft.note}
            onChangeText={(note) => changeDraft({ note })}
            maxLength={2000}
            multiline
          />
        </>
      )}
      {fault !== '' && !changing && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button
        words={busy ? 'Recording …' : changing ? 'Record the change' : 'Record as it is'}
        disabled={busy || !looked}
        onPress={() => void record()}
      />
      <Quiet>It is kept on this device first and sent by itself.</Quiet>
    </View>
  );
}

export function KeepStep() {
  const { student } = useLessonContext();
  const draft = useStore(lesson, (state) => state.draft);
  if (!draft) return null;
  const nothingOpen = !draft.club;
  return (
    <WorkPlace
      label="Keep"
      desk={
        <View className="flex-row flex-wrap gap-3 border-t border-grid p-3">
          <Button
            className="flex-1"
            look="plain"
            words={nothingOpen ? 'Another club' : 'Back to the change'}
            onPress={() => openStep(nothingOpen ? 'club' : 'change')}
          />
          <Button
            className="flex-1"
            look={nothingOpen && draft.recorded.length > 0 ? 'act' : 'plain'}
            words="Finish the lesson"
            disabled={!nothingOpen && draft.recorded.length === 0}
            onPress={() => void finish(student.id)}
          />
        </View>
      }
    >
      <AlreadyRecorded draft={draft} />
      <Words draft={draft} />
      {nothingOpen && draft.recorded.length === 0 && (
        <Body>Nothing to keep yet. Choose a club and place the feet first.</Body>
      )}
    </WorkPlace>
  );
}
