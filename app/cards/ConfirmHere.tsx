import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { confirmHere, sessionPlace } from '../state/sessionPlace';
import { useAsked } from '../state/useAsked';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Body } from '../ui/Words';
import { messages } from './ConfirmHere.messages';
import { PasswordNow } from '../ui/PasswordNow';

/** Asks for the password once more where this sign-in began in another browser and network; else nothing. */
export function ConfirmHere({ identity }: { identity: Identity }) {
  const owner = ownerOf(identity);
  const ask = useCallback(() => sessionPlace(owner), [owner]);
  const { value, trouble, doing } = useAsked(ask);
  const [password, setPassword] = useState('');
  if (!value?.elsewhere) return null;
  return (
    <View className="gap-3" testID="confirm-here">
      <Notice kind="caution">
        <Body className="font-semibold">{messages.confirm}</Body>
        <Body>{messages.why}</Body>
      </Notice>
      <PasswordNow label={messages.password} value={password} onChangeText={setPassword} />
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      <Button words={messages.itIsMe} onPress={() => void doing(() => confirmHere(owner, password))} />
    </View>
  );
}
