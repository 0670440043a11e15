import type { Speech } from '@pedastance/core/phrases';
import { FIGURES } from '@pedastance/core/setup';
import { lengthFigure, lengthIn, millimetres, type Unit } from '@pedastance/core/units';
import { figureName } from '../../domain/sentences';
import { typedNumber } from '../../domain/typedNumber';
import type { Dial, LoadDial } from '../../state/lesson';

export type AnyDial = Dial | LoadDial;
export type Kind = 'length' | 'angle' | 'percent';

const KINDS: Record<Unit, Kind> = { mm: 'length', degrees: 'angle', percent: 'percent' };
export const kindOf = (dial: AnyDial): Kind => KINDS[FIGURES[dial].unit];

/** Exact steps, small and large, in the unit the coach reads. */
export const STEPS: Record<Kind, Record<Speech['length'], readonly [number, number]>> = {
  length: { cm: [0.5, 2], inches: [0.25, 1] },
  angle: { cm: [1, 5], inches: [1, 5] },
  percent: { cm: [1, 5], inches: [1, 5] },
};

export const toShown = (kind: Kind, value: number, speech: Speech): number =>
  kind === 'length' ? lengthIn(speech.length, value) : value;
export const toStored = (kind: Kind, value: number, speech: Speech): number =>
  kind === 'length' ? millimetres(speech.length, value) : value;

const UNIT: Record<Kind, (speech: Speech) => string> = {
  length: (speech) => (speech.length === 'cm' ? ' cm' : ' in'),
  angle: () => '°',
  percent: () => '%',
};
export const unitOf = (dial: AnyDial, speech: Speech): string => UNIT[kindOf(dial)](speech);

export function shownValue(dial: AnyDial, value: number, speech: Speech): string {
  const kind = kindOf(dial);
  if (kind === 'length') return lengthFigure(value, speech.length);
  return value
    .toFixed(kind === 'angle' ? 1 : 0)
    .replace('.0', '')
    .replace('-', '\u2212');
}

export function faultOf(dial: AnyDial, text: string, speech: Speech): string {
  const kind = kindOf(dial);
  const value = toStored(kind, typedNumber(text.replace('\u2212', '-')), speech);
  const { least, most } = FIGURES[dial].range;
  if (value >= least && value <= most) return '';
  const range = [least, most].map((end) => shownValue(dial, end, speech)).join(' to ');
  return `${figureName(dial, speech)}: expected ${range}${unitOf(dial, speech)}, found ${text.trim() === '' ? 'nothing' : `“${text}”`}`;
}
