import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  agreeWithThisStudent: (words: Said) => `Agree with this student on ${words}:`,
  thisClub: 'This club',
  forThisClub: (words: Said) => `For this club: ${words}`,
  allClubs: 'All clubs',
  forAllClubs: (words: Said) => `For all clubs: ${words}`,
  turnTheShouldersInstead: (angle: Said) => `Turn the shoulders ${angle} instead`,
  changeTheMethod: 'Change the method',
  agreed: (exceptionWords: Said, day: Said, clubWords: Said) =>
    `${exceptionWords} Agreed ${day}, ${clubWords}.`,
  agreedWith: (words: Said, day: Said, band: string | null) =>
    `Agreed ${day}: ${words}.${band === null ? '' : ` The method has ${band}.`}`,
  letItGo: 'Let it go',
  letGoOf: (words: Said) => `Let it go: ${words}`,
  findAgain: 'Still growing: find it again.',
  endIt: 'End it',
  endBand: (bandWords: Said) => `End it: ${bandWords}`,
};
