import { mean, median } from 'simple-statistics';
import { partsOf, type PressureFrame, type PressureRecording, type UnderFoot } from './frames';

/** A step from one frame to the next so many times the usual one is a gap; clocks that tell whole ms make steps uneven. */
const GAP = 1.6;
const ROUNDED_MS = 1.5;

const stepsOf = (frames: readonly PressureFrame[]): number[] =>
  frames.slice(1).map(({ at }, place) => at - frames[place]!.at);

/** The longest step that is still one from frame to frame, ms. */
const longestStep = (usual: number): number => Math.max(GAP * usual, usual + ROUNDED_MS);

/**
 * How many frames came a second: all frames over all the time in which they came one after another. A step by itself tells it
 * badly, where the clock tells whole milliseconds.
 * @param frames two or more
 * @returns frames a second
 */
export function rateOf(frames: readonly PressureFrame[]): number {
  const steps = stepsOf(frames);
  const most = longestStep(median(steps));
  return 1000 / mean(steps.filter((step) => step <= most));
}

/** A time in which no frame came, ms from the start of the recording. */
export interface Gap {
  from: number;
  to: number;
}

/**
 * The times in which frames are missing.
 * @param recording of any length
 * @returns gaps of a frame or more, in order
 */
export function gapsOf({ rate, frames }: PressureRecording): Gap[] {
  const most = longestStep(1000 / rate);
  return frames.slice(1).flatMap(({ at }, place) => {
    const before = frames[place]!.at;
    return at - before > most ? [{ from: before, to: at }] : [];
  });
}

/**
 * What times in whole numbers could do to a moment: half of the largest of 1, 2, 5, 10, … ms of which all times are multiples.
 * @param frames of a recording
 * @returns ms, 0 where times are finer than whole ms
 */
export function roundingOf(frames: readonly PressureFrame[]): number {
  const all = (step: number): boolean =>
    frames.every(({ at }) => Math.abs(at / step - Math.round(at / step)) < 1e-6);
  const steps = [20, 10, 5, 2, 1].filter((step) => all(step));
  const [largest = 0] = steps;
  // Where frames come in whole ms, nothing was rounded.
  const usual = frames.length > 1 ? 1000 / rateOf(frames) : 0;
  const isExact = largest > 0 && Math.abs(usual / largest - Math.round(usual / largest)) < 1e-3;
  return isExact ? 0 : largest / 2;
}

const between = (a: UnderFoot, b: UnderFoot, share: number): UnderFoot => ({
  load: a.load + (b.load - a.load) * share,
  along: a.along + (b.along - a.along) * share,
  across: a.across + (b.across - a.across) * share,
});

function steadyPart({ rate, frames }: PressureRecording): PressureFrame[] {
  const [first, last] = [frames[0]!.at, frames[frames.length - 1]!.at];
  const count = Math.floor(((last - first) * rate) / 1000 + 1e-6) + 1;
  let at = 0;
  return Array.from({ length: count }, (_, number): PressureFrame => {
    const time = first + (1000 * number) / rate;
    while (at < frames.length - 2 && frames[at + 1]!.at <= time) at += 1;
    const [before, after] = [frames[at]!, frames[Math.min(frames.length - 1, at + 1)]!];
    const step = after.at - before.at;
    const share = step === 0 ? 0 : Math.min(1, Math.max(0, (time - before.at) / step));
    return {
      at: time,
      lead: between(before.lead, after.lead, share),
      trail: between(before.trail, after.trail, share),
    };
  });
}

/**
 * The same recording with frames as far apart as each other, by their own times, on straight lines between them; not where it
 * was silent for long.
 * @param recording of any length
 * @returns a recording at the same rate
 */
export const steady = (recording: PressureRecording): PressureRecording => ({
  rate: recording.rate,
  frames: partsOf(recording).flatMap((part) => steadyPart(part)),
});
