import type { Verdict } from '@pedastance/core';
import { Text } from 'react-native';
import { VERDICT_SHAPES } from '../plan/drawing';

const WORDS: Record<Verdict, string> = { below: 'below', in: 'in band', above: 'above' };

/** A verdict by shape, word and colour. */
export const VerdictMark = ({ verdict }: { verdict: Verdict }) => (
  <Text className={`font-text text-sm font-semibold ${verdict === 'in' ? 'text-moss' : 'text-rust'}`}>
    {`${VERDICT_SHAPES[verdict]} ${WORDS[verdict]}`}
  </Text>
);
