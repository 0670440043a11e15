import type { Caution, Remedy } from '../body';
import { hasRemedy } from '../body/facts';
import { verdictFor, type Bands, type BandVerdict } from '../method';
import type { Posture, Item, Setup } from '../setup';
import { sparedBy, type TurningBody } from '../turn';
import type { Finding } from './types';

export interface Restraint {
  remedies: readonly Remedy[];
  reason: string;
}

/** What gives more turn. */
export const MORE_TURN: readonly Remedy[] = [
  { item: 'leadFlare', by: 'more' },
  { item: 'trailFlare', by: 'more' },
  { item: 'stanceLine', by: 'more' },
];

/**
 * Who should not close or flare more: one who turns too far already, or swings from the inside.
 * @param posture what was measured or seen of it
 * @param verdictOf the verdicts on both turns
 * @returns what is left out, and why
 */
export function postureRestraints(
  posture: Posture | undefined,
  verdictOf: (item: 'hipTurn' | 'shoulderTurn') => BandVerdict | null | undefined,
): Restraint[] {
  const tooFar = verdictOf('hipTurn') === 'above' || verdictOf('shoulderTurn') === 'above';
  return [
    ...(tooFar
      ? [{ remedies: MORE_TURN, reason: 'Turns too far already: no more flare and no closing.' }]
      : []),
    ...(posture?.swingPath === 'from the inside'
      ? [
          {
            remedies: [{ item: 'stanceLine' as const, by: 'more' as const }],
            reason: 'Swings from the inside already: closing would send the path further out.',
          },
        ]
      : []),
  ];
}

/**
 * What a student is never asked for, whatever a band says: what facts bar, what hurt in a leg's test, and what the
 * turn and the swing seen of them forbid.
 * @param given the setup, what the method asks, legs and trunk
 * @param barred what the facts about the student bar
 * @returns the remedies left out
 */
export function neverAsked(
  { setup, bands, body }: { setup: Setup; bands: Bands; body: Pick<TurningBody, 'hurts'> | null },
  barred: readonly Remedy[],
): Remedy[] {
  const turnOf = (turn: 'hipTurn' | 'shoulderTurn') => {
    const band = bands.figures[turn];
    const seen = setup.posture?.figures[turn]?.value;
    return band && seen !== undefined ? verdictFor(seen, band.low, band.high) : null;
  };
  return [
    ...barred,
    ...sparedBy(body?.hurts ?? []),
    ...postureRestraints(setup.posture, turnOf).flatMap(({ remedies }) => remedies),
  ];
}

/**
 * Why the remedy of a finding is not suggested to this student; null when it may be.
 * @param cautions the student’s
 * @param posture what was measured or seen of it
 * @param verdictOf every item’s verdict
 * @returns a function from a finding to the reason
 */
export function withholder(
  cautions: readonly Caution[],
  posture: Posture | undefined,
  verdictOf: (item: Item) => BandVerdict | undefined,
): (finding: Pick<Finding, 'item' | 'verdict'>) => string | null {
  const restraints = [
    ...cautions.map(({ withholds, reason }) => ({ remedies: withholds, reason })),
    ...postureRestraints(posture, verdictOf),
  ];
  return ({ item, verdict }) => {
    if (verdict === 'in') return null;
    const by = verdict === 'below' ? 'more' : 'less';
    const found = restraints.find(({ remedies }) => hasRemedy(remedies, { item, by }));
    return found?.reason ?? null;
  };
}
