import { judge } from '@pedastance/core/advice';
import { clubById, clubAndShot } from '@pedastance/core/club';
import { inFootWords } from '@pedastance/core/phrases';
import { Link, router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { currentOwner } from '../../state/account';
import { removeDraft } from '../../state/drafts';
import { changeDraft, chooseClub, closeLesson, lesson, openStep } from '../../state/lesson';
import { useOutbox } from '../../state/outbox';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { tellAgreed } from '../../domain/sentences';
import { useLessonContext } from './context';
import { recordLesson } from '../../state/writes/record';
import { useCase, useJudgement } from './useJudgement';
import { reasonsFor } from '../../domain/reasons';
import { useLessonPath } from './useLessonPath';
import { useReading } from './useReading';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import {
  hasChange,
  namesOf,
  otherParts,
  partKey,
  type ClubPart,
  type LessonDraft,
} from '../../domain/lessonDraft';
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

function ReasonChips({ draft, onPick }: { draft: LessonDraft; onPick: (reason: string) => void }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const read = useReading();
  const judgement = useJudgement();
  if (!read || !draft.setup) return null;
  const { setup, agreed, leadHeelLift } = draft;
  const { findings } = read.reading;
  const reasons = reasonsFor({ setup, agreed: agreed ?? setup, leadHeelLift, judgement, findings });
  return (
    <View className="gap-2" testID="reasons">
      {reasons.map((reason) => {
        const words = inFootWords(reason, speech.feet, speech.hand);
        return (
          <Button
            key={reason}
            look="plain"
            className="justify-start py-2"
            words={words}
            label={messages.useAsTheReason(words)}
            onPress={() => onPick(words)}
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
          {draft.reason === '' && <ReasonChips draft={draft} onPick={(reason) => changeDraft({ reason })} />}
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

/** What was begun with other clubs and is not recorded: it is gone on with from here. */
function NotRecorded({ others }: { others: readonly ClubPart[] }) {
  const { build } = useLessonContext();
  if (others.length === 0) return null;
  const goOn = ({ club, shot }: ClubPart) => {
    chooseClub(club!, shot, build.figures, () => null);
    openStep('keep');
  };
  return (
    <View className="gap-2" testID="not-recorded">
      <Notice kind="caution">{messages.notRecordedYet(namesOf(others))}</Notice>
      {others.map((part) => (
        <Button
          key={partKey(part)}
          look="plain"
          words={messages.goOnWith(namesOf([part]))}
          onPress={() => goOn(part)}
        />
      ))}
    </View>
  );
}

export function KeepStep() {
  const { student } = useLessonContext();
  const draft = useStore(lesson, (state) => state.draft);
  const [asked, setAsked] = useState(false);
  if (!draft) return null;
  const nothingOpen = !draft.club;
  const others = otherParts(draft);
  // What was begun with another club would be lost: it takes a second tap.
  const asks = others.length > 0 && asked;
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
            words={asks ? messages.finishWithout(namesOf(others)) : messages.finishTheLesson}
            disabled={!nothingOpen && draft.recorded.length === 0 && !draft.begun}
            onPress={() => (others.length > 0 && !asked ? setAsked(true) : void finish(student.id))}
          />
        </View>
      }
    >
      <AlreadyRecorded draft={draft} />
      <Words draft={draft} />
      <NotRecorded others={others} />
      {nothingOpen && draft.recorded.length === 0 && <Body>{messages.nothingToKeepYetChoose}</Body>}
    </WorkPlace>
  );
}
