import { createHmac, timingSafeEqual } from 'node:crypto';
import { parse } from 'cookie';
import type { Request, Response } from 'express';

const COOKIE = 'pedastance-known';
const YEAR_MS = 365 * 24 * 60 * 60 * 1000;
/** A device that several coaches share knows so many of them. */
const MOST_ACCOUNTS = 6;

const marksIn = (request: Request): string[] =>
  (parse(request.get('cookie') ?? '')[COOKIE] ?? '').split('.').filter(Boolean).slice(0, MOST_ACCOUNTS);

/**
 * Devices that have signed in to an account before, by a cookie that only this server can write. It lets nobody in: such a device
 * does not wait behind strangers.
 * @param secret the server's own
 * @param secure whether the cookie goes over HTTPS alone
 */
export function knownDevices(secret: string, secure: boolean) {
  const markOf = (email: string): string =>
    createHmac('sha256', secret).update(`known device of ${email}`).digest('base64url');
  const same = (one: string, other: string): boolean =>
    one.length === other.length && timingSafeEqual(Buffer.from(one), Buffer.from(other));
  return {
    isKnown: (request: Request, email: string): boolean =>
      marksIn(request).some((mark) => same(mark, markOf(email))),
    remember(request: Request, response: Response, email: string): void {
      const mark = markOf(email);
      const marks = [mark, ...marksIn(request).filter((each) => each !== mark)].slice(0, MOST_ACCOUNTS);
      response.cookie(COOKIE, marks.join('.'), {
        ...{ httpOnly: true, sameSite: 'lax', secure, path: '/api/session', maxAge: YEAR_MS },
      });
    },
  };
}

export type KnownDevices = ReturnType<typeof knownDevices>;
