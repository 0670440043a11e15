import { dictionary } from '@zxcvbn-ts/language-common';

/** What people choose most: some fifty thousand passwords from breaches, shipped with the package. */
const COMMON = new Set<string>(dictionary['passwords-common']);

/**
 * Whether a password is one that many choose, or one of those written again and again.
 * @param password as it was typed
 */
export function isCommonPassword(password: string): boolean {
  const plain = password.toLowerCase();
  if (COMMON.has(plain)) return true;
  for (let length = 1; length <= plain.length / 2; length += 1) {
    const part = plain.slice(0, length);
    const repeated = plain.length % length === 0 && part.repeat(plain.length / length) === plain;
    if (repeated && (length < 3 || COMMON.has(part))) return true;
  }
  return false;
}
