import { angleFigure } from '@pedastance/core/units';
import { EMPTY_SCREEN, naturalToeOut, screenFor } from '@pedastance/core/body';
import type { ReactNode } from 'react';
import { useMemo } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { useStore } from 'zustand';
import type { TestEntry } from '@pedastance/contract';
import { ladderKey } from '@pedastance/contract/climbed';
import { entryFound, testName } from '../../../domain/fieldTestWords';
import { isUnsteady, laddersFor, laddersIn, ON_ONE_LEG, type OfferedLadder } from '../../../domain/ladders';
import { keptFound, ladderName } from '../../../domain/ladderWords';
import { spoken } from '../../../domain/sentences';
import { day, dayOf } from '../../../domain/students';
import { openFieldTest } from '../../../state/ladder';
import { changeDraft, lesson, openStep } from '../../../state/lesson';
import { useOwnLadders } from '../../../state/ownThings';
import { useRecords } from '../../../state/records';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Body, Heading, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { WorkPlace } from '../WorkPlace';
import { messages as tests } from './FieldTests.messages';
import { BroomstickRunner } from './BroomstickRunner';
import { FinishRunner } from './FinishRunner';
import { LadderRunner } from './LadderRunner';
import { messages } from './LadderStep.messages';
import { LowPointRunner } from './LowPointRunner';
import { SetbackRunner } from './SetbackRunner';
import { StripeRunner } from './StripeRunner';
import { SettledRunner } from './SettledRunner';
import { useNewestTest } from './TestFrame';

/** The ladders that this student is offered. */
function useOffered(): OfferedLadder[] {
  const { student } = useLessonContext();
  const own = useOwnLadders();
  return useMemo(() => laddersFor(student, own, dayOf(new Date())), [student, own]);
}

interface RowProps {
  name: string;
  purpose: string;
  /** What it found last, and when. */
  found?: { words: string; on: string } | null | undefined;
  onPress: () => void;
}

/** A field test in the list: what it is for, and what it found last. */
function Row({ name, purpose, found, onPress }: RowProps) {
  return (
    <Pressable
      role="button"
      aria-label={name}
      onPress={onPress}
      className="min-h-[56px] gap-1 border-b border-grid py-3"
      testID="field-test"
    >
      <Body className="text-lg font-semibold text-lagoon">{name}</Body>
      <Quiet>{purpose}</Quiet>
      {found && found.words !== '' && <Body>{tests.last(day(found.on), found.words)}</Body>}
    </Pressable>
  );
}

/** The ladders, each with what it found last. */
function Ladders() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const offered = useOffered();
  const entries = useRecords((state) => state.entries);
  const kept = useMemo(() => laddersIn(Object.values(entries), student.id), [entries, student.id]);
  return (
    <>
      {offered.map((each) => {
        const last = kept.find((entry) => ladderKey(entry) === each.key);
        const told = last && keptFound(last, kept, speech);
        return (
          <Row
            key={each.key}
            name={ladderName(each, speech)}
            purpose={spoken(each.ladder.purpose, speech)}
            found={last && told && { words: told.words, on: last.madeAt }}
            onPress={() => openFieldTest(each.key)}
          />
        );
      })}
    </>
  );
}

/** The tests beside the ladders that this student is offered, each with what it found last. */
function Others() {
  const { student, screen } = useLessonContext();
  const speech = useSpeech(student.hand);
  const unsteady = isUnsteady(student);
  const toeOut = screen && naturalToeOut(screenFor(screen, student.hand));
  const lookAtToes = () => {
    if (!lesson.getState().draft?.screen) changeDraft({ screen: { ...EMPTY_SCREEN, hand: student.hand } });
    openStep('legs');
  };
  return (
    <>
      {TESTS.filter((test) => !unsteady || !ON_ONE_LEG.includes(test)).map((test) => (
        <TestRow key={test} test={test} />
      ))}
      <Row
        name={tests.toeOut.name}
        purpose={tests.toeOut.purpose}
        found={
          toeOut && {
            words: spoken(tests.toeOut.found(angleFigure(toeOut.lead), angleFigure(toeOut.trail)), speech),
            on: screen.madeAt,
          }
        }
        onPress={lookAtToes}
      />
      {unsteady && <Notice kind="caution">{messages.unsteady}</Notice>}
    </>
  );
}

const TESTS = ['low point', 'finish', 'lift', 'settled', 'broomstick', 'stripe', 'setback'] as const;
type Test = (typeof TESTS)[number];
const PURPOSES: Record<Test, string> = {
  'low point': tests.lowPoint.purpose,
  finish: tests.finish.purpose,
  lift: tests.lift.purpose,
  broomstick: tests.broomstick.purpose,
  stripe: tests.stripe.purpose,
  settled: tests.settled.purpose,
  setback: tests.setback.purpose,
};
const isTest = (name: string): name is Test => (TESTS as readonly string[]).includes(name);

function TestRow({ test }: { test: Test }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const last = useNewestTest(test, false);
  return (
    <Row
      name={testName(test)}
      purpose={spoken(PURPOSES[test], speech)}
      found={last && { words: entryFound(last as TestEntry, speech), on: last.madeAt }}
      onPress={() => openFieldTest(test)}
    />
  );
}

/** What a test with a club shows before one was chosen. */
function WithClub({ children }: { children: (club: NonNullable<ReturnType<typeof useClub>>) => ReactNode }) {
  const club = useClub();
  if (club) return <>{children(club)}</>;
  return (
    <View className="gap-3">
      <Body>{tests.needsClub}</Body>
      <Button words={tests.chooseClub} onPress={() => openStep('club')} />
    </View>
  );
}
const useClub = () => useStore(lesson, (state) => state.draft?.club ?? null);

/** The field test that is open. */
function Open({ name }: { name: string }) {
  const offered = useOffered();
  const ladder = offered.find(({ key }) => key === name);
  if (ladder) return <LadderRunner key={name} offered={ladder} />;
  if (name === 'settled') return <SettledRunner />;
  if (name === 'setback') return <WithClub>{(club) => <SetbackRunner club={club} />}</WithClub>;
  if (name === 'low point') return <WithClub>{(club) => <LowPointRunner key={club} club={club} />}</WithClub>;
  if (name === 'finish' || name === 'lift')
    return <WithClub>{(club) => <FinishRunner key={name} test={name} club={club} />}</WithClub>;
  if (name === 'broomstick') return <BroomstickRunner />;
  if (name === 'stripe') return <WithClub>{(club) => <StripeRunner club={club} />}</WithClub>;
  return null;
}

/** The name of a field test, over its runner. */
function useName(name: string): string {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const ladder = useOffered().find(({ key }) => key === name);
  return ladder ? ladderName(ladder, speech) : isTest(name) ? testName(name) : '';
}

function OpenTest({ name }: { name: string }) {
  return (
    <WorkPlace label={messages.title} plan="strip">
      <View className="flex-row items-center justify-between gap-2">
        <Heading>{useName(name)}</Heading>
        <Button look="quiet" words={messages.allTests} onPress={() => openFieldTest(null)} />
      </View>
      <Open name={name} />
    </WorkPlace>
  );
}

/** Tests on the tee: what this student needs, found a step at a time instead of guessed. */
export function LadderStep() {
  const open = useStore(lesson, (state) => state.draft?.openTest ?? null);
  if (open) return <OpenTest key={open} name={open} />;
  return (
    <ScrollView className="flex-1" contentContainerClassName="p-4" tabIndex={0} aria-label={messages.title}>
      <Ladders />
      <Others />
    </ScrollView>
  );
}
