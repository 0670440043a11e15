import fc from 'fast-check';
import {
  asPlayed,
  ASSUMED_TRUNK,
  calibrate,
  simulateLimit,
  dropFoot,
  flareToeKept,
  footHasToComeRound,
  measureAddress,
  neededTurn,
  OWN_CLOSING_BELOW,
  unturnedClosing,
  normals,
  seeded,
  shouldersReached,
  startingSetup,
  STARTING_GIVES,
  stopOf,
  trailKneeRoom,
  turnBudget,
  turnStance,
  turnTrades,
  USUAL_GOAL,
  type Angle,
  type MeasuredTurn,
  type StopName,
  type TurningBody,
  type TurningFeet,
} from '..';
import { turnUntilStopped } from '../test/pelvis';
import { address, build } from '../test/example';
import { angle, bodyOf, both, feetOf } from '../test/turning';

describe('the worked example: trail turns in 10, lead turns out 45', () => {
  const stiff = bodyOf({ inTrail: 10, outLead: 45 });
  const limits = (feet: TurningFeet) => turnBudget('back', stiff, feet).stops.map(({ at }) => at!.value);

  test('lead flare 20 and trail square: the trail leg stops it at 20, the lead leg at 60', () => {
    expect(limits(feetOf(20, 0))).toEqual([20, 60]);
    expect(turnBudget('back', stiff, feetOf(20, 0)).first!.name).toBe('trail back');
  });

  test('trail flare 25 gives the 45 that is needed, 40 makes both 60, and more buys nothing', () => {
    expect(limits(feetOf(20, 25))).toEqual([45, 60]);
    expect(limits(feetOf(20, 40))).toEqual([60, 60]);
    expect(turnBudget('back', stiff, feetOf(20, 45)).limit).toBe(60);
  });

  test('until the lead heel lifts, or the lead flare comes down', () => {
    expect(turnBudget('back', stiff, feetOf(20, 45, 25)).limit).toBe(65);
    expect(turnBudget('back', stiff, feetOf(10, 45)).limit).toBe(65);
  });

  test('lead flare pays for the through-swing with the backswing', () => {
    const trade = turnTrades(stiff, feetOf(20, 40)).find(
      ({ change, by }) => change === 'leadFlare' && by > 0,
    )!;
    expect(trade).toMatchObject({ by: 5, back: -5, through: 5 });
  });
});

const legs = fc.record({
  inLead: fc.integer({ min: 0, max: 55 }),
  inTrail: fc.integer({ min: 0, max: 55 }),
  outLead: fc.integer({ min: 10, max: 65 }),
  outTrail: fc.integer({ min: 10, max: 65 }),
});
const flare = fc.integer({ min: -10, max: 45 });

describe('against a pelvis turned in small steps on two legs', () => {
  test.each(['back', 'through'] as const)('it stops where the budget says, %s', (turn) => {
    fc.assert(
      fc.property(legs, flare, flare, fc.integer({ min: 0, max: 25 }), (given, lead, trail, lift) => {
        const body = bodyOf(given);
        const feet = feetOf(lead, trail, turn === 'back' ? lift : 0);
        const { limit } = turnBudget(turn, body, feet, USUAL_GOAL, { trailHeelDown: true, draws: 0 });
        const give = (name: StopName) => STARTING_GIVES[name].value;
        // Only who can stand square to begin with can be turned from square.
        fc.pre(lead <= given.outLead + 10 && trail <= given.outTrail + 10);
        fc.pre(lead >= -given.inLead - 10 && trail >= -given.inTrail - 10);
        const stopped = turnUntilStopped(
          {
            lead: {
              flare: lead,
              turnsIn: given.inLead,
              turnsOut: given.outLead,
              follows: turn === 'back' ? give('lead back') + (lift * 10) / 25 : give('lead through'),
            },
            trail: {
              flare: trail,
              turnsIn: given.inTrail,
              turnsOut: given.outTrail,
              follows: give(turn === 'back' ? 'trail back' : 'trail through'),
            },
          },
          turn,
        );
        expect(Math.abs(Math.max(0, limit!) - stopped)).toBeLessThanOrEqual(0.1);
      }),
    );
  });
});

