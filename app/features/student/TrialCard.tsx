import { OUTCOME_WORDS } from '@pedastance/core/phrases';
import { View } from 'react-native';
import { Body, Heading, Quiet } from '../../ui/Words';
import { clubAndShot } from '../../domain/sentences';
import { day } from '../../domain/students';
import { TrialLink } from '../../cards/TrialLink';
import { decided, hitsOf, type Trial } from '../../domain/trials';

const CAME_TO = { keep: '● Kept', drop: '▼ Dropped' } as const;

/** A trial in the log: what it was about, and what it came to. */
export function TrialCard({ trial }: { trial: Trial }) {
  const came = decided(trial);
  const { addresses, entry } = trial;
  const simulated = entry.source === 'simulated monitor' ? ', simulated' : '';
  return (
    <View testID="trial-card" className="gap-1 border-b border-grid py-4">
      <View className="flex-row items-baseline justify-between gap-2">
        <Heading>{`${entry.apart ? 'Changes taken apart' : 'Trial'}, ${clubAndShot(addresses.A.club, addresses.A.shot)}`}</Heading>
        <Quiet>{day(entry.madeAt)}</Quiet>
      </View>
      <Body>{`${came ? CAME_TO[came] : '◐ Goes on'}: ${OUTCOME_WORDS[entry.primary].name.toLowerCase()}, ${hitsOf(trial).length} shots${simulated}.`}</Body>
      <TrialLink trial={trial} />
    </View>
  );
}
