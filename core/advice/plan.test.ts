import { figureOf } from '../setup';
import { caseOf } from '../test/adviceCases';
import type { WrittenCase } from '../test/writtenCases';
import { judge, otherWays } from '.';
import { lineOfSetback, MOST_AHEAD, MOST_LINE, setbackOfLine } from './allowed';
import { causesOf } from './causes';
import { doseFrom, nearestDose, oneDose } from './doses';
import { asTaught, quarterShoe, targetOf } from './moves';
import { toldPath } from './pathTold';
import { setupWith } from './plan';
import { endsOf, standingOf, valueOf } from './standing';
import type { AdvisedFigure, AdvisedMove, Case } from './types';

const written = (over: Partial<WrittenCase> = {}): Case =>
  caseOf({ name: 'one of these', first: [], ...over });

const ORDERS = [
  [0, 1, 2, 3, 4],
  [4, 3, 2, 1, 0],
  [3, 0, 4, 2, 1],
  [2, 4, 1, 3, 0],
];

test('moves end where they say in whatever order they are named: flares, then the trail foot, then the rest', () => {
  const { setup } = written();
  const to = { leadFlare: 30, trailFlare: 20, stanceWidth: 520, setback: 45, ballAlong: 60 } as const;
  const moves = Object.entries(to).map(([figure, value]) => ({
    ...{ figure, from: figureOf(setup, figure as 'setback')!, to: value },
  })) as AdvisedMove[];
  for (const order of ORDERS) {
    const made = setupWith(
      setup,
      order.map((at) => moves[at]!),
    );
    for (const [figure, value] of Object.entries(to))
      expect([order, figure, figureOf(made, figure as 'setback')]).toEqual([
        order,
        figure,
        expect.closeTo(value, 6),
      ]);
  }
});

describe('a line for the path', () => {
  const asked = (path: number, line: number, by: 'more' | 'less', over: Partial<WrittenCase> = {}) => {
    const standing = standingOf(written({ path, today: { stanceLine: line }, ...over }));
    return { standing, to: targetOf(standing, { figure: 'setback', by, to: 'what the path asks' }) };
  };

  test('goes back by whole quarters of the shoe, one at least, as near as they bring it straight', () => {
    for (const path of [-2, -4, -6, -9])
      for (const line of [-6, -2, 0, 3]) {
        const { standing, to } = asked(path, line, 'more');
        const quarter = quarterShoe(standing);
        const from = valueOf(standing, 'setback')!;
        const told = toldPath(standing.given)!;
        const straight = setbackOfLine(
          standing,
          valueOf(standing, 'stanceLine')! - told.value / told.perClosed,
        );
        const next = quarter * (Math.floor(from / quarter + 0.25) + 1);
        const wanted = Math.max(quarter * Math.round(straight / quarter), next);
        const furthest = setbackOfLine(standing, MOST_LINE);
        expect(to).not.toBeNull();
        if (wanted <= furthest) expect([path, line, to]).toEqual([path, line, expect.closeTo(wanted, 6)]);
        // Beyond the last line that can be played it ends at a whole centimetre before that.
        else {
          expect(to! % 10).toBeCloseTo(0, 6);
          expect([to! <= furthest, to! > furthest - 10]).toEqual([true, true]);
        }
      }
  });

  test('comes forward by quarters to square, and ahead of it by whole centimetres, never far', () => {
    const ahead = asked(7, 0, 'less');
    const { length } = ahead.standing.given.setup.address.shoe;
    expect(ahead.to! % 10).toBeCloseTo(0, 6);
    expect([ahead.to! < 0, ahead.to! >= -MOST_AHEAD * length]).toEqual([true, true]);
    const back = asked(2, 9, 'less');
    const quarters = back.to! / quarterShoe(back.standing);
    expect(quarters).toBeCloseTo(Math.round(quarters), 6);
    expect(back.to).toBeGreaterThanOrEqual(0);
    expect(back.to).toBeLessThan(valueOf(back.standing, 'setback')!);
  });

  test('is nothing where nobody knows the path', () => {
    expect(asked(-5, 0, 'less').to).toBeNull();
    const untold = standingOf(written());
    expect(targetOf(untold, { figure: 'setback', by: 'more', to: 'what the path asks' })).toBeNull();
  });
});

