/** What is asked of somebody who begins an academy or joins one. */
export const messages = {
  yourName: 'Your name',
  eMailAddress: 'E-mail address',
  password: 'Password',
  nameExpected: 'Your name: expected one, found nothing',
  emailExpected: (found: string) => `E-mail address: expected name@place, found “${found}”`,
};
