import { Id } from '@pedastance/contract';
import type { RequestHandler } from 'express';
import { tokenHash } from '../accounts/sessions';
import { inAcademy } from '../store/database';
import { findMatSession } from '../store/matSessions';
import { answeredHead, beginEvents, lastEvent, sendEvent } from './eventStream';
import { Refusal } from './problems';
import type { Services } from './services';

/** A listener that is this far behind is cut off; it comes back and goes on after the last frame it read. */
const MOST_UNSENT_BYTES = 512 * 1024;

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
    const next = lastEvent(request, -1, 'the number of a frame') + 1;
    if (answeredHead(request, response)) return;
    const leave = matFeed.listen({
      academyId,
      token: tokenHash(request.sessionID),
      session,
      next,
      send: (event) => sendEvent(response, event, MOST_UNSENT_BYTES),
      end: () => response.end(),
    });
    response.on('close', leave);
    beginEvents(response, 500);
  };
