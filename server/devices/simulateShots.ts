import type { StandIn } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { v7 as newId } from 'uuid';
import type { Writer } from '../store/rows';
import { addStandInShots, lockSession } from '../store/standInShots';
import { findStudent } from '../store/students';
import { simulatedMonitor } from './simulatedMonitor';
import { simulatedStudent } from './simulatedStudent';
import { stanceOf } from './stance';

/**
 * Has the simulated student hit from a setup. The shots are stored at once and become ready one
 * after another, a swing's time apart, so that any server can tell them to whoever listens.
 * @throws NoSuchStudent when this academy has no such student.
 */
export async function simulateShots(
  client: ClientBase,
  standIn: StandIn,
  { academyId, receivedAt }: Writer,
  paceMs: number,
): Promise<void> {
  const { sessionId, studentId, clubLengthInches } = standIn;
  await findStudent(client, studentId);
  const last = await lockSession(client, sessionId);
  const from = Math.max(receivedAt.getTime(), last.readyAt?.getTime() ?? 0);
  const student = simulatedStudent(studentId, sessionId);
  const shots = Array.from({ length: standIn.shots }, (_, at) => {
    const number = last.number + 1 + at;
    const swing = student.swing(stanceOf(standIn), number);
    return {
      sessionId,
      studentId,
      number,
      shotId: newId(),
      measured: simulatedMonitor(sessionId, number).measure(swing, clubLengthInches),
      readyAt: new Date(from + (at + 1) * paceMs),
    };
  });
  await addStandInShots(client, academyId, shots);
}
