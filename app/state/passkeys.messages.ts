/** What is said where the device's own dialog for passkeys came to nothing. */
export const messages = {
  noneGiven: 'No passkey was given',
  useThePassword: 'Sign in with the password.',
  noneMade: 'No passkey was made',
  pressAgain: 'Press again, and follow what the device asks.',
};
