import { factorialSentence, effectSentences, OUTCOME_WORDS, type Speech } from '@pedastance/core/phrases';
import { FACTORIAL_LEVEL, made, OUTCOME_DEFINITIONS, type FactorialVerdict } from '@pedastance/core/trial';
import type { Units } from '@pedastance/core/units';
import { View } from 'react-native';
import { Body, Heading, Quiet } from '../ui/Words';
import { figureName } from '../domain/sentences';
import { StripPlot } from './StripPlot';
import { isSimulated } from '@pedastance/contract/ownShots';
import type { Trial } from '../domain/trials';
import { messages } from './FactorialResult.messages';

const SHAPES = { helps: '●', hurts: '▼', 'not shown': '◐' } as const;

/** What each of the changes did by itself, every shot with it beside every shot without. */
export function FactorialResult({
  trial,
  verdict,
  speech,
  units,
}: {
  trial: Trial;
  verdict: FactorialVerdict;
  speech: Speech;
  units: Units;
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
      {isSimulated({ source }) && <Quiet>{messages.aSimulatedStudentHitThese}</Quiet>}
      <Quiet>{messages.decidesAWithoutTheChange(OUTCOME_WORDS[primary].name)}</Quiet>
      {verdict.effects.map((effect, change) => (
        <View key={change} className="gap-1 border-b border-grid pb-2">
          <Heading>{`${effect ? SHAPES[effect.verdict] : '·'} ${change + 1}  ${figureName(apart.changes[change]!, speech)}`}</Heading>
          <StripPlot
            outcome={primary}
            shots={shotsBy(change)}
            leavesOut={mishits === 'left out'}
            units={units}
          />
          {effect ? (
            effectSentences(effect, primary, level, units).map((line) => <Body key={line}>{line}</Body>)
          ) : (
            <Body>{messages.notSeenInTheseShots}</Body>
          )}
        </View>
      ))}
      <Quiet>{messages.saidBeforehandBlocksOfTwo(mishits, OUTCOME_DEFINITIONS[primary].unit)}</Quiet>
    </View>
  );
}
