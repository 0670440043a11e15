import { ballMoveBy, driverAttack, lowPointOf, lowPointOfShots } from '..';
import { groundSentences } from '../phrases';

const divot = (divotStart: number, divotEnd?: number) => ({
  divotStart,
  ...(divotEnd !== undefined && { divotEnd }),
  mishit: false,
});
const METRIC = { length: 'cm', distance: 'metres', speed: 'miles an hour' } as const;

test('the low point is a little before the middle of a divot', () => {
  expect(lowPointOf(divot(10, 170))).toEqual({ value: 82, uncertainty: 15 });
});

test('from the start alone it is 80 ± 40 mm further toward the target', () => {
  expect(lowPointOf(divot(20))).toEqual({ value: 100, uncertainty: 41 });
  expect(lowPointOf({ mishit: false })).toBeNull();
});

test('more shots settle the scatter, and not what was guessed alike for all of them', () => {
  const guessed = lowPointOfShots(Array.from({ length: 25 }, () => divot(20)))!;
  expect(guessed).toMatchObject({ value: 100, start: 20, shots: 25 });
  // Student's t at 24 degrees of freedom is 2.064 (handbook tables); a tape's 10 mm over five.
  expect(guessed.halfWidth).toBeCloseTo(Math.hypot(1.96 * 40, 2.064 * 2), 1);
  const measured = lowPointOfShots([divot(0, 120), divot(20, 140), divot(40, 160), { mishit: true }])!;
  expect(measured).toMatchObject({ value: 74, shots: 3 });
  // By hand: squared, 400 / 3 by scatter and 9.6² by the place along a divot of 120 mm, 225.5 in all, at 5.7 effective degrees
  // of freedom: Student's t lies between 2.571 at 5 and 2.447 at 6 (handbook tables).
  expect(measured.halfWidth).toBeGreaterThan(2.447 * Math.sqrt(225.5));
  expect(measured.halfWidth).toBeLessThan(2.571 * Math.sqrt(225.5));
  // Two divots tell nothing of how they scatter: they are taken to scatter as divots do.
  expect(lowPointOfShots([divot(0), divot(1)])!.halfWidth).toBeCloseTo(
    1.96 * Math.hypot(25 / Math.SQRT2, 40),
    1,
  );
});

test('the ball goes by the start of the divot, or just behind it', () => {
  expect([-5, 0, 20].map(ballMoveBy)).toEqual([0, 0, 0]);
  expect(ballMoveBy(50)).toBe(40);
  expect(ballMoveBy(-30)).toBe(-40);
  for (let start = -200; start <= 250; start += 5) {
    // Once it is moved nothing is asked again.
    expect(ballMoveBy(start - ballMoveBy(start))).toBe(0);
  }
});

test('what to do comes first, in whole centimetres', () => {
  expect(groundSentences('7-iron', [divot(48, 150), divot(52, 170)], METRIC)).toEqual([
    'Move the ball 4 cm toward the target: the divots start there.',
    'The club is lowest 10 cm ahead of the ball, give or take 4 cm.',
  ]);
  expect(groundSentences('7-iron', [divot(5)], METRIC)).toEqual([
    'Leave the ball: the divots start by it.',
    'The club is lowest 9 cm ahead of the ball, give or take 9 cm.',
  ]);
  expect(groundSentences('7-iron', [], METRIC)).toEqual([]);
});

test('a driver is to go up 3 to 5 degrees, and has no divot', () => {
  const up = (attack: number) => ({ attack, divotStart: 0, mishit: false });
  expect(driverAttack('driver', [up(4)])).toBeNull();
  expect(driverAttack('7-iron', [up(-4)])).toBeNull();
  expect(driverAttack('driver', [up(1), up(3)])).toBe(2);
  expect(groundSentences('driver', [up(-2)], METRIC)).toEqual([
    'Look at tee height and strike again: a driver goes up 3 to 5°.',
    'It goes down 2° now.',
  ]);
});
