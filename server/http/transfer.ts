import { once } from 'node:events';
import { createReadStream, createWriteStream } from 'node:fs';
import { join } from 'node:path';
import { Readable, type Writable } from 'node:stream';
import { finished, pipeline } from 'node:stream/promises';
import type { Identity } from '@pedastance/contract';
import type { ImportAnswer } from '@pedastance/contract/recordsFile';
import type { Request, RequestHandler, Response } from 'express';
import limit from 'p-limit';
import type { ClientBase, Pool } from 'pg';
import { noteAct } from '../store/audit';
import { inAcademy } from '../store/database';
import { findStudent } from '../store/students';
import { recordLines } from '../transfer/exportRecords';
import { preview, takeChecked, type Line } from '../transfer/importRecords';
import { tableLines, TABLES, type DecimalSign, type TableName } from '../transfer/tables';
import { refuseUnlessOwner } from './academy';
import { endUnread, inExportLane } from './exportLane';
import { badInput, Refusal } from './problems';
import { idOf, studentInPath } from './reads';
import type { Services } from './services';
import { SENT, withUpload } from './upload';

/** Only an owner moves all of an academy's data. @throws Refusal */
const ownersOnly = (pool: Pool, { academyId, instructorId }: Identity): Promise<void> =>
  inAcademy(pool, academyId, (client) => refuseUnlessOwner(client, instructorId), 'read only');

const BLOCK_CHARACTERS = 64 * 1024;

/** Lines put together to blocks: sending each by itself takes longer than making it. */
async function* inBlocks(lines: AsyncIterable<string>): AsyncGenerator<string> {
  let block = '';
  for await (const line of lines) {
    block += line;
    if (block.length < BLOCK_CHARACTERS) continue;
    yield block;
    block = '';
  }
  if (block !== '') yield block;
}

/** The other side has had enough. */
const CLOSED_EARLY = 'ERR_STREAM_PREMATURE_CLOSE';

/** A file to be handed out. */
interface Handed {
  what: string;
  ending: string;
  type: string;
  /** Notes that it was handed out. */
  note: (client: ClientBase) => Promise<void>;
  read: (client: ClientBase) => AsyncIterable<string>;
}

/**
 * Hands out what a transaction reads, as it is read: one state of one academy, however long the other side takes. It is
 * noted, and the answer a file, only once there is a place for it.
 * @throws Refusal where there is none
 */
const handOut = (pool: Pool, identity: Identity, response: Response, file: Handed): Promise<void> =>
  inExportLane(identity.instructorId, async () => {
    await inAcademy(pool, identity.academyId, file.note);
    asFile(response, identity, file);
    const stopWatching = endUnread(response);
    try {
      await sendOpen(pool, identity.academyId, response, file.read);
    } finally {
      stopWatching();
    }
  });

async function sendOpen(
  pool: Pool,
  academyId: string,
  response: Response,
  read: (client: ClientBase) => AsyncIterable<string>,
): Promise<void> {
  await inAcademy(
    pool,
    academyId,
    async (client) => {
      await client.query(
        `set transaction isolation level repeatable read;
         set local statement_timeout = 0; set local idle_in_transaction_session_timeout = '1min'`,
      );
      await pipeline(Readable.from(inBlocks(read(client))), response).catch((error: { code?: string }) => {
        if (error.code !== CLOSED_EARLY) throw error;
      });
    },
    'read only',
  );
}

const fileName = (identity: Identity, what: string, ending: string): string =>
  `${identity.academyName} ${what} ${new Date().toISOString().slice(0, 10)}.${ending}`;

function asFile(response: Response, identity: Identity, { what, ending, type }: Handed): void {
  response.attachment(fileName(identity, what, ending));
  response.type(type);
  // Packing a large file takes longer than sending it; no-store as every answer.
  response.setHeader('cache-control', 'no-store, no-transform');
}

const RECORDS = { ending: 'jsonl', type: 'application/x-ndjson; charset=utf-8' };
const TABLE = { ending: 'csv', type: 'text/csv; charset=utf-8' };

