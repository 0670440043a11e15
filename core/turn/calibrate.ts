import type { FootName } from '../setup';
import type { Angle } from '../units';
import { unturnedClosing } from './closing';
import { reachOf, stopsOf, STOP_DEFINITIONS, TURN_PER_LIFT_MM } from './stops';
import { STOPS, type Stop, type StopName, type Turn, type TurningBody, type TurningFeet } from './types';
import {
  dot,
  normalDensity,
  normalProbability,
  SD_IN_95_PERCENT,
  varianceOf,
  type Matrix,
} from '../statistics';

/** A turn that was measured on known feet. */
export interface MeasuredTurn {
  turn: Turn;
  /** How far the pelvis got, with how sure that is. */
  reached: Angle;
  feet: TurningFeet;
  /** The leg that was felt to stop it; null where nobody could say. */
  stoppedBy: FootName | null;
}

export interface Residual {
  measured: MeasuredTurn;
  /** What was predicted before any calibration, and the 95% half width of it with the measuring. */
  predicted: number;
  halfWidth: number;
  /** The stop that was taken to be met. */
  stop: StopName;
  /** Whether the prediction missed by more than its interval. */
  missed: boolean;
}

/** Test and give together, for the stops that the measured turns tell of, and what closing the feet gives. */
export interface Calibration extends Pick<TurningBody, 'reaches' | 'closing' | 'closingWith' | 'mixture'> {
  residuals: Residual[];
}

type Known = Stop & { at: Angle };

/** What is fitted together, jointly normal: test and give of each stop, and what a degree of closing gives. */
const FITTED = [...STOPS, 'closing'] as const;
const CLOSING_AT = STOPS.length;

interface Estimate {
  mean: readonly number[];
  covariance: Matrix;
}

/** What is known before any turn was measured; a leg that hurts is never learnt of. */
function before(body: TurningBody): Estimate {
  const angles = FITTED.map((name) => (name === 'closing' ? body.closing : reachOf(name, body)));
  return {
    mean: angles.map((angle) => angle?.value ?? 0),
    covariance: angles.map((angle, row) =>
      angles.map((_, column) => (row === column ? (angle?.uncertainty ?? 0) ** 2 : 0)),
    ),
  };
}

/** What a stop is made of beside what the foot and the lifted heel add: its reach, and closing times what it is worth. */
const weightsOf = (name: StopName, feet: TurningFeet): number[] =>
  FITTED.map((each) =>
    each === 'closing' ? STOP_DEFINITIONS[name].closingHelps * unturnedClosing(feet) : Number(each === name),
  );

/** What of a turn is left when the foot and the lifted heel are taken away. */
function leftOf(name: StopName, { reached, feet }: MeasuredTurn, closing: number): Angle {
  const { leg, flareHelps, closingHelps, lifts } = STOP_DEFINITIONS[name];
  const lift = lifts ? feet.leadHeelLift * TURN_PER_LIFT_MM : 0;
  const line = closingHelps === 0 || unturnedClosing(feet) === 0 ? 0 : closing * feet.toeLine.uncertainty;
  return {
    value: reached.value - flareHelps * feet.flare[leg] - lift,
    uncertainty: Math.hypot(reached.uncertainty, feet.flareUncertainty[leg], line),
  };
}

const marginalOf = ({ mean, covariance }: Estimate, weights: readonly number[]): Angle => ({
  value: dot(mean, weights),
  uncertainty: Math.sqrt(varianceOf(covariance, weights)),
});

/**
 * The estimate once a weighed sum of it is known to be `now`: everything moves with the sum as far as it
 * goes with it (the conditional of a multivariate normal; Rasmussen & Williams 2006, A.6, from memory).
 */
function learnt({ mean, covariance }: Estimate, weights: readonly number[], now: Angle): Estimate {
  const along = covariance.map((row) => dot(row, weights));
  const variance = dot(along, weights);
  const moved = (now.value - dot(mean, weights)) / variance;
  const narrowed = (now.uncertainty ** 2 - variance) / variance ** 2;
  return {
    mean: mean.map((value, at) => value + along[at]! * moved),
    covariance: covariance.map((row, at) =>
      row.map((value, column) => value + along[at]! * along[column]! * narrowed),
    ),
  };
}

/** Two readings of one figure, each weighed by how sure it is. */
function combined(a: Angle, b: Angle): Angle {
  const weightA = 1 / a.uncertainty ** 2;
  const weightB = 1 / b.uncertainty ** 2;
  return {
    value: (a.value * weightA + b.value * weightB) / (weightA + weightB),
    uncertainty: Math.sqrt(1 / (weightA + weightB)),
  };
}

/** Beyond this many deviations a bound says nothing. */
const FAR = 5;

