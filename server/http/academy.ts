import { randomBytes } from 'node:crypto';
import {
  AcceptInvite,
  ChangeColleague,
  ChangePassword,
  EndSession,
  InviteCode,
  NewInvite,
  NewResetLink,
  StartAcademy,
  UseResetLink,
  WithdrawInvite,
  type Identity,
} from '@pedastance/contract';
import { PRESETS } from '@pedastance/core/method/presets';
import type { Request, RequestHandler, Response } from 'express';
import type { ClientBase } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { isCommonPassword } from '../accounts/commonPasswords';
import { hashPassword, inSignInLane } from '../accounts/passwords';
import { tokenHash } from '../accounts/sessions';
import {
  academyPeople,
  acceptInvite,
  accountByEmail,
  changeColleague,
  changePassword,
  endOwnSession,
  findInvite,
  findResetLink,
  isOwner,
  makeResetLink,
  ownSessions,
  startAcademy,
  useResetLink as setByLink,
  withdrawInvite,
  type Newcomer,
} from '../store/accounts';
import { noteAct } from '../store/audit';
import { inAcademy } from '../store/database';
import { addMethodVersion } from '../store/methods';
import { insertRow } from '../store/rows';
import { accountBehind, changedMeanwhile, countedAttempt, withPassword } from './attempt';
import { withDeviceNames } from './deviceName';
import { parsedBody } from './guards';
import { badInput, Refusal } from './problems';
import type { Services } from './services';
import { openSession } from './signIn';

/** An invitation ends by itself after so long (starting value), ms. */
const INVITE_LASTS_MS = 7 * 24 * 60 * 60 * 1000;

/** A link that sets a password ends by itself after so long (starting value), ms. */
const RESET_LASTS_MS = 24 * 60 * 60 * 1000;

/** The secret of a new link. */
const newCode = (): string => InviteCode.parse(randomBytes(32).toString('base64url'));

export const refuseCommon = (field: string, password: string): void => {
  if (isCommonPassword(password)) throw badInput(field, 'a password that few others have', 'a common one');
};

const knownAddress = (): Refusal =>
  new Refusal(409, 'known-address', 'This e-mail address has an account already', {
    detail: 'Sign in with it instead.',
  });

/** The methods of a new academy: all schools, the chosen one first. */
async function addHouseMethods(
  client: ClientBase,
  { academyId, instructorId }: Pick<Identity, 'academyId' | 'instructorId'>,
  first: string,
): Promise<void> {
  const ordered = [...PRESETS].sort((a, b) => Number(b.key === first) - Number(a.key === first));
  const now = Date.now();
  for (const [at, { contents }] of ordered.entries()) {
    // Lessons begin with the oldest of them.
    const madeAt = new Date(now + at);
    const id = uuidv7({ msecs: madeAt.getTime() });
    const body = { id, methodId: id, version: 1, madeAt: madeAt.toISOString(), ...contents };
    await addMethodVersion(client, body, { academyId, instructorId, receivedAt: madeAt });
  }
}

const newcomer = async (name: string, email: string, password: string): Promise<Newcomer> => ({
  instructorId: uuidv7(),
  name,
  email,
  passwordHash: await hashPassword(password),
});

/** Signs a newcomer in as from the sign-in itself. */
async function welcome(services: Services, email: string, request: Request, response: Response) {
  const account = await accountByEmail(services.pool, email);
  await openSession(services, account!, request, response);
}

/** Begins an academy of one's own, at once and signed in. */
export const startOwnAcademy =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { academyName, name, email, password, method } = parsedBody(StartAcademy, request.body);
    if (!PRESETS.some(({ key }) => key === method))
      throw badInput('method', 'a school that is there', method);
    refuseCommon('password', password);
    await countedAttempt(services, email, request, async () => {
      const owner = await newcomer(name, email, password);
      const academy = { id: uuidv7(), name: academyName };
      // Owner, academy and methods stand together or not at all.
      await inAcademy(services.pool, academy.id, async (client) => {
        if (!(await startAcademy(client, academy, owner, new Date()))) throw knownAddress();
        await services.attempts.begun(request.ip ?? '');
        await addHouseMethods(client, { academyId: academy.id, instructorId: owner.instructorId }, method);
      });
    });
    await welcome(services, email, request, response);
  };

const noInvite = (): Refusal =>
  new Refusal(410, 'no-invitation', 'This invitation is not open', {
    detail: 'It was used, withdrawn, or has ended. Ask for a new one.',
  });

/** What the link of an invitation is to. */
export const invitedTo =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { code } = parsedBody(AcceptInvite.pick({ code: true }), request.body);
    const invite = await findInvite(pool, tokenHash(code), new Date());
    if (!invite) throw noInvite();
    response.json(invite);
  };

/** Joins an academy by an invitation, once, and signed in. */
export const joinAcademy =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { code, name, email, password } = parsedBody(AcceptInvite, request.body);
    refuseCommon('password', password);
    await countedAttempt(services, email, request, async () => {
      const joined = await acceptInvite(
        services.pool,
        tokenHash(code),
        await newcomer(name, email, password),
        new Date(),
      );
      if (joined === 'no invitation') throw noInvite();
      if (joined === 'known address') throw knownAddress();
    });
    const { identity } = (await accountByEmail(services.pool, email))!;
    await inAcademy(services.pool, identity.academyId, (client) => noteAct(client, identity, 'joined'));
    await welcome(services, email, request, response);
  };

