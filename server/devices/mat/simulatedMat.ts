import { bell, chanceFrom, numberedChance } from '../chance';
import { routeOf, type MatHabit, type MatMoment, type MatRouteName } from './habits';
import type { MatFrame, PressureMat } from './types';

/** Somebody on the mat: who they are, how they swing, and where they settle. */
export interface OnTheMat {
  seed: string;
  route: MatRouteName;
  habits: readonly MatHabit[];
  /** Percent of the load on the lead foot, and along each sole from the heel, once settled. */
  settled: { lead: number; along: number };
  /** The path of a swing that does not drift, degrees, and how far each percent of drift to the toes bends it. */
  path: { usual: number; perDrift: number };
}

/** Frames a second, and the cells of each sole. */
export const MAT_RATE = 100;
export const MAT_GRID = { rows: 16, columns: 8 };

/** They settle for so long, then swing every so often, ms. */
export const FIRST_SWING_MS = 8000;
export const SWING_EVERY_MS = 9000;

/** When the club was where, ms from the first move away: what an analysis is to find. */
export interface SwingTruth {
  away: number;
  top: number;
  impact: number;
  finish: number;
}

/** What of a swing is drawn once. */
interface Swing {
  truth: SwingTruth;
  route: MatMoment[];
  /** ms that the load is ahead of the club. */
  ahead: number;
  /** Where the body is lightest and by how much, how hard it presses, and when its weight is met again. */
  light: { at: number; by: number };
  press: { by: number; over: number };
}

/**
 * The swing of a number, from 0, as it truly is.
 * @param on who is on the mat
 * @param number which swing
 */
export function swingTruth(on: OnTheMat, number: number): Swing {
  const seed = `${on.seed} ${number}`;
  const chance = chanceFrom('mat times', seed);
  const back = 720 + 110 * bell(chance);
  const down = 255 + 22 * bell(chance);
  const away = FIRST_SWING_MS + number * SWING_EVERY_MS + 300 * chance();
  const top = away + Math.max(480, back);
  const impact = top + Math.max(190, down);
  return {
    truth: { away, top, impact, finish: impact + 900 },
    route: routeOf(on.route, on.habits, on.settled, seed),
    ahead: 90 + 60 * chance(),
    light: { at: top - 30 + 12 * bell(chance), by: 0.1 + 0.06 * chance() },
    press: { by: 0.28 + 0.25 * chance(), over: impact + 5 * bell(chance) },
  };
}

/** A way from one value to the next without a jump in its speed. */
const eased = (share: number): number => share * share * (3 - 2 * share);

/** Where the load is at a moment of a swing: it goes from place to place ahead of the club, and meets it at the strike. */
function momentAt({ truth, route, ahead }: Swing, at: number): MatMoment {
  const { away, top, impact, finish } = truth;
  const down = impact - top;
  const times = [
    away,
    away + 0.5 * (top - away) - ahead / 2,
    top - ahead,
    top + 0.4 * down - ahead / 4,
    impact,
    impact + 130,
    finish,
  ];
  const next = times.findIndex((time) => time > at);
  if (next === 0) return route[0]!;
  if (next < 0) return route[route.length - 1]!;
  const [from, to] = [route[next - 1]!, route[next]!];
  return mixed(from, to, eased((at - times[next - 1]!) / (times[next]! - times[next - 1]!)));
}

/** How hard the body presses, in its own weight: lighter at the top, hard coming down, its weight again at the strike, lighter after. */
function weightAt({ truth, light, press }: Swing, at: number): number {
  const bump = (middle: number, wide: number): number => Math.exp(-(((at - middle) / wide) ** 2));
  const { top } = truth;
  const pressing =
    at > top && at < press.over + 160
      ? press.by * Math.sin((Math.PI * Math.max(0, at - light.at)) / (press.over - light.at))
      : 0;
  return 1 - light.by * bump(light.at, 55) + pressing * (at > press.over ? 0.6 : 1);
}

/** After a swing they come back to where they settle. */
const BACK_MS = 2500;
const HELD_MS = 1200;

/** The swing that a moment belongs to, or the last one they come back from. */
const numberAt = (at: number): number =>
  Math.max(0, Math.floor((at - FIRST_SWING_MS + 1500) / SWING_EVERY_MS));

function standing({ settled }: OnTheMat, at: number): MatMoment {
  // Nobody stands still: the weight sways, at first more.
  const unsettled = Math.exp(-at / 2200);
  const sway = (slow: number, by: number) => by * Math.sin(at / slow);
  return {
    lead: settled.lead + sway(410, 1 + 9 * unsettled) + sway(173, 0.6),
    leadAlong: settled.along + sway(520, 1.2 + 12 * unsettled) + sway(211, 0.8),
    trailAlong: settled.along + sway(480, 1.2 + 12 * unsettled) + sway(199, 0.8),
    leadAcross: 50,
    trailAcross: 50,
  };
}

