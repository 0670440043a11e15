import type { Student } from '@pedastance/contract';
import { OUTCOME_WORDS, planSentence, shotFigure, shotNumber, liftWords } from '@pedastance/core/phrases';
import { differences, type Setup } from '@pedastance/core/setup';
import {
  FACTORIAL,
  FACTORIAL_BLOCKS,
  BLOCK_SIZES,
  MISHIT_RULES,
  OUTCOME_DEFINITIONS,
  OUTCOMES,
  ownScatter,
  SHOTS_A_BLOCK,
  type BlockSize,
  type MishitRule,
  type Outcome,
} from '@pedastance/core/trial';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { lesson } from '../../../state/lesson';
import { useRecords } from '../../../state/records';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { Notice } from '../../../ui/Notice';
import { Select } from '../../../ui/Select';
import { Body, Heading, Quiet } from '../../../ui/Words';
import { useComputation } from '../../../workers/useComputation';
import { tellChange } from '../../../domain/sentences';
import { isSimulated } from '../../../domain/ownShots';
import { planOf, trialsOf } from '../../../domain/trials';
import { declareTrial } from '../../../state/writes/trial';
import { useSpeech } from '../../../state/useSpeech';
import { typedNumber } from '../../../domain/typedNumber';

type Source = 'simulated monitor' | 'by hand';

/** What a monitor measures, and what an eye and a thumb note. */
const SEEN_BY: Record<Source, readonly Outcome[]> = {
  'simulated monitor': [
    'straight path',
    'start line',
    'nearness to the line',
    'carry',
    'club speed',
    'clean strike',
  ],
  'by hand': ['started on line', 'flew straight', 'clean strike', 'balance held', 'turn felt'],
};

const MOST_WARM_UPS = 20;

/** How shots of a kind scatter in an outcome, by this student's trials: simulated ones tell of simulated ones alone. */
function useOwnScatter(studentId: string) {
  const entries = useRecords((state) => state.entries);
  return useMemo(() => {
    const trials = trialsOf(Object.values(entries), studentId);
    return (outcome: Outcome, source: Source) =>
      ownScatter(
        outcome,
        trials
          .filter(({ entry }) => isSimulated(entry) === isSimulated({ source }))
          .map((trial) => ({ plan: planOf(trial), shots: trial.shots })),
      );
  }, [entries, studentId]);
}

interface DeclareTrialProps {
  student: Student;
  a: Setup;
  b: Setup;
}

