/** Academies that are begun for a measurement, and asked for by their headers alone. */
import { OWNER_HEADER, ownerOf } from '@pedastance/contract';
import { newStudent } from '../../server/test/bodies';
import { sessionCookie } from '../../server/test/sessionCookie';
import type { Coach } from '../../server/test/world';
import { ORIGIN } from './coach';

export const CROWD_PASSWORD = 'a stance as wide as it takes';

/** Somebody who has signed in, and is asked for by headers alone. */
export interface Somebody {
  headers: Record<string, string>;
  studentId: string;
}

/** An academy of its own with one student. */
export async function newAcademy(number: number): Promise<Somebody> {
  const answer = await fetch(`${ORIGIN}/api/academy`, {
    method: 'POST',
    headers: { origin: ORIGIN, 'content-type': 'application/json' },
    body: JSON.stringify({
      ...{ academyName: `Crowd ${number}`, name: 'Crowd', password: CROWD_PASSWORD },
      ...{ email: `crowd-${number}@bench.example`, method: 'shoulders-and-neutral' },
    }),
  });
  if (answer.status !== 201) throw new Error(`an academy: ${answer.status} ${await answer.text()}`);
  const { identity } = (await answer.json()) as { identity: Coach['identity'] };
  const cookie = sessionCookie(answer.headers).split(';')[0]!;
  const headers = { origin: ORIGIN, cookie, [OWNER_HEADER]: ownerOf(identity) };
  const student = newStudent();
  await post({ headers, studentId: '' }, '/api/students', student);
  return { headers, studentId: student.id };
}

/** Posts as somebody. */
export const post = ({ headers }: Somebody, path: string, body: object): Promise<Response> =>
  fetch(`${ORIGIN}${path}`, {
    method: 'POST',
    headers: { ...headers, 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
