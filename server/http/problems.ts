import type { Fault, Problem } from '@pedastance/contract';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { TooManyAttempts } from '../accounts/attempts';
import { SignInBusy } from '../accounts/passwords';
import { NewerModel, NoSuchShots } from '../recompute/check';
import { NoSuchCard } from '../store/cards';
import { NotAJpeg } from '../store/encodedJpeg';
import { TooManyPhotos } from '../store/photos';
import { ErasedStudent, WriteConflict } from '../store/writeOnce';
import { NoSuchLesson } from '../store/lessons';
import { StaleMethod } from '../store/methods';
import { NoSuchStudent, StaleEdit } from '../store/students';
import { TooManyStreams } from './shotFeed';

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
  card_entry_change: { field: 'changeId', expected: 'a change of this student' },
  look_entry_trial: { field: 'trialId', expected: 'a trial of this student' },
  simulated_where_made_up: { field: 'source', expected: 'shots or swings of this student’s own' },
  pain_answer_tick: { field: 'tickId', expected: 'a tick of this student that it hurts' },
  photo_address: { field: 'addressId', expected: 'an address of this student' },
  change_entry_changes: { field: 'toAddressId', expected: 'another address than fromAddressId' },
};

const BAD_REFERENCE = '23503';
const BROKEN_CHECK = '23514';
/** SQLSTATE class 22, data exceptions: a value that a column cannot hold, whatever schema let it through. */
const DATA_EXCEPTION = /^22/;
const NOT_UNIQUE = '23505';

/** One thing wrong with an input. */
export const badInput = (field: string, expected: string, found: string): Refusal =>
  new Refusal(422, 'bad-input', 'The input was refused', { faults: [{ field, expected, found }] });

/** A student who was erased: the device lets go of what it has of them. */
const erased = (): Refusal =>
  new Refusal(410, 'erased', 'This student’s data were erased', {
    detail: 'What this device still had of them goes too.',
  });

const ERASED_STUDENT = 'PE001';

function fromDatabase(error: { code?: string; constraint?: string }): Refusal | undefined {
  if (error.code === ERASED_STUDENT) return erased();
  if (error.code === NOT_UNIQUE && error.constraint === 'look_entry_once') {
    return new Refusal(409, 'taken', 'This look was taken before: a trial has each of its looks once');
  }
  if (error.code === NOT_UNIQUE) {
    return new Refusal(409, 'taken', 'This identifier is taken by another record');
  }
  if (DATA_EXCEPTION.test(error.code ?? '')) {
    return badInput('body', 'figures, dates and text that can be kept', 'one that cannot');
  }
  if (error.code !== BAD_REFERENCE && error.code !== BROKEN_CHECK) return undefined;
  const known = CONSTRAINT_FAULTS[error.constraint ?? ''];
  return badInput(
    known?.field ?? 'body',
    known?.expected ?? `what ${error.constraint} allows`,
    'something else',
  );
}

function tooManyAttempts({ seconds }: TooManyAttempts): Refusal {
  const wait = seconds <= 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
  return new Refusal(429, 'too-many-attempts', 'Too many attempts to sign in', {
    detail: `Try again in ${wait}.`,
  });
}

/** What each error that the server itself throws means to the one who asked. */
function ofOurOwn(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error;
  if (error instanceof WriteConflict) {
    return new Refusal(409, 'conflict', 'This entry has landed before with other contents', {
      detail: 'Nothing was changed. What landed first stands.',
    });
  }
  if (error instanceof ErasedStudent) return erased();
  if (error instanceof StaleEdit || error instanceof StaleMethod) {
    return new Refusal(409, 'stale', 'This was changed by somebody else since', { current: error.current });
  }
  if (error instanceof NoSuchStudent) return new Refusal(404, 'not-found', 'No such student');
  if (error instanceof NoSuchLesson) {
    return badInput('lessonId', 'a lesson of this academy', 'none of that id');
  }
  if (error instanceof NoSuchCard) return badInput('cardId', 'a card of this student', 'none of that id');
  if (error instanceof NoSuchShots)
    return badInput(error.field, 'shots of this student and trial', 'others among them');
  if (error instanceof TooManyAttempts) return tooManyAttempts(error);
  return ofPhotos(error) ?? ofLoad(error);
}

