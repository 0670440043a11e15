/** What is said where a new password is set by a link. */
export const messages = {
  title: 'A new password',
  forWhom: (name: string, academy: string) => `For ${name}, ${academy}.`,
  password: 'New password',
  set: 'Set it',
  done: 'Set. Every session has ended: sign in with the new one.',
  signIn: 'Sign in',
};
