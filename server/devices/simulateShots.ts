import type { StandIn } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { v7 as newId } from 'uuid';
import type { Writer } from '../store/rows';
import { addStandInShot, lockSession } from '../store/standInShots';
import { findStudent } from '../store/students';
import { simulatedMonitor } from './simulatedMonitor';
import { simulatedStudent } from './simulatedStudent';
import { stanceOf } from './stance';

/**
 * Has the simulated student hit from a setup. The shots are stored at once and become ready one
 * after another, a swing's time apart, so that any server can tell them to whoever listens.
 * @returns the shots' numbers in the session
 * @throws NoSuchStudent when this academy has no such student.
 */
export async function simulateShots(
  client: ClientBase,
  standIn: StandIn,
  { academyId, receivedAt }: Writer,
  paceMs: number,
): Promise<{ numbers: number[] }> {
  const { sessionId, studentId, clubLengthInches } = standIn;
  await findStudent(client, studentId);
  const last = await lockSession(client, sessionId);
  const from = Math.max(receivedAt.getTime(), last.readyAt?.getTime() ?? 0);
  const student = simulatedStudent(studentId, sessionId);
  const numbers = Array.from({ length: standIn.shots }, (_, at) => last.number + 1 + at);
  for (const [at, number] of numbers.entries()) {
    const swing = student.swing(stanceOf(standIn), number);
    await addStandInShot(client, academyId, {
      sessionId,
      number,
      shotId: newId(),
      measured: simulatedMonitor(sessionId, number).measure(swing, clubLengthInches),
      readyAt: new Date(from + (at + 1) * paceMs),
    });
  }
  return { numbers };
}
