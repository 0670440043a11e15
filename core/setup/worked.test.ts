import {
  alongFoot,
  anythingSeen,
  BY_EYE,
  CHANGES,
  changeHeld,
  differences,
  dropFoot,
  dropFootTurned,
  EYE_LOOKS,
  FIGURES,
  FIGURE_WORDS,
  figureOf,
  flareAboutHeel,
  flareToeKept,
  heelUp,
  heldWithin,
  inHalves,
  innerReach,
  isSeen,
  ITEMS,
  linesDisagree,
  lineWords,
  measureAddress,
  measureSetup,
  notMeasured,
  notTaken,
  PLACED_FIGURES,
  POSTURE_FIGURES,
  QUICK_LOOK,
  seeded,
  setbackMark,
  setSetback,
  setToeLine,
  setupAsSeen,
  setupAsTaken,
  setupByPhoto,
  soleOutline,
  turnStance,
  uncertaintyOf,
  upgradedSetup,
  withDifferences,
  withFigure,
  withMeasured,
  type Setup,
  type SetupFigure,
} from '..';
import { setup as example } from '../test/example';
import { rounded } from '../test/rounded';

type Random = () => number;
const between = (random: Random, least: number, most: number) => least + (most - least) * random();

/** Feet that somebody could stand on, some figures measured, some things seen above them. */
function drawnSetup(random: Random): Setup {
  const stood: Setup = {
    ...example({ width: between(random, 280, 620), leadFlare: between(random, -5, 40) }),
    measured: {},
  };
  const placed = withFigure(
    withFigure(stood, 'trailFlare', between(random, -8, 40)),
    'setback',
    between(random, -80, 140),
  );
  const measured = withMeasured(
    { ...placed, measured: {} },
    PLACED_FIGURES.filter(() => random() < 0.7),
    random() < 0.5 ? 'tape' : 'drag',
  );
  return POSTURE_FIGURES.filter(() => random() < 0.3).reduce(
    (seen, figure) => withFigure(seen, figure, between(random, -10, 40), undefined, 'by eye'),
    measured,
  );
}

const told = (setup: Setup) => {
  const taken = measureSetup(setup);
  return [taken.measures, ITEMS.map((item) => uncertaintyOf(taken, item)), notMeasured(setup)];
};

/** Nobody worked these out by hand: a change of the ground that was not meant shows here first. */
test('drawn feet are measured and moved as they were', () => {
  const random = seeded(20_261_203);
  const all = Array.from({ length: 40 }, () => {
    const [before, after] = [drawnSetup(random), drawnSetup(random)];
    const { address } = before;
    const by = between(random, -40, 80);
    const moved = [
      flareAboutHeel(address, 'trail', by / 2),
      flareToeKept(address, 'lead', by / 2),
      dropFoot(address, by),
      dropFootTurned(address, by),
      setSetback(address, by, dropFootTurned),
      setToeLine(address, by / 8),
      turnStance(address, by / 8),
    ];
    return JSON.stringify(
      rounded({
        told: told(before),
        moved: moved.map((each) => Object.values(measureAddress(each))),
        differs: differences(before, after).map(({ change, from, to }) => [change, from, to]),
        held: changeHeld(before, after, drawnSetup(random)).map(({ figure, verdict, agreed, today }) => [
          ...[figure, verdict, agreed, today],
        ]),
      }),
    );
  });
  expect(all).toMatchSnapshot();
});

test('what is said of figures is said as it was', () => {
  const random = seeded(9);
  const lines = CHANGES.flatMap((change) =>
    Array.from({ length: 5 }, () => {
      const { least, most } = (FIGURES[change] as { range?: { least: number; most: number } }).range ?? {
        ...{ least: -10, most: 40 },
      };
      const [to, step] = [between(random, least, most), between(random, -40, 40)];
      const by = random() < 0.7 ? step : null;
      const inches = random() < 0.3 ? ('inches' as const) : ('cm' as const);
      const given = { by, to, length: inches, shoeLength: 290, toesStay: random() < 0.5 };
      return `${change}: ${FIGURE_WORDS[change].instruction?.(given) ?? ''}`;
    }),
  );
  const marks = Array.from({ length: 30 }, (_, at) => setbackMark(at / 20 - 0.2));
  const along = Array.from({ length: 21 }, (_, at) => alongFoot(at * 5));
  const ups = [4, 12.7, 25].flatMap((mm) => [heelUp(mm, 'cm'), heelUp(mm, 'inches')]);
  const halves = [0, 3, 7, 12, 48].flatMap((mm) => [inHalves(mm, 'cm'), inHalves(mm, 'inches')]);
  expect({ lines, marks, along, ups, halves, words: FIGURE_WORDS, eye: BY_EYE }).toMatchSnapshot();
  expect([-2.6, -0.4, 0.6].map(lineWords)).toEqual(['3° open', 'square', '1° closed']);
});

