/** What is said where a sign-in is used elsewhere than it began. */
export const messages = {
  confirm: 'Type your password once more',
  why: 'This sign-in began in another browser, on another network. Until you do, you save no records to a file, change nobody’s access and ask for no erasure. Signing out and in again does as well.',
  password: 'Your password',
  itIsMe: 'It is me',
};
