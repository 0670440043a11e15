import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  bothOrNoSide: 'Both, or no side',
  where: 'Where',
  sideOfTheBody: 'Side of the body',
  what: 'What',
  since: 'Since',
  lastWinter: 'last winter',
  clearedForGolf: 'Cleared for golf by',
  leftEmptyADoctor: 'Left empty, a doctor or physiotherapist comes first.',
  keepTheFact: 'Keep the fact',
  leaveIt: 'Leave it',
  factsToMind: 'Facts to mind',
  whatIsWritten: 'What is written in the note bars nothing. What is kept here does, on its side of the body.',
  itIsOver: 'It is over',
  itIsBack: 'It is back',
  theNoteSeemsToSay: (factName: Said) => `The note seems to say: ${factName}. Is it so?`,
  yesKeep: 'Yes, keep it',
  yesKeepFact: (factName: Said) => `Yes, keep it: ${factName}`,
  noFact: (factName: Said) => `No: ${factName}`,
  addAFact: 'Add a fact',
};
