import { Link } from 'expo-router';
import { useState } from 'react';
import { api } from '../../state/api';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body } from '../../ui/Words';
import { EnteringPage } from './EnteringPage';
import { NewPasswordField, newPasswordFault } from '../../ui/NewPasswordField';
import { messages } from './ResetScreen.messages';
import { troubleWords } from './troubleWords';
import { useLinkCode } from './useLinkCode';

/** The new password, sent by the link it belongs to. */
function NewPassword({ code, onDone }: { code: string; onDone: () => void }) {
  const [password, setPassword] = useState('');
  const [fault, setFault] = useState('');
  const set = async () => {
    const short = newPasswordFault(messages.password, password);
    if (short !== '') return setFault(short);
    try {
      await api.resetPassword(code, password);
      onDone();
    } catch (error) {
      setFault(troubleWords(error));
    }
  };
  return (
    <>
      <NewPasswordField label={messages.password} value={password} onChangeText={setPassword} />
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button words={messages.set} onPress={() => void set()} />
    </>
  );
}

/** A new password by the link an owner handed over. */
export function ResetScreen() {
  const { code, to, trouble } = useLinkCode(api.resetOf);
  const [done, setDone] = useState(false);
  return (
    <EnteringPage title={messages.title}>
      {trouble !== '' && <Notice kind="trouble">{trouble}</Notice>}
      {to && <Body>{messages.forWhom(to.instructorName, to.academyName)}</Body>}
      {to && !done && <NewPassword code={code} onDone={() => setDone(true)} />}
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
