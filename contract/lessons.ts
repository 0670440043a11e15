import {
  BUILD_FIGURES,
  CHOICES,
  CHOICE_QUESTIONS,
  CLUB_IDS,
  FIGURE_MARKS,
  FIGURE_QUESTIONS,
  FIGURE_QUESTION_NAMES,
  ITEM_DEFINITIONS,
  ITEMS,
  POSTURE_FIGURES,
  MOST_LIFT_MM,
  SHOTS,
  SHOULDER_GOALS,
  SWING_PATHS,
  anythingSeen,
  canPitch,
  type ChoiceQuestion,
  type PostureFigure,
} from '@pedastance/core';
import { z } from 'zod';
import { Id, Moment, text } from './common';

export const NewLesson = z.strictObject({ id: Id, studentId: Id, startedAt: Moment });
export type NewLesson = z.infer<typeof NewLesson>;

/** Where a foot may stand, mm from the ball; far beyond any stance, near enough to catch a slip. */
const FURTHEST_MM = 3000;
const coordinate = z.number().min(-FURTHEST_MM).max(FURTHEST_MM);

const PlacedFoot = z.strictObject({
  heel: z.strictObject({ x: coordinate, y: coordinate }),
  flare: z.number().min(-45).max(90),
});

const share = z.number().min(0).max(100);

const sighting = (figure: PostureFigure) => {
  const { least, most } = FIGURE_QUESTIONS[figure].range;
  return z
    .strictObject({ value: z.number().min(least).max(most), by: z.enum(['eye', 'measured']) })
    .optional();
};

const choice = (question: ChoiceQuestion) => z.enum(CHOICES[question] as [string, ...string[]]).optional();

const ofEach = <Name extends string, Shape>(names: readonly Name[], shape: (name: Name) => Shape) =>
  Object.fromEntries(names.map((name) => [name, shape(name)])) as Record<Name, Shape>;

/** What was looked at above the feet; what was not is not there. */
const PostureShape = z
  .strictObject({
    figures: z.strictObject(ofEach(POSTURE_FIGURES, sighting)),
    choices: z.strictObject(ofEach(CHOICE_QUESTIONS, choice)),
    swingPath: z.enum(SWING_PATHS).optional(),
  })
  .refine(anythingSeen, { error: 'at least one thing looked at, or no posture at all' });

export const SetupShape = z.strictObject({
  address: z
    .strictObject({
      shoe: z.strictObject({ length: z.number().min(150).max(380), breadth: z.number().min(50).max(160) }),
      lead: PlacedFoot,
      trail: PlacedFoot,
    })
    .refine((address) => address.lead.heel.x > address.trail.heel.x, {
      path: ['trail', 'heel', 'x'],
      error: 'the trail heel further from the target than the lead heel',
    }),
  balance: z.strictObject({ leadShare: share, leadHeelToe: share, trailHeelToe: share }),
  posture: PostureShape.optional(),
});

/** What every entry of the log carries; a correction names the entry it replaces. */
const common = { id: Id, lessonId: Id, madeAt: Moment, replaces: Id.nullable() };

export const AddressEntry = z
  .strictObject({
    ...common,
    kind: z.literal('address'),
    /** As the student stood, or as was agreed. */
    standing: z.enum(['today', 'agreed']),
    club: z.enum(CLUB_IDS),
    clubLengthInches: z.number().min(18).max(48),
    shot: z.enum(SHOTS),
    setup: SetupShape,
  })
  .refine((entry) => entry.shot === 'full' || canPitch(entry.club), {
    path: ['shot'],
    error: 'a full shot with this club',
  });

const mark = z.enum(FIGURE_MARKS);

const heavy = z.number().min(0);

