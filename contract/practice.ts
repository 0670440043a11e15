import { FEET_FIGURES, type FeetFigure } from '@pedastance/core/setup';
import { z } from 'zod';

const point = z.strictObject({ x: z.number(), y: z.number() });
const shoe = z.strictObject({ toe: point, heel: point });

/** A rendered picture of feet with the truth beside it: figures in mm and degrees, places in pixels. */
export const PracticePicture = z.strictObject({
  /** Its file, without its ending. */
  name: z.string().regex(/^feet-\d\d$/),
  hand: z.enum(['left', 'right']),
  width: z.int().positive(),
  height: z.int().positive(),
  focal: z.number().positive(),
  shoe: z.strictObject({ length: z.number(), breadth: z.number() }),
  figures: z.strictObject(
    Object.fromEntries(FEET_FIGURES.map((name) => [name, z.number()])) as Record<FeetFigure, z.ZodNumber>,
  ),
  taps: z.strictObject({ lead: shoe, trail: shoe, ball: point, stick: z.tuple([point, point]) }),
  /** The corners of the A4 sheet that lies there, going round from its top left. */
  corners: z.array(point).length(4),
  /** Where the soles' outlines are seen. */
  soles: z.strictObject({ lead: z.array(point), trail: z.array(point) }),
});
export type PracticePicture = z.infer<typeof PracticePicture>;

export const PracticeSet = z.array(PracticePicture).min(1);