describe('another way', () => {
  test('is the move that is shown, from where it stands', () => {
    const given = written({
      cameFor: ['swing too short'],
      today: { trailFlare: 5 },
      legs: { inTrail: 24 },
    });
    const [way] = otherWays(given);
    const from = valueOf(standingOf(given), 'setback')!;
    const [move] = way!.moves;
    expect(way!.moves).toHaveLength(1);
    expect(move).toEqual({ figure: 'setback', from: expect.closeTo(from, 6) as unknown, to: move!.to });
    expect(figureOf(way!.setup, 'setback')).toBeCloseTo(move!.to, 6);
    expect(lineOfSetback(standingOf(given), move!.to)).toBeGreaterThan(0);
  });
});

describe('a trail knee outside its foot', () => {
  const sways = (over: Partial<Case> = {}, of: Partial<WrittenCase> = {}): Case => ({
    ...written({ seen: ['sways'], today: { hipBump: 25 }, ...of }),
    ...over,
  });
  const things = (given: Case) => judge(given, 0).things.map(({ thing, moves }) => [thing, moves.length]);

  test('that nobody measured is spoken of, and one that was measured is moved', () => {
    expect(things(sways())).toContainEqual(['trail knee', 0]);
    expect(things(sways({}, { today: { hipBump: 25, trailKneeInside: -30 } }))).toContainEqual([
      'trail knee',
      1,
    ]);
  });

  test('that was measured and dropped is not spoken of instead', () => {
    const given = sways(
      { dropped: [{ item: 'trailKneeInside', by: 'more' }] },
      { today: { hipBump: 25, trailKneeInside: -30 } },
    );
    expect(things(given).map(([thing]) => thing)).not.toContain('trail knee');
  });
});

describe('a pitch', () => {
  const pitch = (over: Partial<WrittenCase>) => written({ club: 'sand-wedge', pitch: true, ...over });
  const named = (given: Case, path: ReturnType<typeof toldPath> = null) =>
    causesOf(standingOf(given), path).map(({ cause }) => cause);

  test('has none of the causes of a full swing: its goals reverse on purpose', () => {
    const seen = ['sways', 'falls back', 'trail heel stuck down', 'loses the club at the top'] as const;
    const full = { seen, cameFor: ['cannot turn back', 'turns too far'], today: { hipBump: 0 } } as const;
    const causes = ['too wide to post', 'hips central', 'trail heel stuck', 'turns too far', 'pressure'];
    const pressed = (given: Case): Case => ({
      ...given,
      pressure: { pattern: 'falls back', way: 'file' },
    });
    expect(named(pressed(written(full)))).toEqual(expect.arrayContaining(causes));
    for (const cause of causes) expect(named(pressed(pitch(full)))).not.toContain(cause);
  });

  test('is asked for no path, also where one is told', () => {
    const told = toldPath(written({ path: -6 }));
    expect(named(written({ path: -6 }), told)).toContain('path');
    expect(named(pitch({}), told)).not.toContain('path');
  });

  test('is not asked to straighten a trail knee for the turn', () => {
    const bent = { cameFor: ['cannot turn back'], today: { trailKneeBack: 100 } } as const;
    expect(named(written(bent))).toContain('trail knee stuck');
    expect(named(pitch(bent))).not.toContain('trail knee stuck');
  });
});

