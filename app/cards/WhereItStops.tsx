import type { Student } from '@pedastance/contract';
import { asksTurn } from '@pedastance/core/advice';
import { budgetSentence, type Speech } from '@pedastance/core/phrases';
import { Body } from '../ui/Words';
import type { Turning } from './turning';

interface WhereItStopsProps {
  turning: Turning;
  student: Pick<Student, 'facts'>;
  speech: Speech;
}

/** Both ways of turning in words: where each ends, and by which leg. What to do about it is the judgement's to say. */
export function WhereItStops({ turning: { back, through }, student, speech }: WhereItStopsProps) {
  const asked = asksTurn({ shot: 'full', facts: student.facts, cameFor: [] });
  return [back, through].map((budget) => (
    <Body key={budget.turn}>{budgetSentence(budget, speech, asked)}</Body>
  ));
}
