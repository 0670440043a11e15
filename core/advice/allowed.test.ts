import { caseOf } from '../test/adviceCases';
import { WRITTEN_CASES } from '../test/writtenCases';
import { forbiddenIn, lineOfSetback, mayMove, MOST_LINE, setbackOfLine, type ReasonedMove } from './allowed';
import { FIGURES } from '../setup';
import { endsOf, standingOf, valueOf } from './standing';
import type { AdvisedFigure, Case, Reason } from './types';

const named = (name: string): Case => caseOf(WRITTEN_CASES.find((each) => each.name === name)!);
const WELL = named('nothing wrong at all');

/** Whether a figure may be taken so far from where it stands. */
function may(figure: AdvisedFigure, by: number, reason: Reason = 'turn', over: Partial<Case> = {}): boolean {
  const standing = standingOf({ ...WELL, ...over });
  const from = valueOf(standing, figure)!;
  const move: ReasonedMove = { figure, from, to: from + by, reason };
  return mayMove(standing, forbiddenIn(standing), move);
}

test('a flare ends at 45° and at square, whatever asks for it', () => {
  const from = valueOf(standingOf(WELL), 'trailFlare')!;
  expect([may('trailFlare', 45 - from), may('trailFlare', 46 - from)]).toEqual([true, false]);
  expect([may('leadFlare', -from), may('leadFlare', -from - 1)]).toEqual([true, false]);
});

test('a line ends at ten degrees, and no further back than the middle of the shoe', () => {
  const standing = standingOf(WELL);
  const from = valueOf(standing, 'setback')!;
  const to = (line: number) => setbackOfLine(standing, line) - from;
  expect(lineOfSetback(standing, setbackOfLine(standing, 7))).toBeCloseTo(7, 9);
  expect([may('setback', to(MOST_LINE - 0.1)), may('setback', to(MOST_LINE + 0.5))]).toEqual([true, false]);
});

test('a width goes little under its band and never over it; one that no band asks for may go anywhere', () => {
  const standing = standingOf(WELL);
  const from = valueOf(standing, 'stanceWidth')!;
  const { low, high } = endsOf(standing, 'stanceWidth')!;
  const to = (width: number) => may('stanceWidth', width - from, 'own test');
  expect([low - 120, low - 121, high, high + 1].map(to)).toEqual([true, false, true, false]);
  const figures = { ...WELL.bands.figures, stanceWidth: undefined };
  const free = { bands: { ...WELL.bands, figures } } as unknown as Partial<Case>;
  expect([-120, 120].map((by) => may('stanceWidth', by, 'own test', free))).toEqual([true, true]);
});

test('what is less than can be noticed is not asked for', () => {
  expect([may('trailFlare', 4.9), may('trailFlare', 5)]).toEqual([false, true]);
  const step = FIGURES.stanceWidth.justNoticeable;
  expect([may('stanceWidth', 1 - step, 'seen'), may('stanceWidth', -step, 'seen')]).toEqual([false, true]);
});

test('only a reason of its own takes a figure out of its band', () => {
  const by = 12;
  const taken = (['turn', 'path', 'own test', 'seen', 'caution'] as const).map((reason) =>
    may('trailFlare', by, reason),
  );
  expect(taken).toEqual([true, true, true, true, true]);
  expect((['taught', 'kept'] as const).map((reason) => may('trailFlare', by, reason))).toEqual([
    false,
    false,
  ]);
  // The heel's lift has no band to leave.
  expect(may('leadHeelLift', 25, 'taught')).toBe(true);
});

test('what the coach holds fast is left, the line by its own name too', () => {
  expect(may('trailFlare', 10, 'turn', { pinned: ['trailFlare'] })).toBe(false);
  expect(may('setback', 40, 'path', { pinned: ['setback'] })).toBe(false);
  expect(may('leadHeelLift', 25, 'turn', { pinned: ['leadHeelLift'] })).toBe(false);
  expect(may('trailFlare', 10, 'turn', { pinned: ['leadFlare'] })).toBe(true);
});

test('what was dropped is not asked for again, and its opposite may be', () => {
  const dropped = [{ item: 'trailFlare', by: 'more' }] as const;
  expect(may('trailFlare', 10, 'turn', { dropped })).toBe(false);
  expect(may('trailFlare', -10, 'turn', { dropped })).toBe(true);
});

describe('what was agreed', () => {
  const from = valueOf(standingOf(WELL), 'trailFlare')!;
  const agreed = (to: number, today: boolean) => ({
    agreed: [{ item: 'trailFlare' as const, by: 'more' as const, to, today }],
  });

  test('is not taken back', () => {
    expect(may('trailFlare', -10, 'turn', agreed(from, false))).toBe(false);
    expect(may('trailFlare', 10, 'turn', agreed(from, false))).toBe(true);
  });

  test('to be less is not made more again, nor less still on its day', () => {
    const less = (to: number, today: boolean) => ({
      agreed: [{ item: 'trailFlare' as const, by: 'less' as const, to, today }],
    });
    expect(may('trailFlare', 10, 'turn', less(from, false))).toBe(false);
    expect(may('trailFlare', -10, 'turn', less(from, false))).toBe(true);
    expect(may('trailFlare', -10, 'turn', less(from, true))).toBe(false);
    expect(may('trailFlare', -10, 'turn', less(from - 10, true))).toBe(true);
  });

  test('holds within half of what can be noticed', () => {
    expect(may('trailFlare', -5, 'turn', agreed(from - 3, false))).toBe(true);
    expect(may('trailFlare', -6, 'turn', agreed(from - 3, false))).toBe(false);
  });

  test('goes no further on its day', () => {
    expect(may('trailFlare', 10, 'turn', agreed(from, true))).toBe(false);
    // Put back to where it was agreed it may be.
    expect(may('trailFlare', 10, 'turn', agreed(from + 10, true))).toBe(true);
  });
});

test('a caution that limits a figure leaves one step of it, and one that bars it none', () => {
  const caution = WELL.cautions[0] ?? named('a sore lead knee on a square foot').cautions[0]!;
  const limits = [{ item: 'trailFlare' as const, by: 'more' as const }];
  const limited = { cautions: [{ ...caution, limits, withholds: [], prefers: [] }] };
  expect([5, 6, 10].map((by) => may('trailFlare', by, 'turn', limited))).toEqual([true, false, false]);
  expect(may('trailFlare', -10, 'turn', limited)).toBe(true);
  const barred = { cautions: [{ ...caution, limits: [], withholds: limits, prefers: [] }] };
  expect(may('trailFlare', 5, 'turn', barred)).toBe(false);
});
