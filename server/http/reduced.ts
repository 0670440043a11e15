import { centreOf, type PressureFrame } from '@pedastance/core/balance';
import type { MatFrame } from '../devices/mat/types';

/** A frame of the mat as what is under each foot: its load, and the centre of it. */
export const reduced = ({ at, lead, trail }: MatFrame): PressureFrame => ({
  at,
  lead: centreOf(lead),
  trail: centreOf(trail),
});
