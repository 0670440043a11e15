import type { LogEntry, NewBuild, NewScreen, Problem, SignIn, StandIn, Student } from '@pedastance/contract';
import { OWNER_HEADER, type Identity } from '@pedastance/contract/owner';
import type { HouseMethod } from '@pedastance/core/method';
import { ROUTES, type Writing } from './queuedWrite';

/** The server did not answer, or could not just now: keep everything and try again. */
export class ServerAway extends Error {}

/** The server answered, and refused. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

const TIMEOUT_MS = 15_000;
const AWAY_FROM_STATUS = 500;

async function ask(method: string, path: string, owner: string | null, body?: unknown): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, {
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
  } catch (error) {
    throw new ServerAway((error as Error).message);
  }
  if (response.ok) return response;
  const problem = (await response.json().catch(() => null)) as Problem | null;
  if (!problem || response.status >= AWAY_FROM_STATUS) throw new ServerAway(`status ${response.status}`);
  throw new Refused(problem);
}

const read = async <Answer>(path: string, owner: string | null): Promise<Answer> =>
  (await ask('GET', path, owner)).json() as Promise<Answer>;

export const api = {
  whoAmI: () => read<Identity | null>('/api/session', null),
  signIn: async (body: SignIn) => (await ask('POST', '/api/session', null, body)).json() as Promise<Identity>,
  signOut: (owner: string) => ask('DELETE', '/api/session', owner),
  students: (owner: string) => read<Student[]>('/api/students', owner),
  student: (owner: string, id: string) =>
    read<{ student: Student; builds: NewBuild[]; screens: NewScreen[]; entries: LogEntry[] }>(
      `/api/students/${id}`,
      owner,
    ),
  methods: (owner: string) => read<HouseMethod[]>('/api/methods', owner),
  simulateShots: (owner: string, body: StandIn) => ask('POST', '/api/stand-in', owner, body),
  write: async (owner: string, { route, body }: Writing) => {
    const { method, path } = ROUTES[route];
    return (await ask(method, path, owner, body)).json() as Promise<unknown>;
  },
};

export const isSignedOut = (error: unknown): boolean =>
  error instanceof Refused && error.problem.status === 401;