describe('whatever the body', () => {
  const limit = (turn: 'back' | 'through', body: TurningBody, feet: TurningFeet) =>
    turnBudget(turn, body, feet, USUAL_GOAL, { draws: 0 }).limit!;

  test('more trail flare never lowers the back limit; more lead flare never lowers through nor raises back', () => {
    fc.assert(
      fc.property(legs, flare, flare, fc.integer({ min: 1, max: 20 }), (given, lead, trail, more) => {
        const body = bodyOf(given);
        const feet = feetOf(lead, trail);
        expect(limit('back', body, feetOf(lead, trail + more))).toBeGreaterThanOrEqual(
          limit('back', body, feet),
        );
        expect(limit('through', body, feetOf(lead + more, trail))).toBeGreaterThanOrEqual(
          limit('through', body, feet),
        );
        expect(limit('back', body, feetOf(lead + more, trail))).toBeLessThanOrEqual(
          limit('back', body, feet),
        );
      }),
    );
  });

  test('turning the whole stance gives going back what it takes from going through', () => {
    fc.assert(
      fc.property(legs, flare, flare, fc.integer({ min: 1, max: 15 }), (given, lead, trail, by) => {
        const body = bodyOf(given);
        // The method's own difference on a square toe line.
        const square = flareToeKept(flareToeKept(address(), 'lead', lead), 'trail', trail);
        const after = measureAddress(turnStance(square, by));
        const turned = feetOf(after.leadFlare, after.trailFlare, 0, {
          toeLine: { value: after.toeLine, uncertainty: 1 },
          ownDifference: trail - lead,
        });
        const gain = (turn: 'back' | 'through') =>
          limit(turn, body, turned) -
          limit(turn, body, feetOf(lead, trail, 0, { ownDifference: trail - lead }));
        expect(gain('back')).toBeCloseTo(by, 6);
        expect(gain('through')).toBeCloseTo(-by, 6);
      }),
    );
  });

  test('a foot dropped straight back with its flare gives what closing is worth, and takes as much', () => {
    fc.assert(
      fc.property(legs, flare, flare, fc.integer({ min: -100, max: 150 }), (given, lead, trail, by) => {
        const body = bodyOf(given, { closing: { value: 0.4, uncertainty: 0.3 } });
        const square = flareToeKept(flareToeKept(address(), 'lead', lead), 'trail', trail);
        const { toeLine, ...after } = measureAddress(dropFoot(square, by));
        expect([after.leadFlare, after.trailFlare]).toEqual([lead, trail]);
        const dropped = feetOf(lead, trail, 0, {
          toeLine: { value: toeLine, uncertainty: 0 },
          ownDifference: trail - lead,
        });
        const stop = (name: StopName, feet: TurningFeet) => stopOf(name, body, feet).at!.value;
        const gain = (name: StopName) => stop(name, dropped) - stop(name, feetOf(lead, trail));
        expect(gain('trail back')).toBeCloseTo(0.4 * toeLine, 9);
        expect(gain('lead through')).toBeCloseTo(-0.4 * toeLine, 9);
        expect([gain('lead back'), gain('trail through')]).toEqual([0, 0]);
      }),
    );
  });

  test('a flare with the toe kept moves no line, and gives the flare alone', () => {
    fc.assert(
      fc.property(legs, flare, flare, flare, (given, lead, trail, to) => {
        const square = flareToeKept(flareToeKept(address(), 'lead', lead), 'trail', trail);
        const { toeLine } = measureAddress(flareToeKept(square, 'trail', to));
        const on = (flared: number) =>
          feetOf(lead, flared, 0, {
            toeLine: { value: toeLine, uncertainty: 0 },
            ownDifference: trail - lead,
          });
        const stop = (feet: TurningFeet) => stopOf('trail back', bodyOf(given), feet).at!.value;
        expect(stop(on(to)) - stop(on(trail))).toBeCloseTo(to - trail, 6);
      }),
    );
  });

  test('the give of a painful knee is never spent', () => {
    fc.assert(
      fc.property(legs, flare, flare, (given, lead, trail) => {
        const sore = bodyOf(given, {
          soreKnee: both(true, false),
          reaches: { 'lead through': angle(99), 'lead back': angle(99) },
        });
        const stop = (name: StopName) => stopOf(name, sore, feetOf(lead, trail)).at!.value;
        expect(stop('lead through')).toBe(given.inLead + lead);
        expect(stop('lead back')).toBe(given.outLead - lead);
      }),
    );
  });
});

