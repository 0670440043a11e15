/** Ladders that were gone up, tests that stand beside them, and ladders of an academy's own. */
import { ANGLE_WAYS, SCREEN_DEFINITIONS } from '@pedastance/core/body';
import { STICK_PLACES } from '@pedastance/core/balance/names';
import { CLUB_IDS } from '@pedastance/core/club';
import {
  LADDER_NAMES,
  LADDER_SWINGS,
  LADDERS,
  ladderFrom,
  MARKS,
  OWN_LADDER_FIGURES,
  OWN_LADDER_RUNGS,
  rungCount,
  SETBACK_RUNGS,
  SETBACK_SCORES,
  STRIKE_HEIGHTS,
  TRY_RESULTS,
  type Ladder,
  type LadderName,
} from '@pedastance/core/ladder';
import { FIGURES, type FeetFigure } from '@pedastance/core/setup';
import { z } from 'zod';
import { entryCommon, Id, Moment, text } from './common';

/** What can be asked of a figure; of the setback, which no method asks for, what it can be. */
const askedOf = (name: FeetFigure) => FIGURES[name].asked ?? FIGURES[name].range;

/** A ladder that a coach built from the parts that there are. */
export const OwnLadderShape = z
  .strictObject({
    id: z.string().regex(/^[a-z0-9-]{1,60}$/),
    name: text(1, 60),
    figure: z.enum(OWN_LADDER_FIGURES),
    purpose: text(1, 160),
    passes: text(1, 160),
    passing: z.enum(['from', 'up to']),
    swing: z.enum(LADDER_SWINGS),
    first: z.number(),
    last: z.number(),
    step: z.number(),
    minors: z.boolean(),
  })
  .refine(
    ({ figure, first, last }) => {
      const { least, most } = askedOf(figure);
      return first >= least && last <= most;
    },
    { path: ['last'], error: 'rungs that the figure can have' },
  )
  .refine(
    (ladder) => {
      const rungs = rungCount(ladder);
      return Number.isInteger(rungs) && rungs >= OWN_LADDER_RUNGS.least && rungs <= OWN_LADDER_RUNGS.most;
    },
    {
      path: ['step'],
      error: `a step that leads from the first rung to the last, over ${OWN_LADDER_RUNGS.least} to ${OWN_LADDER_RUNGS.most} rungs`,
    },
  );

/** A ladder of an academy's own, or one that is taken out; the newest of each stands. */
export const NewOwnLadder = z.strictObject({
  id: Id,
  madeAt: Moment,
  ladder: OwnLadderShape,
  gone: z.boolean(),
});
export type NewOwnLadder = z.infer<typeof NewOwnLadder>;

const MOST_TURNS = 60;
const { least, most } = SCREEN_DEFINITIONS.hipsBack.range;

const MeasuredShape = z.strictObject({
  hips: z.number().min(least).max(most),
  uncertainty: z.number().positive().max(90),
  by: z.enum(ANGLE_WAYS),
  stoppedBy: z.enum(['lead', 'trail']).nullable(),
  at: Moment,
});

const onLadder = ({ first, last }: Ladder, turns: readonly { rung: number }[]): boolean =>
  turns.every(({ rung }) => rung >= first && rung <= last);

/** A ladder that was gone up in a lesson: every turn on its rungs, in time; null is one that only warmed up. */
export const LadderEntry = z
  .strictObject({
    ...entryCommon,
    kind: z.literal('ladder'),
    ladder: z.enum([...LADDER_NAMES, 'own']),
    /** A ladder of one's own as it was when it was gone up; null for any other. */
    own: OwnLadderShape.nullable(),
    turns: z
      .array(
        z.strictObject({
          rung: z.number(),
          result: z.enum(TRY_RESULTS).nullable(),
          measured: MeasuredShape.nullable(),
        }),
      )
      .min(1)
      .max(MOST_TURNS),
  })
  .refine(({ ladder, own }) => (ladder === 'own') === (own !== null), {
    path: ['own'],
    error: 'the ladder, where it is one of one’s own',
  })
  .refine(
    ({ ladder, own, turns }) => {
      if (ladder !== 'own') return onLadder(LADDERS[ladder], turns);
      return own === null || onLadder(ladderFrom(own), turns);
    },
    { path: ['turns'], error: 'rungs that the ladder has' },
  );
