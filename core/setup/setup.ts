import {
  AS_TAUGHT,
  FIGURES,
  PLACED_FIGURES,
  FEET_FIGURES,
  followingFigure,
  groundFigure,
  isLoad,
  isPlaced,
  isPosture,
  type FeetFigure,
  type MeasurementWay,
  type PlacedFigure,
  type SetupFigure,
  type WayOfMoving,
} from './figures';
import type { Address } from './ground';
import { measureAddress, type AddressMeasures } from './measures';
import { NOT_LOOKED_AT, type Posture } from './posture';

/** Where the load is: the lead foot's share, and along each sole from 0 (heel) to 100 (toe). */
export interface Balance {
  leadShare: number;
  leadHeelToe: number;
  trailHeelToe: number;
}

/** How a figure was measured, with one standard deviation, mm, degrees or percent. */
export interface Measurement {
  way: MeasurementWay;
  uncertainty: number;
}

/** The figures of feet and load that were measured; absent means that it only stands as it is drawn. */
export type Measurements = Partial<Record<PlacedFigure, Measurement>>;

/** All that a coach places and sees: the feet with the ball, the load, and what stands on them. */
export interface Setup {
  address: Address;
  balance: Balance;
  measured: Measurements;
  /** Absent where nothing above the feet was looked at. */
  posture?: Posture;
}

/** A setup with its ground measured: taken once, and handed to whoever asks. */
export interface MeasuredSetup {
  setup: Setup;
  measures: AddressMeasures;
}

/**
 * @param setup the setup
 * @returns the setup with the figures of its ground
 */
export const measureSetup = (setup: Setup): MeasuredSetup => ({
  setup,
  measures: measureAddress(setup.address),
});

/**
 * A figure of a setup as it stands, measured or only drawn.
 * @param setup the setup, lengths mm, angles degrees
 * @param name which figure
 * @param measures the ground's figures, where they have been measured already
 * @returns mm, degrees or percent; undefined where it was not looked at
 */
export function figureOf(
  setup: Setup,
  name: SetupFigure,
  measures: AddressMeasures = measureAddress(setup.address),
): number | undefined {
  if (isPosture(name)) return setup.posture?.figures[name]?.value;
  if (isLoad(name)) return setup.balance[name];
  return groundFigure(name)!.measure(measures, setup.address);
}

/** One standard deviation of a figure that follows from others, by the slopes of each; null where one was not measured. */
function followedUncertainty({ setup, measures }: MeasuredSetup, name: SetupFigure): number | null {
  const slopes = followingFigure(name)!.slopes(measures, setup.address);
  let variance = 0;
  for (const [from, slope] of Object.entries(slopes) as [FeetFigure, number][]) {
    const measurement = setup.measured[from];
    if (!measurement) return null;
    variance += (slope * measurement.uncertainty) ** 2;
  }
  return Math.sqrt(variance);
}

/**
 * How sure a figure is.
 * @param measured the setup with its ground measured
 * @param name which figure
 * @returns one standard deviation, mm, degrees or percent; null where the figure was not measured
 */
export function uncertaintyOf(measured: MeasuredSetup, name: SetupFigure): number | null {
  const { setup } = measured;
  if (isPosture(name)) return setup.posture?.figures[name]?.uncertainty ?? null;
  if (isPlaced(name)) return setup.measured[name]?.uncertainty ?? null;
  return followedUncertainty(measured, name);
}

/** A figure as it was measured, with one standard deviation. */
export interface Measured {
  value: number;
  uncertainty: number;
}

/**
 * A figure with how sure it is.
 * @param measured the setup with its ground measured
 * @param name which figure
 * @returns value and one standard deviation, mm, degrees or percent; null where it was not measured
 */
export function measuredFigure(measured: MeasuredSetup, name: SetupFigure): Measured | null {
  const uncertainty = uncertaintyOf(measured, name);
  if (uncertainty === null) return null;
  return { value: figureOf(measured.setup, name, measured.measures)!, uncertainty };
}

/**
 * A measurement by one of the usual ways.
 * @param name which figure
 * @param way how it was measured
 * @returns the way with its usual standard deviation; the surest usual one where the way has none of its own
 */
export function measurementBy(name: SetupFigure, way: MeasurementWay): Measurement {
  const usual = FIGURES[name].uncertainty;
  if (usual[way] !== undefined) return { way, uncertainty: usual[way] };
  // No tape measures a load: what is typed of one is as sure as what is placed.
  return { way: 'drag', uncertainty: usual.drag! };
}

const same = (a: Measurement | undefined, b: Measurement): boolean =>
  a !== undefined && a.way === b.way && a.uncertainty === b.uncertainty;

/**
 * A setup with some figures of feet and load noted as measured.
 * @param setup the setup as it stands
 * @param names the figures that were measured
 * @param way how they were
 * @returns the setup, the same one where nothing of it changes
 */
export function withMeasured(setup: Setup, names: readonly PlacedFigure[], way: MeasurementWay): Setup {
  const changed = names.filter((name) => !same(setup.measured[name], measurementBy(name, way)));
  if (changed.length === 0) return setup;
  const measured = { ...setup.measured };
  for (const name of changed) measured[name] = measurementBy(name, way);
  return { ...setup, measured };
}

/**
 * @param setup the setup
 * @returns the figures of feet and load that only stand as they are drawn, from the ground up
 */
export const notMeasured = (setup: Setup): PlacedFigure[] =>
  PLACED_FIGURES.filter((name) => !setup.measured[name]);

/**
 * What a move of one figure leaves of how the other figures of the feet were measured: one that it
 * changed by the way is no surer than the move.
 */
function movedAlong(before: Setup, address: Address, way: MeasurementWay): Measurements {
  const surer = FEET_FIGURES.filter((name) => {
    const known = before.measured[name];
    return known && known.uncertainty < measurementBy(name, way).uncertainty;
  });
  // A drag goes on and on; after its first move nothing is surer than it, and nothing has to be measured.
  if (surer.length === 0) return before.measured;
  const [was, is] = [measureAddress(before.address), measureAddress(address)];
  const measured = { ...before.measured };
  for (const name of surer) {
    const { measure } = groundFigure(name)!;
    const by = Math.abs(measure(was, before.address) - measure(is, address));
    if (by > 0.01) measured[name] = measurementBy(name, way);
  }
  return measured;
}

/**
 * A setup with one figure put to a value, moving as little else as it can. The figure is then a
 * measured one.
 * @param setup the setup to begin from
 * @param name which figure
 * @param value mm, degrees or percent
 * @param how which way a foot is moved, where there is more than one
 * @param way how the value was obtained
 * @returns the new setup
 * @throws Error where nothing sets the figure by itself
 */
export function withFigure(
  setup: Setup,
  name: SetupFigure,
  value: number,
  how: WayOfMoving = AS_TAUGHT,
  way: MeasurementWay = 'tape',
): Setup {
  if (isLoad(name)) {
    return withMeasured({ ...setup, balance: { ...setup.balance, [name]: value } }, [name], way);
  }
  if (isPosture(name)) {
    const { posture = NOT_LOOKED_AT } = setup;
    const figures = { ...posture.figures, [name]: { value, ...measurementBy(name, way) } };
    return { ...setup, posture: { ...posture, figures } };
  }
  const { set } = groundFigure(name)!;
  const placed = followingFigure(name)?.places ?? (isPlaced(name) ? name : null);
  if (!set || !placed) throw new Error(`nothing sets ${name} by itself`);
  const address = set(setup.address, value, how);
  return withMeasured({ ...setup, address, measured: movedAlong(setup, address, way) }, [placed], way);
}
