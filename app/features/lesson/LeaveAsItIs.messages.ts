/** What this screen says. */
export const messages = {
  foldWhatIsLeft: 'Fold what is left as it is',
  leaveSomething: 'Leave something as it is',
  leaveAs: 'Leave as it is',
};
