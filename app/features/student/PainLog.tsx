import type { PainTick } from '@pedastance/contract';
import { View } from 'react-native';
import { day } from '../../domain/students';
import { Body, Heading } from '../../ui/Words';
import { messages } from './PainLog.messages';

/** What became of a word of pain; of those that are older than one that was asked after, nothing of their own. */
function words(ticks: readonly PainTick[], at: number): string {
  const { on, takenBack, answer } = ticks[at]!;
  if (takenBack) return messages.takenBack(day(on));
  if (answer) return messages[answer.found](day(on), day(answer.madeAt));
  return ticks.slice(0, at).some((newer) => newer.answer) ? messages.before(day(on)) : messages.open(day(on));
}

/** The days on which a student ticked that it hurts, and what came of it. */
export function PainLog({ ticks = [] }: { ticks?: readonly PainTick[] }) {
  if (ticks.length === 0) return null;
  return (
    <View className="gap-1">
      <Heading>{messages.heading}</Heading>
      {ticks.map(({ tickId }, at) => (
        <Body key={tickId}>{words(ticks, at)}</Body>
      ))}
    </View>
  );
}
