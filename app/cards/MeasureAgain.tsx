import type { Student } from '@pedastance/contract';
import { measureAgainOn, stillGrows } from '@pedastance/core/body';
import { day, dayOf } from '../domain/students';
import { Notice } from '../ui/Notice';
import { messages } from './MeasureAgain.messages';

/** Says so where a growing student's figures have stood for so long that they are to be taken again. */
export function MeasureAgain({ student }: { student: Student }) {
  const today = dayOf(new Date());
  const { build } = student;
  if (!build || !stillGrows(student, today) || today < measureAgainOn(build.madeAt.slice(0, 10))) return null;
  return <Notice kind="caution">{messages.measureAgain(day(build.madeAt))}</Notice>;
}
