import {
  ONE_DOSE,
  ROUTINE_STEPS,
  ROUTINE_WORDS,
  TWO_DOSES,
  type CardDraft,
  type Drill,
  type RoutineStep,
} from '@pedastance/core/card';
import type { OwnLadder } from '@pedastance/core/ladder';
import type { Speech } from '@pedastance/core/phrases';
import { daysAfter } from '@pedastance/core/units';
import { Link } from 'expo-router';
import { View } from 'react-native';
import { spoken } from '../../domain/sentences';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { PickSeveral } from '../../ui/PickSeveral';
import { Body, Quiet } from '../../ui/Words';
import { messages } from './CardPlan.messages';

interface CardPlanProps {
  draft: CardDraft;
  onChange: (change: Partial<CardDraft>) => void;
  /** The exaggerated figures, where any are taught. */
  further: CardDraft['further'];
  /** Drills that fit, the best first. */
  fitting: readonly Drill[];
  speech: Speech;
  /** Ladders that this student may go up alone. */
  ladders: readonly OwnLadder[];
  /** YYYY-MM-DD */
  today: string;
}

const ROUNDS = [TWO_DOSES, { feel: 5, play: 5 }, { feel: 5, play: 10 }];
const DAYS = [1, 2, 3, 4, 5, 7] as const;
const BALLS = [20, 30, 40, 60] as const;
const WEEKS = [1, 2, 4, 8] as const;
const MOST_DRILLS = 2;

type Part = Pick<CardPlanProps, 'draft' | 'onChange'>;

function Doses({ draft, onChange, further }: Part & Pick<CardPlanProps, 'further'>) {
  const taught = draft.further.length > 0;
  if (further.length === 0) return null;
  const toggle = () =>
    onChange(
      taught
        ? { further: [], dose: 'play', rounds: ONE_DOSE }
        : { further: [...further], dose: 'feel', rounds: TWO_DOSES },
    );
  return (
    <View className="gap-3">
      <PickSeveral
        label={messages.bigStance}
        options={[{ value: 'big', words: messages.bigStance }]}
        chosen={taught ? ['big'] : []}
        onToggle={toggle}
      />
      {taught && (
        <>
          <Choice
            label={messages.stance}
            options={(['feel', 'between', 'play'] as const).map((value) => ({
              value,
              words: messages[value],
            }))}
            value={draft.dose}
            onChange={(dose) => onChange({ dose })}
          />
          <Choice
            label={messages.swings}
            options={ROUNDS.map(({ feel, play }) => ({
              value: `${feel} ${play}`,
              words: messages.round(feel, play),
            }))}
            value={`${draft.rounds.feel} ${draft.rounds.play}`}
            onChange={(value) =>
              onChange({ rounds: { ...ROUNDS.find((each) => `${each.feel} ${each.play}` === value)! } })
            }
          />
        </>
      )}
    </View>
  );
}

function Routine({ draft, onChange, speech }: Part & Pick<CardPlanProps, 'speech'>) {
  // Steps stay in the order in which they are done, in whichever order they were tapped.
  const toggle = (step: RoutineStep) =>
    onChange({
      routine: ROUTINE_STEPS.filter((each) =>
        each === step ? !draft.routine.includes(each) : draft.routine.includes(each),
      ),
    });
  return (
    <View className="gap-1">
      <Quiet>{messages.routine}</Quiet>
      <PickSeveral
        label={messages.routine}
        options={ROUTINE_STEPS.map((value) => ({ value, words: spoken(ROUTINE_WORDS[value], speech) }))}
        chosen={draft.routine}
        onToggle={toggle}
      />
    </View>
  );
}

