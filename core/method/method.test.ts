import fc from 'fast-check';
import {
  answerFor,
  asPlayed,
  BAG,
  bandOf,
  bandsFor,
  canPitch,
  checkedClubLength,
  CLUBS_AND_SHOTS,
  coverageFaults,
  differences,
  FEET_FIGURES,
  figureOf,
  InputError,
  FIGURE_QUESTION_NAMES,
  ownFlareDifference,
  setupAsTaught,
  setupFromClub,
  withFigure,
  withMeasured,
  type Band,
  type ClubId,
  type FigureQuestion,
  type Played,
  type Setup,
  type ShouldersRule,
} from '..';
import { build, estimated, method } from '../test/example';
import type { HouseMethod, Answer } from './types';
import { evenLegs } from './check';
import { withEveryQuestion } from './everyQuestion';

const bandIn = (question: FigureQuestion, played: Played, of = build()): Band =>
  bandsFor(method, { build: of, legs: null }, played).figures[question]!;
const widthBand = (club: ClubId, clubLengthInches: number, of = build()) =>
  bandIn('stanceWidth', { club, shot: 'full', clubLengthInches }, of);
const fullShot = (club: ClubId) => asPlayed({ club, shot: 'full' });

describe('from club to club', () => {
  const stood = withMeasured(
    setupAsTaught(method, { build: build(), legs: null }, fullShot('9-iron')),
    FEET_FIGURES,
    'tape',
  );
  const from9Iron = (to: ClubId, of: Setup = stood) =>
    setupFromClub(of, method, { build: build(), legs: null }, { from: fullShot('9-iron'), to: fullShot(to) });

  // A 9-iron by the outer edges, a 3-wood by the inner ones: a shoe's breadth on either side.
  test('the trail foot goes out two shoe breadths from a 9-iron to a 3-wood, and nothing else of the feet', () => {
    const wood = from9Iron('3-wood');
    // A longer club stands further from the ball.
    expect(differences(stood, wood).map(({ change }) => change)).toEqual(['stanceWidth', 'leadToeOut']);
    const wider = widthBand('3-wood', 43).middle - widthBand('9-iron', 36).middle;
    expect(figureOf(wood, 'stanceWidth')! - figureOf(stood, 'stanceWidth')!).toBeCloseTo(wider, 6);
    for (const kept of ['leadFlare', 'trailFlare', 'setback', 'ballAlong'] as const)
      expect(figureOf(wood, kept)).toBeCloseTo(figureOf(stood, kept)!, 6);
  });

  test('the student’s own way of standing goes along, and what was not measured stays', () => {
    const own = withFigure(stood, 'stanceWidth', figureOf(stood, 'stanceWidth')! + 40);
    const [wood, ownWood] = [from9Iron('3-wood'), from9Iron('3-wood', own)];
    expect(figureOf(ownWood, 'stanceWidth')! - figureOf(wood, 'stanceWidth')!).toBeCloseTo(40, 6);
    expect(from9Iron('9-iron')).toEqual(stood);
    expect(from9Iron('3-wood', { ...stood, measured: {} })).toEqual({ ...stood, measured: {} });
  });
});

