import { restsOnGive, standsIn, type StopName, type Turn } from '../turn';
import { knownStops, type Standing } from './standing';
import type { Case } from './types';

/** A leg that stops a turn short, degrees. */
export interface ShortTurn {
  name: StopName;
  /** How much is missing of what is needed. */
  missing: number;
  /** Short by a starting give alone: one measured turn settles it. */
  onGive: boolean;
}

/** Facts for which nobody is asked for more turn, unless somebody has cleared them. */
const HURTING = ['pain', 'operated', 'replaced', 'dizzy or numb'];

/**
 * Whether more turn is asked of this student at all: not on a pitch, where the hips are held on purpose, and not while
 * something hurts or was mended and nobody has cleared it.
 * @param given the case
 * @returns false where it is left alone
 */
export const asksTurn = ({ shot, facts, cameFor }: Pick<Case, 'shot' | 'facts' | 'cameFor'>): boolean =>
  shot !== 'pitch' && !cameFor.includes('sore') && !facts.some((fact) => hurtsUncleared(fact));

/**
 * Whether a fact stands for which a doctor or physiotherapist is asked first.
 * @param fact which
 * @returns true for what hurts or was mended and was not cleared
 */
export const hurtsUncleared = ({ status, state, clearedBy }: Case['facts'][number]): boolean =>
  status === 'stands' && HURTING.includes(state) && (clearedBy === '' || state === 'pain');

/**
 * The legs that stop a turn short by so much at least, the nearest stop first; norms never show one short.
 * @param standing the case
 * @param turn back or through
 * @param least short by so much at least, degrees
 * @returns the stops; none where the legs or the flares are not known, or the turn is not asked for
 */
export const shortTurns = (standing: Standing, turn: Turn, least: number): ShortTurn[] =>
  asksTurn(standing.given)
    ? knownStops(standing)
        .filter((stop) => stop.turn === turn && stop.missing >= least)
        .map((stop) => ({ name: stop.name, missing: stop.missing, onGive: restsOnGive(stop, stop.missing) }))
        .sort((a, b) => b.missing - a.missing)
    : [];

/**
 * Whether norms decide a turn of a full swing: a leg that stops it was not tested, and no measured turn told of it.
 * @param given the case
 * @returns true for those
 */
export const normsDecide = ({ shot, body }: Case): boolean => {
  if (shot === 'pitch') return false;
  const stops: readonly StopName[] = ['trail back', 'lead back', 'lead through'];
  return !body || stops.some((name) => !body.hurts.includes(name) && standsIn(name, body));
};
