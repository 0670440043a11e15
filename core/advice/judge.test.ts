import {
  asPlayed,
  bandsFor,
  CLUBS_AND_SHOTS,
  GOALS,
  judge,
  measureAddress,
  ownFlareDifference,
  ownWidest,
  setupAsTaught,
  withExceptions,
  type Case,
  type Judgement,
  type PatternSeen,
} from '..';
import { caseOf } from '../test/adviceCases';
import { body as studentBody } from '../test/example';
import { method } from '../test/fitProblems';
import { bodyOf } from '../test/turning';
import { WRITTEN_CASES } from '../test/writtenCases';

const named = (name: string, over: Partial<Case> = {}): Case => ({
  ...caseOf(WRITTEN_CASES.find((each) => each.name === name)!),
  ...over,
});
const LITTLE_TRUNK = 'a trunk that turns little asks more of the hips';

describe('where body and method part', () => {
  test('a band of the student’s own takes the place of the method’s, and nothing parts any more', () => {
    const given = named(LITTLE_TRUNK);
    const [parting] = judge(given, 0).partings;
    expect(parting).toMatchObject({ item: 'trailFlare', low: 12, high: 18 });
    const own = { item: 'trailFlare' as const, low: parting!.needs - 3, high: parting!.needs + 3 };
    const bands = withExceptions(given.bands, [own]);
    expect(judge({ ...given, bands }, 0).partings).toEqual([]);
    // What the method has of itself stays: closing is judged by it.
    expect(ownFlareDifference(bands)).toBe(ownFlareDifference(given.bands));
  });

  test('an exception of what the method leaves free changes nothing', () => {
    const given = named(LITTLE_TRUNK);
    const bands = { ...given.bands, figures: { ...given.bands.figures, stanceLine: undefined } } as never;
    expect(withExceptions(bands, [{ item: 'stanceLine', low: 0, high: 4 }])).toEqual(bands);
  });
});

describe('as wide as a student was found to post at', () => {
  const given = named('a stiff slicer with a square trail foot');
  const width = measureAddress(given.setup.address).stanceWidth;
  const posting = (widest: number | null) =>
    judge({ ...given, widest }, 0).goals.find(({ goal }) => goal === 'posting')!.today;

  // By hand: a tenth of a hip breadth of travel is two tenths of stance.
  test('stands in place of what hips of their breadth usually can', () => {
    const step = 0.2 * given.build.hipBreadth.value;
    expect(posting(width + 10)).toBe(0);
    expect(posting(width - 2.1 * step)).toBe(2);
    expect(posting(null)).toBe(judge(given, 0).goals.find(({ goal }) => goal === 'posting')!.today);
  });

  test('leaves every club its own band of width', () => {
    expect(withExceptions(given.bands, [{ item: 'widest', low: 240, high: 300 }])).toEqual(given.bands);
    expect(ownWidest([{ item: 'widest', low: 240, high: 300 }])).toBe(300);
    expect(ownWidest([{ item: 'trailFlare', low: 20, high: 30 }])).toBeNull();
  });
});

describe('what a coach holds fast', () => {
  test('a pin is not moved, and another way is found', () => {
    const slicer = 'a stiff slicer with a square trail foot';
    const free = judge(named(slicer), 0);
    const pinned = judge(named(slicer, { pinned: ['trailFlare'] }), 0);
    const moved = ({ things }: typeof free) =>
      things.flatMap(({ moves }) => moves.map(({ figure }) => figure));
    expect(moved(free)).toContain('trailFlare');
    expect(moved(pinned)).not.toContain('trailFlare');
    expect(pinned.things.length).toBeGreaterThan(0);
  });

  test('what was not measured is not moved', () => {
    const given = named('a stiff slicer with a square trail foot');
    const { trailFlare: _not, setback: _neither, ...measured } = given.setup.measured;
    const { things } = judge({ ...given, setup: { ...given.setup, measured } }, 0);
    expect(things.flatMap(({ moves }) => moves.map(({ figure }) => figure))).not.toContain('trailFlare');
  });
});

test('a turn is told with its chance, and one that is moved a step beyond is likelier', () => {
  const { back } = judge(named('a swing that is too short on a trail foot at 5°'));
  expect(back!.chanceFrom).toBeLessThan(0.2);
  expect(back!.to).toBeGreaterThanOrEqual(back!.needed);
  expect(back!.chanceTo).toBeGreaterThan(0.4);
});

test('a shorter goal needs less', () => {
  const given = named('a swing that is too short on a trail foot at 5°');
  const short = judge({ ...given, goal: { ...given.goal, shoulders: 70 } }, 0);
  expect(short.goals.find(({ goal }) => goal === 'turn back')!.today).toBe(0);
});

