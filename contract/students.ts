import {
  ANGLE_WAYS,
  BUILD_FIGURES,
  BUILD_RANGES,
  MOST_TRIES,
  SCREEN_DEFINITIONS,
  SCREEN_ITEMS,
  SHOE_SIZE_SYSTEMS,
  type BuildFigureName,
  type ScreenItem,
} from '@pedastance/core/body';
import { z } from 'zod';
import { Id, Moment, text } from './common';
import {
  EARLIEST_BIRTH_YEAR,
  LATEST_BIRTH_YEAR,
  LONGEST_CAUTIONS,
  LONGEST_NAME,
  LONGEST_PAIN,
  MOST_SHOULDERS_OF_HEIGHT,
} from './limits';

export const Person = z.strictObject({
  name: text(1, LONGEST_NAME),
  hand: z.enum(['right', 'left']),
  birthYear: z.int().min(EARLIEST_BIRTH_YEAR).max(LATEST_BIRTH_YEAR),
  cautions: text(0, LONGEST_CAUTIONS),
});
export type Person = z.infer<typeof Person>;

export const NewStudent = Person.extend({ id: Id, madeAt: Moment });
export type NewStudent = z.infer<typeof NewStudent>;

/** An edit is a write of its own, made from one version of the student. */
export const StudentEdit = Person.extend({
  id: Id,
  madeAt: Moment,
  studentId: Id,
  version: z.int().min(1),
});
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
    })
    .refine(({ tries, pain }) => tries.length > 0 || pain !== '', {
      path: ['tries'],
      error: 'at least one try, or when it hurt',
    });
};

const [firstItem, ...otherItems] = SCREEN_ITEMS;
const leg = z.enum(['lead', 'trail']).nullable();
const stoodFlare = z.number().min(-45).max(90);

/** Legs and trunk on one day, taken with a build; only ever added to. */
export const NewScreen = z
  .strictObject({
    id: Id,
    studentId: Id,
    buildId: Id,
    madeAt: Moment,
    items: z
      .array(z.discriminatedUnion('item', [screened(firstItem), ...otherItems.map(screened)]))
      .min(1)
      .refine((items) => new Set(items.map(({ item }) => item)).size === items.length, {
        error: 'each item once',
      }),
    turnedOn: z.strictObject({ leadFlare: stoodFlare, trailFlare: stoodFlare }).nullable(),
    stoppedBack: leg,
    stoppedThrough: leg,
    soreKnee: z.strictObject({ lead: z.boolean(), trail: z.boolean() }),
  })
  .refine(
    ({ items, turnedOn }) =>
      turnedOn !== null || items.every(({ item }) => SCREEN_DEFINITIONS[item].part !== 'turn'),
    { path: ['turnedOn'], error: 'the flares the turn was taken on' },
  );
export type NewScreen = z.infer<typeof NewScreen>;

/** A student as the server answers it, with the newest build and the last entry's time. */
export interface Student extends Person {
  id: string;
  version: number;
  madeAt: string;
  updatedAt: string;
  build: NewBuild | null;
  lastEntryAt: string | null;
}
