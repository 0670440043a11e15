import type { Student } from '@pedastance/contract';
import type { BuildFigure } from '@pedastance/core/body';
import { agesOn } from '@pedastance/core/body/person';
import { lengthWithUnit, type LengthUnit } from '@pedastance/core/units';
import { LOCALE } from '@pedastance/core/units';
import { formatISO } from 'date-fns/formatISO';

const SHORT_DAY = { day: 'numeric', month: 'short' } as const;
const SHORT_DAYS = new Intl.DateTimeFormat(LOCALE, SHORT_DAY);
const DAYS = new Intl.DateTimeFormat(LOCALE, { ...SHORT_DAY, year: 'numeric' });
const MOMENTS = new Intl.DateTimeFormat(LOCALE, {
  ...SHORT_DAY,
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});

/** The day by this device's calendar, as YYYY-MM-DD. */
export const dayOf = (now: Date): string => formatISO(now, { representation: 'date' });

/** Hand and age, as stands under a student's name; of two ages where the day of birth is not known. */
export function inShort(student: Pick<Student, 'hand' | 'birthYear' | 'bornOn'>, now: Date): string {
  const { least, most } = agesOn(student, dayOf(now));
  return `${student.hand}-handed · ${least === most ? least : `${least} or ${most}`}`;
}

export const day = (moment: string): string => DAYS.format(new Date(moment));
/** A day of about this year, as it stands beside a figure. */
export const shortDay = (moment: string): string => SHORT_DAYS.format(new Date(moment));
export const dayAndTime = (moment: string): string => MOMENTS.format(new Date(moment));

/** A build figure with its ± and how it was obtained. */
export const buildFigure = (figure: BuildFigure, length: LengthUnit): string =>
  `${lengthWithUnit(figure.value, length)} ± ${lengthWithUnit(figure.uncertainty, length)}`;