function ofPhotos(error: unknown): Refusal | undefined {
  if (error instanceof NotAJpeg) return badInput('jpeg', error.expected, error.found);
  if (error instanceof TooManyPhotos) {
    return new Refusal(409, 'too-many-photos', 'This lesson has twenty photos already', {
      detail: 'Delete one of them, then send this one again.',
    });
  }
  return undefined;
}

/** Errors of a server that has too much to do, or is older than the app. */
function ofLoad(error: unknown): Refusal | undefined {
  if (error instanceof NewerModel) {
    return new Refusal(503, 'newer-model', 'The server is older than this app', {
      detail: 'It takes this as soon as it has been updated.',
    });
  }
  if (error instanceof SignInBusy) {
    return new Refusal(503, 'busy', 'Many are signing in just now', {
      detail: 'Try again in a few seconds.',
    });
  }
  if (error instanceof TooManyStreams) {
    return new Refusal(429, 'too-many-streams', 'Too many places listen already: close one of them');
  }
  return undefined;
}

/** An error of the body's reader, with the bytes that it allows. */
interface BodyError {
  status?: number;
  type?: string;
  limit?: number;
}

/** Errors of reading a request's body. */
function ofBody({ status, type, limit = 0 }: BodyError): Refusal | undefined {
  if (type === 'entity.too.large') {
    const expected = `at most ${Math.round(limit / 1024)} kB`;
    const faults = [{ field: 'body', expected, found: 'more' }];
    return new Refusal(413, 'too-large', 'The body is larger than is allowed', { faults });
  }
  if (type === 'entity.parse.failed') {
    const faults = [{ field: 'body', expected: 'a JSON object', found: 'something else' }];
    return new Refusal(400, 'bad-json', 'The body is not JSON', { faults });
  }
  return status && status >= 400 && status < 500
    ? new Refusal(status, 'bad-request', 'The request was refused')
    : undefined;
}

const asRefusal = (error: unknown): Refusal | undefined =>
  ofOurOwn(error) ??
  ofBody(error as BodyError) ??
  fromDatabase(error as { code?: string; constraint?: string });

function sentence(faults: Fault[] | undefined): string {
  return (faults ?? [])
    .map(({ field, expected, found }) => `${field}: expected ${expected}, found ${found}.`)
    .join(' ');
}

const RETRY_AFTER_SECONDS = '5';

function answer(response: Response, refusal: Refusal): void {
  const problem: Problem = {
    type: `about:pedastance/${refusal.kind}`,
    title: refusal.message,
    status: refusal.status,
    detail: refusal.more.detail ?? sentence(refusal.more.faults),
    ...(refusal.more.faults && { faults: refusal.more.faults }),
    ...(refusal.more.current !== undefined && { current: refusal.more.current }),
  };
  if (refusal.status === 503) response.setHeader('retry-after', RETRY_AFTER_SECONDS);
  response.status(refusal.status).type('application/problem+json').send(JSON.stringify(problem));
}

/**
 * SQLSTATE classes and codes of a database that cannot do its work just now: connection exceptions (08), one that only reads (25006),
 * operator intervention (57), too many connections and other lack of resources (53), and transactions that
 * were rolled back for another's sake (40). The client keeps what it has and tries again.
 */
const AWAY_STATE = /^(08|53|57|40|25006)/;
const AWAY_WORDS =
  /ECONN|EPIPE|ETIMEDOUT|[Cc]onnection (terminated|ended|error)|timeout exceeded when trying/;

const isAway = ({ code = '', message }: { code?: string; message: string }): boolean =>
  (/^[0-9A-Z]{5}$/.test(code) && AWAY_STATE.test(code)) || AWAY_WORDS.test(`${code} ${message}`);

/** The last handler: every error becomes problem details, and only the unforeseen is logged. */
export function problems(log: Logger): ErrorRequestHandler {
  return (error, _request, response, _next) => {
    const refusal = asRefusal(error);
    if (refusal) return answer(response, refusal);
    // Of a database's error neither its detail nor its parameters: they have what was written in them.
    const { code, message, stack } = error as { code?: string; message: string; stack?: string };
    log.error({ requestId: response.locals.requestId as string, code, message, stack }, 'request failed');
    if (response.headersSent) return void response.destroy();
    if (isAway({ code, message })) {
      return answer(response, new Refusal(503, 'database-away', 'The database does not answer just now'));
    }
    answer(response, new Refusal(500, 'unforeseen', 'Something unforeseen went wrong; nothing was written'));
  };
}
