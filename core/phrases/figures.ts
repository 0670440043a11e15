import { FIGURE_QUESTIONS, type FigureQuestion, type Question, type Unit } from '../method';

export type LengthUnit = 'cm' | 'inches';

const MM_PER_INCH = 25.4;
const MM_PER_CM = 10;

/** Millimetres in the coach's unit, as a number. */
export const lengthIn = (unit: LengthUnit, mm: number): number =>
  mm / (unit === 'cm' ? MM_PER_CM : MM_PER_INCH);

/** A number in the coach's unit, as millimetres. */
export const millimetres = (unit: LengthUnit, length: number): number =>
  length * (unit === 'cm' ? MM_PER_CM : MM_PER_INCH);

/** Rounded without ever writing "-0". */
function rounded(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '\u2212');
}

/** The figure alone: one decimal for cm, a quarter of an inch is two. */
export const lengthFigure = (mm: number, unit: LengthUnit): string =>
  rounded(lengthIn(unit, mm), unit === 'cm' ? 1 : 2);

export const lengthWithUnit = (mm: number, unit: LengthUnit): string =>
  `${lengthFigure(mm, unit)} ${unit === 'cm' ? 'cm' : 'in'}`;

export const angleFigure = (degrees: number, decimals = 0): string => `${rounded(degrees, decimals)}°`;

/** A figure of any unit, with its unit; a line's angle is told by `lineWords`. */
export function figureWithUnit(value: number, unit: Unit, length: LengthUnit): string {
  if (unit === 'mm') return lengthWithUnit(value, length);
  return unit === 'degrees' ? angleFigure(value, 1) : `${rounded(value, 0)} %`;
}

const MARKS = [
  { from: -Infinity, name: 'ahead of the lead toe' },
  { from: -0.06, name: 'level with the lead toe' },
  { from: 0.06, name: 'between the toe and the laces of the lead shoe' },
  { from: 0.19, name: 'level with the laces of the lead shoe' },
  { from: 0.31, name: 'between the laces and the middle of the lead shoe' },
  { from: 0.44, name: 'level with the middle of the lead shoe' },
  { from: 0.56, name: 'between the middle and the heel pad of the lead shoe' },
  { from: 0.69, name: 'level with the heel pad of the lead shoe' },
  { from: 0.81, name: 'between the heel pad and the heel of the lead shoe' },
  { from: 0.94, name: 'level with the heel of the lead shoe' },
  { from: 1.06, name: 'behind the heel of the lead shoe' },
] as const;

/** The mark of the lead shoe that the trail toe is level with; marks are quarters of the shoe. */
export function setbackMark(marks: number): string {
  return MARKS.findLast((mark) => marks >= mark.from)!.name;
}

/** A line's angle in words; closed positive. */
export function lineWords(angle: number): string {
  const size = Math.abs(angle).toFixed(1);
  if (size === '0.0') return 'square';
  return `${size}° ${angle > 0 ? 'closed' : 'open'}`;
}

/** Questions whose figure is an angle to the target line, told as open, square or closed. */
const LINES: readonly Question[] = ['stanceLine', 'hipLine', 'shoulderLine', 'clubFace'];
export const isLine = (question: Question): boolean => LINES.includes(question);

/** A question's figure as a coach says it: a line by its side, anything else with its unit. */
export const questionFigure = (question: FigureQuestion, value: number, length: LengthUnit): string =>
  isLine(question) ? lineWords(value) : figureWithUnit(value, FIGURE_QUESTIONS[question].unit, length);

/** A band's ends, with its unit once; a line's ends as open and closed. */
export function bandWords(
  question: FigureQuestion,
  { low, high }: { low: number; high: number },
  length: LengthUnit,
): string {
  if (isLine(question)) return `${lineWords(low)} to ${lineWords(high)}`;
  const { unit } = FIGURE_QUESTIONS[question];
  const bare = (value: number): string => (unit === 'mm' ? lengthFigure(value, length) : rounded(value, 0));
  const unitWord = { mm: length === 'cm' ? ' cm' : ' in', degrees: '°', percent: ' %' }[unit];
  return `${bare(low)} to ${bare(high)}${unitWord}`;
}
