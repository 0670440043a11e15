import type { CardEntry, CardLink, CardTick } from '@pedastance/contract';
import { isKind } from '@pedastance/contract/trialLog';
import { ladderFrom, thresholdOf, type Try } from '@pedastance/core/ladder';
import type { Speech } from '@pedastance/core/phrases';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { foundWords } from '../../domain/ladderWords';
import { day, dayOf } from '../../domain/students';
import { currentOwner } from '../../state/account';
import { api } from '../../state/api';
import { useOutbox } from '../../state/outbox';
import { useRecords } from '../../state/records';
import { useAsked } from '../../state/useAsked';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './CardLinks.messages';

const stateOf = ({ revokedAt, endsOn, opened, lastOpenedAt }: CardLink, today: string): string => {
  if (revokedAt) return messages.revoked(day(revokedAt));
  if (endsOn < today) return messages.ended;
  return messages.opened(opened, lastOpenedAt ? day(lastOpenedAt) : '');
};

function Ticked({ ticks }: { ticks: readonly CardTick[] }) {
  const days = new Set(ticks.filter(({ rounds }) => rounds > 0).map(({ on }) => on)).size;
  const rounds = ticks.reduce((sum, tick) => sum + tick.rounds, 0);
  return <Body>{messages.practised(days, rounds)}</Body>;
}

/** So few rungs tell nothing of where it changes. */
const LEAST_TOLD = 4;

/** What was ticked of a ladder at home: the rungs that were tried, and where it changes once they tell. */
function LadderAtHome({
  card,
  ticks,
  speech,
}: {
  card: CardEntry;
  ticks: readonly CardTick[];
  speech: Speech;
}) {
  const own = card.ladder;
  const rungs = ticks.flatMap(({ cardId, rung }) => (cardId === card.id && rung ? [rung] : []));
  if (!own || rungs.length === 0) return null;
  const ladder = ladderFrom(own);
  const tries = rungs.map(({ at, done }, turn): Try => ({
    rung: at,
    result: done ? 'passed' : 'failed',
    sitting: 0,
    turn,
  }));
  const found = rungs.length >= LEAST_TOLD ? thresholdOf(ladder, tries) : null;
  const done = rungs.filter((rung) => rung.done).length;
  return (
    <Body testID="ladder-at-home">
      {messages.ladderAtHome(own.name, done, rungs.length)}
      {found ? ` ${foundWords(ladder, found, speech)}` : ''}
    </Body>
  );
}

/** The links that are out, and what came back by them; the server alone knows. */
export function CardLinks({ studentId, speech }: { studentId: string; speech: Speech }) {
  const owner = currentOwner()!;
  const sent = useOutbox((state) => state.queue.length);
  // Asked again when something has been sent: a link that was just made is among them.
  const ask = useCallback(() => api.cards(owner, studentId), [owner, studentId, sent]);
  const { value, trouble, doing } = useAsked(ask);
  const [revoked, setRevoked] = useState(false);
  const today = dayOf(new Date());
  const entries = useRecords((state) => state.entries);
  const cards = Object.values(entries)
    .filter(isKind('card'))
    .filter((card) => card.studentId === studentId);
  if (!value) return trouble === '' ? null : <Quiet>{trouble}</Quiet>;
  const revoke = async (id: string) => setRevoked(await doing(() => api.revokeCard(owner, id)));
  return (
    <View className="gap-3">
      <Ticked ticks={value.ticks} />
      {cards.map((card) => (
        <LadderAtHome key={card.id} card={card} ticks={value.ticks} speech={speech} />
      ))}
      {value.links.length > 0 && <Heading>{messages.links}</Heading>}
      {value.links.map((link) => (
        <View key={link.id} className="gap-1 border-b border-grid pb-2" testID="card-link-row">
          <Body>{messages.link(day(link.madeAt), day(link.endsOn))}</Body>
          <Quiet>{stateOf(link, today)}</Quiet>
          {!link.revokedAt && link.endsOn >= today && (
            <View className="flex-row">
              <Button look="quiet" words={messages.revoke} onPress={() => void revoke(link.id)} />
            </View>
          )}
        </View>
      ))}
      {revoked && <Notice kind="plain">{messages.revokedNow}</Notice>}
      {trouble !== '' && <Notice kind="trouble">{trouble}</Notice>}
    </View>
  );
}
