import { carriedOver, type Screen } from '@pedastance/core/body';
import { v7 as newId } from 'uuid';
import type { NewBuild, NewScreen, Student } from '@pedastance/contract';
import { changeDraftWith } from '../lesson';
import { post } from '../outbox';
import { takesTheTurn } from '../../domain/legsAndTrunk';

/** Keeps a screen as a record of its own, with what it left out as it was last taken; the next one begins empty. */
export async function keepScreen(
  screen: Screen,
  { student, build, before }: { student: Student; build: NewBuild; before: NewScreen | null },
): Promise<void> {
  const taken = { ...screen, turnedOn: takesTheTurn(screen) ? screen.turnedOn : null };
  const body = {
    id: newId(),
    studentId: student.id,
    buildId: build.id,
    madeAt: new Date().toISOString(),
    ...carriedOver(taken, before),
  } as NewScreen;
  const label = `Legs and trunk of ${student.name}`;
  await changeDraftWith({ screen: null }, (changed) =>
    post([{ subjectId: student.id, label, writing: { route: 'screen', body } }], changed),
  );
}
