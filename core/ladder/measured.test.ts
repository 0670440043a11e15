import { withTurns, type EarlierTurn, type Screen } from '../body';
import { LADDERS, stopTold, turnsThatTell, type MeasuredOnRung, type Try } from '.';

const STOOD = { leadFlare: 20, trailFlare: 5, toeLine: 3 };
const FLARE = LADDERS['trail flare'];

const measuredOn = (
  rung: number,
  measured: Partial<MeasuredOnRung>,
  result: Try['result'] = 'failed',
): Try => ({
  rung,
  result,
  sitting: 0,
  turn: rung,
  measured: {
    hips: 30,
    uncertainty: 4,
    by: 'gauge',
    stoppedBy: 'trail',
    at: `2026-03-04T10:00:${10 + rung}.000Z`,
    ...measured,
  },
});

describe('turns measured on rungs', () => {
  test('tell of the leg that stopped them, on the feet of their rung', () => {
    expect(turnsThatTell(FLARE, [measuredOn(10, { hips: 33 })], STOOD)).toEqual([
      {
        takenAt: '2026-03-04T10:00:20.000Z',
        leadFlare: 20,
        trailFlare: 10,
        toeLine: 3,
        back: { value: 33, uncertainty: 4 },
        through: null,
        stoppedBack: 'trail',
        stoppedThrough: null,
      },
    ]);
    expect(
      turnsThatTell(LADDERS['lead flare'], [measuredOn(30, { stoppedBy: 'lead' })], STOOD),
    ).toMatchObject([
      { leadFlare: 30, trailFlare: 5, through: { value: 30 }, back: null, stoppedThrough: 'lead' },
    ]);
  });

  test('say nothing where no leg stopped them, where it hurt, or on a ladder that measures none', () => {
    expect(turnsThatTell(FLARE, [measuredOn(10, { stoppedBy: null })], STOOD)).toEqual([]);
    expect(turnsThatTell(FLARE, [measuredOn(10, {}, 'pain')], STOOD)).toEqual([]);
    expect(turnsThatTell(LADDERS.width, [measuredOn(10, {})], STOOD)).toEqual([]);
  });
});

describe('a test of the legs with turns measured since', () => {
  const turn = (at: number): EarlierTurn => turnsThatTell(FLARE, [measuredOn(at, {})], STOOD)[0]!;
  const last: Screen & { madeAt: string } = {
    hand: 'right',
    items: [
      { item: 'turnInTrail', tries: [20], by: 'gauge', uncertainty: null, pain: '', takenAt: null },
      { item: 'hipsBack', tries: [35], by: 'gauge', uncertainty: null, pain: '', takenAt: null },
    ],
    turnedOn: STOOD,
    stoppedBack: 'trail',
    stoppedThrough: null,
    earlierTurns: [],
    soreKnee: { lead: false, trail: true },
    madeAt: '2026-01-01T00:00:00.000Z',
  };

  test('keeps the tests as they were taken, and the turn that it took itself', () => {
    const whole = withTurns(last, [turn(10), turn(20)], 'right')!;
    expect(whole.items).toEqual([{ ...last.items[0], takenAt: last.madeAt }]);
    expect(whole.earlierTurns.map(({ takenAt }) => takenAt)).toEqual([
      last.madeAt,
      turn(10).takenAt,
      turn(20).takenAt,
    ]);
    expect(whole.soreKnee).toEqual(last.soreKnee);
  });

  test('a turn that is known already is not counted twice', () => {
    const once = { ...withTurns(last, [turn(10)], 'right')!, madeAt: '2026-03-04T11:00:00.000Z' };
    expect(withTurns(once, [turn(10)], 'right')).toBeNull();
    expect(withTurns(once, [turn(10), turn(20)], 'right')!.earlierTurns).toHaveLength(3);
  });

  test('stands by itself where no leg was tested', () => {
    expect(withTurns(null, [turn(10)], 'left')).toMatchObject({
      hand: 'left',
      items: [],
      earlierTurns: [turn(10)],
    });
  });
});

describe('what the measured turns say of the leg', () => {
  const stiff: Screen & { madeAt: string } = {
    hand: 'left',
    items: [{ item: 'turnInTrail', tries: [0], by: 'gauge', uncertainty: null, pain: '', takenAt: null }],
    turnedOn: null,
    stoppedBack: null,
    stoppedThrough: null,
    earlierTurns: [],
    soreKnee: { lead: false, trail: false },
    madeAt: '2026-01-01T00:00:00.000Z',
  };
  const level = { leadFlare: 20, trailFlare: 0, toeLine: 0 };

  // By hand: test 0 ± 5 and give 10 ± 6 reach 10 ± 7.81; two turns of 31 on 10° and 36 on 15° leave 21 each, ± 4.47.
  // Weights 0.0164 and 2 × 0.05: (10 × 0.0164 + 21 × 0.1) / 0.1164 = 19.45; on 25° it stops at 44, not 35.
  test('two turns that the trail leg stopped move where it stops', () => {
    const turns = turnsThatTell(FLARE, [measuredOn(10, { hips: 31 }), measuredOn(15, { hips: 36 })], level);
    const told = stopTold(FLARE, turns, { screen: stiff, hand: 'left' }, { ...level, trailFlare: 25 })!;
    expect(told.leg).toBe('trail');
    expect(told.before.value).toBeCloseTo(35);
    expect(told.after.value).toBeCloseTo(44.45, 1);
    expect(told.after.uncertainty).toBeLessThan(told.before.uncertainty / 2);
  });

  test('nothing new is nothing to tell; where no leg was tested a usual one stood in', () => {
    expect(stopTold(FLARE, [], { screen: stiff, hand: 'left' }, level)).toBeNull();
    const turns = turnsThatTell(FLARE, [measuredOn(10, { hips: 31 })], level);
    expect(stopTold(FLARE, turns, { screen: null, hand: 'left' }, level)!.before.value).toBeCloseTo(50);
  });
});
