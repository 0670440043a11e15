import { upgradedBody } from '@pedastance/contract/earlier';
import { isRecord } from '@pedastance/contract/isRecord';
import { CONTRACT_VERSION, LANDED_HEADER } from '@pedastance/contract/wire';
import type { Request, RequestHandler, Response } from 'express';
import type { ClientBase } from 'pg';
import type { z } from 'zod';
import { inAcademy } from '../store/database';
import type { Writer } from '../store/rows';
import { writeOnce } from '../store/writeOnce';
import { parsedBody } from './guards';
import { badInput, Refusal } from './problems';
import type { Services } from './services';

/** How a kind of write is parsed, done, and answered. */
interface Landing<Shape extends z.ZodType<{ id: string }>> {
  /** Its name, which is part of what makes a write the same. */
  route: string;
  schema: Shape;
  /** Whose records it adds to, from the answer; the answer's own `studentId` where nothing is given. */
  studentOf?(answer: object): string;
  /** Makes a body ready before the database is asked: what takes its time holds no connection meanwhile. */
  ready?(body: z.output<Shape>): Promise<z.output<Shape>>;
  /** Does the write and answers the record it made. */
  add(client: ClientBase, body: z.output<Shape>, writer: Writer): Promise<object>;
  /** The answer to the same write when it is sent again; the body itself where nothing is given. */
  again?(client: ClientBase, body: z.output<Shape>): Promise<object>;
}

/**
 * A body as it was sent, without its version, and in today's shape.
 * @throws Refusal: 503 for a version of the contract that this server does not know yet, so that the app keeps it
 */
function ofAnyVersion(route: string, sent: unknown): { asMade: unknown; today: unknown } {
  if (!isRecord(sent)) return { asMade: sent, today: sent };
  const { contract = 1, ...body } = sent;
  if (!Number.isInteger(contract) || (contract as number) < 1) {
    throw badInput('contract', 'a version of the contract', JSON.stringify(contract).slice(0, 40));
  }
  if ((contract as number) > CONTRACT_VERSION) {
    throw new Refusal(503, 'newer-app', 'The server is older than this app', {
      detail: 'It takes this as soon as it has been updated.',
    });
  }
  return { asMade: body, today: upgradedBody(route, contract as number, body) };
}

const DAY_MS = 24 * 60 * 60 * 1000;

/** A record dated far ahead would stay the newest for good. @throws Refusal that speaks of the device's clock */
function refuseClockAhead(body: { id: string; madeAt?: string; startedAt?: string }, now: Date): void {
  const field = body.madeAt === undefined ? 'startedAt' : 'madeAt';
  const made = body[field];
  if (made === undefined || Date.parse(made) <= now.getTime() + DAY_MS) return;
  const expected = `a moment before tomorrow (it is ${now.toISOString()} on the server)`;
  throw new Refusal(422, 'clock-ahead', 'The clock of this device is ahead', {
    detail: 'Set the date and time of this device, then send again.',
    faults: [{ field, expected, found: made }],
  });
}

/** What of a body says whose records it is for. */
const NAMED_BY = ['id', 'studentId', 'lessonId'] as const;

const namesIn = (body: object): string[] =>
  NAMED_BY.map((name) => (body as Record<string, unknown>)[name]).filter((id) => typeof id === 'string');

const studentIdOf = (answer: object): string | null =>
  (answer as { studentId?: string | null }).studentId ?? null;

/** Lands a write once: 201 the first time, 200 when it is sent again. */
export const landing =
  <Shape extends z.ZodType<{ id: string }>>({ pool }: Services, landable: Landing<Shape>): RequestHandler =>
  async (request: Request, response: Response) => {
    const { route, schema, ready, add, again, studentOf = studentIdOf } = landable;
    const { asMade, today } = ofAnyVersion(route, request.body);
    const parsed = parsedBody(schema, today);
    const { academyId, instructorId } = request.session.identity!;
    const writer = { academyId, instructorId, receivedAt: new Date() };
    refuseClockAhead(parsed, writer.receivedAt);
    const body = ready ? await ready(parsed) : parsed;
    const { first, answer } = await inAcademy(pool, academyId, async (client) => {
      let added: object = body;
      const write = { ...writer, id: body.id, route, body: asMade, names: namesIn(body) };
      const isFirst = await writeOnce(client, write, async () => {
        added = await add(client, body, writer);
        return { studentId: studentOf(added) };
      });
      const repeated = isFirst ? undefined : await again?.(client, body);
      return { first: isFirst, answer: repeated ?? added };
    });
    response.setHeader(LANDED_HEADER, body.id);
    response.status(first ? 201 : 200).json(answer);
  };