/** Everything about a trial that is said before the first shot. */
export function DeclareTrial({ student, a, b }: DeclareTrialProps) {
  const speech = useSpeech(student.hand);
  const [source, setSource] = useState<Source>('by hand');
  const [primary, setPrimary] = useState<Outcome>(SEEN_BY['by hand'][0]!);
  const [mishits, setMishits] = useState<MishitRule>('left out');
  const [blockSize, setBlockSize] = useState<BlockSize>(2);
  const [warmUps, setWarmUps] = useState('4');
  // A lifted heel is not seen on the plan: it is tried as what is thought of.
  const [cues, setCues] = useState(() => ({
    a: '',
    b: liftWords(lesson.getState().draft?.leadHeelLift ?? 0, speech),
  }));
  const { unit, countsMishits, ...usual } = OUTCOME_DEFINITIONS[primary];
  const typed = (value: number) => String(Math.round(shotNumber.shown(value, unit, speech.length) * 10) / 10);
  const scatterOf = useOwnScatter(student.id);
  const own = scatterOf(primary, source);
  const [margin, setMargin] = useState(() => typed(usual.margin));
  const [scatter, setScatter] = useState(() => typed(own?.scatter ?? usual.scatter));
  const [fault, setFault] = useState('');
  const [way, setWay] = useState<'whole' | 'apart'>('whole');
  const differing = differences(a, b);
  const canApart = differing.length >= FACTORIAL.least && differing.length <= FACTORIAL.most;
  const apart = way === 'apart' && canApart;
  const lines = tellChange(a, b, speech);
  const stored = (text: string) => shotNumber.stored(typedNumber(text), unit, speech.length);
  const sound = stored(margin) > 0 && stored(scatter) > 0 && stored(margin) <= 100 && stored(scatter) <= 100;
  const question = useMemo(() => {
    if (!sound) return null;
    const of = {
      margin: shotNumber.stored(typedNumber(margin), unit, speech.length),
      scatter: shotNumber.stored(typedNumber(scatter), unit, speech.length),
      blockSize,
    };
    return { ask: 'chances' as const, of };
  }, [sound, margin, scatter, unit, speech.length, blockSize]);
  const { answer: chances } = useComputation(question);

  const choose = (outcome: Outcome, by: Source = source) => {
    const next = OUTCOME_DEFINITIONS[outcome];
    const words = (value: number) =>
      String(Math.round(shotNumber.shown(value, next.unit, speech.length) * 10) / 10);
    setPrimary(outcome);
    setMargin(words(next.margin));
    setScatter(words(scatterOf(outcome, by)?.scatter ?? next.scatter));
  };
  const chooseSource = (next: Source) => {
    setSource(next);
    choose(SEEN_BY[next].includes(primary) ? primary : SEEN_BY[next][0]!, next);
  };
  const declare = async () => {
    const warm = typedNumber(warmUps);
    if (!(Number.isInteger(warm) && warm >= 0 && warm <= MOST_WARM_UPS)) {
      return setFault(`Warm-up shots: expected 0 to ${MOST_WARM_UPS}, found “${warmUps}”`);
    }
    if (!sound) return setFault('Worth having, and scatter: expected numbers above 0');
    if (lines.length === 0 && cues.a.trim() === cues.b.trim()) {
      return setFault('A and B: expected other feet, or another cue; found the same');
    }
    try {
      await declareTrial(student, a, b, {
        cueA: cues.a.trim(),
        cueB: cues.b.trim(),
        primary,
        margin: stored(margin),
        scatter: stored(scatter),
        mishits,
        warmUps: warm,
        blockSize: apart ? SHOTS_A_BLOCK : blockSize,
        source,
        apart: apart ? differing : null,
      });
    } catch (error) {
      setFault(`Not kept: this device could not keep it (${(error as Error).message})`);
    }
  };
  const unitWords = shotNumber.unit(unit, speech.length);
  return (
    <View className="gap-3" testID="declare-trial">
      <Heading>Is the change real?</Heading>
      <Body>A is how the student stands today; B is what you agreed on.</Body>
      {lines.map((line) => (
        <Body key={line} className="font-semibold">{`B: ${line}`}</Body>
      ))}
      {lines.length === 0 && <Quiet>The feet are the same: two cues can be tried against each other.</Quiet>}
      {canApart && (
        <Choice
          label={`${differing.length} changes at once: nobody knows which one helped`}
          options={[
            { value: 'whole', words: 'Try them together' },
            { value: 'apart', words: 'Take them apart' },
          ]}
          value={way}
          onChange={setWay}
        />
      )}
      {apart && (
        <Notice kind="plain">
          {`${FACTORIAL_BLOCKS * SHOTS_A_BLOCK} shots in blocks of two: every way of making some of the changes and not the others, as often as each other. One look at the end says what each does by itself.`}
        </Notice>
      )}
      <View className="flex-row gap-2">
        {(['a', 'b'] as const).map((arm) => (
          <View key={arm} className="flex-1">
            <Field
              label={`Cue for ${arm.toUpperCase()}`}
              value={cues[arm]}
              onChangeText={(cue) => setCues({ ...cues, [arm]: cue })}
              maxLength={200}
            />
          </View>
        ))}
      </View>
      <Choice
        label="Shots are seen by"
        options={[
          { value: 'by hand', words: 'I’ll tap it' },
          { value: 'simulated monitor', words: 'Monitor (simulated)' },
        ]}
        value={source}
        onChange={chooseSource}
      />
      <Select
        label="What counts"
        options={OUTCOMES.filter((outcome) => SEEN_BY[source].includes(outcome)).map((outcome) => ({
          value: outcome,
          words: OUTCOME_WORDS[outcome].name,
        }))}
        value={primary}
        onChange={(outcome) => choose(outcome as Outcome)}
      />
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Field
            label="Smallest useful gain"
            unit={unitWords}
            value={margin}
            onChangeText={setMargin}
            inputMode="decimal"
          />
        </View>
        <View className="flex-1">
          <Field
            label="Scatter, shot to shot"
            unit={unitWords}
            value={scatter}
            onChangeText={setScatter}
            inputMode="decimal"
            help={
              own
                ? `One standard deviation, from ${own.shots} ${source === 'by hand' ? 'of this student’s own' : 'simulated'} shots.`
                : 'One standard deviation; a starting value until this student has shots of their own.'
            }
          />
        </View>
      </View>
      {chances && !apart && (
        <Notice kind="plain">{planSentence(chances, shotFigure(stored(margin), unit, speech.length))}</Notice>
      )}
      <Choice
        label={
          countsMishits ? 'Mishits (here they always count: it is about the strike)' : 'Mishits, fat or thin'
        }
        options={MISHIT_RULES.map((rule) => ({ value: rule, words: rule }))}
        value={mishits}
        onChange={setMishits}
      />
      <Field
        label="Warm-up shots a sitting, which count for nothing"
        value={warmUps}
        onChangeText={setWarmUps}
        inputMode="numeric"
      />
      {!apart && (
        <Choice
          label="The setup changes"
          options={BLOCK_SIZES.map((size) => ({
            value: String(size),
            words: size === 1 ? 'every shot, at random' : 'every two shots, at random',
          }))}
          value={String(blockSize)}
          onChange={(size) => setBlockSize(Number(size) as BlockSize)}
        />
      )}
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button words="Start" onPress={() => void declare()} />
      <Quiet>
        Nothing of this can be changed after the first shot. Space behind and beside, nobody ahead of the
        line.
      </Quiet>
    </View>
  );
}
