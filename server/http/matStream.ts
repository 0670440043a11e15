import { Id } from '@pedastance/contract';
import type { RequestHandler } from 'express';
import { tokenHash } from '../accounts/sessions';
import { inAcademy } from '../store/database';
import { findMatSession } from '../store/matSessions';
import { badInput, Refusal } from './problems';
import type { Services } from './services';

/** A listener that is this far behind is cut off; it comes back and goes on after the last frame it read. */
const MOST_UNSENT_BYTES = 512 * 1024;

const HEADERS = {
  'content-type': 'text/event-stream',
  // no-transform: the compression middleware would hold events back.
  'cache-control': 'no-store, no-transform',
  'x-accel-buffering': 'no',
};

/** The number of the last frame that a listener has; -1 where it has none. */
function lastFrame(header: string | undefined, asked: unknown): number {
  const found = header ?? asked ?? -1;
  const number = Number(found);
  if (Number.isInteger(number) && number >= -1 && number <= 2 ** 31 - 1) return number;
  const field = header === undefined ? 'after' : 'last-event-id';
  throw badInput(field, 'the number of a frame', String(found).slice(0, 40));
}

/**
 * Sends the stand-in mat's frames as they come, as server-sent events (WHATWG HTML, 9.2). Each event's id is its last frame's
 * number: whoever comes back goes on after it, at this server or another, for a frame is a function of the session and its
 * number alone. The stream ends with the coach's session.
 */
export const matStream =
  ({ pool, matFeed }: Services): RequestHandler =>
  async (request, response) => {
    const asked = Id.safeParse(request.params.sessionId);
    const { academyId } = request.session.identity!;
    const session =
      asked.success && (await inAcademy(pool, academyId, (client) => findMatSession(client, asked.data)));
    if (!session) throw new Refusal(404, 'not-found', 'No such session');
    const next = lastFrame(request.get('last-event-id'), request.query.after) + 1;
    if (request.method === 'HEAD') return void response.writeHead(200, HEADERS).end();
    const leave = matFeed.listen({
      academyId,
      token: tokenHash(request.sessionID),
      session,
      next,
      send: (event) => {
        if (response.writableLength > MOST_UNSENT_BYTES) response.destroy();
        else response.write(event);
      },
      end: () => response.end(),
    });
    response.on('close', leave);
    response.writeHead(200, HEADERS);
    response.write('retry: 500\n\n');
  };
