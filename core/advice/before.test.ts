import { judge } from '..';
import { caseOf } from '../test/adviceCases';
import { type WrittenCase } from '../test/writtenCases';
import type { BeforeAll, Case } from './types';

const written = (over: Partial<WrittenCase>): Case => caseOf({ name: 'one of these', first: [], ...over });
const beforeOf = (given: Case): readonly BeforeAll[] => judge(given, 0).before;
const thingsOf = (given: Case) => judge(given, 0).things.map(({ thing }) => thing);

describe('a turn is measured before a foot is moved', () => {
  // Its test says it is a touch short, by less than a starting give may be off.
  const touchShort = (over: Partial<WrittenCase> = {}) =>
    written({ cameFor: ['swing too short'], legs: { inTrail: 16 }, ...over });

  test('also beside something to do that is not for a turn', () => {
    const given = touchShort({ today: { leadShare: 62 } });
    expect(thingsOf(given)).toEqual(['load']);
    expect(beforeOf(given)).toEqual(['measure the turn']);
  });

  test('but not where a foot is moved for a turn all the same, back or through', () => {
    const through = touchShort({
      cameFor: ['swing too short', 'cannot turn through'],
      legs: { inTrail: 16, inLead: 0 },
    });
    expect(thingsOf(through)).toContain('lead foot');
    expect(beforeOf(through)).toEqual([]);
    const back = touchShort({
      cameFor: ['cannot turn back', 'cannot turn through'],
      legs: { inTrail: 0, inLead: 16 },
    });
    expect(thingsOf(back)).toContain('trail foot');
    expect(beforeOf(back)).toEqual([]);
  });
});

describe('a doctor comes first', () => {
  test('where a leg hurt in its test, though no fact and no complaint says so', () => {
    const well = written({});
    expect(beforeOf(well)).toEqual([]);
    expect(beforeOf({ ...well, body: { ...well.body!, hurts: ['trail back'] } })).toEqual(['see a doctor']);
  });
});

describe('feet that were measured in part', () => {
  const partly = (given: Case): Case => {
    const { stanceWidth: _left, ...measured } = given.setup.measured;
    return { ...given, setup: { ...given.setup, measured } };
  };

  test('are measured first where nothing else is to be done, and not where something is', () => {
    expect(beforeOf(partly(written({})))).toEqual(['measure the feet']);
    const given = partly(written({ today: { leadShare: 62 } }));
    expect(thingsOf(given)).toEqual(['load']);
    expect(beforeOf(given)).toEqual([]);
  });
});

test('what a change spares is a joint that stands and has a name, the one that hurts before the stiff one', () => {
  const spares = (facts: WrittenCase['facts'], over: Partial<Case['facts'][number]> = {}) => {
    const given = written({ facts });
    return judge({ ...given, facts: given.facts.map((fact) => ({ ...fact, ...over })) }, 0).spares;
  };
  expect(spares([['hip', 'right', 'stiff']])).toBe('hip');
  expect(
    spares([
      ['hip', 'right', 'stiff'],
      ['knee', 'left', 'pain'],
    ]),
  ).toBe('knee');
  expect(spares([['other', 'both', 'pain']])).toBeNull();
  expect(spares([['hip', 'right', 'stiff']], { status: 'gone' as never })).toBeNull();
});
