import {
  calibrate,
  EMPTY_SCREEN,
  footHasToComeRound,
  goalOf,
  hurtCautions,
  inOrderMet,
  linesFor,
  restsOnGive,
  SCREEN_ITEMS,
  seeded,
  SHOULDER_GOALS,
  shouldersReached,
  standsIn,
  STOPS,
  stoodOn,
  testedBody,
  testWanted,
  TURNS,
  trailKneeRoom,
  turnBudget,
  turningBody,
  turningFeet,
  turnsSpared,
  turnTrades,
  unturnedClosing,
  withFigure,
  withMeasured,
  type Angle,
  type MeasuredTurn,
  type Screen,
  type TurningBody,
  type TurningFeet,
} from '..';
import { build, setup } from '../test/example';
import { bodyOf, both, feetOf } from '../test/turning';
import { rounded } from '../test/rounded';

type Random = () => number;
const between = (random: Random, least: number, most: number) => least + (most - least) * random();
const maybe = <Value>(random: Random, chance: number, value: Value): Value | null =>
  random() < chance ? value : null;
const angle = (random: Random, least: number, most: number): Angle => ({
  value: between(random, least, most),
  uncertainty: between(random, 3, 9),
});

/** A student whose legs were tested, some of them, and of whom some hurt. */
function drawnBody(random: Random): TurningBody {
  const legs = {
    turnIn: both(maybe(random, 0.8, angle(random, 10, 50)), maybe(random, 0.8, angle(random, 10, 50))),
    turnOut: both(maybe(random, 0.8, angle(random, 20, 60)), maybe(random, 0.8, angle(random, 20, 60))),
    trunk: { back: maybe(random, 0.7, angle(random, 30, 60)), through: null },
  };
  const hurts = STOPS.filter(() => random() < 0.1);
  for (const [leg, test] of [
    ['lead', 'turnIn'],
    ['trail', 'turnIn'],
    ['lead', 'turnOut'],
    ['trail', 'turnOut'],
  ] as const) {
    const stop =
      test === 'turnIn'
        ? leg === 'lead'
          ? 'lead through'
          : 'trail back'
        : leg === 'lead'
          ? 'lead back'
          : 'trail through';
    if (hurts.includes(stop)) legs[test][leg] = null;
  }
  return testedBody(legs, null, both(random() < 0.15, random() < 0.15), hurts);
}

const drawnFeet = (random: Random): TurningFeet =>
  feetOf(between(random, -5, 40), between(random, -5, 40), random() < 0.3 ? between(random, 5, 25) : 0, {
    toeLine: { value: between(random, -10, 15), uncertainty: between(random, 0.5, 3) },
    ownDifference: between(random, -15, 15),
    flareUncertainty: both(between(random, 1, 5), between(random, 1, 5)),
  });

const drawnTurn = (random: Random): MeasuredTurn => ({
  turn: random() < 0.5 ? 'back' : 'through',
  reached: angle(random, 20, 60),
  feet: drawnFeet(random),
  stoppedBy: maybe(random, 0.6, random() < 0.5 ? 'lead' : 'trail'),
});

/** Of a stop what is told of it. */
const told = (body: TurningBody, feet: TurningFeet) =>
  TURNS.map((turn) => {
    const heelDown = turnBudget(turn, body, feet, goalOf(80), { draws: 400, trailHeelDown: true });
    const { stops, first, ...budget } = turnBudget(turn, body, feet, undefined, { draws: 400 });
    return {
      ...budget,
      first: first?.name,
      onGive: first && restsOnGive(first, budget.missing!),
      met: inOrderMet(stops).map(({ name, at, made }) => [
        name,
        at,
        made.give.value,
        made.lift,
        made.closing,
      ]),
      heelDown: [
        heelDown.first?.name,
        heelDown.needed,
        heelDown.missing,
        heelDown.interval,
        heelDown.assumed,
      ],
    };
  });

