import {
  CHANGES,
  differences,
  FEET_FIGURES,
  figureOf,
  FIGURES,
  FIGURE_WORDS,
  followingFigure,
  groundFigure,
  isPlaced,
  ITEMS,
  measuredFigure,
  measureSetup,
  measurementBy,
  notMeasured,
  PLACED_FIGURES,
  POSTURE_FIGURES,
  uncertaintyOf,
  upgradedSetup,
  withFigure,
  withMeasured,
  type FigureName,
  type Setup,
  type SetupFigure,
} from '..';
import { setup } from '../test/example';

const NAMES = Object.keys(FIGURES) as FigureName[];
const settable = [...PLACED_FIGURES, ...POSTURE_FIGURES, 'stanceLine', 'leadToeOut'] as SetupFigure[];
const drawn = (): Setup => ({ ...setup({ leadFlare: 12, trailFlare: 8 }), measured: {} });

describe('the table', () => {
  test.each(NAMES)('%s is whole: a range, a step in it, a size that can be noticed, and words', (name) => {
    const { range, asked, step, justNoticeable } = FIGURES[name];
    expect(range.least).toBeLessThan(range.most);
    expect(step).toBeGreaterThan(0);
    expect(justNoticeable).toBeGreaterThan(0);
    expect(justNoticeable).toBeLessThan(range.most - range.least);
    if (asked) {
      expect(asked.least).toBeGreaterThanOrEqual(range.least);
      expect(asked.most).toBeLessThanOrEqual(range.most);
    }
    const { name: words, smaller, larger } = FIGURE_WORDS[name];
    expect([words, smaller, larger].every((each) => each.length > 3)).toBe(true);
  });

  test.each(settable)('%s is what it was set to', (name) => {
    const { least, most } = FIGURES[name].asked ?? FIGURES[name].range;
    // Between the ends, and where feet can stand.
    const value = Math.min(600, least + 0.55 * (most - least));
    expect(figureOf(withFigure(drawn(), name, value), name)).toBeCloseTo(value, 6);
  });

  test('everything that is read or changed is in it, each with words to say it', () => {
    for (const change of CHANGES) expect(FIGURE_WORDS[change].instruction).not.toBeNull();
    for (const item of ITEMS) expect(FIGURES[item].asked).not.toBeNull();
  });

  test('setting a figure of the feet leaves the other five as they were', () => {
    for (const name of FEET_FIGURES) {
      const before = withFigure(setup({ leadFlare: 12, trailFlare: 8 }), 'setback', 0);
      const after = withFigure(before, name, figureOf(before, name)! + 20);
      // The ball's distance is from the toe line, which a foot taken back turns.
      const kept = FEET_FIGURES.filter(
        (each) => each !== name && !(name === 'setback' && each === 'ballOut'),
      );
      for (const other of kept) {
        expect([name, other, figureOf(after, other)!]).toEqual([
          name,
          other,
          expect.closeTo(figureOf(before, other)!, 6),
        ]);
      }
    }
  });

  test('slopes of what follows are those of the ground itself', () => {
    const standing = withFigure(setup({ leadFlare: 22, trailFlare: 9 }), 'setback', 70);
    const { measures } = measureSetup(standing);
    for (const name of ['stanceLine', 'heelLine'] as const) {
      const slopes = followingFigure(name)!.slopes(measures, standing.address);
      for (const [from, slope] of Object.entries(slopes)) {
        const by = 0.01;
        const moved = withFigure(
          standing,
          from as SetupFigure,
          figureOf(standing, from as SetupFigure)! + by,
        );
        expect((figureOf(moved, name)! - figureOf(standing, name)!) / by).toBeCloseTo(slope!, 4);
      }
    }
  });
});

