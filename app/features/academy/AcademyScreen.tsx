import { router, useLocalSearchParams } from 'expo-router';
import { useAccount } from '../../state/account';
import { Button } from '../../ui/Button';
import { Page } from '../../ui/Page';
import { Body } from '../../ui/Words';
import { messages } from './AcademyScreen.messages';
import { ConfirmHere } from '../../cards/ConfirmHere';
import { Keys } from './Keys';
import { Passkeys } from './Passkeys';
import { People } from './People';
import { Privacy } from './Privacy';
import { Recovery } from './Recovery';
import { Sessions } from './Sessions';

/** An academy's people and one's own keys. */
export function AcademyScreen() {
  const identity = useAccount((state) => state.identity);
  // The day sends an owner here for what was done: that comes first then.
  const forActs = useLocalSearchParams<{ acts?: string }>().acts !== undefined;
  if (!identity) return null;
  const isOwner = identity.role !== 'instructor';
  return (
    <Page title={messages.title}>
      <Body className="text-lg font-semibold">{identity.academyName}</Body>
      <ConfirmHere identity={identity} />
      {isOwner && forActs && <Privacy identity={identity} isFirst />}
      <People identity={identity} />
      <Keys identity={identity} />
      <Passkeys identity={identity} />
      <Recovery identity={identity} />
      <Sessions identity={identity} />
      {isOwner && !forActs && <Privacy identity={identity} />}
      <Button look="plain" words={messages.dataInAndOut} onPress={() => router.push('/data')} />
      <Button look="plain" words={messages.whatIsKeptWhere} onPress={() => router.push('/kept')} />
    </Page>
  );
}