describe('a figure that is put as taught', () => {
  const standing = standingOf(written());
  const width = (aim: number, low: number, high: number) =>
    asTaught(standing, 'stanceWidth', { aim, low, high });

  test('is said in whole doses where one lies within the band, its ends counted, and else as it is taught', () => {
    const dose = oneDose('stanceWidth');
    const near = nearestDose(333, 'stanceWidth');
    expect(width(333, 300, 360)).toBe(near);
    expect(near % dose).toBeCloseTo(0, 6);
    expect(width(333, 332.5, 333.5)).toBe(333);
    expect(width(near + 2, near, near + 2)).toBe(near);
    expect(width(near - 2, near - 2, near)).toBe(near);
    expect(asTaught(standing, 'leadFlare', { aim: 18.5, low: 10, high: 25 })).toBe(18.5);
  });
});

test('lengths on the ground and of the knee are said in doses, shares and angles as they are taught', () => {
  const standing = standingOf(written());
  const at = (figure: AdvisedFigure) => asTaught(standing, figure, { aim: 123.4, low: 80, high: 160 });
  for (const figure of ['ballAlong', 'ballOut', 'hipBump', 'trailKneeInside', 'trailKneeBack'] as const) {
    expect(at(figure)).toBe(nearestDose(123.4, figure));
    expect(at(figure)).not.toBe(123.4);
  }
  for (const figure of ['leadShare', 'leadHeelToe', 'shaftLean'] as const) expect(at(figure)).toBe(123.4);
});

describe('a stance that hips can post on', () => {
  const ends = (widest: number | null, over: Partial<WrittenCase> = {}) => {
    const given = { ...written(over), widest };
    const standing = standingOf(given);
    const told = targetOf(standing, { figure: 'stanceWidth', by: 'less', to: 'what the hips can post on' });
    return { told, now: valueOf(standing, 'stanceWidth')!, band: endsOf(standing, 'stanceWidth')! };
  };

  test('is as taught where that does it', () => {
    const { told, band } = ends(900, { wider: 200 });
    expect(told).toBe(nearestDose(band.aim, 'stanceWidth'));
    // The very width that is taught may be the widest.
    expect(ends(told!, { wider: 200 }).told).toBe(told);
  });

  test('is no wider than the student was found to post on, in whole doses', () => {
    const { band } = ends(900);
    const widest = band.aim - 37;
    for (const wider of [0, 200]) expect(ends(widest, { wider }).told).toBe(10 * Math.floor(widest / 10));
  });

  test('goes to the low end of the band where it is in it and posts already, and no further', () => {
    const { told, now, band } = ends(900);
    expect(now).toBeGreaterThan(band.low);
    expect(told).toBe(doseFrom(band.low, 'stanceWidth'));
    expect(ends(900, { wider: band.low - now }).told).toBeNull();
    expect(ends(900, { wider: band.low - now - 20 }).told).toBeNull();
  });
});

test('only a foot that is turned out spares a sore joint', () => {
  const standing = standingOf(written());
  const spare = (figure: 'stanceWidth' | 'leadFlare' | 'trailFlare' | 'ballAlong') =>
    targetOf(standing, { figure, by: 'more', to: 'a dose beyond as taught' });
  expect([spare('stanceWidth'), spare('ballAlong')]).toEqual([null, null]);
  for (const figure of ['leadFlare', 'trailFlare'] as const)
    expect(spare(figure)).toBeGreaterThan(valueOf(standing, figure)!);
});

test('another way tells what each turn gains', () => {
  const short = written({ cameFor: ['swing too short'], today: { trailFlare: 5 }, legs: { inTrail: 24 } });
  const ways = otherWays(short);
  expect(ways).toHaveLength(1);
  for (const { back } of ways) expect(back!.to - back!.from).toBeGreaterThan(0);
});

test('a first thing is a close call where measuring again may change it, and only once it is drawn', () => {
  const close = (draws: number) => judge(written({ today: { trailFlare: 11 } }), draws).closeCall;
  expect([close(1), close(0)]).toEqual([true, false]);
});
