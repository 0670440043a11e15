import {
  CHANGE_NAMES,
  ITEM_NAMES,
  capitalised,
  clubById,
  differences,
  figureWithUnit,
  inFootWords,
  instructions,
  lengthFigure,
  lineWords,
  type Difference,
  type Finding,
  type Hand,
  type Setup,
  type Speech,
  type Unit,
} from '@pedastance/core';
import { usePreferences } from '../../state/preferences';

/** How this coach wants a student of this hand spoken of. */
export function useSpeech(hand: Hand): Speech {
  const length = usePreferences((state) => state.length);
  const feet = usePreferences((state) => state.feet);
  return { length, feet, hand };
}

/** A band's ends, with its unit once; a line's ends as open and closed. */
export function bandWords(
  { item, low, high, unit }: Pick<Finding, 'item' | 'low' | 'high' | 'unit'>,
  speech: Speech,
): string {
  if (item === 'stanceLine') return `${lineWords(low)} to ${lineWords(high)}`;
  const bare = (value: number): string => {
    if (unit === 'mm') return lengthFigure(value, speech.length);
    return String(Math.round(value)).replace('-', '\u2212');
  };
  const unitWord = { mm: speech.length === 'cm' ? ' cm' : ' in', degrees: '°', percent: ' %' }[unit];
  return `${bare(low)} to ${bare(high)}${unitWord}`;
}

export const itemName = (item: Finding['item'], speech: Speech): string =>
  capitalised(inFootWords(ITEM_NAMES[item], speech.feet, speech.hand));

export const changeName = (change: Difference['change'], speech: Speech): string =>
  capitalised(inFootWords(CHANGE_NAMES[change], speech.feet, speech.hand));

export const figure = (value: number, unit: Unit, speech: Speech): string =>
  figureWithUnit(value, unit, speech.length);

/** What was measured for an item, as a coach says it. */
export const itemFigure = (item: Finding['item'], value: number, unit: Unit, speech: Speech): string =>
  item === 'stanceLine' ? lineWords(value) : figure(value, unit, speech);

export const spoken = (text: string, speech: Speech): string => inFootWords(text, speech.feet, speech.hand);

/** Instructions that take one setup to the other. */
export const tellChange = (from: Setup, to: Setup, speech: Speech): string[] =>
  instructions(differences(from, to), from.address.shoe.length, speech);

export const clubAndShot = (club: Parameters<typeof clubById>[0], shot: 'full' | 'pitch'): string =>
  shot === 'pitch' ? `${clubById(club).name}, pitch` : clubById(club).name;
