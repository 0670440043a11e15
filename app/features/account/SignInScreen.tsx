import { Link } from 'expo-router';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { hasPasskeys, signIn, signInByPasskey, useAccount } from '../../state/account';
import { troubleWords } from './troubleWords';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Body, Quiet, Title } from '../../ui/Words';
import { messages } from './SignInScreen.messages';

export function SignInScreen() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const expiredFor = useAccount((state) => (state.status === 'expired' ? state.identity : null));

  const enter = async (by: () => Promise<void>) => {
    setBusy(true);
    setTrouble('');
    try {
      await by();
    } catch (error) {
      setTrouble(troubleWords(error));
    } finally {
      setBusy(false);
    }
  };

  const submit = async () => {
    if (!email.includes('@')) return setTrouble(messages.eMailAddressExpectedName(email));
    if (!password) return setTrouble(messages.passwordExpectedOneFoundNothing);
    await enter(() => signIn({ email, password }));
  };

  return (
    <ScrollView className="bg-paper" contentContainerClassName="min-h-full justify-center p-5">
      <View role="main" className="w-full max-w-sm gap-5 self-center">
        <View className="gap-1">
          <Title className="text-4xl">{messages.pedastance}</Title>
          <Body>{messages.theAddressPositionMeasuredAgainst}</Body>
        </View>
        {expiredFor && (
          <Notice kind="caution">{messages.theSessionOfHasEnded(expiredFor.instructorName)}</Notice>
        )}
        <Field
          label={messages.eMailAddress}
          value={email}
          onChangeText={setEmail}
          autoComplete="username"
          inputMode="email"
          autoCapitalize="none"
        />
        <Field
          label={messages.password}
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
        <Button
          words={busy ? messages.signingIn : messages.signIn}
          disabled={busy}
          onPress={() => void submit()}
        />
        {hasPasskeys() && (
          <Button
            look="plain"
            words={messages.byPasskey}
            disabled={busy}
            onPress={() => void enter(signInByPasskey)}
          />
        )}
        <Link href="/recover" className="min-h-[48px] py-3">
          <Body tone="lagoon" className="font-semibold underline">
            {messages.forgot}
          </Body>
        </Link>
        <Link href="/start" className="min-h-[48px] py-3">
          <Body tone="lagoon" className="font-semibold underline">
            {messages.startAnAcademy}
          </Body>
        </Link>
        <Quiet>{messages.coachingSupportNotMedicalAdvice}</Quiet>
      </View>
    </ScrollView>
  );
}
