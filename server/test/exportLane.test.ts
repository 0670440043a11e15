import { createServer, get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { endUnread, inExportLane } from '../http/exportLane';

const forever = async function* () {
  for (;;) yield 'x'.repeat(64 * 1024);
};

/** How an endless download ends that is read slowly, or not at all. */
async function downloaded(reads: boolean): Promise<string> {
  let ended = 'open';
  const server = createServer((_request, response) => {
    const stop = endUnread(response, 300);
    void pipeline(Readable.from(forever()), response).then(
      () => (ended = 'sent'),
      () => (ended = 'ended'),
    );
    response.on('close', stop);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const request = get({ port: (server.address() as AddressInfo).port, host: '127.0.0.1' }, (answer) => {
    if (reads) answer.resume();
    answer.on('error', () => undefined);
  });
  request.on('error', () => undefined);
  await new Promise((resolve) => setTimeout(resolve, 900));
  const then = ended;
  request.destroy();
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  return then;
}

test('a download that nobody reads is ended; one that is read goes on', async () => {
  expect(await downloaded(false)).toBe('ended');
  expect(await downloaded(true)).toBe('open');
});

test('a coach saves two files at a time, all coaches four, and then the next', async () => {
  const finish: (() => void)[] = [];
  const save = (coach: string) =>
    inExportLane(coach, () => new Promise<void>((resolve) => finish.push(resolve))).then(
      () => 'saved',
      ({ status }: { status: number }) => status,
    );
  const saving = [save('ada'), save('ada'), save('ada'), save('bo'), save('bo'), save('cy')];
  expect(await Promise.all([saving[2], saving[5]])).toEqual([429, 503]);
  finish.forEach((each) => each());
  expect(await Promise.all([saving[0], saving[1], saving[3], saving[4]])).toEqual(Array(4).fill('saved'));
  const again = save('cy');
  await Promise.resolve();
  finish.at(-1)!();
  expect(await again).toBe('saved');
});
