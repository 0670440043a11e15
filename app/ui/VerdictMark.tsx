import type { Question, BandVerdict } from '@pedastance/core/method';
import { Text } from 'react-native';
import { VERDICT_SHAPES, verdictWords } from '../domain/verdicts';

/** A verdict by shape, word and colour. */
export const VerdictMark = ({ question, verdict }: { question: Question; verdict: BandVerdict }) => (
  <Text className={`font-text text-sm font-semibold ${verdict === 'in' ? 'text-moss' : 'text-rust'}`}>
    {`${VERDICT_SHAPES[verdict]} ${verdictWords(question, verdict)}`}
  </Text>
);
