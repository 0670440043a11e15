import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer, request as ask, type ClientRequest, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Request } from 'express';
import { Refusal } from '../http/problems';
import { SENT, sweepUploads, withUpload } from '../http/upload';

/** What the server came to with an upload: what was in it, or why it was refused. */
type Outcome = { folder: string; text: string } | { refused: string };

let server: Server;
let outcomes: Promise<Outcome>[];
/** Lets the work on files end that have come in. */
let finish: () => void;

beforeEach(async () => {
  outcomes = [];
  const worked = new Promise<void>((resolve) => (finish = resolve));
  server = createServer((request, response) => {
    const sent = Object.assign(request, {
      get: (name: string) => request.headers[name] as string | undefined,
    }) as unknown as Request;
    const read = async (folder: string): Promise<Outcome> => {
      await worked;
      return { folder, text: readFileSync(join(folder, SENT), 'utf8') };
    };
    const outcome = withUpload(sent, request.url!, read, 300).catch((error: Error) => ({
      refused: error instanceof Refusal ? error.kind : 'ended',
    }));
    outcomes.push(outcome);
    void outcome.then(() => response.end());
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterEach(async () => {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
});

function upload(academy: string): ClientRequest {
  const { port } = server.address() as AddressInfo;
  const sending = ask({ port, host: '127.0.0.1', path: academy, method: 'POST' }, (answer) =>
    answer.resume(),
  );
  sending.on('error', () => undefined);
  sending.write('one line\n');
  return sending;
}

const until = async (holds: () => boolean): Promise<void> => {
  while (!holds()) await new Promise((resolve) => setTimeout(resolve, 5));
};

test('one file of an academy at a time; another academy’s is read meanwhile; nothing is left behind', async () => {
  const first = upload('/lantern');
  await until(() => outcomes.length === 1);
  upload('/lantern').end();
  upload('/harbour').end();
  await until(() => outcomes.length === 3);
  expect(await outcomes[1]).toEqual({ refused: 'import-open' });
  first.end();
  finish();
  const [one, , other] = await Promise.all(outcomes);
  for (const read of [one, other]) expect(read).toMatchObject({ text: 'one line\n' });
  await until(() => !existsSync((one as { folder: string }).folder));
  upload('/lantern').end();
  await until(() => outcomes.length === 4);
  expect(await outcomes[3]).toMatchObject({ text: 'one line\n' });
});

test('an upload of which nothing comes is ended, and gives its place back', async () => {
  finish();
  upload('/lantern');
  await until(() => outcomes.length === 1);
  expect(await outcomes[0]).toEqual({ refused: 'ended' });
  upload('/lantern').end();
  await until(() => outcomes.length === 2);
  expect(await outcomes[1]).toMatchObject({ text: 'one line\n' });
});

test('what a killed server left is swept, what a running one has is not', async () => {
  const folderOf = (pid: number) => mkdtempSync(join(tmpdir(), `pedastance-import-${pid}-`));
  // No process has a number so high; this one's parent runs.
  const [dead, running] = [folderOf(2 ** 22 + 1), folderOf(process.ppid)];
  await sweepUploads();
  expect([existsSync(dead), existsSync(running)]).toEqual([false, true]);
  rmSync(running, { recursive: true });
});
