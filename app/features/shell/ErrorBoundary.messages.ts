/** What this screen says. */
export const messages = {
  aPartOfTheApp: 'A part of the app could not be loaded.',
  thisScreenHasFailed: 'This screen has failed.',
  itMayHaveBeenUpdated:
    'It may have been updated, or there is no connection. Reload to go on; what you entered is kept.',
  whatYouEnteredIsKept: 'What you entered is kept on this device. Reload to go on.',
  reload: 'Reload',
};
