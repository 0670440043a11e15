/** What this screen says. */
export const messages = {
  shotDone: 'Shot done',
};
