import type { Person, Student } from '@pedastance/contract';
import {
  cautionsOf,
  factsSuggestedBy,
  isMinor,
  sameFact,
  type Caution,
  type CautionFact,
  type FactKey,
  type Remedy,
} from '@pedastance/core/body';
import { dayOf } from './students';

/** What the note seems to say and nobody has confirmed or waved away. */
export const openSuggestions = ({
  cautions,
  hand,
  facts,
}: Pick<Person, 'cautions' | 'hand' | 'facts'>): FactKey[] =>
  factsSuggestedBy(cautions, hand).filter((suggested) => !facts.some((fact) => sameFact(fact, suggested)));

/** The facts with one more, or with another status for one there is. */
export const withFact = (
  facts: readonly CautionFact[],
  key: FactKey,
  change: Partial<CautionFact>,
  today: string,
): CautionFact[] => {
  const known = facts.find((fact) => sameFact(fact, key));
  const fact: CautionFact = {
    since: '',
    clearedBy: '',
    status: 'stands',
    ...known,
    ...key,
    ...change,
    notedOn: today,
  };
  return known ? facts.map((each) => (each === known ? fact : each)) : [...facts, fact];
};

/** What to mind with this student today, by the facts that stand and by age. */
export const cautionsToday = (student: Student, now: Date): Caution[] =>
  cautionsOf(student.facts, student.hand, isMinor(student, dayOf(now)));

/** What a fit may never ask of this student, and what only by one noticeable step. */
export const remediesOf = (cautions: readonly Caution[]): { barred: Remedy[]; limited: Remedy[] } => ({
  barred: cautions.flatMap(({ withholds }) => withholds),
  limited: cautions.flatMap(({ limits }) => limits),
});
