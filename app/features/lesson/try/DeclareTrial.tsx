import type { Student } from '@pedastance/contract';
import { OUTCOME_WORDS, planSentence, quickSentence } from '@pedastance/core/phrases';
import type { Setup } from '@pedastance/core/setup';
import {
  BLOCK_SIZES,
  FACTORIAL_BLOCKS,
  MISHIT_RULES,
  OUTCOME_DEFINITIONS,
  OUTCOMES,
  SHOTS_A_BLOCK,
  type BlockSize,
  type Outcome,
} from '@pedastance/core/trial';
import { shotFigure, shotNumber } from '@pedastance/core/units';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useMadeUp } from '../../../state/account';
import { useUnits } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { Notice } from '../../../ui/Notice';
import { Select } from '../../../ui/Select';
import { Body, Heading, Quiet } from '../../../ui/Words';
import { useComputation } from '../../../workers/useComputation';
import { SEEN_BY, useDeclaration, type Declaring, type Source } from './declaring';
import { common } from '../../../domain/common.messages';
import { messages } from './DeclareTrial.messages';

const SOURCES: { value: Source; words: string }[] = [
  { value: 'by hand', words: messages.illTap },
  { value: 'typed', words: messages.illType },
  { value: 'file', words: messages.fromItsFile },
];
const SIMULATED = { value: 'simulated monitor' as const, words: messages.monitorSimulated };

/** Who says what a shot did; a stand-in for a monitor only where it is asked for. */
function SeenBy({ of: { declared, chooseSource } }: { of: Declaring }) {
  const simulated = declared.source === SIMULATED.value;
  const [asked, setAsked] = useState(simulated);
  const madeUp = useMadeUp();
  return (
    <View className="gap-1">
      <Choice
        label={messages.shotsAreSeen}
        options={asked ? [...SOURCES, SIMULATED] : SOURCES}
        value={declared.source}
        onChange={chooseSource}
      />
      {!asked && madeUp && (
        <View className="flex-row">
          <Button look="quiet" words={messages.noStudentHereSimulateOne} onPress={() => setAsked(true)} />
        </View>
      )}
    </View>
  );
}

function Cues({ of: { declared, change } }: { of: Declaring }) {
  return (
    <View className="flex-row gap-2">
      <View className="flex-1">
        <Field
          label={messages.cueFor}
          value={declared.cueA}
          onChangeText={(cueA) => change({ cueA })}
          maxLength={200}
        />
      </View>
      <View className="flex-1">
        <Field
          label={messages.cueForB}
          value={declared.cueB}
          onChangeText={(cueB) => change({ cueB })}
          maxLength={200}
        />
      </View>
    </View>
  );
}

function Mishits({ of: { declared, change } }: { of: Declaring }) {
  const { countsMishits } = OUTCOME_DEFINITIONS[declared.primary];
  return (
    <Choice
      label={countsMishits ? messages.mishitsHereTheyAlwaysCount : messages.mishitsFatOrThin}
      options={MISHIT_RULES.map((rule) => ({ value: rule, words: rule }))}
      value={declared.mishits}
      onChange={(mishits) => change({ mishits })}
    />
  );
}

function GainAndScatter({ of: { declared, change, unit, ownShots } }: { of: Declaring }) {
  const words = shotNumber.unit(unit, useUnits());
  return (
    <View className="flex-row gap-2">
      <View className="flex-1">
        <Field
          label={messages.smallestUsefulGain}
          unit={words}
          value={declared.margin}
          onChangeText={(margin) => change({ margin })}
          inputMode="decimal"
        />
      </View>
      <View className="flex-1">
        <Field
          label={messages.scatterShotToShot}
          unit={words}
          value={declared.scatter}
          onChangeText={(scatter) => change({ scatter })}
          inputMode="decimal"
          help={
            ownShots
              ? messages.oneStandardDeviationFromShots(
                  ownShots,
                  declared.source === 'simulated monitor' ? 'simulated' : 'of this student’s own',
                )
              : messages.oneStandardDeviationAStarting
          }
        />
      </View>
    </View>
  );
}

