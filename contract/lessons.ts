import { anythingAsked, BUILD_FIGURES, CAME_FOR, HANDS } from '@pedastance/core/body';
import { CLUB_IDS, SHOTS, canPitch } from '@pedastance/core/club';
import {
  EXCEPTION_ITEMS,
  exceptionRange,
  FIGURE_MARKS,
  FIGURE_QUESTION_NAMES,
  questionOf,
  type ExceptionItem,
} from '@pedastance/core/method';
import { CHOICES, CHOICE_QUESTIONS, ITEMS, FIGURES } from '@pedastance/core/setup';
import { MOST_LIFT_MM, SHOULDER_GOALS } from '@pedastance/core/turn';
import { z } from 'zod';
import { CardEntry } from './cards';
import { entryCommon, figure, Id, ModelVersion, Moment, text, whole } from './common';
import { LONGEST_CAUTIONS, LONGEST_FACT_TEXT, LONGEST_INTAKE, LONGEST_PAIN, MOST_FACTS } from './limits';
import { JudgementShape } from './judgement';
import { LadderEntry, TestEntry } from './ladders';
import { PressureEntry } from './pressure';
import { SetupShape } from './setup';
import { CautionFactShape } from './students';
import { LookEntry, ShotsEntry, TrialEntry } from './trials';

export const NewLesson = z.strictObject({ id: Id, studentId: Id, startedAt: Moment });
export type NewLesson = z.infer<typeof NewLesson>;

export const AddressEntry = z
  .strictObject({
    ...entryCommon,
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

const heavy = figure.min(0);

const FindingShape = z
  .strictObject({
    item: z.enum(ITEMS),
    question: z.enum(FIGURE_QUESTION_NAMES as [(typeof FIGURE_QUESTION_NAMES)[number]]),
    unit: z.enum(['mm', 'degrees', 'percent']),
    measured: figure,
    uncertainty: figure.positive(),
    low: figure,
    middle: figure,
    high: figure,
    verdict: z.enum(['below', 'in', 'above']),
    close: z.boolean(),
    widenedBy: z.array(z.enum(BUILD_FIGURES)).max(BUILD_FIGURES.length),
    mark,
    why: text(1, 500),
    limits: text(0, 500),
    untested: z.boolean(),
    weight: z.strictObject({ out: heavy, turn: heavy, path: heavy, total: heavy }),
    because: z.strictObject({ item: z.enum(ITEMS), words: text(1, 200) }).nullable(),
    withheld: text(1, 200).nullable(),
    putForward: z.boolean(),
  })
  .refine(
    ({ putForward, verdict, because, withheld }) =>
      !putForward || (verdict !== 'in' && !because && !withheld),
    {
      path: ['putForward'],
      error: 'put forward only what is out of its band, comes from nothing else and is not withheld',
    },
  )
  .refine(({ item, because }) => because?.item !== item, {
    path: ['because'],
    error: 'another item that it comes from',
  })
  .refine((finding) => finding.low <= finding.middle && finding.middle <= finding.high, {
    path: ['low'],
    error: 'a band with its low end below its high end',
  })
  .refine(({ item, question, unit }) => questionOf(item) === question && FIGURES[item].unit === unit, {
    path: ['question'],
    error: 'the question and the unit of its item',
  });

const ChoiceFindingShape = z
  .strictObject({
    question: z.enum(CHOICE_QUESTIONS),
    seen: text(1, 40),
    wanted: z.array(text(1, 40)).min(1).max(10),
    asTaught: z.boolean(),
    mark,
    why: text(1, 500),
  })
  .refine(({ question, seen }) => CHOICES[question].includes(seen), {
    path: ['seen'],
    error: 'one of the answers to the question',
  })
  .refine(({ question, wanted }) => wanted.every((each) => CHOICES[question].includes(each)), {
    path: ['wanted'],
    error: 'answers to the question',
  })
  .refine(({ seen, wanted, asTaught }) => asTaught === wanted.includes(seen), {
    path: ['asTaught'],
    error: 'whether what was seen is among what is wanted',
  });

const NoticeShape = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('lines disagree'), toeLine: figure, heelLine: figure }),
  z.strictObject({ kind: z.literal('shoes overlap'), gap: figure }),
  z.strictObject({
    kind: z.literal('flare moved the toe line'),
    foot: z.enum(['lead', 'trail']),
    toeLine: figure,
    heelLine: figure,
  }),
  z.strictObject({ kind: z.literal('face follows the feet'), stanceLine: figure, clubFace: figure }),
  z.strictObject({
    kind: z.literal('shoulders against the feet'),
    stanceLine: figure,
    shoulderLine: figure,
  }),
  z.strictObject({ kind: z.literal('ball only looks moved'), wider: z.boolean() }),
  z.strictObject({ kind: z.literal('pitch reverses the trail foot'), trailFlare: figure }),
  z.strictObject({ kind: z.literal('turns too far') }),
  z.strictObject({ kind: z.literal('too wide to post'), travel: figure, most: figure }),
]);

