/** Two hundred coaches in a minute: each opens the list and a student, records a lesson and hears four shots. */
import type { MonitorShot } from '@pedastance/contract';
import { newStandIn, landRecord } from '../../server/test/bodies';
import type { Coach, World } from '../../server/test/world';
import { ORIGIN, ranked, report, signedIn } from './coach';

const COACHES = 200;
const WITHIN_MS = 60_000;
const SHOTS = 4;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** The id of the shot that an event of the stream brings; none where it brings none. */
const shotIn = (event: string): string[] =>
  event
    .split('\n')
    .filter((line) => line.startsWith('data: '))
    .map((line) => (JSON.parse(line.slice(6)) as MonitorShot).id);

/** Hears a session's shots until so many have come or a minute is over. */
async function hear({ headers }: Coach, sessionId: string): Promise<number> {
  const control = new AbortController();
  const timer = setTimeout(() => control.abort(), 60_000);
  const heard = new Set<string>();
  try {
    const response = await fetch(`${ORIGIN}/api/stand-in/${sessionId}/shots`, {
      headers,
      signal: control.signal,
    });
    let text = '';
    for await (const chunk of response.body!.pipeThrough(new TextDecoderStream())) {
      text += chunk;
      const events = text.split('\n\n');
      text = events.pop()!;
      for (const id of events.flatMap(shotIn)) heard.add(id);
      if (heard.size === SHOTS) break;
    }
  } catch {
    // Time is up: what was heard counts.
  } finally {
    clearTimeout(timer);
    control.abort();
  }
  return heard.size;
}

async function main(): Promise<void> {
  const { coach: first, method } = await signedIn();
  const world = { method } as World;
  const coaches = [first];
  while (coaches.length < COACHES) coaches.push((await signedIn()).coach);
  const [lists, lessons]: [number[], number[]] = [[], []];
  let lost = 0;
  let failed = 0;
  const timed = async <Result>(into: number[], work: () => Promise<Result>): Promise<Result> => {
    const startedAt = performance.now();
    const result = await work();
    into.push(performance.now() - startedAt);
    return result;
  };
  const visit = async (coach: Coach, at: number) => {
    await pause((at / COACHES) * WITHIN_MS);
    try {
      const { students } = (await timed(lists, () => coach.ask('GET', '/api/students'))).body;
      await timed(lists, () => coach.ask('GET', `/api/students/${students[0].id}`));
      // Each of a record's eight writes is a request that the coach's strip waits for.
      const timedCoach: Coach = { ...coach, ask: (...given) => timed(lessons, () => coach.ask(...given)) };
      const { student } = await landRecord(world, timedCoach);
      const standIn = newStandIn(student.id, { shots: SHOTS });
      const heard = hear(coach, standIn.sessionId);
      await timedCoach.ask('POST', '/api/stand-in', standIn);
      lost += SHOTS - (await heard);
    } catch (error) {
      failed += 1;
      process.stderr.write(`${(error as Error).message}\n`);
    }
  };
  await Promise.all(coaches.map(visit));
  report({ list: ranked(lists), write: ranked(lessons), lost, failed });
}

void main();
