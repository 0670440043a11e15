/** What is said where a new password is typed. */
export const messages = {
  longBeatsTricky: (least: number) => `At least ${least} signs. Long beats tricky: a sentence will do.`,
  passwordExpected: (field: string, least: number, found: number) =>
    `${field}: expected at least ${least} signs, found ${found}`,
};
