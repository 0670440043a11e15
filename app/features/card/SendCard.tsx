import type { CardPictures, Student } from '@pedastance/contract';
import { mayBeSent } from '@pedastance/contract/takenHome';
import { cardText } from '@pedastance/card/render';
import type { Card } from '@pedastance/core/card';
import type { Shoe } from '@pedastance/core/setup';
import { daysAfter, type LengthUnit } from '@pedastance/core/units';
import { Link } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { day, dayOf } from '../../domain/students';
import { useOutbox } from '../../state/outbox';
import { makeCardLink } from '../../state/writes/card';
import { Button } from '../../ui/Button';
import { fileName, saveBlob } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { useCopied } from '../../ui/useCopied';
import { PickSeveral } from '../../ui/PickSeveral';
import { Body, Quiet } from '../../ui/Words';
import { CardPhotos } from './CardPhotos';
import { cardPicture } from './picture';
import { printCard } from './CardView';
import { messages } from './SendCard.messages';

/** How long a link opens where no next look was agreed, and how long after one, days (starting values). */
const OPEN_DAYS = 56;
const AFTER_LOOK_DAYS = 28;

interface SendCardProps {
  student: Student;
  card: Card;
  /** YYYY-MM-DD; null where no next look is agreed. */
  nextLook: string | null;
  /** Keeps the card where it is not kept as it is, and answers its id. */
  keep: () => Promise<string>;
  wholeBag: boolean;
  onWholeBag: (whole: boolean) => void;
  length: LengthUnit;
  /** The student's, as it was measured for the card. */
  shoe: Shoe;
}

/** A link that was just made: shared where the device can, else copied. */
function FreshLink({ address, until, title }: { address: string; until: string; title: string }) {
  const { copied, copy } = useCopied();
  const waiting = useOutbox((state) => state.queue.some(({ writing }) => writing.route === 'card link'));
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
          onPress={() => void copy(address)}
        />
      </View>
    </Notice>
  );
}

/** How a card reaches its student, and what came back. */
export function SendCard({
  student,
  card,
  nextLook,
  keep,
  wholeBag,
  onWholeBag,
  length,
  shoe,
}: SendCardProps) {
  const [link, setLink] = useState<{ address: string; until: string } | null>(null);
  const [pictures, setPictures] = useState<CardPictures | null>(null);
  const [fault, setFault] = useState('');
  const { copied, copy } = useCopied();
  const today = dayOf(new Date());
  const until =
    nextLook && nextLook >= today ? daysAfter(nextLook, AFTER_LOOK_DAYS) : daysAfter(today, OPEN_DAYS);
  const title = card.clubs[0]!.title;
  const make = async () => {
    try {
      const address = await makeCardLink(student, {
        cardId: await keep(),
        wholeBag,
        length,
        endsOn: until,
        pictures,
      });
      setLink({ address, until });
      setFault('');
    } catch (error) {
      setFault(messages.notMade((error as Error).message));
    }
  };
  const savePicture = async () =>
    saveBlob(fileName(`${card.firstName} ${title}`, 'png'), await cardPicture(card));
  return (
    <View className="gap-3">
      {mayBeSent(student, today) ? (
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
      <PickSeveral
        label={messages.wholeBag}
        options={[{ value: 'bag', words: messages.wholeBag }]}
        chosen={wholeBag ? ['bag'] : []}
        onToggle={() => onWholeBag(!wholeBag)}
      />
      <CardPhotos student={student} shoe={shoe} length={length} onPictures={setPictures} />
      {fault !== '' && <Notice kind="trouble">{fault}</Notice>}
      {link && <FreshLink address={link.address} until={link.until} title={title} />}
      <View className="flex-row flex-wrap gap-3">
        <Button
          look="plain"
          words={copied ? messages.copied : messages.copyText}
          onPress={() => void copy(cardText(card))}
        />
        <Button look="plain" words={messages.savePicture} onPress={() => void savePicture()} />
        <Button look="plain" words={messages.print} onPress={() => printCard(card, title)} />
      </View>
    </View>
  );
}
