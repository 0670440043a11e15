import type { Student, TrialEntry } from '@pedastance/contract';
import { liftWords } from '@pedastance/core/phrases';
import { differences, type Setup } from '@pedastance/core/setup';
import {
  FACTORIAL,
  OUTCOME_DEFINITIONS,
  ownScatter,
  SHOTS_A_BLOCK,
  type BlockSize,
  type MishitRule,
  type Outcome,
  type TrialLength,
} from '@pedastance/core/trial';
import { shotNumber } from '@pedastance/core/units';
import { useMemo, useState } from 'react';
import { isSimulated } from '@pedastance/contract/ownShots';
import { tellChange } from '../../../domain/sentences';
import { planOf, trialsOf } from '../../../domain/trials';
import { typedNumber } from '../../../domain/typedNumber';
import { lesson } from '../../../state/lesson';
import { useRecords } from '../../../state/records';
import { useSpeech, useUnits } from '../../../state/useSpeech';
import { common } from '../../../domain/common.messages';
import { messages } from './DeclareTrial.messages';
import { declareTrial } from '../../../state/writes/trial';

export type Source = TrialEntry['source'];

const MEASURED: readonly Outcome[] = [
  'straight path',
  'start line',
  'nearness to the line',
  'carry',
  'club speed',
  'clean strike',
];

/** What a monitor measures, and what an eye and a thumb note. */
export const SEEN_BY: Record<Source, readonly Outcome[]> = {
  'by hand': ['started on line', 'flew straight', 'clean strike', 'balance held', 'turn felt'],
  typed: MEASURED,
  file: MEASURED,
  'simulated monitor': MEASURED,
};

const MOST_WARM_UPS = 20;

/** What is declared before the first shot, as far as it is typed. */
interface Declaration {
  length: TrialLength;
  source: Source;
  primary: Outcome;
  margin: string;
  scatter: string;
  mishits: MishitRule;
  blockSize: BlockSize;
  warmUps: string;
  way: 'whole' | 'apart';
  cueA: string;
  cueB: string;
}

/** How shots of a kind scatter in an outcome, by this student's trials: simulated ones tell of simulated ones alone. */
function useOwnScatter(studentId: string) {
  const entries = useRecords((state) => state.entries);
  return useMemo(() => {
    const trials = trialsOf(Object.values(entries), studentId);
    return (outcome: Outcome, source: Source) =>
      ownScatter(
        outcome,
        trials
          .filter(({ entry }) => isSimulated(entry) === isSimulated({ source }))
          .map((trial) => ({ plan: planOf(trial), shots: trial.shots })),
      );
  }, [entries, studentId]);
}

/** Everything about a trial that is said before the first shot, and the word to start it. */
export function useDeclaration(student: Student, a: Setup, b: Setup) {
  const speech = useSpeech(student.hand);
  const units = useUnits();
  const scatterOf = useOwnScatter(student.id);
  const [fault, setFault] = useState('');
  const typedFor = (outcome: Outcome, source: Source): Pick<Declaration, 'margin' | 'scatter'> => {
    const { unit, margin, scatter } = OUTCOME_DEFINITIONS[outcome];
    const words = (value: number) => String(Math.round(shotNumber.shown(value, unit, units) * 10) / 10);
    return { margin: words(margin), scatter: words(scatterOf(outcome, source)?.scatter ?? scatter) };
  };
  const [declared, setDeclared] = useState<Declaration>(() => ({
    length: 'quick',
    source: 'by hand',
    primary: SEEN_BY['by hand'][0]!,
    ...typedFor(SEEN_BY['by hand'][0]!, 'by hand'),
    mishits: 'left out',
    blockSize: 2,
    warmUps: '4',
    way: 'whole',
    cueA: '',
    // A lifted heel is not seen on the plan: it is tried as what is thought of.
    cueB: liftWords(lesson.getState().draft?.leadHeelLift ?? 0, speech),
  }));
  const change = (changed: Partial<Declaration>) => setDeclared((before) => ({ ...before, ...changed }));
  const choose = (primary: Outcome, source: Source = declared.source) =>
    change({ primary, source, ...typedFor(primary, source) });
  const chooseSource = (source: Source) =>
    choose(SEEN_BY[source].includes(declared.primary) ? declared.primary : SEEN_BY[source][0]!, source);

  const { unit } = OUTCOME_DEFINITIONS[declared.primary];
  const stored = (text: string) => shotNumber.stored(typedNumber(text), unit, units);
  const [margin, scatter] = [stored(declared.margin), stored(declared.scatter)];
  const sound = margin > 0 && scatter > 0 && margin <= 100 && scatter <= 100;
  const quick = declared.length === 'quick';
  const differing = differences(a, b);
  const canApart = !quick && differing.length >= FACTORIAL.least && differing.length <= FACTORIAL.most;
  const apart = canApart && declared.way === 'apart';
  const lines = tellChange(a, b, speech);

  /** What is wrong with the declaration; empty where it can start. */
  const faultOf = (warm: number): string => {
    if (!(Number.isInteger(warm) && warm >= 0 && warm <= MOST_WARM_UPS))
      return messages.warmUpsExpected(MOST_WARM_UPS, declared.warmUps);
    if (!sound) return messages.gainAndScatterExpected;
    if (lines.length === 0 && declared.cueA.trim() === declared.cueB.trim())
      return messages.otherFeetExpected;
    return '';
  };
  const start = async () => {
    // Of so few shots none is spent on warming up.
    const warmUps = quick ? 0 : typedNumber(declared.warmUps);
    const wrong = faultOf(warmUps);
    setFault(wrong);
    if (wrong) return;
    const { primary, mishits, length, source, cueA, cueB } = declared;
    const blockSize = quick ? 1 : apart ? SHOTS_A_BLOCK : declared.blockSize;
    try {
      await declareTrial(student, a, b, {
        ...{ primary, mishits, length, source, margin, scatter, warmUps, blockSize },
        cueA: cueA.trim(),
        cueB: cueB.trim(),
        apart: apart ? differing : null,
      });
    } catch (error) {
      setFault(common.notKept((error as Error).message));
    }
  };
  return {
    declared,
    change,
    choose,
    chooseSource,
    start,
    fault,
    unit,
    margin: sound ? margin : null,
    scatter: sound ? scatter : null,
    ownShots: scatterOf(declared.primary, declared.source)?.shots ?? null,
    changes: differing.length,
    canApart,
    apart,
    lines,
  };
}

export type Declaring = ReturnType<typeof useDeclaration>;
