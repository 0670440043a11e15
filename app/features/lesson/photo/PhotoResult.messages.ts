import type { PhotoFault } from '@pedastance/core/photo';

/** What to do about a photo that is not good enough; the worst first. */
const faults: Record<PhotoFault, string> = {
  mirrored: 'The feet stand the other way round. Was lead taken for trail, or is the picture mirrored?',
  'too low': 'Too low to be sure. Hold the phone higher, and take it again.',
  'wrong side': 'Too far to the side. Stand straight in front or behind, or hold it right above.',
  'too coarse': 'Too far away to be sure. Go nearer, and take it again.',
  'not flat': 'The sheet does not lie flat. Weigh its corners down, and take it again.',
  'lead shoe': 'The lead shoe comes out another length than it is. Look at its marks.',
  'trail shoe': 'The trail shoe comes out another length than it is. Look at its marks.',
};

/** What this screen says. */
export const messages = {
  faults,
  nothing: 'These corners make no sheet. Tap them one after the other, going round.',
  asGoodAsATape: 'As good as a tape.',
  give: (figure: string, unsure: string) => `${figure}, give or take ${unsure}`,
  shoes: 'Shoes',
  shoeKinds: { golf: 'Golf shoes', trainer: 'Thick soles', flat: 'Flat soles' },
  use: 'Use these figures',
  useAnyway: 'Use them with their doubt',
  nobodyCanStand: 'Nobody can stand like that. Look at the marks.',
  printed: (percent: string) => `The sheet was printed at ${percent}%. That is taken into account.`,
  paperUnseen: 'The paper’s edges are not seen: its printed size is taken on trust.',
  sheetFound: 'Sheet found',
  sheetsFound: (count: number) => `${count} sheets found`,
  noSheetFound: 'No printed sheet was read. Lay it flat, or tap the corners of a plain one.',
  whichPaper: 'What lies there?',
  flats: { A4: 'A4', Letter: 'Letter', mat: 'A mat' },
  matSides: ['Long side', 'Short side'],
  matExpected: (range: string) => `expected ${range}`,
};