describe('clubs', () => {
  test('the usual bag: driver, two woods, hybrid, seven irons, four wedges', () => {
    const count = (family: string) => BAG.filter((club) => club.family === family).length;
    expect([count('wood'), count('hybrid'), count('iron'), count('wedge')]).toEqual([3, 1, 7, 4]);
    const lengths = BAG.map((club) => club.lengthInches);
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
  });

  test('a club over 48 in or under 18 in is refused, and the rule is named', () => {
    expect(checkedClubLength(48)).toBe(48);
    expect(() => checkedClubLength(48.5)).toThrow(InputError);
    expect(() => checkedClubLength(48.5)).toThrow(
      /club length: expected 18 to 48 in \(Equipment Rules of golf.*found 48.5/,
    );
    expect(() => checkedClubLength(17)).toThrow(/Equipment Rules/);
    expect(() => checkedClubLength(NaN)).toThrow(/Equipment Rules/);
  });

  test('a pitch is for irons and wedges', () => {
    expect(canPitch('sand-wedge')).toBe(true);
    expect(canPitch('driver')).toBe(false);
  });
});

describe('the house method', () => {
  test('answers every question once for every club and shot', () => {
    expect(coverageFaults(method.questions)).toEqual([]);
    expect(CLUBS_AND_SHOTS).toHaveLength(15 + 11);
  });

  test('a missing and a doubled answer are named', () => {
    const [first, ...rest] = method.questions.leadFlare.answers;
    const without = { ...method.questions, leadFlare: { ...method.questions.leadFlare, answers: rest } };
    expect(coverageFaults(without)).toContainEqual({
      question: 'leadFlare',
      club: 'driver',
      shot: 'full',
      found: 0,
    });
    const twice = {
      ...method.questions,
      leadFlare: { ...method.questions.leadFlare, answers: [first!, first!, ...rest] },
    };
    expect(coverageFaults(twice)).toContainEqual({
      question: 'leadFlare',
      club: 'driver',
      shot: 'full',
      found: 2,
    });
  });

  test.each([
    // Common practice, no source: section 3 of the models, for shoulders of 480 and a sole of 105 by 290.
    [36, 375, 303.5],
    [37, 427.5, 354.2],
    [38, 480, 404.9],
    [39.5, 511.5, 435.4],
    [43, 585, 506.4],
    [45.5, 585, 506.4],
    [35, 375, 303.5],
  ])(
    'a club of %s in asks for %s mm with the soles square, and %s as this method flares them',
    (length, square, flared) => {
      expect(widthBand('7-iron', length).middle).toBeCloseTo(flared, 1);
      const input = { body: { build: build(), legs: null }, ...asPlayed({ club: '7-iron', shot: 'full' }) };
      const answer = method.questions.stanceWidth.answers[0]!;
      const { place: _square, ...rule } = answer.rule as ShouldersRule;
      const band = bandOf({ ...answer, rule }, { ...input, clubLengthInches: length, middleOf: () => NaN });
      expect(band.middle).toBeCloseTo(square, 9);
    },
  );

  test('a pitch: two club heads of 80 mm between square soles', () => {
    const band = bandIn('stanceWidth', asPlayed({ club: 'sand-wedge', shot: 'pitch' }));
    expect(band.middle - 105).toBe(160);
  });

  test('53/47 is the most with a full shot', () => {
    expect(bandIn('leadShare', fullShot('7-iron')).high).toBe(53);
  });

  test('a measured build leaves the method’s own tolerance of 25 mm', () => {
    const band = widthBand('5-iron', 38);
    expect(band.high - band.middle).toBe(25);
    expect(band.widenedBy).toEqual([]);
  });

  test('shoulders that are only estimated widen the band to their 95% reach, and are named', () => {
    const band = widthBand('5-iron', 38, build({ shoulderBreadth: estimated(480, 20) }));
    // The shoe's length, to 3 mm, hardly adds to the shoulders' 20.
    expect(band.high - band.middle).toBeCloseTo(1.96 * 20, 0);
    expect(band.middle - band.low).toBeCloseTo(1.96 * 20, 0);
    expect(band.widenedBy).toEqual(['shoulderBreadth']);
  });

  test('an estimate that decides nothing is not named', () => {
    const band = widthBand(
      '5-iron',
      38,
      build({ shoulderBreadth: estimated(480, 20), shoeBreadth: estimated(105, 5) }),
    );
    expect(band.widenedBy).toEqual(['shoulderBreadth']);
  });

  test('every band is the right way up for any body', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CLUBS_AND_SHOTS),
        fc.constantFrom(...FIGURE_QUESTION_NAMES),
        fc.integer({ min: 280, max: 600 }),
        fc.integer({ min: 70, max: 130 }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        ({ club, shot }, question, shoulders, sole, sd) => {
          const of = build({
            shoulderBreadth: estimated(shoulders, sd),
            shoeBreadth: estimated(sole, sd / 4),
          });
          const band = bandsFor(method, { build: of, legs: null }, asPlayed({ club, shot })).figures[
            question
          ];
          if (!band) return;
          const { low, middle, high } = band;
          expect(low).toBeLessThanOrEqual(middle);
          expect(middle).toBeLessThanOrEqual(high);
        },
      ),
    );
  });

  test('the width never shrinks as the club gets longer', () => {
    const rule = answerFor(method, 'stanceWidth', '7-iron', 'full').rule as ShouldersRule;
    expect(rule.kind).toBe('shoulders by club length');
    let last = -Infinity;
    for (let length = 18; length <= 48; length += 0.25) {
      const { middle } = widthBand('7-iron', length);
      expect(middle).toBeGreaterThanOrEqual(last);
      last = middle;
    }
  });
});

describe('a method from before a question was asked', () => {
  const { hipBump: _gone, ...questions } = method.questions;
  const before = { ...method, questions } as unknown as HouseMethod;

  test('leaves it free, and is otherwise what it was', () => {
    const whole = withEveryQuestion(before);
    expect(whole.questions.hipBump.answers.every((answer: Answer) => answer.rule.kind === 'no view')).toBe(
      true,
    );
    expect(coverageFaults(whole.questions)).toEqual([]);
    expect({ ...whole.questions, hipBump: undefined }).toEqual({ ...method.questions, hipBump: undefined });
    expect(withEveryQuestion(method)).toBe(method);
  });

  test('what the feet are drawn from is not left free behind anybody’s back', () => {
    const { leadFlare: _lead, ...others } = method.questions;
    const lacking = withEveryQuestion({ ...method, questions: others } as unknown as HouseMethod);
    expect(lacking.questions).not.toHaveProperty('leadFlare');
  });
});

test('a foot that points out by itself is not too far out where it points', () => {
  const legs = evenLegs(35, 45, 25);
  const flare = (of: typeof legs | null) =>
    bandsFor(method, { build: build(), legs: of }, asPlayed({ club: '7-iron', shot: 'full' })).figures;
  expect(flare(null).leadFlare).toMatchObject({ low: 12, middle: 15, high: 18 });
  expect(flare(legs).leadFlare).toMatchObject({ low: 12, middle: 15, high: 28 });
  expect(flare(legs).trailFlare!.high).toBe(28);
  expect(flare(evenLegs(35, 45, 5)).leadFlare).toMatchObject({ high: 18 });
  expect(
    ownFlareDifference(
      bandsFor(method, { build: build(), legs }, asPlayed({ club: '7-iron', shot: 'full' })),
    ),
  ).toBe(0);
});
