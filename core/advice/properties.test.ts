import {
  figureOf,
  judge,
  ownFlareDifference,
  postingLimit,
  seeded,
  travelToPost,
  turnBudget,
  turningFeet,
  type Case,
  type Item,
  type Judgement,
} from '..';
import { measureSetup, measuredFigure, withFigure } from '../setup';
import { normals } from '../statistics';
import { caseAfter, drawnCase, drawnPressure } from '../test/adviceCases';
import { allowedOf, candidatesOf, FINE, type Candidate } from './candidates';
import { bestPlan } from './choose';
import { goalsInOrder } from './order';
import { measuresOf } from './shortfalls';
import { toldPath } from './pathTold';
import { stepsShort } from './measure';
import { followToeLine, stateOf } from './state';

/** `ADVICE_CASES=2000 npx jest --selectProjects core --testPathPattern advice/properties` goes through all of them. */
const CASES = Number(process.env.ADVICE_CASES ?? 300);
const MOST_ROUNDS = 12;

const shortOf = ({ goals }: Judgement) => goals.filter(({ today }) => today > 0);

/** Whether one list of shortfalls is smaller than another, goal by goal in order. */
function smaller(goals: Judgement['goals']): boolean {
  const first = goals.find(({ today, after }) => today !== after);
  return first !== undefined && first.after < first.today;
}

const PLACED: readonly Item[] = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'ballAlong',
  'leadShare',
  'leadHeelToe',
  'trailHeelToe',
];

const MOVED: readonly Item[] = [...PLACED, 'hipBump', 'shoulderTilt', 'trailKneeFlex'];

/** Items that a judgement moves in a way that the case does not allow. */
function notAllowed(given: Case, { setup }: Judgement): Item[] {
  const allowed = allowedOf(given);
  return MOVED.filter((item) => {
    const [from, to] = [figureOf(given.setup, item), figureOf(setup, item)];
    return from !== undefined && to !== undefined && Math.abs(to - from) > 1e-6 && !allowed(item, to - from);
  });
}

