import { CHANGES } from '@pedastance/core/setup';
import {
  FACTORIAL,
  ARMS,
  BLOCK_SIZES,
  DECISIONS,
  FELT_TURNS,
  MISHIT_RULES,
  OUTCOMES,
  SHOT_FIGURES,
  SHOT_RANGES,
  TRIAL_LENGTHS,
  SIDES,
  STRIKES,
  VERDICTS,
  decisionOf,
  isLastLook,
  type BlockSize,
  type ShotFigure,
} from '@pedastance/core/trial';
import { z } from 'zod';
import { entryCommon, figure as real, Id, ModelVersion, Moment, text } from './common';
import { SetupShape } from './setup';

/** Where shots come from while a trial is hit: tapped, typed from a monitor, from its file at the end, or simulated. */
export const TRIAL_SOURCES = ['by hand', 'typed', 'file', 'simulated monitor'] as const;

/** What is declared before the first shot. */
export const TrialEntry = z
  .strictObject({
    ...entryCommon,
    kind: z.literal('trial'),
    addressAId: Id,
    addressBId: Id,
    /** The swing thought for each setup; empty for none. */
    cueA: text(0, 200),
    cueB: text(0, 200),
    primary: z.enum(OUTCOMES),
    margin: z.number().positive().max(100),
    /** How much this student's shots were taken to scatter when the number of shots was planned. */
    scatter: z.number().positive().max(100),
    mishits: z.enum(MISHIT_RULES),
    warmUps: z.int().min(0).max(20),
    length: z.enum(TRIAL_LENGTHS),
    blockSize: z.union(BLOCK_SIZES.map((size) => z.literal(size)) as [z.ZodLiteral<BlockSize>]),
    seed: z.int().min(0).max(0xffffffff),
    source: z.enum(TRIAL_SOURCES),
    /** Changes that are taken apart, and the address of each way of combining them; null where B is tried whole. */
    apart: z
      .strictObject({
        changes: z.array(z.enum(CHANGES)).min(FACTORIAL.least).max(FACTORIAL.most),
        addressIds: z.array(Id).max(2 ** FACTORIAL.most),
      })
      .refine(({ changes, addressIds }) => addressIds.length === 2 ** changes.length, {
        path: ['addressIds'],
        error: 'an address for each way of combining the changes',
      })
      .nullable(),
  })
  .refine(({ addressAId, addressBId, cueA, cueB }) => addressAId !== addressBId || cueA !== cueB, {
    path: ['cueB'],
    error: 'other feet, or another cue, than A',
  })
  .refine(({ length, apart, blockSize }) => length === 'full' || (apart === null && blockSize === 1), {
    path: ['length'],
    error: 'a full trial, where changes are taken apart or shots are hit in blocks',
  });
export type TrialEntry = z.infer<typeof TrialEntry>;

const figure = (name: ShotFigure) => {
  const { least, most } = SHOT_RANGES[name];
  return z.number().min(least).max(most).optional();
};

const figures = Object.fromEntries(SHOT_FIGURES.map((name) => [name, figure(name)])) as Record<
  ShotFigure,
  ReturnType<typeof figure>
>;

export const ShotShape = z
  .strictObject({
    ...figures,
    startSide: z.enum(SIDES).optional(),
    curveSide: z.enum(SIDES).optional(),
    strike: z.enum(STRIKES).optional(),
    balanceHeld: z.boolean().optional(),
    feltTurn: z.enum(FELT_TURNS).optional(),
    mishit: z.boolean(),
  })
  .refine(
    ({ divotStart, divotEnd }) =>
      divotStart === undefined || divotEnd === undefined || divotEnd >= divotStart,
    { path: ['divotEnd'], error: 'no nearer the target than where the divot starts' },
  );

/** Shots one write may bring; how large a body may be is a limit of its own. */
export const MOST_SHOTS = 500;

const Place = z.discriminatedUnion('warmUp', [
  z.strictObject({ warmUp: z.literal(true) }),
  z
    .strictObject({
      warmUp: z.literal(false),
      block: z.int().min(0).max(47),
      arm: z.enum(ARMS).optional(),
      cell: z.int().min(0).max(7).optional(),
    })
    .refine(({ arm, cell }) => (arm === undefined) !== (cell === undefined), {
      path: ['arm'],
      error: 'one of two setups, or a way of combining changes',
    }),
]);

