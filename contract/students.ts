import {
  ANGLE_WAYS,
  BODY_SIDES,
  BUILD_FIGURES,
  BUILD_RANGES,
  FACT_STATES,
  FACT_STATUSES,
  HANDS,
  JOINTS,
  MOST_EARLIER_TURNS,
  MOST_TRIES,
  SCREEN_DEFINITIONS,
  SCREEN_ITEMS,
  SHOE_SIZE_SYSTEMS,
  type BuildFigureName,
  type ScreenItem,
} from '@pedastance/core/body';
import { z } from 'zod';
import { Id, Moment, text, whole } from './common';
import type { PainTick } from './pain';
import type { NewConsent } from './privacy';
import {
  EARLIEST_BIRTH_YEAR,
  LATEST_BIRTH_YEAR,
  LONGEST_CAUTIONS,
  LONGEST_FACT_TEXT,
  LONGEST_NAME,
  LONGEST_PAIN,
  MOST_FACTS,
  MOST_SHOULDERS_OF_HEIGHT,
} from './limits';

/** A calendar day of this century, as facts are noted on. */
const NotedOn = z.iso.date().regex(/^20/, { error: 'a day from 2000 on' });

export const CautionFactShape = z.strictObject({
  joint: z.enum(JOINTS),
  side: z.enum(BODY_SIDES),
  state: z.enum(FACT_STATES),
  since: text(0, LONGEST_FACT_TEXT),
  clearedBy: text(0, LONGEST_FACT_TEXT),
  notedOn: NotedOn,
  status: z.enum(FACT_STATUSES),
});

const person = {
  name: text(1, LONGEST_NAME),
  hand: z.enum(HANDS),
  birthYear: z.int().min(EARLIEST_BIRTH_YEAR).max(LATEST_BIRTH_YEAR),
  /** The day, where it is known. */
  bornOn: z.iso.date().nullable(),
  cautions: text(0, LONGEST_CAUTIONS),
  facts: z.array(CautionFactShape).max(MOST_FACTS),
};

const bornInYear = ({ birthYear, bornOn }: { birthYear: number; bornOn: string | null }): boolean =>
  bornOn === null || Number(bornOn.slice(0, 4)) === birthYear;
const ANOTHER_YEAR = { path: ['bornOn'], error: 'a day of the year of birth' };

export const Person = z.strictObject(person).refine(bornInYear, ANOTHER_YEAR);
export type Person = z.infer<typeof Person>;

export const NewStudent = z
  .strictObject({ ...person, id: Id, madeAt: Moment })
  .refine(bornInYear, ANOTHER_YEAR);
export type NewStudent = z.infer<typeof NewStudent>;

/** An edit is a write of its own, made from one version of the student. */
export const StudentEdit = z
  .strictObject({
    ...person,
    /** Null from an app that knew no facts and no day of birth: both are left as they are. */
    facts: person.facts.nullable(),
    id: Id,
    madeAt: Moment,
    studentId: Id,
    version: whole(1),
  })
  .refine(bornInYear, ANOTHER_YEAR);
export type StudentEdit = z.infer<typeof StudentEdit>;

const figure = (name: BuildFigureName) =>
  z.strictObject({
    value: z.number().min(BUILD_RANGES[name].least).max(BUILD_RANGES[name].most),
    source: z.enum(['measured', 'estimated']),
    uncertainty: z.number().positive().max(200),
  });

const figures = Object.fromEntries(BUILD_FIGURES.map((name) => [name, figure(name)])) as Record<
  BuildFigureName,
  ReturnType<typeof figure>
>;

export const BuildFigures = z
  .strictObject(figures)
  .refine((build) => build.shoulderBreadth.value <= MOST_SHOULDERS_OF_HEIGHT * build.height.value, {
    path: ['shoulderBreadth', 'value'],
    error: `at most ${MOST_SHOULDERS_OF_HEIGHT} of the height`,
  });

