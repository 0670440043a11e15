import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { useState } from 'react';
import { View } from 'react-native';
import { api } from '../../state/api';
import { Button } from '../../ui/Button';
import { NewPasswordField, newPasswordFault } from '../../ui/NewPasswordField';
import { Notice } from '../../ui/Notice';
import { Heading } from '../../ui/Words';
import { messages } from './AcademyScreen.messages';
import { PasswordNow } from '../../ui/PasswordNow';
import { troubleOf } from '../../state/useAsked';

/** Changing one's password, which ends every other session. */
export function Keys({ identity }: { identity: Identity }) {
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const [trouble, setTrouble] = useState('');
  const [done, setDone] = useState(false);
  const change = async () => {
    setDone(false);
    const short = newPasswordFault(messages.newPassword, after);
    setTrouble(short);
    if (short !== '') return;
    try {
      await api.changePassword(ownerOf(identity), { before, after });
      setBefore('');
      setAfter('');
      setDone(true);
    } catch (error) {
      setTrouble(troubleOf(error));
    }
  };
  return (
    <View className="gap-3" testID="keys">
      <Heading>{messages.keys}</Heading>
      <PasswordNow label={messages.passwordNow} value={before} onChangeText={setBefore} />
      <NewPasswordField label={messages.newPassword} value={after} onChangeText={setAfter} />
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      {done && (
        <Notice kind="good" live>
          {messages.passwordChanged}
        </Notice>
      )}
      <Button look="plain" words={messages.changePassword} onPress={() => void change()} />
    </View>
  );
}