/** How often a full trial would show what is worth having. */
function Chances({ of: { declared, margin, scatter, unit } }: { of: Declaring }) {
  const units = useUnits();
  const { blockSize } = declared;
  const question = useMemo(
    () => margin && scatter && { ask: 'chances' as const, of: { margin, scatter, blockSize } },
    [margin, scatter, blockSize],
  );
  const { answer } = useComputation(question || null);
  if (!answer || !margin) return null;
  return <Notice kind="plain">{planSentence(answer, shotFigure(margin, unit, units))}</Notice>;
}

/** What a full trial asks besides. */
function OfFullTrial({ of }: { of: Declaring }) {
  const { declared, change, canApart, apart, changes } = of;
  return (
    <>
      {canApart && (
        <Choice
          label={messages.changesAtOnceNobodyKnows(changes)}
          options={[
            { value: 'whole', words: messages.tryThemTogether },
            { value: 'apart', words: messages.takeThemApart },
          ]}
          value={declared.way}
          onChange={(way) => change({ way })}
        />
      )}
      {apart && <Notice kind="plain">{messages.shotsInBlocksOfTwo(FACTORIAL_BLOCKS * SHOTS_A_BLOCK)}</Notice>}
      <Cues of={of} />
      <GainAndScatter of={of} />
      {!apart && <Chances of={of} />}
      <Mishits of={of} />
      <Field
        label={messages.warmUpShotsASitting}
        value={declared.warmUps}
        onChangeText={(warmUps) => change({ warmUps })}
        inputMode="numeric"
      />
      {!apart && (
        <Choice
          label={messages.theSetupChanges}
          options={BLOCK_SIZES.map((size) => ({
            value: String(size),
            words: size === 1 ? messages.everyShotAtRandom : messages.everyTwoShotsAtRandom,
          }))}
          value={String(declared.blockSize)}
          onChange={(size) => change({ blockSize: Number(size) as BlockSize })}
        />
      )}
    </>
  );
}

/** What a quick try says of itself; the rest of it waits, folded. */
function OfQuickTry({ of }: { of: Declaring }) {
  const units = useUnits();
  const sameFeet = of.lines.length === 0;
  const [open, setOpen] = useState(false);
  return (
    <>
      {sameFeet && <Cues of={of} />}
      {of.scatter && <Body testID="quick-shows">{quickSentence(of.scatter, of.unit, units)}</Body>}
      <View className="flex-row">
        <Button
          look="quiet"
          words={open ? common.less : messages.moreCuesMishits}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && (
        <>
          {!sameFeet && <Cues of={of} />}
          <Mishits of={of} />
        </>
      )}
    </>
  );
}

interface DeclareTrialProps {
  student: Student;
  a: Setup;
  b: Setup;
}

/** Everything about a trial that is said before the first shot. */
export function DeclareTrial({ student, a, b }: DeclareTrialProps) {
  const of = useDeclaration(student, a, b);
  const { declared, change, choose, lines, fault, start } = of;
  return (
    <View className="gap-3" testID="declare-trial">
      <Heading>{messages.isTheChangeReal}</Heading>
      <Body>{messages.aIsHowTheStudent}</Body>
      {lines.map((line) => (
        <Body key={line} className="font-semibold">{`B: ${line}`}</Body>
      ))}
      {lines.length === 0 && <Quiet>{messages.theFeetAreTheSame}</Quiet>}
      <Choice
        label={messages.howManyShots}
        options={[
          { value: 'quick', words: messages.fiveAndFive },
          { value: 'full', words: messages.fullTrialToEach },
        ]}
        value={declared.length}
        onChange={(length) => change({ length })}
      />
      <SeenBy of={of} />
      <Select
        label={messages.whatCounts}
        options={OUTCOMES.filter((outcome) => SEEN_BY[declared.source].includes(outcome)).map((outcome) => ({
          value: outcome,
          words: OUTCOME_WORDS[outcome].name,
        }))}
        value={declared.primary}
        onChange={(outcome) => choose(outcome as Outcome)}
      />
      {declared.length === 'full' ? <OfFullTrial of={of} /> : <OfQuickTry of={of} />}
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button words={messages.start} onPress={() => void start()} />
      <Quiet>{messages.nothingOfThisCan}</Quiet>
    </View>
  );
}
