import { OWNER_HEADER, faultsOf, ownerOf } from '@pedastance/contract';
import type { Request, RequestHandler } from 'express';
import type { z } from 'zod';
import { Refusal } from './problems';

const SAFE_METHODS = ['GET', 'HEAD', 'OPTIONS'];

/**
 * A write has to come from a page of this origin. `publicOrigin` is set off loopback; on loopback
 * this machine's own names are taken, at the port the request came to.
 */
export function sameOrigin(publicOrigin: string | undefined): RequestHandler {
  return (request, _response, next) => {
    if (SAFE_METHODS.includes(request.method)) return next();
    const port = request.socket.localPort;
    const allowed = publicOrigin
      ? [publicOrigin]
      : ['127.0.0.1', 'localhost', '[::1]'].map((host) => `http://${host}:${port}`);
    const origin = request.get('origin');
    if (origin && allowed.includes(origin)) return next();
    throw new Refusal(403, 'other-origin', 'A write has to come from the app itself');
  };
}

/** Lets only a signed-in instructor through, and only for requests made for that instructor. */
export const instructorOnly: RequestHandler = (request, _response, next) => {
  const identity = request.session.identity;
  if (!identity) throw new Refusal(401, 'signed-out', 'Sign in first');
  const madeFor = request.get(OWNER_HEADER);
  if (madeFor !== undefined && madeFor !== ownerOf(identity)) {
    throw new Refusal(401, 'another-owner', 'Somebody else is signed in on this browser now');
  }
  next();
};

/** The body, parsed. @throws Refusal naming each field, what was expected and what was found. */
export function parsedBody<Shape extends z.ZodType>(schema: Shape, request: Request): z.output<Shape> {
  const parsed = schema.safeParse(request.body);
  if (parsed.success) return parsed.data;
  const faults = faultsOf(parsed.error, request.body);
  throw new Refusal(422, 'bad-input', 'The input was refused', { faults });
}
