import type { MatFrames } from '@pedastance/contract';
import { Id } from '@pedastance/contract';
import type { RequestHandler } from 'express';
import { MAT_RATE, shotsBesideMat, simulatedMat } from '../devices/mat/simulatedMat';
import type { MatFrame } from '../devices/mat/types';
import { whoStands } from '../devices/mat/whoStands';
import { inAcademy } from '../store/database';
import { findMatSession } from '../store/matSessions';
import { badInput, Refusal } from './problems';
import { reduced } from './reduced';
import type { Services } from './services';

/** Frames are sent together this often, ms: a screen shows no more. */
const SEND_EVERY_MS = 40;
/** A listener that was away for longer than this many frames goes on with the newest of them. */
const MOST_AT_ONCE = 1500;
/** A stream is let go after so long, so that whoever signed out hears no more; the browser comes back by itself, ms. */
const LONGEST_MS = 60_000;
/** A student stands on the mat no longer than this, ms. */
const SESSION_MS = 30 * 60_000;
const MOST_UNSENT_BYTES = 512 * 1024;

/** The number of the last frame that a listener has; -1 where it has none. */
function lastFrame(header: string | undefined, asked: unknown): number {
  const found = header ?? asked ?? -1;
  const number = Number(found);
  if (Number.isInteger(number) && number >= -1 && number <= 2 ** 31 - 1) return number;
  const field = header === undefined ? 'after' : 'last-event-id';
  throw badInput(field, 'the number of a frame', String(found).slice(0, 40));
}

const tenth = (value: number): number => Math.round(value * 10) / 10;

/** A frame as it is sent: the load of each foot and its centre. */
function sent(frame: MatFrame): MatFrames['frames'][number] {
  const { lead, trail } = reduced(frame);
  return [
    ...([lead.load, tenth(lead.along), tenth(lead.across)] as const),
    ...([trail.load, tenth(trail.along), tenth(trail.across)] as const),
  ];
}

/**
 * Sends the stand-in mat's frames as they come, as server-sent events (WHATWG HTML, 9.2). Each event's id is its last frame's
 * number: whoever comes back goes on after it, at this server or another, for a frame is a function of the session and its
 * number alone.
 */
export const matStream =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const session = Id.safeParse(request.params.sessionId);
    const { academyId } = request.session.identity!;
    const found =
      session.success && (await inAcademy(pool, academyId, (client) => findMatSession(client, session.data)));
    if (!found) throw new Refusal(404, 'not-found', 'No such session');
    let next = lastFrame(request.get('last-event-id'), request.query.after) + 1;
    const { id, studentId, route, leadShare, along, startedAt } = found;
    const stands = whoStands(studentId, id, route, { lead: leadShare, along });
    const mat = simulatedMat(stands);
    const shotsBetween = shotsBesideMat(stands);
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      // no-transform: the compression middleware would hold events back.
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    });
    if (request.method === 'HEAD') return void response.end();
    response.write('retry: 500\n\n');
    const opened = Date.now();
    const send = (): void => {
      const now = Date.now();
      const since = now - startedAt.getTime();
      if (now - opened > LONGEST_MS || since > SESSION_MS || response.writableLength > MOST_UNSENT_BYTES)
        return void response.end();
      const newest = Math.floor((since * MAT_RATE) / 1000);
      next = Math.max(next, newest - MOST_AT_ONCE + 1);
      if (next > newest) return;
      const frames = Array.from({ length: newest - next + 1 }, (_, at) => sent(mat.frame(next + at)));
      const at = (frame: number): number => (1000 * frame) / MAT_RATE;
      const shots = shotsBetween(at(next - 1), at(newest));
      const data: MatFrames = { from: next, rate: MAT_RATE, frames, shots };
      response.write(`id: ${newest}\nevent: frames\ndata: ${JSON.stringify(data)}\n\n`);
      next = newest + 1;
    };
    const timer = setInterval(send, SEND_EVERY_MS);
    response.on('close', () => clearInterval(timer));
  };
