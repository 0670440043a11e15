import { measureAddress, toePoint, type Setup } from '../ground';
import { FIGURE_QUESTIONS, type Unit } from '../method';
import { POSTURE_FIGURES, type PostureFigure } from '../posture';

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
  ...POSTURE_FIGURES,
] as const;
export type ChangeName = (typeof CHANGES)[number];

export interface Difference {
  change: ChangeName;
  unit: Unit;
  /** Null where it was not looked at before. */
  from: number | null;
  to: number;
}

/** Differences smaller than this are no change (starting values): a millimetre, a degree, a percent. */
const SMALLEST: Record<Unit, number> = { mm: 1, degrees: 0.5, percent: 0.5 };

const isPosture = (change: ChangeName): change is PostureFigure =>
  (POSTURE_FIGURES as readonly ChangeName[]).includes(change);

const unitOf = (change: ChangeName): Unit => {
  if (isPosture(change)) return FIGURE_QUESTIONS[change].unit;
  if (change === 'leadFlare' || change === 'trailFlare') return 'degrees';
  return ['leadShare', 'leadHeelToe', 'trailHeelToe'].includes(change) ? 'percent' : 'mm';
};

function figuresOf({ address, balance, posture }: Setup): Record<ChangeName, number | undefined> {
  const { stanceWidth, leadFlare, trailFlare, setback, ballAlong } = measureAddress(address);
  const ballOut = -toePoint(address, 'lead').y;
  const seen = Object.fromEntries(POSTURE_FIGURES.map((name) => [name, posture?.figures[name]?.value]));
  return {
    ...(seen as Record<PostureFigure, number | undefined>),
    stanceWidth,
    leadFlare,
    trailFlare,
    setback,
    ballAlong,
    ballOut,
    ...balance,
  };
}

/** What differs between two setups, in body order, from what to what. */
export function differences(from: Setup, to: Setup): Difference[] {
  const before = figuresOf(from);
  const after = figuresOf(to);
  return CHANGES.flatMap((change): Difference[] => {
    const unit = unitOf(change);
    const was = before[change] ?? null;
    const is = after[change];
    if (is === undefined) return [];
    const same = was !== null && Math.abs(is - was) < SMALLEST[unit];
    return same ? [] : [{ change, unit, from: was, to: is }];
  });
}
