import type { Caution, Remedy } from '../body';
import { hasRemedy } from '../body/facts';
import type { BandVerdict } from '../method';
import type { Posture, Item } from '../setup';
import type { Finding } from './types';

export interface Restraint {
  remedies: readonly Remedy[];
  reason: string;
}

const MORE_TURN: readonly Remedy[] = [
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
