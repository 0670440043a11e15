import { hasRemedy } from '@pedastance/core/body';
import { predictedPath, straightLine, type PathCause, type Slope } from '@pedastance/core/path';
import { pathSentence, type Speech } from '@pedastance/core/phrases';
import { lineWords, withFigure, type Setup } from '@pedastance/core/setup';
import { angleFigure } from '@pedastance/core/units';
import { View } from 'react-native';
import { currentSetup, replaceAgreed } from '../../state/lesson';
import type { StudentPath } from '../../state/usePersonalPath';
import { Button } from '../../ui/Button';
import { Body, Heading, Quiet } from '../../ui/Words';
import { measuredOf } from '../../domain/measured';
import { useLessonContext } from './context';
import { useSettled } from './useSettled';
import { messages } from './PathPanel.messages';

/** What a cause is counted in when it is told, and how many of the model's own units that is. */
const TOLD_PER: Record<PathCause, { words: string; by: number }> = {
  closed: { words: messages.eachDegreeClosed, by: 1 },
  toeward: { words: messages.eachOfLoadToward, by: 10 },
  drift: { words: messages.eachOfDrift, by: 10 },
  ball: { words: messages.eachMmOfBallForward, by: 10 },
};

const signed = (value: number): string => `${value < 0 ? '' : '+'}${angleFigure(value, 1)}`;

function SlopeRow({ slope }: { slope: Slope }) {
  const { words, by } = TOLD_PER[slope.cause];
  const [least, most] = slope.interval;
  return (
    <View className="border-b border-grid py-1">
      <View className="flex-row justify-between gap-2">
        <Body className="flex-1">{words}</Body>
        <Body className="figures font-semibold">{signed(slope.value * by)}</Body>
      </View>
      <Quiet className="figures">
        {slope.guess
          ? messages.aGuessNotThisStudent
          : messages.almostAlways(signed(least * by), signed(most * by))}
      </Quiet>
    </View>
  );
}

/** Between which lines it lies 95 times in 100; an end beyond what was looked at is not told. */
function rangeWords([least, most]: readonly [number, number]): string {
  if (Number.isFinite(least) && Number.isFinite(most))
    return messages.between(lineWords(least), lineWords(most));
  if (Number.isFinite(least)) return messages.noLess(lineWords(least));
  return Number.isFinite(most) ? messages.noMore(lineWords(most)) : messages.noneRuledOut;
}

/** The line that would straighten the path, how sure, and the way to take it. */
function Straight({ path, setup }: { path: StudentPath; setup: Setup }) {
  const { cautions } = useLessonContext();
  const straight = straightLine(path, setup);
  const own = path.slopes.some(({ cause, guess }) => cause === 'closed' && !guess);
  if (!straight) {
    return <Body>{messages.noLineWithinWouldStraighten}</Body>;
  }
  const { toeLine } = measuredOf(setup).measures;
  const by = straight.closed > toeLine ? 'more' : 'less';
  const spared = cautions.find(({ withholds }) => hasRemedy(withholds, { item: 'stanceLine', by }));
  if (spared) return <Body>{messages.noOtherLineIsLooked(spared.reason)}</Body>;
  return (
    <View className="gap-1">
      <Body>
        {messages.aStanceLineWouldStraighten(
          lineWords(straight.closed),
          own ? (path.simulated ? ', by simulated shots' : '') : ', a guess',
          rangeWords(straight.interval),
        )}
      </Body>
      <View className="flex-row">
        <Button
          look="plain"
          words={messages.takeThisLine}
          onPress={() => replaceAgreed(withFigure(setup, 'stanceLine', straight.closed))}
        />
      </View>
    </View>
  );
}

/** What a path rests on: nothing but the guess, simulated shots, or the student's own. */
function restsOn({ shots, simulated }: StudentPath, guess: boolean): string {
  if (shots === 0) return messages.noShotsOfThisStudent;
  const hit = `${shots} ${simulated ? 'simulated shots, none of their own' : 'of this student’s own shots'}`;
  return guess ? messages.tooFewFromFeetLike(hit) : `By ${hit}`;
}

/** What these feet do to this student's path: predicted, by which slopes, and what would straighten it. */
export function PathPanel({ path, speech }: { path: StudentPath; speech: Speech }) {
  const setup = useSettled(currentSetup);
  if (!setup) return null;
  const predicted = predictedPath(path, setup);
  const shoulders = setup.posture?.figures.shoulderLine;
  return (
    <View className="gap-2 pt-3" testID="path-panel">
      <Heading>{messages.thePath}</Heading>
      <Body>{`${restsOn(path, predicted.guess)}: ${pathSentence(predicted)}`}</Body>
      {path.slopes.map((slope) => (
        <SlopeRow key={slope.cause} slope={slope} />
      ))}
      <Straight path={path} setup={setup} />
      {path.usualDrift !== null && <Quiet>{messages.goesByTheDrift}</Quiet>}
      {!shoulders && <Quiet>{messages.closingOftenOnlyCancelsShoulders}</Quiet>}
      <Quiet>{messages.theGeneralGuessAndIts(speech.length === 'cm' ? '' : ' (10 mm is 0.4 in)')}</Quiet>
    </View>
  );
}
