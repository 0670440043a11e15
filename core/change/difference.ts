import { measureAddress, toePoint, type Setup } from '../ground';
import type { Unit } from '../reading';

/** What a coach tells a student to change; `ballOut` is how far the lead toe is from the ball's line. */
export const CHANGES = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'setback',
  'ballAlong',
  'ballOut',
  'leadShare',
  'leadHeelToe',
  'trailHeelToe',
] as const;
export type ChangeName = (typeof CHANGES)[number];

export interface Difference {
  change: ChangeName;
  unit: Unit;
  from: number;
  to: number;
}

/** Differences smaller than this are no change (starting values): a millimetre, a degree, a percent. */
const SMALLEST: Record<Unit, number> = { mm: 1, degrees: 0.5, percent: 0.5 };

const unitOf = (change: ChangeName): Unit => {
  if (change === 'leadFlare' || change === 'trailFlare') return 'degrees';
  return ['leadShare', 'leadHeelToe', 'trailHeelToe'].includes(change) ? 'percent' : 'mm';
};

function figuresOf({ address, balance }: Setup): Record<ChangeName, number> {
  const { stanceWidth, leadFlare, trailFlare, setback, ballAlong } = measureAddress(address);
  const ballOut = -toePoint(address, 'lead').y;
  return { stanceWidth, leadFlare, trailFlare, setback, ballAlong, ballOut, ...balance };
}

/** What differs between two setups, in body order, from what to what. */
export function differences(from: Setup, to: Setup): Difference[] {
  const before = figuresOf(from);
  const after = figuresOf(to);
  return CHANGES.map((change) => ({
    change,
    unit: unitOf(change),
    from: before[change],
    to: after[change],
  })).filter((each) => Math.abs(each.to - each.from) >= SMALLEST[each.unit]);
}
