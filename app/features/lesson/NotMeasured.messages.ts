import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  notMeasuredSoNotRead: (names: Said) => `Not measured, so not read: ${names}.`,
  theFeetStandAsDrawn: 'The feet stand as drawn',
  placeThem: 'Place them',
  onTheLeadFoot: (leadShare: Said) => `${leadShare}% on the lead foot, as drawn`,
  noteTheBalance: 'Note the balance',
};