export const notOwner = (): Refusal =>
  new Refusal(403, 'owners-only', 'Only an owner of the academy may do this');

/** @throws Refusal where somebody is no owner of this academy, or not in any more */
export async function refuseUnlessOwner(client: ClientBase, instructorId: string): Promise<void> {
  if (!(await isOwner(client, instructorId))) throw notOwner();
}

/** Who is in, and who is invited. */
export const people =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { academyId } = request.session.identity!;
    response.json(
      await inAcademy(pool, academyId, (client) => academyPeople(client, new Date()), 'read only'),
    );
  };

/** Makes an invitation; its secret is answered this once, and kept as a hash. */
export const invite =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { role } = parsedBody(NewInvite, request.body);
    const { academyId, instructorId } = request.session.identity!;
    const code = newCode();
    const madeAt = new Date();
    const expiresAt = new Date(madeAt.getTime() + INVITE_LASTS_MS);
    await inAcademy(pool, academyId, async (client) => {
      await refuseUnlessOwner(client, instructorId);
      await insertRow(client, 'invite', {
        academy_id: academyId,
        id: uuidv7(),
        code_hash: tokenHash(code),
        role,
        made_by: instructorId,
        made_at: madeAt,
        expires_at: expiresAt,
      });
      await noteAct(client, request.session.identity!, 'invited');
    });
    response.status(201).json({ code, expiresAt });
  };

export const takeInviteBack =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { id } = parsedBody(WithdrawInvite, request.body);
    const { academyId, instructorId } = request.session.identity!;
    const withdrawn = await inAcademy(pool, academyId, async (client) => {
      await refuseUnlessOwner(client, instructorId);
      return withdrawInvite(client, instructorId, id, new Date());
    });
    if (!withdrawn) throw noInvite();
    response.status(204).end();
  };

/** Changes what a colleague may do, or ends access at once. */
export const changeRole =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { id, role, ends } = parsedBody(ChangeColleague, request.body);
    const { academyId, instructorId } = request.session.identity!;
    const changed = await inAcademy(pool, academyId, async (client) => {
      const done = await changeColleague(client, { actor: instructorId, whom: id, role, ends }, new Date());
      const act = ends ? 'access ended' : 'role changed';
      if (done === 'done') await noteAct(client, request.session.identity!, act, { whom: id });
      return done;
    });
    if (changed === 'not an owner') throw notOwner();
    if (changed === 'nobody') throw badInput('id', 'a colleague who is in', id);
    if (changed === 'last owner')
      throw new Refusal(409, 'last-owner', 'An academy needs an owner', {
        detail: 'Make a colleague an owner first.',
      });
    response.status(204).end();
  };

const tokenOf = (request: Request): Buffer => tokenHash(request.sessionID);

/** Changes the password, and ends every other session of the account. */
export const newPassword =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { before, after } = parsedBody(ChangePassword, request.body);
    refuseCommon('after', after);
    const { pool } = services;
    const account = await accountBehind(
      services,
      request,
      'The demo’s password is printed, and stays as it is',
    );
    await withPassword(services, request, account, { field: 'before', given: before }, async () => {
      const hashes = { shownHash: account.passwordHash, newHash: await hashPassword(after) };
      if (!(await changePassword(pool, tokenOf(request), hashes, new Date()))) throw changedMeanwhile();
    });
    response.status(204).end();
  };

export const listSessions =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    response.json(withDeviceNames(await ownSessions(pool, tokenOf(request), new Date())));
  };

export const endSession =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { id } = parsedBody(EndSession, request.body);
    if (!(await endOwnSession(pool, tokenOf(request), id, new Date())))
      throw badInput('id', 'another open session of yours', id);
    response.status(204).end();
  };

/** Makes a link for a colleague who forgot the password; its secret is answered this once. */
export const resetColleague =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { id } = parsedBody(NewResetLink, request.body);
    const { academyId, instructorId } = request.session.identity!;
    const code = newCode();
    const at = new Date();
    const until = new Date(at.getTime() + RESET_LASTS_MS);
    const link = { actor: instructorId, whom: id, id: uuidv7(), codeHash: tokenHash(code), until };
    const made = await inAcademy(pool, academyId, async (client) => {
      const done = await makeResetLink(client, link, at);
      if (done === 'made') await noteAct(client, request.session.identity!, 'reset link made', { whom: id });
      return done;
    });
    if (made === 'not an owner') throw notOwner();
    if (made === 'nobody') throw badInput('id', 'a colleague who is in', id);
    response.status(201).json({ code, expiresAt: until });
  };

const noReset = (): Refusal =>
  new Refusal(410, 'no-reset', 'This link is not open', {
    detail: 'It was used, or has ended. Ask for a new one.',
  });

/** Whose password the link sets. */
export const resetFor =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { code } = parsedBody(UseResetLink.pick({ code: true }), request.body);
    const of = await findResetLink(pool, tokenHash(code), new Date());
    if (!of) throw noReset();
    response.json(of);
  };

/** Sets a new password by the link, once; every session of the account ends. */
export const resetPassword =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { code, password } = parsedBody(UseResetLink, request.body);
    refuseCommon('password', password);
    const codeHash = tokenHash(code);
    const done = await inSignInLane(request.ip ?? '', async () => {
      // The slow hash is made for open links alone.
      if (!(await findResetLink(services.pool, codeHash, new Date()))) return false;
      return setByLink(services.pool, codeHash, await hashPassword(password), new Date());
    });
    if (!done) throw noReset();
    response.status(204).end();
  };
