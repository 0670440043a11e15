import { v7 as newId } from 'uuid';
import type { AddressEntry, ShotsEntry, Student } from '@pedastance/contract';
import type { Shot } from '@pedastance/core/trial';
import { post } from '../outbox';
import { entryPost } from './inLesson';

/** Shots one write may bring, and how many characters: the server's limits, with a margin. */
const AT_ONCE = { shots: 500, letters: 56_000 };

/** Shots in as few writes as the server takes. */
export function batchesOf(shots: readonly Shot[]): Shot[][] {
  const batches: Shot[][] = [];
  let letters = Infinity;
  for (const shot of shots) {
    const size = JSON.stringify(shot).length + 1;
    const last = batches.at(-1);
    if (!last || last.length === AT_ONCE.shots || letters + size > AT_ONCE.letters) {
      batches.push([shot]);
      letters = size;
    } else {
      last.push(shot);
      letters += size;
    }
  }
  return batches;
}

/** Shots hit from an address, of no trial. */
const shotsOf = (
  address: AddressEntry,
  madeAt: string,
  source: 'file' | 'typed',
  shots: readonly Shot[],
  replaces: string | null = null,
): ShotsEntry => ({
  id: newId(),
  lessonId: address.lessonId,
  madeAt,
  replaces,
  kind: 'shots',
  addressId: address.id,
  trialId: null,
  source,
  sitting: 0,
  place: null,
  shots: [...shots],
});

/** Keeps the shots of a file as hit from an address: all of them on the device before any is sent. */
export async function keepShots(
  student: Student,
  address: AddressEntry,
  shots: readonly Shot[],
): Promise<void> {
  const madeAt = new Date().toISOString();
  const batches = batchesOf(shots);
  await post(
    batches.map((batch, at) => ({
      subjectId: student.id,
      label: `Shots of ${student.name}, part ${at + 1} of ${batches.length}`,
      writing: { route: 'entry', body: shotsOf(address, madeAt, 'file', batch) },
    })),
  );
}

const postOne = (student: Student, body: ShotsEntry) => post([entryPost('Shot', student, body)]);

/** Keeps a typed shot as hit from an address; answers with its entry's identifier. */
export async function keepTypedShot(student: Student, address: AddressEntry, shot: Shot): Promise<string> {
  const body = shotsOf(address, new Date().toISOString(), 'typed', [shot]);
  await postOne(student, body);
  return body.id;
}

/** Takes a typed shot back: it stays in the log, replaced by nothing. */
export const takeShotBack = (student: Student, address: AddressEntry, id: string): Promise<void> =>
  postOne(student, shotsOf(address, new Date().toISOString(), 'typed', [], id));
