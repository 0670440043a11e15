import { factorialSentence, effectSentences, OUTCOME_WORDS, type Speech } from '@pedastance/core/phrases';
import { FACTORIAL_LEVEL, made, OUTCOME_DEFINITIONS, type FactorialVerdict } from '@pedastance/core/trial';
import { View } from 'react-native';
import { Body, Heading, Quiet } from '../ui/Words';
import { figureName } from '../domain/sentences';
import { StripPlot } from './StripPlot';
import { isSimulated } from '../domain/ownShots';
import type { Trial } from '../domain/trials';

const SHAPES = { helps: '●', hurts: '▼', 'not shown': '◐' } as const;

/** What each of the changes did by itself, every shot with it beside every shot without. */
export function FactorialResult({
  trial,
  verdict,
  speech,
}: {
  trial: Trial;
  verdict: FactorialVerdict;
  speech: Speech;
}) {
  const { apart, primary, mishits, source } = trial.entry;
  if (!apart) return null;
  const level = FACTORIAL_LEVEL / apart.changes.length;
  const shotsBy = (change: number) =>
    trial.factorialShots.flatMap(({ place, ...hit }) =>
      place.warmUp
        ? []
        : [
            {
              ...hit,
              place: {
                warmUp: false as const,
                block: place.block,
                arm: made(place.cell, change) ? ('B' as const) : ('A' as const),
              },
            },
          ],
    );
  return (
    <View className="gap-2" testID="trial-result">
      <Body className="text-lg font-semibold" testID="verdict">
        {factorialSentence(verdict, isSimulated({ source }))}
      </Body>
      {isSimulated({ source }) && (
        <Quiet>A simulated student hit these shots, and a simulated monitor measured them.</Quiet>
      )}
      <Quiet>{`${OUTCOME_WORDS[primary].name} decides. A: without the change; B: with it, the others made and not alike.`}</Quiet>
      {verdict.effects.map((effect, change) => (
        <View key={change} className="gap-1 border-b border-grid pb-2">
          <Heading>{`${effect ? SHAPES[effect.verdict] : '·'} ${change + 1}  ${figureName(apart.changes[change]!, speech)}`}</Heading>
          <StripPlot
            outcome={primary}
            shots={shotsBy(change)}
            leavesOut={mishits === 'left out'}
            length={speech.length}
          />
          {effect ? (
            effectSentences(effect, primary, level, speech.length).map((line) => (
              <Body key={line}>{line}</Body>
            ))
          ) : (
            <Body>Not seen in these shots.</Body>
          )}
        </View>
      ))}
      <Quiet>
        {`Said beforehand: 16 blocks of two shots, every way of combining the changes as often, in an order drawn at random; mishits are ${mishits}; unit ${OUTCOME_DEFINITIONS[primary].unit}. Whether two changes help or hinder each other is not looked at.`}
      </Quiet>
    </View>
  );
}
