import { permutationTest as reference } from 'simple-statistics';
import fc from 'fast-check';
import { hodgesLehmann, studentQuantile, studentTail } from '../statistics';
import { drawOrder, nextOf, shotsAt, TRIAL_LOOKS } from './design';
import { probabilityBeyond, shiftInterval } from './estimate';
import { missPattern } from './misses';
import { observedDifference, permutationTest, type Stage } from './permute';
import type { Shot } from './types';
import {
  compare,
  decisionOf,
  ownScatter,
  shotsToShow,
  verdictOf,
  type TrialPlan,
  type TrialShot,
} from './verdict';
import { normals, seeded, clopperPearson, differenceOfProportions, probabilityOfProportions } from '..';
import { groups, twoSided } from '../test/groups';
import { CARRY_PLAN } from '../test/trialPlan';
import '../test/properties';

/** R's `sleep` data: extra hours of sleep with two drugs (Student 1908, The Probable Error of a Mean). */
const SLEEP = {
  one: [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0],
  two: [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4],
};

const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
const variance = (values: readonly number[]) =>
  values.reduce((sum, each) => sum + (each - mean(values)) ** 2, 0) / (values.length - 1);

describe('against published values', () => {
  test('Student’s t: Welch, pooled and paired on the sleep data', () => {
    const { one, two } = SLEEP;
    const [v1, v2] = [variance(one) / 10, variance(two) / 10];
    const t = (mean(two) - mean(one)) / Math.sqrt(v1 + v2);
    const welch = (v1 + v2) ** 2 / (v1 ** 2 / 9 + v2 ** 2 / 9);
    expect(2 * studentTail(t, welch)).toBeCloseTo(0.0794, 4);
    expect(2 * studentTail(t, 18)).toBeCloseTo(0.0792, 4);
    const pairs = two.map((each, at) => each - one[at]!);
    expect(2 * studentTail(mean(pairs) / Math.sqrt(variance(pairs) / 10), 9)).toBeCloseTo(0.00283, 5);
  });

  test('the exact permutation test of the means, with its ties', () => {
    expect(twoSided(groups(SLEEP.one, SLEEP.two))).toBeCloseTo(0.0814, 4);
    const small = groups([19, 22, 25, 26, 28], [23, 33, 40, 41, 44]);
    expect(twoSided(small)).toBeCloseTo(8 / 252, 10);
    expect(permutationTest(small)).toEqual({ p: 4 / 252, arrangements: 252, exact: true });
  });

  test('t at 97.5% (tables of Student’s distribution): 2.228 with 10, 1.960 with many', () => {
    expect(studentQuantile(0.025, 10)).toBeCloseTo(2.228, 3);
    expect(studentQuantile(0.025, 1e6)).toBeCloseTo(1.96, 3);
  });

  test('a share’s exact interval (Clopper & Pearson): 7 of 9 is 40.0 to 97.2 in a hundred', () => {
    const [least, most] = clopperPearson(7, 9);
    expect(least).toBeCloseTo(0.3999, 4);
    expect(most).toBeCloseTo(0.9719, 4);
    expect(clopperPearson(0, 3)[0]).toBe(0);
    // Three of three: the least share is 0.025 ** (1 / 3).
    expect(clopperPearson(3, 3)[0]).toBeCloseTo(0.025 ** (1 / 3), 6);
  });
});

test('sampling agrees with a general statistics library on 100 random data sets', () => {
  const random = seeded(31);
  const normal = normals(random);
  const draws = 1200;
  for (let set = 0; set < 100; set += 1) {
    const shift = random() * 1.5;
    const a = Array.from({ length: 6 + Math.floor(random() * 8) }, () => normal());
    const b = Array.from({ length: 6 + Math.floor(random() * 8) }, () => normal() + shift);
    const ours = permutationTest(groups(a, b), { mostExact: 1, draws, seed: 7919 * set });
    expect(ours.exact).toBe(false);
    const theirs = reference(b, a, 'greater', draws, random);
    const error = Math.sqrt((2 * Math.max(ours.p * (1 - ours.p), 1 / draws)) / draws);
    expect(Math.abs(ours.p - theirs)).toBeLessThan(4 * error + 1 / draws);
    if (a.length + b.length <= 18) {
      expect(Math.abs(ours.p - permutationTest(groups(a, b)).p)).toBeLessThan(4 * error + 1 / draws);
    }
  }
});

