import type { Question } from '@pedastance/core/method';
import { isLine } from '@pedastance/core/phrases';
import type { Verdict } from '@pedastance/core/reading';
import { Text } from 'react-native';
import { VERDICT_SHAPES } from '../plan/drawing';

const WORDS: Record<Verdict, string> = { below: 'below', in: 'in band', above: 'above' };
/** A line is out to one side of its band, not below or above it. */
const LINE_WORDS: Record<Verdict, string> = { below: 'more open', in: 'in band', above: 'more closed' };

/** A verdict on a question in a word or two. */
export const verdictWords = (question: Question, verdict: Verdict): string =>
  (isLine(question) ? LINE_WORDS : WORDS)[verdict];

/** A verdict by shape, word and colour. */
export const VerdictMark = ({ question, verdict }: { question: Question; verdict: Verdict }) => (
  <Text className={`font-text text-sm font-semibold ${verdict === 'in' ? 'text-moss' : 'text-rust'}`}>
    {`${VERDICT_SHAPES[verdict]} ${verdictWords(question, verdict)}`}
  </Text>
);
