/** What this screen says. */
export const messages = {
  plan: 'Plan',
  tape: 'Tape',
  photo: 'Photo',
  fieldTests: 'Tests',
  body: 'Body',
  pressure: 'Pressure',
  record: 'Record',
  tryIt: 'Try',
  cameFor: 'Came for',
  quickLook: 'Quick look',
  partsOfThisPlace: 'Parts of this place',
};
