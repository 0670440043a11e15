import type { Person } from '@pedastance/contract';
import {
  BODY_SIDES,
  FACT_STATES,
  JOINTS,
  type BodySide,
  type CautionFact,
  type FactState,
  type Joint,
} from '@pedastance/core/body';
import { useState } from 'react';
import { View } from 'react-native';
import { openSuggestions, withFact } from '../../domain/facts';
import { factName, factWords, JOINT_WORDS, shownFacts, STATE_WORDS } from '../../domain/factWords';
import { day, dayOf } from '../../domain/students';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { Body, Heading, Quiet } from '../../ui/Words';
import { common } from '../../domain/common.messages';
import { messages } from './FactsField.messages';

interface FactsFieldProps {
  hand: Person['hand'];
  note: string;
  facts: readonly CautionFact[];
  onChange: (facts: CautionFact[]) => void;
}

const SIDE_WORDS: Record<BodySide, string> = { left: 'Left', right: 'Right', both: messages.bothOrNoSide };

/** A fact as it is put together: where, which side, what, since when, and who cleared it. */
function NewFact({
  facts,
  onChange,
  onDone,
}: Pick<FactsFieldProps, 'facts' | 'onChange'> & { onDone: () => void }) {
  const [joint, setJoint] = useState<Joint>('hip');
  const [side, setSide] = useState<BodySide>('left');
  const [state, setState] = useState<FactState>('pain');
  const [since, setSince] = useState('');
  const [clearedBy, setClearedBy] = useState('');
  const options = <Value extends string>(values: readonly Value[], words: Record<Value, string>) =>
    values.map((value) => ({ value, words: words[value] }));
  return (
    <View className="gap-2 border border-grid p-3" testID="new-fact">
      <Select
        label={messages.where}
        options={options(JOINTS, JOINT_WORDS)}
        value={joint}
        onChange={(to) => setJoint(to as Joint)}
      />
      <Select
        label={messages.sideOfTheBody}
        options={options(BODY_SIDES, SIDE_WORDS)}
        value={side}
        onChange={(to) => setSide(to as BodySide)}
      />
      <Select
        label={messages.what}
        options={options(FACT_STATES, STATE_WORDS)}
        value={state}
        onChange={(to) => setState(to as FactState)}
      />
      <Field
        label={messages.since}
        value={since}
        onChangeText={setSince}
        maxLength={60}
        placeholder={messages.lastWinter}
      />
      <Field
        label={messages.clearedForGolf}
        value={clearedBy}
        onChangeText={setClearedBy}
        maxLength={60}
        help={messages.leftEmptyADoctor}
      />
      <View className="flex-row flex-wrap gap-2">
        <Button
          words={messages.keepTheFact}
          onPress={() => {
            const more = { since: since.trim(), clearedBy: clearedBy.trim(), status: 'stands' as const };
            onChange(withFact(facts, { joint, side, state }, more, dayOf(new Date())));
            onDone();
          }}
        />
        <Button look="quiet" words={messages.leaveIt} onPress={onDone} />
      </View>
    </View>
  );
}

/** Facts that advice has to mind: those that stand, what the note seems to say, and one more. */
export function FactsField({ hand, note, facts, onChange }: FactsFieldProps) {
  const [adding, setAdding] = useState(false);
  const today = dayOf(new Date());
  const set = (
    key: CautionFact | ReturnType<typeof openSuggestions>[number],
    status: CautionFact['status'],
  ) => {
    const { joint, side, state } = key;
    onChange(withFact(facts, { joint, side, state }, { status }, today));
  };
  return (
    <View className="gap-2" testID="facts-field">
      <Heading>{messages.factsToMind}</Heading>
      <Quiet>{messages.whatIsWritten}</Quiet>
      {shownFacts(facts).map((fact) => (
        <View
          key={factName(fact, hand)}
          className="flex-row items-center justify-between gap-2 border-b border-grid py-1"
        >
          <Body className="flex-1">{factWords(fact, hand, day)}</Body>
          <Button
            look="quiet"
            words={fact.status === 'stands' ? messages.itIsOver : messages.itIsBack}
            label={`${fact.status === 'stands' ? messages.itIsOver : messages.itIsBack}: ${factName(fact, hand)}`}
            onPress={() => set(fact, fact.status === 'stands' ? 'over' : 'stands')}
          />
        </View>
      ))}
      {openSuggestions({ cautions: note, hand, facts: [...facts] }).map((suggested) => (
        <View
          key={factName(suggested, hand)}
          className="gap-1 border-b border-grid py-1"
          testID="suggested-fact"
        >
          <Body>{messages.theNoteSeemsToSay(factName(suggested, hand))}</Body>
          <View className="flex-row flex-wrap gap-2">
            <Button
              look="plain"
              words={messages.yesKeep}
              label={messages.yesKeepFact(factName(suggested, hand))}
              onPress={() => set(suggested, 'stands')}
            />
            <Button
              look="quiet"
              words={common.no}
              label={messages.noFact(factName(suggested, hand))}
              onPress={() => set(suggested, 'waved away')}
            />
          </View>
        </View>
      ))}
      {adding ? (
        <NewFact facts={facts} onChange={onChange} onDone={() => setAdding(false)} />
      ) : (
        <View className="flex-row">
          <Button look="plain" words={messages.addAFact} onPress={() => setAdding(true)} />
        </View>
      )}
    </View>
  );
}
