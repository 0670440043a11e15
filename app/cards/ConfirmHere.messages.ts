/** What is said where a sign-in is used elsewhere than it began. */
export const messages = {
  confirm: 'Type your password once more',
  why: 'This sign-in began in another browser, on another network. Until you do, no file is saved here, nobody’s access changes and nobody is erased. Signing out and in again does as well.',
  password: 'Your password',
  itIsMe: 'It is me',
};
