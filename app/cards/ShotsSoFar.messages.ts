/** What this screen says. */
export const messages = {
  shotsSoFar: 'Shots so far',
  shot: 'Shot',
};
