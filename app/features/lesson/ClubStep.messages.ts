import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  clubLengthExpectedFound: (expected: Said, nextWords: Said) =>
    `Club length: expected ${expected}, found ${nextWords}`,
  clubLength: 'Club length',
  aUsualLengthToBegin:
    'A usual length to begin with (common practice, no source); the width band goes by it.',
  clubAndShot: 'Club and shot',
  shot: 'Shot',
  fullSwing: 'Full swing',
  pitch: 'Pitch',
  aPitchIsPlayed: 'A pitch is played with an iron or a wedge.',
  sameFeetAsWith: (club: Said) => `Same feet as with the ${club}`,
  fromClub: (from: Said, to: Said) => `From ${from} to ${to}, as taught`,
  begunInThisLesson: (clubs: Said) => `Begun in this lesson, and waiting: ${clubs}.`,
  placeTheFeet: 'Place the feet',
  chooseAClubFirst: 'Choose a club first',
};
