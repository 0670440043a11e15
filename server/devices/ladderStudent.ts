import { bell, chanceFrom } from './chance';

/** A simulated student on a ladder: where it changes, and how a try differs from the next. */
export interface LadderBody {
  /** mm or degrees */
  change: number;
  /** From the change on tries pass, or up to it. */
  passing: 'from' | 'up to';
  /** One standard deviation of a try. */
  spread: number;
  /** The share of tries that are scored by chance alone. */
  lapses: number;
  /** How much more is needed at the first turn; it is gone after eight. */
  drift: number;
}

const WARM_AFTER = 8;

/**
 * A try on a rung.
 * @param body the student's
 * @param rung mm or degrees
 * @param turn of the sitting, from 0
 * @param seed of this student and try
 * @returns whether it passes
 */
export function ladderTry(body: LadderBody, rung: number, turn: number, seed: string): boolean {
  const chance = chanceFrom('ladder', seed);
  if (chance() < body.lapses) return chance() < 0.5;
  const cold = body.drift * Math.max(0, 1 - turn / WARM_AFTER);
  const over = body.passing === 'from' ? rung - body.change : body.change - rung;
  return over - cold + body.spread * bell(chance) >= 0;
}
