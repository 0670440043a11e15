import { createWriteStream } from 'node:fs';
import { mkdtemp, readdir, rm, statfs } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { LARGEST_RECORDS_FILE } from '@pedastance/contract/recordsFile';
import type { Request } from 'express';
import { placesFor } from './places';
import { badInput, Refusal } from './problems';

/** A file that is sent lies on the disk until it has been read: one of an academy, a few in all. */
const inUploadPlace = placesFor({
  ofOne: 1,
  oneMore: () =>
    new Refusal(429, 'import-open', 'A file of this academy is being read already', {
      detail: 'Wait until it is done, then choose this one again.',
    }),
  inAll: 6,
  allTaken: () =>
    new Refusal(503, 'busy', 'Many files are being read just now', { detail: 'Try again in a minute.' }),
});

/** An upload of which nothing comes for so long is ended, ms. */
const SILENT_FOR_MS = 20_000;
/** So much of the disk is left to everything else, bytes. */
const LEFT_FREE = 512 * 1024 ** 2;
/** Room is looked for again after so many bytes. */
const LOOKED_EVERY = 64 * 1024 ** 2;

/** What was sent, and where: a folder of the request's own. */
export const SENT = 'sent.jsonl';
/** Folders say which process made them, so that those of one that was killed are known. */
const PREFIX = 'pedastance-import-';

const noRoom = (): Refusal =>
  new Refusal(503, 'no-room', 'The server has no room for this file just now', {
    detail: 'Try again later, or ask whoever runs the server.',
  });

/** @throws Refusal where a file of so many bytes, and what is made of it, would fill the disk */
async function checkRoom(folder: string, bytes: number): Promise<void> {
  const { bavail, bsize } = await statfs(folder);
  if (bavail * bsize < LEFT_FREE + 2 * bytes) throw noRoom();
}

const tooLarge = (): Refusal => badInput('file', 'at most 2 GiB', 'more');

/**
 * Keeps a body on disk while it comes.
 * @throws Refusal where it is larger than a file may be, or than there is room for, or nothing comes of it
 */
async function spooled(request: Request, folder: string, silentForMs: number): Promise<void> {
  const announced = Number(request.get('content-length') ?? 0);
  if (announced > LARGEST_RECORDS_FILE) throw tooLarge();
  await checkRoom(folder, announced);
  let bytes = 0;
  const silent = setTimeout(() => request.destroy(), silentForMs);
  const counted = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      silent.refresh();
      const looked = Math.floor(bytes / LOOKED_EVERY);
      bytes += chunk.length;
      if (bytes > LARGEST_RECORDS_FILE) return done(tooLarge());
      if (Math.floor(bytes / LOOKED_EVERY) === looked) return done(null, chunk);
      checkRoom(folder, LOOKED_EVERY).then(() => done(null, chunk), done);
    },
  });
  try {
    await pipeline(request, counted, createWriteStream(join(folder, SENT), { mode: 0o600 }));
  } finally {
    clearTimeout(silent);
  }
}

/**
 * Does work on a file that is sent as a body, kept on disk until the work is done.
 * @param request with the file
 * @param academyId whose file it is
 * @param work is handed the folder that the file lies in
 * @param silentForMs an upload of which nothing comes for so long is ended
 * @throws Refusal where there is no place or no room for it
 */
export const withUpload = <Result>(
  request: Request,
  academyId: string,
  work: (folder: string) => Promise<Result>,
  silentForMs = SILENT_FOR_MS,
): Promise<Result> =>
  inUploadPlace(academyId, async () => {
    const folder = await mkdtemp(join(tmpdir(), `${PREFIX}${process.pid}-`));
    try {
      await spooled(request, folder, silentForMs);
      return await work(folder);
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });

function isRunning(pid: number): boolean {
  if (pid === process.pid) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    // Another user's process may not be asked, but is there.
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** Removes what servers that were killed left of files that were sent to them; called before the first is. */
export async function sweepUploads(): Promise<void> {
  const names = await readdir(tmpdir());
  const left = names.filter((name) => {
    const pid = name.startsWith(PREFIX) ? Number(name.slice(PREFIX.length).split('-')[0]) : NaN;
    return Number.isInteger(pid) && !isRunning(pid);
  });
  await Promise.all(left.map((name) => rm(join(tmpdir(), name), { recursive: true, force: true })));
}
