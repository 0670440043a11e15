/** Pressure under the feet: swings that are kept, and the stand-in mat. */
import { SWING_MARKS } from '@pedastance/core/balance/names';
import { CLUB_IDS, SHOTS } from '@pedastance/core/club';
import { PRESSURE_PATTERNS, PRESSURE_ROUTES } from '@pedastance/core/setup';
import { z } from 'zod';
import { entryCommon, Id, Moment, text } from './common';
import { MOST_PRESSURE_SWINGS } from './limits';
import { SetupShape } from './setup';
import { MOST_SHOTS } from './trials';

/** Where the pressure came from. */
export const PRESSURE_SOURCES = ['simulated mat', 'file'] as const;

/** Of a trace so many frames: five seconds at 200 a second. */
const MOST_FRAMES = 1000;
const LEAST_FRAMES = 50;

const series = (most: number) => z.array(z.int().min(0).max(most)).min(LEAST_FRAMES).max(MOST_FRAMES);
const SERIES = ['load', 'share', 'leadAlong', 'leadAcross', 'trailAlong', 'trailAcross'] as const;

export const SwingTraceShape = z
  .strictObject({
    rate: z.number().min(20).max(1000),
    /** Of the body's own weight, per mille. */
    load: series(5000),
    /** Tenths of a percent. */
    share: series(1000),
    leadAlong: series(1000),
    leadAcross: series(1000),
    trailAlong: series(1000),
    trailAcross: series(1000),
    /** ms from the trace's start, in order. */
    times: z.strictObject({
      address: z.int().min(0),
      top: z.int().min(0),
      'early down': z.int().min(0),
      impact: z.int().min(0),
      finish: z.int().min(0),
    }),
    /** Degrees, in-to-out positive; null where nobody noted it. */
    path: z.number().min(-30).max(30).nullable(),
    /** The shot of the log that it was: an entry of shots, and its place in it; null where none is known. */
    shot: z
      .strictObject({
        entryId: Id,
        at: z
          .int()
          .min(0)
          .max(MOST_SHOTS - 1),
      })
      .nullable(),
  })
  .refine(({ path, shot }) => shot === null || path !== null, {
    path: ['path'],
    error: 'the path of the shot that it was',
  })
  .refine((trace) => SERIES.every((name) => trace[name].length === trace.load.length), {
    path: ['share'],
    error: 'as many of each as there are frames',
  })
  .refine(
    ({ times }) => SWING_MARKS.every((mark, at) => at === 0 || times[SWING_MARKS[at - 1]!] < times[mark]),
    {
      path: ['times'],
      error: 'moments in the order of the swing',
    },
  )
  .refine(({ times, rate, load }) => times.finish <= (1000 * load.length) / rate, {
    path: ['times', 'finish'],
    error: 'a moment within the trace',
  });

/** Swings with the pressure under the feet, and what was taken of them. */
export const PressureEntry = z.strictObject({
  ...entryCommon,
  kind: z.literal('pressure'),
  club: z.enum(CLUB_IDS),
  shot: z.enum(SHOTS),
  /** The route that is taught. */
  route: z.enum(PRESSURE_ROUTES),
  source: z.enum(PRESSURE_SOURCES),
  /** Whether the trunk was noted to hang back; null where nobody looked. */
  hangsBack: z.boolean().nullable(),
  swings: z.array(SwingTraceShape).min(1).max(MOST_PRESSURE_SWINGS),
  /** The pattern that is worked at, and what is to be thought of; null and empty where none is. */
  pattern: z.enum(PRESSURE_PATTERNS).nullable(),
  cue: text(0, 160),
});
export type PressureEntry = z.infer<typeof PressureEntry>;

/** A student on the stand-in mat: how they stand, and the route they are to take. */
export const NewMatSession = z.strictObject({
  id: Id,
  madeAt: Moment,
  studentId: Id,
  setup: SetupShape,
  route: z.enum(PRESSURE_ROUTES),
});
export type NewMatSession = z.infer<typeof NewMatSession>;

/** Frames of the mat as they are sent: the first one's number, and of each the load and place under both feet. */
export interface MatFrames {
  from: number;
  rate: number;
  /** Of each frame: lead load, along, across; trail load, along, across. */
  frames: [number, number, number, number, number, number][];
  /** Shots that a monitor beside the mat measured by these frames: ms of the strike, and the path, degrees. */
  shots: { at: number; path: number }[];
}
