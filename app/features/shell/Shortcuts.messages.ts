/** What this screen says. */
export const messages = {
  keyboard: 'Keyboard',
};
