import { predict, type LinearFit, type Prediction } from '../statistics/linearFit';
import { BREADTH_FITS } from './breadthFits';
import type { BuildFigure } from './build';
import { SHOE_LONGER_THAN_FOOT_MM } from './shoeSize';

/** What an estimate from height may also use. */
export type EstimateAs = 'woman' | 'man' | 'not said';

/** Outer shoulder breadth is the bony breadth and both deltoids (from memory: military surveys). */
const DELTOIDS_MM = 90;
const DELTOIDS_SD_MM = 10;

/** Shares of height (Drillis & Contini 1966, in Winter, Biomechanics; from memory). */
const FOOT_LENGTH_SHARE = 0.152;
const FOOT_BREADTH_SHARE = 0.055;
const SHOULDER_SHARE = 0.259;
const HIP_SHARE = 0.191;
/** One standard deviation of a share of height, as a part of the estimate (starting value). */
const SHARE_SD = 0.05;
/** A sole is wider than the foot by about this (starting value). */
const SOLE_WIDER_THAN_FOOT_MM = 7;

const estimated = (value: number, uncertainty: number): BuildFigure => ({
  value: Math.round(value),
  source: 'estimated',
  uncertainty: Math.round(uncertainty * 10) / 10,
});

/**
 * Bony breadth in mm from height in mm, with the standard deviation for one new adult.
 * @param breadth shoulders or hips
 * @param height mm
 * @param estimateAs whose breadths
 * @returns mm
 */
export function breadthFromHeight(
  breadth: keyof typeof BREADTH_FITS,
  height: number,
  estimateAs: EstimateAs,
): Prediction {
  const heightCm = height / 10;
  const fits: { height: LinearFit; heightAndSex: LinearFit } = BREADTH_FITS[breadth];
  const inCm =
    estimateAs === 'not said'
      ? predict(fits.height, [1, heightCm])
      : predict(fits.heightAndSex, [1, heightCm, estimateAs === 'man' ? 1 : 0]);
  return { value: inCm.value * 10, sd: inCm.sd * 10 };
}

export interface EstimateBasis {
  /** Standing height, mm. */
  height: number;
  estimateAs: EstimateAs;
  /** Under 18: the adults' data do not apply, and shares of height are all there is. */
  junior: boolean;
}

export interface EstimatedBuild {
  shoulderBreadth: BuildFigure;
  hipBreadth: BuildFigure;
  shoeLength: BuildFigure;
  shoeBreadth: BuildFigure;
}

/**
 * The other build figures from height, each marked estimated with one standard deviation, mm.
 * @param basis the height in mm, whose breadths, and whether a junior
 * @returns mm
 */
export function estimateBuild({ height, estimateAs, junior }: EstimateBasis): EstimatedBuild {
  const share = (part: number, allowance = 0): BuildFigure =>
    estimated(height * part + allowance, height * part * SHARE_SD);
  const feet = {
    shoeLength: share(FOOT_LENGTH_SHARE, SHOE_LONGER_THAN_FOOT_MM),
    shoeBreadth: share(FOOT_BREADTH_SHARE, SOLE_WIDER_THAN_FOOT_MM),
  };
  if (junior) {
    return { shoulderBreadth: share(SHOULDER_SHARE), hipBreadth: share(HIP_SHARE), ...feet };
  }
  const shoulders = breadthFromHeight('biacromial', height, estimateAs);
  const hips = breadthFromHeight('bitrochanteric', height, estimateAs);
  return {
    shoulderBreadth: estimated(shoulders.value + DELTOIDS_MM, Math.hypot(shoulders.sd, DELTOIDS_SD_MM)),
    hipBreadth: estimated(hips.value, hips.sd),
    ...feet,
  };
}
