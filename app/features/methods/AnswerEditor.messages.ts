import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  thePlumbLineMeets: 'The plumb line meets the shoes',
  solesTurnedSquare: 'soles turned square',
  clubLength: (at: Said) => `Club length ${at}`,
  middle: (at: Said) => `Middle ${at}`,
  solesBesideTheShoulders: (at: Said) => `Soles beside the shoulders ${at}`,
  whatItTakes: 'What it takes',
  whichClubsGetAnAnswer: 'Which clubs get an answer of their own?',
  clubsWithAnAnswer: 'Clubs with an answer of their own',
  giveThemTheirOwn: 'Give them their own',
  leaveIt: 'Leave it',
  rule: 'Rule',
  bandBelowTheMiddle: 'Band, below the middle',
  bandAboveTheMiddle: 'Band, above the middle',
  differentForSomeClubs: 'Different for some clubs',
  differentForClubs: (clubsWords: Said) => `Different for some clubs: ${clubsWords}`,
  likeTheOtherClubs: 'Like the other clubs',
  likeOtherClubs: (clubsWords: Said) => `Like the other clubs: ${clubsWords}`,
};
