import { mean, sampleStandardDeviation } from 'simple-statistics';
import type { Angle } from '../units';
import { leadShareOf, OFF_GROUND, totalLoad, type PressureFrame, type PressureRecording } from './frames';

/** How long somebody has to stand still to be measured, ms. */
const SETTLED_MS = 2000;
/** A mat tells a share and a place no better than this (starting value), percent. */
const MAT_UNCERTAINTY = 2;
/** Standing still, the total load does not change by more than this share (starting value). */
const STILL_LOAD = 0.08;

/** How somebody stands, percent, each with one standard deviation of how it scattered. */
export interface StoodStill {
  leadShare: Angle;
  leadHeelToe: Angle;
  trailHeelToe: Angle;
  /** ms from the start of the recording */
  from: number;
  to: number;
}

/** Sums that let the variance of any window be read off at once. */
function windows(values: readonly number[], size: number): number[] {
  let [sum, squares] = [0, 0];
  return values.map((value, at) => {
    sum += value;
    squares += value * value;
    if (at >= size) {
      const gone = values[at - size]!;
      sum -= gone;
      squares -= gone * gone;
    }
    return at < size - 1 ? Infinity : Math.max(0, squares / size - (sum / size) ** 2);
  });
}

const isStanding = (frame: PressureFrame): boolean => {
  const share = leadShareOf(frame);
  return totalLoad(frame) > 0 && share > OFF_GROUND && share < 100 - OFF_GROUND;
};

const figureOf = (values: readonly number[]): Angle => ({
  value: mean([...values]),
  uncertainty: Math.max(MAT_UNCERTAINTY, sampleStandardDeviation([...values])),
});

/**
 * How far share and places wander over the last two seconds: the greatest of their standard deviations.
 * @param recording of somebody who settles
 * @returns percent; null before there are two seconds, and where they are not on both feet
 */
export function swayOf({ rate, frames }: PressureRecording): number | null {
  const last = frames.slice(-Math.round((SETTLED_MS / 1000) * rate));
  if (last.length < 2 || last.length < (SETTLED_MS / 1000) * rate || !last.every(isStanding)) return null;
  const series = [
    leadShareOf,
    ({ lead }: PressureFrame) => lead.along,
    ({ trail }: PressureFrame) => trail.along,
  ];
  return Math.max(...series.map((of) => sampleStandardDeviation(last.map(of))));
}

/** Somebody who sways by no more than this stands still: a mat tells no better (starting value), percent. */
export const STILL_SWAY = MAT_UNCERTAINTY;

/**
 * The steadiest two seconds of standing on both feet: where share and centres wander least.
 * @param recording of somebody who settles
 * @returns null where there are not two seconds of standing still on both feet
 */
export function steadiest({ rate, frames }: PressureRecording): StoodStill | null {
  const size = Math.round((SETTLED_MS / 1000) * rate);
  if (frames.length < size || size < 2) return null;
  const series = [
    frames.map(leadShareOf),
    frames.map(({ lead }) => lead.along),
    frames.map(({ trail }) => trail.along),
  ];
  const loads = frames.map(totalLoad);
  const wander = series.map((values) => windows(values, size));
  const loadWander = windows(loads, size);
  let [best, least, stood] = [-1, Infinity, 0];
  for (const [at, frame] of frames.entries()) {
    stood = isStanding(frame) ? stood + 1 : 0;
    const still = Math.sqrt(loadWander[at]!) <= STILL_LOAD * loads[at]!;
    if (stood < size || !still) continue;
    const sum = wander.reduce((total, values) => total + values[at]!, 0);
    if (sum < least) [best, least] = [at, sum];
  }
  if (best < 0) return null;
  const window = frames.slice(best - size + 1, best + 1);
  const [leadShare, leadHeelToe, trailHeelToe] = [
    figureOf(window.map(leadShareOf)),
    figureOf(window.map(({ lead }) => lead.along)),
    figureOf(window.map(({ trail }) => trail.along)),
  ];
  return { leadShare, leadHeelToe, trailHeelToe, from: window[0]!.at, to: frames[best]!.at };
}
