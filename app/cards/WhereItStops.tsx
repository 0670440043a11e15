import { budgetSentence, type Speech } from '@pedastance/core/phrases';
import { Body } from '../ui/Words';
import type { Turning } from './turning';

/** Both ways of turning in words: where each ends, and by which leg. What to do about it is the judgement's to say. */
export function WhereItStops({ turning: { back, through }, speech }: { turning: Turning; speech: Speech }) {
  return [back, through].map((budget) => <Body key={budget.turn}>{budgetSentence(budget, speech)}</Body>);
}
