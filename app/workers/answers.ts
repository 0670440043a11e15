import { judge } from '@pedastance/core/advice';
import { odditiesOf, readPressure, repaired, swingsFound, tracesOf } from '@pedastance/core/balance';
import { readShots } from '@pedastance/core/formats';
import { factorialVerdict, powerByLook, compare, OUTCOMES, verdictOf } from '@pedastance/core/trial';
import { turnBudget, TURNS } from '@pedastance/core/turn';
import Papa from 'papaparse';
import type { Answers, Question } from './requests';

/** How much of work that lasts is done, 0 to 1. */
export type Progress = (done: number) => void;

/** What takes computing. */
const ANSWERS: { [Ask in keyof Answers]: (of: Question<Ask>['of'], progress: Progress) => Answers[Ask] } = {
  judge: (of) => judge(of),
  judgeEach: (cases) => cases.map((of) => judge(of)),
  budgets: ({ body, feet, goal }) => {
    const [back, through] = TURNS.map((turn) => turnBudget(turn, body, feet, goal));
    return { back: back!, through: through! };
  },
  chances: ({ margin, scatter, blockSize }) => powerByLook(margin, scatter, { blockSize, length: 'full' }),
  // Empty lines within keep the others' numbers; the end of the last line is none.
  rows: ({ text }) => Papa.parse<string[]>(text.trimEnd(), { skipEmptyLines: false }).data,
  pressure({ text, hand, shoe, mapping, repairs }) {
    const rows = Papa.parse<string[]>(text, { skipEmptyLines: true }).data;
    const read = readPressure(rows, hand, mapping ? { mapping, shoe } : undefined);
    const [header = []] = rows;
    if ('faults' in read) return { ...read, header };
    const recording = repairs.reduce(repaired, read.recording);
    const { frames, rate } = recording;
    const found = swingsFound(recording);
    return {
      header,
      seconds: (frames[frames.length - 1]!.at - frames[0]!.at) / 1000,
      rate,
      oddities: odditiesOf(recording, found),
      swings: tracesOf(recording, found.swings),
    };
  },
  shots: ({ rows, sources, hand }) => readShots(rows, sources, hand),
  apart: ({ plan, changes, shots, painUp }) => factorialVerdict(plan, changes, shots, painUp),
  look: ({ plan, shots, look, painUp }, progress) => ({
    verdict: verdictOf(plan, shots, look, painUp),
    comparisons: OUTCOMES.flatMap((outcome, at) => {
      progress((at + 1) / (OUTCOMES.length + 1));
      const margin = outcome === plan.primary ? plan.margin : undefined;
      return compare(plan, outcome, shots, look, margin) ?? [];
    }),
  }),
};

/**
 * Answers a question: in a worker, out of the way of the screen; on the page where no worker can be had.
 * @param question what is asked
 * @param progress is told how far work that lasts is
 * @throws what the computation throws
 */
export function answerTo<Ask extends keyof Answers>(
  { ask, of }: Question<Ask>,
  progress: Progress = () => undefined,
): Answers[Ask] {
  return (ANSWERS[ask] as (of: unknown, progress: Progress) => Answers[Ask])(of, progress);
}
