/** Students whose hips truly stop somewhere, against what a budget says of them. Prints rows of a table: usage turn.ts <count>. */
import {
  calibrate,
  testedBody,
  turnBudget,
  type MeasuredTurn,
  type Turn,
  type TurningBody,
  type TurningFeet,
} from '@pedastance/core/turn';
import { normals, seeded } from '@pedastance/core';

const count = Number(process.argv[2] ?? 600);
const percent = (share: number): string => `${(100 * share).toFixed(1)}%`;

const feetOf = (lead: number, trail: number): TurningFeet => ({
  flare: { lead, trail },
  flareUncertainty: { lead: 2, trail: 2 },
  toeLine: { value: 0, uncertainty: 1 },
  ownDifference: 0,
  leadHeelLift: 0,
});

/** A student's own legs: what they truly allow, and what the tests said of them. */
function student(seed: number, worth: number) {
  const random = seeded(seed);
  const normal = normals(random);
  const between = (low: number, high: number) => low + (high - low) * random();
  // A trapezium rather than a bell, with the spread that the starting values claim.
  const around = (middle: number, spread: number) =>
    middle + spread * Math.sqrt(3) * (random() + random() - 1) * Math.SQRT2;
  const tested = {
    inLead: between(15, 50),
    inTrail: between(15, 50),
    outLead: between(25, 60),
    outTrail: between(25, 60),
  };
  const gives = {
    trailBack: around(10, 6),
    leadBack: around(35, 10),
    leadThrough: around(10, 6),
    trailThrough: around(10, 6),
  };
  const test = (value: number) => ({ value: value + 5 * normal(), uncertainty: 5 });
  const body: TurningBody = testedBody({
    turnIn: { lead: test(tested.inLead), trail: test(tested.inTrail) },
    turnOut: { lead: test(tested.outLead), trail: test(tested.outTrail) },
    trunk: { back: { value: 45, uncertainty: 5 }, through: null },
  });
  /** Where the pelvis truly ends on feet with these flares, with which heel on the ground. */
  const ends = (
    turn: Turn,
    { flare }: TurningFeet,
    trailHeelDown: boolean,
  ): { lead: number; trail: number } =>
    turn === 'back'
      ? {
          trail: tested.inTrail + gives.trailBack + worth * flare.trail,
          lead: tested.outLead + gives.leadBack - worth * flare.lead,
        }
      : {
          lead: tested.inLead + gives.leadThrough + worth * flare.lead,
          trail: trailHeelDown ? tested.outTrail + gives.trailThrough - worth * flare.trail : Infinity,
        };
  return { body, ends, normal, random };
}

/** How often a budget holds where the pelvis ends, once so many turns were measured and nobody could say which leg it was. */
function holds(
  turn: Turn,
  { turns, worth = 1, said = false }: { turns: number; worth?: number; said?: boolean },
): number {
  let held = 0;
  for (let seed = 1; seed <= count; seed += 1) {
    const { body, ends, normal, random } = student(7919 * seed, worth);
    const placed = (feet: TurningFeet): TurningFeet => ({
      ...feet,
      flare: { lead: feet.flare.lead + 2 * normal(), trail: feet.flare.trail + 2 * normal() },
    });
    const measured = Array.from({ length: turns }, (): MeasuredTurn => {
      const on = feetOf(30 * random(), 30 * random());
      // Some keep their trail heel down, some do not.
      const both = ends(turn, on, random() < 0.5);
      const reached = Math.min(both.lead, both.trail);
      return {
        turn,
        reached: { value: reached + 4 * normal(), uncertainty: 4 },
        feet: placed(on),
        stoppedBy: said ? (both.lead < both.trail ? 'lead' : 'trail') : null,
      };
    });
    const on = feetOf(30 * random(), 30 * random());
    const truth = ends(turn, on, false);
    const { interval } = turnBudget(turn, { ...body, ...calibrate(body, measured) }, placed(on));
    const end = Math.min(truth.lead, truth.trail);
    if (interval && end >= interval[0] && end <= interval[1]) held += 1;
  }
  return held / count;
}

const rows = (['through', 'back'] as const).flatMap((turn) =>
  [1, 2, 3].map((turns) => {
    const share = holds(turn, { turns });
    return {
      what: `Turned ${turn} ${turns === 1 ? 'once' : `${turns} times`}, nobody could say which leg: the interval holds`,
      value: percent(share),
      aim: '93 to 97%',
      met: share >= 0.93 && share <= 0.97,
    };
  }),
);
const said = holds('through', { turns: 2, said: true });
rows.push({
  what: 'The leg was said, two turns through: the interval holds',
  value: percent(said),
  aim: '93 to 97%',
  met: said >= 0.93 && said <= 0.97,
});
const none = holds('through', { turns: 0 });
rows.push({
  what: 'No turn was measured: the interval holds',
  value: percent(none),
  aim: '93 to 97%',
  met: none >= 0.93 && none <= 0.97,
});
console.log(JSON.stringify(rows));
