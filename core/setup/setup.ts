import {
  groundFigure,
  isLoad,
  isPosture,
  AS_TAUGHT,
  type Item,
  type SetupFigure,
  type WayOfMoving,
} from './figures';
import type { Address } from './ground';
import {
  measureAddress,
  measureUncertainty,
  type AddressMeasures,
  type MeasureUncertainty,
} from './measures';
import { NOT_LOOKED_AT, POSTURE_UNCERTAINTY, type Posture } from './posture';

/** Where the load is: the lead foot's share, and along each sole from 0 (heel) to 100 (toe). */
export interface Balance {
  leadShare: number;
  leadHeelToe: number;
  trailHeelToe: number;
}

/** All that a coach places and sees: the feet with the ball, the load, and what stands on them. */
export interface Setup {
  address: Address;
  balance: Balance;
  /** Absent where nothing above the feet was looked at. */
  posture?: Posture;
}

/**
 * A figure of a setup.
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

/** A figure as it was measured, with one standard deviation. */
export interface Measured {
  value: number;
  uncertainty: number;
}

/** A setup with everything measured of its ground: taken once, and handed to whoever asks. */
export interface MeasuredSetup {
  setup: Setup;
  measures: AddressMeasures;
  sure: MeasureUncertainty;
}

/**
 * @param setup the setup
 * @returns the setup with its ground measured
 */
export const measureSetup = (setup: Setup): MeasuredSetup => ({
  setup,
  measures: measureAddress(setup.address),
  sure: measureUncertainty(setup.address),
});

const ON_THE_GROUND: Partial<Record<SetupFigure, keyof MeasureUncertainty>> = {
  leadFlare: 'flare',
  trailFlare: 'flare',
  stanceLine: 'toeLine',
  leadHeelToe: 'heelToe',
  trailHeelToe: 'heelToe',
};

/**
 * A figure with how sure it is.
 * @param measured the setup, measured
 * @param name which figure
 * @returns value and one standard deviation, mm, degrees or percent; null where it was not looked at
 */
export function measuredFigure({ setup, measures, sure }: MeasuredSetup, name: Item): Measured | null {
  if (isPosture(name)) {
    const sighting = setup.posture?.figures[name];
    return sighting ? { value: sighting.value, uncertainty: POSTURE_UNCERTAINTY[name][sighting.by] } : null;
  }
  const uncertainty = sure[ON_THE_GROUND[name] ?? (name as keyof MeasureUncertainty)];
  return { value: figureOf(setup, name, measures)!, uncertainty };
}

/**
 * A setup with one figure put to a value, moving as little else as it can.
 * @param setup the setup to begin from
 * @param name which figure
 * @param value mm, degrees or percent
 * @param how which way a foot is moved, where there is more than one
 * @returns the new setup
 * @throws Error where nothing sets the figure by itself
 */
export function withFigure(
  setup: Setup,
  name: SetupFigure,
  value: number,
  how: WayOfMoving = AS_TAUGHT,
): Setup {
  if (isLoad(name)) return { ...setup, balance: { ...setup.balance, [name]: value } };
  if (isPosture(name)) {
    const { posture = NOT_LOOKED_AT } = setup;
    const figures = { ...posture.figures, [name]: { value, by: 'measured' as const } };
    return { ...setup, posture: { ...posture, figures } };
  }
  const { set } = groundFigure(name)!;
  if (!set) throw new Error(`nothing sets ${name} by itself`);
  return { ...setup, address: set(setup.address, value, how) };
}
