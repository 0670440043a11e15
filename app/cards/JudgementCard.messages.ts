/** What this screen says. */
export const messages = {
  stopsYou: 'Stops you',
  weDo: 'We do',
  itBuys: 'It buys',
};
