import { median } from 'simple-statistics';
import type { SwingMark } from './names';
import {
  alongOf,
  leadShareOf,
  OFF_GROUND,
  partsOf,
  totalLoad,
  weightOn,
  type PressureRecording,
} from './frames';
import { gapsOf, steady, type Gap } from './steady';

/** When each came, ms from the start of the recording. */
export type SwingTimes = Record<SwingMark, number>;

/** Loads are smoothed over so long, ms. */
const SMOOTHED_MS = 50;
/**
 * Coming down somebody presses into the ground by so much more than they weigh; softly, where the load goes over to the lead
 * foot as well, in times their weight (starting values).
 */
const PRESSED = { hard: 1.1, softly: 1.012 };
/** In a soft swing the load goes over to the lead foot by so much, and stays by so much of it, percent (starting values). */
const GOES_OVER = { by: 15, stays: 8 };
/** Before a swing the whole body stands on the mat, within so much of its weight, for so long. */
const STOOD = { within: 0.1, ms: 300 };
/** A swing's press comes no sooner than this after the last one, ms. */
const APART_MS = 3500;
/** From the top to the strike, ms (common practice: about a quarter of a second). */
const DOWN = { least: 150, most: 480 };
/** The load is furthest back, and the body lightest, so long before the club is at the top (starting values), ms. */
export const LOAD_BEFORE_CLUB = 120;
const LIGHT_BEFORE_CLUB = 40;
/** The body is lightest somewhere only where it is lighter by so much of its weight. */
const LIGHTER = 0.02;
/** How much of the load has to go back for its furthest place to tell the top, percent. */
const TOLD_BY_SHARE = 8;
/** So near to a gap in the frames top and strike are not told, ms; a shorter gap than this is bridged by a straight line. */
const NEAR_GAP_MS = 80;
const BRIDGED_MS = 45;
/** The swing away from the ball takes no longer than this, ms. */
const LONGEST_BACK = 2200;
const EARLY = 0.4;
/** The share has left where it was settled when it is off by so much, percent. */
const LEFT = 3;

const smoothed = (values: readonly number[], size: number): number[] => {
  const half = Math.max(0, Math.floor(size / 2));
  let sum = 0;
  const sums = values.map((value) => (sum += value));
  return values.map((_, at) => {
    const [from, to] = [Math.max(0, at - half), Math.min(values.length - 1, at + half)];
    return (sums[to]! - (from > 0 ? sums[from - 1]! : 0)) / (to - from + 1);
  });
};

/**
 * A strike is told so well, ms, 95%: the weight is met some 20 ms before the ball by some and after it by others (starting
 * value, one standard deviation 15).
 */
export const STRIKE_WITHIN_MS = 30;

/** Where values are least within two places; -1 where there is nothing between them. */
function leastIn(values: readonly number[], from: number, to: number): number {
  let best = -1;
  for (let at = Math.max(0, from); at <= Math.min(values.length - 1, to); at += 1)
    if (best < 0 || values[at]! < values[best]!) best = at;
  return best;
}

/** The middle of the hollow about a least place: of what lies no higher than a share of the way up to a level. */
function hollowAt(values: readonly number[], least: number, level: number, share: number): number {
  const rim = values[least]! + share * (level - values[least]!);
  let [from, to] = [least, least];
  while (from > 0 && values[from - 1]! <= rim) from -= 1;
  while (to < values.length - 1 && values[to + 1]! <= rim) to += 1;
  return (from + to) / 2;
}

/** Places at which somebody presses harder than before and after, in times their weight. */
const pressesIn = (loads: readonly number[]): number[] =>
  loads.flatMap((load, at) =>
    load >= PRESSED.softly && load > (loads[at - 1] ?? load) && load >= (loads[at + 1] ?? Infinity)
      ? [at]
      : [],
  );

/** Where the load falls back through the body's own weight after a press, in frames; null where it does not. */
function fallsThrough(loads: readonly number[], press: number, within: number): number | null {
  for (let at = press + 1; at <= Math.min(loads.length - 1, press + within); at += 1) {
    const [before, now] = [loads[at - 1]!, loads[at]!];
    if (now <= 1 && before > 1) return at - 1 + (before - 1) / (before - now);
  }
  return null;
}

