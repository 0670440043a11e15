import { otherWays, type Judgement, type Way } from '@pedastance/core/advice';
import { gainWords, inFootWords, THING_NAMES, type Speech } from '@pedastance/core/phrases';
import type { Setup } from '@pedastance/core/setup';
import { turningFeet, turnsSpared } from '@pedastance/core/turn';
import { useEffect, useMemo } from 'react';
import { View } from 'react-native';
import { tellAgreed } from '../../domain/sentences';
import { lesson, replaceAgreed } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Body, Heading, Quiet } from '../../ui/Words';
import { useLessonContext } from './context';
import { offeredGhosts } from './offers';
import { messages } from './OtherWays.messages';
import { useCase, useJudgement } from './useJudgement';

interface WayProps {
  way: Way;
  /** Its number on the plan, from 0. */
  at: number;
  setup: Setup;
  speech: Speech;
}

/** One thing by itself, with what it gains both ways. */
function OneWay({ way, at, setup, speech }: WayProps) {
  const name = inFootWords(THING_NAMES[way.thing], speech.feet, speech.hand);
  const gains = gainWords(way);
  return (
    <View className="gap-1 border-l-4 border-lagoon bg-sheet p-3" testID="other-way">
      <Body className="font-semibold">{`${at + 1}  ${name}`}</Body>
      {tellAgreed(setup, way.setup, way.leadHeelLift, speech).map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {gains !== '' && <Quiet className="figures">{messages.turn(gains)}</Quiet>}
      <Button
        words={messages.takeThis}
        label={messages.take(name)}
        onPress={() => replaceAgreed(way.setup, way.leadHeelLift)}
      />
    </View>
  );
}

/** Whether a turn is short of what is needed. */
const isShort = ({ back, through }: Judgement): boolean =>
  [back, through].some((turn) => turn !== null && turn.from < turn.needed);

/** Why there is nothing to choose from, where there is nothing. */
function whyNone(ways: readonly Way[], measured: boolean, short: boolean): string | null {
  if (ways.length > 0) return null;
  if (!measured) return messages.measureBothFlaresFirst;
  return short ? messages.noOtherWay : messages.theseFeetTurnFarEnough;
}

/** The other ways of freeing the turn than the one that is told, each drawn on the plan under its number. */
export function OtherWays({ setup, speech }: { setup: Setup; speech: Speech }) {
  const { legs } = useLessonContext();
  const given = useCase();
  const ways = useMemo(() => (given ? otherWays(given) : []), [given]);
  const judgement = useJudgement();
  useEffect(() => {
    lesson.setState({ offers: offeredGhosts(setup, ways) });
    return () => lesson.setState({ offers: [] });
  }, [ways, setup]);
  const none = whyNone(ways, turningFeet(setup, 0, 0) !== null, judgement !== null && isShort(judgement));
  return (
    <View className="gap-2 pt-2" testID="other-ways" aria-live="polite">
      <Heading>{messages.otherWays}</Heading>
      {legs && turnsSpared(legs).map((turn) => <Quiet key={turn}>{messages.goingIsNotAsked(turn)}</Quiet>)}
      {ways.map((way, at) => (
        <OneWay key={`${way.thing} ${at}`} way={way} at={at} setup={setup} speech={speech} />
      ))}
      {none !== null && <Body>{none}</Body>}
    </View>
  );
}
