import type { ShotUnit } from '../units';
import type { Shot } from './types';

/** What a trial can be about. */
export const OUTCOMES = [
  'straight path',
  'start line',
  'nearness to the line',
  'carry',
  'club speed',
  'started on line',
  'flew straight',
  'clean strike',
  'balance held',
  'turn felt',
] as const;
export type Outcome = (typeof OUTCOMES)[number];

interface OutcomeDefinition {
  unit: ShotUnit;
  /** The shot's score, more of it better; null where it was not seen. */
  score: (shot: Shot) => number | null;
  /** A difference worth having and a usual scatter from shot to shot (starting values), in its unit. */
  margin: number;
  scatter: number;
  /** Whether mishits are part of what it is about, whatever the rule. */
  countsMishits: boolean;
  /** Whether a shot shows it or does not, so that setups compare by how many of how many. */
  yesOrNo: boolean;
}

const nearZero =
  (figure: 'path' | 'startLine' | 'side') =>
  (shot: Shot): number | null => {
    const value = shot[figure];
    return value === undefined ? null : -Math.abs(value);
  };

const figure =
  (name: 'carry' | 'clubSpeed') =>
  (shot: Shot): number | null =>
    shot[name] ?? null;

const FELT = { short: 0, enough: 0.5, full: 1 } as const;

const define = (
  unit: ShotUnit,
  score: OutcomeDefinition['score'],
  margin: number,
  scatter: number,
): OutcomeDefinition => ({ unit, score, margin, scatter, countsMishits: false, yesOrNo: false });

/** An outcome that a shot shows or does not. */
const yesOrNo = (seen: (shot: Shot) => boolean | undefined, countsMishits = false): OutcomeDefinition => ({
  unit: 'of shots',
  score: (shot) => {
    const shown = seen(shot);
    return shown === undefined ? null : Number(shown);
  },
  margin: 0.2,
  scatter: 0.5,
  countsMishits,
  yesOrNo: true,
});

export const OUTCOME_DEFINITIONS: Record<Outcome, OutcomeDefinition> = {
  'straight path': define('degrees', nearZero('path'), 1, 2),
  'start line': define('degrees', nearZero('startLine'), 1, 2),
  'nearness to the line': define('metres', nearZero('side'), 3, 7),
  carry: define('metres', figure('carry'), 5, 7),
  'club speed': define('metres a second', figure('clubSpeed'), 0.7, 0.8),
  'started on line': yesOrNo(({ startSide }) => startSide && startSide === 'none'),
  'flew straight': yesOrNo(({ curveSide }) => curveSide && curveSide === 'none'),
  'clean strike': yesOrNo(({ strike }) => strike && strike === 'clean', true),
  'balance held': yesOrNo(({ balanceHeld }) => balanceHeld),
  'turn felt': define('of shots', ({ feltTurn }) => (feltTurn ? FELT[feltTurn] : null), 0.2, 0.4),
};
