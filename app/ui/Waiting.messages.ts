/** What this screen says. */
export const messages = {
  oneMoment: 'One moment …',
};
