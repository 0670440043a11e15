import { FIGURES, FEET_FIGURES, POSTURE_FIGURES, type PostureFigure } from './figures';
import type { Measurements, Setup } from './setup';

/**
 * What every figure of feet and load was before each said how it was measured: placed with sticks
 * and a tape, the load noted by the coach (starting values of then).
 */
export const MEASURED_BEFORE: Measurements = {
  ...Object.fromEntries(
    FEET_FIGURES.map((name) => [name, { way: 'tape', uncertainty: FIGURES[name].uncertainty.tape }]),
  ),
  leadShare: { way: 'drag', uncertainty: 2 },
  leadHeelToe: { way: 'drag', uncertainty: 5 },
  trailHeelToe: { way: 'drag', uncertainty: 5 },
};

/** How a figure above the feet was noted before: by eye, or measured. */
interface EarlierSighting {
  value: number;
  by: 'eye' | 'measured';
}

const isRecord = (given: unknown): boolean => typeof given === 'object' && given !== null;

const sightingOf = (name: PostureFigure, seen: unknown): unknown => {
  if (!isRecord(seen)) return seen;
  const { by, ...sighting } = seen as EarlierSighting;
  if (by !== 'eye' && by !== 'measured') return seen;
  const way = by === 'eye' ? 'by eye' : 'tape';
  return { ...sighting, way, uncertainty: FIGURES[name].uncertainty[way] };
};

function postureOf(posture: NonNullable<Setup['posture']>): NonNullable<Setup['posture']> {
  const figures = { ...posture.figures };
  for (const name of POSTURE_FIGURES) {
    if (figures[name]) figures[name] = sightingOf(name, figures[name]) as (typeof figures)[typeof name];
  }
  return { ...posture, figures };
}

/**
 * A setup of any earlier shape in today's, as it was meant: what said nothing of how it was measured
 * had been placed with sticks and a tape.
 * @param setup a setup of today's or any earlier shape
 * @returns the setup in today's shape
 */
export function upgradedSetup(setup: Setup): Setup {
  const { measured = MEASURED_BEFORE, posture } = setup as Partial<Setup> & Setup;
  return { ...setup, measured, ...(isRecord(posture?.figures) && { posture: postureOf(posture!) }) };
}
