import { radians } from '../units';
import { setupAsTaken } from './byTape';
import { isLoad, type FeetFigure, type PlacedFigure } from './figures';
import { toePoint } from './foot';
import { figureOf, withFigure, type Setup } from './setup';

/** What an eye can tell of an address without a tape. */
export const EYE_LOOKS = [
  'width',
  'lead foot',
  'trail foot',
  'line',
  'ball',
  'heel to toe',
  'side to side',
] as const;
export type EyeLook = (typeof EYE_LOOKS)[number];

/** One answer to a look, with the figures that stand for it, mm, degrees and percent. */
export interface EyeAnswer {
  words: string;
  figures: (setup: Setup, shoulderBreadth: number) => Partial<Record<PlacedFigure, number>>;
}

const shoulders =
  (part: number): EyeAnswer['figures'] =>
  (_setup, shoulderBreadth) => ({ stanceWidth: part * shoulderBreadth });

/** The trail toe that makes a line through the toes, for feet where they stand. */
const line =
  (degrees: number): EyeAnswer['figures'] =>
  ({ address }) => {
    const apart = Math.abs(toePoint(address, 'lead').x - toePoint(address, 'trail').x);
    return { setback: apart * Math.tan(radians(degrees)) };
  };

const ballAcross =
  (part: number): EyeAnswer['figures'] =>
  (setup) => ({ ballAlong: part * figureOf(setup, 'stanceWidth')! });

const heelToToe =
  (percent: number): EyeAnswer['figures'] =>
  () => ({
    leadHeelToe: percent,
    trailHeelToe: percent,
  });

const flare = (figure: 'leadFlare' | 'trailFlare'): EyeAnswer[] => [
  { words: 'Square', figures: () => ({ [figure]: 0 }) },
  { words: 'A little out', figures: () => ({ [figure]: 12 }) },
  { words: 'Well out', figures: () => ({ [figure]: 25 }) },
];

/** What each look can answer (common practice, no source; the figures are starting values). */
export const QUICK_LOOK: Record<EyeLook, readonly EyeAnswer[]> = {
  width: [
    { words: 'Narrow', figures: shoulders(0.65) },
    { words: 'Shoulder width', figures: shoulders(0.85) },
    { words: 'Wide', figures: shoulders(1.05) },
  ],
  'lead foot': flare('leadFlare'),
  'trail foot': flare('trailFlare'),
  line: [
    { words: 'Open', figures: line(-6) },
    { words: 'Square', figures: line(0) },
    { words: 'Closed', figures: line(6) },
  ],
  ball: [
    { words: 'Lead heel', figures: () => ({ ballAlong: 15 }) },
    { words: 'Just inside', figures: () => ({ ballAlong: 60 }) },
    { words: 'Middle', figures: ballAcross(0.5) },
    { words: 'Back', figures: ballAcross(0.75) },
  ],
  'heel to toe': [
    { words: 'On the toes', figures: heelToToe(65) },
    { words: 'Middle', figures: heelToToe(48) },
    { words: 'On the heels', figures: heelToToe(32) },
  ],
  'side to side': [
    { words: 'Lead foot', figures: () => ({ leadShare: 60 }) },
    { words: 'Even', figures: () => ({ leadShare: 50 }) },
    { words: 'Trail foot', figures: () => ({ leadShare: 40 }) },
  ],
};

/**
 * A setup with an answer to a look, each figure of it by eye; what was measured before keeps its value.
 * @param setup the setup as it stands
 * @param choice the answer
 * @param shoulderBreadth mm
 * @returns the new setup
 */
export function setupAsSeen(setup: Setup, choice: EyeAnswer, shoulderBreadth: number): Setup {
  const figures = Object.entries(choice.figures(setup, shoulderBreadth)) as [PlacedFigure, number][];
  const feet = figures.filter(([figure]) => !isLoad(figure)) as [FeetFigure, number][];
  const laid = feet.length > 0 ? setupAsTaken(setup, Object.fromEntries(feet), 'by eye') : setup;
  return figures
    .filter(([figure]) => isLoad(figure))
    .reduce((seen, [figure, value]) => withFigure(seen, figure, value, undefined, 'by eye'), laid);
}

/** Within this a figure is the one that a look stands for: mm, degrees and percent. */
const SAME = 1.5;

/**
 * Whether an answer is how the feet were last seen.
 * @param setup the setup
 * @param choice the answer
 * @param shoulderBreadth mm
 * @returns true where each of its figures is by eye and at its value
 */
export const isSeen = (setup: Setup, choice: EyeAnswer, shoulderBreadth: number): boolean =>
  Object.entries(choice.figures(setup, shoulderBreadth)).every(([name, value]) => {
    const figure = name as PlacedFigure;
    return setup.measured[figure]?.way === 'by eye' && Math.abs(figureOf(setup, figure)! - value) < SAME;
  });
