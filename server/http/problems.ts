import type { Fault, Problem } from '@pedastance/contract';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { TooManyAttempts } from '../accounts/attempts';
import { WriteConflict } from '../store/writeOnce';
import { NoSuchLesson } from '../store/lessons';
import { StaleMethod } from '../store/methods';
import { NoSuchStudent, StaleEdit } from '../store/students';

/** A refusal with its status, ready to be answered as problem details. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly kind: string,
    title: string,
    readonly more: Partial<Pick<Problem, 'detail' | 'faults' | 'current'>> = {},
  ) {
    super(title);
  }
}

/** What a broken reference or rule of the database means to the one who sent the body. */
const CONSTRAINT_FAULTS: Record<string, Omit<Fault, 'found'>> = {
  build_student: { field: 'studentId', expected: 'a student of this academy' },
  leg_screen_build: { field: 'buildId', expected: 'a build of this student' },
  lesson_student: { field: 'studentId', expected: 'a student of this academy' },
  log_entry_replaces: { field: 'replaces', expected: 'an earlier entry of the same kind for this student' },
  log_entry_replaces_another: { field: 'replaces', expected: 'another entry than itself' },
  reading_entry_address: { field: 'addressId', expected: 'an address of this student' },
  reading_entry_build: { field: 'buildId', expected: 'a build of this student' },
  reading_entry_screen: { field: 'screenId', expected: 'a screen of this student' },
  reading_entry_method: {
    field: 'methodVersion',
    expected: 'a version of one of this academy’s house methods',
  },
  change_entry_reading: { field: 'readingId', expected: 'a reading of this student' },
  change_entry_from: { field: 'fromAddressId', expected: 'an address of this student' },
  change_entry_to: { field: 'toAddressId', expected: 'an address of this student' },
  trial_entry_address_a: { field: 'addressAId', expected: 'an address of this student' },
  trial_entry_address_b: { field: 'addressBId', expected: 'an address of this student' },
  trial_cell_address: { field: 'apart.addressIds', expected: 'addresses of this student' },
  shots_entry_cell: { field: 'place.cell', expected: 'a way of combining the changes of this trial' },
  shots_entry_address: { field: 'addressId', expected: 'an address of this student' },
  shots_entry_trial: { field: 'trialId', expected: 'a trial of this student' },
  look_entry_trial: { field: 'trialId', expected: 'a trial of this student' },
  change_entry_changes: { field: 'toAddressId', expected: 'another address than fromAddressId' },
};

const BAD_REFERENCE = '23503';
const BROKEN_CHECK = '23514';
const NOT_UNIQUE = '23505';

function fromDatabase(error: { code?: string; constraint?: string }): Refusal | undefined {
  if (error.code === NOT_UNIQUE && error.constraint === 'look_entry_once') {
    return new Refusal(409, 'taken', 'This look was taken before: a trial has each of its looks once');
  }
  if (error.code === NOT_UNIQUE) {
    return new Refusal(409, 'taken', 'This identifier is taken by another record');
  }
  if (error.code !== BAD_REFERENCE && error.code !== BROKEN_CHECK) return undefined;
  const known = CONSTRAINT_FAULTS[error.constraint ?? ''];
  const faults = [
    { ...(known ?? { field: 'body', expected: `what ${error.constraint} allows` }), found: 'something else' },
  ];
  return new Refusal(422, 'bad-input', 'The input was refused', { faults });
}

function asRefusal(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error;
  if (error instanceof WriteConflict) {
    return new Refusal(409, 'conflict', 'This entry has landed before with other contents', {
      detail: 'Nothing was changed. What landed first stands.',
    });
  }
  if (error instanceof StaleEdit || error instanceof StaleMethod) {
    return new Refusal(409, 'stale', 'This was changed by somebody else since', { current: error.current });
  }
  if (error instanceof NoSuchStudent) return new Refusal(404, 'not-found', 'No such student');
  if (error instanceof NoSuchLesson) {
    const faults = [{ field: 'lessonId', expected: 'a lesson of this academy', found: 'none of that id' }];
    return new Refusal(422, 'bad-input', 'The input was refused', { faults });
  }
  if (error instanceof TooManyAttempts) {
    return new Refusal(429, 'too-many-attempts', 'Too many attempts to sign in', {
      detail: `Try again in ${Math.ceil(error.seconds / 60)} minutes.`,
    });
  }
  const { status, type } = error as { status?: number; type?: string };
  if (type === 'entity.too.large') return new Refusal(413, 'too-large', 'The body is larger than is allowed');
  if (type === 'entity.parse.failed') return new Refusal(400, 'bad-json', 'The body is not JSON');
  if (status && status >= 400 && status < 500)
    return new Refusal(status, 'bad-request', 'The request was refused');
  return fromDatabase(error as { code?: string; constraint?: string });
}

function sentence(faults: Fault[] | undefined): string {
  return (faults ?? [])
    .map(({ field, expected, found }) => `${field}: expected ${expected}, found ${found}.`)
    .join(' ');
}

function answer(response: Response, refusal: Refusal): void {
  const problem: Problem = {
    type: `about:pedastance/${refusal.kind}`,
    title: refusal.message,
    status: refusal.status,
    detail: refusal.more.detail ?? sentence(refusal.more.faults),
    ...(refusal.more.faults && { faults: refusal.more.faults }),
    ...(refusal.more.current !== undefined && { current: refusal.more.current }),
  };
  response.status(refusal.status).type('application/problem+json').send(JSON.stringify(problem));
}

/** The database is away or starting; the client keeps what it has and tries again. */
const UNREACHABLE = /ECONNREFUSED|ECONNRESET|57P0[123]|Connection terminated/;

/** The last handler: every error becomes problem details, and only the unforeseen is logged. */
export function problems(log: Logger): ErrorRequestHandler {
  return (error, _request, response, _next) => {
    const refusal = asRefusal(error);
    if (refusal) return answer(response, refusal);
    const { code, message } = error as { code?: string; message: string };
    log.error({ code, message }, 'request failed');
    if (UNREACHABLE.test(`${code} ${message}`)) {
      return answer(response, new Refusal(503, 'database-away', 'The database does not answer just now'));
    }
    answer(response, new Refusal(500, 'unforeseen', 'Something unforeseen went wrong; nothing was written'));
  };
}
