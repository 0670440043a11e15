/**
 * The phone as an angle gauge: held on a shoe, the belt or the chest, its own turn about the
 * vertical is the body's. Readings come as degrees with the moment they were taken; a tap zeroes.
 */
export interface GaugeReading {
  /** Turn about the vertical, degrees, 0 to 360 as the sensor gives it. */
  heading: number;
  /** Milliseconds. */
  at: number;
}

export type GaugeState = 'moving' | 'steady' | 'wandering';

export interface GaugeAnswer {
  /** Turn since the zero, degrees, against the clock seen from above positive. */
  turn: number;
  state: GaugeState;
}

/** Steady is this long within this much; wandering is a slow drift beyond it (starting values). */
const STEADY_MS = 800;
const STEADY_DEGREES = 1.5;
const WANDERS_MS = 3000;
/** A hand that turns does so faster than this; a sensor that wanders does not, degrees a second. */
const WANDERS_BELOW = 1.5;

/**
 * The shorter way from one heading to another, degrees, -180 to 180.
 * @param from degrees
 * @param to degrees
 * @returns degrees
 * @example shorterWay(350, 10) // 20
 */
export const shorterWay = (from: number, to: number): number => ((((to - from) % 360) + 540) % 360) - 180;

/** Headings made one continuous line, from the first reading on. */
function unwrapped(readings: readonly GaugeReading[]): number[] {
  let turn = 0;
  return readings.map(({ heading }, at) => {
    if (at > 0) turn += shorterWay(readings[at - 1]!.heading, heading);
    return turn;
  });
}

const spread = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

/**
 * What the gauge says now: the turn since the first reading, the mean of the last moments when it
 * is steady; and whether it is held still, is being turned, or drifts by itself. Null without readings.
 * @param readings headings in degrees with their times in ms, in order
 * @returns degrees, and how it is held
 */
export function gaugeAnswer(readings: readonly GaugeReading[]): GaugeAnswer | null {
  const last = readings[readings.length - 1];
  if (!last) return null;
  const turns = unwrapped(readings);
  const within = (ms: number) => turns.filter((_, at) => readings[at]!.at >= last.at - ms);
  const recent = within(STEADY_MS);
  const longEnough = readings[0]!.at <= last.at - STEADY_MS;
  const turn = recent.reduce((sum, each) => sum + each, 0) / recent.length;
  if (!longEnough || spread(recent) > STEADY_DEGREES)
    return { turn: turns[turns.length - 1]!, state: 'moving' };
  const long = within(WANDERS_MS);
  const watched = readings[0]!.at <= last.at - WANDERS_MS;
  const drift = Math.abs(long[long.length - 1]! - long[0]!);
  const wanders = watched && drift > STEADY_DEGREES && drift / (WANDERS_MS / 1000) < WANDERS_BELOW;
  return { turn, state: wanders ? 'wandering' : 'steady' };
}
