import { figureOf, FIGURES, judge, type Case, type Item, type Judgement } from '..';
import { caseOf } from '../test/adviceCases';
import { WRITTEN_CASES, type WrittenCase } from '../test/writtenCases';

/** What a coach would hear first. */
const firstOf = ({ before, things }: Judgement): string => before[0] ?? things[0]?.thing ?? 'nothing';

/** A figure is asked for where it differs by what can be measured. */
const ASKED: Partial<Record<Item, number>> = { stanceLine: 1, stanceWidth: 1 };

/** Which of the moves that must not be are asked for. */
const askedFor = ({ never = [] }: WrittenCase, given: Case, { setup }: Judgement): string[] =>
  never.flatMap(([item, by]) => {
    const from = figureOf(given.setup, item);
    const to = figureOf(setup, item);
    const moved = from === undefined || to === undefined ? 0 : to - from;
    const much = ASKED[item] ?? 0.5;
    return (by === 'more' ? moved > much : moved < -much) ? [`${item} ${by}`] : [];
  });

/** Which figures end elsewhere than a coach would have them. */
const elsewhere = ({ ends = {} }: WrittenCase, { setup }: Judgement): string[] =>
  (Object.entries(ends) as [Item, number][]).flatMap(([item, end]) => {
    const at = figureOf(setup, item)!;
    return Math.abs(at - end) > FIGURES[item].justNoticeable ? [`${item} ends at ${at}, not ${end}`] : [];
  });

describe('a hundred and one cases as a good coach would answer them', () => {
  const tellAll = () =>
    WRITTEN_CASES.map((written) => {
      const given = caseOf(written);
      const judgement = judge(given, 0);
      const asked = askedFor(written, given, judgement);
      return { written, first: firstOf(judgement), asked, elsewhere: elsewhere(written, judgement) };
    });
  let known: ReturnType<typeof tellAll> | undefined;
  // Within a test: what runs while this file is loaded is nobody's test, and a mutant there is tried against all of them.
  const told = () => (known ??= tellAll());

  test('agree on what comes first', () => {
    const others = told()
      .filter(({ written, first }) => !(written.first as readonly string[]).includes(first))
      .map(({ written, first }) => `${written.name}: ${first}, not ${written.first.join(' or ')}`);
    expect(told()).toHaveLength(101);
    expect(others).toEqual([]);
  });

  test('none does what must not be done', () => {
    expect(told().flatMap(({ written, asked }) => asked.map((each) => `${written.name}: ${each}`))).toEqual(
      [],
    );
  });

  test('figures end where a coach would have them', () => {
    expect(
      told().flatMap(({ written, elsewhere: at }) => at.map((each) => `${written.name}: ${each}`)),
    ).toEqual([]);
  });
});
