import { FIGURE_QUESTIONS } from '@pedastance/core/method';
import {
  CHOICES,
  CHOICE_QUESTIONS,
  POSTURE_FIGURES,
  SWING_PATHS,
  anythingSeen,
  type ChoiceQuestion,
  type PostureFigure,
} from '@pedastance/core/setup';
import { z } from 'zod';

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