const FindingShape = z
  .strictObject({
    item: z.enum(ITEMS),
    question: z.enum(FIGURE_QUESTION_NAMES as [(typeof FIGURE_QUESTION_NAMES)[number]]),
    unit: z.enum(['mm', 'degrees', 'percent']),
    measured: z.number(),
    uncertainty: z.number().positive(),
    low: z.number(),
    middle: z.number(),
    high: z.number(),
    verdict: z.enum(['below', 'in', 'above']),
    close: z.boolean(),
    widenedBy: z.array(z.enum(BUILD_FIGURES)),
    mark,
    why: text(1, 500),
    limits: text(0, 500),
    untested: z.boolean(),
    weight: z.strictObject({ out: heavy, turn: heavy, path: heavy, total: heavy }),
    because: z.strictObject({ item: z.enum(ITEMS), words: text(1, 200) }).nullable(),
    withheld: text(1, 200).nullable(),
    putForward: z.boolean(),
  })
  .refine((finding) => finding.low <= finding.middle && finding.middle <= finding.high, {
    path: ['low'],
    error: 'a band with its low end below its high end',
  })
  .refine(
    ({ item, question, unit }) => {
      const definition = ITEM_DEFINITIONS[item];
      return definition.question === question && definition.unit === unit;
    },
    { path: ['question'], error: 'the question and the unit of its item' },
  );

const ChoiceFindingShape = z.strictObject({
  question: z.enum(CHOICE_QUESTIONS),
  seen: text(1, 40),
  wanted: z.array(text(1, 40)).min(1),
  asTaught: z.boolean(),
  mark,
  why: text(1, 500),
});

const NoticeShape = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('lines disagree'), toeLine: z.number(), heelLine: z.number() }),
  z.strictObject({ kind: z.literal('shoes overlap'), gap: z.number() }),
  z.strictObject({
    kind: z.literal('flare moved the toe line'),
    foot: z.enum(['lead', 'trail']),
    toeLine: z.number(),
    heelLine: z.number(),
  }),
  z.strictObject({ kind: z.literal('face follows the feet'), stanceLine: z.number(), clubFace: z.number() }),
  z.strictObject({
    kind: z.literal('shoulders against the feet'),
    stanceLine: z.number(),
    shoulderLine: z.number(),
  }),
  z.strictObject({ kind: z.literal('ball only looks moved'), wider: z.boolean() }),
  z.strictObject({ kind: z.literal('pitch reverses the trail foot'), trailFlare: z.number() }),
  z.strictObject({ kind: z.literal('turns too far') }),
]);

/** Findings of one reading stand in body order, each item at most once. */
const inBodyOrder = (findings: readonly { item: (typeof ITEMS)[number] }[]): boolean =>
  findings.every(({ item }, at) => at === 0 || ITEMS.indexOf(item) > ITEMS.indexOf(findings[at - 1]!.item));

export const ReadingEntry = z.strictObject({
  ...common,
  kind: z.literal('reading'),
  addressId: Id,
  buildId: Id,
  /** The legs it was read with; null where none had been screened. */
  screenId: Id.nullable(),
  methodId: Id,
  methodVersion: z.int().min(1),
  modelVersion: z.string().regex(/^\d+\.\d+\.\d+$/),
  findings: z
    .array(FindingShape)
    .min(1)
    .max(ITEMS.length)
    .refine(inBodyOrder, { error: 'at most one finding for an item, in body order' })
    .refine((findings) => findings.filter((finding) => finding.putForward).length <= 2, {
      error: 'at most two findings put forward',
    }),
  choices: z
    .array(ChoiceFindingShape)
    .max(CHOICE_QUESTIONS.length)
    .refine((choices) => new Set(choices.map(({ question }) => question)).size === choices.length, {
      error: 'at most one finding for a question',
    }),
  notices: z.array(NoticeShape).max(8),
});

export const ChangeEntry = z.strictObject({
  ...common,
  kind: z.literal('change'),
  readingId: Id,
  fromAddressId: Id,
  toAddressId: Id,
  /** How far the lead heel is to come up going back, mm. */
  leadHeelLift: z.number().min(0).max(MOST_LIFT_MM),
  /** The turn of the shoulders it was agreed for, degrees. */
  shoulderGoal: z.number().min(SHOULDER_GOALS.least).max(SHOULDER_GOALS.most),
  reason: text(1, 500),
  feel: text(0, 500),
  note: text(0, 2000),
});

export const NewEntry = z.discriminatedUnion('kind', [AddressEntry, ReadingEntry, ChangeEntry]);
export type NewEntry = z.infer<typeof NewEntry>;
export type AddressEntry = z.infer<typeof AddressEntry>;
export type ReadingEntry = z.infer<typeof ReadingEntry>;
export type ChangeEntry = z.infer<typeof ChangeEntry>;

/** An entry as the server answers it: as it was made, with when the server had it. */
export type LogEntry = NewEntry & { studentId: string; receivedAt: string };
