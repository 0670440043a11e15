import type { FootName } from '../setup';
import { CAUTION_TABLE, GROWING_ROW, type CautionRow, type TableMove } from './cautionTable';
import { hasRemedy, legsOn, type CautionFact, type Remedy } from './facts';
import type { Hand } from './build';

/** What to mind with one student, and what that leaves out, keeps small and prefers. */
export interface Caution {
  /** What to know. */
  caution: string;
  /** What this student is not advised, and what instead; empty where nothing is left out. */
  notSuggested: string;
  instead: string;
  /** Whose limits overrule what is read here; empty where nobody has to be asked. */
  deferTo: string;
  /** What a word of it rests on; empty where it is common practice. */
  source: string;
  /** Said beside a finding whose remedy is left out. */
  reason: string;
  withholds: readonly Remedy[];
  /** Only by one noticeable step at a time. */
  limits: readonly Remedy[];
  prefers: readonly Remedy[];
}

const remedyOf = ({ item, by }: TableMove, leg: FootName): Remedy => ({
  item: item === 'flare of that foot' ? `${leg}Flare` : item,
  by,
});

const once = (remedies: readonly Remedy[]): Remedy[] =>
  remedies.filter((each, at) => !hasRemedy(remedies.slice(0, at), each));

/** The legs of a row that a fact is about; none where it is about something else. */
function legsOf(row: CautionRow, fact: CautionFact, hand: Hand): FootName[] {
  const about = row.joints === 'any' || row.joints.includes(fact.joint);
  if (!about || !row.states.includes(fact.state)) return [];
  return legsOn(fact.side, hand).filter((leg) => row.legs === 'either' || row.legs === leg);
}

/**
 * Somebody's word frees what was mended for small steps; what hurts stays left out.
 * @param fact which
 * @returns true where somebody's word frees it
 */
export const isCleared = ({ clearedBy, state }: CautionFact): boolean => clearedBy !== '' && state !== 'pain';

/** A row's caution for what it is about; null where it is about nothing. */
function cautionOf(row: CautionRow, about: readonly { leg: FootName; cleared: boolean }[]): Caution | null {
  if (about.length === 0) return null;
  const moves = (which: 'barred' | 'limited' | 'preferred', of = about) =>
    of.flatMap(({ leg }) => row[which].map((move) => remedyOf(move, leg)));
  const cleared = about.filter((each) => each.cleared);
  const uncleared = about.filter((each) => !each.cleared);
  const withholds = once(moves('barred', uncleared));
  const { caution, notSuggested, instead, deferTo, reason, source = '' } = row;
  return {
    caution,
    notSuggested: withholds.length > 0 ? notSuggested : '',
    instead,
    deferTo,
    source,
    reason,
    withholds,
    limits: once([...moves('limited'), ...moves('barred', cleared)]),
    prefers: once(moves('preferred')),
  };
}

/**
 * The cautions for a student from the facts that stand, and from not being of age. A note's words alone leave
 * nothing out: they only suggest facts.
 * @param facts all that were noted; those that are over or were waved away do not count
 * @param hand says which side of the body leads
 * @param minor whether the student is not of age
 * @returns the cautions, each once
 */
export function cautionsOf(facts: readonly CautionFact[], hand: Hand, minor: boolean): Caution[] {
  const standing = facts.filter(({ status }) => status === 'stands');
  const ofRow = (row: CautionRow) =>
    cautionOf(
      row,
      standing.flatMap((fact) => legsOf(row, fact, hand).map((leg) => ({ leg, cleared: isCleared(fact) }))),
    );
  const growing = minor ? cautionOf(GROWING_ROW, [{ leg: 'lead', cleared: false }]) : ofRow(GROWING_ROW);
  return [growing, ...CAUTION_TABLE.map(ofRow)].filter((each) => each !== null);
}
