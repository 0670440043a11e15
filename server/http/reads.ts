import { Id } from '@pedastance/contract';
import { wordsOf } from '@pedastance/contract/search';
import type { Request, RequestHandler } from 'express';
import type { ClientBase } from 'pg';
import { listBuilds } from '../store/builds';
import { cursorOf, written } from '../store/cursor';
import { inAcademy } from '../store/database';
import { erasedSince } from '../store/erasures';
import { listEntries, type LogPart } from '../store/lessons';
import { changedMethods, listVersions } from '../store/methods';
import { listScreens } from '../store/screens';
import { changedStudents, findStudent, listStudents, newestStudents, NoSuchStudent } from '../store/students';
import { actsUnseen } from '../store/audit';
import { todayOf } from '../store/today';
import { badInput, Refusal } from './problems';
import type { Services } from './services';

export type Read = (client: ClientBase, request: Request) => Promise<unknown>;

/** Answers what `read` finds in the signed-in instructor's academy. */
export const reading =
  ({ pool }: Services, read: Read): RequestHandler =>
  async (request, response) => {
    const { academyId } = request.session.identity!;
    response.json(await inAcademy(pool, academyId, (client) => read(client, request), 'read only'));
  };

const STUDENTS_A_PAGE = 30;
const CHANGES_A_PAGE = 200;
/** What a device keeps of a large academy without being asked; the others come by search. */
const NEWEST_STUDENTS = 500;
const ENTRIES_A_PAGE = 60;
const MOST_SEARCH_WORDS = 6;

/** An identifier. @throws NoSuchStudent where it is none at all */
export function idOf(given: unknown): string {
  const parsed = Id.safeParse(given);
  if (!parsed.success) throw new NoSuchStudent();
  return parsed.data;
}

const idInPath = (request: Request, name: string): string => idOf(request.params[name]);

/** The student that the path names. */
export const studentInPath = (request: Request): string => idInPath(request, 'studentId');

/** A parameter of the address, or undefined. @throws Refusal naming it where `parse` makes nothing of it */
function asked<Value>(
  request: Request,
  name: string,
  expected: string,
  parse: (text: string) => Value | undefined,
) {
  const given = request.query[name];
  if (given === undefined) return undefined;
  const value = typeof given === 'string' ? parse(given) : undefined;
  if (value !== undefined) return value;
  throw badInput(name, expected, String(given).slice(0, 40));
}

const askedCursor = (request: Request, name: string) =>
  asked(request, name, 'a place in the changes, as it was answered', cursorOf);

/** A page of the students by name, or of those that are searched for. */
export const studentPage: Read = async (client, request) => {
  const after = asked(request, 'after', 'the id of a student', (text) => Id.safeParse(text).data) ?? null;
  const words = asked(request, 'search', 'words', (text) => wordsOf(text).slice(0, MOST_SEARCH_WORDS)) ?? [];
  const { items, more } = await listStudents(client, after, words, STUDENTS_A_PAGE);
  return { students: items, more };
};

/** What changed in the academy since a place; without one, the students that changed last and all methods. */
export const changes: Read = async (client, request) => {
  const after = askedCursor(request, 'after');
  const { items, more, through } = after
    ? await changedStudents(client, after, CHANGES_A_PAGE)
    : await newestStudents(client, NEWEST_STUDENTS);
  const methods = await changedMethods(client, after?.number ?? 0);
  // A device that has followed nothing yet has nobody to let go of.
  const erased = after ? await erasedSince(client, after.number) : [];
  return { students: items, methods, erased, more, through: written(through) };
};

function logPart(request: Request): LogPart {
  const after = askedCursor(request, 'after');
  const before = askedCursor(request, 'before');
  if (after) return { after };
  return before ? { before } : 'newest';
}

/** A student with all builds and screens, and a part of the log. */
export const studentWithLog: Read = async (client, request) => {
  const id = studentInPath(request);
  const { entries, first, last, more } = await listEntries(client, id, logPart(request), ENTRIES_A_PAGE);
  return {
    student: await findStudent(client, id),
    builds: await listBuilds(client, id),
    screens: await listScreens(client, id),
    entries,
    first: first && written(first),
    last: last && written(last),
    more,
  };
};

/** The coach's day. */
export const today: Read = async (client, request) => ({
  ...(await todayOf(client, new Date())),
  acts: await actsUnseen(client, request.session.identity!.instructorId),
});

/** The versions of a house method, newest first. */
export const methodVersions: Read = async (client, request) => {
  const versions = await listVersions(client, idInPath(request, 'methodId'));
  if (versions.length === 0) throw new Refusal(404, 'not-found', 'There is no such method');
  return versions;
};