function Drills({ draft, onChange, fitting, speech }: Part & Pick<CardPlanProps, 'fitting' | 'speech'>) {
  const shown = [
    ...draft.drills,
    ...fitting.filter(({ id }) => !draft.drills.some((each) => each.id === id)),
  ];
  const toggle = (id: string) => {
    const without = draft.drills.filter((each) => each.id !== id);
    const added = shown.find((each) => each.id === id)!;
    // A third takes the place of the first.
    const drills = without.length < draft.drills.length ? without : [...without, added].slice(-MOST_DRILLS);
    onChange({ drills });
  };
  return (
    <View className="gap-1">
      <Quiet>{messages.drills}</Quiet>
      {shown.length === 0 && <Body>{messages.noDrill}</Body>}
      <PickSeveral
        label={messages.drills}
        options={shown.map(({ id, name }) => ({ value: id, words: spoken(name, speech) }))}
        chosen={draft.drills.map(({ id }) => id)}
        onToggle={toggle}
      />
      <Field
        label={messages.cue}
        value={draft.cue}
        onChangeText={(cue) => onChange({ cue })}
        maxLength={160}
        help={messages.cueHelp}
      />
      <Link href="/drills" className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          {messages.allDrills}
        </Body>
      </Link>
    </View>
  );
}

/** One ladder of the academy's own, to go up alone. */
function LadderAlone({ draft, onChange, ladders, speech }: Part & Pick<CardPlanProps, 'ladders' | 'speech'>) {
  const others = ladders.filter(({ id }) => id !== draft.ladder?.id);
  const all = draft.ladder ? [draft.ladder, ...others] : others;
  return (
    <View className="gap-1">
      {all.length > 0 && (
        <Choice
          label={messages.ladder}
          options={[
            { value: 'none', words: messages.noLadder },
            ...all.map(({ id, name }) => ({ value: id, words: spoken(name, speech) })),
          ]}
          value={draft.ladder?.id ?? 'none'}
          onChange={(value) => onChange({ ladder: all.find(({ id }) => id === value) ?? null })}
        />
      )}
      <Link href="/ladders" className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          {messages.allLadders}
        </Body>
      </Link>
    </View>
  );
}

function PracticePart({ draft, onChange }: Part) {
  const { practice } = draft;
  const days = DAYS.map((each) => ({ value: String(each), words: String(each) }));
  const setDays = (value: string) =>
    onChange({
      practice: value === '0' ? null : { balls: 40, warmUp: true, ...practice, daysAWeek: Number(value) },
    });
  return (
    <View className="gap-3">
      <Choice
        label={messages.practice}
        options={[{ value: '0', words: messages.noPractice }, ...days]}
        value={String(practice?.daysAWeek ?? 0)}
        onChange={setDays}
      />
      {practice && (
        <>
          <Choice
            label={messages.balls}
            options={BALLS.map((each) => ({ value: String(each), words: String(each) }))}
            value={String(practice.balls)}
            onChange={(value) => onChange({ practice: { ...practice, balls: Number(value) } })}
          />
          <PickSeveral
            label={messages.warmUp}
            options={[{ value: 'warm', words: messages.warmUp }]}
            chosen={practice.warmUp ? ['warm'] : []}
            onToggle={() => onChange({ practice: { ...practice, warmUp: !practice.warmUp } })}
          />
        </>
      )}
    </View>
  );
}

function NextLook({ draft, onChange, today }: Part & Pick<CardPlanProps, 'today'>) {
  const options = WEEKS.map((weeks) => ({
    value: daysAfter(today, 7 * weeks),
    words: messages.weeks(weeks),
  }));
  return (
    <View className="gap-1">
      <Choice
        label={messages.nextLook}
        options={[...options, { value: 'none', words: messages.notAgreed }]}
        value={draft.nextLook ?? 'none'}
        onChange={(value) => onChange({ nextLook: value === 'none' ? null : value })}
      />
      <Quiet>{messages.startingValue(messages.rule)}</Quiet>
    </View>
  );
}

/** What a coach decides of a card. */
export function CardPlan({ draft, onChange, further, fitting, ladders, speech, today }: CardPlanProps) {
  return (
    <View className="gap-5">
      <Doses draft={draft} onChange={onChange} further={further} />
      <Routine draft={draft} onChange={onChange} speech={speech} />
      <Drills draft={draft} onChange={onChange} fitting={fitting} speech={speech} />
      <LadderAlone draft={draft} onChange={onChange} ladders={ladders} speech={speech} />
      <PracticePart draft={draft} onChange={onChange} />
      <NextLook draft={draft} onChange={onChange} today={today} />
    </View>
  );
}
