import { max, min } from 'simple-statistics';
import type { FootName } from '../setup';
import { leadShareOf, totalLoad, type PressureFrame, type PressureRecording, type UnderFoot } from './frames';
import { LOAD_BEFORE_CLUB, swingsFound, swingsIn, type SwingsFound, type SwingTimes } from './phases';
import { roundingOf } from './steady';

export const PRESSURE_REPAIRS = [
  'swap the feet',
  'turn the mat round',
  'halve the time',
  'double the time',
] as const;
/** What can be mended of a recording. */
export type PressureRepair = (typeof PRESSURE_REPAIRS)[number];

const turned = ({ load, along, across }: UnderFoot): UnderFoot => ({
  load,
  along: 100 - along,
  across: 100 - across,
});
const inTime = ({ rate, frames }: PressureRecording, by: number): PressureRecording => ({
  rate: rate / by,
  frames: frames.map((frame) => ({ ...frame, at: frame.at * by })),
});

const REPAIRS: Record<PressureRepair, (recording: PressureRecording) => PressureRecording> = {
  'swap the feet': ({ rate, frames }) => ({
    rate,
    frames: frames.map(({ at, lead, trail }) => ({ at, lead: trail, trail: lead })),
  }),
  'turn the mat round': ({ rate, frames }) => ({
    rate,
    frames: frames.map(({ at, lead, trail }) => ({ at, lead: turned(lead), trail: turned(trail) })),
  }),
  'halve the time': (recording) => inTime(recording, 1 / 2),
  'double the time': (recording) => inTime(recording, 2),
};

/** A recording mended. */
export const repaired = (recording: PressureRecording, repair: PressureRepair): PressureRecording =>
  REPAIRS[repair](recording);

/** A finish with so little of the load on the lead foot, after a top with so much of it, has its feet swapped, percent. */
const SWAPPED = { finish: 30, top: 60 };
/** The trail foot ends on its toe: nearer the heel than this, the mat lay the other way round, percent. */
const HEEL_AT_FINISH = 25;
/** As many frames with one and the same highest load are no chance, unless nothing changed meanwhile. */
const SATURATED = 12;
const CHANGED = 0.01;

/** Whether a foot's load stays at its highest while the other's changes: the mat can feel no more. */
function isSaturated(frames: readonly PressureFrame[], foot: FootName): boolean {
  const most = frames.reduce((highest, frame) => Math.max(highest, frame[foot].load), 0);
  const totals = frames.filter((frame) => most > 0 && frame[foot].load === most).map(totalLoad);
  return totals.length >= SATURATED && max(totals) - min(totals) > CHANGED * most;
}

/** From the top to the strike a swing takes about a quarter of a second, ms (common practice, no source). */
const DOWN = { least: 160, most: 400 };
const isPlausible = ({ top, impact }: SwingTimes): boolean =>
  impact - top >= DOWN.least && impact - top <= DOWN.most;

/** What is odd about a recording: what can be mended, whether cells were at their end, and what is doubtful of its times. */
export interface PressureOddities {
  repairs: PressureRepair[];
  saturated: boolean;
  swings: number;
  /** Swings that are not taken: frames are missing near their moments. */
  leftOut: number;
  /** ms that a moment may be off since the file rounds its times; 0 where it does not. */
  rounding: number;
}

/**
 * What is odd about a recording, and what would mend it: feet that are swapped, a mat that lay the other way round, or a rate
 * that is half or twice what it says, by which alone it has a swing (starting values).
 * @param recording as it was read
 * @param found its swings
 * @returns the repairs to offer, and what is told
 */
export function odditiesOf(
  recording: PressureRecording,
  { swings, leftOut }: SwingsFound = swingsFound(recording),
): PressureOddities {
  const { frames } = recording;
  const repairs: PressureRepair[] = [];
  if (!swings.some(isPlausible) && leftOut === 0) {
    const other = (['halve the time', 'double the time'] as const).find((repair) =>
      swingsIn(repaired(recording, repair)).some(isPlausible),
    );
    if (other) repairs.push(other);
  }
  const frameAt = (time: number): PressureFrame =>
    frames.find(({ at }) => at >= time) ?? frames[frames.length - 1]!;
  const [first] = swings;
  if (first) {
    const [top, finish] = [frameAt(first.top - LOAD_BEFORE_CLUB), frameAt(first.finish)];
    const swapped = leadShareOf(finish) < SWAPPED.finish && leadShareOf(top) > SWAPPED.top;
    if (swapped) repairs.push('swap the feet');
    const behind = swapped ? finish.lead : finish.trail;
    if (behind.along < HEEL_AT_FINISH) repairs.push('turn the mat round');
  }
  const saturated = (['lead', 'trail'] as const).some((foot) => isSaturated(frames, foot));
  return { repairs, saturated, swings: swings.length, leftOut, rounding: roundingOf(frames) };
}
