/** What this screen says. */
export const messages = {
  triedAndToBeKept: 'Tried, and to be kept.',
  triedAndNotShown: 'Tried, and not shown: the old setup stays.',
  triedAndToBeDropped: 'Tried, and to be dropped.',
  onToKeeping: 'On to keeping it',
  backToTodaysFeet: 'Back to today’s feet',
  trySomethingElse: 'Try something else',
  theTrial: 'The trial',
};
