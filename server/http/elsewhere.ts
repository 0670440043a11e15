import { ConfirmSession, type SessionPlace } from '@pedastance/contract';
import type { Request, RequestHandler } from 'express';
import { LONGEST_DEVICE, tokenHash } from '../accounts/sessions';
import { confirmSession } from '../store/accounts';
import { accountBehind, changedMeanwhile, withPassword } from './attempt';
import { parsedBody } from './guards';
import { Refusal } from './problems';
import type { Services } from './services';

/** Whether a session is used by another browser than it was opened in, from another network: one of both changes by itself. */
function isElsewhere({ networkHash }: Services, request: Request): boolean {
  const { device, network } = request.session;
  if (device === undefined || !network) return false;
  const sameDevice = device === (request.get('user-agent') ?? '').slice(0, LONGEST_DEVICE);
  return !sameDevice && !networkHash(request.ip ?? '').equals(network);
}

/** Asks for the password again before what belongs to all is handed out or ended, where a session is used elsewhere. */
export const confirmedSession =
  (services: Services): RequestHandler =>
  (request, _response, next) => {
    if (!isElsewhere(services, request)) return next();
    throw new Refusal(403, 'confirm-session', 'Confirm your password first', {
      detail: 'This sign-in comes from another browser and another network than it began in.',
    });
  };

/** Whether the password is asked for before that. */
export const sessionPlace =
  (services: Services): RequestHandler =>
  (request, response) => {
    const place: SessionPlace = { elsewhere: isElsewhere(services, request) };
    response.json(place);
  };

/** The password once more: from then on the session belongs to this browser and network. */
export const confirmSessionHere =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { password } = parsedBody(ConfirmSession, request.body);
    const { pool, networkHash } = services;
    const token = tokenHash(request.sessionID);
    const account = await accountBehind(services, request, null);
    await withPassword(services, request, account, { field: 'password', given: password });
    const here = { device: request.get('user-agent') ?? '', network: networkHash(request.ip ?? '') };
    if (!(await confirmSession(pool, token, account.passwordHash, here, new Date())))
      throw changedMeanwhile();
    response.status(204).end();
  };
