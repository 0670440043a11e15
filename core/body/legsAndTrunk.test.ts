import {
  angleOf,
  carriedOver,
  gaugeAnswer,
  hasOutgrown,
  hipsBackOf,
  naturalToeOut,
  screenFor,
  shorterWay,
  turnBudget,
  turnFromWidth,
  turningBody,
  type GaugeReading,
  type Screen,
  type ScreenedItem,
} from '..';
import { feetOf } from '../test/turning';

const item = (name: ScreenedItem['item'], tries: number[], pain = ''): ScreenedItem => ({
  item: name,
  tries,
  by: 'typed',
  uncertainty: null,
  pain,
  takenAt: null,
});

const screen = (items: ScreenedItem[], over: Partial<Screen> = {}): Screen => ({
  hand: 'right',
  items,
  turnedOn: null,
  stoppedBack: null,
  stoppedThrough: null,
  earlierTurns: [],
  soreKnee: { lead: false, trail: false },
  ...over,
});

const WHOLE = [
  item('toeOutLead', [12]),
  item('toeOutTrail', [9]),
  item('turnInLead', [30, 34]),
  item('turnOutLead', [45]),
  item('turnInTrail', [8, 12]),
  item('turnOutTrail', [40]),
  item('trunkBack', [45]),
];

test('two tries are told as their mean, and as unsure as they differ', () => {
  expect(angleOf(screen(WHOLE), 'turnInTrail')).toEqual({ value: 10, uncertainty: 5 });
  expect(angleOf(screen([item('turnInTrail', [5, 25])]), 'turnInTrail')).toEqual({
    value: 15,
    uncertainty: 10,
  });
});

test('an angle is as unsure as the way it was taken makes it', () => {
  const taken = { ...item('hipsBack', [20]), uncertainty: 11 };
  expect(angleOf(screen([{ ...taken, by: 'apparent width' }]), 'hipsBack')).toEqual({
    value: 20,
    uncertainty: 11,
  });
  expect(angleOf(screen([{ ...item('hipsBack', [20]), by: 'by eye' }]), 'hipsBack')).toEqual({
    value: 20,
    uncertainty: 8,
  });
});

test('what hurt is not built upon', () => {
  const hurt = screen([...WHOLE.slice(0, 4), item('turnInTrail', [8], 'in the test'), ...WHOLE.slice(5)]);
  expect(angleOf(hurt, 'turnInTrail')).toBeNull();
  const budget = turnBudget('back', turningBody(hurt, 'right'), feetOf(15, 15));
  expect(budget.limit).toBeNull();
  expect(budget.stops.map(({ at }) => at?.value ?? null)).toEqual([null, 65]);
});

test('a whole screen is what methods and the turn go by', () => {
  const { legs, naturalToeOut: toeOut } = turningBody(screen(WHOLE), 'right');
  expect(toeOut).toEqual({ lead: 12, trail: 9 });
  expect([legs.turnIn.lead!.value, legs.turnIn.trail!.value]).toEqual([32, 10]);
  expect([legs.turnOut.lead!.value, legs.turnOut.trail!.value]).toEqual([45, 40]);
  expect(naturalToeOut(screen(WHOLE.slice(1)))).toBeNull();
});

test('hips turned in posture calibrate the leg that was felt to stop them', () => {
  const turned = screen([...WHOLE, item('hipsBack', [38])], {
    turnedOn: { leadFlare: 15, trailFlare: 10, toeLine: 0 },
    stoppedBack: 'trail',
  });
  const { reaches, residuals } = turningBody(turned, 'right');
  // Predicted 10 + 10 + 10 = 30; measured 38.
  expect(residuals[0]).toMatchObject({ predicted: 30, stop: 'trail back', missed: false });
  expect(reaches['trail back']!.value).toBeGreaterThan(20);
  expect(reaches['trail back']!.value).toBeLessThan(28);
  expect(turningBody(screen(WHOLE), 'right').reaches).toEqual({});
});

test('what a screen leaves out is carried over as it was last taken, and the turns before it', () => {
  const before = {
    ...screen([...WHOLE, item('hipsBack', [38])], {
      turnedOn: { leadFlare: 15, trailFlare: 10, toeLine: 6 },
      stoppedBack: 'trail',
    }),
    madeAt: '2026-03-01T10:00:00.000Z',
  };
  const today = screen([item('turnInTrail', [20]), item('turnInLead', [], 'in the test')]);
  const whole = carriedOver(today, before);
  const of = (name: ScreenedItem['item']) => whole.items.find((each) => each.item === name);
  expect(of('turnInTrail')).toMatchObject({ tries: [20], takenAt: null });
  expect(of('turnInLead')).toMatchObject({ pain: 'in the test', takenAt: null });
  expect(of('turnOutLead')).toMatchObject({ tries: [45], takenAt: before.madeAt });
  expect(of('hipsBack')).toBeUndefined();
  expect(whole.earlierTurns).toEqual([
    {
      takenAt: before.madeAt,
      leadFlare: 15,
      trailFlare: 10,
      toeLine: 6,
      back: { value: 38, uncertainty: 4 },
      through: null,
      stoppedBack: 'trail',
      stoppedThrough: null,
    },
  ]);
  expect(turningBody(whole, 'right').residuals).toHaveLength(1);
  expect(turningBody(whole, 'right').closing.uncertainty).toBeLessThan(0.3);
  // Carried on once more it is still dated when it was taken.
  const later = carriedOver(screen([item('trunkBack', [40])]), {
    ...whole,
    madeAt: '2026-06-01T10:00:00.000Z',
  });
  expect(later.items.find((each) => each.item === 'turnOutLead')!.takenAt).toBe(before.madeAt);
  expect(later.earlierTurns).toHaveLength(1);
  expect(carriedOver(today, null)).toBe(today);
});

