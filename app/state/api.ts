import type {
  AcademyPeople,
  AcademyPrivacy,
  AskErasure,
  AcceptInvite,
  ChangeColleague,
  ChangePassword,
  InviteTo,
  NewInvite,
  NewMatSession,
  OwnSession,
  PhotoListed,
  ResetOf,
  StartAcademy,
  StudentCards,
  StudentPrivacy,
  Today,
} from '@pedastance/contract';
import type { LogEntry, NewBuild, NewScreen, Problem, SignIn, StandIn, Student } from '@pedastance/contract';
import type { ImportAnswer } from '@pedastance/contract/recordsFile';
import { OWNER_HEADER, type Identity } from '@pedastance/contract/owner';
import { CONTRACT_HEADER, LANDED_HEADER } from '@pedastance/contract/wire';
import type { HouseMethod } from '@pedastance/core/method';
import { ROUTES, type SentBody, type Writing } from './queuedWrite';

/** The server did not answer, or could not just now: keep everything and try again. */
export class ServerAway extends Error {
  constructor(
    message: string,
    /** What the server itself says of it, where it answered. */
    readonly reason: string | null = null,
  ) {
    super(message);
  }
}

/** The server answered, and refused. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

/** The server answered that it failed, at this request and not at all requests. */
export class ServerFailed extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

/** Long enough for a large answer over a slow line; the body has to be read within it too. */
const TIMEOUT_MS = 45_000;
/** A gateway without its server, a server without its database, or one too busy (RFC 9110, section 15.6). */
const AWAY = [502, 503, 504];

interface Answer {
  value: unknown;
  landed: string | null;
}

/** A whole answer, or null where it is not from this product's server: a hotspot answers any address itself. */
async function wholeAnswer(response: Response): Promise<(Answer & { status: number }) | null> {
  if (!response.headers.get(CONTRACT_HEADER)) return null;
  const text = await response.text();
  const value = text === '' ? null : (JSON.parse(text) as unknown);
  return { status: response.status, value, landed: response.headers.get(LANDED_HEADER) };
}

