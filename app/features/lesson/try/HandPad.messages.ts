/** What this screen says. */
export const messages = {
  started: 'Started',
  curved: 'Curved',
  strike: 'Strike',
  balance: 'Balance',
  held: 'held',
  lost: 'lost',
  turn: 'Turn',
  shotDone: 'Shot done',
};
