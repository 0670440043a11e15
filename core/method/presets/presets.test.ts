import type { Body } from '../../turn';
import { BAG, type ClubId, type ShotType } from '../../club';
import { measureAddress, toePoint, withFigure, type Address } from '../../setup';
import { radians } from '../../units';
import { checkMethod, evenLegs, usualBody } from '../check';
import { PRESETS } from './index';
import {
  asPlayed,
  bandsFor,
  CLUBS_AND_SHOTS,
  coverageFaults,
  QUESTIONS,
  rulesFor,
  setupAsTaught,
  type FigureQuestion,
  type HouseMethod,
} from '..';
import { body, build } from '../../test/example';

const methods: HouseMethod[] = PRESETS.map(({ key, contents }) => ({ id: key, version: 1, ...contents }));
const named = (key: string): HouseMethod => methods.find((method) => method.id === key)!;
const band = (
  key: string,
  question: FigureQuestion,
  club: ClubId,
  shot: ShotType = 'full',
  of: Body = body(),
) => bandsFor(named(key), of, asPlayed({ club, shot })).figures[question]!;

describe.each(methods.map((method) => [method.name, method] as const))('“%s”', (_name, method) => {
  test('answers every question once for every club and shot, by rules that fit the question', () => {
    expect(coverageFaults(method.questions)).toEqual([]);
    for (const question of QUESTIONS) {
      const { why, limitsBelow, limitsAbove, answers } = method.questions[question];
      expect([why, limitsBelow, limitsAbove].map((text) => text.length > 10)).toEqual([true, true, true]);
      for (const { rule } of answers) expect(rulesFor(question)).toContain(rule.kind);
    }
  });

  test('can be stood in by bodies from 140 to 205 cm, whatever their legs', () =>
    expect(checkMethod(method).refusals).toEqual([]));
});

/**
 * Every figure that a preset takes from what coaches say: common practice, no source.
 * Middle of the band for shoulders of 480, hips of 330 and a sole of 290 by 105 mm.
 */
test.each<[string, FigureQuestion, ClubId, ShotType, number]>([
  // Even and modest: both feet about 15.
  ['shoulders-and-neutral', 'leadFlare', '7-iron', 'full', 15],
  ['shoulders-and-neutral', 'trailFlare', 'driver', 'full', 15],
  // Even and generous: both about 30.
  ['free-the-hips', 'leadFlare', '7-iron', 'full', 30],
  ['free-the-hips', 'trailFlare', '7-iron', 'full', 30],
  // Lead first: 20 to 30, 35 or more with a driver.
  ['lead-foot-first', 'leadFlare', '7-iron', 'full', 25],
  ['lead-foot-first', 'leadFlare', 'driver', 'full', 35],
  // Trail square, lead flared: only for very mobile players.
  ['short-coil', 'trailFlare', '7-iron', 'full', 0],
  // By the hips: heels under the hips.
  ['free-the-hips', 'stanceWidth', 'driver', 'full', 330],
  // Two club-head widths between the feet on a pitch.
  ['shoulders-and-neutral', 'stanceWidth', 'sand-wedge', 'pitch', 160 + 105],
  // Setback ladder: trail toe level with the middle of the lead foot, 6 in between the shoes.
  ['forward-posted', 'stanceWidth', '7-iron', 'full', 150 + 105],
  // Constant, about 2 in inside the lead heel.
  ['shoulders-and-neutral', 'ballAlong', 'driver', 'full', 50],
  ['shoulders-and-neutral', 'ballAlong', 'lob-wedge', 'full', 50],
  // Progressive: about 5 in with a 7-iron, moving toward the lead heel with a driver.
  ['by-the-arc', 'ballAlong', '7-iron', 'full', 125],
  ['by-the-arc', 'ballAlong', 'driver', 'full', 25],
  // 50/50 with irons; 60 lead with mid irons, even with hybrids and long irons, 60 trail with a driver.
  ['shoulders-and-neutral', 'leadShare', '7-iron', 'full', 50],
  ['by-the-arc', 'leadShare', '6-iron', 'full', 60],
  ['by-the-arc', 'leadShare', 'hybrid', 'full', 50],
  ['by-the-arc', 'leadShare', '3-iron', 'full', 50],
  ['by-the-arc', 'leadShare', 'driver', 'full', 40],
  // Middle of both feet.
  ['shoulders-and-neutral', 'heelToe', 'driver', 'full', 50],
  // A 1 in bump; with short irons the lead hip about 1 in inside the outside of the lead foot.
  ['lead-foot-first', 'hipBump', '9-iron', 'full', 25],
  ['lead-foot-first', 'hipGap', '9-iron', 'full', 25],
  // The other school: no push with a driver, the trail shoulder some 20 lower.
  ['by-the-arc', 'hipBump', 'driver', 'full', 0],
  ['by-the-arc', 'shoulderTilt', 'driver', 'full', 20],
  // Shoulders 90 at the top, hips about 45.
  ['shoulders-and-neutral', 'shoulderTurn', '7-iron', 'full', 90],
  ['shoulders-and-neutral', 'hipTurn', '7-iron', 'full', 45],
])('%s: %s with a %s (%s) is %s', (key, question, club, shot, middle) =>
  expect(band(key, question, club, shot).middle).toBeCloseTo(middle, 9),
);

