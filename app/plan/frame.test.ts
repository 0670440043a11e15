import {
  readSetup,
  toePoint,
  withMeasured,
  type BandVerdict,
  type Item,
  type Reading,
  type Setup,
} from '@pedastance/core';
import fc from 'fast-check';
import { build, method, setup } from '../../core/test/example';
import { drawPlan, footMatrix, type DrawingInput } from './drawing';
import { frameFor, needsNewFrame, projection } from './frame';
import { flareToward, holdAt, inFoot, loadAlong } from './touch';

const hands = ['right', 'left'] as const;
const viewpoints = ['coach', 'student'] as const;
const point = fc.record({
  x: fc.double({ min: -900, max: 900, noNaN: true }),
  y: fc.double({ min: -1300, max: 300, noNaN: true }),
});
const frame = frameFor(setup({ leadFlare: 20, trailFlare: 10 }).address);

describe('the ground on the screen', () => {
  test('there and back is where it was, for either hand and either pair of eyes', () => {
    fc.assert(
      fc.property(
        point,
        fc.constantFrom(...hands),
        fc.constantFrom(...viewpoints),
        (ground, hand, viewpoint) => {
          const place = projection(frame, hand, viewpoint);
          const back = place.toGround(place.toScreen(ground));
          expect(back.x).toBeCloseTo(ground.x, 8);
          expect(back.y).toBeCloseTo(ground.y, 8);
        },
      ),
    );
  });

  test('a left-hander is a right-hander mirrored; mirroring twice is nothing', () => {
    fc.assert(
      fc.property(point, fc.constantFrom(...viewpoints), (ground, viewpoint) => {
        const right = projection(frame, 'right', viewpoint).toScreen(ground);
        const left = projection(frame, 'left', viewpoint).toScreen(ground);
        expect(left.x).toBeCloseTo(-right.x, 8);
        expect(left.y).toBe(right.y);
      }),
    );
  });

  test('the coach facing a right-hander has the target to the right and the ball below the feet', () => {
    const place = projection(frame, 'right', 'coach');
    const toes = place.toScreen(toePoint(setup().address, 'lead'));
    expect(place.toScreen({ x: 100, y: 0 }).x).toBeGreaterThan(place.toScreen({ x: 0, y: 0 }).x);
    expect(place.toScreen({ x: 0, y: 0 }).y).toBeGreaterThan(toes.y);
  });

  test('the student looking down has it the other way round', () => {
    const place = projection(frame, 'right', 'student');
    expect(place.toScreen({ x: 100, y: 0 }).x).toBeLessThan(place.toScreen({ x: 0, y: 0 }).x);
    expect(place.toScreen({ x: 0, y: 0 }).y).toBeLessThan(place.toScreen({ x: 0, y: -900 }).y);
  });

  test('a frame stays while the feet have room, and not when they have left it', () => {
    expect(needsNewFrame(frame, setup({ leadFlare: 25 }).address)).toBe(false);
    expect(needsNewFrame(frame, setup({ width: 900 }).address)).toBe(true);
  });
});

const input = (of: Setup, over: Partial<DrawingInput> = {}): DrawingInput => ({
  setup: of,
  frame: frameFor(of.address),
  hand: 'right',
  viewpoint: 'coach',
  length: 'cm',
  footWords: 'left and right',
  shoulderBreadth: 480,
  verdictOf: null,
  size: { width: 390, height: 440 },
  ...over,
});

const verdictsOf =
  ({ findings }: Reading) =>
  (_setup: Setup, item: Item): BandVerdict | null =>
    findings.find((finding) => finding.item === item)?.verdict ?? null;

