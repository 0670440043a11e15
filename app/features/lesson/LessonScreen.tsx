import { clubById } from '@pedastance/core/club';
import { turningBody } from '@pedastance/core/turn';
import { cautionsToday } from '../../domain/facts';
import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useMemo, type ComponentType } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { currentOwner, useMadeUp } from '../../state/account';
import { useDrafts } from '../../state/drafts';
import { closeLesson, keepBeforeLeaving, lesson, openLesson, openStep } from '../../state/lesson';
import type { Step } from '../../domain/lessonDraft';
import { newestScreen, useRecords } from '../../state/records';
import { useOpenStudent } from '../../state/useStudentLog';
import { PainToAsk } from '../../cards/PainToAsk';
import { Button } from '../../ui/Button';
import { useWide } from '../../ui/layout';
import { BackTo } from '../../ui/Page';
import { Body, Quiet } from '../../ui/Words';
import { inShort } from '../../domain/students';
import { BodyStep } from './BodyStep';
import { ChangeStep } from './ChangeStep';
import { ClubStep } from './ClubStep';
import {
  LessonContext,
  useLessonContext,
  useMethod,
  useNewJudge,
  useNewOwn,
  type LessonFacts,
} from './context';
import { FeetStep } from './FeetStep';
import { KeepStep } from './KeepStep';
import { LadderStep } from './ladder/LadderStep';
import { PressureStep } from './pressure/PressureStep';
import { LessonPlan } from './LessonPlan';
import { LegsStep } from './LegsStep';
import { ReadStep } from './ReadStep';
import { PartBar } from './PartBar';
import { PhotoStep } from './photo/PhotoStep';
import { PlaceBar } from './PlaceBar';
import { QuickLookStep } from './QuickLookStep';
import { TapeStep } from './TapeStep';
import { JudgementContext, useNewJudgement } from './useJudgement';
import { TryStep } from './try/TryStep';
import { WhoStep } from './WhoStep';
import { Waiting } from '../../ui/Waiting';
import { common } from '../../domain/common.messages';
import { messages } from './LessonScreen.messages';

const STEPS: Record<Step, ComponentType> = {
  who: WhoStep,
  legs: LegsStep,
  ladder: LadderStep,
  pressure: PressureStep,
  club: ClubStep,
  feet: FeetStep,
  tape: TapeStep,
  photo: PhotoStep,
  quickLook: QuickLookStep,
  body: BodyStep,
  read: ReadStep,
  change: ChangeStep,
  try: TryStep,
  keep: KeepStep,
};

function Header({ student }: { student: LessonContext['student'] }) {
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const madeUp = useMadeUp();
  return (
    <View role="banner" className="flex-row items-center gap-1 pr-3">
      <BackTo label={common.backTo(student.name)} href={`/students/${student.id}`} />
      <View className="flex-1 py-2">
        <Body
          numberOfLines={2}
          role="heading"
          aria-level={1}
          className="font-heading text-[20px] font-bold leading-[24px]"
        >
          {student.name}
        </Body>
        <Quiet numberOfLines={1}>
          {inShort(student, new Date())}
          {madeUp ? common.madeUp : ''}
          {student.cautions !== '' ? ` · ! ${student.cautions}` : ''}
        </Quiet>
      </View>
      <Button
        look="plain"
        words={club ? `${clubById(club).name}${shot === 'pitch' ? ', pitch' : ''}` : common.club}
        label={club ? messages.clubChooseAnother(clubById(club).name) : messages.clubNoneYetChooseOne}
        onPress={() => openStep('club')}
      />
    </View>
  );
}

function Steps() {
  const step = useStore(lesson, (state) => state.draft?.step ?? 'who');
  const hasFeet = useStore(lesson, (state) => Boolean(state.draft?.setup));
  const wide = useWide();
  const Place = STEPS[step];
  if (!wide)
    return (
      <>
        <PartBar />
        <Place />
      </>
    );
  return (
    <View className="flex-1 flex-row">
      <View className="flex-1 border-r border-ink">
        {hasFeet ? (
          <LessonPlan />
        ) : (
          <View className="flex-1 items-center justify-center p-10">
            <Body>{messages.thePlanOpensWhen}</Body>
          </View>
        )}
      </View>
      <View className="w-[460px]">
        <PartBar />
        <Place />
      </View>
    </View>
  );
}

