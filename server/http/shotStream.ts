import { Id } from '@pedastance/contract';
import type { RequestHandler } from 'express';
import { tokenHash } from '../accounts/sessions';
import { answeredHead, beginEvents, eventText, LARGEST_NUMBER, lastEvent, sendEvent } from './eventStream';
import { Refusal } from './problems';
import type { ShotFeed } from './shotFeed';

/** A comment is sent this often, so that nothing between takes a quiet stream for a dead one. */
const KEEP_ALIVE_MS = 10_000;
/** A reader that is this far behind is cut off; it comes back and goes on after the last shot it read. */
const MOST_UNSENT_BYTES = 256 * 1024;

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
    const seen = lastEvent(request, 0, `a whole number from 0 to ${LARGEST_NUMBER}`);
    if (answeredHead(request, response)) return;
    const leave = feed.listen({
      token: tokenHash(request.sessionID),
      sessionId: session.data,
      seen,
      send: (shot) => sendEvent(response, eventText(shot.number, 'shot', shot), MOST_UNSENT_BYTES),
      end: () => response.end(),
    });
    beginEvents(response, 1000);
    const keepAlive = setInterval(() => response.write(': still here\n\n'), KEEP_ALIVE_MS);
    response.on('close', () => {
      clearInterval(keepAlive);
      leave();
    });
  };
