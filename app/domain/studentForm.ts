import type { NewBuild, Person, Student } from '@pedastance/contract';
import {
  EARLIEST_BIRTH_YEAR,
  LATEST_BIRTH_YEAR,
  LONGEST_CAUTIONS,
  LONGEST_NAME,
  MOST_SHOULDERS_OF_HEIGHT,
} from '@pedastance/contract/limits';
import {
  BUILD_RANGES,
  MEASURED_UNCERTAINTY,
  estimateBuild,
  isMinor,
  shoeLengthFromSize,
  type Build,
  type BuildFigure,
  type BuildFigureName,
  type CautionFact,
  type EstimateAs,
  type ShoeSizeSystem,
} from '@pedastance/core/body';
import { InputError, lengthFigure, lengthIn, millimetres, type LengthUnit } from '@pedastance/core/units';
import { isValid } from 'date-fns/isValid';
import { parseISO } from 'date-fns/parseISO';
import { typedNumber } from './typedNumber';

/** What is typed, as it is typed. An empty figure is estimated from the height. */
export interface StudentFields {
  name: string;
  hand: 'right' | 'left' | '';
  birthYear: string;
  /** The day of birth, YYYY-MM-DD, where it is known. */
  bornOn: string;
  cautions: string;
  facts: CautionFact[];
  height: string;
  estimateAs: EstimateAs;
  shoulderBreadth: string;
  hipBreadth: string;
  shoeBy: ShoeSizeSystem | 'sole length';
  shoe: string;
  shoeBreadth: string;
}

export type FieldName = keyof StudentFields;
export type FieldFaults = Partial<Record<FieldName, string>>;

const LABELS: Record<'height' | 'shoulderBreadth' | 'hipBreadth' | 'shoeLength' | 'shoeBreadth', string> = {
  height: 'Height',
  shoulderBreadth: 'Shoulder breadth',
  hipBreadth: 'Hip breadth',
  shoeLength: 'Sole length',
  shoeBreadth: 'Sole breadth',
};

export const EMPTY_FIELDS: StudentFields = {
  name: '',
  hand: '',
  birthYear: '',
  bornOn: '',
  cautions: '',
  facts: [],
  height: '',
  estimateAs: 'not said',
  shoulderBreadth: '',
  hipBreadth: '',
  shoeBy: 'EU',
  shoe: '',
  shoeBreadth: '',
};

/** The fields of a student who is known, in the coach's unit; estimated figures stay empty. */
export function fieldsOf(student: Student, length: LengthUnit): StudentFields {
  const person = {
    name: student.name,
    hand: student.hand,
    birthYear: String(student.birthYear),
    bornOn: student.bornOn ?? '',
    cautions: student.cautions,
    facts: student.facts,
  };
  const { build } = student;
  if (!build) return { ...EMPTY_FIELDS, ...person };
  const { figures, shoeSize } = build;
  const typed = (figure: BuildFigure): string =>
    figure.source === 'measured' ? lengthFigure(figure.value, length) : '';
  return {
    ...person,
    height: lengthFigure(figures.height.value, length),
    estimateAs: build.estimateAs,
    shoulderBreadth: typed(figures.shoulderBreadth),
    hipBreadth: typed(figures.hipBreadth),
    shoeBy: shoeSize?.system ?? (figures.shoeLength.source === 'measured' ? 'sole length' : 'EU'),
    shoe: shoeSize ? String(shoeSize.size) : typed(figures.shoeLength),
    shoeBreadth: typed(figures.shoeBreadth),
  };
}

const sentence = ({ field, expected, found }: { field: string; expected: string; found: string }): string =>
  `${field}: expected ${expected}, found ${found}`;

/** A measured length in mm. @throws InputError in the coach's own unit. */
function measured(name: BuildFigureName, text: string, length: LengthUnit): BuildFigure {
  const value = millimetres(length, typedNumber(text));
  const { least, most } = BUILD_RANGES[name];
  if (!(value >= least && value <= most)) {
    const decimals = length === 'cm' ? 0 : 1;
    const range = `${lengthIn(length, least).toFixed(decimals)} to ${lengthIn(length, most).toFixed(decimals)} ${length === 'cm' ? 'cm' : 'in'}`;
    throw new InputError(LABELS[name], range, text.trim() === '' ? 'nothing' : `“${text.trim()}”`);
  }
  return { value: Math.round(value * 10) / 10, source: 'measured', uncertainty: MEASURED_UNCERTAINTY[name] };
}

/** The day of birth as it is typed; null where nothing is. */
const typedDay = (text: string): string | null => (text.trim() === '' ? null : text.trim());

const isJunior = (fields: StudentFields, today: string): boolean =>
  isMinor({ birthYear: typedNumber(fields.birthYear), bornOn: typedDay(fields.bornOn) }, today);

/** Whether a text is a day there is, as YYYY-MM-DD. */
const isDay = (text: string): boolean => {
  const at = parseISO(text);
  return /^\d{4}-\d\d-\d\d$/.test(text) && isValid(at);
};

