import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { signIn, useAccount } from '../../state/account';
import { Refused, ServerAway, ServerFailed } from '../../state/api';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Body, Quiet, Title } from '../../ui/Words';

const wordsFor = (error: unknown): string => {
  if (error instanceof Refused) return `${error.problem.title}. ${error.problem.detail}`.trim();
  if (error instanceof ServerFailed) return `${error.problem.title}. Try again.`;
  if (error instanceof ServerAway && error.reason) return error.reason;
  return 'The server does not answer. Check the connection and try again.';
};

export function SignInScreen() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const expiredFor = useAccount((state) => (state.status === 'expired' ? state.identity : null));

  const submit = async () => {
    if (!email.includes('@')) return setTrouble(`E-mail address: expected name@place, found "${email}"`);
    if (!password) return setTrouble('Password: expected one, found nothing');
    setBusy(true);
    setTrouble('');
    try {
      await signIn({ email, password });
    } catch (error) {
      setTrouble(wordsFor(error));
    } finally {
      setBusy(false);
    }
  };

  return (
    <ScrollView className="bg-paper" contentContainerClassName="min-h-full justify-center p-5">
      <View role="main" className="w-full max-w-sm gap-5 self-center">
        <View className="gap-1">
          <Title className="text-4xl">Pedastance</Title>
          <Body>The address position, measured against the body and the club, and kept.</Body>
        </View>
        {expiredFor && (
          <Notice kind="caution">
            {`The session of ${expiredFor.instructorName} has ended. What was not sent is kept on this device and goes out when ${expiredFor.instructorName} signs in again.`}
          </Notice>
        )}
        <Field
          label="E-mail address"
          value={email}
          onChangeText={setEmail}
          autoComplete="username"
          inputMode="email"
          autoCapitalize="none"
        />
        <Field
          label="Password"
          value={password}
          onChangeText={setPassword}
          secureTextEntry
          autoComplete="current-password"
          onSubmitEditing={() => void submit()}
        />
        {trouble !== '' && (
          <Notice kind="trouble" live>
            {trouble}
          </Notice>
        )}
        <Button words={busy ? 'Signing in …' : 'Sign in'} disabled={busy} onPress={() => void submit()} />
        <Quiet>Coaching support, not medical advice.</Quiet>
      </View>
    </ScrollView>
  );
}