/** Nobody worked these out by hand: a change of the model that was not meant shows here first. */
test('drawn students on drawn feet turn as they did', () => {
  const random = seeded(20_261_201);
  const all = Array.from({ length: 40 }, () => {
    const [body, feet] = [drawnBody(random), drawnFeet(random)];
    const learnt = calibrate(
      body,
      Array.from({ length: 3 }, () => drawnTurn(random)),
    );
    const calibrated = { ...body, ...learnt };
    return JSON.stringify(
      rounded({
        told: told(body, feet),
        standIn: STOPS.filter((name) => standsIn(name, body)),
        wanted: STOPS.map((name) => testWanted(name, body, feet, goalOf(85))),
        trades: turnTrades(body, feet).map(({ back, through }) => [back, through]),
        shoulders: shouldersReached(body, feet),
        comesRound: footHasToComeRound(body, feet),
        spared: [turnsSpared(body), hurtCautions(body).map(({ withholds }) => withholds)],
        learnt: [learnt.reaches, learnt.closing, learnt.closingWith],
        missed: learnt.residuals.map(({ stop, predicted, halfWidth, missed }) => [
          ...[stop, predicted, halfWidth, missed],
        ]),
        then: told(calibrated, feet).map(({ limit, interval, chance, assumed }) => [
          ...[limit, interval, chance, assumed],
        ]),
      }),
    );
  });
  expect(all).toMatchSnapshot();
});

test('on lines that are told, what the feet did not turn with lies within the ends, and beyond them outside', () => {
  const random = seeded(3);
  for (let drawn = 0; drawn < 500; drawn += 1) {
    const feet = drawnFeet(random);
    const least = between(random, -8, 8);
    const most = least + between(random, 0.5, 8);
    const { low, high } = linesFor(feet, least, most);
    const unturned = (line: number) => unturnedClosing({ ...feet, toeLine: { value: line, uncertainty: 0 } });
    for (const share of [0.01, 0.5, 0.99]) {
      const within = unturned(low + share * (high - low));
      expect(within).toBeGreaterThanOrEqual(least - 1e-9);
      expect(within).toBeLessThanOrEqual(most + 1e-9);
    }
    expect(unturned(low - 0.1)).toBeLessThan(least);
    expect(unturned(high + 0.1)).toBeGreaterThan(most);
  }
});

describe('a leg that hurt in its test', () => {
  const hurting = (...hurts: TurningBody['hurts'][number][]) => bodyOf({}, { hurts });

  test('spares the turn that it would end, and is never made to turn further', () => {
    expect(turnsSpared(hurting())).toEqual([]);
    expect(turnsSpared(hurting('trail back'))).toEqual(['back']);
    expect(turnsSpared(hurting('lead through'))).toEqual(['through']);
    expect(turnsSpared(hurting('lead through', 'lead back'))).toEqual(['back', 'through']);
    // The trail leg ends no turn through: its heel is up by then.
    expect(turnsSpared(hurting('trail through'))).toEqual([]);
    const [caution] = hurtCautions(hurting('lead back'));
    expect(caution!.withholds).toEqual([
      { item: 'leadFlare', by: 'more' },
      { item: 'hipTurn', by: 'more' },
    ]);
  });

  test('gives no caution where nothing hurts, and none where nothing was tested', () => {
    expect(hurtCautions(null)).toEqual([]);
    expect(hurtCautions(hurting())).toEqual([]);
    expect(hurtCautions(hurting('trail back'))).toHaveLength(1);
  });
});

test('a turn rests on a starting give where that give, a little larger, would be enough', () => {
  const stop = (calibrated: boolean) => ({
    made: { give: { value: 10, uncertainty: 6 }, calibrated } as never,
  });
  expect([0, 0.1, 6, 6.1].map((missing) => restsOnGive(stop(false), missing))).toEqual([
    ...[false, true, true, false],
  ]);
  expect(restsOnGive(stop(true), 3)).toBe(false);
});