describe('what was measured', () => {
  test('feet that only stand as they are drawn are not measured, in nothing', () => {
    expect(notMeasured(drawn())).toEqual(PLACED_FIGURES);
    for (const item of ITEMS) expect(measuredFigure(measureSetup(drawn()), item)).toBeNull();
  });

  test('a figure that follows is measured when all it comes from is, and not before', () => {
    const three = withMeasured(drawn(), ['stanceWidth', 'leadFlare', 'trailFlare'], 'tape');
    expect(uncertaintyOf(measureSetup(three), 'stanceLine')).toBeNull();
    expect(uncertaintyOf(measureSetup(three), 'gap')).toBeGreaterThan(10);
    const four = withMeasured(three, ['setback'], 'tape');
    expect(uncertaintyOf(measureSetup(four), 'stanceLine')).toBeGreaterThan(0.5);
  });

  test('each way brings its own ±, by eye the widest', () => {
    expect(measurementBy('stanceWidth', 'tape')).toEqual({ way: 'tape', uncertainty: 10 });
    expect(measurementBy('stanceWidth', 'drag')).toEqual({ way: 'drag', uncertainty: 20 });
    expect(measurementBy('leadFlare', 'by eye')).toEqual({ way: 'by eye', uncertainty: 8 });
    expect(measurementBy('leadShare', 'by eye')).toEqual({ way: 'by eye', uncertainty: 10 });
    // No tape measures a load.
    expect(measurementBy('leadShare', 'tape')).toEqual({ way: 'drag', uncertainty: 5 });
  });

  test('a foot turned about its heel takes its taped setback along, no surer than the turn', () => {
    const taped = withMeasured(drawn(), FEET_FIGURES, 'tape');
    const turned = withFigure(taped, 'leadFlare', 40, { keepToe: false, turnWithLine: false }, 'drag');
    expect(turned.measured.leadFlare).toEqual({ way: 'drag', uncertainty: 4 });
    expect(turned.measured.setback).toEqual({ way: 'drag', uncertainty: 20 });
    expect(turned.measured.stanceWidth).toEqual({ way: 'tape', uncertainty: 10 });
    // What had not been measured is not measured by the way.
    const bare = withFigure(drawn(), 'leadFlare', 40, { keepToe: false, turnWithLine: false }, 'drag');
    expect(notMeasured(bare)).not.toContain('leadFlare');
    expect(notMeasured(bare)).toContain('setback');
  });

  test('noting again what is noted changes nothing', () => {
    const noted = withMeasured(drawn(), FEET_FIGURES, 'drag');
    expect(withMeasured(noted, FEET_FIGURES, 'drag')).toBe(noted);
  });

  test('a change from feet that were not measured is from nothing', () => {
    const to = withFigure(drawn(), 'stanceWidth', 430);
    expect(differences(drawn(), to)).toEqual([{ change: 'stanceWidth', unit: 'mm', from: null, to: 430 }]);
  });

  test('a setup from before is read as it was meant', () => {
    const { measured: _none, ...before } = setup();
    const earlier = {
      ...before,
      posture: {
        figures: { hipBump: { value: 20, by: 'eye' }, hipTurn: { value: 40, by: 'measured' } },
        choices: {},
      },
    } as unknown as Setup;
    const now = upgradedSetup(earlier);
    expect(now.measured.stanceWidth).toEqual({ way: 'tape', uncertainty: 10 });
    expect(now.measured.leadShare).toEqual({ way: 'drag', uncertainty: 2 });
    expect(now.posture!.figures).toEqual({
      hipBump: { value: 20, way: 'by eye', uncertainty: 12 },
      hipTurn: { value: 40, way: 'tape', uncertainty: 4 },
    });
    expect(upgradedSetup(now)).toEqual(now);
  });

  test('every figure of feet and load has a ± for a drag and for the eye', () => {
    for (const name of NAMES.filter(isPlaced)) {
      expect(FIGURES[name].uncertainty.drag).toBeGreaterThan(0);
      expect(FIGURES[name].uncertainty['by eye']).toBeGreaterThan(FIGURES[name].uncertainty.drag!);
    }
    for (const name of POSTURE_FIGURES) expect(groundFigure(name)).toBeUndefined();
  });
});