const mixed = (a: MatMoment, b: MatMoment, share: number): MatMoment => ({
  lead: a.lead + (b.lead - a.lead) * share,
  leadAlong: a.leadAlong + (b.leadAlong - a.leadAlong) * share,
  trailAlong: a.trailAlong + (b.trailAlong - a.trailAlong) * share,
  leadAcross: a.leadAcross + (b.leadAcross - a.leadAcross) * share,
  trailAcross: a.trailAcross + (b.trailAcross - a.trailAcross) * share,
});

function placeAt(on: OnTheMat, swing: Swing, at: number): { moment: MatMoment; weight: number } {
  const { away, finish } = swing.truth;
  const still = standing(on, at);
  if (at < away) return { moment: still, weight: 1 };
  const back = eased(Math.min(1, Math.max(0, (at - finish - HELD_MS) / BACK_MS)));
  // They start from where they stand.
  const start = eased(Math.min(1, (at - away) / 250));
  return { moment: mixed(still, momentAt(swing, at), start * (1 - back)), weight: weightAt(swing, at) };
}

/** A blob of load on a sole's cells: as wide as a foot bears, its centre where it has to be. */
function cellsOf(load: number, along: number, across: number, chance: () => number): number[][] {
  const { rows, columns } = MAT_GRID;
  const rowShares = slope(rows, (along / 100) * rows - 0.5, 2.6);
  const columnShares = slope(columns, (across / 100) * columns - 0.5, 1.7);
  const scale = load / (total(rowShares) * total(columnShares));
  const cells: number[][] = [];
  // By index: this is done for every frame of every mat that somebody looks at.
  for (let row = 0; row < rows; row += 1) {
    const loads: number[] = [];
    const ofRow = scale * rowShares[row]!;
    for (let column = 0; column < columns; column += 1) {
      const cell = ofRow * columnShares[column]! + 0.4 * (chance() - 0.5);
      loads.push(cell > 0 ? Math.round(cell) : 0);
    }
    cells.push(loads);
  }
  return cells;
}

/** How the load falls off to both sides of a middle, cell by cell. */
function slope(cells: number, middle: number, wide: number): number[] {
  const shares: number[] = [];
  for (let cell = 0; cell < cells; cell += 1) shares.push(Math.exp(-(((cell - middle) / wide) ** 2)));
  return shares;
}

function total(values: readonly number[]): number {
  let sum = 0;
  for (const value of values) sum += value;
  return sum;
}

const FULL_LOAD = 8000;

/** A monitor tells of a strike so long after it, ms; its path scatters by so much, degrees. */
const TOLD_AFTER_MS = 700;
const PATH_SCATTER = 0.9;

/** How far the load goes toward the toes from the top to early down, percent of both soles. */
function drifted([, , top, down]: readonly MatMoment[]): number {
  const along = ({ lead, leadAlong, trailAlong }: MatMoment): number =>
    (lead * leadAlong + (100 - lead) * trailAlong) / 100;
  return along(down!) - along(top!);
}

/** A swing is drawn once, and asked for at each of its frames. */
function drawnOnce(on: OnTheMat): (number: number) => Swing {
  const swings = new Map<number, Swing>();
  return (number) => {
    const known = swings.get(number) ?? swingTruth(on, number);
    swings.set(number, known);
    return known;
  };
}

/** The shots told of between two moments, ms from the first frame: the first not counted itself, the second counted. */
export type ShotsBetween = (after: number, until: number) => { at: number; path: number }[];

/**
 * A monitor beside the mat: the further the load drifts to the toes coming down, the further the club comes from outside, for
 * each student by how much of their own.
 * @param on who is on the mat
 */
export function shotsBesideMat(on: OnTheMat): ShotsBetween {
  const swingOf = drawnOnce(on);
  return (after, until) => {
    const shots: ReturnType<ShotsBetween> = [];
    const last = numberAt(until);
    for (let number = Math.max(0, numberAt(after) - 1); number <= last; number += 1) {
      const { truth, route } = swingOf(number);
      const told = truth.impact + TOLD_AFTER_MS;
      if (told <= after || told > until) continue;
      const chance = chanceFrom('mat shot', on.seed, number);
      const path = on.path.usual + on.path.perDrift * drifted(route) + PATH_SCATTER * bell(chance);
      shots.push({ at: Math.round(truth.impact), path: Math.round(10 * path) / 10 });
    }
    return shots;
  };
}

/** A simulated mat: every frame is a function of who is on it and of the frame's number, so that any server goes on with it. */
export function simulatedMat(on: OnTheMat): PressureMat {
  const swingOf = drawnOnce(on);
  const chanceOf = numberedChance('mat frame', on.seed);
  return {
    rate: MAT_RATE,
    grid: MAT_GRID,
    frame(number): MatFrame {
      const at = (1000 * number) / MAT_RATE;
      const chance = chanceOf(number);
      const { moment, weight } = placeAt(on, swingOf(numberAt(at)), at);
      const load = FULL_LOAD * weight * (1 + 0.008 * bell(chance));
      const lead = (load * (moment.lead + 0.5 * bell(chance))) / 100;
      return {
        number,
        at,
        lead: cellsOf(lead, moment.leadAlong, moment.leadAcross, chance),
        trail: cellsOf(load - lead, moment.trailAlong, moment.trailAcross, chance),
      };
    },
  };
}
