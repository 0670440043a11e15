import { faultsInLadder } from '@pedastance/contract/ladderFile';
import { LADDER_SWINGS, OWN_LADDER_FIGURES, type OwnLadder } from '@pedastance/core/ladder';
import { capitalised } from '@pedastance/core/phrases';
import { FIGURES } from '@pedastance/core/setup';
import { lengthIn, millimetres, type LengthUnit } from '@pedastance/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { typedNumber } from '../../domain/typedNumber';
import { usePreferences } from '../../state/preferences';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { PickSeveral } from '../../ui/PickSeveral';
import { Body } from '../../ui/Words';
import { messages } from './LaddersScreen.messages';

const TEXTS = [
  { field: 'name', label: messages.name, most: 60 },
  { field: 'purpose', label: messages.purpose, most: 160 },
  { field: 'passes', label: messages.passes, most: 160 },
] as const;
const RUNGS = ['first', 'last', 'step'] as const;
type Rung = (typeof RUNGS)[number];

const isAngle = ({ figure }: Pick<OwnLadder, 'figure'>): boolean => FIGURES[figure].unit === 'degrees';

/** A rung as it is typed: degrees, or a length in the coach's unit. */
const asTyped = (ladder: OwnLadder, rung: Rung, length: LengthUnit): string => {
  const value = isAngle(ladder) ? ladder[rung] : lengthIn(length, ladder[rung]);
  return String(Number(value.toFixed(1)));
};
const fromTyped = (ladder: OwnLadder, text: string, length: LengthUnit): number => {
  const value = typedNumber(text);
  return isAngle(ladder) ? value : Math.round(millimetres(length, value));
};

interface LadderFormProps {
  from: OwnLadder;
  onSave: (ladder: OwnLadder) => void;
  onCancel: () => void;
}

/** A ladder being built. */
export function LadderForm({ from, onSave, onCancel }: LadderFormProps) {
  const length = usePreferences((state) => state.length);
  const [ladder, setLadder] = useState(from);
  const [typed, setTyped] = useState<Record<Rung, string>>({
    first: asTyped(from, 'first', length),
    last: asTyped(from, 'last', length),
    step: asTyped(from, 'step', length),
  });
  const [faults, setFaults] = useState<Record<string, string>>({});
  const unit = isAngle(ladder) ? '°' : length === 'cm' ? 'cm' : 'in';
  const save = () => {
    const rungs = Object.fromEntries(RUNGS.map((rung) => [rung, fromTyped(ladder, typed[rung], length)]));
    const whole = { ...ladder, ...rungs };
    const found = faultsInLadder(whole);
    setFaults(
      Object.fromEntries(
        found.map(({ field, expected, found: had }) => [
          field,
          messages.fault(capitalised(field), expected, had),
        ]),
      ),
    );
    if (found.length === 0) onSave(whole);
  };
  const known: readonly string[] = [...TEXTS.map(({ field }) => field), ...RUNGS];
  return (
    <View className="gap-4 border-l-4 border-lagoon pl-3" testID="ladder-form">
      {TEXTS.map(({ field, label, most }) => (
        <Field
          key={field}
          label={label}
          value={ladder[field]}
          onChangeText={(text) => setLadder({ ...ladder, [field]: text })}
          maxLength={most}
          help={field === 'passes' ? messages.passesHelp : undefined}
          fault={faults[field]}
        />
      ))}
      <Choice
        label={messages.moves}
        options={OWN_LADDER_FIGURES.map((value) => ({ value, words: messages.figures[value] }))}
        value={ladder.figure}
        onChange={(figure) => setLadder({ ...ladder, figure })}
      />
      <View className="flex-row gap-2">
        {RUNGS.map((rung) => (
          <View key={rung} className="flex-1">
            <Field
              label={messages[rung]}
              unit={unit}
              value={typed[rung]}
              onChangeText={(text) => setTyped({ ...typed, [rung]: text })}
              inputMode="text"
              fault={faults[rung]}
            />
          </View>
        ))}
      </View>
      <Choice
        label={messages.passing}
        options={[
          { value: 'from', words: messages.more },
          { value: 'up to', words: messages.less },
        ]}
        value={ladder.passing}
        onChange={(passing) => setLadder({ ...ladder, passing })}
      />
      <Choice
        label={messages.swing}
        options={LADDER_SWINGS.map((value) => ({ value, words: messages.swings[value] }))}
        value={ladder.swing}
        onChange={(swing) => setLadder({ ...ladder, swing })}
      />
      <PickSeveral
        label={messages.notMinors}
        options={[{ value: 'minors', words: messages.notMinors }]}
        chosen={ladder.minors ? [] : ['minors']}
        onToggle={() => setLadder({ ...ladder, minors: !ladder.minors })}
      />
      {Object.entries(faults)
        .filter(([field]) => !known.includes(field))
        .map(([field, words]) => (
          <Body key={field} role="alert" tone="rust">{`▲ ${words}`}</Body>
        ))}
      <View className="flex-row flex-wrap gap-3">
        <Button words={messages.save} onPress={save} />
        <Button look="quiet" words={messages.cancel} onPress={onCancel} />
      </View>
    </View>
  );
}
