import type { Caution } from '@pedastance/core/body';
import { budgetSentence, nextStopSentence, type Speech } from '@pedastance/core/phrases';
import { View } from 'react-native';
import { Body } from '../ui/Words';
import type { Turning } from './turning';

/** Both ways of turning in words: where each ends, by which leg, and what would free it. */
export function WhereItStops({
  turning: { back, through },
  cautions,
  speech,
}: {
  turning: Turning;
  cautions: readonly Caution[];
  speech: Speech;
}) {
  return [back, through].map((budget) => {
    const next = nextStopSentence(budget, speech, cautions);
    return (
      <View key={budget.turn}>
        <Body>{budgetSentence(budget, speech)}</Body>
        {next !== '' && <Body className="font-semibold">{next}</Body>}
      </View>
    );
  });
}
