import type { BandVerdict, Question } from '@pedastance/core/method';
import { isLine } from '@pedastance/core/setup';

/** A figure out of its band carries a shape as well as a colour. */
export const VERDICT_SHAPES: Record<BandVerdict, string> = { below: '▼', in: '●', above: '▲' };

const WORDS: Record<BandVerdict, string> = { below: 'below', in: 'in band', above: 'above' };

/** A line is out to one side of its band, not below or above it. */
const LINE_WORDS: Record<BandVerdict, string> = { below: 'more open', in: 'in band', above: 'more closed' };

/** A verdict on a question in a word or two. */
export const verdictWords = (question: Question, verdict: BandVerdict): string =>
  (isLine(question) ? LINE_WORDS : WORDS)[verdict];
