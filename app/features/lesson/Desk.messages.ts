import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  set: 'Set',
  setTheTypedFigure: 'Set the typed figure',
  leaveTheFigure: 'Leave the figure as it was',
  howTheFootTurns: 'How the foot turns',
  toeKeptOnItsLine: 'Toe kept on its line',
  aboutTheHeel: 'About the heel',
  howTheFootGoesBack: 'How the foot goes back',
  flareKept: 'Flare kept',
  turnedWithTheLine: 'Turned with the line',
  takeTheLastMoveBack: 'Take the last move back',
  type: (name: Said) => `Type ${name}`,
};
