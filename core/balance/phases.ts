import { median } from 'simple-statistics';
import type { SwingMark } from './names';
import { alongOf, leadShareOf, partsOf, totalLoad, type PressureRecording } from './frames';

/** When each came, ms from the start of the recording. */
export type SwingTimes = Record<SwingMark, number>;

/** Loads are smoothed over so long, ms. */
const SMOOTHED_MS = 50;
/** Coming down somebody presses into the ground by so much more than they weigh (starting value). */
const PRESSED = 1.1;
/** A swing's press comes no sooner than this after the last one, ms. */
const APART_MS = 3500;
/** From the top to the strike, ms (common practice: about a quarter of a second). */
const DOWN = { least: 150, most: 480 };
/** The load is furthest back so long before the club is (starting value), ms. */
export const LOAD_BEFORE_CLUB = 80;
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

/** Where values are least within two places; -1 where there is nothing between them. */
function leastIn(values: readonly number[], from: number, to: number): number {
  let best = -1;
  for (let at = Math.max(0, from); at <= Math.min(values.length - 1, to); at += 1)
    if (best < 0 || values[at]! < values[best]!) best = at;
  return best;
}

/** Places at which somebody presses hardest into the ground, each of its own swing. */
function pressesOf(loads: readonly number[], weight: number, apart: number): number[] {
  const found: number[] = [];
  for (const [at, load] of loads.entries()) {
    if (load < PRESSED * weight) continue;
    const last = found[found.length - 1];
    if (last === undefined || at - last > apart) found.push(at);
    else if (load > loads[last]!) found[found.length - 1] = at;
  }
  return found;
}

/** Where the load falls back through the body's own weight after a press, in frames; null where it does not. */
function fallsThrough(
  loads: readonly number[],
  press: number,
  weight: number,
  within: number,
): number | null {
  for (let at = press + 1; at <= Math.min(loads.length - 1, press + within); at += 1) {
    const [before, now] = [loads[at - 1]!, loads[at]!];
    if (now <= weight && before > weight) return at - 1 + (before - weight) / (before - now);
  }
  return null;
}

/**
 * The swings of a recording with their moments. The strike is where the load falls back through the body's own weight after
 * it pressed into the ground coming down; the top lies where it is lightest before that, and as long after the load was
 * furthest back as a club is behind it (starting values; the load moves before the club does).
 * @param recording of one swing or several, with standing before each
 * @returns the moments of each; none where nobody swung
 */
export const swingsIn = (recording: PressureRecording): SwingTimes[] =>
  partsOf(recording).flatMap(swingsInPart);

function swingsInPart({ rate, frames }: PressureRecording): SwingTimes[] {
  if (frames.length < rate) return [];
  const perMs = rate / 1000;
  const inFrames = (ms: number): number => Math.round(ms * perMs);
  const raw = frames.map(totalLoad);
  const weight = median(raw);
  if (weight <= 0) return [];
  const loads = smoothed(raw, inFrames(SMOOTHED_MS));
  const share = smoothed(frames.map(leadShareOf), inFrames(SMOOTHED_MS));
  const along = smoothed(frames.map(alongOf), inFrames(SMOOTHED_MS));
  const atOf = (frame: number): number => frames[0]!.at + frame / perMs;
  return pressesOf(loads, weight, inFrames(APART_MS)).flatMap((press) => {
    const struck = fallsThrough(loads, press, weight, inFrames(DOWN.most));
    if (struck === null) return [];
    const hit = Math.round(struck);
    const [earliest, latest] = [hit - inFrames(DOWN.most), hit - inFrames(DOWN.least)];
    const lightest = leastIn(loads, earliest, Math.min(latest, press));
    const furthestBack = leastIn(share, earliest - inFrames(LOAD_BEFORE_CLUB), latest);
    if (lightest < 0 || furthestBack < 0) return [];
    const first = Math.max(0, hit - inFrames(LONGEST_BACK + DOWN.most));
    const settled = median(share.slice(first, first + inFrames(600) + 1));
    const wentBack = settled - share[furthestBack]! > TOLD_BY_SHARE;
    const clubThere = furthestBack + inFrames(LOAD_BEFORE_CLUB);
    // Where the load hardly went back, only where the body is lightest tells the top.
    const top = wentBack ? (2 * lightest + clubThere) / 3 : lightest;
    const away = leftAt([share, along], top, inFrames);
    if (away === null) return [];
    const impact = atOf(struck);
    const topAt = atOf(top);
    return [
      {
        address: atOf(Math.max(0, away - inFrames(100))),
        top: topAt,
        'early down': topAt + EARLY * (impact - topAt),
        impact,
        finish: atOf(finishAt(share, hit, inFrames)),
      },
    ];
  });
}

/** How much of the load has to go back for its furthest place to tell the top, percent. */
const TOLD_BY_SHARE = 8;

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
