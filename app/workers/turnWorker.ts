import { fit } from '@pedastance/core/fit';
import { turnBudget, TURNS } from '@pedastance/core/turn';
import type { TurnAnswers, TurnQuestion } from './turnWork';

/** Work that lasts longer than this says how far it is, ms. */
const TELLS_AFTER_MS = 300;

/** Answers questions about a turn, out of the way of the screen. */
const ANSWERS: {
  [Ask in keyof TurnAnswers]: (of: never, progress: (done: number) => void) => TurnAnswers[Ask];
} = {
  fit: (problem: TurnQuestion<'fit'>['of'], progress) => fit(problem, progress),
  budgets: ({ body, feet, goal }: TurnQuestion<'budgets'>['of']) => {
    const [back, through] = TURNS.map((turn) => turnBudget(turn, body, feet, goal));
    return { back: back!, through: through! };
  },
};

self.onmessage = ({ data: { ask, of } }: MessageEvent<TurnQuestion<keyof TurnAnswers>>) => {
  const began = performance.now();
  const progress = (done: number) => {
    if (performance.now() - began > TELLS_AFTER_MS) self.postMessage({ done });
  };
  self.postMessage({ answer: ANSWERS[ask](of as never, progress) });
};
