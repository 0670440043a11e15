import type { LadderSwing, OwnLadderFigure } from '@pedastance/core/ladder';
import type { Said } from '../../domain/said';

const figures: Record<OwnLadderFigure, string> = {
  trailFlare: 'Trail toe out',
  leadFlare: 'Lead toe out',
  stanceWidth: 'Width',
  setback: 'Trail toe back',
  ballAlong: 'Ball inside the lead heel',
};
const swings: Record<LadderSwing, string> = {
  turn: 'Turns',
  'half swing': 'Half swings',
  'full swing': 'Full swings',
};

/** What this screen says. */
export const messages = {
  figures,
  swings,
  title: 'Ladders',
  none: 'None yet. Build one, or take some from a file.',
  library: 'Ladders to begin from',
  add: 'Build a ladder',
  from: (first: Said, last: Said, step: Said) => `From ${first} to ${last}, by ${step}`,
  counts: (passes: Said) => `It counts when ${passes}`,
  name: 'Name',
  purpose: 'What it finds, in one sentence',
  moves: 'What is moved',
  passes: 'It counts when …',
  passesHelp: 'Say lead and trail; a card says the student’s own sides.',
  passing: 'More of it',
  more: 'Helps, from some rung on',
  less: 'Works up to some rung',
  swing: 'What is swung',
  first: 'First rung',
  last: 'Last rung',
  step: 'Step',
  notMinors: 'Not for minors',
  save: 'Save the ladder',
  cancel: 'Cancel',
  fault: (field: Said, expected: Said, found: Said) => `${field}: expected ${expected}, found ${found}.`,
};
