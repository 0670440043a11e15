import type { Body } from '../build';
import {
  flareToeKept,
  setBallAlong,
  setBallOut,
  setStanceWidth,
  setToeLine,
  type Balance,
  type Setup,
} from '../ground';
import { bandsFor, type HouseMethod, type Played } from '../method';
import { NOT_LOOKED_AT } from '../posture';
import { ITEM_DEFINITIONS, isPostureItem } from '../reading/items';
import { ITEMS, type Finding, type Item } from '../reading/types';
import { startingSetup } from './start';

/** Puts one item of a setup to `value` (mm, degrees or percent), moving as little else as it can. */
export function withItem(setup: Setup, item: Item, value: number): Setup {
  const { address, balance, posture = NOT_LOOKED_AT } = setup;
  if (isPostureItem(item)) {
    const figures = { ...posture.figures, [item]: { value, by: 'measured' as const } };
    return { ...setup, posture: { ...posture, figures } };
  }
  switch (item) {
    case 'stanceWidth':
      return { ...setup, address: setStanceWidth(address, value) };
    case 'leadFlare':
      return { ...setup, address: flareToeKept(address, 'lead', value) };
    case 'trailFlare':
      return { ...setup, address: flareToeKept(address, 'trail', value) };
    case 'stanceLine':
      return { ...setup, address: setToeLine(address, value) };
    case 'ballAlong':
      return { ...setup, address: setBallAlong(address, value) };
    case 'ballOut':
      return { ...setup, address: setBallOut(address, value) };
    default:
      return { ...setup, balance: { ...balance, [item satisfies keyof Balance]: value } };
  }
}

/**
 * The setup with the findings' items put to the middle of their bands, from the ground up. Flares
 * are turned with the toe kept on its line, width is made with the trail foot alone.
 */
export function withSuggestions(setup: Setup, findings: readonly Finding[]): Setup {
  return findings.reduce((moved, finding) => withItem(moved, finding.item, finding.middle), setup);
}

/** The items that a drawing of the feet and the load alone can be put to. */
const DRAWN_ITEMS = ITEMS.filter((item) => !isPostureItem(item));

/** The feet and the load as a method would have them: every drawn item in the middle of its band. */
export function setupAsTaught(method: HouseMethod, body: Body, played: Played): Setup {
  const { figures } = bandsFor(method, body, played);
  return DRAWN_ITEMS.reduce(
    (setup, item) => {
      const band = figures[ITEM_DEFINITIONS[item].question];
      return band ? withItem(setup, item, band.middle) : setup;
    },
    startingSetup(body.build, played.clubLengthInches),
  );
}
