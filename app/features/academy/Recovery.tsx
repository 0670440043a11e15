import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { api } from '../../state/api';
import { useAsked } from '../../state/useAsked';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './AcademyScreen.messages';
import { PasswordNow } from '../../ui/PasswordNow';
import { ShownOnce } from './ShownOnce';

/** The codes as they were made. */
const Codes = ({ codes }: { codes: readonly string[] }) => (
  <ShownOnce words={messages.codesOnce} secret={codes.join('\n')} copyWords={messages.copyCodes}>
    <View testID="codes-once">
      {codes.map((code) => (
        <Body key={code} selectable className="figures text-lg">
          {code}
        </Body>
      ))}
    </View>
  </ShownOnce>
);

/** Codes that let a coach back in who forgot the password. */
export function Recovery({ identity }: { identity: Identity }) {
  const owner = ownerOf(identity);
  const ask = useCallback(() => api.recoveryLeft(owner), [owner]);
  const { value, trouble, doing } = useAsked(ask);
  const [password, setPassword] = useState('');
  const [codes, setCodes] = useState<string[]>([]);
  const make = () =>
    doing(async () => {
      setCodes([]);
      setCodes((await api.renewRecovery(owner, password)).codes);
      setPassword('');
    });
  return (
    <View className="gap-3" testID="recovery">
      <Heading>{messages.recovery}</Heading>
      <Body>{messages.recoveryWhy}</Body>
      {value && <Quiet>{messages.recoveryLeft(value.left)}</Quiet>}
      <PasswordNow label={messages.passwordForCodes} value={password} onChangeText={setPassword} />
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      {codes.length > 0 && <Codes codes={codes} />}
      <Button look="plain" words={messages.makeCodes} onPress={() => void make()} />
    </View>
  );
}