/** The estimates that the height typed so far gives, or null while there is none. */
export function estimatesFor(fields: StudentFields, length: LengthUnit, today: string) {
  try {
    const height = measured('height', fields.height, length).value;
    return estimateBuild({ height, estimateAs: fields.estimateAs, junior: isJunior(fields, today) });
  } catch {
    return null;
  }
}

type Attempt<Value> = { value: Value } | { fault: string };

function attempt<Value>(make: () => Value): Attempt<Value> {
  try {
    return { value: make() };
  } catch (error) {
    if (error instanceof InputError) return { fault: sentence(error) };
    throw error;
  }
}

export function personFrom(fields: StudentFields): { person: Person; faults: FieldFaults } {
  const faults: FieldFaults = {};
  const name = fields.name.trim();
  if (name.length < 1 || name.length > LONGEST_NAME) {
    faults.name = sentence({
      field: 'Name',
      expected: `1 to ${LONGEST_NAME} characters`,
      found: name === '' ? 'nothing' : `${name.length}`,
    });
  }
  if (fields.hand === '')
    faults.hand = sentence({ field: 'Hand', expected: 'right or left', found: 'neither' });
  const birthYear = typedNumber(fields.birthYear);
  if (!Number.isInteger(birthYear) || birthYear < EARLIEST_BIRTH_YEAR || birthYear > LATEST_BIRTH_YEAR) {
    const found = fields.birthYear.trim() === '' ? 'nothing' : `“${fields.birthYear.trim()}”`;
    faults.birthYear = sentence({ field: 'Year of birth', expected: 'a year such as 1968', found });
  }
  const bornOn = typedDay(fields.bornOn);
  if (bornOn !== null && (!isDay(bornOn) || Number(bornOn.slice(0, 4)) !== birthYear)) {
    const expected = `a day of ${Number.isInteger(birthYear) ? birthYear : 'that year'}, as 2008-11-27, or nothing`;
    faults.bornOn = sentence({ field: 'Day of birth', expected, found: `“${bornOn}”` });
  }
  if (fields.cautions.trim().length > LONGEST_CAUTIONS) {
    faults.cautions = sentence({
      field: 'Cautions',
      expected: `at most ${LONGEST_CAUTIONS} characters`,
      found: `${fields.cautions.trim().length}`,
    });
  }
  return {
    person: {
      name,
      hand: fields.hand || 'right',
      birthYear,
      bornOn,
      cautions: fields.cautions.trim(),
      facts: fields.facts,
    },
    faults,
  };
}

function shoeFrom(
  fields: StudentFields,
  length: LengthUnit,
): { figure: BuildFigure; shoeSize: NewBuild['shoeSize'] } {
  if (fields.shoeBy === 'sole length')
    return { figure: measured('shoeLength', fields.shoe, length), shoeSize: null };
  const size = typedNumber(fields.shoe);
  const figure = shoeLengthFromSize(fields.shoeBy, size);
  return { figure, shoeSize: { system: fields.shoeBy, size } };
}

export type StudentFromFields =
  { faults: FieldFaults } | { person: Person; build: Pick<NewBuild, 'figures' | 'estimateAs' | 'shoeSize'> };

/** A student and build from what was typed, or what is wrong with it, field by field. */
export function studentFrom(fields: StudentFields, length: LengthUnit, today: string): StudentFromFields {
  const { person, faults } = personFrom(fields);
  const height = attempt(() => measured('height', fields.height, length));
  if ('fault' in height) return { faults: { ...faults, height: height.fault } };
  const estimates = estimateBuild({
    height: height.value.value,
    estimateAs: fields.estimateAs,
    junior: isJunior(fields, today),
  });
  const figures: Record<string, BuildFigure> = { height: height.value };
  for (const name of ['shoulderBreadth', 'hipBreadth', 'shoeBreadth'] as const) {
    const taken =
      fields[name].trim() === ''
        ? { value: estimates[name] }
        : attempt(() => measured(name, fields[name], length));
    if ('fault' in taken) faults[name] = taken.fault;
    else figures[name] = taken.value;
  }
  const shoe =
    fields.shoe.trim() === ''
      ? { value: { figure: estimates.shoeLength, shoeSize: null } }
      : attempt(() => shoeFrom(fields, length));
  if ('fault' in shoe) faults.shoe = shoe.fault;
  if (Object.keys(faults).length > 0 || 'fault' in shoe) return { faults };
  const build = { ...figures, shoeLength: shoe.value.figure } as Build;
  const widest = MOST_SHOULDERS_OF_HEIGHT * build.height.value;
  if (build.shoulderBreadth.value > widest) {
    const expected = `at most ${lengthFigure(widest, length)}, which is ${MOST_SHOULDERS_OF_HEIGHT} of the height`;
    const found = lengthFigure(build.shoulderBreadth.value, length);
    return { faults: { shoulderBreadth: sentence({ field: LABELS.shoulderBreadth, expected, found }) } };
  }
  return { person, build: { figures: build, estimateAs: fields.estimateAs, shoeSize: shoe.value.shoeSize } };
}
