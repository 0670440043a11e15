import { leadShareOf, totalLoad, weightOn, type PressureFrame, type PressureRecording } from './frames';
import { SWING_MARKS } from './names';
import type { SwingTimes } from './phases';
import { steady } from './steady';

/** A swing as it is kept: whole numbers a frame, so that a swing stays small. */
export interface SwingTrace {
  /** frames a second */
  rate: number;
  /** Of the body's own weight, per mille. */
  load: number[];
  /** The lead foot's share, tenths of a percent. */
  share: number[];
  /** Tenths of a percent along and across each sole. */
  leadAlong: number[];
  leadAcross: number[];
  trailAlong: number[];
  trailAcross: number[];
  /** ms from the trace's start */
  times: SwingTimes;
  /** The club's path of this swing, degrees, in-to-out positive; null where nobody noted it. */
  path: number | null;
  /** The shot of the log that this swing was: an entry, and its place in it from 0; null where none is known. */
  shot: { entryId: string; at: number } | null;
}

/** Of a swing so long before the first move and after the finish is kept, ms. */
const KEPT_BEFORE = 500;
const KEPT_AFTER = 200;

/** A swing that is kept needs no more frames a second: its moments were found in all of them. */
const KEPT_RATE = 100;

const tenths = (value: number): number => Math.round(10 * value);

/**
 * One swing cut out of a recording.
 * @param recording that it is in
 * @param times of its moments, ms from the recording's start
 * @returns the trace, its moments from its own start
 */
export const traceOf = (recording: PressureRecording, times: SwingTimes): SwingTrace =>
  traceOfBody(recording, times, weightIn(recording));

/**
 * Several swings of one recording, cut out of it.
 * @param recording that they are in
 * @param swings the times of each, ms from the recording's start
 * @returns a trace each
 */
export function tracesOf(recording: PressureRecording, swings: readonly SwingTimes[]): SwingTrace[] {
  const weight = weightIn(recording);
  return swings.map((times) => traceOfBody(recording, times, weight));
}

const weightIn = ({ frames }: PressureRecording): number => weightOn(frames.map(totalLoad)) || 1;

function traceOfBody(recording: PressureRecording, times: SwingTimes, weight: number): SwingTrace {
  const every = Math.ceil(Math.round(recording.rate) / KEPT_RATE);
  const cut = recording.frames.filter(
    ({ at }) => at >= times.address - KEPT_BEFORE && at <= times.finish + KEPT_AFTER,
  );
  // As it is kept, frames are as far apart as each other.
  const frames = steady({ ...recording, frames: cut }).frames.filter((_, place) => place % every === 0);
  const start = frames[0]?.at ?? times.address;
  const moved = Object.fromEntries(SWING_MARKS.map((mark) => [mark, Math.round(times[mark] - start)]));
  return {
    rate: recording.rate / every,
    load: frames.map((frame) => Math.round((1000 * totalLoad(frame)) / weight)),
    share: frames.map((frame) => tenths(leadShareOf(frame))),
    leadAlong: frames.map(({ lead }) => tenths(lead.along)),
    leadAcross: frames.map(({ lead }) => tenths(lead.across)),
    trailAlong: frames.map(({ trail }) => tenths(trail.along)),
    trailAcross: frames.map(({ trail }) => tenths(trail.across)),
    times: moved as SwingTimes,
    path: null,
    shot: null,
  };
}

/**
 * The recording that a kept swing is.
 * @param trace as it was kept
 * @returns frames; loads in thousandths of the body's weight
 */
export function recordingOfTrace(trace: SwingTrace): PressureRecording {
  const frames = trace.share.map((share, at): PressureFrame => {
    const load = trace.load[at]!;
    return {
      at: (1000 * at) / trace.rate,
      lead: {
        load: (load * share) / 1000,
        along: trace.leadAlong[at]! / 10,
        across: trace.leadAcross[at]! / 10,
      },
      trail: {
        load: (load * (1000 - share)) / 1000,
        along: trace.trailAlong[at]! / 10,
        across: trace.trailAcross[at]! / 10,
      },
    };
  });
  return { rate: trace.rate, frames };
}
