import type { CautionFact } from '../body';
import { DRILL_LIBRARY } from './drillLibrary';
import { fittingDrills, mayDrill, type Decided } from './drills';

const fact = (given: Partial<CautionFact>): CautionFact => ({
  joint: 'other',
  side: 'both',
  state: 'pain',
  since: '',
  clearedBy: '',
  notedOn: '2026-11-01',
  status: 'stands',
  ...given,
});
const decided = (given: Partial<Decided>): Decided => ({
  things: [],
  cameFor: [],
  tellTales: [],
  paths: [],
  stops: [],
  ...given,
});
const nobody = { facts: [], minor: false };

test('a closed line for somebody who slices is taught far back, then at the laces', () => {
  const drills = fittingDrills(
    DRILL_LIBRARY,
    decided({ things: ['line'], cameFor: ['curves away'] }),
    nobody,
  );
  expect(drills[0]!.id).toBe('far-back-then-laces');
  expect(drills).toHaveLength(2);
});

test('what a caution bars is never offered, whatever fits', () => {
  const much = decided({ things: ['load', 'width', 'line', 'hips'], cameFor: ['falls off balance'] });
  const fell = { facts: [fact({ state: 'recent fall' })], minor: false };
  const offered = fittingDrills(DRILL_LIBRARY, much, fell, DRILL_LIBRARY.length);
  expect(offered.length).toBeGreaterThan(2);
  expect(offered.map(({ id }) => id)).not.toContain('hold-the-strike');
  expect(offered.every((drill) => mayDrill(drill, fell))).toBe(true);
});

test('a fact that is over, or of another joint, bars nothing', () => {
  const strike = DRILL_LIBRARY.find(({ id }) => id === 'hold-the-strike')!;
  expect(mayDrill(strike, { facts: [fact({ joint: 'knee' })], minor: false })).toBe(false);
  expect(mayDrill(strike, { facts: [fact({ joint: 'knee', status: 'over' })], minor: false })).toBe(true);
  expect(mayDrill(strike, { facts: [fact({ joint: 'wrist' })], minor: false })).toBe(true);
  expect(mayDrill({ ...strike, minors: false }, { facts: [], minor: true })).toBe(false);
});

test('nothing is offered where nothing fits', () => {
  expect(fittingDrills(DRILL_LIBRARY, decided({ things: ['less loft'] }), nobody)).toEqual([]);
});

test('each drill says all of itself, once', () => {
  expect(new Set(DRILL_LIBRARY.map(({ id }) => id)).size).toBe(DRILL_LIBRARY.length);
  for (const { name, how, dose, feel, right, things } of DRILL_LIBRARY)
    expect([name, how, dose, feel, right].every((words) => words.length > 0) && things.length > 0).toBe(true);
});

test('what was seen and where the club comes from turn the choice', () => {
  const of = (given: Partial<Decided>) =>
    fittingDrills(DRILL_LIBRARY, decided({ things: ['load'], ...given }), nobody)[0]!.id;
  expect(of({ tellTales: ['trail foot rolls outside'], stops: ['trail'] })).toBe('curl-the-toe');
  expect(of({ tellTales: ['over the top'], paths: ['across from outside'] })).toBe('lead-toes-up');
});
