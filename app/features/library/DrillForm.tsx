import { faultsInDrill } from '@pedastance/contract/drillFile';
import { THINGS, type Thing } from '@pedastance/core/advice';
import { CAME_FOR, JOINTS, type CameFor, type Joint } from '@pedastance/core/body';
import type { Drill, NotFor } from '@pedastance/core/card';
import { capitalised } from '@pedastance/core/phrases';
import {
  SWING_PATHS,
  TELL_TALE_NAMES,
  type FootName,
  type SwingPath,
  type TellTale,
} from '@pedastance/core/setup';
import { useState } from 'react';
import { View } from 'react-native';
import { CAME_FOR_WORDS } from '../../domain/intake';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { PickSeveral } from '../../ui/PickSeveral';
import { Body, Quiet } from '../../ui/Words';
import { messages } from './DrillsScreen.messages';

const MENDED: NotFor['states'] = ['pain', 'operated', 'replaced'];
const UNSTEADY: NotFor = { joints: [], states: ['recent fall', 'dizzy or numb'] };

const TEXTS = [
  { field: 'name', label: messages.name, most: 60, lines: false },
  { field: 'how', label: messages.how, most: 300, lines: true },
  { field: 'dose', label: messages.dose, most: 160, lines: false },
  { field: 'feel', label: messages.feels, most: 200, lines: false },
  { field: 'right', label: messages.rightWhen, most: 200, lines: false },
  { field: 'needs', label: messages.what, most: 160, lines: false },
] as const;

const isUnsteady = ({ joints, states }: NotFor): boolean =>
  joints.length === 0 && states.includes('recent fall');

/** The joints that a drill spares, over all its rows. */
const jointsOf = ({ notFor }: Drill): Joint[] => [...new Set(notFor.flatMap(({ joints }) => joints))];

function withJoints(drill: Drill, joints: Joint[]): Drill {
  const others = drill.notFor.filter(isUnsteady);
  return { ...drill, notFor: [...(joints.length > 0 ? [{ joints, states: MENDED }] : []), ...others] };
}

function withUnsteady(drill: Drill, spared: boolean): Drill {
  const others = drill.notFor.filter((row) => !isUnsteady(row));
  return { ...drill, notFor: spared ? [...others, UNSTEADY] : others };
}

const toggled = <Value,>(values: readonly Value[], value: Value): Value[] =>
  values.includes(value) ? values.filter((each) => each !== value) : [...values, value];

/** A row of what a drill is for or not for. */
function Several<Value extends string>(props: {
  label: string;
  values: readonly Value[];
  words: (value: Value) => string;
  chosen: readonly Value[];
  onToggle: (value: Value) => void;
}) {
  const { label, values, words, chosen, onToggle } = props;
  return (
    <View className="gap-1">
      <Quiet>{label}</Quiet>
      <PickSeveral
        label={label}
        options={values.map((value) => ({ value, words: words(value) }))}
        chosen={chosen}
        onToggle={onToggle}
      />
    </View>
  );
}

function ForWhom({ drill, onChange }: { drill: Drill; onChange: (drill: Drill) => void }) {
  const spared = [
    ...(drill.notFor.some(isUnsteady) ? ['unsteady' as const] : []),
    ...(drill.minors ? [] : ['minors' as const]),
  ];
  return (
    <>
      <Several<Thing>
        label={messages.teaches}
        values={THINGS}
        words={capitalised}
        chosen={drill.things}
        onToggle={(thing) => onChange({ ...drill, things: toggled(drill.things, thing) })}
      />
      <Several<CameFor>
        label={messages.answers}
        values={CAME_FOR}
        words={(reason) => CAME_FOR_WORDS[reason]}
        chosen={drill.cameFor}
        onToggle={(reason) => onChange({ ...drill, cameFor: toggled(drill.cameFor, reason) })}
      />
      <Several<TellTale>
        label={messages.seen}
        values={TELL_TALE_NAMES}
        words={capitalised}
        chosen={drill.tellTales}
        onToggle={(seen) => onChange({ ...drill, tellTales: toggled(drill.tellTales, seen) })}
      />
      <Several<SwingPath>
        label={messages.path}
        values={SWING_PATHS}
        words={capitalised}
        chosen={drill.paths}
        onToggle={(path) => onChange({ ...drill, paths: toggled(drill.paths, path) })}
      />
      <Several<FootName>
        label={messages.stops}
        values={['lead', 'trail']}
        words={capitalised}
        chosen={drill.stops}
        onToggle={(leg) => onChange({ ...drill, stops: toggled(drill.stops, leg) })}
      />
      <Several<Joint>
        label={messages.notFor}
        values={JOINTS}
        words={capitalised}
        chosen={jointsOf(drill)}
        onToggle={(joint) => onChange(withJoints(drill, toggled(jointsOf(drill), joint)))}
      />
      <PickSeveral
        label={messages.notUnsteady}
        options={[
          { value: 'unsteady', words: messages.notUnsteady },
          { value: 'minors', words: messages.notMinors },
        ]}
        chosen={spared}
        onToggle={(value) =>
          onChange(
            value === 'minors'
              ? { ...drill, minors: !drill.minors }
              : withUnsteady(drill, !drill.notFor.some(isUnsteady)),
          )
        }
      />
    </>
  );
}

interface DrillFormProps {
  from: Drill;
  onSave: (drill: Drill) => void;
  onCancel: () => void;
}

/** A drill being written. */
export function DrillForm({ from, onSave, onCancel }: DrillFormProps) {
  const [drill, setDrill] = useState(from);
  const [faults, setFaults] = useState<Record<string, string>>({});
  const save = () => {
    const found = faultsInDrill(drill);
    setFaults(
      Object.fromEntries(
        found.map(({ field, expected, found: had }) => [
          field.split('.')[0]!,
          messages.fault(capitalised(field), expected, had),
        ]),
      ),
    );
    if (found.length === 0) onSave(drill);
  };
  const others = Object.entries(faults).filter(([field]) => !TEXTS.some((each) => each.field === field));
  return (
    <View className="gap-4 border-l-4 border-lagoon pl-3" testID="drill-form">
      {TEXTS.map(({ field, label, most, lines }) => (
        <Field
          key={field}
          label={label}
          value={drill[field]}
          onChangeText={(text) => setDrill({ ...drill, [field]: text })}
          maxLength={most}
          multiline={lines}
          help={field === 'how' ? messages.howHelp : undefined}
          fault={faults[field]}
        />
      ))}
      <ForWhom drill={drill} onChange={setDrill} />
      {others.map(([field, words]) => (
        <Body key={field} role="alert" tone="rust">{`▲ ${words}`}</Body>
      ))}
      <View className="flex-row flex-wrap gap-3">
        <Button words={messages.save} onPress={save} />
        <Button look="quiet" words={messages.cancel} onPress={onCancel} />
      </View>
    </View>
  );
}