/** A stretch of a recording with what is looked at in it, frame by frame. */
interface Looked {
  /** In times the body's weight. */
  loads: number[];
  share: number[];
  along: number[];
  inFrames: (ms: number) => number;
}

/** A swing by its places in a stretch, and how hard it pressed, in times the body's weight. */
interface Placed {
  away: number;
  top: number;
  struck: number;
  finish: number;
  pressed: number;
}

/** Swings of a recording, and how many were left out since frames are missing near their moments. */
export interface SwingsFound {
  swings: SwingTimes[];
  leftOut: number;
}

/**
 * The swings of a recording with their moments. The strike is where the load falls back through the body's own weight after
 * it pressed into the ground coming down; the top lies shortly after it is lightest before that, and after the load was
 * furthest back (starting values; the load moves before the club does). A swing is told by its whole course: somebody stands
 * on both feet before it, and none leaves the ground until they come down; where they press softly, the load goes over to the
 * lead foot and stays there.
 * @param recording of one swing or several, with standing before each
 * @returns the moments of each, by the frames' own times; none where nobody swung
 */
export function swingsFound(recording: PressureRecording): SwingsFound {
  const gaps = gapsOf(recording).filter(({ from, to }) => to - from > BRIDGED_MS);
  const all = partsOf(recording).flatMap((part) => swingsInPart(steady(part)));
  const swings = all.filter((swing) => !gaps.some((gap) => hides(gap, swing)));
  return { swings, leftOut: all.length - swings.length };
}

/** The same where nobody asks what was left out. */
export const swingsIn = (recording: PressureRecording): SwingTimes[] => swingsFound(recording).swings;

/**
 * A swing whose strike somebody else told, such as a monitor.
 * @param times as the mat tells them
 * @param impact ms from the same start
 * @returns the times with that strike
 */
export const struckAt = (times: SwingTimes, impact: number): SwingTimes => ({
  ...times,
  impact,
  'early down': earlyDown(times.top, impact),
});

/** Early down lies so far from the top to the strike. */
const earlyDown = (top: number, impact: number): number => top + EARLY * (impact - top);

/** Whether frames are missing from about the top to the strike, or where another moment is. */
function hides({ from, to }: Gap, times: SwingTimes): boolean {
  const meets = (start: number, end: number): boolean => from < end && to > start;
  return (
    meets(times.top - LOAD_BEFORE_CLUB - NEAR_GAP_MS, times.impact + NEAR_GAP_MS) ||
    meets(times.address - STOOD.ms, times.address) ||
    meets(times.finish, times.finish)
  );
}

function swingsInPart({ rate, frames }: PressureRecording): SwingTimes[] {
  if (frames.length < rate) return [];
  const perMs = rate / 1000;
  const inFrames = (ms: number): number => Math.round(ms * perMs);
  const raw = frames.map(totalLoad);
  const weight = weightOn(raw);
  if (weight <= 0) return [];
  const looked: Looked = {
    loads: smoothed(raw, inFrames(SMOOTHED_MS)).map((load) => load / weight),
    share: smoothed(frames.map(leadShareOf), inFrames(SMOOTHED_MS)),
    along: smoothed(frames.map(alongOf), inFrames(SMOOTHED_MS)),
    inFrames,
  };
  const atOf = (frame: number): number => frames[0]!.at + frame / perMs;
  return hardestApart(
    pressesIn(looked.loads).flatMap((press) => swingAt(looked, press) ?? []),
    inFrames(APART_MS),
  ).map(({ away, top, struck, finish }) => {
    const [topAt, impact] = [atOf(top), atOf(struck)];
    return {
      address: atOf(Math.max(0, away - inFrames(100))),
      top: topAt,
      'early down': earlyDown(topAt, impact),
      impact,
      finish: atOf(finish),
    };
  });
}

/** Of what could be one swing, the hardest press. */
function hardestApart(swings: readonly Placed[], apart: number): Placed[] {
  const kept: Placed[] = [];
  for (const swing of swings) {
    const last = kept[kept.length - 1];
    if (!last || swing.struck - last.struck > apart) kept.push(swing);
    else if (swing.pressed > last.pressed) kept[kept.length - 1] = swing;
  }
  return kept;
}

