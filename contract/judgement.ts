import {
  ADVISED_FIGURES,
  BEFORE_ALL,
  CAUSES,
  LOOKS_NEXT,
  PINNABLE,
  REASONS,
  THINGS,
} from '@pedastance/core/advice';
import { JOINTS } from '@pedastance/core/body';
import { EXCEPTION_ITEMS, PARTING_ITEMS } from '@pedastance/core/method';
import { MOST_LIFT_MM } from '@pedastance/core/turn';
import { ITEMS, PATTERN_WAYS, PRESSURE_PATTERNS } from '@pedastance/core/setup';
import { z } from 'zod';
import { Id } from './common';

const figure = z.number().min(-2000).max(2000);
const degrees = z.number().min(-180).max(270);
const chance = z.number().min(0).max(1).nullable();

/** More causes than can wait at once. */
const MOST_WAITING = 40;

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

const CauseShape = z.strictObject({
  cause: z.enum(CAUSES),
  figure: z.enum(ADVISED_FIGURES).nullable(),
  off: z.enum(['more', 'less']).nullable(),
});

const ThingShape = CauseShape.extend({
  thing: z.enum(THINGS),
  moves: z
    .array(z.strictObject({ figure: z.enum(ADVISED_FIGURES), from: figure, to: figure }))
    .max(ADVISED_FIGURES.length),
  reason: z.enum(REASONS).nullable(),
});

const RemedyShape = z.strictObject({ item: z.enum(ITEMS), by: z.enum(['more', 'less']) });

/** More figures than a student has agreed on with one club, or had dropped. */
const MOST_OWN = 60;

/** What a judgement rests on besides what the reading names: the student's own, and what was tried before. */
const RestsShape = z.strictObject({
  exceptions: z
    .array(z.strictObject({ item: z.enum(EXCEPTION_ITEMS), low: figure, high: figure }))
    .max(MOST_OWN),
  agreed: z
    .array(
      z.strictObject({
        item: z.enum([...ITEMS, 'leadHeelLift']),
        by: z.enum(['more', 'less']),
        to: figure,
        today: z.boolean(),
      }),
    )
    .max(MOST_OWN),
  cued: z.array(z.enum(THINGS)).max(THINGS.length),
  dropped: z.array(RemedyShape).max(MOST_OWN),
  feltUnder: z.enum(['heels', 'toes']).nullable(),
});

/** A judgement as a record keeps it: all but the setup that it ends in, which its moves make. */
export const JudgementShape = z.strictObject({
  /** What the student came for, as it was noted; null where nothing was. */
  intakeId: Id.nullable(),
  /** The student's shots that its path rests on, by the entries that have them. */
  shotIds: z.array(Id).max(MOST_SHOT_ENTRIES),
  /** What the coach wanted left as it was. */
  pinned: z.array(z.enum(PINNABLE)).max(PINNABLE.length),
  /** Null in a judgement from before it was kept. */
  rests: RestsShape.nullable(),
  before: z.array(z.enum(BEFORE_ALL)).max(BEFORE_ALL.length),
  spares: z.enum(JOINTS).nullable(),
  legsUntested: z.boolean(),
  things: z.array(ThingShape).max(2),
  waits: z.array(CauseShape).max(MOST_WAITING),
  lookNext: z.enum(LOOKS_NEXT).nullable(),
  closeCall: z.boolean(),
  back: TurnBoughtShape,
  through: TurnBoughtShape,
  path: z
    .strictObject({
      from: degrees,
      to: degrees,
      byEye: z.boolean(),
      simulated: z.boolean(),
      against: z.boolean(),
    })
    .nullable(),
  pressure: z.strictObject({ pattern: z.enum(PRESSURE_PATTERNS), way: z.enum(PATTERN_WAYS) }).nullable(),
  partings: z
    .array(
      z.strictObject({
        item: z.enum([...PARTING_ITEMS, 'hipBump']),
        low: figure,
        high: figure,
        needs: figure,
        reason: z.enum(REASONS).nullable(),
        own: z.boolean(),
      }),
    )
    .max(5),
  pulledBothWays: z.boolean(),
  leadHeelLift: z.number().min(0).max(MOST_LIFT_MM),
});
export type KeptJudgement = z.infer<typeof JudgementShape>;
