/** What is said where a colleague joins. */
export const messages = {
  title: 'Join an academy',
  roles: { owner: 'an owner', instructor: 'an instructor' },
  invitedBy: (who: string, academy: string, role: string) => `${who} invites you to ${academy} as ${role}.`,
  signedInAs: (name: string) =>
    `${name} is signed in on this browser. Sign out first, then open the link again.`,
  joining: 'Joining …',
  join: 'Join',
  toTheStudents: 'To the students',
  signInInstead: 'Sign in instead',
  notMedicalAdvice: 'Coaching support, not medical advice.',
};
