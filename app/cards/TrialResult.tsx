import {
  evidenceSentences,
  howMany,
  intervalFigures,
  missSentence,
  OUTCOME_WORDS,
  verdictSentence,
  type Speech,
} from '@pedastance/core/phrases';
import { missPattern, OUTCOME_DEFINITIONS, type Comparison, type LookResult } from '@pedastance/core/trial';
import { shotFigure, type Units } from '@pedastance/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { Body, Heading, Quiet } from '../ui/Words';
import { StripPlot } from './StripPlot';
import { isSimulated } from '@pedastance/contract/ownShots';
import type { Trial } from '../domain/trials';
import { messages } from './TrialResult.messages';

const SHAPES = { keep: '●', 'not yet': '◐', 'not shown': '○', drop: '▼' } as const;

interface TrialResultProps {
  trial: Trial;
  verdict: LookResult;
  comparisons: readonly Comparison[];
  speech: Speech;
  units: Units;
}

function Other({ comparison, trial, units }: { comparison: Comparison; trial: Trial; units: Units }) {
  const { outcome, mean, interval, shift, p, chance } = comparison;
  const { unit, margin } = OUTCOME_DEFINITIONS[outcome];
  const figure = (value: number) => shotFigure(Math.abs(value), unit, units);
  const signed = (value: number) => shotFigure(value, unit, units);
  return (
    <View className="gap-1 border-b border-grid py-2">
      <Body className="font-semibold">{OUTCOME_WORDS[outcome].name}</Body>
      <StripPlot
        outcome={outcome}
        shots={trial.shots}
        leavesOut={trial.entry.mishits === 'left out'}
        units={units}
      />
      <Quiet className="figures">
        {messages.otherOutcome(
          shift === null ? howMany(comparison, 'A') : figure(mean.A),
          shift === null ? howMany(comparison, 'B') : figure(mean.B),
          signed(comparison.difference),
          intervalFigures(interval, unit, units),
          p.toFixed(3),
          chance === null ? '' : `; by ${figure(margin)} or more: ${Math.round(100 * chance)} in 100`,
        )}
      </Quiet>
    </View>
  );
}

/** What a look says, to be shown to the student as it stands: their own shots, every one of them. */
export function TrialResult({ trial, verdict, comparisons, speech, units }: TrialResultProps) {
  const [open, setOpen] = useState(false);
  const { primary, margin, mishits, warmUps, blockSize, length } = trial.entry;
  const others = comparisons.filter(({ outcome }) => outcome !== primary);
  const inOrder = trial.shots.filter(({ place }) => !place.warmUp);
  const arm = (name: 'A' | 'B') =>
    inOrder.flatMap(({ place, shot }) => (!place.warmUp && place.arm === name ? [shot] : []));
  const simulated = isSimulated(trial.entry);
  return (
    <View className="gap-2" testID="trial-result">
      <Body className="text-lg font-semibold" testID="verdict">
        {`${SHAPES[verdict.verdict]} ${verdictSentence(verdict, simulated)}`}
      </Body>
      {simulated && <Quiet>{messages.aSimulatedStudentHitThese}</Quiet>}
      <Heading>{OUTCOME_WORDS[primary].name}</Heading>
      <StripPlot outcome={primary} shots={trial.shots} leavesOut={mishits === 'left out'} units={units} />
      {verdict.primary &&
        evidenceSentences(verdict.primary, margin, verdict.level, units).map((line) => (
          <Body key={line}>{line}</Body>
        ))}
      <Heading>{messages.misses}</Heading>
      <Body>{`A: ${missSentence(missPattern(arm('A')), speech.hand)}`}</Body>
      <Body>{`B: ${missSentence(missPattern(arm('B')), speech.hand)}`}</Body>
      {others.length > 0 && (
        <View className="flex-row">
          <Button
            look="quiet"
            words={open ? messages.foldTheRestAway : messages.whatElseWasSeenShown(others.length)}
            onPress={() => setOpen(!open)}
          />
        </View>
      )}
      {open &&
        others.map((comparison) => (
          <Other key={comparison.outcome} comparison={comparison} trial={trial} units={units} />
        ))}
      <Quiet>
        {messages.declaredBeforeTheFirstShot(
          OUTCOME_WORDS[primary].name.toLowerCase(),
          shotFigure(margin, OUTCOME_DEFINITIONS[primary].unit, units),
          warmUps,
          mishits,
          blockSize === 1 ? messages.byTheShot : messages.everyTwoShots,
          length === 'quick' ? messages.oneLook : messages.threeLooks,
        )}
      </Quiet>
    </View>
  );
}
