import { Id } from '@pedastance/contract';
import type { RequestHandler } from 'express';
import type { Pool } from 'pg';
import { inAcademy } from '../store/database';
import { readyShots } from '../store/standInShots';
import { Refusal } from './problems';

/** How often it is looked for shots that have become ready, and how often a quiet line is kept alive, ms. */
const POLL_INTERVAL_MS = 200;
const KEEP_ALIVE_MS = 10_000;

/** The number of the last shot this listener has seen; 0 where it has seen none. */
function lastSeen(header: string | undefined, asked: unknown): number {
  const number = Number(header ?? asked ?? 0);
  if (!Number.isInteger(number) || number < 0) {
    throw new Refusal(422, 'bad-input', 'The last shot seen has to be a whole number');
  }
  return number;
}

/**
 * Tells a session's shots as they become ready, as server-sent events (WHATWG HTML, 9.2). Each event's
 * id is the shot's number, so that whoever comes back after a lost connection goes on where it was:
 * no shot is told twice, and none is left out. Nothing is kept between two looks but the number.
 */
export const shotStream =
  (pool: Pool): RequestHandler =>
  async (request, response) => {
    const session = Id.safeParse(request.params.sessionId);
    if (!session.success) throw new Refusal(404, 'not-found', 'No such session');
    const { academyId } = request.session.identity!;
    let seen = lastSeen(request.get('last-event-id'), request.query.after);
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      // Not to be held back to be packed.
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    });
    response.write('retry: 1000\n\n');
    let quietSince = Date.now();
    let open = true;
    response.on('close', () => (open = false));
    while (open) {
      const shots = await inAcademy(pool, academyId, (client) =>
        readyShots(client, session.data, seen, new Date()),
      ).catch(() => null);
      // The database is away: the line is let go, and whoever listens comes back.
      if (!shots) break;
      for (const shot of shots) {
        response.write(`id: ${shot.number}\nevent: shot\ndata: ${JSON.stringify(shot)}\n\n`);
        seen = shot.number;
        quietSince = Date.now();
      }
      if (Date.now() - quietSince > KEEP_ALIVE_MS) {
        response.write(': still here\n\n');
        quietSince = Date.now();
      }
      await new Promise((resolve) => setTimeout(resolve, POLL_INTERVAL_MS));
    }
    response.end();
  };