describe(`${CASES} cases drawn at random`, () => {
  const random = seeded(20_261_126);
  const onMat = seeded(20_261_127);
  const cases = Array.from({ length: CASES }, () => ({
    ...drawnCase(random),
    pressure: drawnPressure(onMat),
  }));
  const judged = cases.map((given) => ({ given, judgement: judge(given, 0) }));

  test('a barred move is never spent, and a limited one by a step at most', () => {
    expect(judged.flatMap(({ given, judgement }) => notAllowed(given, judgement))).toEqual([]);
  });

  test('most cases that are short of something have something to do about it', () => {
    const short = judged.filter(({ judgement }) => shortOf(judgement).length > 0);
    const helped = short.filter(({ judgement }) => judgement.things.length > 0);
    expect(short.length).toBeGreaterThan(CASES / 2);
    expect(helped.length / short.length).toBeGreaterThan(0.9);
  });

  test('no plan worsens a goal that stands before the one it serves, and none pays for a turn with the other', () => {
    for (const { judgement } of judged) {
      if (judgement.things.length === 0) continue;
      expect(smaller(judgement.goals)).toBe(true);
      for (const { goal, today, after } of judgement.goals)
        if (goal === 'turn back' || goal === 'turn through') expect(after).toBeLessThanOrEqual(today);
    }
  });

  test('done and judged again, less is missing, nothing is taken back, and it ends', () => {
    const faults: string[] = [];
    judged.forEach(({ given, judgement }, at) => {
      // A cue for the pressure takes one of two places and moves nothing, and a path beside it waits.
      const cue = given.pressure ? 1 : 0;
      const most = Math.ceil(shortOf(judgement).length / 2) + 1 + cue;
      let rounds = 0;
      let now: Case = given;
      let next = judgement;
      const moved = new Map<string, number>();
      while (next.things.length > 0 && rounds < MOST_ROUNDS) {
        for (const { figure, from, to } of next.things.flatMap(({ moves }) => moves)) {
          const before = moved.get(figure) ?? 0;
          if (before * (to - from) < -1e-6) faults.push(`case ${at}: takes back ${figure}`);
          moved.set(figure, Math.sign(to - from));
        }
        now = caseAfter(now, next);
        next = judge(now, 0);
        rounds += 1;
      }
      if (rounds > most) faults.push(`case ${at}: ${rounds} rounds, ${most} at most`);
    });
    expect(faults).toEqual([]);
  });

  test('measured again within its ±, the first thing stays the same in four of five', () => {
    const normal = normals(seeded(7));
    const again = (given: Case): Case => ({
      ...given,
      setup: PLACED.reduce((setup, item) => {
        const found = measuredFigure(measureSetup(setup), item);
        return found ? withFigure(setup, item, found.value + found.uncertainty * normal()) : setup;
      }, given.setup),
    });
    const firstOf = ({ before, things }: Judgement) => before[0] ?? things[0]?.thing ?? 'nothing';
    const same = judged.filter(
      ({ given, judgement }) => firstOf(judge(again(given), 0)) === firstOf(judgement),
    );
    expect(same.length / CASES).toBeGreaterThanOrEqual(0.8);
  });

  test('every plan of one or two things gone through by itself is no better by more than a step', () => {
    for (const given of cases.slice(0, CASES / 20)) {
      const order = goalsInOrder(given, toldPath(given) !== null && given.shot !== 'pitch');
      const measures = measuresOf(given, order);
      const today = stateOf(given);
      const { length } = given.setup.address.shoe;
      const left = (candidates: readonly Candidate[]) => {
        const state = Float64Array.from(today);
        for (const { slots, values } of candidates) slots.forEach((slot, at) => (state[slot] = values[at]!));
        followToeLine(state, length);
        return measures.map(({ missing }) => stepsShort(missing(state)));
      };
      const every = left(bestPlan(measures, candidatesOf(given, measures, today, FINE), today, length));
      const told = judge(given, 0).goals.map(({ after }) => after);
      const first = told.findIndex((each, at) => each !== every[at]);
      if (first >= 0) expect(told[first]!).toBeLessThanOrEqual(every[first]! + 1);
    }
  });

  test('what a plan leaves short is what the budget and the hips say of its setup', () => {
    for (const { given, judgement } of judged) {
      const { body, setup: before, goal, bands, build, club, shot } = given;
      const { setup, leadHeelLift, goals } = judgement;
      const after = (name: string) => goals.find((each) => each.goal === name)!.after;
      if (!body || shot === 'pitch' || (before.posture?.tellTales ?? []).length > 0) continue;
      const feet = turningFeet(setup, leadHeelLift, ownFlareDifference(bands))!;
      const through = turnBudget('through', body, feet, goal, { draws: 0 });
      if (through.missing !== null)
        expect(after('turn through')).toBe(Math.floor(through.missing / 5 + 1e-6));
      const back = turnBudget('back', body, feet, goal, { draws: 0 });
      if (back.missing !== null) expect(after('turn back')).toBe(Math.floor(back.missing / 5 + 1e-6));
      const bump = setup.posture?.figures.hipBump?.value ?? 0;
      const travel = travelToPost(build, figureOf(setup, 'stanceWidth')!, bump) - postingLimit(club);
      expect(after('posting')).toBe(Math.max(0, Math.floor(travel / 0.1 + 1e-6)));
    }
  });
});

test('what is short today is what its goals measure', () => {
  const given = drawnCase(seeded(3));
  const order = goalsInOrder(given, toldPath(given) !== null);
  const today = stateOf(given);
  const short = measuresOf(given, order).map(({ missing }) => stepsShort(missing(today)));
  expect(judge(given, 0).goals.map(({ today: each }) => each)).toEqual(short);
});
