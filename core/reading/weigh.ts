import type { BandVerdict } from '../method';
import { FIGURES, type Part, type Item } from '../setup';
import { STARTING_CLOSING } from '../turn';
import type { Finding, Weight } from './types';

/** What one unit outside a band costs, degrees of turn and of path (starting values). */
interface Cost {
  turn?: Partial<Record<Exclude<BandVerdict, 'in'>, number>>;
  path?: number;
}

/**
 * What a flare or the line costs in turn is the turn budget's to say; these hold where the legs were not
 * tested: a degree of flare is a degree of turn to one side, of line what closing gives. A degree of line is half
 * a degree of path, a percent toward the toes a tenth, 90 mm of ball a degree and a half on the arc. The rest
 * are starting values.
 */
const COSTS: Partial<Record<Item, Cost>> = {
  stanceWidth: { turn: { above: 0.05 } },
  leadFlare: { turn: { below: 1, above: 1 } },
  trailFlare: { turn: { below: 1, above: 0.5 } },
  stanceLine: { turn: { below: STARTING_CLOSING.value, above: STARTING_CLOSING.value }, path: 0.5 },
  ballAlong: { path: 0.017 },
  leadHeelToe: { path: 0.1 },
  trailHeelToe: { turn: { above: 0.3 } },
  hipBump: { turn: { above: 0.1 } },
  hipLine: { turn: { below: 0.5 } },
  shoulderLine: { path: 0.5 },
  clubFace: { path: 0.5 },
  hipTurn: { turn: { below: 1, above: 0.5 } },
  shoulderTurn: { turn: { below: 0.5, above: 0.5 } },
};

/** Turn and path in what can just be noticed (starting values), degrees. */
const TURN_STEP = 5;
const PATH_STEP = 1;

/** What comes first from the ground up: a part's share of its weight (starting values). */
const GROUND_UP: Record<Part, number> = {
  feet: 1,
  knees: 0.9,
  hips: 0.8,
  shoulders: 0.7,
  hands: 0.7,
  swing: 0.5,
};

const NO_WEIGHT: Weight = { out: 0, turn: 0, path: 0, total: 0 };

/**
 * How heavy a finding is: how far out, what it costs in turn and path, and how near the ground.
 * @param finding the figure, its ± and its band, in its own unit
 * @param turnLost by the turn budget, degrees; null where it does not say
 * @returns the parts of the weight and their total, without a unit
 */
export function weightOf(
  {
    item,
    measured,
    uncertainty,
    low,
    high,
    verdict,
  }: Pick<Finding, 'item' | 'measured' | 'uncertainty' | 'low' | 'high' | 'verdict'>,
  turnLost: number | null,
): Weight {
  if (verdict === 'in') return NO_WEIGHT;
  const outside = Math.max(low - measured, measured - high);
  const { justNoticeable, part } = FIGURES[item];
  const cost = COSTS[item];
  // What is measured no finer than this is weighed no finer.
  const out = outside / Math.max(justNoticeable, uncertainty);
  const turn = (turnLost ?? outside * (cost?.turn?.[verdict] ?? 0)) / TURN_STEP;
  const path = (outside * (cost?.path ?? 0)) / PATH_STEP;
  return { out, turn, path, total: (out + turn + path) * GROUND_UP[part] };
}
