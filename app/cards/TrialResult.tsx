import {
  evidenceSentences,
  howMany,
  intervalFigures,
  missSentence,
  OUTCOME_WORDS,
  shotFigure,
  verdictSentence,
  type Speech,
} from '@pedastance/core/phrases';
import { missPattern, OUTCOME_DEFINITIONS, type Comparison, type LookResult } from '@pedastance/core/trial';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { Body, Heading, Quiet } from '../ui/Words';
import { StripPlot } from './StripPlot';
import { isSimulated } from '../domain/ownShots';
import type { Trial } from '../domain/trials';

const SHAPES = { keep: '●', 'not yet': '◐', 'not shown': '○', drop: '▼' } as const;

interface TrialResultProps {
  trial: Trial;
  verdict: LookResult;
  comparisons: readonly Comparison[];
  speech: Speech;
}

function Other({ comparison, trial, speech }: { comparison: Comparison; trial: Trial; speech: Speech }) {
  const { outcome, mean, interval, shift, p, chance } = comparison;
  const { unit, margin } = OUTCOME_DEFINITIONS[outcome];
  const figure = (value: number) => shotFigure(Math.abs(value), unit, speech.length);
  const signed = (value: number) => shotFigure(value, unit, speech.length);
  return (
    <View className="gap-1 border-b border-grid py-2">
      <Body className="font-semibold">{OUTCOME_WORDS[outcome].name}</Body>
      <StripPlot
        outcome={outcome}
        shots={trial.shots}
        leavesOut={trial.entry.mishits === 'left out'}
        length={speech.length}
      />
      <Quiet className="figures">
        {`A ${shift === null ? howMany(comparison, 'A') : figure(mean.A)}, B ${shift === null ? howMany(comparison, 'B') : figure(mean.B)}; better by ${signed(comparison.difference)} (95%: ${intervalFigures(interval, unit, speech.length)}), p ${p.toFixed(3)}${chance === null ? '' : `; by ${figure(margin)} or more: ${Math.round(100 * chance)} in 100`}.`}
      </Quiet>
    </View>
  );
}

/** What a look says, to be shown to the student as it stands: their own shots, every one of them. */
export function TrialResult({ trial, verdict, comparisons, speech }: TrialResultProps) {
  const [open, setOpen] = useState(false);
  const { primary, margin, mishits, warmUps, blockSize } = trial.entry;
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
      {simulated && (
        <Quiet>A simulated student hit these shots, and a simulated monitor measured them.</Quiet>
      )}
      <Heading>{OUTCOME_WORDS[primary].name}</Heading>
      <StripPlot
        outcome={primary}
        shots={trial.shots}
        leavesOut={mishits === 'left out'}
        length={speech.length}
      />
      {verdict.primary &&
        evidenceSentences(verdict.primary, margin, verdict.level, speech.length).map((line) => (
          <Body key={line}>{line}</Body>
        ))}
      <Heading>Misses</Heading>
      <Body>{`A: ${missSentence(missPattern(arm('A')), speech.hand)}`}</Body>
      <Body>{`B: ${missSentence(missPattern(arm('B')), speech.hand)}`}</Body>
      {others.length > 0 && (
        <View className="flex-row">
          <Button
            look="quiet"
            words={
              open ? 'Fold the rest away' : `What else was seen (${others.length}): shown, never deciding`
            }
            onPress={() => setOpen(!open)}
          />
        </View>
      )}
      {open &&
        others.map((comparison) => (
          <Other key={comparison.outcome} comparison={comparison} trial={trial} speech={speech} />
        ))}
      <Quiet>
        {`Declared before the first shot: ${OUTCOME_WORDS[primary].name.toLowerCase()} decides; worth having from ${shotFigure(margin, OUTCOME_DEFINITIONS[primary].unit, speech.length)}; ${warmUps} warm-up shots a sitting count for nothing; mishits are ${mishits} (said when they are struck); setups change ${blockSize === 1 ? 'by the shot' : 'every two shots'}, their order drawn at random, as many of each; three looks at the most.`}
      </Quiet>
    </View>
  );
}