describe('the drawing', () => {
  test('a foot’s matrix takes its heel and toe where the ground has them', () => {
    for (const hand of hands) {
      for (const viewpoint of viewpoints) {
        const of = setup({ leadFlare: 27, trailFlare: -4 });
        const place = projection(frame, hand, viewpoint);
        for (const foot of ['lead', 'trail'] as const) {
          const cells = /matrix\((.*)\)/
            .exec(footMatrix(of, foot, place))![1]!
            .split(' ')
            .map(Number);
          const [, , c, d, e, f] = cells as [number, number, number, number, number, number];
          const toe = place.toScreen(toePoint(of.address, foot));
          expect(c * 290 + e).toBeCloseTo(toe.x, 0);
          expect(d * 290 + f).toBeCloseTo(toe.y, 0);
        }
      }
    }
  });

  test('true to scale: heels 500 mm apart are 500 drawing units apart', () => {
    const drawn = drawPlan(input(setup()));
    const line = drawn['heel-line']!;
    expect(Number(line.x2) - Number(line.x1)).toBeCloseTo(500 + 2 * 55, 1);
    expect(drawn['width-figure']!.text).toBe('50.0 cm');
  });

  test('figures out of their band carry a shape, not a colour alone', () => {
    const of = setup({ leadFlare: 2, trailFlare: 40 });
    const reading = readSetup({
      setup: of,
      build: build(),
      legs: null,
      club: '7-iron',
      clubLengthInches: 37,
      shot: 'full',
      method,
    });
    const drawn = drawPlan(input(of, { verdictOf: verdictsOf(reading) }));
    expect(drawn['lead-flare']).toMatchObject({ text: '▼ 2°', 'data-verdict': 'below' });
    expect(drawn['trail-flare']).toMatchObject({ text: '▲ 40°', 'data-verdict': 'above' });
  });

  test('what was not measured is drawn faintly, its figures without a verdict', () => {
    const of = { ...setup({ leadFlare: 2, trailFlare: 40 }), measured: {} };
    const reading = readSetup({
      setup: of,
      build: build(),
      legs: null,
      club: '7-iron',
      clubLengthInches: 37,
      shot: 'full',
      method,
    });
    const drawn = drawPlan(input(of, { verdictOf: verdictsOf(reading) }));
    for (const part of [
      'lead',
      'trail',
      'lead-flare',
      'lead-load',
      'width',
      'width-figure',
      'toe-line',
      'ball',
    ]) {
      expect([part, drawn[part]!['data-measured']]).toEqual([part, 'false']);
    }
    expect(drawn['lead-flare']).toMatchObject({ text: '2°', 'data-verdict': 'none' });
    const placed = withMeasured(of, ['stanceWidth', 'setback', 'leadFlare'], 'drag');
    const half = drawPlan(input(placed));
    expect([half.lead!['data-measured'], half.trail!['data-measured']]).toEqual(['true', 'false']);
    expect(half['toe-line']!['data-measured']).toBe('false');
  });

  test('inches where the coach likes them', () => {
    expect(drawPlan(input(setup(), { length: 'inches' }))['width-figure']!.text).toBe('19.69 in');
  });
});

describe('what a finger has hold of', () => {
  const of = setup({ leadFlare: 20 });
  const place = projection(frame, 'right', 'coach');
  const hold = (x: number, y: number, load = false) =>
    holdAt(of, { place, lineY: 150 }, place.toScreen({ x, y }), 40, load);

  test('a toe by its tip, a shoe by its body, nothing in between the feet', () => {
    const toe = toePoint(of.address, 'lead');
    expect(hold(toe.x + 10, toe.y)).toEqual({ kind: 'toe', foot: 'lead' });
    expect(hold(-450, -850)).toEqual({ kind: 'shoe', foot: 'trail' });
    expect(hold(-200, -850)).toBeNull();
  });

  test('the ball where it is drawn', () => {
    const ball = { x: place.toScreen({ x: 0, y: 0 }).x, y: place.signs.y * 150 };
    expect(holdAt(of, { place, lineY: 150 }, ball, 40, false)).toEqual({ kind: 'ball' });
  });

  test('for the balance, soles alone', () => {
    expect(hold(-450, -850, true)).toEqual({ kind: 'load', foot: 'trail' });
    expect(hold(0, 0, true)).toBeNull();
  });

  test('a finger in a foot’s own frame, and what it asks for', () => {
    const toe = toePoint(of.address, 'lead');
    expect(inFoot(of, 'lead', toe).along).toBeCloseTo(290, 6);
    expect(inFoot(of, 'lead', toe).outward).toBeCloseTo(0, 6);
    expect(flareToward(of, 'lead', toe)).toBeCloseTo(20, 6);
    expect(loadAlong(of, 'trail', { x: -450, y: -900 + 145 })).toBeCloseTo(50, 6);
    expect(loadAlong(of, 'trail', { x: -450, y: -2000 })).toBe(0);
  });
});
