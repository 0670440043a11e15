import { THINGS } from '@pedastance/core/advice';
import { CAME_FOR, FACT_STATES, JOINTS } from '@pedastance/core/body';
import { BALLS, DAYS_A_WEEK, DOSED, DOSES, ROUTINE_STEPS, SWINGS_A_ROUND } from '@pedastance/core/card';
import { OWN_LADDER_RUNGS } from '@pedastance/core/ladder';
import { FEET_FIGURES, SWING_PATHS, TELL_TALE_NAMES, type TellTale } from '@pedastance/core/setup';
import { z } from 'zod';
import { LONGEST_CARD_PICTURE, MOST_TICKS_AT_ONCE } from './cardLimits';
import { entryCommon, figure, Id, Moment, text, whole } from './common';
import { OwnLadderShape } from './ladders';

const Day = z.iso.date().regex(/^20/, { error: 'a day from 2000 on' });

const each = <Value extends string>(values: readonly [Value, ...Value[]]) =>
  z
    .array(z.enum(values))
    .max(values.length)
    .refine((given) => new Set(given).size === given.length, { error: 'each once' });

/** A drill, for a library and for a card, which keeps it as it was when it was given. */
export const DrillShape = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{1,60}$/),
  name: text(1, 60),
  things: each(THINGS),
  cameFor: each(CAME_FOR),
  tellTales: each(TELL_TALE_NAMES as [TellTale, ...TellTale[]]),
  paths: each(SWING_PATHS),
  stops: each(['lead', 'trail']),
  how: text(1, 300),
  dose: text(1, 160),
  feel: text(0, 200),
  right: text(0, 200),
  needs: text(0, 160),
  notFor: z.array(z.strictObject({ joints: each(JOINTS), states: each(FACT_STATES) })).max(12),
  minors: z.boolean(),
});

/** A drill of an academy's own, or one that is taken out; the newest of each stands. */
export const NewDrill = z.strictObject({ id: Id, madeAt: Moment, drill: DrillShape, gone: z.boolean() });
export type NewDrill = z.infer<typeof NewDrill>;

const counted = ({ least, most }: { least: number; most: number }) => z.int().min(least).max(most);

/** What a student takes home of a change: the dose, the routine, drills, practice, and when it is looked at again. */
export const CardEntry = z.strictObject({
  ...entryCommon,
  kind: z.literal('card'),
  changeId: Id,
  dose: z.enum(DOSES),
  further: z
    .array(z.strictObject({ figure: z.enum(DOSED), value: figure.min(-100).max(600) }))
    .max(DOSED.length)
    .refine((further) => new Set(further.map((one) => one.figure)).size === further.length, {
      error: 'each figure once',
    }),
  rounds: z.strictObject({ feel: z.int().min(0).max(SWINGS_A_ROUND.most), play: counted(SWINGS_A_ROUND) }),
  routine: each(ROUTINE_STEPS),
  drills: z.array(DrillShape).max(2),
  cue: text(0, 160),
  practice: z
    .strictObject({ daysAWeek: counted(DAYS_A_WEEK), balls: counted(BALLS), warmUp: z.boolean() })
    .nullable(),
  nextLook: Day.nullable(),
  /** A ladder to go up alone, as it was when it was given. */
  ladder: OwnLadderShape.nullable(),
});
export type CardEntry = z.infer<typeof CardEntry>;

/** SHA-256 of the link's secret, which stays with who has the link; base64url. */
const TokenHash = z.string().regex(/^[A-Za-z0-9_-]{43}$/);

const Base64Jpeg = z
  .string()
  .min(100)
  .max(LONGEST_CARD_PICTURE)
  .regex(/^\/9j\/[A-Za-z0-9+/]+={0,2}$/, { error: 'a JPEG in base64' });
const CardPicture = z.strictObject({ on: Day, jpeg: Base64Jpeg });

/** The feet before and after, each laid flat from above at one scale, and what was measured of them, in words. */
export const CardPictures = z.strictObject({
  earlier: CardPicture,
  later: CardPicture,
  measures: z
    .array(z.strictObject({ name: text(1, 60), earlier: text(1, 24), later: text(1, 24) }))
    .max(FEET_FIGURES.length),
});
export type CardPictures = z.infer<typeof CardPictures>;

/** A link that opens a card without an account, made on the coach's device; only its hash is sent. */
export const NewCardLink = z.strictObject({
  id: Id,
  studentId: Id,
  madeAt: Moment,
  cardId: Id,
  tokenHash: TokenHash,
  wholeBag: z.boolean(),
  length: z.enum(['cm', 'inches']),
  endsOn: Day,
  /** Only with the student’s own yes to sharing them, and never a minor’s. */
  pictures: CardPictures.nullable(),
});
export type NewCardLink = z.infer<typeof NewCardLink>;

