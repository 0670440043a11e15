import type { Identity } from '@pedastance/contract';
import { useAccount } from './account';
import { deviceDatabase } from './database';
import { closeOutbox, discardWrite, openOutbox, post, sendQueue, useOutbox, type Post } from './outbox';
import { closeRecords, openRecords, useRecords } from './records';

const identity = (name: string): Identity => ({
  academyId: `academy-${name}`,
  academyName: name,
  instructorId: name,
  instructorName: name,
});
const OWNER = 'academy-ada:ada';

interface Sent {
  path: string;
  owner: string | undefined;
  body: { id: string };
}

/** A server that answers as told: with a status, or not at all. */
function serverAnswering(decide: (sent: Sent) => number | 'away') {
  const sent: Sent[] = [];
  globalThis.fetch = (async (path: string, request: RequestInit) => {
    const headers = request.headers as Record<string, string>;
    const queued = {
      path,
      owner: headers['x-pedastance-owner'],
      body: JSON.parse((request.body as string) ?? 'null'),
    };
    sent.push(queued);
    const status = decide(queued);
    if (status === 'away') throw new TypeError('Failed to fetch');
    const problem = { type: '', title: 'Refused', status, detail: 'name: expected more, found less.' };
    const answer = { ok: status < 400, status, json: async () => (status < 400 ? queued.body : problem) };
    return answer as Response;
  }) as typeof fetch;
  return sent;
}

const lesson = (id: string, studentId = 'student'): Post => ({
  subjectId: studentId,
  label: `Lesson ${id}`,
  writing: { route: 'lesson', body: { id, studentId, startedAt: '2026-05-01T10:00:00Z' } },
});

const settle = () => new Promise((resolve) => setTimeout(resolve, 50));

beforeAll(() => {
  globalThis.AbortSignal.timeout ??= () => new AbortController().signal;
});

beforeEach(async () => {
  const database = await deviceDatabase();
  await database.clear('outbox');
  useAccount.setState({ status: 'signed in', identity: identity('ada') });
  await openRecords(OWNER);
  await openOutbox(OWNER);
});

afterEach(() => {
  closeOutbox();
  closeRecords();
});

test('queued writes go out in order, for their owner, and leave the outbox when they have landed', async () => {
  const sent = serverAnswering(() => 201);
  await post([lesson('one'), lesson('two')]);
  await settle();
  expect(sent.map((queued) => queued.body.id)).toEqual(['one', 'two']);
  expect(new Set(sent.map((queued) => queued.owner))).toEqual(new Set([OWNER]));
  expect(useOutbox.getState().queue).toEqual([]);
});

test('while the server is away they stay, and each goes out once it is back', async () => {
  let away = true;
  const sent = serverAnswering(() => (away ? 'away' : 201));
  await post([lesson('one'), lesson('two')]);
  await settle();
  expect(useOutbox.getState().queue).toHaveLength(2);
  expect(useRecords.getState().serverAway).toBe(true);
  // Nothing after the first is tried while the server is away.
  expect(sent).toHaveLength(1);
  away = false;
  await sendQueue();
  expect(sent.slice(1).map((queued) => queued.body.id)).toEqual(['one', 'two']);
  expect(useOutbox.getState().queue).toEqual([]);
  expect(useRecords.getState().serverAway).toBe(false);
});

test('they are on the device as soon as they are posted, whatever becomes of the page', async () => {
  serverAnswering(() => 'away');
  await post([lesson('one')]);
  const kept = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', OWNER);
  expect(kept.map((queued) => queued.writing.body.id)).toEqual(['one']);
});

test('a refused write waits for the coach and holds back its student’s later ones, not another’s', async () => {
  const sent = serverAnswering(({ body }) => (body.id === 'bad' ? 422 : 201));
  await post([lesson('bad', 'a'), lesson('after', 'a'), lesson('other', 'b')]);
  await settle();
  expect(sent.map((queued) => queued.body.id)).toEqual(['bad', 'other']);
  const { queue } = useOutbox.getState();
  expect(queue.map((queued) => [queued.writing.body.id, queued.refusal?.status])).toEqual([
    ['bad', 422],
    ['after', undefined],
  ]);
  await discardWrite(queue[0]!);
  await settle();
  expect(sent.map((queued) => queued.body.id)).toEqual(['bad', 'other', 'after']);
  expect(useOutbox.getState().queue).toEqual([]);
});

test('an expired session keeps everything and sends nothing more', async () => {
  const sent = serverAnswering(() => 401);
  await post([lesson('one'), lesson('two')]);
  await settle();
  expect(useAccount.getState().status).toBe('expired');
  expect(sent).toHaveLength(1);
  await sendQueue();
  expect(sent).toHaveLength(1);
  expect(useOutbox.getState().queue).toHaveLength(2);
});

test('another coach sees none of it and sends none of it', async () => {
  const away = serverAnswering(() => 'away');
  await post([lesson('one')]);
  await settle();
  closeOutbox();
  useAccount.setState({ status: 'signed in', identity: identity('bo') });
  await openOutbox('academy-bo:bo');
  expect(useOutbox.getState().queue).toEqual([]);
  const sent = serverAnswering(() => 201);
  await sendQueue();
  await settle();
  expect(sent).toEqual([]);
  expect(away).toHaveLength(1);
  const kept = await (await deviceDatabase()).getAllFromIndex('outbox', 'byOwner', OWNER);
  expect(kept).toHaveLength(1);
});