/** Keeps what has not been kept whenever the page may go away; leaving the lesson closes it. */
function keepWhileOpen(): () => void {
  const hidden = () => document.visibilityState === 'hidden' && keepBeforeLeaving();
  addEventListener('pagehide', keepBeforeLeaving);
  document.addEventListener('visibilitychange', hidden);
  return () => {
    removeEventListener('pagehide', keepBeforeLeaving);
    document.removeEventListener('visibilitychange', hidden);
    closeLesson();
  };
}

/** The places of the lesson, with the one judgement that those who tell of it share. */
function Places() {
  const { student } = useLessonContext();
  const judgement = useNewJudgement();
  const wide = useWide();
  return (
    <JudgementContext value={judgement}>
      <View role="main" className="flex-1 bg-paper">
        <Header student={student} />
        <PainToAsk student={student} />
        <View className={`flex-1 ${wide ? 'flex-row border-t border-ink' : ''}`}>
          {wide && <PlaceBar />}
          <View className="flex-1">
            <Steps />
          </View>
          {!wide && <PlaceBar />}
        </View>
      </View>
    </JudgementContext>
  );
}

/** The lesson with everything its steps go by, and the one judge they all ask. */
function OpenLesson({ facts }: { facts: LessonFacts }) {
  const own = useNewOwn(facts);
  const judge = useNewJudge(facts, own);
  const context = useMemo(() => ({ ...facts, own, ...judge }), [facts, own, judge]);
  return (
    <LessonContext value={context}>
      <Places />
    </LessonContext>
  );
}

/** A lesson: the steps in order, each openable at any time, and nothing lost on leaving. */
export function LessonScreen() {
  const { lesson: id } = useLocalSearchParams<{ lesson: string }>();
  const kept = useDrafts((state) => state.drafts[id]);
  const draftsLoaded = useDrafts((state) => state.loaded);
  const recordsLoaded = useOpenStudent(kept?.studentId);
  const listLoaded = useRecords((state) => state.loaded);
  const student = useRecords((state) => (kept ? state.students[kept.studentId] : undefined));
  const chosen = useStore(lesson, (state) => state.draft?.methodId ?? null);
  const method = useMethod(chosen);
  const screen = useRecords((state) => (kept ? newestScreen(state.screens, kept.studentId) : null));
  const opened = useStore(lesson, (state) => state.draft?.id === id);
  const build = student?.build;
  const facts = useMemo(
    () =>
      student && build && method
        ? {
            student,
            build,
            method,
            screen,
            legs: screen && turningBody(screen, student.hand),
            cautions: cautionsToday(student, new Date()),
          }
        : null,
    [student, build, method, screen],
  );

  useEffect(() => {
    const owner = currentOwner();
    if (owner && kept && lesson.getState().draft?.id !== id) {
      openLesson(owner, kept);
    }
  }, [id, kept]);
  useEffect(keepWhileOpen, []);

  if (!draftsLoaded || !listLoaded || (kept && !recordsLoaded)) return <Waiting />;
  if (!kept) return <Waiting words={messages.thisLesson} />;
  if (!student || !method) return <Waiting words={messages.whatThisLessonNeeds} />;
  if (!build) {
    return (
      <View role="main" className="flex-1 justify-center gap-3 bg-paper p-6">
        <Body>{messages.hasNoBuildYet(student.name)}</Body>
        <Button words={messages.enterTheBuild} onPress={() => router.push(`/students/${student.id}/edit`)} />
      </View>
    );
  }
  if (!facts || !opened) return <Waiting />;
  return <OpenLesson facts={facts} />;
}
