import { Id } from '@pedastance/contract';
import type { RequestHandler } from 'express';
import { tokenHash } from '../accounts/sessions';
import { badInput, Refusal } from './problems';
import type { ShotFeed } from './shotFeed';

/** A comment is sent this often, so that nothing between takes a quiet stream for a dead one. */
const KEEP_ALIVE_MS = 10_000;
/** A reader that is this far behind is cut off; it comes back and goes on after the last shot it read. */
const MOST_UNSENT_BYTES = 256 * 1024;
const LARGEST_NUMBER = 2 ** 31 - 1;

/** The number of the last shot this listener has seen; 0 where it has seen none. */
function lastSeen(header: string | undefined, asked: unknown): number {
  const found = header ?? asked ?? 0;
  const number = Number(found);
  if (Number.isInteger(number) && number >= 0 && number <= LARGEST_NUMBER) return number;
  throw badInput(
    header === undefined ? 'after' : 'last-event-id',
    `a whole number from 0 to ${LARGEST_NUMBER}`,
    String(found).slice(0, 40),
  );
}

/**
 * Sends a session's shots as they become ready, as server-sent events (WHATWG HTML, 9.2). Each event's
 * id is the shot's number, so that a client that reconnects goes on after the last one: no shot is sent
 * twice to it, and none is left out. The stream ends with the coach's session.
 */
export const shotStream =
  (feed: ShotFeed): RequestHandler =>
  (request, response) => {
    const session = Id.safeParse(request.params.sessionId);
    if (!session.success) throw new Refusal(404, 'not-found', 'No such session');
    const seen = lastSeen(request.get('last-event-id'), request.query.after);
    const headers = {
      'content-type': 'text/event-stream',
      // no-transform: the compression middleware would hold events back.
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    };
    if (request.method === 'HEAD') {
      response.writeHead(200, headers).end();
      return;
    }
    const leave = feed.listen({
      token: tokenHash(request.sessionID),
      sessionId: session.data,
      seen,
      send: (shot) => {
        if (response.writableLength > MOST_UNSENT_BYTES) response.destroy();
        else response.write(`id: ${shot.number}\nevent: shot\ndata: ${JSON.stringify(shot)}\n\n`);
      },
      end: () => response.end(),
    });
    response.writeHead(200, headers);
    response.write('retry: 1000\n\n');
    const keepAlive = setInterval(() => response.write(': still here\n\n'), KEEP_ALIVE_MS);
    response.on('close', () => {
      clearInterval(keepAlive);
      leave();
    });
  };
