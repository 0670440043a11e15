import type { CardEntry, CardLink, CardTick, Student } from '@pedastance/contract';
import { cardText } from '@pedastance/card/render';
import { daysAfter, type Card } from '@pedastance/core/card';
import { isMinor } from '@pedastance/core/body/person';
import type { LengthUnit } from '@pedastance/core/units';
import { Link } from 'expo-router';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { day, dayOf } from '../../domain/students';
import { currentOwner } from '../../state/account';
import { api } from '../../state/api';
import { useOutbox } from '../../state/outbox';
import { useAsked } from '../../state/useAsked';
import { makeCardLink } from '../../state/writes/card';
import { Button } from '../../ui/Button';
import { fileName, saveBlob } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { PickSeveral } from '../../ui/PickSeveral';
import { Body, Heading, Quiet } from '../../ui/Words';
import { cardPicture } from './picture';
import { printCard } from './CardView';
import { messages } from './SendCard.messages';

/** How long a link opens where no next look was agreed, and how long after one, days (starting values). */
const OPEN_DAYS = 56;
const AFTER_LOOK_DAYS = 28;

interface SendCardProps {
  student: Student;
  card: Card;
  entry: CardEntry;
  wholeBag: boolean;
  onWholeBag: (whole: boolean) => void;
  length: LengthUnit;
}

const mayLink = ({ consent, ...student }: Student, today: string): boolean =>
  !isMinor(student, today) || (consent?.given === true && consent.by === 'guardian');

/** A link that was just made: shared where the device can, else copied. */
function FreshLink({ address, until, title }: { address: string; until: string; title: string }) {
  const [copied, setCopied] = useState(false);
  const waiting = useOutbox((state) => state.queue.some(({ writing }) => writing.route === 'card link'));
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => setCopied(true),
      () => undefined,
    );
  const canShare = typeof navigator.share === 'function';
  const share = () => navigator.share({ title, url: address }).catch(() => undefined);
  return (
    <Notice kind="plain" live>
      <Body>{messages.linkReady(day(until))}</Body>
      <Body className="font-semibold" selectable testID="card-link">
        {address}
      </Body>
      {waiting && <Quiet>{messages.opensOnceSent}</Quiet>}
      <View className="flex-row flex-wrap gap-3 pt-2">
        {canShare && <Button words={messages.share} onPress={() => void share()} />}
        <Button
          look={canShare ? 'plain' : 'act'}
          words={copied ? messages.copied : messages.copyLink}
          onPress={() => void copy()}
        />
      </View>
    </Notice>
  );
}

const stateOf = ({ revokedAt, endsOn, opened, lastOpenedAt }: CardLink, today: string): string => {
  if (revokedAt) return messages.revoked(day(revokedAt));
  if (endsOn < today) return messages.ended;
  return messages.opened(opened, lastOpenedAt ? day(lastOpenedAt) : '');
};

function Ticked({ ticks }: { ticks: readonly CardTick[] }) {
  const days = new Set(ticks.filter(({ rounds }) => rounds > 0).map(({ on }) => on)).size;
  const rounds = ticks.reduce((sum, tick) => sum + tick.rounds, 0);
  const hurt = ticks.filter(({ hurts }) => hurts).at(-1);
  return (
    <View className="gap-1">
      <Body>{messages.practised(days, rounds)}</Body>
      {hurt && <Notice kind="trouble">{messages.hurts(day(hurt.on))}</Notice>}
    </View>
  );
}

/** The links that are out, and what came back by them; the server alone knows. */
function Links({ student, entry }: Pick<SendCardProps, 'student' | 'entry'>) {
  const owner = currentOwner()!;
  const sent = useOutbox((state) => state.queue.length);
  // Asked again when something has been sent: a link that was just made is among them.
  const ask = useCallback(() => api.cards(owner, student.id), [owner, student.id, sent]);
  const { value, trouble, doing } = useAsked(ask);
  const [revoked, setRevoked] = useState(false);
  const today = dayOf(new Date());
  if (!value) return trouble === '' ? null : <Quiet>{trouble}</Quiet>;
  const ticks = value.ticks.filter(({ cardId }) => cardId === entry.id || cardId === entry.replaces);
  const revoke = async (id: string) => setRevoked(await doing(() => api.revokeCard(owner, id)));
  return (
    <View className="gap-3">
      <Ticked ticks={ticks} />
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

/** How a card reaches its student, and what came back. */
export function SendCard({ student, card, entry, wholeBag, onWholeBag, length }: SendCardProps) {
  const [link, setLink] = useState<{ address: string; until: string } | null>(null);
  const [fault, setFault] = useState('');
  const [copied, setCopied] = useState(false);
  const today = dayOf(new Date());
  const until = entry.nextLook ? daysAfter(entry.nextLook, AFTER_LOOK_DAYS) : daysAfter(today, OPEN_DAYS);
  const title = card.clubs[0]!.title;
  const make = () =>
    makeCardLink(student, { cardId: entry.id, wholeBag, length, endsOn: until }).then(
      (address) => setLink({ address, until }),
      (error: Error) => setFault(messages.notMade(error.message)),
    );
  const copyText = () =>
    navigator.clipboard.writeText(cardText(card)).then(
      () => setCopied(true),
      () => undefined,
    );
  const savePicture = async () =>
    saveBlob(fileName(`${card.firstName} ${title}`, 'png'), await cardPicture(card));
  return (
    <View className="gap-3">
      <Heading>{messages.send}</Heading>
      <PickSeveral
        label={messages.wholeBag}
        options={[{ value: 'bag', words: messages.wholeBag }]}
        chosen={wholeBag ? ['bag'] : []}
        onToggle={() => onWholeBag(!wholeBag)}
      />
      {mayLink(student, today) ? (
        <Button words={messages.makeLink} onPress={() => void make()} />
      ) : (
        <Notice kind="caution">
          <Body>{messages.guardian}</Body>
          <Link href={`/students/${student.id}/privacy`} className="min-h-[48px] py-3">
            <Body tone="lagoon" className="font-semibold underline">
              {messages.toConsent}
            </Body>
          </Link>
        </Notice>
      )}
      {fault !== '' && <Notice kind="trouble">{fault}</Notice>}
      {link && <FreshLink address={link.address} until={link.until} title={title} />}
      <View className="flex-row flex-wrap gap-3">
        <Button
          look="plain"
          words={copied ? messages.copied : messages.copyText}
          onPress={() => void copyText()}
        />
        <Button look="plain" words={messages.savePicture} onPress={() => void savePicture()} />
        <Button look="plain" words={messages.print} onPress={() => printCard(card, title)} />
      </View>
      <Links student={student} entry={entry} />
    </View>
  );
}
