import { judge, otherWays } from '..';
import { caseOf } from '../test/adviceCases';
import { WRITTEN_CASES } from '../test/writtenCases';

const named = (name: string) => caseOf(WRITTEN_CASES.find((each) => each.name === name)!);

test('other ways than the one that is told are one thing each, allowed, with what each gains', () => {
  const given = named('a swing that is too short on a trail foot at 5°');
  const [told] = judge(given, 0).things;
  const ways = otherWays(given);
  expect(told!.thing).toBe('trail foot');
  expect(ways.map(({ thing }) => thing)).toEqual(['line']);
  expect(ways[0]!.back!.to).toBeGreaterThan(ways[0]!.back!.from);
  expect(ways[0]!.back!.needed).toBe(45);
});

test('what is pinned or barred is no other way, and where the turn has room there is none', () => {
  const given = named('a swing that is too short on a trail foot at 5°');
  expect(otherWays({ ...given, pinned: ['setback'] })).toEqual([]);
  expect(otherWays(named('nothing wrong at all'))).toEqual([]);
  expect(otherWays(named('a sore trail hip, feet as taught'))).toEqual([]);
});

test('a lead leg that stops the turn is freed by its heel where its foot may not come in', () => {
  const given = named('a lead foot so far out that it ends the backswing');
  const ways = otherWays(given);
  expect(ways.map(({ thing }) => thing)).toContain('lead heel up');
  expect(ways.find(({ thing }) => thing === 'lead heel up')!.leadHeelLift).toBe(25);
});