test('splits beyond what is gone through are drawn, and the draw is the same each time', () => {
  const random = seeded(5);
  const values = () => Array.from({ length: 13 }, () => random());
  const stages = groups(values(), values());
  const drawn = permutationTest(stages, { seed: 9 });
  expect(drawn).toMatchObject({ exact: false, arrangements: 20_000 });
  expect(permutationTest(stages, { seed: 9 })).toEqual(drawn);
});

test('blocks with shots left out: every arrangement told by hand', () => {
  // Three blocks, one of B: the middle one, whose second shot is left out.
  const stage: Stage = {
    blocks: [
      { count: 2, sum: 2 },
      { count: 1, sum: 3 },
      { count: 2, sum: 8 },
    ],
    isB: [false, true, false],
  };
  // B's mean less A's: 1 - 11/3, 3 - 10/4 and 4 - 5/3; two of three favour B as much.
  expect(permutationTest([stage]).p).toBeCloseTo(2 / 3, 12);
});

test('counted in halves is what visiting every split gives, unequal groups, ties and blocks of any size', () => {
  /** Every way of choosing, one by one. */
  const visited = (stage: Stage): number => {
    const { blocks, isB } = stage;
    const chosen = isB.filter(Boolean).length;
    const all = { count: 0, sum: 0 };
    blocks.forEach(({ count, sum }) => ((all.count += count), (all.sum += sum)));
    const of = (set: number) => {
      let [size, count, sum] = [0, 0, 0];
      blocks.forEach((block, at) => {
        if (set & (1 << at)) [size, count, sum] = [size + 1, count + block.count, sum + block.sum];
      });
      if (size !== chosen) return null;
      if (count === 0 || count === all.count) return -Infinity;
      return sum / count - (all.sum - sum) / (all.count - count);
    };
    const real = of(isB.reduce((set, b, at) => set | (Number(b) << at), 0))!;
    const each = Array.from({ length: 2 ** blocks.length }, (_, set) => of(set)).filter((d) => d !== null);
    return each.filter((d) => d! >= real - 1e-9).length / each.length;
  };
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          count: fc.integer({ min: 0, max: 2 }),
          sum: fc.integer({ min: -9, max: 9 }),
          b: fc.boolean(),
        }),
        {
          minLength: 3,
          maxLength: 10,
        },
      ),
      (drawn) => {
        const stage = {
          blocks: drawn.map(({ count, sum }) => ({ count, sum: count === 0 ? 0 : sum })),
          isB: drawn.map(({ b }) => b),
        };
        fc.pre(observedDifference([stage]) !== null);
        expect(permutationTest([stage]).p).toBeCloseTo(visited(stage), 12);
      },
    ),
  );
});

test('nothing from one setup is refused, by name', () => {
  expect(() => permutationTest(groups([], [1, 2]))).toThrow('shots: expected at least one that counts');
});

