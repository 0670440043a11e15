/** What this card says. */
export const messages = {
  ladders: 'Field tests',
  line: (name: string, day: string) => `${name}, ${day}`,
};