test('53/47 is the most with irons; feet that point out by themselves are let to 45; shoulders to 110', () => {
  expect(band('shoulders-and-neutral', 'leadShare', '7-iron').high).toBe(53);
  expect(band('free-the-hips', 'leadFlare', '7-iron').high).toBe(45);
  expect(band('lead-foot-first', 'leadFlare', 'driver').high).toBe(45);
  expect(band('short-coil', 'shoulderTurn', '7-iron').high).toBe(110);
  // Weight forward with every club.
  for (const { id } of BAG) expect(band('forward-posted', 'leadShare', id).low).toBeGreaterThan(55);
});

/** A place on a sole, along it as a share from the heel and beside its axis in half-breadths outward; as it stands. */
function onSole({ shoe, ...feet }: Address, foot: 'lead' | 'trail', share: number, halves: number): number {
  const { heel, flare } = feet[foot];
  const outward = foot === 'lead' ? 1 : -1;
  const [along, beside] = [share * shoe.length, (halves * shoe.breadth) / 2];
  return heel.x + outward * (along * Math.sin(radians(flare)) + beside * Math.cos(radians(flare)));
}

test.each([
  ['9-iron', 'outer edges', 1],
  ['5-iron', 'middles', 0],
  ['3-wood', 'inner edges', -1],
] as const)(
  '%s: plumb lines from the shoulders meet the %s of the shoes as they stand',
  (club, _part, halves) => {
    const { address } = setupAsTaught(
      named('shoulders-and-neutral'),
      body(),
      asPlayed({ club, shot: 'full' }),
    );
    const apart = onSole(address, 'lead', 0.5, halves) - onSole(address, 'trail', 0.5, halves);
    expect(apart).toBeCloseTo(build().shoulderBreadth.value, 6);
  },
);

test('a flare that is changed at the agreed width makes no width fault', () => {
  const played = asPlayed({ club: '7-iron', shot: 'full' });
  const { stanceWidth } = bandsFor(named('shoulders-and-neutral'), body(), played).figures;
  const taught = setupAsTaught(named('shoulders-and-neutral'), body(), played);
  const flared = withFigure(withFigure(taught, 'leadFlare', 35), 'trailFlare', 30);
  const { stanceWidth: width } = measureAddress(flared.address);
  expect(width).toBeGreaterThan(stanceWidth!.low);
  expect(width).toBeLessThan(stanceWidth!.high);
});

test.each([
  ['forward-posted', 0.5],
  ['easy-turn', 0.25],
] as const)('%s: the trail toe of the feet drawn is level with %s of the lead shoe', (key, share) => {
  const { address } = setupAsTaught(named(key), body(), asPlayed({ club: '7-iron', shot: 'full' }));
  const toe = toePoint(address, 'lead');
  const level = toe.y + share * (address.lead.heel.y - toe.y);
  expect(toePoint(address, 'trail').y).toBeCloseTo(level, 4);
});

test('by the arc: short irons a touch open, mid irons square, long clubs closed, and never back again', () => {
  const lines = [...BAG].reverse().map(({ id }) => band('by-the-arc', 'stanceLine', id));
  const middle = (club: ClubId) => band('by-the-arc', 'stanceLine', club).middle;
  expect(middle('9-iron')).toBeLessThan(-0.5);
  expect(Math.abs(middle('5-iron'))).toBeLessThan(1);
  expect(middle('driver')).toBeGreaterThan(2);
  for (const [at, each] of lines.entries()) {
    // Among the wedges the ball stays and the arc shrinks a little: hundredths of a degree.
    if (at > 0) expect(each.middle).toBeGreaterThan(lines[at - 1]!.middle - 0.05);
  }
});

test('closed by what stiff legs lack, and parallel for legs that turn', () => {
  const stiff = usualBody(175, 'man', evenLegs(0, 25, 25));
  // 45 needed, 0 turned in, 10 given, 30 of flare: 5 are missing, at 0.4 of turn for a degree of line; 12 at most.
  expect(band('free-the-hips', 'stanceLine', '7-iron', 'full', stiff).middle).toBe(12);
  const less = usualBody(175, 'man', evenLegs(2, 25, 25));
  expect(band('free-the-hips', 'stanceLine', '7-iron', 'full', less).middle).toBeCloseTo(3 / 0.4, 9);
  expect(band('free-the-hips', 'stanceLine', '7-iron').middle).toBe(0);
});

test('no rule is asked twice for the same method, body and club', () => {
  const asked = new Map<string, number>();
  const watched: HouseMethod = {
    ...named('by-the-arc'),
    questions: Object.fromEntries(
      Object.entries(named('by-the-arc').questions).map(([question, given]) => [
        question,
        {
          ...given,
          answers: given.answers.map(({ rule, ...answer }) => ({
            ...answer,
            get rule() {
              return { ...rule };
            },
            get tolerance() {
              asked.set(question, (asked.get(question) ?? 0) + 1);
              return answer.tolerance;
            },
          })),
        },
      ]),
    ) as HouseMethod['questions'],
  };
  const of = body();
  for (let time = 0; time < 3; time += 1) {
    for (const each of CLUBS_AND_SHOTS) bandsFor(watched, of, asPlayed(each));
  }
  // Fifteen full shots by the arc and by club length, and one fixed figure for all pitches.
  expect(asked.get('stanceLine')).toBe(15 + 1);
  expect(asked.get('ballAlong')).toBe(15 + 1);
  expect(asked.get('trailFlare')).toBe(1 + 1);
  expect(Math.max(...asked.values())).toBeLessThanOrEqual(CLUBS_AND_SHOTS.length);
});
