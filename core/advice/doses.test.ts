import { doseFrom, doseTo, nearestDose, oneDose } from './doses';

test('flares come in fives, bump and heel in half inches, other lengths in centimetres, whatever the unit is called by', () => {
  expect((['leadFlare', 'trailFlare'] as const).map(oneDose)).toEqual([5, 5]);
  expect((['hipBump', 'leadHeelLift'] as const).map(oneDose)).toEqual([12.5, 12.5]);
  expect((['stanceWidth', 'setback', 'ballAlong', 'trailKneeInside'] as const).map(oneDose)).toEqual([
    10, 10, 10, 10,
  ]);
  expect(nearestDose(17.6, 'degrees')).toBe(20);
  expect(nearestDose(17.6, 'mm')).toBe(20);
  expect(nearestDose(12.4, 'mm')).toBe(10);
});

test('a figure is said by the dose that is nearest, the first that reaches it, or the last that it reaches', () => {
  expect(['leadFlare', 'hipBump', 'stanceWidth'].map((each) => nearestDose(18, each as 'leadFlare'))).toEqual(
    [20, 12.5, 20],
  );
  expect([17.4, 17.5].map((value) => nearestDose(value, 'leadFlare'))).toEqual([15, 20]);
  expect([16, 20, 20.1].map((value) => doseFrom(value, 'trailFlare'))).toEqual([20, 20, 25]);
  expect([14.9, 15, 19.9].map((value) => doseTo(value, 'trailFlare'))).toEqual([10, 15, 15]);
  expect([-31, 31].map((value) => doseFrom(value, 'setback'))).toEqual([-30, 40]);
  expect([-31, 31].map((value) => doseTo(value, 'setback'))).toEqual([-40, 30]);
});

test('what rounding did to a figure takes it to no other dose', () => {
  expect(doseFrom(20 + 1e-9, 'leadFlare')).toBe(20);
  expect(doseTo(20 - 1e-9, 'leadFlare')).toBe(20);
  expect(doseFrom(20 + 1e-3, 'leadFlare')).toBe(25);
  expect(doseTo(20 - 1e-3, 'leadFlare')).toBe(15);
});
