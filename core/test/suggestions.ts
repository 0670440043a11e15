import { withFigure, type Item, type Setup } from '..';

/**
 * A setup with items put to the middle of their bands, from the ground up. Flares are turned with
 * the toe kept on its line, width is made with the trail foot alone.
 * @param setup the setup to begin from
 * @param findings the items, each with the middle of its band
 * @returns the new setup
 */
export const withSuggestions = (setup: Setup, findings: readonly { item: Item; middle: number }[]): Setup =>
  findings.reduce((moved, { item, middle }) => withFigure(moved, item, middle), setup);