export type LadderEntry = z.infer<typeof LadderEntry>;

/** The ladder that an entry was gone up on. */
export const ladderIn = ({ ladder, own }: Pick<LadderEntry, 'ladder' | 'own'>): Ladder =>
  own ? ladderFrom(own) : LADDERS[ladder as LadderName];

const MOST_TRIES = 40;
const tries = <Shape extends z.ZodType>(shape: Shape) => z.array(shape).min(1).max(MOST_TRIES);

const test = <Name extends string>(name: Name) => ({
  ...entryCommon,
  kind: z.literal('test'),
  test: z.literal(name),
});

const stripe = z.boolean().nullable();
const stripes = z.strictObject({ lead: stripe, trail: stripe });

/** How far from the ball a mark can lie, mm; toward the target is positive. */
const markAt = z.number().min(-300).max(400);

const LowPointTest = z.strictObject({
  ...test('low point'),
  club: z.enum(CLUB_IDS),
  /** How far the ball lay inside the lead heel, mm. */
  ballAlong: z.number().min(-600).max(1000),
  /** mm; null where the ball lay on the ground. */
  teeHeight: z.number().min(0).max(120).nullable(),
  tries: tries(
    z
      .strictObject({
        /** Where it was lowest, as an eye tells it; null where it was measured, or not seen. */
        mark: z.enum(MARKS).nullable(),
        /** Where the divot starts and ends, mm from the ball; null where that was not measured. */
        start: markAt.nullable(),
        end: markAt.nullable(),
        /** How high on the face it was struck; null where nobody looked. */
        strike: z.enum(STRIKE_HEIGHTS).nullable(),
      })
      .refine(({ mark, start, strike }) => mark !== null || start !== null || strike !== null, {
        path: ['mark'],
        error: 'a mark, a divot or a strike',
      })
      .refine(({ start, end }) => end === null || (start !== null && end >= start), {
        path: ['end'],
        error: 'no nearer the target than where the divot starts',
      }),
  ),
});

/** What was tried beside the ladders, one after the other. */
export const TestEntry = z.discriminatedUnion('test', [
  z.strictObject({
    ...test('setback'),
    club: z.enum(CLUB_IDS),
    tries: tries(z.strictObject({ rung: z.enum(SETBACK_RUNGS), score: z.enum(SETBACK_SCORES) })),
  }),
  LowPointTest,
  /** Rocked and settled: under which part of the foot the weight came to rest, percent from the heel. */
  z.strictObject({
    ...test('settled'),
    tries: tries(z.strictObject({ along: z.number().min(0).max(100) })),
  }),
  /** A stripe on the soles' edges, swing by swing, in a video that stays on the device. */
  z.strictObject({
    ...test('stripe'),
    club: z.enum(CLUB_IDS),
    tries: tries(z.strictObject({ address: stripes, top: stripes, 'early down': stripes, impact: stripes })),
  }),
  /** A broomstick under the shoes: where it was felt. */
  z.strictObject({ ...test('broomstick'), tries: tries(z.strictObject({ felt: z.enum(STICK_PLACES) })) }),
  /** The trail foot lifted at the finish, without falling back. */
  z.strictObject({
    ...test('lift'),
    club: z.enum(CLUB_IDS),
    tries: tries(z.strictObject({ held: z.boolean() })),
  }),
  z.strictObject({
    ...test('finish'),
    club: z.enum(CLUB_IDS),
    tries: tries(z.strictObject({ held: z.boolean() })),
  }),
]);
export type TestEntry = z.infer<typeof TestEntry>;
export type TestName = TestEntry['test'];
export type TestOf<Name extends TestName> = Extract<TestEntry, { test: Name }>;
