import {
  CHOICES,
  CHOICE_QUESTIONS,
  POSTURE_FIGURES,
  SWING_PATHS,
  TELL_TALE_NAMES,
  type TellTale,
  anythingSeen,
  type ChoiceQuestion,
  type PostureFigure,
  FIGURES,
  type LoadFigure,
  MEASUREMENT_WAYS,
  LOAD_FIGURES,
  PLACED_FIGURES,
  upgradedSetup,
  type Setup,
} from '@pedastance/core/setup';
import { z } from 'zod';
import { isRecord } from './isRecord';

/** Where a foot may stand, mm from the ball; far beyond any stance, near enough to catch a slip. */
const FURTHEST_MM = 3000;
const coordinate = z.number().min(-FURTHEST_MM).max(FURTHEST_MM);

const PlacedFoot = z.strictObject({
  heel: z.strictObject({ x: coordinate, y: coordinate }),
  flare: z.number().min(FIGURES.leadFlare.range.least).max(FIGURES.leadFlare.range.most),
});

const load = (name: LoadFigure) => z.number().min(FIGURES[name].range.least).max(FIGURES[name].range.most);

/** One standard deviation of anything that is measured is less than this, mm, degrees or percent. */
const MOST_UNCERTAINTY = 500;

const measurement = {
  way: z.enum(MEASUREMENT_WAYS),
  uncertainty: z.number().positive().max(MOST_UNCERTAINTY),
};

const sighting = (figure: PostureFigure) => {
  const { least, most } = FIGURES[figure].range;
  return z.strictObject({ value: z.number().min(least).max(most), ...measurement }).optional();
};

const choice = (question: ChoiceQuestion) => z.enum(CHOICES[question] as [string, ...string[]]).optional();

const ofEach = <Name extends string, Shape>(names: readonly Name[], shape: (name: Name) => Shape) =>
  Object.fromEntries(names.map((name) => [name, shape(name)])) as Record<Name, Shape>;

/** What was looked at above the feet; absent means not observed. */
const PostureShape = z
  .strictObject({
    figures: z.strictObject(ofEach(POSTURE_FIGURES, sighting)),
    choices: z.strictObject(ofEach(CHOICE_QUESTIONS, choice)),
    swingPath: z.enum(SWING_PATHS).optional(),
    tellTales: z
      .array(z.enum(TELL_TALE_NAMES as [TellTale, ...TellTale[]]))
      .min(1)
      .max(TELL_TALE_NAMES.length)
      .refine((seen) => new Set(seen).size === seen.length, { error: 'each once' })
      .optional(),
  })
  .refine(anythingSeen, { error: 'at least one thing looked at, or no posture at all' });

const SetupToday = z.strictObject({
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
  balance: z.strictObject(ofEach<LoadFigure, z.ZodNumber>(LOAD_FIGURES, load)),
  /** Absent means that the figure only stands as it is drawn. */
  measured: z.strictObject(ofEach(PLACED_FIGURES, () => z.strictObject(measurement).optional())),
  posture: PostureShape.optional(),
});

/**
 * A setup as it crosses the wire. One from before figures said how they were measured is read as it
 * was meant, so that what an older app holds can still land.
 */
export const SetupShape = z.preprocess(
  (given) => (isRecord(given) ? upgradedSetup(given as unknown as Setup) : given),
  SetupToday,
);
