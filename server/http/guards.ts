import { OWNER_HEADER, faultsOf, ownerOf } from '@pedastance/contract';
import type { Request, RequestHandler } from 'express';
import { z } from 'zod';
import { accessHasEnded } from '../store/accounts';
import { badInput, Refusal } from './problems';
import type { Services } from './services';

const SAFE_METHODS = ['GET', 'HEAD', 'OPTIONS'];

/**
 * A write has to come from a page of this origin: the public one where there is one, else the one that the
 * page was asked for by, which on this machine alone is one of its own names.
 */
export function sameOrigin(publicOrigin: string | undefined): RequestHandler {
  return (request, _response, next) => {
    if (SAFE_METHODS.includes(request.method)) return next();
    const allowed = publicOrigin ?? `http://${request.get('host')}`;
    if (request.get('origin') === allowed) return next();
    throw new Refusal(403, 'other-origin', 'A write has to come from the app itself');
  };
}

const OWNER = z.tuple([z.uuid(), z.uuid()]);

/** Tells a device whose session is gone because its coach's access was ended. @throws Refusal where it was */
export async function refuseEnded({ pool }: Services, request: Request): Promise<void> {
  const owner = OWNER.safeParse(request.get(OWNER_HEADER)?.split(':'));
  if (!owner.success) return;
  if (await accessHasEnded(pool, ...owner.data))
    throw new Refusal(401, 'access-ended', 'Your access to this academy has ended');
}

/** Lets only a signed-in instructor through, and never with a request that names another as its owner. */
export const instructorOnly =
  (services: Services): RequestHandler =>
  async (request, _response, next) => {
    const { identity } = request.session;
    if (!identity) {
      await refuseEnded(services, request);
      throw new Refusal(401, 'signed-out', 'Sign in first');
    }
    const madeFor = request.get(OWNER_HEADER);
    if (madeFor !== undefined && madeFor !== ownerOf(identity)) {
      throw new Refusal(401, 'another-owner', 'Somebody else is signed in on this browser now');
    }
    next();
  };

/** Refuses a request that names no owner: all but streams, which browsers open without headers of ours. */
export const ownerNamed: RequestHandler = (request, _response, next) => {
  if (request.get(OWNER_HEADER) !== undefined) return next();
  throw badInput(OWNER_HEADER, 'the owner the request is made for', 'nothing');
};

/**
 * Lets only the app itself begin a download, which is noted in the coach's name: a browser opens it without headers of ours, but
 * says where it was begun (Fetch Metadata Request Headers, W3C, section 2.3), and a link elsewhere cannot say the app.
 */
export const begunInApp: RequestHandler = (request, _response, next) => {
  if (request.get('sec-fetch-site') === 'same-origin' || request.get(OWNER_HEADER) !== undefined)
    return next();
  throw new Refusal(403, 'other-origin', 'A file is saved from the app itself');
};

/** What proxies add, and what some of them write in its place. */
const FORWARDED = [
  ...['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'via', 'x-real-ip'],
  ...['true-client-ip', 'cf-connecting-ip'],
];
const LOOPBACK = /^(::ffff:)?127\.|^::1$/;

/**
 * Without a public origin the server serves its own machine, and nothing that comes through a proxy or by
 * another name: there the demo accounts sign in, and cookies go over plain HTTP.
 */
export const thisMachineOnly: RequestHandler = (request, _response, next) => {
  const host = (request.get('host') ?? '').replace(/:\d+$/, '');
  const named = ['127.0.0.1', 'localhost', '[::1]'].includes(host);
  const direct = LOOPBACK.test(request.socket.remoteAddress ?? '');
  if (named && direct && !FORWARDED.some((name) => request.get(name))) {
    return next();
  }
  throw new Refusal(421, 'not-here', 'This server is set up for its own machine only', {
    detail: 'To be reached from elsewhere it needs PUBLIC_ORIGIN, and TRUSTED_PROXIES for a proxy in front.',
  });
};

/** With a public origin plain HTTP is sent on to it, and refused for anything but reading. */
export function httpsOnly(publicOrigin: string): RequestHandler {
  return (request, response, next) => {
    if (request.secure) return next();
    if (['GET', 'HEAD'].includes(request.method)) {
      return response.redirect(308, `${publicOrigin}${request.originalUrl}`);
    }
    throw new Refusal(403, 'https-only', `Use ${publicOrigin}`);
  };
}

/** The body, parsed. @throws Refusal naming each field, what was expected and what was found. */
export function parsedBody<Shape extends z.ZodType>(schema: Shape, body: unknown): z.output<Shape> {
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  const faults = faultsOf(parsed.error, body);
  throw new Refusal(422, 'bad-input', 'The input was refused', { faults });
}
