/** What this screen says. */
export const messages = {
  goesOn: '◐ Goes on',
  kept: '● Kept',
  notShownTheOldSetup: '○ Not shown, the old setup stays',
  dropped: '▼ Dropped',
  changesTakenApart: 'Changes taken apart',
};
