import type { Caution, Remedy } from '../body';
import { DOCTOR } from '../body/facts';
import { TURNS, type StopName, type Turn, type TurningBody } from './types';
import { STOP_DEFINITIONS } from './stops';

/** What would make a leg that hurts turn further for the same turn of the pelvis, and that turn itself. */
const SPARED: Record<StopName, readonly Remedy[]> = {
  'trail back': [{ item: 'trailFlare', by: 'less' }],
  'lead back': [{ item: 'leadFlare', by: 'more' }],
  'lead through': [{ item: 'leadFlare', by: 'less' }],
  'trail through': [{ item: 'trailFlare', by: 'more' }],
};

const HIP_TURN: Remedy = { item: 'hipTurn', by: 'more' };

/**
 * What a student is never asked for because a leg hurt in its test.
 * @param hurts the stops whose leg could not be tested because it hurts
 * @returns the remedies left out
 */
export const sparedBy = (hurts: readonly StopName[]): Remedy[] =>
  hurts.length === 0 ? [] : [...hurts.flatMap((name) => SPARED[name]), HIP_TURN];

/**
 * The turns that are not asked for further than they go today, because a leg that would end them hurts.
 * @param body what hurt in the tests
 * @returns back, through, both or neither
 */
export const turnsSpared = ({ hurts }: TurningBody): Turn[] =>
  TURNS.filter((turn) =>
    hurts.some((name) => name !== 'trail through' && STOP_DEFINITIONS[name].turn === turn),
  );

/**
 * The caution that goes with it.
 * @param body what hurt in the tests; null where nothing was tested
 * @returns one caution, or none
 */
export function hurtCautions(body: TurningBody | null): Caution[] {
  if (!body || body.hurts.length === 0) return [];
  return [
    {
      caution: 'A leg hurt in its test. It is never asked to turn further that way than it does today.',
      notSuggested: 'Feet that make that leg turn further, and more turn of the hips.',
      instead: 'What turns the foot instead of the leg, and a shorter swing.',
      deferTo: DOCTOR,
      reason: 'That leg hurt in its test: it is not asked to turn further.',
      source: '',
      withholds: sparedBy(body.hurts),
      limits: [],
      prefers: [],
    },
  ];
}
