import { ADVISED_FIGURES, BEFORE_ALL, GOALS, THINGS } from '@pedastance/core/advice';
import { PARTING_ITEMS } from '@pedastance/core/method';
import { MOVES } from '@pedastance/core/fit';
import { MOST_LIFT_MM } from '@pedastance/core/turn';
import { PATTERN_WAYS, PRESSURE_PATTERNS } from '@pedastance/core/setup';
import { z } from 'zod';
import { Id, whole } from './common';

const goal = z.enum(GOALS);
const figure = z.number().min(-2000).max(2000);
const degrees = z.number().min(-180).max(270);
const chance = z.number().min(0).max(1).nullable();

/** More entries of shots than a student fills in many years. */
const MOST_SHOT_ENTRIES = 5000;

const TurnBoughtShape = z
  .strictObject({
    stoppedBy: z.enum(['lead', 'trail']).nullable(),
    from: degrees,
    to: degrees,
    needed: degrees,
    chanceFrom: chance,
    chanceTo: chance,
  })
  .nullable();

const ThingShape = z.strictObject({
  thing: z.enum(THINGS),
  moves: z
    .array(z.strictObject({ figure: z.enum(ADVISED_FIGURES), from: figure, to: figure }))
    .max(ADVISED_FIGURES.length),
  serves: z.array(goal).max(GOALS.length),
});

/** A judgement as a record keeps it: all but the setup that it ends in, which its moves make. */
export const JudgementShape = z.strictObject({
  /** What the student came for, as it was noted; null where nothing was. */
  intakeId: Id.nullable(),
  /** The student's shots that its path rests on, by the entries that have them. */
  shotIds: z.array(Id).max(MOST_SHOT_ENTRIES),
  /** What the coach wanted left as it was. */
  pinned: z.array(z.enum(MOVES)).max(MOVES.length),
  before: z.array(z.enum(BEFORE_ALL)).max(BEFORE_ALL.length),
  things: z.array(ThingShape).max(2),
  goals: z
    .array(z.strictObject({ goal, today: whole(0), after: whole(0) }))
    .length(GOALS.length)
    .refine((goals) => new Set(goals.map((each) => each.goal)).size === GOALS.length, {
      error: 'every goal once',
    }),
  back: TurnBoughtShape,
  through: TurnBoughtShape,
  path: z.strictObject({ from: degrees, to: degrees, byEye: z.boolean(), simulated: z.boolean() }).nullable(),
  pressure: z.strictObject({ pattern: z.enum(PRESSURE_PATTERNS), way: z.enum(PATTERN_WAYS) }).nullable(),
  partings: z
    .array(z.strictObject({ item: z.enum(PARTING_ITEMS), low: figure, high: figure, needs: figure }))
    .max(4),
  pulledBothWays: z.boolean(),
  leadHeelLift: z.number().min(0).max(MOST_LIFT_MM),
});
export type KeptJudgement = z.infer<typeof JudgementShape>;