describe('what is needed', () => {
  test('the shoulders’ goal less the trunk, measured or else assumed and said so', () => {
    expect(neededTurn('back', bodyOf({ trunk: 50 }), USUAL_GOAL)).toEqual({ value: 40, uncertainty: 5 });
    const assumed = turnBudget('back', bodyOf({ trunk: null }), feetOf(20, 20));
    expect(assumed.trunkAssumed).toBe(true);
    expect(assumed.needed).toEqual({ value: 90 - ASSUMED_TRUNK.value, uncertainty: 8 });
    expect(neededTurn('through', bodyOf(), USUAL_GOAL).value).toBe(45);
  });

  test('missing is what the first stop leaves, and the shoulders reach legs and trunk together', () => {
    const stiff = bodyOf({ inTrail: 10, outLead: 45 });
    expect(turnBudget('back', stiff, feetOf(20, 7))).toMatchObject({ limit: 27, missing: 18 });
    expect(shouldersReached(stiff, feetOf(20, 7))).toBe(72);
    expect(turnBudget('back', bodyOf(), feetOf(20, 20)).missing).toBe(0);
  });

  test('at the finish the lead foot has to come round by what is missing of facing the target', () => {
    expect(footHasToComeRound(bodyOf({ inLead: 35 }), feetOf(20, 0))).toBe(25);
    expect(footHasToComeRound(bodyOf({ inLead: 60 }), feetOf(30, 0))).toBe(0);
  });
});

test('for a leg that was not tested a usual one stands in, as unsure as legs differ; for one that hurts nothing does', () => {
  const body = bodyOf();
  body.legs.turnIn = both<Angle | null>(angle(35), null);
  const budget = turnBudget('back', body, feetOf(20, 0));
  // Hips turn in 40 degrees (American Academy of Orthopaedic Surgeons, from memory): 40 + 10, against 60 by the lead leg.
  expect(budget.stops.map(({ at }) => at!.value)).toEqual([50, 60]);
  expect(budget.stops[0]!.at!.uncertainty).toBeCloseTo(Math.hypot(10, 6, 2), 9);
  expect(budget.assumed).toEqual(['trail']);
  expect(turnBudget('through', body, feetOf(20, 0))).toMatchObject({ limit: 65, assumed: [] });
  const hurt = turnBudget('back', { ...body, hurts: ['trail back'] }, feetOf(20, 0));
  expect(hurt).toMatchObject({
    first: null,
    limit: null,
    missing: null,
    chance: null,
    hurts: 'trail',
    assumed: [],
  });
  expect(hurt.stops.map(({ at }) => at?.value ?? null)).toEqual([null, 60]);
});

describe('chance', () => {
  test('is the same for the same question', () => {
    const body = bodyOf({ inTrail: 10 });
    expect(turnBudget('back', body, feetOf(20, 10))).toEqual(turnBudget('back', body, feetOf(20, 10)));
  });

  test('of one stop is the normal distribution’s own', () => {
    // One stop at 40 +- 6 against a need of 45 +- 0: the upper tail at 5/6 of a deviation, 0.2023 (tables).
    const { chance, interval } = simulateLimit([angle(40, 6)], angle(45, 0), 40_000);
    expect(chance).toBeCloseTo(0.2023, 2);
    expect(interval[0]).toBeCloseTo(40 - 1.96 * 6, 0);
    expect(interval[1]).toBeCloseTo(40 + 1.96 * 6, 0);
  });
});

