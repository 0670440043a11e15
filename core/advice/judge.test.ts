import {
  asPlayed,
  bandsFor,
  CLUBS_AND_SHOTS,
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
import { method } from '../test/taught';
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
  const given = named('nothing wrong at all');
  const width = measureAddress(given.setup.address).stanceWidth;
  const told = (widest: number | null) => judge({ ...given, widest }, 0);

  test('stands in place of what hips of their breadth usually can', () => {
    expect(told(width + 10).things).toEqual([]);
    const [narrower] = told(width - 40).things;
    // In whole centimetres, and no wider than was found.
    expect(narrower).toMatchObject({ thing: 'width', cause: 'too wide to post' });
    expect(narrower!.moves[0]!.to).toBe(10 * Math.floor((width - 40) / 10));
    expect(told(null).things).toEqual([]);
  });

  test('is the reason that is told where the method would have it wider; what is seen in the swing is another', () => {
    const posture = { ...given.setup.posture!, tellTales: ['falls back' as const] };
    const falling = (widest: number | null) =>
      judge({ ...given, setup: { ...given.setup, posture }, widest }, 0).things[0];
    expect(told(width - 60).partings[0]?.reason).toBe('own test');
    expect(falling(width - 60)).toMatchObject({ thing: 'width', reason: 'own test' });
    expect(falling(width + 10)).toMatchObject({ thing: 'width', reason: 'seen' });
    expect(falling(null)).toMatchObject({ thing: 'width', reason: 'seen' });
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

test('a shorter goal needs less: the foot is put right, and no further', () => {
  const given = named('a swing that is too short on a trail foot at 5°');
  const [foot] = judge({ ...given, goal: { ...given.goal, shoulders: 70 } }, 0).things;
  expect(foot).toMatchObject({ cause: 'out of band', moves: [{ figure: 'trailFlare', to: 15 }] });
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
  // 45 needed, 8 turned in and 10 given: 27 of trail flare at least, in fives.
  expect([...new Set(measured.map(({ trailFlare }) => Math.round(trailFlare)))]).toEqual([30]);
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
    expect(judgement.things[0]).toMatchObject({ moves: [], cause: 'pressure' });
    expect(judgement.pressure).toEqual(seen('file').pressure);
    expect(judgement.waits).toEqual([]);
    expect(names(told({ pressure: null }))).toEqual([]);
  });

  test('comes before the feet for somebody who slices where a mat told it, and at its own place where an eye did', () => {
    const square = named('both feet square where fifteen is taught', {
      cameFor: ['misses both ways', 'curves away'],
    });
    const firstOf = (over: Partial<Case>) =>
      judge({ ...square, cameFor: ['fat'], ...over }, 0).things[0]!.thing;
    expect(firstOf(seen('file'))).toBe('pressure');
    expect(firstOf(seen('stripe'))).toBe('pressure');
    expect(
      judge({ ...square, cameFor: ['cannot turn through'], ...seen('stripe') }, 0).things[0]!.thing,
    ).toBe('lead foot');
  });

  test('and a path that is off are worked at one at a time; one that only an eye saw does not hold the path back', () => {
    const across = named('a monitor shows the path across the ball');
    const paths = ['line', 'ball', 'load', 'shoulders', 'trail foot'];
    const before = names(judge({ ...across, pressure: null }, 0));
    expect(before.filter((thing) => paths.includes(thing)).length).toBeGreaterThan(0);
    const { things, waits } = judge({ ...across, ...seen('file') }, 0);
    expect(things.map(({ cause }) => cause)).toContain('pressure');
    expect(things.map(({ cause }) => cause)).not.toContain('path');
    expect(waits.map(({ cause }) => cause)).toContain('path');
    expect(names(judge({ ...across, ...seen('stripe') }, 0))).toEqual(
      expect.arrayContaining(before.slice(0, 1)),
    );
  });

  test('waits for the turn that has no room, and is none of a pitch', () => {
    const slicer = named('a stiff slicer with a square trail foot', seen('file'));
    expect(judge(slicer, 0).things[0]!.cause).toBe('trail leg back');
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