describe('the order of shots', () => {
  test('is balanced before each look, and every order is as likely', () => {
    const seen = new Map<string, number>();
    for (let seed = 0; seed < 4000; seed += 1) {
      const order = drawOrder({ seed, blockSize: 2, length: 'full' });
      expect(order.map((stage) => stage.length)).toEqual([12, 6, 6]);
      for (const stage of order) {
        expect(stage.filter((arm) => arm === 'B')).toHaveLength(stage.length / 2);
      }
      const second = order[1]!.join('');
      seen.set(second, (seen.get(second) ?? 0) + 1);
    }
    // Twenty orders of three and three: chi-squared with 19 degrees of freedom is below 43.8 but once in a thousand.
    expect(seen.size).toBe(20);
    const chi = [...seen.values()].reduce((sum, each) => sum + (each - 200) ** 2 / 200, 0);
    expect(chi).toBeLessThan(43.8);
  });

  test('warm-up first, then blocks, a look when it is due; another day warms up again', () => {
    const design = { seed: 3, blockSize: 2 as const, length: 'full' as const };
    const order = drawOrder(design).flat();
    const shots: TrialShot[] = [];
    const hit = (sitting: number) => {
      const next = nextOf(design, 2, shots, sitting, 0);
      if (next.kind === 'look') throw new Error('a look was due');
      shots.push({
        sitting,
        place:
          next.kind === 'warm-up' ? { warmUp: true } : { warmUp: false, block: next.block, arm: next.arm },
        shot: { mishit: false },
      });
      return next;
    };
    expect(hit(0)).toEqual({ kind: 'warm-up', left: 2 });
    expect(hit(0)).toEqual({ kind: 'warm-up', left: 1 });
    expect(hit(0)).toMatchObject({
      kind: 'shot',
      arm: order[0],
      block: 0,
      inBlock: 1,
      toLook: 24,
      changed: true,
    });
    expect(hit(0)).toMatchObject({ kind: 'shot', arm: order[0], block: 0, inBlock: 2, changed: false });
    expect(hit(1)).toEqual({ kind: 'warm-up', left: 2 });
    expect(hit(1)).toEqual({ kind: 'warm-up', left: 1 });
    expect(hit(1)).toMatchObject({ kind: 'shot', block: 1, inBlock: 1, toLook: 22 });
    for (let left = 21; left > 0; left -= 1) hit(1);
    expect(nextOf(design, 2, shots, 1, 0)).toEqual({ kind: 'look', look: 1 });
    expect(nextOf(design, 2, shots, 1, 1)).toMatchObject({ kind: 'shot', block: 12, toLook: 12 });
  });
});

const PLAN: TrialPlan = { ...CARRY_PLAN, seed: 77, warmUps: 2 };

/** A trial as its order has it, each shot made from its arm and number. */
function hitAll(plan: TrialPlan, look: 1 | 2 | 3, make: (arm: 'A' | 'B', at: number) => Shot): TrialShot[] {
  const warm = (at: number): TrialShot => ({ sitting: 0, place: { warmUp: true }, shot: make('A', at) });
  const placed = drawOrder(plan)
    .flat()
    .flatMap((arm, block) => Array.from({ length: plan.blockSize }, () => ({ arm, block })))
    .slice(0, shotsAt(plan.length, look))
    .map(({ arm, block }, at): TrialShot => ({
      sitting: 0,
      place: { warmUp: false, block, arm },
      shot: make(arm, at),
    }));
  return [warm(-2), warm(-1), ...placed];
}

/** Shot scatter that is the same on every run and has no order to it. */
const scatter = (at: number, size: number) => size * Math.sin(12.9898 * (at + 1) + 4.1414 * at * at);

