/** What this screen says. */
export const messages = {
  plan: 'Plan',
  tape: 'Tape',
  photo: 'Photo',
  ladders: 'Ladders',
  body: 'Body',
  record: 'Record',
  tryIt: 'Try',
  cameFor: 'Came for',
  quickLook: 'Quick look',
  partsOfThisPlace: 'Parts of this place',
};
