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

/** Where a simulated student's legs stop the hips going back, degrees. */
export interface TurningLegs {
  /** What the trail leg reaches with its foot square: a rung of flare adds as much. */
  trailReach: number;
  /** Where the lead leg stops, whatever the trail foot does. */
  leadStop: number;
  /** As far as a full turn needs: nobody turns on beyond it. */
  needed: number;
}

/** One standard deviation of how well a foot is put on its rung, and of a gauge on the belt (starting values), degrees. */
const PLACED = 2;
const GAUGE = 4;

/**
 * A measured turn back of the hips on a rung of the trail foot.
 * @param legs the student's
 * @param rung degrees of flare
 * @param seed of this student and try
 * @returns what the gauge says, degrees, and the leg that was felt to stop it; null where none did
 */
export function turnOn(
  { trailReach, leadStop, needed }: TurningLegs,
  rung: number,
  seed: string,
): { hips: number; stoppedBy: 'lead' | 'trail' | null } {
  const chance = chanceFrom('turn', seed);
  const trailStop = trailReach + rung + PLACED * bell(chance);
  const hips = Math.min(trailStop, leadStop, needed);
  const stoppedBy = hips === needed ? null : hips === trailStop ? 'trail' : 'lead';
  return { hips: hips + GAUGE * bell(chance), stoppedBy };
}