describe('the verdict', () => {
  test('a large difference is kept at the first look, with what it rests on', () => {
    const shots = hitAll(PLAN, 1, (arm, at) => ({
      carry: 140 + (arm === 'B' ? 10 : 0) + scatter(at, 4),
      mishit: false,
    }));
    const { verdict, because, primary } = verdictOf(PLAN, shots, 1, false);
    expect([verdict, because]).toEqual(['keep', 'better']);
    expect(primary).toMatchObject({ count: { A: 12, B: 12 }, exact: true, arrangements: 924 });
    expect(primary!.difference).toBeCloseTo(primary!.mean.B - primary!.mean.A, 9);
    const [least, most] = primary!.interval;
    expect(least).toBeLessThan(10);
    expect(most).toBeGreaterThan(10);
    expect(least).toBeGreaterThan(0);
    expect(primary!.chance).toBeGreaterThan(0.95);
  });

  test('nothing there is not yet, twice, and then not shown; and how many more it would take', () => {
    const same = (_arm: 'A' | 'B', at: number) => ({ carry: 140 + scatter(at, 7), mishit: false });
    const ends = ([1, 2, 3] as const).map((look) => verdictOf(PLAN, hitAll(PLAN, look, same), look, false));
    expect(ends.map(({ verdict }) => verdict)).toEqual(['not yet', 'not yet', 'not shown']);
    expect(ends[2]!.because).toBe('never shown');
    expect(ends.map(({ more }) => more!.toNextLook)).toEqual([6, 6, 0]);
    expect(ends.map(({ verdict }) => decisionOf(verdict))).toEqual(['go on', 'go on', 'drop']);
  });

  test('pain that went up is drop, whatever the shots say; and much worse is drop at once', () => {
    const better = hitAll(PLAN, 1, (arm, at) => ({
      carry: (arm === 'B' ? 160 : 140) + scatter(at, 3),
      mishit: false,
    }));
    expect(verdictOf(PLAN, better, 1, true)).toMatchObject({ verdict: 'drop', because: 'pain' });
    const worse = hitAll(PLAN, 1, (arm, at) => ({
      carry: (arm === 'B' ? 120 : 140) + scatter(at, 3),
      mishit: false,
    }));
    expect(verdictOf(PLAN, worse, 1, false)).toMatchObject({ verdict: 'drop', because: 'worse' });
  });

  test('warm-up never counts, and mishits only where the rule said so before', () => {
    const make = (_arm: 'A' | 'B', at: number): Shot => ({
      carry: at < 0 ? 1000 : at === 5 ? 20 : 140 + scatter(at, 2),
      mishit: at === 5,
    });
    const out = compare(PLAN, 'carry', hitAll(PLAN, 1, make), 1)!;
    expect(out.count.A + out.count.B).toBe(23);
    expect(Math.min(out.mean.A, out.mean.B)).toBeGreaterThan(130);
    const counted = compare({ ...PLAN, mishits: 'counted' }, 'carry', hitAll(PLAN, 1, make), 1)!;
    expect(counted.count.A + counted.count.B).toBe(24);
    expect(Math.min(counted.mean.A, counted.mean.B)).toBeLessThan(135);
  });

  test('an outcome that was not seen decides nothing', () => {
    const blind = hitAll(PLAN, 1, () => ({ mishit: false }));
    expect(verdictOf(PLAN, blind, 1, false)).toMatchObject({
      verdict: 'not yet',
      because: 'not seen',
      primary: null,
    });
  });

  test('single shots: all 2.7 million splits of 12 against 12', () => {
    const plan = { ...PLAN, blockSize: 1 as const };
    const shots = hitAll(plan, 1, (arm, at) => ({
      carry: 140 + (arm === 'B' ? 4 : 0) + scatter(at, 5),
      mishit: false,
    }));
    expect(compare(plan, 'carry', shots, 1)).toMatchObject({ exact: true, arrangements: 2_704_156 });
  });
});

test('the difference of two proportions: worked examples of Newcombe 1998, table II, from memory', () => {
  const examples = [
    [48, 80, 56, 70, 0.0524, 0.3339],
    [3, 10, 9, 10, 0.1705, 0.809],
    [2, 7, 6, 7, 0.0582, 0.8062],
    [0, 29, 5, 56, -0.0381, 0.1926],
    [0, 20, 0, 10, -0.1611, 0.2775],
    [0, 10, 10, 10, 0.6075, 1],
  ] as const;
  for (const [yesA, ofA, yesB, ofB, least, most] of examples) {
    const found = differenceOfProportions({ yes: yesA, of: ofA }, { yes: yesB, of: ofB });
    expect(found[0]).toBeCloseTo(least, 3);
    expect(found[1]).toBeCloseTo(most, 3);
  }
});