/** Findings of one reading stand in body order, each item at most once. */
const inBodyOrder = (findings: readonly { item: (typeof ITEMS)[number] }[]): boolean =>
  findings.every(({ item }, at) => at === 0 || ITEMS.indexOf(item) > ITEMS.indexOf(findings[at - 1]!.item));

export const ReadingEntry = z.strictObject({
  ...entryCommon,
  kind: z.literal('reading'),
  addressId: Id,
  buildId: Id,
  /** The legs it was read with; null where none had been screened. */
  screenId: Id.nullable(),
  methodId: Id,
  methodVersion: whole(1),
  /** What of the student the reading went by; null for one from before this was said. */
  facts: z
    .strictObject({
      cautions: text(0, LONGEST_CAUTIONS),
      age: z.int().min(0).max(200),
      /** What it rests on besides; null in a reading from before it was named. */
      rests: z
        .strictObject({
          hand: z.enum(HANDS),
          facts: z.array(CautionFactShape).max(MOST_FACTS),
          shoulderGoal: z.number().min(SHOULDER_GOALS.least).max(SHOULDER_GOALS.most),
        })
        .nullable(),
    })
    .nullable(),
  modelVersion: ModelVersion,
  /** What the coach noted where nothing was to be changed. */
  note: text(0, 2000),
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
  notices: z.array(NoticeShape).max(12),
  /** The judgement that was told with it; null in a reading from before there was one. */
  judgement: JudgementShape.nullable(),
});

export const ChangeEntry = z.strictObject({
  ...entryCommon,
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

const within = (item: ExceptionItem, value: number): boolean => {
  const { least, most } = exceptionRange(item);
  return value >= least && value <= most;
};

/** What the student came for, in one lesson; a later one of the lesson replaces it. */
export const IntakeEntry = z
  .strictObject({
    ...entryCommon,
    kind: z.literal('intake'),
    cameFor: z
      .array(z.enum(CAME_FOR))
      .max(CAME_FOR.length)
      .refine((reasons) => new Set(reasons).size === reasons.length, { error: 'each once' }),
    sore: text(0, LONGEST_PAIN),
    words: text(0, LONGEST_INTAKE),
    sport: text(0, LONGEST_FACT_TEXT),
  })
  .refine(anythingAsked, { path: ['cameFor'], error: 'one thing at least' });

/** A band of a student's own in place of the method's, with one club or all; what replaces it changes or ends it. */
export const ExceptionEntry = z
  .strictObject({
    ...entryCommon,
    kind: z.literal('exception'),
    item: z.enum(EXCEPTION_ITEMS),
    low: z.number(),
    high: z.number(),
    club: z.enum(CLUB_IDS).nullable(),
    ended: z.boolean(),
  })
  .refine(({ low, high }) => low <= high, {
    path: ['low'],
    error: 'a band with its low end below its high end',
  })
  .refine(({ item, low, high }) => within(item, low) && within(item, high), {
    path: ['high'],
    error: 'a band that the figure can have',
  });

export const NewEntry = z.discriminatedUnion('kind', [
  IntakeEntry,
  ExceptionEntry,
  LadderEntry,
  TestEntry,
  PressureEntry,
  AddressEntry,
  ReadingEntry,
  ChangeEntry,
  TrialEntry,
  ShotsEntry,
  LookEntry,
  CardEntry,
]);
export type NewEntry = z.infer<typeof NewEntry>;
export type IntakeEntry = z.infer<typeof IntakeEntry>;
export type ExceptionEntry = z.infer<typeof ExceptionEntry>;
export type AddressEntry = z.infer<typeof AddressEntry>;
export type ReadingEntry = z.infer<typeof ReadingEntry>;
export type ChangeEntry = z.infer<typeof ChangeEntry>;

/**
 * What came of working an entry out again on the server, from the inputs it names: it agrees, it differs in
 * the places given, or it is kept as it was told, by an older model or without its inputs.
 */
export interface EntryCheck {
  verdict: 'agrees' | 'differs' | 'as told';
  differences: { place: string; told: string; computed: string }[];
}

/** An entry as the server answers it: as it was made, with when the server had it, and its check. */
export type LogEntry = NewEntry & { studentId: string; receivedAt: string; check?: EntryCheck | null };

/** An entry of one kind as the log has it. */
export type Logged<Kind> = Kind & Pick<LogEntry, 'studentId' | 'receivedAt' | 'check'>;
