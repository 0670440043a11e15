/** What this screen says. */
export const messages = {
  howFarTheHipsTurn: 'How far the hips turn each way',
  howFarTheyNeed: 'How far they need to',
  whatIsMissing: 'What is missing',
  theLegThatStops: 'The leg that stops the turn',
  theWeightInTheSole: 'The weight in the sole',
  theStanceLineThrough: 'The stance line, through the toes',
  theLineThroughTheHeels: 'The line through the heels',
  faintNotMeasuredYet: 'Faint: not measured yet',
  dashedTheOtherFeetBefore: 'Dashed: the other feet, before or offered',
  whereTheClubGoesThrough: 'Where the club goes through the ball',
  whatThePlanShows: 'What the plan shows',
  theFeetSeenFromAbove: 'The feet, seen from above',
};
