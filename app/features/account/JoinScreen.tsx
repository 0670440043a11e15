import { Link } from 'expo-router';
import { useState } from 'react';
import { joinAcademy, useAccount } from '../../state/account';
import { api } from '../../state/api';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, Quiet } from '../../ui/Words';
import { EnteringPage } from './EnteringPage';
import { messages } from './JoinScreen.messages';
import { NewcomerFields, NOTHING_TYPED, newcomerFault } from './NewcomerFields';
import { troubleWords } from './troubleWords';
import { useLinkCode } from './useLinkCode';

/** Joining a colleague's academy by the link that was handed over. */
export function JoinScreen() {
  const { code, to, trouble } = useLinkCode(api.invitedTo);
  const identity = useAccount((state) => state.identity);
  const [typed, setTyped] = useState(NOTHING_TYPED);
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  const join = async () => {
    const wrong = newcomerFault(typed);
    setFault(wrong);
    if (wrong) return;
    setBusy(true);
    try {
      await joinAcademy({ code, ...typed });
      location.replace('/students');
    } catch (error) {
      setFault(troubleWords(error));
      setBusy(false);
    }
  };
  return (
    <EnteringPage title={messages.title}>
      {trouble !== '' && <Notice kind="trouble">{trouble}</Notice>}
      {to && <Body>{messages.invitedBy(to.invitedBy, to.academyName, messages.roles[to.role])}</Body>}
      {identity && <Notice kind="caution">{messages.signedInAs(identity.instructorName)}</Notice>}
      {to && !identity && (
        <>
          <NewcomerFields typed={typed} onChange={setTyped} />
          {fault !== '' && (
            <Notice kind="trouble" live>
              {fault}
            </Notice>
          )}
          <Button
            words={busy ? messages.joining : messages.join}
            disabled={busy}
            onPress={() => void join()}
          />
        </>
      )}
      <Link href={identity ? '/students' : '/sign-in'} className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          {identity ? messages.toTheStudents : messages.signInInstead}
        </Body>
      </Link>
      <Quiet>{messages.notMedicalAdvice}</Quiet>
    </EnteringPage>
  );
}
