import {
  factorialVerdict,
  drawCells,
  effectsOf,
  made,
  nextInFactorial,
  type FactorialShot,
} from './factorial';
import type { TrialPlan } from './verdict';
import { differenceOfProportions, normals, seeded } from '..';
import { CARRY_PLAN as PLAN } from '../test/trialPlan';

/** A whole trial, each shot made from the way it was stood. */
const hitAll = (
  plan: TrialPlan,
  changes: number,
  make: (cell: number, at: number) => number,
): FactorialShot[] =>
  drawCells(plan.seed, changes)
    .flat()
    .flatMap((cell, block) =>
      [0, 1].map((shot): FactorialShot => ({
        place: { warmUp: false, block, cell },
        sitting: 0,
        shot: { carry: make(cell, 2 * block + shot), mishit: false },
      })),
    );

test('every way of combining the changes once a round, and each order drawn anew', () => {
  for (const changes of [2, 3]) {
    const rounds = drawCells(9, changes);
    expect(rounds.flat()).toHaveLength(16);
    for (const round of rounds) expect([...round].sort()).toEqual([...Array(2 ** changes).keys()]);
  }
  expect(drawCells(1, 2)).not.toEqual(drawCells(2, 2));
  expect(() => drawCells(1, 4)).toThrow('changes: expected 2 to 3, found 4');
});

test('what each change does by itself, with the other’s taken out: by hand', () => {
  // The first adds 10, the second takes 4, and rounds drift by 3 a block: 10 and -4 with nothing left over.
  const shots = hitAll(PLAN, 2, (cell) => 140 + (made(cell, 0) ? 10 : 0) - (made(cell, 1) ? 4 : 0));
  const [first, second] = effectsOf(PLAN, 2, shots);
  expect(first).toMatchObject({ difference: 10, pairs: 8, p: 1 / 256, verdict: 'helps' });
  expect(first!.interval[0]).toBeCloseTo(10, 2);
  expect(second).toMatchObject({ difference: -4, p: 1, verdict: 'hurts' });
  expect(factorialVerdict(PLAN, 2, shots, false)).toMatchObject({
    verdict: 'keep',
    because: 'better',
    helps: 1,
  });
  expect(factorialVerdict(PLAN, 2, shots, true)).toMatchObject({ verdict: 'drop', because: 'pain' });
});

test('few pairs bound nothing, and harm without help is drop', () => {
  const shots = hitAll(PLAN, 2, (cell) => 140 - (made(cell, 1) ? 4 : 0));
  expect(factorialVerdict(PLAN, 2, shots, false)).toMatchObject({ verdict: 'drop', because: 'worse' });
  // Two of the four rounds leave four pairs: 16 ways of swapping, the best of which has p 0.0625.
  const [few] = effectsOf(PLAN, 2, shots.slice(0, 16));
  expect(few).toMatchObject({ pairs: 4, interval: [null, null] });
});

test('how often a shot shows it is compared as how many of how many', () => {
  const plan: TrialPlan = { ...PLAN, primary: 'balance held' };
  const shots = hitAll(plan, 2, () => 0).map((hit, at) => ({
    ...hit,
    shot: { balanceHeld: !hit.place.warmUp && (made(hit.place.cell, 0) || at % 4 === 0), mishit: false },
  }));
  const [first] = effectsOf(plan, 2, shots);
  const without = shots.filter(({ place }) => !place.warmUp && !made(place.cell, 0));
  const held = without.filter(({ shot }) => shot.balanceHeld).length;
  expect(first!.difference).toBeCloseTo(1 - held / 16, 12);
  expect(first!.interval).toEqual(differenceOfProportions({ yes: held, of: 16 }, { yes: 16, of: 16 }));
});

test('three changes, one of which helps', () => {
  const plan = { ...PLAN, seed: 77 };
  const noise = normals(seeded(3));
  const shots = hitAll(plan, 3, (cell) => 140 + (made(cell, 2) ? 12 : 0) + 2 * noise());
  const { effects, helps } = factorialVerdict(plan, 3, shots, false);
  expect(effects.map((effect) => effect!.verdict)).toEqual(['not shown', 'not shown', 'helps']);
  expect(helps).toBe(0b100);
});

test('with no effect at all anything is kept in at most 5 of 100 trials, drift and mishits in', () => {
  const random = seeded(8);
  const noise = normals(random);
  const kept = { 2: 0, 3: 0 };
  const trials = 600;
  for (let trial = 0; trial < trials; trial += 1) {
    for (const changes of [2, 3] as const) {
      const plan = { ...PLAN, seed: Math.floor(random() * 2 ** 32) };
      const shots = hitAll(plan, changes, (_cell, at) => noise() - at / 16).map((each) => ({
        ...each,
        shot: { ...each.shot, mishit: random() < 0.08 },
      }));
      if (factorialVerdict(plan, changes, shots, false).verdict === 'keep') kept[changes] += 1;
    }
  }
  // Five in 100, and three standard errors of so many trials.
  expect(kept[2] / trials).toBeLessThan(0.05 + 0.027);
  expect(kept[3] / trials).toBeLessThan(0.05 + 0.027);
});

test('an effect does not hide behind another: one of a scatter and a half is found by most', () => {
  const noise = normals(seeded(12));
  let found = 0;
  for (let trial = 0; trial < 200; trial += 1) {
    const plan = { ...PLAN, seed: 1000 + trial };
    const shots = hitAll(plan, 2, (cell) => (made(cell, 1) ? 1.5 : 0) - (made(cell, 0) ? 3 : 0) + noise());
    if (effectsOf(plan, 2, shots)[1]!.verdict === 'helps') found += 1;
  }
  expect(found / 200).toBeGreaterThan(0.8);
});

test('what comes next, and nothing to go by where nothing was seen', () => {
  const design = { seed: 5, warmUps: 1 };
  const order = drawCells(5, 2).flat();
  expect(nextInFactorial(design, 2, [], 0)).toEqual({ kind: 'warm-up', left: 1 });
  const warm: FactorialShot = { place: { warmUp: true }, sitting: 0, shot: { mishit: false } };
  expect(nextInFactorial(design, 2, [warm], 0)).toMatchObject({
    kind: 'shot',
    cell: order[0],
    block: 0,
    toLook: 32,
  });
  const all = hitAll(PLAN, 2, () => 1);
  expect(nextInFactorial(design, 2, [warm, ...all.slice(0, 3)], 0)).toMatchObject({
    cell: order[1],
    inBlock: 2,
    changed: false,
  });
  expect(nextInFactorial(design, 2, [warm, ...all], 0)).toEqual({ kind: 'look' });
  const blind = all.map((each) => ({ ...each, shot: { mishit: false } }));
  expect(factorialVerdict(PLAN, 2, blind, false)).toMatchObject({
    verdict: 'not shown',
    because: 'not seen',
  });
});