test('a junior who grew by two in a hundred has other legs than were tested', () => {
  expect(hasOutgrown(1480, 1520)).toBe(true);
  expect(hasOutgrown(1480, 1500)).toBe(false);
});

test('turn from how wide the hips look: half as wide is 60 degrees, and near square it is rough', () => {
  expect(turnFromWidth(165, 330, 5).value).toBeCloseTo(60, 9);
  expect(turnFromWidth(330, 330, 5).value).toBe(0);
  expect(turnFromWidth(325, 330, 5).uncertainty).toBeGreaterThan(3 * turnFromWidth(165, 330, 5).uncertainty);
});

describe('the gauge', () => {
  const held = (headings: (at: number) => number, ms: number): GaugeReading[] =>
    Array.from({ length: ms / 50 }, (_, step) => ({ heading: headings(step * 50), at: step * 50 }));

  test('goes the shorter way over north', () => {
    expect(shorterWay(350, 10)).toBe(20);
    expect(shorterWay(10, 350)).toBe(-20);
    expect(gaugeAnswer(held((at) => (at < 500 ? 350 : 20), 2000))!.turn).toBeCloseTo(30, 9);
  });

  test('turned and then held still is steady at the turn', () => {
    const answer = gaugeAnswer(held((at) => 100 + (at < 600 ? at / 20 : 30) + Math.sin(at) * 0.3, 2000))!;
    expect(answer.state).toBe('steady');
    expect(answer.turn).toBeCloseTo(30, 0);
  });

  test('while it turns it is moving, and too soon to say after the zero', () => {
    expect(gaugeAnswer(held((at) => at / 20, 2000))!.state).toBe('moving');
    expect(gaugeAnswer(held(() => 5, 400))!.state).toBe('moving');
    expect(gaugeAnswer([])).toBeNull();
  });

  test('a slow drift by itself is wandering', () => {
    expect(gaugeAnswer(held((at) => at * 0.001, 6000))!.state).toBe('wandering');
    expect(gaugeAnswer(held((at) => at * 0.0002, 6000))!.state).toBe('steady');
  });
});

describe('legs and trunk belong to a side of the body', () => {
  const whole = screen([...WHOLE, item('hipsBack', [50])], {
    turnedOn: { leadFlare: 20, trailFlare: 10, toeLine: 0 },
    soreKnee: { lead: true, trail: false },
  });

  test('where the hand is put right, what was taken of the lead leg is of the trail leg', () => {
    const { legs, naturalToeOut: toeOut, soreKnee } = turningBody(whole, 'left');
    expect(legs.turnIn).toEqual({ lead: angleOf(whole, 'turnInTrail'), trail: angleOf(whole, 'turnInLead') });
    expect(legs.trunk).toEqual({ back: null, through: angleOf(whole, 'trunkBack') });
    expect(toeOut).toEqual({ lead: 9, trail: 12 });
    expect(soreKnee).toEqual({ lead: false, trail: true });
  });

  test('there and back again is the same, and a turn in posture stays with the swing', () => {
    const swapped = screenFor(whole, 'left');
    expect(angleOf(swapped, 'hipsBack')).toEqual(angleOf(whole, 'hipsBack'));
    expect(screenFor(swapped, 'right')).toEqual(whole);
  });

  test('what is carried over comes along to its own side', () => {
    const today = screen([item('turnInLead', [20])], { hand: 'left' });
    const { items } = carriedOver(today, { ...whole, madeAt: '2026-05-01T09:00:00.000Z' });
    // The left leg was the lead one of a right-hander, and is the trail one now.
    expect(items.find((each) => each.item === 'turnInTrail')?.tries).toEqual([30, 34]);
    expect(items.find((each) => each.item === 'turnInLead')?.tries).toEqual([20]);
  });

  test('a screen from before the hand was kept is of the student’s own', () => {
    expect(turningBody({ ...whole, hand: null }, 'left').legs).toEqual(turningBody(whole, 'right').legs);
  });
});

describe('the level-turn check', () => {
  const onFeet = { turnedOn: { leadFlare: 15, trailFlare: 15, toeLine: 0 } };

  test('is the shoulders’ level turn less what the trunk turned, as unsure as both', () => {
    const level = screen([item('trunkBack', [50]), item('levelTurnBack', [80])], onFeet);
    expect(hipsBackOf(level)).toEqual({ value: 30, uncertainty: Math.hypot(4, 5) });
    expect(hipsBackOf(screen([item('levelTurnBack', [80])], onFeet))).toEqual({
      value: 35,
      uncertainty: Math.hypot(4, 8),
    });
  });

  test('gives way to hips that were measured', () => {
    expect(hipsBackOf(screen([item('levelTurnBack', [80]), item('hipsBack', [40])], onFeet))?.value).toBe(40);
  });

  test('tells where untested legs stop the turn', () => {
    const usual = turnBudget('back', turningBody(screen([]), 'right'), feetOf(15, 15));
    const checked = turnBudget(
      'back',
      turningBody(screen([item('levelTurnBack', [75])], onFeet), 'right'),
      feetOf(15, 15),
    );
    expect(checked.limit!).toBeLessThan(usual.limit! - 5);
    expect(checked.interval![1] - checked.interval![0]).toBeLessThan(usual.interval![1] - usual.interval![0]);
  });
});
