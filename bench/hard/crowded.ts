/** Twenty coaches at work while somebody else takes what belongs to all: each kind of crowd beside them in turn. */
import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import type { MatFrames } from '@pedastance/contract';
import { landRecord, newMatSession } from '../../server/test/bodies';
import { sessionCookie } from '../../server/test/sessionCookie';
import type { Coach, World } from '../../server/test/world';
import { CROWD_PASSWORD, newAcademy, post, type Somebody } from './academies';
import { ORIGIN, ranked, report, signedIn } from './coach';
import { eraseMany, ERASURES_DUE, makeErasuresDue } from './erasures';

const COACHES = 20;
const AT_WORK_MS = 20_000;
/** Between one thing and the next: far more often than a coach, whose visit asks eleven times in some ten minutes. */
const PAUSE_MS = 1000;
/** The server's own code is warm before anything is counted, and all mats are open. */
const WARM_MS = 8000;
/** Between one mat that is opened and the next. */
const MATS_OPEN_MS = 60;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** The memory that the server holds, MB. */
function serverMemory(): number {
  const status = readFileSync(`/proc/${process.env.SERVER_PROCESS}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024;
}

/** Signed in once more: streams are counted by sessions. */
async function onceMore(who: Somebody, number: number): Promise<Somebody> {
  const answer = await fetch(`${ORIGIN}/api/session`, {
    method: 'POST',
    headers: { origin: ORIGIN, 'content-type': 'application/json' },
    body: JSON.stringify({ email: `crowd-${number}@bench.example`, password: CROWD_PASSWORD }),
  });
  return { ...who, headers: { ...who.headers, cookie: sessionCookie(answer.headers).split(';')[0]! } };
}

/** The frames that an event of a stream brings; none where it brings none. */
const framesIn = (event: string): MatFrames[] =>
  event
    .split('\n')
    .filter((line) => line.startsWith('data: '))
    .map((line) => JSON.parse(line.slice(6)) as MatFrames);

/** Listens to a mat until told to stop; how late each newest frame came, ms, goes into a list. */
async function listen(who: Somebody, late: number[], signal: AbortSignal): Promise<void> {
  const session = newMatSession(who.studentId);
  // Before the mat began, so that nothing is told less late than it was.
  const began = Date.now();
  await post(who, '/api/mat-sessions', session);
  const stream = await fetch(`${ORIGIN}/api/mat-sessions/${session.id}/frames`, {
    headers: who.headers,
    signal,
  }).catch(() => null);
  if (!stream?.ok) return;
  let text = '';
  try {
    for await (const chunk of stream.body!.pipeThrough(new TextDecoderStream())) {
      text += chunk;
      const events = text.split('\n\n');
      text = events.pop()!;
      for (const { from, frames, rate } of events.flatMap(framesIn))
        late.push(Math.max(0, Date.now() - began - (1000 * (from + frames.length - 1)) / rate));
    }
  } catch {
    // Told to stop.
  }
}

/** What coaches waited for, while something goes on beside them. */
async function beside(
  coaches: readonly Coach[],
  world: World,
  crowd: (signal: AbortSignal) => Promise<unknown>,
) {
  const control = new AbortController();
  const waits: number[] = [];
  let failed = 0;
  let memory = 0;
  const watching = setInterval(() => (memory = Math.max(memory, serverMemory())), 100);
  const crowded = crowd(control.signal).catch(() => undefined);
  const warmAt = Date.now() + WARM_MS;
  const until = Date.now() + AT_WORK_MS;
  const atWork = async (coach: Coach, at: number) => {
    await pause((PAUSE_MS * at) / COACHES);
    const timed: Coach = {
      ...coach,
      ask: async (...given) => {
        const began = performance.now();
        const answer = await coach.ask(...given);
        if (Date.now() > warmAt) waits.push(performance.now() - began);
        await pause(PAUSE_MS);
        return answer;
      },
    };
    while (Date.now() < until) {
      try {
        const { students } = (await timed.ask('GET', '/api/students')).body;
        await timed.ask('GET', `/api/students/${students[0].id}`);
        await landRecord(world, timed);
      } catch {
        failed += 1;
      }
    }
  };
  await Promise.all(coaches.map(atWork));
  control.abort();
  await crowded;
  clearInterval(watching);
  return { ...ranked(waits), failed, memory };
}

/** Sends one line of so many bytes as a file of records. */
const longLine = ({ headers }: Somebody, bytes: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    const sending = request(`${ORIGIN}/api/imports?step=preview`, {
      method: 'POST',
      headers: { ...headers, 'content-type': 'application/x-ndjson' },
      signal,
    });
    sending.on('error', () => resolve());
    sending.on('response', (answer) => answer.resume().on('end', resolve));
    const block = Buffer.alloc(1024 * 1024, 'x');
    let left = bytes / block.length;
    const more = (): void => {
      while (left > 0) {
        left -= 1;
        if (!sending.write(block)) return void sending.once('drain', more);
      }
      sending.end();
    };
    more();
  });

async function main(): Promise<void> {
  const { coach: first, method } = await signedIn();
  const world = { method } as World;
  const coaches = [first];
  while (coaches.length < COACHES) coaches.push((await signedIn()).coach);
  const crowd: Somebody[] = [];
  for (let number = 0; number < 10; number += 1) crowd.push(await newAcademy(number));
  // Six streams a session: ten listeners an academy are two sessions of it.
  const twice = await Promise.all(crowd.map(onceMore));
  const mats = (each: number, late: number[]) => (signal: AbortSignal) =>
    Promise.all(
      crowd.flatMap((who, at) =>
        Array.from({ length: each }, async (_mat, mat) => {
          await pause(MATS_OPEN_MS * (at + crowd.length * mat));
          return listen(mat < 5 ? who : twice[at]!, late, signal);
        }),
      ),
    );
  const late: number[] = [];
  const alone = await beside(coaches, world, async () => undefined);
  const thirty = await beside(coaches, world, mats(3, []));
  const hundred = await beside(coaches, world, mats(10, late));
  const line = await beside(coaches, world, (signal) => longLine(crowd[0]!, 400 * 1024 * 1024, signal));
  const signIns = await beside(coaches, world, async (signal) => {
    while (!signal.aborted)
      await Promise.all(
        Array.from({ length: 30 }, () =>
          post(crowd[0]!, '/api/session', { email: 'n@b.example', password: 'x' }),
        ),
      );
  });
  const unread = await beside(coaches, world, async (signal) => {
    const { headers } = first;
    const open = Array.from({ length: 12 }, () =>
      fetch(`${ORIGIN}/api/exports/academy`, { headers, signal }).catch(() => undefined),
    );
    await Promise.all(open);
  });
  await makeErasuresDue(crowd[1]!.studentId);
  let erased = 0;
  const erasures = await beside(coaches, world, async () => void (erased = await eraseMany()));
  report({
    kinds: { alone, thirty, hundred, line, signIns, unread, erasures },
    late: ranked(late),
    erased,
    due: ERASURES_DUE,
  });
}

void main();
