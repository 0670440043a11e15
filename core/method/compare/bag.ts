import {
  setupAsTaught,
  asPlayed,
  bandsFor,
  CLUBS_AND_SHOTS,
  type Bands,
  type HouseMethod,
  type Played,
} from '..';
import type { Body } from '../../turn';
import { moveFoot, toePoint, type Setup } from '../../setup';

export interface ClubAsTaught {
  played: Played;
  bands: Bands;
  /** The feet as this method would have this body stand with this club. */
  setup: Setup;
}

/**
 * A setup moved straight in or out until its lead toe is as far from the target line as another's,
 * so that feet for clubs of different lengths can be seen over one another.
 * @param setup that is moved
 * @param other that it is laid on
 * @returns the setup, moved straight in or out
 */
export function laidOnLeadToe(setup: Setup, other: Setup): Setup {
  const out = toePoint(other.address, 'lead').y - toePoint(setup.address, 'lead').y;
  const address = moveFoot(moveFoot(setup.address, 'lead', 0, out), 'trail', 0, out);
  return { ...setup, address };
}

/**
 * One method for one body through the whole bag, longest club first, pitches after full shots.
 * @param method the house method
 * @param body the build and legs
 * @returns a setup for each club and shot
 */
export function wholeBag(method: HouseMethod, body: Body): ClubAsTaught[] {
  const inOrder = [
    ...CLUBS_AND_SHOTS.filter(({ shot }) => shot === 'full'),
    ...CLUBS_AND_SHOTS.filter(({ shot }) => shot === 'pitch'),
  ];
  return inOrder.map((each) => {
    const played = asPlayed(each);
    return { played, bands: bandsFor(method, body, played), setup: setupAsTaught(method, body, played) };
  });
}
