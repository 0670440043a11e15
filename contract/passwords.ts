/** Limits of passwords, without Zod, for the app's forms. */

/** Long rather than tricky: length is what makes guessing hopeless (NIST SP 800-63B, section 5.1.1.2, from memory). */
export const LEAST_PASSWORD = 10;
export const MOST_PASSWORD = 200;
