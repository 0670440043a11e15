/** A coach who asks the running product over HTTP, as the app does. */
import { OWNER_HEADER, ownerOf, type Identity } from '@pedastance/contract';
import type { HouseMethod } from '@pedastance/core';
import { sessionCookie } from '../../server/test/sessionCookie';
import type { Answer, Coach } from '../../server/test/world';

export const ORIGIN = process.env.ORIGIN!;
export const ADMIN_URL = process.env.ADMIN_URL!;
export const LANTERN = 'coach@lanternhill.example';
const PASSWORD = 'paper-and-tape';

async function ask(
  method: string,
  path: string,
  body: unknown,
  headers: Record<string, string>,
): Promise<Answer> {
  const response = await fetch(`${ORIGIN}${path}`, {
    method,
    headers: {
      origin: ORIGIN,
      ...(body !== undefined && { 'content-type': 'application/json' }),
      ...headers,
    },
    ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  const text = await response.text();
  return {
    status: response.status,
    body:
      /\/(problem\+)?json/.test(response.headers.get('content-type') ?? '') && text ? JSON.parse(text) : text,
    headers: response.headers,
  };
}

/** A coach signed in, and the academy's first house method. */
export async function signedIn(
  email = LANTERN,
  password = PASSWORD,
): Promise<{ coach: Coach; method: HouseMethod }> {
  const answer = await ask('POST', '/api/session', { email, password }, {});
  if (answer.status !== 201) throw new Error(`sign-in: ${answer.status} ${JSON.stringify(answer.body)}`);
  const identity = answer.body.identity as Identity;
  const cookie = sessionCookie(answer.headers).split(';')[0]!;
  const headers = { cookie, [OWNER_HEADER]: ownerOf(identity) };
  const coach: Coach = {
    identity,
    email,
    headers,
    ask: (method, path, body, more = {}) => ask(method, path, body, { ...headers, ...more }),
  };
  const { methods } = (await coach.ask('GET', '/api/changes')).body;
  return { coach, method: methods[0] };
}

/** Figures by rank, of a list that is sorted in place. */
export function ranked(values: number[]) {
  values.sort((a, b) => a - b);
  const at = (share: number) => values[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;
  return { median: at(0.5), p95: at(0.95), most: at(1) };
}

/** The last line is what the bench reads. */
export const report = (figures: object): void => void process.stdout.write(`\n${JSON.stringify(figures)}\n`);
