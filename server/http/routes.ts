import {
  Id,
  StandIn,
  NewBuild,
  NewEntry,
  NewLesson,
  NewMethodVersion,
  NewScreen,
  NewStudent,
  SignIn,
  StudentEdit,
} from '@pedastance/contract';
import type { Request, RequestHandler, Response } from 'express';
import type { Pool, ClientBase } from 'pg';
import type { z } from 'zod';
import type { Attempts } from '../accounts/attempts';
import { passwordMatches } from '../accounts/passwords';
import { SESSION_COOKIE } from '../accounts/sessions';
import { accountByEmail } from '../store/accounts';
import { addBuild, listBuilds } from '../store/builds';
import { inAcademy } from '../store/database';
import { writeOnce } from '../store/writeOnce';
import { addEntry, addLesson, listEntries } from '../store/lessons';
import { addMethodVersion, listMethods } from '../store/methods';
import type { Writer } from '../store/rows';
import { addScreen, listScreens } from '../store/screens';
import { simulateShots } from '../devices/simulateShots';
import { addStudent, editStudent, findStudent, listStudents, NoSuchStudent } from '../store/students';
import { parsedBody } from './guards';
import { Refusal } from './problems';
import { shotStream } from './shotStream';

export interface Services {
  pool: Pool;
  attempts: Attempts;
  /** The demo accounts' password is printed for all to see, so they sign in on this machine only. */
  demoAllowed: boolean;
  /** From one swing of the simulated student to the next, ms. */
  standInPaceMs: number;
}

/** Every route says who may call it; there is no default. */
export interface Route {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  access: 'anyone' | 'instructor';
  handler: RequestHandler;
}

/** Ends with the session's own callback turned into a promise. */
const settled = (run: (done: (error?: unknown) => void) => void): Promise<void> =>
  new Promise((resolve, reject) => run((error) => (error ? reject(error) : resolve())));

const signIn =
  ({ pool, attempts, demoAllowed }: Services): RequestHandler =>
  async (request, response) => {
    const { email, password } = parsedBody(SignIn, request);
    await attempts.count(email, request.ip ?? '');
    const account = await accountByEmail(pool, email);
    if (!(await passwordMatches(account?.passwordHash, password)) || !account) {
      throw new Refusal(401, 'wrong-sign-in', 'The e-mail address or the password is not right');
    }
    if (account.demo && !demoAllowed) {
      throw new Refusal(403, 'demo-here-only', 'The demo accounts sign in on this machine only');
    }
    await attempts.forget(email);
    await pool.query('select sessions_clear($1)', [new Date()]);
    await settled((done) => request.session.regenerate(done));
    request.session.identity = account.identity;
    await settled((done) => request.session.save(done));
    response.status(201).json(account.identity);
  };

const signOut: RequestHandler = async (request, response) => {
  await settled((done) => request.session.destroy(done));
  response.clearCookie(SESSION_COOKIE, { path: '/' }).status(204).end();
};

type Read = (client: ClientBase, request: Request) => Promise<unknown>;

/** Answers what `read` finds in the signed-in instructor's academy. */
const reading =
  ({ pool }: Services, read: Read): RequestHandler =>
  async (request, response) => {
    const { academyId } = request.session.identity!;
    response.json(await inAcademy(pool, academyId, (client) => read(client, request)));
  };

type Add<Body> = (client: ClientBase, body: Body, writer: Writer) => Promise<object>;

/** Lands a write once: 201 the first time, 200 with the same answer when it is sent again. */
const landing =
  <Shape extends z.ZodType<{ id: string }>>(
    { pool }: Services,
    route: string,
    schema: Shape,
    add: Add<z.output<Shape>>,
  ): RequestHandler =>
  async (request: Request, response: Response) => {
    const body = parsedBody(schema, request);
    const { academyId, instructorId } = request.session.identity!;
    const writer = { academyId, instructorId, receivedAt: new Date() };
    const landed = await inAcademy(pool, academyId, (client) =>
      writeOnce(client, { ...writer, id: body.id, route, body }, () => add(client, body, writer)),
    );
    response.status(landed.first ? 201 : 200).json(landed.answer);
  };

/** The student named in the path. @throws NoSuchStudent also when that is no identifier at all. */
function studentInPath(request: Request): string {
  const parsed = Id.safeParse(request.params.studentId);
  if (!parsed.success) throw new NoSuchStudent();
  return parsed.data;
}

const studentWithLog: Read = async (client, request) => {
  const id = studentInPath(request);
  return {
    student: await findStudent(client, id),
    builds: await listBuilds(client, id),
    screens: await listScreens(client, id),
    entries: await listEntries(client, id),
  };
};

const edit: Add<StudentEdit> = (client, body) => editStudent(client, body);

/** All routes of the API. */
export function routes(services: Services): Route[] {
  const instructor = 'instructor' as const;
  const anyone = 'anyone' as const;
  return [
    {
      method: 'get',
      path: '/api/health',
      access: anyone,
      handler: async (_request, response) => {
        await services.pool.query('select 1');
        response.json({ status: 'up' });
      },
    },
    { method: 'post', path: '/api/session', access: anyone, handler: signIn(services) },
    {
      method: 'get',
      path: '/api/session',
      access: anyone,
      handler: (request, response) => void response.json(request.session.identity ?? null),
    },
    { method: 'delete', path: '/api/session', access: instructor, handler: signOut },
    { method: 'get', path: '/api/methods', access: instructor, handler: reading(services, listMethods) },
    {
      method: 'post',
      path: '/api/methods',
      access: instructor,
      handler: landing(services, 'method', NewMethodVersion, addMethodVersion),
    },
    { method: 'get', path: '/api/students', access: instructor, handler: reading(services, listStudents) },
    {
      method: 'get',
      path: '/api/students/:studentId',
      access: instructor,
      handler: reading(services, studentWithLog),
    },
    {
      method: 'post',
      path: '/api/students',
      access: instructor,
      handler: landing(services, 'student', NewStudent, addStudent),
    },
    {
      method: 'put',
      path: '/api/students',
      access: instructor,
      handler: landing(services, 'student edit', StudentEdit, edit),
    },
    {
      method: 'post',
      path: '/api/builds',
      access: instructor,
      handler: landing(services, 'build', NewBuild, addBuild),
    },
    {
      method: 'post',
      path: '/api/screens',
      access: instructor,
      handler: landing(services, 'screen', NewScreen, addScreen),
    },
    {
      method: 'post',
      path: '/api/lessons',
      access: instructor,
      handler: landing(services, 'lesson', NewLesson, addLesson),
    },
    {
      method: 'post',
      path: '/api/entries',
      access: instructor,
      handler: landing(services, 'entry', NewEntry, addEntry),
    },
    {
      method: 'post',
      path: '/api/stand-in',
      access: instructor,
      handler: landing(services, 'stand-in', StandIn, (client, body, writer) =>
        simulateShots(client, body, writer, services.standInPaceMs),
      ),
    },
    {
      method: 'get',
      path: '/api/stand-in/:sessionId/shots',
      access: instructor,
      handler: shotStream(services.pool),
    },
  ];
}
