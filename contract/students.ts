import { BUILD_FIGURES, BUILD_RANGES, SHOE_SIZE_SYSTEMS, type BuildFigureName } from '@pedastance/core';
import { z } from 'zod';
import { Id, Moment, text } from './common';
import {
  EARLIEST_BIRTH_YEAR,
  LATEST_BIRTH_YEAR,
  LONGEST_CAUTIONS,
  LONGEST_NAME,
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

/** A student as the server answers it, with the newest build and the last entry's time. */
export interface Student extends Person {
  id: string;
  version: number;
  madeAt: string;
  updatedAt: string;
  build: NewBuild | null;
  lastEntryAt: string | null;
}
