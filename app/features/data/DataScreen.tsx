import { ownerOf } from '@pedastance/contract/owner';
import { View } from 'react-native';
import { DECIMAL_SIGN } from '../../domain/decimal';
import { useAccount } from '../../state/account';
import { Button } from '../../ui/Button';
import { saveFrom } from '../../ui/files';
import { Page } from '../../ui/Page';
import { Body, Heading, Quiet } from '../../ui/Words';
import { ConfirmHere } from '../../cards/ConfirmHere';
import { messages } from './DataScreen.messages';
import { RecordsIn } from './RecordsIn';
import { StudentsIn } from './StudentsIn';

/** Everything out: one file that can be read in again, or tables. */
function Out({ mayDo }: { mayDo: boolean }) {
  return (
    <View className="gap-3" testID="records-out">
      <Heading>{messages.out}</Heading>
      <Body>{messages.outWhy}</Body>
      {!mayDo && <Quiet>{messages.ownersOnly}</Quiet>}
      {mayDo && (
        <View className="flex-row flex-wrap gap-3">
          <Button words={messages.whole} onPress={() => saveFrom('/api/exports/academy')} />
          {Object.entries(messages.tables).map(([table, words]) => (
            <Button
              key={table}
              look="plain"
              words={words}
              onPress={() => saveFrom(`/api/exports/tables/${table}?decimal=${DECIMAL_SIGN}`)}
            />
          ))}
        </View>
      )}
    </View>
  );
}

/** Records out and in. */
export function DataScreen() {
  const identity = useAccount((state) => state.identity);
  if (!identity) return null;
  const isOwner = identity.role !== 'instructor';
  return (
    <Page title={messages.title}>
      <ConfirmHere identity={identity} />
      <StudentsIn />
      <Out mayDo={isOwner} />
      <RecordsIn owner={ownerOf(identity)} mayDo={isOwner} />
    </Page>
  );
}