test('how sure one proportion is larger: by the exact sum of binomials', () => {
  // P(b > a) for Beta(yes + 1, no + 1) of whole numbers has a closed sum (Evan Miller 2015, from memory), here by hand
  // for 1 of 1 against 0 of 1: Beta(2, 1) over Beta(1, 2) is 5/6.
  expect(probabilityOfProportions({ yes: 0, of: 1 }, { yes: 1, of: 1 }, 0)).toBeCloseTo(5 / 6, 2);
  expect(probabilityOfProportions({ yes: 4, of: 12 }, { yes: 9, of: 12 }, -1)).toBe(1);
  expect(probabilityOfProportions({ yes: 4, of: 12 }, { yes: 9, of: 12 }, 1)).toBe(0);
});

test('yes or no outcomes compare how many of how many, with an interval for that', () => {
  // Every third shot of A is clean and every shot of B but each fourth.
  const shots = hitAll({ ...PLAN, primary: 'clean strike' }, 1, (arm, at) => ({
    strike: (arm === 'B' ? at % 4 !== 0 : at % 3 === 0) ? 'clean' : 'thin',
    mishit: false,
  }));
  const found = compare(PLAN, 'clean strike', shots, 1)!;
  const yes = (arm: 'A' | 'B') => Math.round(found.mean[arm] * found.count[arm]);
  expect(found.shift).toBeNull();
  expect(found.difference).toBeCloseTo(yes('B') / 12 - yes('A') / 12, 12);
  expect(found.interval).toEqual(
    differenceOfProportions({ yes: yes('A'), of: 12 }, { yes: yes('B'), of: 12 }, TRIAL_LOOKS.full.tails[0]),
  );
  // All of both alike shows nothing for certain: the chance is not 0 or 1.
  const always = hitAll(PLAN, 1, () => ({ strike: 'clean', mishit: false }));
  const same = compare(PLAN, 'clean strike', always, 1)!;
  expect(same.interval[0]).toBeLessThan(-0.1);
  expect(same.interval[1]).toBeGreaterThan(0.1);
  expect(same.chance).toBeGreaterThan(0.005);
  expect(same.chance).toBeLessThan(0.2);
});

test('an interval that the blocks cannot bound has no bound', () => {
  // Three against three blocks have 20 arrangements, the best of which has p 0.05: no shift is refused at 0.025.
  const few = groups([1, 2, 3], [11, 12, 13]);
  expect(shiftInterval(few, 10, 100)).toEqual([null, null]);
  // Four against four have 70, and the best 0.0143.
  const [least, most] = shiftInterval(groups([1, 2, 3, 4], [11, 12, 13, 14]), 10, 100);
  expect(least).toBeGreaterThan(5);
  expect(most).toBeLessThan(15);
});

test('the shift is the median of all differences, and moves with the shots', () => {
  // By hand: differences 1 2 3, -1 0 1, 4 5 6, whose median is 2.
  expect(hodgesLehmann([3, 2, 1], [4, 2, 7])).toBe(2);
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 4, maxLength: 6 }),
      fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 4, maxLength: 6 }),
      fc.integer({ min: -30, max: 30 }),
      (a, b, by) => {
        const moved = b.map((each) => each + by);
        expect(hodgesLehmann(a, moved)).toBeCloseTo(hodgesLehmann(a, b) + by, 9);
        const reach = 500;
        const before = shiftInterval(groups(a, b), mean(b) - mean(a), reach);
        const after = shiftInterval(groups(a, moved), mean(moved) - mean(a), reach);
        expect(after[0]).toBeCloseTo(before[0]! + by, 1);
        expect(after[1]).toBeCloseTo(before[1]! + by, 1);
      },
    ),
    { numRuns: 25 },
  );
});

