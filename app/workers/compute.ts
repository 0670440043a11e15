import { judge } from '@pedastance/core/advice';
import { odditiesOf, readPressure, repaired, swingsIn, traceOf } from '@pedastance/core/balance';
import { readShots } from '@pedastance/core/formats';
import { factorialVerdict, powerByLook, compare, OUTCOMES, verdictOf } from '@pedastance/core/trial';
import { turnBudget, TURNS } from '@pedastance/core/turn';
import Papa from 'papaparse';
import type { Answers, Question } from './requests';

/** Work that lasts longer than this says how far it is, ms. */
const TELLS_AFTER_MS = 300;

type Progress = (done: number) => void;

/** Answers what takes computing, out of the way of the screen. */
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
    return {
      header,
      seconds: (frames[frames.length - 1]!.at - frames[0]!.at) / 1000,
      rate,
      oddities: odditiesOf(recording),
      swings: swingsIn(recording).map((times) => traceOf(recording, times)),
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

self.onmessage = ({ data }: MessageEvent<Question<keyof Answers>>) => {
  const began = performance.now();
  const progress = (done: number) => {
    if (performance.now() - began > TELLS_AFTER_MS) self.postMessage({ done });
  };
  const answer = ANSWERS[data.ask] as (of: unknown, progress: Progress) => unknown;
  self.postMessage({ answer: answer(data.of, progress) });
};
