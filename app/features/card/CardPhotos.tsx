import type { CardPictures, Student } from '@pedastance/contract';
import { mayBeShown } from '@pedastance/contract/takenHome';
import type { MeasuredFeet } from '@pedastance/core/photo';
import { FIGURES, footPoints, soleOutline, type FeetFigure, type Shoe } from '@pedastance/core/setup';
import { CARD_PICTURE_PX } from '@pedastance/contract/cardLimits';
import type { LengthUnit } from '@pedastance/core/units';
import type { Speech } from '@pedastance/core/phrases';
import { Link } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { isMinor } from '@pedastance/core/body';
import { toBase64 } from '../../domain/base64';
import { boxToPicture, measuredAgain, toBox } from '../../domain/groundView';
import { figure, figureName } from '../../domain/sentences';
import { day, dayAndTime, dayOf } from '../../domain/students';
import { troubleOf } from '../../state/useAsked';
import { pictureOf, usePhotos, type Photo } from '../../state/usePhotos';
import { SOLES } from '../../ui/colours';
import { Notice } from '../../ui/Notice';
import { PickSeveral } from '../../ui/PickSeveral';
import { Select } from '../../ui/Select';
import { Body, Quiet } from '../../ui/Words';
import { startPhotoWorker, type PhotoWorker } from '../../workers/photoWorker';
import { messages } from './CardPhotos.messages';

/** What a card tells of two photos. */
const TOLD: readonly FeetFigure[] = ['stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'ballAlong'];

type Picture = CardPictures['earlier'];

/** A photo laid flat, with its soles drawn, as a card has it. */
async function flatOf(
  worker: PhotoWorker,
  photo: Photo,
  measured: MeasuredFeet,
  student: Student,
): Promise<Picture> {
  const { perMm } = CARD_PICTURE_PX;
  const toPixels = toBox(student.hand, perMm);
  const { address } = measured;
  const flat = await worker.ask('flatten', {
    jpeg: await pictureOf(photo),
    toPicture: boxToPicture(measured, student.hand, perMm),
    lines: (['trail', 'lead'] as const).map((foot) => ({
      points: footPoints(address, foot, soleOutline(address.shoe)).map(toPixels),
      colour: SOLES[foot],
    })),
  });
  return { on: photo.madeAt.slice(0, 10), jpeg: toBase64(new Uint8Array(await flat.arrayBuffer())) };
}

/** Two photos as a card has them; throws where one cannot be fetched. */
async function picturesOf(
  [earlier, later]: readonly [Photo, Photo],
  student: Student,
  { shoe, length }: Pick<CardPhotosProps, 'shoe' | 'length'>,
): Promise<CardPictures> {
  const speech: Speech = { length, feet: 'left and right', hand: student.hand };
  const worker = startPhotoWorker();
  try {
    const [was, is] = [measuredAgain(earlier, shoe), measuredAgain(later, shoe)];
    return {
      earlier: await flatOf(worker, earlier, was, student),
      later: await flatOf(worker, later, is, student),
      measures: TOLD.map((name) => {
        const { unit } = FIGURES[name];
        const words = ({ figures }: MeasuredFeet) => figure(figures[name].value, unit, speech);
        return { name: figureName(name, speech), earlier: words(was), later: words(is) };
      }),
    };
  } finally {
    worker.end();
  }
}

interface CardPhotosProps {
  student: Student;
  shoe: Shoe;
  length: LengthUnit;
  /** The pictures that the link is to show; null for none. */
  onPictures: (pictures: CardPictures | null) => void;
}

/** Two photos chosen, laid flat, and shown as the student would see them. */
function Chosen({
  photos,
  student,
  shoe,
  length,
  onPictures,
}: CardPhotosProps & { photos: readonly Photo[] }) {
  // Newest first, as they are listed.
  const [ids, setIds] = useState({ earlier: photos.at(-1)!.id, later: photos[0]!.id });
  const [made, setMade] = useState<CardPictures | null>(null);
  const [fault, setFault] = useState('');
  const byId = (id: string) => photos.find((photo) => photo.id === id);
  const [earlier, later] = [byId(ids.earlier), byId(ids.later)];
  useEffect(() => {
    let left = false;
    setMade(null);
    onPictures(null);
    setFault('');
    if (!earlier || !later) return;
    picturesOf([earlier, later], student, { shoe, length }).then(
      (pictures) => {
        if (left) return;
        setMade(pictures);
        onPictures(pictures);
      },
      (error: unknown) => left || setFault(troubleOf(error)),
    );
    return () => {
      left = true;
    };
  }, [earlier, later, student, shoe, length, onPictures]);
  const options = photos.map(({ id, madeAt }) => ({ value: id, words: dayAndTime(madeAt) }));
  return (
    <View className="gap-2">
      {(['earlier', 'later'] as const).map((which) => (
        <Select
          key={which}
          label={messages[which]}
          options={options}
          value={ids[which]}
          onChange={(id) => setIds({ ...ids, [which]: id })}
        />
      ))}
      {fault !== '' && (
        <Notice kind="trouble" live>
          {messages.notMade(fault)}
        </Notice>
      )}
      {!made && fault === '' && <Quiet role="status">{messages.working}</Quiet>}
      {made && (
        <View className="flex-row gap-2" testID="card-photos">
          {[made.earlier, made.later].map(({ on, jpeg }, at) => (
            <img
              key={at}
              src={`data:image/jpeg;base64,${jpeg}`}
              alt={messages.alt(day(on))}
              style={{ flex: 1, minWidth: 0, borderRadius: 4 }}
            />
          ))}
        </View>
      )}
      <Quiet>{messages.whatIsShown}</Quiet>
    </View>
  );
}

/** Whether a card shows the feet before and after: with two photos, the student's own yes, and never a minor's. */
export function CardPhotos(props: CardPhotosProps) {
  const { student, onPictures } = props;
  const { photos } = usePhotos(student);
  const [wanted, setWanted] = useState(false);
  const today = dayOf(new Date());
  if (photos.length < 2 || isMinor(student, today)) return null;
  if (!mayBeShown(student, today))
    return (
      <View>
        <Quiet>{messages.needsYes}</Quiet>
        <Link href={`/students/${student.id}/privacy`} className="min-h-[48px] py-3">
          <Body tone="lagoon" className="font-semibold underline">
            {messages.toConsent}
          </Body>
        </Link>
      </View>
    );
  return (
    <View className="gap-2">
      <PickSeveral
        label={messages.beforeAndAfter}
        options={[{ value: 'photos', words: messages.beforeAndAfter }]}
        chosen={wanted ? ['photos'] : []}
        onToggle={() => {
          setWanted(!wanted);
          onPictures(null);
        }}
      />
      {wanted && <Chosen {...props} photos={photos} />}
    </View>
  );
}
