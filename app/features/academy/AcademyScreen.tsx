import { useAccount } from '../../state/account';
import { Page } from '../../ui/Page';
import { Body } from '../../ui/Words';
import { messages } from './AcademyScreen.messages';
import { Keys } from './Keys';
import { People } from './People';
import { Sessions } from './Sessions';

/** An academy's people and one's own keys. */
export function AcademyScreen() {
  const identity = useAccount((state) => state.identity);
  if (!identity) return null;
  return (
    <Page title={messages.title}>
      <Body className="text-lg font-semibold">{identity.academyName}</Body>
      <People identity={identity} />
      <Keys identity={identity} />
      <Sessions identity={identity} />
    </Page>
  );
}
