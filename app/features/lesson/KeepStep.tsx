import { judge } from '@pedastance/core/advice';
import { clubById, clubAndShot } from '@pedastance/core/club';
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
import { tellAgreed } from '../../domain/sentences';
import { useLessonContext } from './context';
import { recordLesson } from '../../state/writes/record';
import { useCase } from './useJudgement';
import { useLessonPath } from './useLessonPath';
import { useReading } from './useReading';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { hasChange } from '../../domain/lessonDraft';
import { NotMeasured } from './NotMeasured';
import { common } from '../../domain/common.messages';
import { messages } from './KeepStep.messages';

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
        <Body className="font-semibold">
          {messages.recorded(draft.recorded.map((each) => clubById(each.club).name).join(', '))}
        </Body>
        <Body>{unsent > 0 ? messages.onThisDeviceNotSent(unsent) : messages.onThisDevice}</Body>
      </Notice>
      <Link href={`/students/${student.id}`} className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          {messages.theLog(student.name)}
        </Body>
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
            label={messages.useAsTheReason(words)}
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
      return setFault(messages.reasonExpectedWhyYouAgreed);
    }
    setFault('');
    setBusy(true);
    try {
      const judgement = judged && judge(judged);
      const { reading } = read;
      await recordLesson({ draft, student, build, screen, method, reading, judgement, judged, shotIds });
    } catch (error) {
      setFault(messages.notRecordedThisDevice((error as Error).message));
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
        <Body>{messages.checkedNothingToChangeTodays}</Body>
      )}
      {changing && (
        <>
          <Field
            label={messages.reason}
            value={draft.reason}
            onChangeText={(reason) => changeDraft({ reason })}
            maxLength={500}
            fault={fault || undefined}
            multiline
          />
          {draft.reason === '' && <ReasonChips onPick={(reason) => changeDraft({ reason })} />}
          <Field
            label={messages.feelWhatTheStudentShould}
            value={draft.feel}
            onChangeText={(feel) => changeDraft({ feel })}
            maxLength={500}
          />
        </>
      )}
      <Field
        label={messages.noteForYou}
        value={draft.note}
        onChangeText={(note) => changeDraft({ note })}
        maxLength={2000}
        multiline
      />
      {fault !== '' && !changing && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button
        words={
          busy ? messages.recording : changing ? messages.recordTheChange : messages.recordNothingToChange
        }
        disabled={busy || !looked}
        onPress={() => void record()}
      />
      <Quiet>{messages.itIsKept}</Quiet>
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
      label={common.keep}
      desk={
        <View className="flex-row flex-wrap gap-3 border-t border-grid p-3">
          <Button
            className="flex-1"
            look="plain"
            words={nothingOpen ? messages.anotherClub : messages.backToTheChange}
            onPress={() => openStep(nothingOpen ? 'club' : 'change')}
          />
          <Button
            className="flex-1"
            look={nothingOpen && draft.recorded.length > 0 ? 'act' : 'plain'}
            words={messages.finishTheLesson}
            disabled={!nothingOpen && draft.recorded.length === 0 && !draft.begun}
            onPress={() => void finish(student.id)}
          />
        </View>
      }
    >
      <AlreadyRecorded draft={draft} />
      <Words draft={draft} />
      {nothingOpen && draft.recorded.length === 0 && <Body>{messages.nothingToKeepYetChoose}</Body>}
    </WorkPlace>
  );
}
