import type { NewBuild, Student } from '@pedastance/contract';
import { outgrewBy, stillGrows, type Grows } from '@pedastance/core/body';
import { dayOf } from './students';

const growsIn = ({ figures: { height, shoeLength } }: NewBuild): Grows => ({
  height: height.value,
  shoeLength: shoeLength.value,
});

/** Whether figures made with one build of a student are another body's by the other: grown by height, or by a growing body's shoes. */
export const outgrown = (
  then: NewBuild | undefined,
  now: NewBuild | null | undefined,
  student: Student | undefined,
): boolean =>
  Boolean(
    then && now && student && outgrewBy(growsIn(then), growsIn(now), stillGrows(student, dayOf(new Date()))),
  );
