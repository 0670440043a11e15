import { flareToeKept, setBallAlong, setStanceWidth, setToeLine, type Setup } from '../ground';
import type { Finding, Item } from '../reading';

/** Puts one item of a setup to `value` (mm, degrees or percent), moving as little else as it can. */
export function withItem(setup: Setup, item: Item, value: number): Setup {
  const { address, balance } = setup;
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
    default:
      return { ...setup, balance: { ...balance, [item]: value } };
  }
}

/**
 * The setup with the findings' items put to the middle of their bands, from the ground up. Flares
 * are turned with the toe kept on its line, width is made with the trail foot alone.
 */
export function withSuggestions(setup: Setup, findings: readonly Finding[]): Setup {
  return findings.reduce((moved, finding) => withItem(moved, finding.item, finding.middle), setup);
}
