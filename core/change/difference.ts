import {
  dropFoot,
  flareToeKept,
  measureAddress,
  moveFoot,
  setBallAlong,
  setSetback,
  setStanceWidth,
  toePoint,
  type Address,
  type Setup,
} from '../ground';
import { FIGURE_QUESTIONS, type Unit } from '../method';
import { NOT_LOOKED_AT, POSTURE_FIGURES, type PostureFigure } from '../posture';

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

/** How each figure of the feet is put to a value, moving as little else as it can. */
const PUT: Partial<Record<ChangeName, (address: Address, value: number) => Address>> = {
  stanceWidth: setStanceWidth,
  leadFlare: (address, value) => flareToeKept(address, 'lead', value),
  trailFlare: (address, value) => flareToeKept(address, 'trail', value),
  setback: (address, value) => setSetback(address, value, dropFoot),
  ballAlong: setBallAlong,
  ballOut: (address, value) => {
    const out = -toePoint(address, 'lead').y - value;
    return moveFoot(moveFoot(address, 'lead', 0, out), 'trail', 0, out);
  },
};

/** A setup with some of what differs from it made, from the ground up; what was seen of posture too. */
export function withDifferences(from: Setup, some: readonly Difference[]): Setup {
  return some.reduce((setup, { change, to }): Setup => {
    const put = PUT[change];
    if (put) return { ...setup, address: put(setup.address, to) };
    if (!isPosture(change)) return { ...setup, balance: { ...setup.balance, [change]: to } };
    const { posture = NOT_LOOKED_AT } = setup;
    const figures = { ...posture.figures, [change]: { value: to, by: 'measured' as const } };
    return { ...setup, posture: { ...posture, figures } };
  }, from);
}
