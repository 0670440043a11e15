import { randomBytes } from 'node:crypto';
import { RECOVERY_CODES, RenewRecovery, UseRecovery } from '@pedastance/contract';
import { base32 } from '@scure/base';
import type { RequestHandler } from 'express';
import { hashPassword } from '../accounts/passwords';
import { tokenHash } from '../accounts/sessions';
import { recoveryCodesLeft, renewRecoveryCodes, useRecoveryCode } from '../store/accounts';
import { refuseCommon } from './academy';
import { accountBehind, changedMeanwhile, countedAttempt, withPassword } from './attempt';
import { parsedBody } from './guards';
import { Refusal } from './problems';
import type { Services } from './services';

const CODE_BYTES = 10;

/** A code as it is shown, in four groups of four. */
const newCode = (): string => base32.encode(randomBytes(CODE_BYTES)).replace(/(.{4})(?=.)/g, '$1-');

const hashOf = (code: string): Buffer => tokenHash(code.replaceAll('-', ''));

/** How many recovery codes are left. */
export const recoveryLeft =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    response.json({ left: await recoveryCodesLeft(pool, tokenHash(request.sessionID), new Date()) });
  };

/** Makes new recovery codes in place of the old ones; they are answered this once, and kept as hashes. */
export const renewRecovery =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { password } = parsedBody(RenewRecovery, request.body);
    const { pool } = services;
    const token = tokenHash(request.sessionID);
    const account = await accountBehind(
      services,
      request,
      'The demo’s password is printed, and needs no codes',
    );
    const codes = Array.from({ length: RECOVERY_CODES }, newCode);
    await withPassword(services, request, account, { field: 'password', given: password }, async () => {
      if (!(await renewRecoveryCodes(pool, token, account.passwordHash, codes.map(hashOf), new Date())))
        throw changedMeanwhile();
    });
    response.status(201).json({ codes });
  };

/** Sets a new password by a recovery code: the same work and the same answer for known and unknown addresses. */
export const recover =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { email, code, password } = parsedBody(UseRecovery, request.body);
    refuseCommon('password', password);
    await countedAttempt(services, email, request, async () => {
      const newHash = await hashPassword(password);
      if (!(await useRecoveryCode(services.pool, { email, codeHash: tokenHash(code), newHash }, new Date())))
        throw new Refusal(401, 'wrong-code', 'The e-mail address or the code is not right', {
          detail: 'One code works once, and ends the others.',
        });
    });
    response.status(204).end();
  };