/** The swing that a press belongs to; null where its course is none of a swing. */
function swingAt(looked: Looked, press: number): Placed | null {
  const { loads, share, inFrames } = looked;
  const struck = fallsThrough(loads, press, inFrames(DOWN.most));
  if (struck === null) return null;
  const hit = Math.round(struck);
  const [earliest, latest] = [hit - inFrames(DOWN.most), hit - inFrames(DOWN.least)];
  const lightest = leastIn(loads, earliest, Math.min(latest, press));
  const furthestBack = leastIn(share, earliest - inFrames(LOAD_BEFORE_CLUB), latest);
  if (lightest < 0 || furthestBack < 0) return null;
  const first = Math.max(0, hit - inFrames(LONGEST_BACK + DOWN.most));
  const settled = median(share.slice(first, first + inFrames(600) + 1));
  const top = topOf(looked, { lightest, furthestBack, settled });
  const away = leftAt([share, looked.along], top, inFrames);
  if (away === null || !stoodBefore(looked, away, press)) return null;
  const finish = finishAt(share, hit, inFrames);
  const pressed = loads[press]!;
  const over = share[finish]! - share[furthestBack]!;
  const goesOver = over >= GOES_OVER.by && share[finish]! - settled >= GOES_OVER.stays;
  return pressed >= PRESSED.hard || goesOver ? { away, top, struck, finish, pressed } : null;
}

/** Where the club turns, in frames. */
function topOf(
  { loads, share, inFrames }: Looked,
  { lightest, furthestBack, settled }: Record<'lightest' | 'furthestBack' | 'settled', number>,
): number {
  const light = hollowAt(loads, lightest, 1, 0.1) + inFrames(LIGHT_BEFORE_CLUB);
  const back = hollowAt(share, furthestBack, settled, 0.04) + inFrames(LOAD_BEFORE_CLUB);
  const isLight = 1 - loads[lightest]! >= LIGHTER;
  const isBack = settled - share[furthestBack]! > TOLD_BY_SHARE;
  if (isLight && isBack) return (2 * light + back) / 3;
  // Where the load hardly went back, only where the body is lightest tells the top.
  return isBack ? back : light;
}

/** Whether somebody stood on both feet before they moved, and left the ground with neither until they pressed. */
function stoodBefore({ loads, share, inFrames }: Looked, away: number, press: number): boolean {
  const before = Math.max(0, away - inFrames(STOOD.ms));
  const onBoth = share.slice(before, press + 1).every((each) => each > OFF_GROUND && each < 100 - OFF_GROUND);
  return onBoth && loads.slice(before, away + 1).every((load) => Math.abs(load - 1) <= STOOD.within);
}

/** The last frame before the top at which share and place along the soles still were where they had settled. */
function leftAt(
  series: readonly (readonly number[])[],
  top: number,
  inFrames: (ms: number) => number,
): number | null {
  const first = Math.max(0, Math.round(top) - inFrames(LONGEST_BACK));
  const settled = series.map((values) => values.slice(first, first + inFrames(600)));
  if (settled.some((values) => values.length < 2)) return null;
  const middles = settled.map((values) => median(values));
  const isThere = (at: number): boolean =>
    series.every((values, of) => Math.abs(values[Math.max(0, at)]! - middles[of]!) <= LEFT);
  for (let at = Math.round(top); at > first; at -= 1)
    if (isThere(at) && isThere(at - inFrames(60)) && isThere(at - inFrames(120))) return at;
  return first;
}

/** The first frame after the strike from which the share stays. */
function finishAt(share: readonly number[], hit: number, inFrames: (ms: number) => number): number {
  const last = Math.min(share.length - 1, hit + inFrames(1800));
  const window = inFrames(300);
  for (let at = hit + inFrames(350); at + window <= last; at += 1) {
    const values = share.slice(at, at + window);
    if (Math.max(...values) - Math.min(...values) < LEFT) return at;
  }
  return last;
}
