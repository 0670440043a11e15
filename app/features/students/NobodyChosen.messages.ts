/** What this screen says. */
export const messages = {
  pickAStudentToBegin: 'Pick a student to begin.',
  theirLogOpensHereWhat:
    'Their log opens here: what was found, what was changed, and any old address on the plan again. A lesson starts from there.',
};