export const RevokeCardLink = z.strictObject({ id: Id });

/** A link as its academy sees it. */
export interface CardLink {
  id: string;
  studentId: string;
  cardId: string;
  wholeBag: boolean;
  madeAt: string;
  endsOn: string;
  revokedAt: string | null;
  opened: number;
  lastOpenedAt: string | null;
}

const ticked = z.strictObject({
  id: Id,
  /** By the student's own calendar. */
  on: Day,
  rounds: z.int().min(0).max(40),
  hurts: z.boolean(),
  /** That it hurts, ticked earlier on the day, was pressed by mistake. */
  takesBack: z.boolean().default(false),
  /** A rung of the card's ladder that was tried; null for anything else, as pages from before there were any send nothing. */
  rung: z.strictObject({ at: figure, done: z.boolean() }).nullable().default(null),
});

type Ticked = z.infer<typeof ticked>;
const takesBackAlone = ({ takesBack, rounds, hurts, rung }: Ticked): boolean =>
  !takesBack || (rounds === 0 && !hurts && rung === null);
const TAKES_BACK_ALONE = { path: ['takesBack'], error: 'nothing else in a tick that takes one back' };

/** A practice day that a student ticked, a word that it hurts, or that it does not. */
export const Tick = ticked.refine(takesBackAlone, TAKES_BACK_ALONE);
export type Tick = z.infer<typeof Tick>;

/** A tick with what it belongs to. */
export const TickRecord = ticked
  .extend({ studentId: Id, cardId: Id })
  .refine(takesBackAlone, TAKES_BACK_ALONE);
export type TickRecord = z.infer<typeof TickRecord>;

/** A tick as the academy sees it. */
export type CardTick = TickRecord & { receivedAt: string };

/** What a student's cards have come to: the links that were handed out, and what was ticked. */
export interface StudentCards {
  links: CardLink[];
  ticks: CardTick[];
}

/** The secret of a link: 128 random bits, base64url. */
export const CardToken = z.string().regex(/^[A-Za-z0-9_-]{22}$/);
export const SendTicks = z.strictObject({
  token: CardToken,
  ticks: z.array(Tick).min(1).max(MOST_TICKS_AT_ONCE),
});

const words = z.string().max(2000);
const lines = z.array(words).max(40);
const place = z.number().min(-5000).max(5000);

const DrawingShape = z.strictObject({
  width: place,
  height: place,
  shoes: z.array(
    z.strictObject({ side: z.enum(['left', 'right']), path: z.string().max(4000), dashed: z.boolean() }),
  ),
  names: z.array(z.strictObject({ x: place, y: place, words })),
  ball: z.strictObject({ x: place, y: place }),
  line: place,
  target: z.enum(['left', 'right']),
  level: z.strictObject({ y: place, from: place, to: place }),
  drops: z.array(z.strictObject({ x: place, from: place, to: place })),
});

/** A card as it is read; a student is in it by the first name alone. */
export const CardShape = z.strictObject({
  firstName: words,
  clubs: z
    .array(
      z.strictObject({
        title: words,
        agreedOn: Day,
        sentences: lines,
        also: lines,
        because: words,
        feel: words,
        marks: lines,
        doses: z.array(z.strictObject({ name: words, lines, swings: words, now: z.boolean() })).max(3),
        drawing: DrawingShape,
      }),
    )
    .min(1)
    .max(40),
  odd: words,
  routine: lines,
  practice: z.strictObject({ daysAWeek: counted(DAYS_A_WEEK), days: words, lines }).nullable(),
  drills: z
    .array(z.strictObject({ name: words, how: words, dose: words, feel: words, right: words, needs: words }))
    .max(2),
  cue: words,
  nextLook: Day.nullable(),
  /** Cards from before there were any have none. */
  ladder: z
    .strictObject({
      name: words,
      purpose: words,
      counts: words,
      rungs: z.array(z.strictObject({ at: figure, words })).max(OWN_LADDER_RUNGS.most),
    })
    .nullish(),
  care: lines,
});

/** Everything that a link answers to whoever has it, and nothing besides. */
export const OpenedCard = z.strictObject({
  card: CardShape,
  /** Whether it has pictures, which are asked for apart. */
  pictured: z.boolean(),
  /** Since when it reads as it does, where it was brought up to date after the link was made. */
  changedOn: Day.nullable(),
  endsOn: Day,
  /** The rounds of each day that were ticked from this link. */
  ticked: z.array(z.strictObject({ on: Day, rounds: whole(0), hurts: z.boolean() })).max(400),
  /** The rungs that were ticked, in the order in which they came in. */
  rungs: z
    .array(z.strictObject({ on: Day, at: figure, done: z.boolean() }))
    .max(200)
    .optional(),
});
export type OpenedCard = z.infer<typeof OpenedCard>;
