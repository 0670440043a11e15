import { max, min } from 'simple-statistics';
import type { FootName } from '../setup';
import {
  leadShareOf,
  partsOf,
  totalLoad,
  type PressureFrame,
  type PressureRecording,
  type UnderFoot,
} from './frames';
import { swingsIn, type SwingTimes } from './phases';

export const PRESSURE_REPAIRS = [
  'fill the gaps',
  'swap the feet',
  'turn the mat round',
  'halve the time',
  'double the time',
] as const;
/** What can be mended of a recording. */
export type PressureRepair = (typeof PRESSURE_REPAIRS)[number];

/** A time between two frames longer than so many usual ones is a gap. */
const GAP = 1.6;
const isGap = (before: PressureFrame, frame: PressureFrame, rate: number): boolean =>
  (frame.at - before.at) * rate > GAP * 1000;

const between = (a: UnderFoot, b: UnderFoot, share: number): UnderFoot => ({
  load: a.load + (b.load - a.load) * share,
  along: a.along + (b.along - a.along) * share,
  across: a.across + (b.across - a.across) * share,
});

/** The same recording at a steady rate, gaps filled on a straight line; not where it was silent for long. */
const filled = (recording: PressureRecording): PressureRecording => ({
  rate: recording.rate,
  frames: partsOf(recording).flatMap(filledPart),
});

function filledPart({ rate, frames }: PressureRecording): PressureFrame[] {
  const [first, last] = [frames[0]!.at, frames[frames.length - 1]!.at];
  let at = 0;
  const count = Math.floor(((last - first) * rate) / 1000) + 1;
  return Array.from({ length: count }, (_, number): PressureFrame => {
    const time = first + (1000 * number) / rate;
    while (at < frames.length - 2 && frames[at + 1]!.at <= time) at += 1;
    const [before, after] = [frames[at]!, frames[Math.min(frames.length - 1, at + 1)]!];
    const share = after.at === before.at ? 0 : Math.min(1, (time - before.at) / (after.at - before.at));
    return {
      at: time,
      lead: between(before.lead, after.lead, share),
      trail: between(before.trail, after.trail, share),
    };
  });
}

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
  'fill the gaps': filled,
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

/** What is odd about a recording: what can be mended, and whether cells were at their end. */
export interface PressureOddities {
  repairs: PressureRepair[];
  saturated: boolean;
  swings: number;
}

/**
 * What is odd about a recording, and what would mend it: gaps, feet that are swapped, a mat that lay the other way round, or
 * a rate that is half or twice what it says, by which alone it has a swing (starting values).
 * @param recording as it was read
 * @returns the repairs to offer
 */
export function odditiesOf(recording: PressureRecording): PressureOddities {
  const { rate, frames } = recording;
  const gaps = partsOf(recording).some(({ frames: part }) =>
    part.some((frame, at) => at > 0 && isGap(part[at - 1]!, frame, rate)),
  );
  const steady = gaps ? filled(recording) : recording;
  const swings = swingsIn(steady);
  const repairs: PressureRepair[] = gaps ? ['fill the gaps'] : [];
  if (!swings.some(isPlausible)) {
    const other = (['halve the time', 'double the time'] as const).find((repair) =>
      swingsIn(repaired(steady, repair)).some(isPlausible),
    );
    if (other) repairs.push(other);
  }
  const frameAt = (time: number): PressureFrame =>
    steady.frames.find(({ at }) => at >= time) ?? steady.frames[steady.frames.length - 1]!;
  const [first] = swings;
  if (first) {
    const [top, finish] = [frameAt(first.top), frameAt(first.finish)];
    const swapped = leadShareOf(finish) < SWAPPED.finish && leadShareOf(top) > SWAPPED.top;
    if (swapped) repairs.push('swap the feet');
    const behind = swapped ? finish.lead : finish.trail;
    if (behind.along < HEEL_AT_FINISH) repairs.push('turn the mat round');
  }
  const saturated = (['lead', 'trail'] as const).some((foot) => isSaturated(frames, foot));
  return { repairs, saturated, swings: swings.length };
}
