import argon2 from 'argon2';

/** Hashes with argon2id at the library's own settings (RFC 9106's second choice: 64 MiB, three passes). */
export const hashPassword = (password: string): Promise<string> =>
  argon2.hash(password, { type: argon2.argon2id });

/** Checked when no account has the address, so that the answer takes as long either way. */
let nobody: Promise<string> | undefined;

export async function passwordMatches(hash: string | undefined, password: string): Promise<boolean> {
  nobody ??= hashPassword('nobody has this password');
  const matches = await argon2.verify(hash ?? (await nobody), password);
  return hash !== undefined && matches;
}
