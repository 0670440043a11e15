import { testWanted, turnBudget, USUAL_GOAL, type StopName } from '..';
import { bodyOf, feetOf } from '../test/turning';

test('a leg that tests at what is wanted stops the turn just where it is needed', () => {
  const feet = feetOf(15, 20);
  const wanted = (name: StopName, legs: Parameters<typeof bodyOf>[0]) =>
    testWanted(name, bodyOf(legs), feet, USUAL_GOAL)!;
  // 45 needed going back, less 10 give and 20 flare.
  expect(wanted('trail back', { inTrail: 9 })).toBeCloseTo(15, 9);
  expect(turnBudget('back', bodyOf({ inTrail: 15 }), feet).limit).toBeCloseTo(45, 9);
  // 45 needed through, less 10 give and 15 flare.
  expect(wanted('lead through', { inLead: 40 })).toBeCloseTo(20, 9);
  // Flaring the lead foot takes from the turn back: 45 less 35 give and 15 more.
  expect(wanted('lead back', { outLead: 50 })).toBeCloseTo(25, 9);
});

test('a stiffer trunk wants more of the legs; nothing is wanted of a leg that was not tested', () => {
  const feet = feetOf(0, 0);
  const of = (trunk: number) => testWanted('trail back', bodyOf({ trunk }), feet, USUAL_GOAL)!;
  expect(of(40) - of(45)).toBeCloseTo(5, 9);
  const untested = bodyOf();
  untested.legs.turnIn.trail = null;
  expect(testWanted('trail back', untested, feet, USUAL_GOAL)).toBeNull();
});
