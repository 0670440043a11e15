import type { FootName } from '../setup';
import type { Angle } from '../units';
import { reachOf, stopsOf, STOP_DEFINITIONS, TURN_PER_LIFT_MM } from './stops';
import type { Stop, StopName, Turn, TurningBody, TurningFeet } from './types';
import { normalDensity, normalProbability, SD_IN_95_PERCENT } from '../statistics';

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

export interface Calibration {
  /** Test and give together, for the stops that the measured turns tell of. */
  reaches: TurningBody['reaches'];
  residuals: Residual[];
}

type Known = Stop & { at: Angle };

/** The stop a measured turn met: the felt leg's, else the one that was predicted to be met first. */
function metStop(body: TurningBody, { turn, feet, stoppedBy }: MeasuredTurn): Known | null {
  const known = stopsOf(turn, body, feet).filter((stop): stop is Known => stop.at !== null);
  const felt = known.find(({ leg }) => leg === stoppedBy);
  return felt ?? known.sort((a, b) => a.at.value - b.at.value)[0] ?? null;
}

/** What of a turn is left when the foot and the lifted heel are taken away: test and give together. */
function reachIn(name: StopName, { reached, feet }: MeasuredTurn): Angle {
  const { leg, flareHelps, lifts } = STOP_DEFINITIONS[name];
  const lift = lifts ? feet.leadHeelLift * TURN_PER_LIFT_MM : 0;
  return {
    value: reached.value - flareHelps * feet.flare[leg] - lift,
    uncertainty: Math.hypot(reached.uncertainty, feet.flareUncertainty[leg]),
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

/**
 * Fits a student's legs to measured turns. The stop that was met is updated by what was measured,
 * each weighed by how sure it is; the others of that turn reach at least as far. Test and give
 * enter a stop only as a sum, so the sum is what is fitted. `body` is as it was before any turn was
 * measured. A sore knee's leg is left as it was tested: what it gives is never counted on.
 * @param body as it was before any turn was measured
 * @param measured the turns, degrees with one standard deviation
 * @returns test and give together for each leg told of, and a residual for each turn
 */
export function calibrate(body: TurningBody, measured: readonly MeasuredTurn[]): Calibration {
  const reaches: TurningBody['reaches'] = {};
  const reach = (name: StopName) => reaches[name] ?? reachOf(name, body);
  const residuals: Residual[] = [];
  const met = measured.flatMap((each) => {
    const stop = metStop(body, each);
    if (!stop) return [];
    const halfWidth = SD_IN_95_PERCENT * Math.hypot(stop.at.uncertainty, each.reached.uncertainty);
    const missed = Math.abs(each.reached.value - stop.at.value) > halfWidth;
    residuals.push({ measured: each, predicted: stop.at.value, halfWidth, stop: stop.name, missed });
    return [{ each, name: stop.name }];
  });
  for (const { each, name } of met) reaches[name] = combined(reach(name)!, reachIn(name, each));
  for (const { each, name } of met) {
    for (const other of stopsOf(each.turn, body, each.feet)) {
      const known = reach(other.name);
      // Once its heel is up the trail leg has stopped nothing, and so says nothing.
      if (other.name === name || other.name === 'trail through' || !known) continue;
      reaches[other.name] = boundedBelow(known, reachIn(other.name, each));
    }
  }
  return { reaches, residuals };
}
