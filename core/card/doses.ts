import { hasRemedy, type Caution } from '../body';
import { figureOf, MOST_FLARE, withFigure, type Setup } from '../setup';

/** What is exaggerated to be felt: the feet's turn and how far the trail foot is set back. */
export const DOSED = ['leadFlare', 'trailFlare', 'setback'] as const;
export type Dosed = (typeof DOSED)[number];

/** The stance that is stood in now: exaggerated to feel it, played with, or the rung between. */
export const DOSES = ['feel', 'between', 'play'] as const;
export type Dose = (typeof DOSES)[number];

export interface DosedFigure {
  figure: Dosed;
  /** mm or degrees */
  value: number;
}

/** 40° to feel it, 25° to play; common practice, no source. */
const FLARE_MORE = 15;
/** Trail toe level with the heel to feel it, with the laces to play; common practice, no source. */
const SETBACK_MORE = 0.75;
/** The laces to feel it where the feet are only squared (starting value). */
const SQUARED_MORE = 0.25;
/** From so far back on, in shoe lengths, a stance is closed and not only square: half-way to the laces. */
const CLOSED_FROM = 0.125;

/**
 * Whether an agreed stance has the trail foot set back, and not only level.
 * @param agreed the setup that is played with
 * @returns true from half-way to the laces on
 */
export const isSetBack = (agreed: Setup): boolean =>
  figureOf(agreed, 'setback')! >= CLOSED_FROM * agreed.address.shoe.length;

/** Smaller than this and the two doses feel alike, mm or degrees (starting values). */
const WORTH_IT: Record<Dosed, number> = { leadFlare: 5, trailFlare: 5, setback: 40 };

const exaggerated = (figure: Dosed, agreed: Setup): number => {
  const value = figureOf(agreed, figure)!;
  if (figure !== 'setback') return Math.min(value + FLARE_MORE, Math.max(value, MOST_FLARE));
  const { length } = agreed.address.shoe;
  const more = isSetBack(agreed) ? SETBACK_MORE : SQUARED_MORE;
  return Math.min(value + more * length, Math.max(value, length));
};

const REMEDY_ITEM = { leadFlare: 'leadFlare', trailFlare: 'trailFlare', setback: 'stanceLine' } as const;

/** Whether a caution keeps a figure from being taken further. */
const isBarred = (figure: Dosed, cautions: readonly Caution[]): boolean =>
  cautions.some(({ withholds, limits }) =>
    hasRemedy([...withholds, ...limits], { item: REMEDY_ITEM[figure], by: 'more' }),
  );

/**
 * The exaggerated dose of a change: what was turned out or set back further, taken on as far as it is taught.
 * @param from the setup before
 * @param agreed the setup that is played with
 * @param cautions the student's; what they hold back is not exaggerated, and with a doctor to ask nothing is
 * @returns the figures that differ from the agreed ones, mm and degrees; none where there is nothing to exaggerate
 */
export function exaggeratedDose(from: Setup, agreed: Setup, cautions: readonly Caution[]): DosedFigure[] {
  if (cautions.some(({ deferTo }) => deferTo !== '')) return [];
  return DOSED.flatMap((figure): DosedFigure[] => {
    const [was, is] = [figureOf(from, figure)!, figureOf(agreed, figure)!];
    if (is - was < 1 || isBarred(figure, cautions)) return [];
    const value = exaggerated(figure, agreed);
    return value - is < WORTH_IT[figure] ? [] : [{ figure, value }];
  });
}

/** How far toward the exaggerated stance. */
const TOWARD: Record<Exclude<Dose, 'play'>, number> = { feel: 1, between: 0.5 };

/**
 * The setup to stand in for a dose.
 * @param agreed the setup that is played with
 * @param further the exaggerated figures
 * @param dose which
 * @returns the setup; the one agreed for the playing dose, the middle for the rung between
 */
export function setupForDose(agreed: Setup, further: readonly DosedFigure[], dose: Dose): Setup {
  if (dose === 'play') return agreed;
  return further.reduce((setup, { figure, value }) => {
    const is = figureOf(agreed, figure)!;
    return withFigure(setup, figure, is + TOWARD[dose] * (value - is));
  }, agreed);
}
