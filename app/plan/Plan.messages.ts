/** What this screen says. */
export const messages = {
  hips: 'hips',
  target: 'target',
};
