import type { Student } from '@pedastance/contract';
import { ageInYear, type BuildFigure } from '@pedastance/core/body';
import { lengthWithUnit, type LengthUnit } from '@pedastance/core/units';
import { format } from 'date-fns/format';

export const ageOf = (student: Pick<Student, 'birthYear'>, now: Date): number =>
  ageInYear(student.birthYear, now.getFullYear());

/** Hand and age, as stands under a student's name. */
export const inShort = (student: Pick<Student, 'hand' | 'birthYear'>, now: Date): string =>
  `${student.hand}-handed · ${ageOf(student, now)}`;

export const day = (moment: string): string => format(new Date(moment), 'd MMM yyyy');
export const dayAndTime = (moment: string): string => format(new Date(moment), 'd MMM yyyy, HH:mm');

/** A build figure with its ± and how it was obtained. */
export const buildFigure = (figure: BuildFigure, length: LengthUnit): string =>
  `${lengthWithUnit(figure.value, length)} ± ${lengthWithUnit(figure.uncertainty, length)}`;