/** Shots from one address; with a place where they belong to a trial. One taken back is replaced by none. */
export const ShotsEntry = z
  .strictObject({
    ...entryCommon,
    kind: z.literal('shots'),
    addressId: Id,
    trialId: Id.nullable(),
    source: z.enum(TRIAL_SOURCES),
    sitting: z.int().min(0).max(100),
    place: Place.nullable(),
    shots: z.array(ShotShape).max(MOST_SHOTS),
  })
  .refine(({ trialId, place }) => (trialId === null) === (place === null), {
    path: ['place'],
    error: 'a place for a shot of a trial, and none for others',
  })
  .refine(({ replaces, shots }) => shots.length > 0 || replaces !== null, {
    path: ['shots'],
    error: 'at least one shot, or the entry that is taken back',
  });
export type ShotsEntry = z.infer<typeof ShotsEntry>;

/** Far more than any trial has. */
const MOST_LOOK_SHOTS = 500;

const count = z.int().min(1).max(10_000);

/** Two ends, null where the shots do not bound them. */
const IntervalShape = z.tuple([real.nullable(), real.nullable()]);

const Evidence = z.strictObject({
  difference: real,
  shift: real.nullable(),
  interval: IntervalShape,
  p: z.number().min(0).max(1),
  exact: z.boolean(),
  arrangements: z.int().min(1),
  chance: z.number().min(0).max(1).nullable(),
  count: z.strictObject({ A: count, B: count }),
  mean: z.strictObject({ A: real, B: real }),
});

const EffectShape = z.strictObject({
  change: z
    .int()
    .min(0)
    .max(FACTORIAL.most - 1),
  difference: real,
  interval: IntervalShape,
  p: z.number().min(0).max(1),
  pairs: count,
  verdict: z.enum(['helps', 'hurts', 'not shown']),
});

/** A look at a trial: what it said, what it rested on, and what the coach decided. */
export const LookEntry = z
  .strictObject({
    ...entryCommon,
    kind: z.literal('look'),
    trialId: Id,
    /** The entries of shots that it rests on; null for one from before they were named. */
    shotIds: z.array(Id).max(MOST_LOOK_SHOTS).nullable(),
    /** The model that made it; null for one from before it was named. */
    modelVersion: ModelVersion.nullable(),
    /** How long its trial is. */
    length: z.enum(TRIAL_LENGTHS),
    look: z.int().min(1).max(3),
    painUp: z.boolean(),
    verdict: z.enum(VERDICTS),
    because: z.enum(['pain', 'better', 'worse', 'unclear', 'never shown', 'not seen']),
    evidence: Evidence.nullable(),
    /** The effect of each change that was taken apart, null where too few shots show it; null where B was tried whole. */
    effects: z.array(EffectShape.nullable()).min(FACTORIAL.least).max(FACTORIAL.most).nullable(),
    decision: z.enum(DECISIONS),
    note: text(0, 500),
  })
  .refine(({ length, look }) => length === 'full' || look === 1, {
    path: ['look'],
    error: '1, of a quick try',
  })
  .refine(
    ({ length, look, verdict, decision }) =>
      !isLastLook(length, look) || (verdict !== 'not yet' && decision !== 'go on'),
    { path: ['decision'], error: 'keep or drop, after the last look' },
  )
  .refine(
    ({ length, look, verdict, effects }) =>
      verdict !== 'not shown' || isLastLook(length, look) || effects !== null,
    {
      path: ['verdict'],
      error: 'not yet, before the last look',
    },
  )
  .refine(({ painUp, verdict }) => !painUp || verdict === 'drop', {
    path: ['verdict'],
    error: 'drop, when pain went up',
  })
  .refine(({ verdict, decision, note }) => decision === decisionOf(verdict) || note !== '', {
    path: ['note'],
    error: 'why the verdict was overruled',
  });
export type LookEntry = z.infer<typeof LookEntry>;

/** The simulated student is asked to hit so many shots from a setup. */
export const StandIn = z.strictObject({
  id: Id,
  madeAt: Moment,
  sessionId: Id,
  studentId: Id,
  setup: SetupShape,
  clubLengthInches: z.number().min(18).max(48),
  shots: z.int().min(1).max(4),
});
export type StandIn = z.infer<typeof StandIn>;

/** A shot as the monitor told it, once; its number is its place in the session. */
export interface MonitorShot {
  id: string;
  number: number;
  shot: z.infer<typeof ShotShape>;
}
