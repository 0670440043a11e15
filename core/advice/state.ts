import { degrees, radians } from '../units';
import { figureOf, measureSetup, uncertaintyOf, type SetupFigure } from '../setup';
import { ADVISED_FIGURES, THINGS, type AdvisedFigure, type Case, type Thing } from './types';

/**
 * A setup as bare figures, for a search that goes through tens of thousands: a slot for each figure, NaN where it was
 * not measured, behind them one for each thing, 1 where it is done, and last the toe line that follows.
 */
export type State = Float64Array;

const SLOT_OF = Object.fromEntries(ADVISED_FIGURES.map((figure, at) => [figure, at])) as Record<
  AdvisedFigure,
  number
>;
const SLOT_OF_THING = Object.fromEntries(
  THINGS.map((thing, at) => [thing, ADVISED_FIGURES.length + at]),
) as Record<Thing, number>;

/** Where the toe line is kept, degrees, closed positive; NaN where a figure of it was not measured. */
export const TOE_LINE = ADVISED_FIGURES.length + THINGS.length;

/**
 * How far the toes are apart along the target line.
 * @param state mm and degrees
 * @param shoeLength mm
 * @returns mm; NaN where a figure of it was not measured
 */
export function toesApart(state: State, shoeLength: number): number {
  const turned = Math.sin(radians(state[SLOT_OF.leadFlare]!)) + Math.sin(radians(state[SLOT_OF.trailFlare]!));
  return state[SLOT_OF.stanceWidth]! + shoeLength * turned;
}

/**
 * Works out the toe line that follows from a state's feet.
 * @param state mm and degrees; its toe line is written
 * @param shoeLength mm
 */
export function followToeLine(state: State, shoeLength: number): void {
  state[TOE_LINE] = degrees(Math.atan2(state[SLOT_OF.setback]!, toesApart(state, shoeLength)));
}

/**
 * @param figure which figure
 * @returns its slot
 */
export const slotOf = (figure: AdvisedFigure): number => SLOT_OF[figure];
/**
 * @param thing which thing
 * @returns the slot that says whether it is done
 */
export const slotOfThing = (thing: Thing): number => SLOT_OF_THING[thing];

/**
 * Today's figures of a case, with what was agreed on before that moves none.
 * @param given the case
 * @returns the figures
 */
export function stateOf({ setup, leadHeelLift, done }: Pick<Case, 'setup' | 'leadHeelLift' | 'done'>): State {
  const state = new Float64Array(TOE_LINE + 1);
  const measured = measureSetup(setup);
  for (const figure of ADVISED_FIGURES) {
    if (figure === 'leadHeelLift') continue;
    const known = uncertaintyOf(measured, figure as SetupFigure) !== null;
    state[slotOf(figure)] = known ? figureOf(setup, figure as SetupFigure, measured.measures)! : NaN;
  }
  state[SLOT_OF.leadHeelLift] = leadHeelLift;
  for (const thing of done) state[SLOT_OF_THING[thing]] = 1;
  followToeLine(state, setup.address.shoe.length);
  return state;
}