/**
 * What is left of a figure once it is known to be at least `least`, itself only known to within
 * its uncertainty: mean and spread of a normal weighed by a normal's cumulative (Rasmussen &
 * Williams 2006, Gaussian Processes for Machine Learning, equations 3.82 and 3.85, from memory).
 */
function boundedBelow(angle: Angle, least: Angle): Angle {
  const { value, uncertainty } = angle;
  const spread = Math.hypot(uncertainty, least.uncertainty);
  const z = (value - least.value) / spread;
  if (z >= FAR) return angle;
  const ratio = normalDensity(z) / Math.max(normalProbability(z), 1e-12);
  const variance = uncertainty ** 2 - (uncertainty ** 4 / spread ** 2) * ratio * (z + ratio);
  return {
    value: value + (uncertainty ** 2 / spread) * ratio,
    uncertainty: Math.sqrt(Math.max(variance, 1)),
  };
}

/** Going through, the trail heel is down or up while a turn is measured: even chances (starting value). */
const TRAIL_HEEL_DOWN = 0.5;

/** Whether a leg tells by not having stopped a turn: once its heel is up the trail leg has stopped nothing. */
const tellsByNotStopping = (name: StopName): boolean => name !== 'trail through';

/** What is learnt of a stop once a turn has told something of it. */
type Combine = (known: Angle, left: Angle) => Angle;

function learntOf(estimate: Estimate, name: StopName, each: MeasuredTurn, combine: Combine): Estimate {
  const weights = weightsOf(name, each.feet);
  const left = leftOf(name, each, estimate.mean[CLOSING_AT]!);
  return learnt(estimate, weights, combine(marginalOf(estimate, weights), left));
}

/** How likely a leg is to have stopped a turn where it did: as near as it was predicted, the others reaching further. */
function likelihoodOf(
  estimate: Estimate,
  each: MeasuredTurn,
  met: StopName,
  all: readonly StopName[],
): number {
  const apart = (name: StopName) => {
    const known = marginalOf(estimate, weightsOf(name, each.feet));
    const left = leftOf(name, each, estimate.mean[CLOSING_AT]!);
    const spread = Math.hypot(known.uncertainty, left.uncertainty);
    return { z: (known.value - left.value) / spread, spread };
  };
  const { z, spread } = apart(met);
  const counts = (name: StopName): number => (tellsByNotStopping(name) ? 1 : TRAIL_HEEL_DOWN);
  return all.reduce(
    (likelihood, name) =>
      name === met
        ? likelihood
        : likelihood * (1 - counts(name) + counts(name) * normalProbability(apart(name).z)),
    (counts(met) * normalDensity(z)) / spread,
  );
}

/** So many ways are kept of what may be so, and none that is less likely than this. */
const MOST_WAYS = 8;
const LEAST_LIKELY = 0.005;

interface Way {
  weight: number;
  estimate: Estimate;
}

/** The likeliest ways, their weights summing to 1. */
function likeliest(ways: readonly Way[]): Way[] {
  const sumOf = (some: readonly Way[]) => some.reduce((sum, { weight }) => sum + weight, 0);
  const all = sumOf(ways);
  const kept = [...ways]
    .sort((a, b) => b.weight - a.weight)
    .slice(0, MOST_WAYS)
    .filter(({ weight }, at) => at === 0 || weight >= LEAST_LIKELY * all);
  const total = sumOf(kept);
  return kept.map((way) => ({ ...way, weight: way.weight / total }));
}

/** Several estimates as one normal with the mean and covariance of their mixture (moment matching). */
function mixed(parts: readonly Way[]): Estimate {
  const over = (of: (estimate: Estimate) => number): number =>
    parts.reduce((total, { weight, estimate }) => total + weight * of(estimate), 0);
  const mean = FITTED.map((_, at) => over((each) => each.mean[at]!));
  const covariance = FITTED.map((_, row) =>
    FITTED.map((__, column) =>
      over(
        (each) =>
          each.covariance[row]![column]! +
          (each.mean[row]! - mean[row]!) * (each.mean[column]! - mean[column]!),
      ),
    ),
  );
  return { mean, covariance };
}

/**
 * Fits a student's legs to measured turns, and what closing the feet gives. The stop that was met is
 * updated by what was measured, each weighed by how sure it is; the others of that turn reach at least as
 * far. Where nobody could say which leg it was, it may have been each of them: a mixture of what would be
 * learnt of each, weighed by how near it was predicted to stop there. Test and give enter a stop only as a sum,
 * so the sum is what is fitted; turns on different lines tell it from what the closing gave. `body` is as it was
 * before any turn was measured. A sore knee's leg is left as it was tested: what it gives is never counted on.
 * @param body as it was before any turn was measured
 * @param measured the turns, degrees with one standard deviation
 * @returns test and give together for each leg told of, what closing gives, and a residual for each turn
 */
