/** What this screen says. */
export const messages = {
  photo: 'Photo of the feet',
  fromAbove: 'Laid flat from above, to scale: the shoes are right, legs lean.',
  notHere: 'The photo needs the server. It is shown when there is a connection.',
  compareWith: 'Compare with',
  none: 'No other photo',
  how: 'How they are shown',
  sideBySide: 'Side by side',
  faded: 'One over the other',
  fade: 'How much of the later one is seen',
  earlier: (day: string) => `Earlier, ${day}`,
  later: (day: string) => `Later, ${day}`,
  alt: (day: string) => `The feet on ${day}, from above`,
  change: (from: string, to: string) => `${from} → ${to}`,
  remove: 'Delete this photo',
  removeAsk: 'Delete this photo for good?',
  removeYes: 'Delete it',
};
