import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  height: 'Height',
  hips: 'Hips',
  shouldersOuter: 'Shoulders, outer',
  soleLength: 'Sole length',
  soleBreadth: 'Sole breadth',
  noBuildYetTheBands: 'No build yet. The bands that go by the body need one.',
  measured: '■ measured',
  estimated: '□ estimated',
  taken: (day: Said) => `Taken ${day}`,
  theNoteSeemsToSay: (open: Said) => `The note seems to say: ${open}. Confirm it or wave it away`,
  instead: (instead: Said) => `Instead: ${instead}`,
  notSuggestedInstead: (notSuggested: Said, instead: Said) =>
    `Not suggested: ${notSuggested} Instead: ${instead}`,
  whatItRestsOn: 'What it rests on',
};