export const NewBuild = z.strictObject({
  id: Id,
  studentId: Id,
  madeAt: Moment,
  figures: BuildFigures,
  estimateAs: z.enum(['woman', 'man', 'not said']),
  /** The size the shoe length was taken from, as it was given. */
  shoeSize: z
    .strictObject({ system: z.enum(SHOE_SIZE_SYSTEMS), size: z.number().min(0).max(400) })
    .nullable(),
});
export type NewBuild = z.infer<typeof NewBuild>;

const screened = (item: ScreenItem) => {
  const { least, most } = SCREEN_DEFINITIONS[item].range;
  return z
    .strictObject({
      item: z.literal(item),
      tries: z.array(z.number().min(least).max(most)).max(MOST_TRIES),
      by: z.enum(ANGLE_WAYS),
      uncertainty: z.number().positive().max(90).nullable(),
      pain: text(0, LONGEST_PAIN),
      takenAt: Moment.nullable(),
    })
    .refine(({ tries, pain }) => tries.length > 0 || pain !== '', {
      path: ['tries'],
      error: 'at least one try, or when it hurt',
    });
};

const [firstItem, ...otherItems] = SCREEN_ITEMS;
const leg = z.enum(['lead', 'trail']).nullable();
const stoodFlare = z.number().min(-45).max(90);
const stoodLine = z.number().min(-45).max(45);
const stoodOn = { leadFlare: stoodFlare, trailFlare: stoodFlare, toeLine: stoodLine };

const turnedAngle = (item: 'hipsBack' | 'hipsThrough') => {
  const { least, most } = SCREEN_DEFINITIONS[item].range;
  return z
    .strictObject({ value: z.number().min(least).max(most), uncertainty: z.number().positive().max(90) })
    .nullable();
};

const EarlierTurnShape = z
  .strictObject({
    takenAt: Moment,
    ...stoodOn,
    back: turnedAngle('hipsBack'),
    through: turnedAngle('hipsThrough'),
    stoppedBack: leg,
    stoppedThrough: leg,
  })
  .refine(({ back, through }) => back !== null || through !== null, {
    path: ['back'],
    error: 'how far the hips turned, one way at least',
  });

/** Legs and trunk on one day, taken with a build; only ever added to. */
export const NewScreen = z
  .strictObject({
    id: Id,
    studentId: Id,
    buildId: Id,
    hand: z.enum(HANDS).nullable(),
    madeAt: Moment,
    items: z
      .array(z.discriminatedUnion('item', [screened(firstItem), ...otherItems.map(screened)]))
      .max(SCREEN_ITEMS.length)
      .refine((items) => new Set(items.map(({ item }) => item)).size === items.length, {
        error: 'each item once',
      }),
    turnedOn: z.strictObject(stoodOn).nullable(),
    stoppedBack: leg,
    stoppedThrough: leg,
    earlierTurns: z.array(EarlierTurnShape).max(MOST_EARLIER_TURNS),
    soreKnee: z.strictObject({ lead: z.boolean(), trail: z.boolean() }),
  })
  .refine(({ items, earlierTurns }) => items.length + earlierTurns.length > 0, {
    path: ['items'],
    error: 'at least one test or one measured turn',
  })
  .refine(
    ({ items, turnedOn }) =>
      turnedOn !== null || items.every(({ item }) => SCREEN_DEFINITIONS[item].part !== 'turn'),
    { path: ['turnedOn'], error: 'the feet the turn was taken on' },
  );
export type NewScreen = z.infer<typeof NewScreen>;

/** A student as the server answers it, with the newest build and the last entry's time. */
export interface Student extends Person {
  id: string;
  version: number;
  madeAt: string;
  updatedAt: string;
  build: NewBuild | null;
  /** The newest word on consent; null where none was asked. */
  consent: NewConsent | null;
  /** That it hurts, as ticked on cards, the newest first; none in a copy that a device kept from before. */
  pain?: readonly PainTick[];
  lastEntryAt: string | null;
}