test('a 95% interval of the shift holds the true one in 95 of 100 trials', () => {
  const normal = normals(seeded(41));
  let held = 0;
  const trials = 300;
  for (let trial = 0; trial < trials; trial += 1) {
    const [stage] = drawOrder({ seed: trial, blockSize: 2, length: 'full' });
    const isB = stage!.map((arm) => arm === 'B');
    const blocks = isB.map((b) => {
      const of = 0.5 * normal();
      return { count: 2, sum: 2 * of + normal() + normal() + (b ? 2 * 0.8 : 0) };
    });
    const stages = [{ blocks, isB }];
    const [least, most] = shiftInterval(stages, observedDifference(stages)!, 20);
    if (least! <= 0.8 && 0.8 <= most!) held += 1;
  }
  // Three standard errors about 95%.
  expect(held / trials).toBeGreaterThan(0.912);
  expect(held / trials).toBeLessThan(0.988);
});

test('the chance of a worthwhile difference: even at the difference itself, and rising with it', () => {
  const stages = (by: number): Stage[] => [
    {
      blocks: [0, 2, 1, 3, 2, 4].map((each, at) => ({ count: 1, sum: each + (at % 2 ? by : 0) })),
      isB: [false, true, false, true, false, true],
    },
  ];
  // Means of 1 and 3 and scatter alike: a margin of 2 is as likely as not.
  expect(probabilityBeyond(stages(0), 2)).toBeCloseTo(0.5, 9);
  expect(probabilityBeyond(stages(2), 2)!).toBeGreaterThan(0.9);
});

test('a student’s own scatter is what is left about each setup’s mean, trial by trial', () => {
  // By hand: two trials, 10 apart and 4 between setups; shots one either side of their mean.
  const trial = (base: number) => ({
    plan: PLAN,
    shots: hitAll(PLAN, 1, (arm, at) => ({
      carry: base + (arm === 'B' ? 4 : 0) + (at % 2 ? 1 : -1),
      mishit: false,
    })),
  });
  const own = ownScatter('carry', [trial(140), trial(150)])!;
  expect(own.shots).toBe(48);
  // 48 squares of one, four means taken out.
  expect(own.scatter).toBeCloseTo(Math.sqrt(48 / 44), 9);
  expect(ownScatter('club speed', [trial(140)])).toBeNull();
  expect(ownScatter('carry', [])).toBeNull();
});

test('how many shots it takes: 16 squared over the effect for four in five, about (Lehr 1992, from memory, at 5% two-sided)', () => {
  // Levels here are stricter than 2.5% one-sided, so it takes somewhat more than 16 a side for one scatter.
  expect(shotsToShow(1, 1)!).toBeGreaterThan(16);
  expect(shotsToShow(1, 1)!).toBeLessThan(24);
  expect(shotsToShow(0.5, 1)!).toBeGreaterThan(3.5 * shotsToShow(1, 1)!);
  expect(shotsToShow(-1, 1)).toBeNull();
});

describe('the miss pattern', () => {
  const side = (metres: number): Shot => ({ side: metres, mishit: false });
  test('one way, both ways, and not clear with few', () => {
    const one = missPattern([...Array<Shot>(9).fill(side(15)), side(0), side(2)]);
    expect(one).toMatchObject({ near: 0, far: 9, pattern: 'one way', side: 'far' });
    const both = missPattern([...Array<Shot>(8).fill(side(15)), ...Array<Shot>(8).fill(side(-15))]);
    expect(both.pattern).toBe('both ways');
    expect(missPattern([side(20), side(20)]).pattern).toBe('not clear yet');
    expect(missPattern([side(1)]).pattern).toBe('no misses');
  });

  test('by hand: the curve says where it went, else the start', () => {
    const { near, far } = missPattern([
      { curveSide: 'far', startSide: 'near', mishit: false },
      { startSide: 'near', mishit: false },
      { curveSide: 'none', startSide: 'none', mishit: false },
    ]);
    expect([near, far]).toEqual([1, 1]);
  });
});
