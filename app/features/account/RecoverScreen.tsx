import { Link } from 'expo-router';
import { useState } from 'react';
import { api } from '../../state/api';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { NewPasswordField, newPasswordFault } from '../../ui/NewPasswordField';
import { Notice } from '../../ui/Notice';
import { Body } from '../../ui/Words';
import { EnteringPage } from './EnteringPage';
import { messages } from './RecoverScreen.messages';
import { troubleWords } from './troubleWords';

/** A new password by a recovery code, and what to do without one. */
export function RecoverScreen() {
  const [email, setEmail] = useState('');
  const [code, setCode] = useState('');
  const [password, setPassword] = useState('');
  const [fault, setFault] = useState('');
  const [done, setDone] = useState(false);
  const set = async () => {
    const short = newPasswordFault(messages.password, password);
    if (short !== '') return setFault(short);
    try {
      await api.recover({ email, code, password });
      setFault('');
      setDone(true);
    } catch (error) {
      setFault(troubleWords(error));
    }
  };
  return (
    <EnteringPage title={messages.title}>
      {!done && (
        <>
          <Body>{messages.how}</Body>
          <Field
            label={messages.email}
            value={email}
            onChangeText={setEmail}
            autoComplete="username"
            inputMode="email"
            autoCapitalize="none"
          />
          <Field label={messages.code} value={code} onChangeText={setCode} autoCapitalize="characters" />
          <NewPasswordField label={messages.password} value={password} onChangeText={setPassword} />
          {fault !== '' && (
            <Notice kind="trouble" live>
              {fault}
            </Notice>
          )}
          <Button words={messages.set} onPress={() => void set()} />
          <Body>{messages.noCode}</Body>
        </>
      )}
      {done && (
        <Notice kind="good" live>
          {messages.done}
        </Notice>
      )}
      <Link href="/sign-in" className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          {messages.signIn}
        </Body>
      </Link>
    </EnteringPage>
  );
}