/** Students whose true legs, gives and feet are drawn, and where their pelvis really stops. */
function coverageOf(shift: number, spread: number, calibrated: boolean): number {
  const normal = normals(seeded(77));
  const draw = (mean: number, sd: number) => mean + sd * normal();
  const STUDENTS = 1500;
  let covered = 0;
  for (let student = 0; student < STUDENTS; student += 1) {
    const truth = { inTrail: draw(30, 8), outLead: draw(45, 8) };
    const give = { trail: draw(10 + shift, spread), lead: draw(35 + shift, (10 / 6) * spread) };
    const trueLimit = (feet: TurningFeet) =>
      Math.min(truth.inTrail + feet.flare.trail + give.trail, truth.outLead - feet.flare.lead + give.lead);
    // Tested with the test's own error; feet placed with theirs.
    const body = bodyOf({ inTrail: draw(truth.inTrail, 5), outLead: draw(truth.outLead, 5) });
    const placed = (feet: TurningFeet): TurningFeet =>
      feetOf(draw(feet.flare.lead, 2), draw(feet.flare.trail, 2));
    const measuredAt = [feetOf(15, 0), feetOf(40, 30), feetOf(20, 10)];
    const turns = measuredAt.map((feet): MeasuredTurn => {
      const stood = placed(feet);
      const trailStops =
        truth.inTrail + stood.flare.trail + give.trail < truth.outLead - stood.flare.lead + give.lead;
      return {
        turn: 'back',
        feet,
        reached: angle(draw(trueLimit(stood), 3), 3),
        stoppedBy: trailStops ? 'trail' : 'lead',
      };
    });
    const { reaches } = calibrate(body, calibrated ? turns : []);
    const feet = feetOf(25, 20);
    const { interval } = turnBudget('back', { ...body, reaches }, feet, USUAL_GOAL, {
      draws: 500,
      seed: student,
    });
    const really = trueLimit(placed(feet));
    if (really >= interval![0] && really <= interval![1]) covered += 1;
  }
  return covered / STUDENTS;
}

describe('the 95% interval holds the truth 93 to 97 times in a hundred', () => {
  test('for students like the starting values', () => {
    const coverage = coverageOf(0, 6, false);
    expect(coverage).toBeGreaterThan(0.93);
    expect(coverage).toBeLessThan(0.97);
  });

  test.each([
    [0, 6],
    [6, 6],
    [-5, 4],
  ])('and once turns were measured, also off them: gives %s further, spread %s', (shift, spread) => {
    const coverage = coverageOf(shift, spread, true);
    expect(coverage).toBeGreaterThan(0.93);
    expect(coverage).toBeLessThan(0.97);
  });
});

