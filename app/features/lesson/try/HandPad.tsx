import type { Student } from '@pedastance/contract';
import { OUTCOME_DEFINITIONS, type Shot } from '@pedastance/core/trial';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../../ui/Button';
import { Choice, type Option } from '../../../ui/Choice';
import { Quiet } from '../../../ui/Words';
import { hitsOf, type NextShot, type Trial } from '../../../domain/trials';
import { keepShot, takeBack } from '../../../state/writes/trial';
import { common } from '../../../domain/common.messages';
import { messages } from './HandPad.messages';

type Noted = Pick<Shot, 'startSide' | 'curveSide' | 'strike' | 'balanceHeld' | 'feltTurn'>;

const NOTHING: Noted = {};

function rowsFor(hand: Student['hand']): { key: keyof Noted; label: string; options: Option<string>[] }[] {
  // On the pad left stays left: it is tapped without looking.
  const [left, right] = hand === 'right' ? (['near', 'far'] as const) : (['far', 'near'] as const);
  const sides = (middle: string): Option<string>[] => [
    { value: left, words: '←' },
    { value: 'none', words: middle },
    { value: right, words: '→' },
  ];
  return [
    { key: 'startSide', label: messages.started, options: sides('on line') },
    { key: 'curveSide', label: messages.curved, options: sides('straight') },
    {
      key: 'strike',
      label: messages.strike,
      options: ['clean', 'fat', 'thin', 'heel', 'toe'].map((value) => ({ value, words: value })),
    },
    {
      key: 'balanceHeld',
      label: messages.balance,
      options: [
        { value: 'yes', words: messages.held },
        { value: 'no', words: messages.lost },
      ],
    },
    {
      key: 'feltTurn',
      label: messages.turn,
      options: ['short', 'enough', 'full'].map((value) => ({ value, words: value })),
    },
  ];
}

const shown = (noted: Noted, key: keyof Noted): string | null => {
  const value = noted[key];
  if (value === undefined) return null;
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : value;
};

const withNoted = (noted: Noted, key: keyof Noted, value: string): Noted => ({
  ...noted,
  [key]: key === 'balanceHeld' ? value === 'yes' : value,
});

/** A shot is a mishit by hand when it was struck fat or thin: said by the strike, not afterwards. */
const shotOf = (noted: Noted): Shot => ({
  ...noted,
  mishit: noted.strike === 'fat' || noted.strike === 'thin',
});

interface HandPadProps {
  student: Student;
  trial: Trial;
  next: NextShot;
}

/** A shot noted by hand: one tap for each thing seen, and the shot is kept once what decides was tapped. */
export function HandPad({ student, trial, next }: HandPadProps) {
  const [noted, setNoted] = useState<Noted>(NOTHING);
  const [fault, setFault] = useState('');
  const { score } = OUTCOME_DEFINITIONS[trial.entry.primary];
  const seen = next.kind === 'warm-up' || score(shotOf(noted)) !== null;
  const doing = async (work: () => Promise<void>) => {
    const before = noted;
    // The pad is free for the next shot at once: what is tapped while this one is kept stays.
    setNoted(NOTHING);
    try {
      await work();
      setFault('');
    } catch (error) {
      setNoted(before);
      setFault(common.notKept((error as Error).message));
    }
  };
  return (
    <View className="gap-2" testID="hand-pad">
      {rowsFor(student.hand).map(({ key, label, options }) => (
        <View key={key} className="flex-row items-center gap-2">
          <Quiet aria-hidden className="w-[62px]">
            {label}
          </Quiet>
          <View className="flex-1">
            <Choice
              hideLabel
              label={label}
              options={options}
              value={shown(noted, key)}
              onChange={(value) => setNoted(withNoted(noted, key, value))}
            />
          </View>
        </View>
      ))}
      {fault !== '' && <Button look="quiet" words={fault} onPress={() => setFault('')} />}
      <View className="flex-row gap-2">
        <Button
          className="flex-1"
          words={next.kind === 'warm-up' ? common.warmUpShotHit : messages.shotDone}
          disabled={!seen}
          onPress={() => void doing(() => keepShot(student, trial, next, shotOf(noted)))}
        />
        <Button
          look="plain"
          words={common.undo}
          label={common.takeTheLastShotBack}
          disabled={hitsOf(trial).length === 0}
          onPress={() => void doing(() => takeBack(student, trial))}
        />
      </View>
    </View>
  );
}
