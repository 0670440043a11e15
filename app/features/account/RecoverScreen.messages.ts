/** What is said where a password is set by a recovery code. */
export const messages = {
  title: 'Forgot the password',
  how: 'Take one of your recovery codes. It works once.',
  email: 'E-mail address',
  code: 'Recovery code',
  password: 'New password',
  set: 'Set the password',
  noCode:
    'No code? An owner of your academy makes you a link, under Academy. The only owner asks whoever runs the server.',
  done: 'Set. Every session has ended: sign in with the new one.',
  signIn: 'Sign in',
};
