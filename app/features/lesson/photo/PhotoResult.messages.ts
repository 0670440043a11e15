import type { PhotoFault, PhotoRemedy } from '@pedastance/core/photo';

/** What to do about a photo that is not good enough; the worst first. */
const faults: Record<PhotoFault, string> = {
  mirrored: 'The feet stand the other way round. Was lead taken for trail, or is the picture mirrored?',
  'behind a club': 'From behind, a club alone is a guess. Stand in front, or lay a sheet down.',
  'too low': 'Too low to be sure. Hold the phone higher, and take it again.',
  'wrong side': 'Too far to the side. Stand straight in front or behind, or hold it right above.',
  'too coarse': 'Too far away to be sure. Go nearer, and take it again.',
  'not flat': 'The sheet does not lie flat. Weigh its corners down, and take it again.',
  'lead shoe': 'The lead shoe comes out another length than it is. Look at its marks.',
  'trail shoe': 'The trail shoe comes out another length than it is. Look at its marks.',
};

/** What to do about a figure that is too unsure. */
const remedies: Record<PhotoRemedy, string> = {
  sheet: 'Lay a sheet between the feet, and take it again.',
  stick: 'Lay a stick along the target line, and take it again.',
  'whole sheet': 'Get the whole sheet into the photo, and take it again.',
  'sheet nearer': 'Lay the sheet nearer to the feet, and take it again.',
  higher: 'Hold the phone higher, above the feet, and take it again.',
  nearer: 'Go nearer, and take it again.',
};

/** What this screen says. */
export const messages = {
  faults,
  tooUnsure: (figure: string, remedy: PhotoRemedy) =>
    `${figure} is too unsure for what the method asks. ${remedies[remedy]}`,
  byClub: (unsure: string) => `With a sheet, the stance width would be give or take ${unsure}.`,
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
  laid: { A4: 'A4', Letter: 'Letter', mat: 'A mat', club: 'Only a club' },
  matSides: ['Long side', 'Short side'],
  clubLength: 'Its length',
  alongTheLine: 'Lay the club along the target line, beyond the ball.',
  expected: (range: string) => `expected ${range}`,
};