describe('a figure put to a value', () => {
  const placed = [...PLACED_FIGURES, 'stanceLine', 'outerWidth', 'gap'] as const;

  test('has it, is measured, and with the toe kept moves no other of the feet that is set by itself', () => {
    const random = seeded(11);
    for (let drawn = 0; drawn < 200; drawn += 1) {
      const before = drawnSetup(random);
      for (const name of placed as readonly SetupFigure[]) {
        const range = (FIGURES[name] as { range?: { least: number; most: number } }).range;
        const value = range ? between(random, range.least, range.most) : between(random, 0, 8);
        if (name === 'gap' || name === 'outerWidth') continue;
        const after = withFigure(before, name, value);
        expect([name, figureOf(after, name)]).toEqual([name, expect.closeTo(value, 4)]);
        expect(uncertaintyOf(measureSetup(after), name === 'stanceLine' ? 'setback' : name)).not.toBeNull();
        if (name !== 'leadFlare' && name !== 'trailFlare') continue;
        for (const kept of ['stanceWidth', 'setback', 'ballAlong'] as const)
          expect([kept, figureOf(after, kept)]).toEqual([kept, expect.closeTo(figureOf(before, kept)!, 6)]);
      }
    }
  });

  test('and taken as figures are read off, they are all as they were read off, whatever the order', () => {
    const random = seeded(12);
    for (let drawn = 0; drawn < 100; drawn += 1) {
      const taken = {
        ballAlong: between(random, -20, 200),
        setback: between(random, -60, 120),
        stanceWidth: between(random, 260, 640),
        trailFlare: between(random, -5, 40),
        leadFlare: between(random, -5, 40),
      };
      const laid = setupAsTaken(drawnSetup(random), taken, 'tape');
      for (const [name, value] of Object.entries(taken))
        expect([name, figureOf(laid, name as SetupFigure)]).toEqual([name, expect.closeTo(value, 4)]);
      const outsides = setupAsTaken(drawnSetup(random), taken, 'tape', 'outsides');
      expect(measureAddress(outsides.address).outerWidth).toBeCloseTo(taken.stanceWidth, 4);
      const gap = setupAsTaken(drawnSetup(random), taken, 'tape', 'gap');
      expect(measureAddress(gap.address).gap).toBeCloseTo(taken.stanceWidth, 4);
      expect(notMeasured(notTaken(laid, 'setback'))).toContain('setback');
      expect(figureOf(notTaken(laid, 'setback'), 'setback')).toBeCloseTo(taken.setback, 4);
    }
  });
});

test('the differences of two setups, made, leave none', () => {
  const random = seeded(13);
  for (let drawn = 0; drawn < 100; drawn += 1) {
    const [from, to] = [drawnSetup(random), drawnSetup(random)];
    expect(differences(withDifferences(from, differences(from, to)), to)).toEqual([]);
  }
});

test('each look has an answer for what was seen, and only that one', () => {
  const random = seeded(14);
  for (const look of EYE_LOOKS) {
    for (const choice of QUICK_LOOK[look]) {
      const seen = setupAsSeen(drawnSetup(random), choice, 480);
      expect(QUICK_LOOK[look].filter((each) => isSeen(seen, each, 480))).toEqual([choice]);
      const [figure] = Object.keys(choice.figures(seen, 480)) as [keyof Setup['measured']];
      expect(seen.measured[figure]!.way).toBe('by eye');
      const taped = withMeasured(seen, [figure], 'tape');
      expect(QUICK_LOOK[look].filter((each) => isSeen(taped, each, 480))).toEqual([]);
    }
  }
});

test('feet that nobody could stand on are no photo’s', () => {
  const random = seeded(15);
  const figures = Object.fromEntries(
    (['stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'ballAlong', 'ballOut'] as const).map((name) => [
      name,
      { uncertainty: 4 },
    ]),
  ) as Parameters<typeof setupByPhoto>[1]['figures'];
  const setup = drawnSetup(random);
  const taken = setupByPhoto(setup, { address: example().address, figures })!;
  expect(taken.measured.setback).toEqual({ way: 'photo', uncertainty: 4 });
  expect(taken.address.shoe).toEqual(setup.address.shoe);
  expect(setupByPhoto(setup, { address: example({ width: 2500 }).address, figures })).toBeNull();
});

test('what is small in the ground is told as it is', () => {
  expect(linesDisagree({ toeLine: 5, heelLine: 0.9 })).toBe(true);
  expect(linesDisagree({ toeLine: 5, heelLine: 1 })).toBe(false);
  expect(anythingSeen({ figures: {}, choices: {}, tellTales: [] })).toBe(false);
  expect(anythingSeen({ figures: {}, choices: {}, swingPath: 'along the line' })).toBe(true);
  expect(rounded(soleOutline({ length: 290, breadth: 105 }))).toMatchSnapshot();
  expect(rounded([0, 0.1, 0.3, 0.5, 0.7, 0.95, 1, 1.1].map(innerReach))).toMatchSnapshot();
  expect(rounded(PLACED_FIGURES.map((figure) => [figure, heldWithin(figure)]))).toMatchSnapshot();
});

test('a setup of an earlier shape is read as it was meant', () => {
  const { measured: _, ...earlier } = example();
  const seen = {
    figures: { hipBump: { value: 10, by: 'eye' }, clubFace: { value: 2, by: 'measured' } },
    choices: {},
  };
  const today = upgradedSetup({ ...earlier, posture: seen } as never);
  expect(today.measured.stanceWidth?.way).toBe('tape');
  expect(today.posture!.figures.hipBump).toMatchObject({ value: 10, way: 'by eye' });
  expect(today.posture!.figures.clubFace).toMatchObject({ value: 2, way: 'tape' });
  const now = withFigure(example(), 'hipBump', 20, undefined, 'by eye');
  expect(upgradedSetup(now)).toEqual(now);
});
