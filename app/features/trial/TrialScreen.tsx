import { clubAndShot } from '@pedastance/core/club';
import type { LookEntry } from '@pedastance/contract';
import { OUTCOME_WORDS, type Speech } from '@pedastance/core/phrases';
import type { DECISIONS, FactorialVerdict, Look, LookResult } from '@pedastance/core/trial';
import { useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Working } from '../../cards/Working';
import { wholeGhost } from '../../plan/drawing';
import { Plan, stillScene } from '../../plan/Plan';
import { usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { useWide } from '../../ui/layout';
import { StudentPage } from '../../ui/Page';
import { Body, Heading, Quiet } from '../../ui/Words';
import { useComputation } from '../../workers/useComputation';
import { tellChange } from '../../domain/sentences';
import { useStudentLog } from '../../state/useStudentLog';
import { dayAndTime } from '../../domain/students';
import { CheckNotice } from '../../cards/CheckNotice';
import { FactorialResult } from '../../cards/FactorialResult';
import { hitsOf, planOf, trialsOf, type Trial } from '../../domain/trials';
import { TrialResult } from '../../cards/TrialResult';
import { useSpeech, useUnits } from '../../state/useSpeech';
import { Waiting } from '../../ui/Waiting';
import { messages } from './TrialScreen.messages';

const DECISION_WORDS: Record<(typeof DECISIONS)[number], string> = {
  keep: 'kept',
  'go on': 'went on',
  drop: 'dropped',
};

/** What was decided at a look; what was not shown is not dropped for cause. */
const decidedWords = ({ verdict, decision }: LookEntry): string =>
  verdict === 'not shown' && decision === 'drop' ? 'the old setup stayed' : DECISION_WORDS[decision];

function Looks({ trial }: { trial: Trial }) {
  return (
    <View className="gap-1">
      <Heading>{messages.looks}</Heading>
      {trial.looks.length === 0 && <Body>{messages.noneTakenYet}</Body>}
      {trial.looks.map((look) => (
        <View key={look.id}>
          <Body>
            {messages.lookTheShotsSaid(look.look, dayAndTime(look.madeAt), look.verdict, decidedWords(look))}
          </Body>
          {look.note !== '' && <Body>{messages.decidedOtherwiseBecause(look.note)}</Body>}
          {look.painUp && <Body>{messages.itHurtMoreThanBefore}</Body>}
        </View>
      ))}
    </View>
  );
}

/** Both setups on one plan, A dashed. */
function BothSetups({ trial, hand, shoulders }: { trial: Trial; hand: 'right' | 'left'; shoulders: number }) {
  const viewpoint = usePreferences((state) => state.viewpoint);
  const length = usePreferences((state) => state.length);
  const footWords = usePreferences((state) => state.feet);
  const { A, B } = trial.addresses;
  const ghosts = useMemo(() => [wholeGhost(A.setup)], [A]);
  const scene = useMemo(() => stillScene(B.setup, ghosts), [B, ghosts]);
  return (
    <View className="gap-1">
      <View className="h-[380px] border border-grid">
        <Plan
          scene={scene}
          ghosts={ghosts}
          hand={hand}
          viewpoint={viewpoint}
          length={length}
          footWords={footWords}
          shoulderBreadth={shoulders}
          holds="none"
          label={messages.bothSetupsFromAbove}
        />
      </View>
      <Quiet>{messages.solidBDashed}</Quiet>
    </View>
  );
}

/** A look as it was recorded, on top of what the shots say now: the evidence is the record's, not today's. */
const asRecorded = (now: LookResult, { verdict, because, evidence }: LookEntry): LookResult => ({
  ...now,
  verdict,
  because,
  primary: evidence && now.primary ? { ...now.primary, ...evidence } : now.primary,
});

/** What the shots said at the last look that was taken: as it was recorded, and what else the shots show. */
function Said({ trial, speech }: { trial: Trial; speech: Speech }) {
  const units = useUnits();
  const { apart, primary } = trial.entry;
  const last = trial.looks[trial.looks.length - 1];
  const painUp = last?.painUp ?? false;
  const look = (last?.look ?? 0) as Look | 0;
  const whole = useMemo(() => {
    if (apart || look === 0) return null;
    return { ask: 'look' as const, of: { plan: planOf(trial), shots: trial.shots, look, painUp } };
  }, [trial, apart, look, painUp]);
  const parts = useMemo(() => {
    if (!apart || look === 0) return null;
    const of = { plan: planOf(trial), changes: apart.changes.length, shots: trial.factorialShots, painUp };
    return { ask: 'apart' as const, of };
  }, [trial, apart, look, painUp]);
  const computation = useComputation(whole);
  const { answer } = computation;
  const ofParts = useComputation(parts);
  const { answer: factorialAnswer } = ofParts;
  if (look === 0) {
    return <Body>{messages.noLookYetDecidesShots(OUTCOME_WORDS[primary].name, hitsOf(trial).length)}</Body>;
  }
  if (factorialAnswer) {
    const { verdict, effects } = last!;
    const recorded = {
      ...factorialAnswer,
      verdict: verdict as FactorialVerdict['verdict'],
      effects: effects ?? [],
    };
    return (
      <>
        <CheckNotice check={last!.check} speech={speech} />
        <FactorialResult trial={trial} verdict={recorded} speech={speech} units={units} />
      </>
    );
  }
  if (!answer) return <Working of={parts ? ofParts : computation} />;
  return (
    <>
      <CheckNotice check={last!.check} speech={speech} />
      <TrialResult
        trial={trial}
        verdict={asRecorded(answer.verdict, last!)}
        comparisons={answer.comparisons}
        speech={speech}
        units={units}
      />
    </>
  );
}

/** A trial as it was: two setups on one plan, every shot of both, and what was decided. */
export function TrialScreen() {
  const { student: id, trial: trialId } = useLocalSearchParams<{ student: string; trial: string }>();
  const { student, loaded } = useStudentLog(id);
  const entries = useRecords((state) => state.entries);
  const trial = useMemo(
    () => trialsOf(Object.values(entries), id).find(({ entry }) => entry.id === trialId),
    [entries, id, trialId],
  );
  const speech = useSpeech(student?.hand ?? 'right');
  const wide = useWide();
  if (!student || !trial) return <Waiting words={loaded ? messages.thisTrial : undefined} />;
  const { A, B } = trial.addresses;
  const lines = tellChange(A.setup, B.setup, speech);
  const { cueA, cueB } = trial.entry;
  return (
    <StudentPage
      student={student}
      label={messages.trialOf(student.name)}
      title={messages.trial(clubAndShot(A.club, A.shot))}
      under={`${student.name} · ${dayAndTime(trial.entry.madeAt)}`}
    >
      <View className={wide ? 'flex-row gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          <BothSetups
            trial={trial}
            hand={student.hand}
            shoulders={student.build?.figures.shoulderBreadth.value ?? 0}
          />
          {lines.map((line) => (
            <Body key={line}>{`B: ${line}`}</Body>
          ))}
          {cueA !== '' && <Body>{messages.aThinking(cueA)}</Body>}
          {cueB !== '' && <Body>{messages.bThinking(cueB)}</Body>}
          <Looks trial={trial} />
        </View>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          <Said trial={trial} speech={speech} />
        </View>
      </View>
    </StudentPage>
  );
}