describe('calibrating', () => {
  const body = bodyOf({ inTrail: 10, outLead: 45 });
  const feet = feetOf(20, 5);
  const turned = (value: number, over: Partial<MeasuredTurn> = {}): MeasuredTurn => ({
    turn: 'back',
    reached: angle(value, 3),
    feet,
    stoppedBy: 'trail',
    ...over,
  });

  test('the stop that was met moves toward what was measured, by how sure each is', () => {
    // Predicted 25. Test and give together 20 +- hypot(5, 6); measured 40 - 5 = 35 +- hypot(3, 2).
    const { reaches } = calibrate(body, [turned(40)]);
    const before = 1 / (25 + 36);
    const seen = 1 / (9 + 4);
    expect(reaches['trail back']!.value).toBeCloseTo((20 * before + 35 * seen) / (before + seen), 9);
    expect(reaches['trail back']!.uncertainty).toBeCloseTo(Math.sqrt(1 / (before + seen)), 9);
    expect(turnBudget('back', { ...body, reaches }, feet).limit).toBeCloseTo(37.4, 1);
  });

  test('the other stop reaches at least as far', () => {
    const { reaches } = calibrate(body, [turned(58)]);
    expect(reaches['lead back']!.value).toBeGreaterThan(45 + 35);
    expect(calibrate(body, [turned(10)]).reaches['lead back']!.value).toBeCloseTo(45 + 35, 1);
  });

  test('a miss beyond the interval is said, one within it is not', () => {
    const [miss] = calibrate(body, [turned(55)]).residuals;
    expect(miss).toMatchObject({ predicted: 25, missed: true, stop: 'trail back' });
    expect(miss!.halfWidth).toBeCloseTo(1.96 * Math.hypot(5, 6, 2, 3), 6);
    expect(calibrate(body, [turned(34)]).residuals[0]!.missed).toBe(false);
  });

  test('where nobody felt which leg it was, it is told beside the one predicted first', () => {
    expect(calibrate(body, [turned(30, { stoppedBy: null })]).residuals[0]!.stop).toBe('trail back');
  });

  test('where nobody could say, each leg may have been it, by how near it was predicted', () => {
    const near = bodyOf({ inLead: 30, outTrail: 40 });
    const through = (value: number, stoppedBy: MeasuredTurn['stoppedBy']) =>
      calibrate(near, [turned(value, { turn: 'through', stoppedBy, feet: feetOf(10, 10) })]).reaches;
    const [lead, trail, nobody] = [through(38, 'lead'), through(38, 'trail'), through(38, null)];
    for (const [name, tested] of [
      ['lead through', 40],
      ['trail through', 50],
    ] as const) {
      const ends = [lead[name]?.value ?? tested, trail[name]?.value ?? tested].sort((a, b) => a - b);
      expect(nobody[name]!.value).toBeGreaterThan(ends[0]!);
      expect(nobody[name]!.value).toBeLessThan(ends[1]!);
    }
    // It is less sure than either.
    expect(nobody['lead through']!.uncertainty).toBeGreaterThan(lead['lead through']!.uncertainty);
  });

  test('where it ended is known all the same: on the same feet it ends there again', () => {
    const untested = bodyOf({}, {});
    const legs = { ...untested.legs, turnIn: both<Angle | null>(null), turnOut: both<Angle | null>(null) };
    const drawn = { ...untested, legs };
    const told = calibrate(drawn, [turned(30, { stoppedBy: null, feet: feetOf(15, 15) })]);
    const before = turnBudget('back', drawn, feetOf(15, 15));
    const after = turnBudget('back', { ...drawn, ...told }, feetOf(15, 15));
    expect(Math.abs(after.limit! - 30)).toBeLessThan(4);
    const widthOf = ({ interval }: typeof after) => interval![1] - interval![0];
    expect(widthOf(after)).toBeLessThan(widthOf(before) / 2);
    // Each way in which the legs may be is as likely as it says, all together 1.
    expect(told.mixture!.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
  });

  test('a turn that ended short, and nobody could say at which leg, makes no limit look further', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('back' as const, 'through' as const),
        fc.double({ min: 10, max: 55, noNaN: true }),
        fc.double({ min: 10, max: 55, noNaN: true }),
        fc.double({ min: 5, max: 30, noNaN: true }),
        (turn, leadIn, trailIn, short) => {
          const drawn = bodyOf({ inLead: leadIn, inTrail: trailIn });
          const on = feetOf(10, 10);
          const before = turnBudget(turn, drawn, on, USUAL_GOAL, { draws: 0 }).limit!;
          const least = Math.min(...turnBudget(turn, drawn, on).stops.map(({ at }) => at!.value));
          const reached = angle(least - short, 3);
          const told = calibrate(drawn, [{ turn, reached, feet: on, stoppedBy: null }]);
          const after = turnBudget(turn, { ...drawn, ...told }, on, USUAL_GOAL, { draws: 0 }).limit!;
          expect(after).toBeLessThanOrEqual(before + 0.5);
        },
      ),
    );
  });
});

describe('closing, calibrated by turns on different lines', () => {
  const onLine = (toeLine: number) => feetOf(15, 15, 0, { toeLine: { value: toeLine, uncertainty: 0 } });
  const exact = (toeLine: number) => ({ ...onLine(toeLine), flareUncertainty: both(0) });
  const pair = (square: number, closed: number): MeasuredTurn[] =>
    [
      { feet: exact(0), reached: angle(square, 4) },
      { feet: exact(8), reached: angle(closed, 4) },
    ].map((each) => ({ ...each, turn: 'back' as const, stoppedBy: 'trail' as const }));
  const body = bodyOf({ inTrail: 10 });

  test('about seven pairs at four degrees, eight apart, bring its spread below a fifth', () => {
    const spreadAfter = (pairs: number) =>
      calibrate(body, Array.from({ length: pairs }, () => pair(35, 38)).flat()).closing.uncertainty;
    // By hand: a pair tells it to hypot(4, 4) / 8; with 0.3 before, seven of them leave 0.1996.
    expect(spreadAfter(7)).toBeCloseTo(Math.sqrt(1 / (1 / 0.09 + 7 / (32 / 64))), 2);
    expect(spreadAfter(5)).toBeGreaterThan(OWN_CLOSING_BELOW);
    expect(spreadAfter(8)).toBeLessThan(OWN_CLOSING_BELOW);
  });

  test('turns that go as far on any line say that closing gives nothing', () => {
    const turns = Array.from({ length: 40 }, () => pair(35, 35)).flat();
    expect(calibrate(body, turns).closing.value).toBeLessThan(0.1);
    expect(calibrate(body, []).closing).toEqual({ value: 0.4, uncertainty: 0.3 });
  });

  test('a sore knee’s turns teach nothing of it', () => {
    const sore = { ...body, soreKnee: both(false, true) };
    expect(calibrate(sore, pair(35, 45)).closing).toEqual({ value: 0.4, uncertainty: 0.3 });
  });
});

