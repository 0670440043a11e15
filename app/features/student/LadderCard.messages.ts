/** What this card says. */
export const messages = {
  ladders: 'Ladders',
  line: (name: string, day: string) => `${name}, ${day}`,
};
