import type { Screen } from '@pedastance/core/body';
import { v7 as newId } from 'uuid';
import type { NewBuild, NewScreen, Student } from '@pedastance/contract';
import { changeDraft, keepNow } from '../lesson';
import { post } from '../outbox';

import { takesTheTurn } from '../../domain/legsAndTrunk';

/** Keeps a screen as a record of its own; the next one begins empty. */
export async function keepScreen(
  screen: Screen,
  { student, build }: { student: Student; build: NewBuild },
): Promise<void> {
  const body = {
    id: newId(),
    studentId: student.id,
    buildId: build.id,
    madeAt: new Date().toISOString(),
    ...screen,
    turnedOn: takesTheTurn(screen) ? screen.turnedOn : null,
  } as NewScreen;
  await post([
    { subjectId: student.id, label: `Legs and trunk of ${student.name}`, writing: { route: 'screen', body } },
  ]);
  changeDraft({ screen: null });
  await keepNow();
}
