import type { Student } from '@pedastance/contract';
import type { BuildFigure } from '@pedastance/core/body';
import { agesOn } from '@pedastance/core/body/person';
import { lengthWithUnit, type LengthUnit } from '@pedastance/core/units';
import { format } from 'date-fns/format';

/** The day by this device's calendar, as YYYY-MM-DD. */
export const dayOf = (now: Date): string => format(now, 'yyyy-MM-dd');

/** Hand and age, as stands under a student's name; of two ages where the day of birth is not known. */
export function inShort(student: Pick<Student, 'hand' | 'birthYear' | 'bornOn'>, now: Date): string {
  const { least, most } = agesOn(student, dayOf(now));
  return `${student.hand}-handed · ${least === most ? least : `${least} or ${most}`}`;
}

export const day = (moment: string): string => format(new Date(moment), 'd MMM yyyy');
/** A day of about this year, as it stands beside a figure. */
export const shortDay = (moment: string): string => format(new Date(moment), 'd MMM');
export const dayAndTime = (moment: string): string => format(new Date(moment), 'd MMM yyyy, HH:mm');

/** A build figure with its ± and how it was obtained. */
export const buildFigure = (figure: BuildFigure, length: LengthUnit): string =>
  `${lengthWithUnit(figure.value, length)} ± ${lengthWithUnit(figure.uncertainty, length)}`;