test('through the bag a stiff trail leg gets the same trail flare with every club; width goes by the method', () => {
  const taughtBy = method('by-the-arc');
  const legs = bodyOf(
    { inLead: 40, inTrail: 8, outLead: 55, trunk: 45 },
    { closing: { value: 0, uncertainty: 0 } },
  );
  const body = { ...studentBody(), legs };
  const base = named('a stiff slicer with a square trail foot', {
    body: legs,
    build: body.build,
    cameFor: [],
    facts: [],
    cautions: [],
  });
  const judged = CLUBS_AND_SHOTS.filter(({ shot }) => shot === 'full').map((each) => {
    const played = asPlayed(each);
    const setup = setupAsTaught(taughtBy, body, played);
    const { club, shot } = each;
    return judge({ ...base, setup, bands: bandsFor(taughtBy, body, played), club, shot }, 0).setup;
  });
  const measured = judged.map(({ address }) => measureAddress(address));
  // 45 needed, 8 turned in and 10 given: 27 of trail flare at least, at most a step beyond that, found in steps of 2.5.
  const [flare, ...others] = new Set(measured.map(({ trailFlare }) => Math.round(trailFlare)));
  expect(others).toEqual([]);
  expect(flare).toBeGreaterThanOrEqual(27);
  expect(flare).toBeLessThanOrEqual(27 + 5 + 2.5);
  // From the driver down the stance never gets wider.
  const widths = measured.map(({ stanceWidth }) => stanceWidth);
  widths.forEach((width, at) => expect(width).toBeLessThanOrEqual((widths[at - 1] ?? Infinity) + 1e-6));
});

describe('where the weight goes in the swing', () => {
  const well = named('nothing wrong at all');
  const seen = (way: PatternSeen['way'], pattern: PatternSeen['pattern'] = 'toes early coming down') => ({
    pressure: { pattern, way },
  });
  const told = (over: Partial<Case>) => judge({ ...well, ...over }, 0);
  const names = ({ things }: Judgement) => things.map(({ thing }) => thing);

  test('is a thing of the judgement with a goal of its own, and kept with how it was seen', () => {
    const judgement = told(seen('file'));
    expect(names(judgement)).toEqual(['pressure']);
    expect(judgement.things[0]).toMatchObject({ moves: [], serves: ['pressure'] });
    expect(judgement.pressure).toEqual(seen('file').pressure);
    expect(judgement.goals.find(({ goal }) => goal === 'pressure')).toMatchObject({ today: 1, after: 0 });
    expect(names(told({ pressure: null }))).toEqual([]);
  });

  test('comes first for somebody who slices where a mat told it, and at its own place where an eye did', () => {
    const placeOf = (over: Partial<Case>) =>
      told({ ...over, cameFor: ['curves away'] }).goals.findIndex(({ goal }) => goal === 'pressure');
    expect(placeOf(seen('file'))).toBe(1);
    expect(placeOf(seen('stripe'))).toBe(GOALS.indexOf('pressure'));
  });

  test('and a path that is off are worked at one at a time; one that only an eye saw does not hold the path back', () => {
    const across = named('a monitor shows the path across the ball');
    const paths = ['line', 'ball', 'load', 'shoulders', 'trail foot'];
    const before = names(judge({ ...across, pressure: null }, 0));
    expect(before.filter((thing) => paths.includes(thing)).length).toBeGreaterThan(0);
    const { things, goals } = judge({ ...across, ...seen('file') }, 0);
    expect(things.flatMap(({ serves }) => serves)).toContain('pressure');
    expect(things.flatMap(({ serves }) => serves)).not.toContain('path');
    expect(goals.find(({ goal }) => goal === 'path')!.after).toBeGreaterThan(0);
    expect(names(judge({ ...across, ...seen('stripe') }, 0))).toEqual(
      expect.arrayContaining(before.slice(0, 1)),
    );
  });

  test('waits for the turn that has no room, and is none of a pitch', () => {
    const slicer = named('a stiff slicer with a square trail foot', seen('file'));
    expect(judge(slicer, 0).things[0]!.serves[0]).toBe('turn back');
    expect(names(told({ ...seen('file'), shot: 'pitch' }))).not.toContain('pressure');
    expect(told({ ...seen('file'), shot: 'pitch' }).pressure).toBeNull();
  });

  test('felt under the toes, with no figure of it, is a load to be settled; a figure stands in its place', () => {
    const { leadHeelToe: _lead, trailHeelToe: _trail, ...measured } = well.setup.measured;
    const unmeasured = { ...well.setup, measured };
    expect(names(told({ setup: unmeasured, feltUnder: 'toes' }))).toEqual(['load']);
    expect(names(told({ setup: unmeasured }))).toEqual([]);
    expect(names(told({ feltUnder: 'toes' }))).toEqual([]);
  });
});
