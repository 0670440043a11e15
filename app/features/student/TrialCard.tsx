import { clubAndShot } from '@pedastance/core/club';
import { OUTCOME_WORDS } from '@pedastance/core/phrases';
import { View } from 'react-native';
import { Body, Heading, Quiet } from '../../ui/Words';
import { day } from '../../domain/students';
import { TrialLink } from '../../cards/TrialLink';
import { isSimulated } from '@pedastance/contract/ownShots';
import { decided, hitsOf, type Trial } from '../../domain/trials';
import { messages } from './TrialCard.messages';

/** What a trial came to, in a word or two. */
function cameTo(trial: Trial): string {
  const decision = decided(trial);
  if (!decision) return messages.goesOn;
  if (decision === 'keep') return messages.kept;
  return trial.looks.at(-1)!.verdict === 'not shown' ? messages.notShownTheOldSetup : messages.dropped;
}

/** A trial in the log: what it was about, and what it came to. */
export function TrialCard({ trial }: { trial: Trial }) {
  const { addresses, entry } = trial;
  const simulated = isSimulated(entry) ? 'simulated shots' : 'shots';
  return (
    <View testID="trial-card" className="gap-1 border-b border-grid py-4">
      <View className="flex-row items-baseline justify-between gap-2">
        <Heading>{`${entry.apart ? messages.changesTakenApart : 'Trial'}, ${clubAndShot(addresses.A.club, addresses.A.shot)}`}</Heading>
        <Quiet>{day(entry.madeAt)}</Quiet>
      </View>
      <Body>{`${cameTo(trial)}: ${OUTCOME_WORDS[entry.primary].name.toLowerCase()}, ${hitsOf(trial).length} ${simulated}.`}</Body>
      <TrialLink trial={trial} />
    </View>
  );
}
