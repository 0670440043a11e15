import { lengthIn, millimetres, type Unit, type LengthUnit } from '@pedastance/core/units';
import { useState } from 'react';
import { Field } from '../../ui/Field';
import type { FieldUnit } from '../../domain/methodRules';
import { typedNumber } from '../../domain/typedNumber';
import { messages } from './NumberBox.messages';

const UNIT_WORDS: Record<Exclude<FieldUnit, 'question' | 'mm'>, string | undefined> = {
  degrees: '°',
  percent: '%',
  inches: 'in',
  soles: 'soles',
  times: undefined,
};

interface NumberBoxProps {
  label: string;
  unit: Exclude<FieldUnit, 'question'> | Unit;
  length: LengthUnit;
  /** As it is stored: mm, degrees, percent, or a plain number. */
  value: number;
  /** Ends it has to lie between, as stored; anything finite where there are none. */
  range?: { least: number; most: number } | undefined;
  onChange: (value: number) => void;
}

const plain = (value: number): string => String(Math.round(value * 100) / 100).replace('-', '\u2212');

/** A figure of a rule, typed in the coach's unit; what cannot be is said at once and not taken. */
export function NumberBox({ label, unit, length, value, range, onChange }: NumberBoxProps) {
  const shown = (stored: number) => plain(unit === 'mm' ? lengthIn(length, stored) : stored);
  const [text, setText] = useState(() => shown(value));
  const [fault, setFault] = useState<string>();
  const typed = (next: string) => {
    setText(next);
    const number = typedNumber(next.replace('\u2212', '-'));
    const stored = unit === 'mm' ? millimetres(length, number) : number;
    const { least, most } = range ?? { least: -Infinity, most: Infinity };
    if (!Number.isFinite(stored) || stored < least || stored > most) {
      const expected = range ? `${shown(least)} to ${shown(most)}` : 'a number';
      return setFault(messages.expectedFound(label, expected, next.trim() === '' ? 'nothing' : `“${next}”`));
    }
    setFault(undefined);
    onChange(stored);
  };
  return (
    <Field
      label={label}
      unit={unit === 'mm' ? (length === 'cm' ? 'cm' : 'in') : UNIT_WORDS[unit]}
      value={text}
      onChangeText={typed}
      inputMode="text"
      fault={fault}
    />
  );
}
