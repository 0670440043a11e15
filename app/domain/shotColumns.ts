import type { Column } from '@pedastance/core/formats';

/** What each figure of a shot is called in a table, and in a file's mapping. */
export const COLUMN_NAMES: Record<Column, string> = {
  path: 'Club path',
  face: 'Club face',
  startLine: 'Start line',
  curve: 'Curve',
  clubSpeed: 'Club speed',
  ballSpeed: 'Ball speed',
  carry: 'Carry',
  side: 'Side',
  attack: 'Attack',
  divotStart: 'Divot starts',
  divotEnd: 'Divot ends',
  teeHeight: 'Tee height',
  strike: 'Strike',
  mishit: 'Mishit',
};
