/** What this screen says. */
export const messages = {
  whatTheShotsSaid: 'What the shots said',
};