/** The academy's records as a file, for its owners. */
export const exportAcademy =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const identity = request.session.identity!;
    await ownersOnly(pool, identity);
    await handOut(pool, identity, response, {
      ...RECORDS,
      what: 'records',
      note: (client) => noteAct(client, identity, 'academy exported'),
      read: (client) => recordLines(client, 'academy', identity.academyName, new Date()),
    });
  };

/** All of one student's records as a file, to be handed over. */
export const exportStudent =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const identity = request.session.identity!;
    const { id } = await inAcademy(
      pool,
      identity.academyId,
      (client) => findStudent(client, studentInPath(request)),
      'read only',
    );
    await handOut(pool, identity, response, {
      ...RECORDS,
      what: 'one student',
      note: (client) => noteAct(client, identity, 'student exported', { student: id }),
      read: (client) => recordLines(client, { studentId: id }, identity.academyName, new Date()),
    });
  };

const tableOf = (request: Request): TableName => {
  const table = TABLES.find((name) => name === request.params.table);
  if (!table) throw new Refusal(404, 'not-found', 'No such table');
  return table;
};

const decimalOf = (request: Request): DecimalSign => {
  const { decimal = 'point' } = request.query;
  if (decimal === 'point' || decimal === 'comma') return decimal;
  throw badInput('decimal', 'point or comma', String(decimal).slice(0, 40));
};

/** A table that a spreadsheet opens: of the whole academy for its owners, or of one student. */
export const exportTable =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const identity = request.session.identity!;
    const [table, decimal] = [tableOf(request), decimalOf(request)];
    const { student } = request.query;
    const studentId = student === undefined ? null : idOf(student);
    if (!studentId) await ownersOnly(pool, identity);
    else await inAcademy(pool, identity.academyId, (client) => findStudent(client, studentId), 'read only');
    const scope = studentId ? { studentId } : ('academy' as const);
    await handOut(pool, identity, response, {
      ...TABLE,
      what: table,
      note: (client) =>
        noteAct(client, identity, studentId ? 'student exported' : 'table exported', {
          ...(studentId && { student: studentId }),
        }),
      read: (client) =>
        tableLines(recordLines(client, scope, identity.academyName, new Date()), table, decimal),
    });
  };

/** One file is read at a time: reading a large one takes this process for a while. */
const lane = limit(1);
const MOST_WAITING = 4;

const stepOf = (request: Request): 'preview' | 'take' => {
  const { step } = request.query;
  if (step === 'preview' || step === 'take') return step;
  throw badInput('step', 'preview or take', String(step).slice(0, 40));
};

/**
 * Reads a file of records that is sent as the body. It is kept on disk and read whole first, so that of a file with a
 * fault nothing is taken in.
 */
export const importRecords =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const identity = request.session.identity!;
    const step = stepOf(request);
    await ownersOnly(pool, identity);
    if (lane.pendingCount >= MOST_WAITING)
      throw new Refusal(503, 'busy', 'Many files are being read just now', {
        detail: 'Try again in a minute.',
      });
    // However slowly it comes: only reading it takes a turn.
    const read = (folder: string) => lane(() => readSpooled(pool, folder, identity, step));
    response.json(await withUpload(request, identity.academyId, read));
  };

async function readSpooled(
  pool: Pool,
  folder: string,
  identity: Identity,
  step: 'preview' | 'take',
): Promise<ImportAnswer> {
  const [file, checked] = [join(folder, SENT), join(folder, 'checked.jsonl')];
  if (step === 'preview') return preview(pool, createReadStream(file), identity);
  const out = createWriteStream(checked, { mode: 0o600 });
  const told = await preview(pool, createReadStream(file), identity, (line) => written(out, line));
  await finished(out.end());
  if (told.faults.length > 0) return told;
  const taken = await takeChecked(pool, createReadStream(checked), identity);
  await inAcademy(pool, identity.academyId, (client) => noteAct(client, identity, 'records imported'));
  return taken;
}

/** Writes a line, and waits where the disk is slower than the reading. */
async function written(out: Writable, line: Line): Promise<void> {
  if (!out.write(`${JSON.stringify(line)}\n`)) await once(out, 'drain');
}
