import type { Question, BandVerdict } from '@pedastance/core/method';
import { isLine } from '@pedastance/core/setup';
import { Text } from 'react-native';
import { VERDICT_SHAPES } from '../plan/drawing';

const WORDS: Record<BandVerdict, string> = { below: 'below', in: 'in band', above: 'above' };
/** A line is out to one side of its band, not below or above it. */
const LINE_WORDS: Record<BandVerdict, string> = { below: 'more open', in: 'in band', above: 'more closed' };

/** A verdict on a question in a word or two. */
export const verdictWords = (question: Question, verdict: BandVerdict): string =>
  (isLine(question) ? LINE_WORDS : WORDS)[verdict];

/** A verdict by shape, word and colour. */
export const VerdictMark = ({ question, verdict }: { question: Question; verdict: BandVerdict }) => (
  <Text className={`font-text text-sm font-semibold ${verdict === 'in' ? 'text-moss' : 'text-rust'}`}>
    {`${VERDICT_SHAPES[verdict]} ${verdictWords(question, verdict)}`}
  </Text>
);