/** Students for whom closing is worth any of 0 to 1, whose turns were measured on three lines; how often the interval holds. */
function closingCoverage(turn: 'back' | 'through'): number {
  const random = seeded(4242);
  const normal = normals(random);
  const draw = (mean: number, sd: number) => mean + sd * normal();
  const STUDENTS = 800;
  let covered = 0;
  for (let student = 0; student < STUDENTS; student += 1) {
    const worth = random();
    const truth = { inTrail: draw(28, 8), outLead: draw(45, 8), inLead: draw(30, 8) };
    const give = { trailBack: draw(10, 6), leadBack: draw(20, 6), leadThrough: draw(10, 6) };
    const really = (feet: TurningFeet): { limit: number; leg: 'lead' | 'trail' } => {
      const freed = worth * unturnedClosing(feet);
      if (turn === 'through')
        return { limit: truth.inLead + give.leadThrough + feet.flare.lead - freed, leg: 'lead' };
      const trail = truth.inTrail + give.trailBack + feet.flare.trail + freed;
      const lead = truth.outLead + give.leadBack - feet.flare.lead;
      return trail < lead ? { limit: trail, leg: 'trail' } : { limit: lead, leg: 'lead' };
    };
    const placed = (feet: TurningFeet): TurningFeet => ({
      ...feet,
      flare: both(draw(feet.flare.lead, 2), draw(feet.flare.trail, 2)),
      toeLine: { value: draw(feet.toeLine.value, 1), uncertainty: 1 },
    });
    const body = bodyOf({
      inTrail: draw(truth.inTrail, 5),
      outLead: draw(truth.outLead, 5),
      inLead: draw(truth.inLead, 5),
    });
    const onLine = (toeLine: number) => feetOf(15, 15, 0, { toeLine: { value: toeLine, uncertainty: 1 } });
    const turns = [-6, 0, 8].map((toeLine): MeasuredTurn => {
      const { limit, leg } = really(placed(onLine(toeLine)));
      return { turn, feet: onLine(toeLine), reached: angle(draw(limit, 4), 4), stoppedBy: leg };
    });
    const known = { ...body, ...calibrate(body, turns) };
    const feet = feetOf(20, 20, 0, { toeLine: { value: 10, uncertainty: 1 } });
    const { interval } = turnBudget(turn, known, feet, USUAL_GOAL, { draws: 500, seed: student });
    const { limit } = really(placed(feet));
    if (limit >= interval![0] && limit <= interval![1]) covered += 1;
  }
  return covered / STUDENTS;
}

test.each(['back', 'through'] as const)(
  'whatever closing is worth, 0 to 1, turns on three lines make the interval hold the truth 92 to 98 in 100, %s',
  (turn) => {
    const coverage = closingCoverage(turn);
    console.info(`coverage of the turn ${turn} with closing worth 0 to 1: ${coverage}`);
    expect(coverage).toBeGreaterThanOrEqual(0.92);
    expect(coverage).toBeLessThanOrEqual(0.98);
  },
);

test('norms of hip rotation put the usual student where coaches find them', () => {
  // From memory, American Academy of Orthopaedic Surgeons: hips turn in 35 to 45 and out 45 degrees.
  for (const inTrail of [35, 45]) {
    const { limit } = turnBudget('back', bodyOf({ inTrail, outLead: 45 }), feetOf(15, 15));
    expect(limit).toBeGreaterThanOrEqual(40);
    expect(limit).toBeLessThanOrEqual(65);
  }
});

test('knee room: a foot set back gives the trail knee room', () => {
  const { address: feet } = startingSetup(
    build(),
    asPlayed({ club: '7-iron', shot: 'full' }).clubLengthInches,
  );
  const level = trailKneeRoom(build(), feet, 45);
  const dropped = trailKneeRoom(build(), dropFoot(feet, 60), 45);
  expect(dropped.flex).toBeGreaterThan(level.flex);
  expect(level.flex).toBeGreaterThanOrEqual(0);
});