test('what a coach may set as the shoulders’ turn leaves the hips something to do', () => {
  expect(goalOf(80)).toEqual({ shoulders: 80, through: 45 });
  expect(SHOULDER_GOALS.least).toBeLessThan(90);
  expect(SHOULDER_GOALS.most).toBeGreaterThan(90);
  expect(90 % SHOULDER_GOALS.step).toBe(0);
});

describe('feet as far as turning goes', () => {
  const measured = withMeasured(
    setup({ leadFlare: 20, trailFlare: 10 }),
    ['leadFlare', 'trailFlare'],
    'by eye',
  );

  test('need both flares measured; a line that was not measured is square', () => {
    const { leadFlare: _, ...others } = measured.measured;
    expect(turningFeet({ ...measured, measured: others }, 0, 0)).toBeNull();
    const closed = withFigure(measured, 'setback', 80);
    expect(turningFeet(closed, 12, 5)).toMatchObject({ leadHeelLift: 12, ownDifference: 5 });
    expect(turningFeet(closed, 0, 0)!.toeLine.value).toBeGreaterThan(5);
    const { setback: _gone, ...unmeasured } = closed.measured;
    expect(turningFeet({ ...closed, measured: unmeasured }, 0, 0)!.toeLine).toEqual({
      ...{ value: 0, uncertainty: 0 },
    });
    expect(turningFeet(measured, 0, 0)!.flare).toEqual({ lead: 20, trail: 10 });
  });

  test('that a turn is measured on are as they stood, as sure as a stick tells', () => {
    expect(stoodOn({ leadFlare: 18, trailFlare: 7, toeLine: 4 })).toEqual({
      flare: { lead: 18, trail: 7 },
      flareUncertainty: { lead: 2, trail: 2 },
      toeLine: { value: 4, uncertainty: 1 },
      ownDifference: 0,
      leadHeelLift: 0,
    });
  });
});

test('screens bring to a turn what they did', () => {
  const random = seeded(5);
  const stood = () => ({
    leadFlare: between(random, 0, 35),
    trailFlare: between(random, 0, 35),
    toeLine: between(random, -5, 10),
  });
  const all = Array.from({ length: 20 }, () => {
    const screen: Screen = {
      ...EMPTY_SCREEN,
      items: SCREEN_ITEMS.filter(() => random() < 0.6).map((item) => ({
        ...{ item, tries: [between(random, 10, 55)], by: 'gauge', uncertainty: maybe(random, 0.4, 3) },
        ...{ pain: random() < 0.1 ? 'on the way' : '', takenAt: null },
      })),
      turnedOn: maybe(random, 0.7, stood()),
      stoppedBack: maybe(random, 0.5, 'trail'),
      earlierTurns: [
        {
          ...stood(),
          ...{ takenAt: '2026-05-01T10:00:00.000Z', back: angle(random, 30, 50), through: null },
          ...{ stoppedBack: 'lead', stoppedThrough: null },
        },
      ],
      soreKnee: both(random() < 0.2, false),
    };
    const { residuals, ...body } = turningBody(screen, 'right');
    return JSON.stringify(rounded({ ...body, residuals: residuals.map(({ predicted }) => predicted) }));
  });
  expect(all).toMatchSnapshot();
});

/** Worked by hand: 1780 mm tall, hips 330 mm, heels 400 mm apart, the pelvis turned 45°. */
test('knee room by Pythagoras', () => {
  const [thigh, shank] = [0.245 * 1780, 0.246 * 1780];
  const up = 0.95 * (thigh + shank);
  const aside = Math.hypot(200 - 0.27 * 330 * Math.SQRT1_2, 0.27 * 330 * Math.SQRT1_2);
  const reach = Math.hypot(up, aside);
  const flex =
    180 - (Math.acos((thigh ** 2 + shank ** 2 - reach ** 2) / (2 * thigh * shank)) * 180) / Math.PI;
  const room = trailKneeRoom(build(), setup({ width: 400 }).address, 45);
  expect(room.flex).toBeCloseTo(flex, 6);
  expect(room.tooFar).toBe(false);
  expect(trailKneeRoom(build(), setup({ width: 1100 }).address, 0).tooFar).toBe(true);
});