/** Sends a request and reads the whole answer; whatever goes wrong on the way is the server being away. */
async function exchange(method: string, path: string, owner: string | null, body?: unknown) {
  try {
    const response = await fetch(path, {
      method,
      credentials: 'same-origin',
      signal: AbortSignal.timeout(TIMEOUT_MS),
      headers: {
        accept: 'application/json',
        ...(owner && { [OWNER_HEADER]: owner }),
        ...(body !== undefined && { 'content-type': 'application/json' }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
    return await wholeAnswer(response);
  } catch (error) {
    throw new ServerAway((error as Error).message);
  }
}

export const ask = async (
  method: string,
  path: string,
  owner: string | null,
  body?: unknown,
): Promise<Answer> => checkedAnswer(await exchange(method, path, owner, body));

/** An answer that is what was asked for. @throws ServerAway, ServerFailed or Refused */
function checkedAnswer(answer: (Answer & { status: number }) | null): Answer {
  if (!answer) throw new ServerAway('the answer is not from this server');
  if (answer.status < 300) return answer;
  const problem = answer.value as Problem;
  if (AWAY.includes(answer.status)) {
    const { title, detail } = problem;
    throw new ServerAway(`status ${answer.status}`, `${title}. ${detail}`.trim());
  }
  throw answer.status >= 500 ? new ServerFailed(problem) : new Refused(problem);
}

export const read = async <Value>(path: string, owner: string | null): Promise<Value> =>
  (await ask('GET', path, owner)).value as Value;

/** A picture's bytes. @throws ServerAway, ServerFailed or Refused */
async function picture(owner: string, id: string): Promise<Blob> {
  let response: Response;
  try {
    response = await fetch(`/api/photos/${id}`, {
      credentials: 'same-origin',
      signal: AbortSignal.timeout(TIMEOUT_MS),
      headers: { accept: 'image/jpeg', [OWNER_HEADER]: owner },
    });
    if (response.ok && response.headers.get(CONTRACT_HEADER)) return await response.blob();
  } catch (error) {
    throw new ServerAway((error as Error).message);
  }
  checkedAnswer(await wholeAnswer(response));
  throw new ServerAway('the answer is not from this server');
}

/** A file of an academy's records takes minutes to send and to read. */
const FILE_TIMEOUT_MS = 30 * 60_000;

async function sendFile(owner: string, path: string, file: File): Promise<ImportAnswer> {
  let answer;
  try {
    const response = await fetch(path, {
      method: 'POST',
      credentials: 'same-origin',
      signal: AbortSignal.timeout(FILE_TIMEOUT_MS),
      headers: { accept: 'application/json', [OWNER_HEADER]: owner, 'content-type': 'application/x-ndjson' },
      body: file,
    });
    answer = await wholeAnswer(response);
  } catch (error) {
    throw new ServerAway((error as Error).message);
  }
  return checkedAnswer(answer).value as ImportAnswer;
}

/** Who is signed in, with the key that seals what a sign-out leaves on the device. */
export interface Session {
  identity: Identity;
  /** 256 bits, base64. */
  deviceKey: string;
}

export interface Changes {
  students: Student[];
  methods: HouseMethod[];
  /** Students who were erased since. */
  erased?: string[];
  more: boolean;
  /** The place that all of this goes up to. */
  through: string;
}

export interface StudentPage {
  student: Student;
  builds: NewBuild[];
  screens: NewScreen[];
  entries: LogEntry[];
  /** The places of the first and the last of these entries; null where there is none. */
  first: string | null;
  last: string | null;
  more: boolean;
}

export const api = {
  session: (owner: string | null) => read<Session | null>('/api/session', owner),
  signIn: async (body: SignIn) => (await ask('POST', '/api/session', null, body)).value as Session,
  startAcademy: async (body: StartAcademy) =>
    (await ask('POST', '/api/academy', null, body)).value as Session,
  invitedTo: async (code: string) => (await ask('POST', '/api/invitation', null, { code })).value as InviteTo,
  joinAcademy: async (body: AcceptInvite) =>
    (await ask('POST', '/api/colleagues', null, body)).value as Session,
  people: (owner: string) => read<AcademyPeople>('/api/colleagues', owner),
  changeColleague: (owner: string, body: ChangeColleague) => ask('PUT', '/api/colleagues', owner, body),
  /** The secret of the invitation is answered this once. */
  invite: async (owner: string, body: NewInvite) =>
    (await ask('POST', '/api/invites', owner, body)).value as { code: string; expiresAt: string },
  withdrawInvite: (owner: string, id: string) => ask('DELETE', '/api/invites', owner, { id }),
  /** The secret of the link that sets a colleague's password is answered this once. */
  resetColleague: async (owner: string, id: string) =>
    (await ask('POST', '/api/resets', owner, { id })).value as { code: string; expiresAt: string },
  resetOf: async (code: string) => (await ask('POST', '/api/reset', null, { code })).value as ResetOf,
  resetPassword: (code: string, password: string) => ask('PUT', '/api/reset', null, { code, password }),
  changePassword: (owner: string, body: ChangePassword) => ask('PUT', '/api/password', owner, body),
  sessions: (owner: string) => read<OwnSession[]>('/api/sessions', owner),
  endSession: (owner: string, id: string) => ask('DELETE', '/api/sessions', owner, { id }),
  recoveryLeft: (owner: string) => read<{ left: number }>('/api/recovery-codes', owner),
  /** The codes are answered this once. */
  renewRecovery: async (owner: string, password: string) =>
    (await ask('POST', '/api/recovery-codes', owner, { password })).value as { codes: string[] },
  recover: (body: { email: string; code: string; password: string }) =>
    ask('PUT', '/api/recovery', null, body),
  own: <Thing>(kind: 'drill' | 'ladder', owner: string) => read<Thing[]>(ROUTES[kind].path, owner),
  photos: (owner: string, studentId: string) =>
    read<PhotoListed[]>(`/api/students/${studentId}/photos`, owner),
  picture,
  deletePhoto: (owner: string, id: string) => ask('DELETE', '/api/photos', owner, { id }),
  cards: (owner: string, studentId: string) => read<StudentCards>(`/api/students/${studentId}/cards`, owner),
  revokeCard: (owner: string, id: string) => ask('DELETE', '/api/card-links', owner, { id }),
  today: (owner: string) => read<Today>('/api/today', owner),
  academyPrivacy: (owner: string) => read<AcademyPrivacy>('/api/privacy', owner),
  studentPrivacy: (owner: string, id: string) => read<StudentPrivacy>(`/api/students/${id}/privacy`, owner),
  askErasure: (owner: string, body: AskErasure) => ask('POST', '/api/erasures', owner, body),
  takeErasureBack: (owner: string, studentId: string) => ask('DELETE', '/api/erasures', owner, { studentId }),
  /** Sends a file of records, to be looked at or taken in; a large one takes a while. */
  importRecords: (owner: string, file: File, step: 'preview' | 'take') =>
    sendFile(owner, `/api/imports?step=${step}`, file),
  signOut: (owner: string) => ask('DELETE', '/api/session', owner),
  /** What changed since a place, or without one what changed last. */
  changes: (owner: string, after: string | null) =>
    read<Changes>(`/api/changes${after === null ? '' : `?after=${after}`}`, owner),
  search: (owner: string, words: string) =>
    read<{ students: Student[]; more: boolean }>(`/api/students?search=${encodeURIComponent(words)}`, owner),
  /** A student with a page of the log: the newest entries, or those after or before a place. */
  student: (owner: string, id: string, part: { after: string } | { before: string } | null) =>
    read<StudentPage>(`/api/students/${id}${part ? `?${new URLSearchParams(part).toString()}` : ''}`, owner),
  versions: (owner: string, methodId: string) => read<HouseMethod[]>(`/api/methods/${methodId}`, owner),
  standOnMat: (owner: string, body: NewMatSession) => ask('POST', '/api/mat-sessions', owner, body),
  simulateShots: (owner: string, body: StandIn) => ask('POST', '/api/stand-in', owner, body),
  /** Sends a write as it was queued. @throws ServerAway also when the answer is not to this write */
  write: async (owner: string, route: Writing['route'], body: SentBody) => {
    const { method, path } = ROUTES[route];
    const { value, landed } = await ask(method, path, owner, body);
    if (landed !== body.id) throw new ServerAway('the answer is to another request');
    return value;
  },
};

export const isSignedOut = (error: unknown): error is Refused =>
  error instanceof Refused && error.problem.status === 401;
