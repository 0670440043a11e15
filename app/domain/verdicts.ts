import type { BandVerdict, Question } from '@pedastance/core/method';
import { FIGURE_WORDS, type FigureName } from '@pedastance/core/setup';

/** A figure out of its band carries a shape as well as a colour. */
export const VERDICT_SHAPES: Record<BandVerdict, string> = { below: '▼', in: '●', above: '▲' };

/** A verdict on a question in a word or two: the fault by its own name. */
export function verdictWords(question: Question, verdict: BandVerdict): string {
  if (verdict === 'in') return 'fine';
  const figure = question === 'heelToe' ? 'leadHeelToe' : (question as FigureName);
  const { tooSmall, tooLarge } = FIGURE_WORDS[figure];
  return verdict === 'below' ? tooSmall : tooLarge;
}
