import type { Request, Response } from 'express';
import { badInput } from './problems';

/** The largest number that an event may have. */
export const LARGEST_NUMBER = 2 ** 31 - 1;

const HEADERS = {
  'content-type': 'text/event-stream',
  // no-transform: the compression middleware would hold events back.
  'cache-control': 'no-store, no-transform',
  'x-accel-buffering': 'no',
};

/**
 * The number of the last event that a listener has, as it says when it comes back (WHATWG HTML, 9.2.4) or in its first request.
 * @param request of the listener
 * @param none the number where it has none, which is the least there is
 * @param expected what is expected there, in words
 * @throws Refusal naming it where it is no such number
 */
export function lastEvent(request: Request, none: number, expected: string): number {
  const header = request.get('last-event-id');
  const found = header ?? request.query.after ?? none;
  const number = Number(found);
  if (Number.isInteger(number) && number >= none && number <= LARGEST_NUMBER) return number;
  throw badInput(header === undefined ? 'after' : 'last-event-id', expected, String(found).slice(0, 40));
}

/** Answers a request for the head of a stream alone. @returns whether it was one */
export function answeredHead(request: Request, response: Response): boolean {
  if (request.method !== 'HEAD') return false;
  response.writeHead(200, HEADERS).end();
  return true;
}

/** Begins a stream; whoever loses it comes back after so long, ms. */
export function beginEvents(response: Response, retryMs: number): void {
  response.writeHead(200, HEADERS);
  response.write(`retry: ${retryMs}\n\n`);
}

/** An event as it is sent: what it is called, and the number that says how far its reader has come. */
export const eventText = (number: number, name: string, data: object): string =>
  `id: ${number}\nevent: ${name}\ndata: ${JSON.stringify(data)}\n\n`;

/** Sends an event. A reader that is so many bytes behind is cut off: it comes back and goes on after the last one it read. */
export function sendEvent(response: Response, event: string, mostUnsentBytes: number): void {
  if (response.writableLength > mostUnsentBytes) response.destroy();
  else response.write(event);
}