export function calibrate(body: TurningBody, measured: readonly MeasuredTurn[]): Calibration {
  const turns = measured.flatMap((each) => metIn(body, each) ?? []);
  const learns = (name: StopName): boolean => !body.soreKnee[STOP_DEFINITIONS[name].leg];
  const told = new Set(toldBy(turns, learns).filter(learns));
  const ways = waysOf(before(body), turns, learns);
  return {
    ...calibrationOf(mixed(ways), told),
    ...(ways.length > 1 && {
      mixture: ways.map((way) => ({ weight: way.weight, ...calibrationOf(way.estimate, told) })),
    }),
    residuals: turns.map(residualOf),
  };
}

/** A measured turn with the stop that it is taken to have met, and all that it may have met. */
interface MetTurn {
  measured: MeasuredTurn;
  stop: Known;
  all: StopName[];
  /** The stop that somebody felt, or the only one there is; null where it may have been each. */
  met: StopName | null;
}

/** The stop a measured turn met: the felt leg's, else the one that was predicted to be met first. */
function metIn(body: TurningBody, measured: MeasuredTurn): MetTurn | null {
  const { turn, feet, stoppedBy } = measured;
  const known = stopsOf(turn, body, feet).filter((stop): stop is Known => stop.at !== null);
  const felt = known.find(({ leg }) => leg === stoppedBy);
  const [first] = [...known].sort((a, b) => a.at.value - b.at.value);
  const stop = felt ?? first;
  if (!stop) return null;
  const said = felt !== undefined || known.length === 1;
  return { measured, stop, all: known.map(({ name }) => name), met: said ? stop.name : null };
}

function residualOf({ measured, stop }: MetTurn): Residual {
  const halfWidth = SD_IN_95_PERCENT * Math.hypot(stop.at.uncertainty, measured.reached.uncertainty);
  const missed = Math.abs(measured.reached.value - stop.at.value) > halfWidth;
  return { measured, predicted: stop.at.value, halfWidth, stop: stop.name, missed };
}

/** The other legs of a turn that reach at least as far. */
const others = (all: readonly StopName[], met: StopName): StopName[] =>
  all.filter((name) => name !== met && tellsByNotStopping(name));

/** The stops that turns tell of; where a stop was felt that is not learnt of, the turn tells nothing of the others. */
function toldBy(turns: readonly MetTurn[], learns: (name: StopName) => boolean): StopName[] {
  const felt = turns.flatMap(({ met, all }) => (met && learns(met) ? [{ met, all }] : []));
  return [
    ...felt.map(({ met }) => met),
    ...felt.flatMap(({ met, all }) => others(all, met)),
    ...turns.flatMap(({ met, all }) => (met ? [] : all)),
  ];
}

/** What the turns may have told, each way with how likely it is: one where every stop was felt. */
function waysOf(start: Estimate, turns: readonly MetTurn[], learns: (name: StopName) => boolean): Way[] {
  const met = (from: Estimate, name: StopName, { measured }: MetTurn): Estimate =>
    learns(name) ? learntOf(from, name, measured, combined) : from;
  // Of a sore knee's stop nothing is learnt: it may have come for the pain.
  const bounded = (from: Estimate, name: StopName, { measured, all }: MetTurn): Estimate =>
    learns(name)
      ? others(all, name)
          .filter(learns)
          .reduce((estimate, other) => learntOf(estimate, other, measured, boundedBelow), from)
      : from;
  const felt = turns.flatMap((turn) => (turn.met ? [{ turn, name: turn.met }] : []));
  const measured = felt.reduce((estimate, { turn, name }) => met(estimate, name, turn), start);
  const estimate = felt.reduce((known, { turn, name }) => bounded(known, name, turn), measured);
  const eachLeg = (way: Way, turn: MetTurn): Way[] =>
    turn.all.map((name) => ({
      weight: way.weight * (likelihoodOf(way.estimate, turn.measured, name, turn.all) || Number.MIN_VALUE),
      estimate: bounded(met(way.estimate, name, turn), name, turn),
    }));
  return turns
    .filter((turn) => !turn.met)
    .reduce<Way[]>(
      (ways, turn) => likeliest(ways.flatMap((way) => eachLeg(way, turn))),
      [{ weight: 1, estimate }],
    );
}

/** What has been learnt, stop by stop. */
function calibrationOf({ mean, covariance }: Estimate, told: ReadonlySet<StopName>) {
  const angleAt = (at: number): Angle => ({ value: mean[at]!, uncertainty: Math.sqrt(covariance[at]![at]!) });
  const of = <Value>(value: (at: number) => Value) =>
    Object.fromEntries([...told].map((name) => [name, value(STOPS.indexOf(name))]));
  return {
    reaches: of(angleAt) as TurningBody['reaches'],
    closing: angleAt(CLOSING_AT),
    closingWith: of((at) => covariance[at]![CLOSING_AT]!) as TurningBody['closingWith'],
  };
}
