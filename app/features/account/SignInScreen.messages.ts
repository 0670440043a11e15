import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  forgot: 'Forgot the password?',
  startAnAcademy: 'Start an academy of your own',
  eMailAddressExpectedName: (email: Said) => `E-mail address: expected name@place, found "${email}"`,
  passwordExpectedOneFoundNothing: 'Password: expected one, found nothing',
  pedastance: 'Pedastance',
  theAddressPositionMeasuredAgainst:
    'The address position, measured against the body and the club, and kept.',
  theSessionOfHasEnded: (instructorName: Said) =>
    `The session of ${instructorName} has ended. What was not sent is kept on this device and goes out when ${instructorName} signs in again.`,
  eMailAddress: 'E-mail address',
  password: 'Password',
  signingIn: 'Signing in …',
  signIn: 'Sign in',
  byPasskey: 'Sign in with a passkey',
  coachingSupportNotMedicalAdvice: 'Coaching support, not medical advice.',
};
