import type { Person, Student } from '@pedastance/contract';
import { personAfter } from '@pedastance/contract/earlier';
import { useState } from 'react';
import { View } from 'react-native';
import type { QueuedWrite } from '../../state/queuedWrite';
import { discardWrite, keepAsOwnMethod, putOver, sendAgain, retryNow, useOutbox } from '../../state/outbox';
import { useAccount } from '../../state/account';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Body, Quiet } from '../../ui/Words';
import { factWords, shownFacts } from '../../domain/factWords';
import { day, dayAndTime } from '../../domain/students';
import { common } from '../../domain/common.messages';
import { messages } from './OutboxScreen.messages';

const madeAt = ({ writing }: QueuedWrite): string =>
  writing.route === 'lesson' ? writing.body.startedAt : writing.body.madeAt;

const PERSON_WORDS: Record<keyof Person, string> = {
  name: common.name,
  hand: messages.plays,
  birthYear: messages.yearOfBirth,
  bornOn: messages.dayOfBirth,
  cautions: messages.note,
  facts: messages.facts,
};

/** What a stale edit would overwrite: both versions of the student, field by field. */
function WhatChanged({ edit, current }: { edit: Person; current: Person }) {
  const inWords = (person: Person, field: keyof Person): string =>
    field === 'facts'
      ? shownFacts(person.facts)
          .map((fact) => factWords(fact, person.hand, day))
          .join('; ')
      : String(person[field] ?? '');
  const fields = (Object.keys(PERSON_WORDS) as (keyof Person)[]).filter(
    (field) => inWords(edit, field) !== inWords(current, field),
  );
  return (
    <>
      {fields.map((field) => (
        <Body key={field}>
          {messages.nowYours(PERSON_WORDS[field], inWords(current, field), inWords(edit, field))}
        </Body>
      ))}
    </>
  );
}

function RefusedWrite({ queued }: { queued: QueuedWrite }) {
  const [sure, setSure] = useState(false);
  const { refusal, writing } = queued;
  if (!refusal) return null;
  const current = refusal.current as Student | undefined;
  const stale =
    current && writing.route === 'student edit'
      ? { edit: personAfter(current, writing.body), current }
      : null;
  const staleMethod = refusal.current !== undefined && writing.route === 'method';
  return (
    <Notice kind="trouble">
      <Body className="font-semibold">{refusal.title}</Body>
      {refusal.detail !== '' && <Body>{refusal.detail}</Body>}
      {stale && <WhatChanged edit={stale.edit} current={stale.current} />}
      {staleMethod && <Body>{messages.yoursCanStandBeside}</Body>}
      <View className="flex-row flex-wrap gap-3 pt-1">
        {staleMethod ? (
          <Button
            look="plain"
            words={messages.keepMineAsAMethod}
            onPress={() => void keepAsOwnMethod(queued)}
          />
        ) : stale ? (
          <Button
            look="plain"
            words={messages.putMineOver}
            onPress={() => void putOver(queued, stale.current.version)}
          />
        ) : (
          <Button look="plain" words={messages.sendAgain} onPress={() => void sendAgain(queued)} />
        )}
        {sure ? (
          <Button words={messages.yesThrowItAway} onPress={() => void discardWrite(queued)} />
        ) : (
          <Button look="quiet" words={messages.throwAway} onPress={() => setSure(true)} />
        )}
      </View>
    </Notice>
  );
}

export function OutboxScreen() {
  const queue = useOutbox((state) => state.queue);
  const sending = useOutbox((state) => state.sending);
  const away = useRecords((state) => state.serverAway);
  const accessEnded = useAccount((state) => state.accessEnded);
  const academy = useAccount((state) => state.identity?.academyName ?? '');
  const awayReason = useRecords((state) => state.awayReason);
  return (
    <Page title={messages.notSentYet}>
      {accessEnded && <Notice kind="trouble">{messages.accessHasEnded(academy)}</Notice>}
      {queue.length === 0 && <Body>{messages.everythingHasBeenSent}</Body>}
      {queue.length > 0 && !accessEnded && (
        <Body>
          {away
            ? messages.allOfThisIsKept(awayReason ?? 'The server does not answer.')
            : messages.goingOutInThisOrder}
        </Body>
      )}
      {queue.map((queued) => (
        <View key={queued.sequence} className="gap-1 border-b border-grid pb-3">
          <Body className="font-semibold">{queued.label}</Body>
          <Quiet>{dayAndTime(madeAt(queued))}</Quiet>
          <RefusedWrite queued={queued} />
        </View>
      ))}
      {queue.length > 0 && !accessEnded && (
        <Button
          look="plain"
          disabled={sending}
          words={sending ? messages.sending : messages.tryNow}
          onPress={retryNow}
        />
      )}
    </Page>
  );
}
