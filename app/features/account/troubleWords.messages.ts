const FIELDS: Record<string, string> = {
  email: 'E-mail address',
  password: 'Password',
  after: 'New password',
  before: 'Password now',
  name: 'Your name',
  academyName: 'Academy',
};

/** What is said where an account’s request did not go through. */
export const messages = {
  fault: (field: string, expected: string, found: string) =>
    `${FIELDS[field] ?? field}: expected ${expected}, found ${found}`,
  tryAgain: (title: string) => `${title}. Try again.`,
  theServerDoesNotAnswer: 'The server does not answer. Check the connection and try again.',
};
