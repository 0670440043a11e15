import { z } from 'zod';
import { isWellFormed } from './wellFormed';

/** Made by the client, so that a record exists before any server has seen it. */
export const Id = z.uuidv7();

/** The largest value of an integer column (PostgreSQL's integer). */
const LARGEST_INTEGER = 2 ** 31 - 1;
/** A whole number from `least`, as large as a column takes. */
export const whole = (least: number) => z.int().min(least).max(LARGEST_INTEGER);

/** A version of the model that worked something out. */
export const ModelVersion = z.string().regex(/^\d{1,4}\.\d{1,4}\.\d{1,4}$/);

/** A real figure whose size makes sense anywhere here; overflow would make it infinite. */
export const figure = z.number().min(-1e9).max(1e9);

const EARLIEST = Date.UTC(2000, 0, 1);
const LATEST = Date.UTC(2100, 0, 1);

/** A moment by the client's clock, given with its offset or in UTC, taken in UTC to the millisecond. */
export const Moment = z.iso
  .datetime({ offset: true, abort: true })
  .refine((given) => Date.parse(given) >= EARLIEST && Date.parse(given) < LATEST, {
    error: 'a date from 2000 to 2099',
  })
  .transform((given) => new Date(given).toISOString());

export const text = (least: number, most: number) =>
  z
    .string()
    .refine(isWellFormed, { error: 'text without NUL or half characters', abort: true })
    .trim()
    .min(least)
    .max(most);

/** What every entry of the log carries; a correction names the entry it replaces. */
export const entryCommon = { id: Id, lessonId: Id, madeAt: Moment, replaces: Id.nullable() };
