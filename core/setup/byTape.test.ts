import {
  figureOf,
  measureAddress,
  notTaken,
  setupAsTaken,
  withFigure,
  type FeetFigure,
  type Setup,
} from '..';
import { isSeen, EYE_LOOKS, QUICK_LOOK, setupAsSeen } from './quickLook';
import { taught } from '../test/taught';

const bare = (): Setup => ({ ...taught(), measured: {} });
const TAKEN = {
  stanceWidth: 410,
  leadFlare: 12,
  trailFlare: 5,
  setback: 30,
  ballAlong: 55,
  ballOut: 560,
};

test('figures read off a tape all hold at once, and are measured by tape', () => {
  const setup = setupAsTaken(bare(), TAKEN, 'tape');
  for (const [figure, value] of Object.entries(TAKEN)) {
    expect(figureOf(setup, figure as FeetFigure)).toBeCloseTo(value, 6);
    expect(setup.measured[figure as FeetFigure]).toMatchObject({ way: 'tape' });
  }
});

test('taken one after another in any order they come to the same', () => {
  const whole = measureAddress(setupAsTaken(bare(), TAKEN, 'tape').address);
  const orders = [Object.keys(TAKEN), Object.keys(TAKEN).reverse()] as FeetFigure[][];
  for (const order of orders) {
    const setup = order.reduce<Setup>(
      (laid, figure) => setupAsTaken(laid, { [figure]: TAKEN[figure] }, 'tape'),
      bare(),
    );
    const measures = measureAddress(setup.address);
    for (const figure of order) expect(measures[figure]).toBeCloseTo(whole[figure], 6);
  }
});

test('a width laid over the outsides or in the gap is that one, whatever the flares', () => {
  for (const [datum, measure] of [
    ['outsides', 'outerWidth'],
    ['gap', 'gap'],
  ] as const) {
    const setup = setupAsTaken(bare(), { ...TAKEN, stanceWidth: 450 }, 'tape', datum);
    expect(measureAddress(setup.address)[measure]).toBeCloseTo(450, 6);
  }
});

test('what was measured before keeps its value and how surely it is known', () => {
  const before = withFigure(bare(), 'setback', 20, undefined, 'drag');
  const setup = setupAsTaken(before, { trailFlare: 28 }, 'tape');
  expect(figureOf(setup, 'setback')).toBeCloseTo(20, 6);
  expect(setup.measured.setback).toEqual(before.measured.setback);
  expect(setup.measured.stanceWidth).toBeUndefined();
});

test('a figure that is taken back stands as drawn', () => {
  const setup = notTaken(setupAsTaken(bare(), TAKEN, 'tape'), 'setback');
  expect(setup.measured.setback).toBeUndefined();
  expect(figureOf(setup, 'setback')).toBeCloseTo(30, 6);
});

test.each([0, 1, 2])(
  'a quick look of every kind, first to last or last to first: answer %i stays as seen',
  (at) => {
    for (const looks of [[...EYE_LOOKS], [...EYE_LOOKS].reverse()]) {
      const setup = looks.reduce<Setup>(
        (seen, look) => setupAsSeen(seen, QUICK_LOOK[look][at]!, 420),
        bare(),
      );
      // The line and the ball's place are seen across the feet as they then stand.
      const stay = looks.filter((look) => look !== 'line' && look !== 'ball');
      expect(stay.filter((look) => !isSeen(setup, QUICK_LOOK[look][at]!, 420))).toEqual([]);
      expect(setup.measured.stanceWidth).toEqual({ way: 'by eye', uncertainty: 40 });
      expect(Object.keys(setup.measured)).toHaveLength(8);
    }
  },
);

test('a line seen open is told open on the tape', () => {
  const open = setupAsSeen(bare(), QUICK_LOOK.line[0]!, 420);
  expect(measureAddress(open.address).toeLine).toBeCloseTo(-6, 6);
});
