import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { dayAndTime } from '../../domain/students';
import { hasPasskeys } from '../../state/account';
import { useAsked } from '../../state/useAsked';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './AcademyScreen.messages';
import { PasswordNow } from '../../ui/PasswordNow';

/** Loaded by itself, as the sign-in has it too: what two parts share would load with the list. */
const passkeys = () => import('../../state/passkeys');

/** Passkeys of one's own: made with the password, each ended by itself. */
export function Passkeys({ identity }: { identity: Identity }) {
  const owner = ownerOf(identity);
  const ask = useCallback(async () => (await passkeys()).ownPasskeys(owner), [owner]);
  const { value, trouble, doing } = useAsked(ask);
  const [password, setPassword] = useState('');
  const make = () =>
    doing(async () => {
      await (await passkeys()).makePasskey(owner, password);
      setPassword('');
    });
  return (
    <View className="gap-3" testID="passkeys">
      <Heading>{messages.passkeys}</Heading>
      <Body>{hasPasskeys() ? messages.passkeysWhy : messages.passkeysNotHere}</Body>
      {value?.map(({ id, device, madeAt, usedAt }) => (
        <View key={id} className="flex-row items-center justify-between gap-2 border-b border-grid py-2">
          <View className="flex-1">
            <Body>{device || messages.unknownDevice}</Body>
            <Quiet>{messages.passkeyMade(dayAndTime(madeAt), usedAt && dayAndTime(usedAt))}</Quiet>
          </View>
          <Button
            look="quiet"
            words={messages.endPasskey}
            onPress={() => void doing(async () => (await passkeys()).endPasskey(owner, id))}
          />
        </View>
      ))}
      {hasPasskeys() && (
        <PasswordNow label={messages.passwordForPasskey} value={password} onChangeText={setPassword} />
      )}
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      {hasPasskeys() && <Button look="plain" words={messages.makePasskey} onPress={() => void make()} />}
    </View>
  );
}
