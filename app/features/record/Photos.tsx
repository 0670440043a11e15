import type { NewPhoto, PhotoListed, Student } from '@pedastance/contract';
import {
  FEET_FIGURES,
  FIGURES,
  soleOutline,
  footPoints,
  type Address,
  type FootName,
} from '@pedastance/core/setup';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { common } from '../../domain/common.messages';
import { AROUND_MM, measuredAgain, pictureOnGround, toBox } from '../../domain/groundView';
import { figure, figureName } from '../../domain/sentences';
import { day, dayAndTime } from '../../domain/students';
import { LAGOON, SOLES } from '../../ui/colours';
import { currentOwner } from '../../state/account';
import { api } from '../../state/api';
import { usePhotos, usePicture } from '../../state/usePhotos';
import { useSpeech } from '../../state/useSpeech';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Notice } from '../../ui/Notice';
import { Select } from '../../ui/Select';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './Photos.messages';

const BOX = {
  width: 2 * AROUND_MM.aside,
  height: AROUND_MM.beyond + AROUND_MM.behind,
};

interface OnGroundProps {
  photo: PhotoListed | NewPhoto;
  student: Student;
  address: Address;
  /** px */
  width: number;
  opacity?: number;
}

/** A photo laid flat: its ground from above at a scale, with the soles as they were measured. */
function OnGround({ photo, student, address, width, opacity = 1 }: OnGroundProps) {
  const url = usePicture(photo);
  const scale = width / BOX.width;
  const measured = useMemo(() => measuredAgain(photo, address.shoe), [photo, address.shoe]);
  const at = toBox(student.hand, scale);
  const path = (foot: FootName) =>
    `M${footPoints(measured.address, foot, soleOutline(address.shoe))
      .map(at)
      .map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`)
      .join('L')}Z`;
  return (
    <div
      data-testid="on-ground"
      style={{ position: 'absolute', inset: 0, overflow: 'hidden', opacity, background: '#3a4038' }}
    >
      {url && (
        <img
          src={url}
          alt={messages.alt(day(photo.madeAt))}
          width={photo.width}
          height={photo.height}
          style={{
            position: 'absolute',
            maxWidth: 'none',
            transformOrigin: '0 0',
            transform: pictureOnGround(measured, student.hand, scale),
          }}
        />
      )}
      <svg
        width={width}
        height={BOX.height * scale}
        style={{ position: 'absolute', left: 0, top: 0 }}
        aria-hidden
      >
        {(['trail', 'lead'] as const).map((foot) => (
          <path key={foot} d={path(foot)} fill="none" stroke={SOLES[foot]} strokeWidth={2} />
        ))}
        <circle
          cx={at({ x: 0, y: 0 }).x}
          cy={at({ x: 0, y: 0 }).y}
          r={21.3 * scale}
          fill="none"
          stroke="#ffd166"
          strokeWidth={2}
        />
      </svg>
    </div>
  );
}

const dayOf = ({ madeAt }: PhotoListed): string => day(madeAt);

/** The figures of two photos beneath each other. */
function Figures({
  earlier,
  later,
  student,
  address,
}: {
  earlier: PhotoListed;
  later: PhotoListed;
  student: Student;
  address: Address;
}) {
  const speech = useSpeech(student.hand);
  const [was, is] = useMemo(
    () => [measuredAgain(earlier, address.shoe), measuredAgain(later, address.shoe)],
    [earlier, later, address.shoe],
  );
  return (
    <View>
      {FEET_FIGURES.map((name) => {
        const words = (of: typeof was) => figure(of.figures[name].value, FIGURES[name].unit, speech);
        return (
          <View key={name} className="flex-row justify-between gap-3 border-b border-grid py-1">
            <Body className="flex-1">{figureName(name, speech)}</Body>
            <Body className="figures font-semibold" testID={`compared-${name}`}>
              {messages.change(words(was), words(is))}
            </Body>
          </View>
        );
      })}
    </View>
  );
}

type How = 'beside' | 'faded';

interface TwoProps {
  photos: readonly [PhotoListed, PhotoListed];
  student: Student;
  address: Address;
  width: number;
}

/** Two photos at one scale, ball and target line in the same place. */
function Two({ photos: [earlier, later], student, address, width }: TwoProps) {
  const [how, setHow] = useState<How>('beside');
  const [share, setShare] = useState(0.5);
  const one = how === 'beside' ? (width - 8) / 2 : width;
  const box = { position: 'relative', width: one, height: (BOX.height / BOX.width) * one } as const;
  return (
    <View className="gap-2">
      <Choice
        label={messages.how}
        options={[
          { value: 'beside', words: messages.sideBySide },
          { value: 'faded', words: messages.faded },
        ]}
        value={how}
        onChange={setHow}
      />
      {how === 'beside' ? (
        <View className="flex-row gap-2">
          {[earlier, later].map((photo, at) => (
            <View key={photo.id}>
              <Quiet>{at === 0 ? messages.earlier(dayOf(photo)) : messages.later(dayOf(photo))}</Quiet>
              <div style={box}>
                <OnGround photo={photo} student={student} address={address} width={one} />
              </div>
            </View>
          ))}
        </View>
      ) : (
        <>
          <div style={box}>
            <OnGround photo={earlier} student={student} address={address} width={one} />
            <OnGround photo={later} student={student} address={address} width={one} opacity={share} />
          </div>
          <input
            type="range"
            aria-label={messages.fade}
            min={0}
            max={100}
            value={Math.round(100 * share)}
            onChange={(event) => setShare(Number(event.target.value) / 100)}
            style={{ width: '100%', minHeight: 48, accentColor: LAGOON }}
          />
        </>
      )}
      <Figures earlier={earlier} later={later} student={student} address={address} />
    </View>
  );
}

function Remove({ onRemove }: { onRemove: () => void }) {
  const [asked, setAsked] = useState(false);
  if (!asked) return <Button look="quiet" words={messages.remove} onPress={() => setAsked(true)} />;
  return (
    <Notice kind="caution" live>
      <Body>{messages.removeAsk}</Body>
      <View className="flex-row flex-wrap gap-3 pt-2">
        <Button words={messages.removeYes} onPress={onRemove} />
        <Button look="plain" words={common.cancel} onPress={() => setAsked(false)} />
      </View>
    </Notice>
  );
}

/** The photo of a record's feet, laid flat to scale, and beside another of the same student. */
export function Photos({
  student,
  address,
  addressId,
}: {
  student: Student;
  address: Address;
  addressId: string;
}) {
  const { photos, trouble, doing } = usePhotos(student);
  const [width, setWidth] = useState(0);
  const [other, setOther] = useState('');
  const photo = photos.find((each) => each.addressId === addressId);
  if (!photo) return null;
  const others = photos.filter((each) => each.id !== photo.id);
  const compared = others.find((each) => each.id === other);
  const two =
    compared &&
    ([photo, compared].sort((a, b) => a.madeAt.localeCompare(b.madeAt)) as [PhotoListed, PhotoListed]);
  return (
    <View
      className="gap-2 pt-4"
      testID="photos"
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      <Heading>{messages.photo}</Heading>
      {width > 0 &&
        (two ? (
          <Two photos={two} student={student} address={address} width={width} />
        ) : (
          <>
            <div style={{ position: 'relative', width, height: (BOX.height / BOX.width) * width }}>
              <OnGround photo={photo} student={student} address={address} width={width} />
            </div>
            <Quiet>{messages.fromAbove}</Quiet>
          </>
        ))}
      {others.length > 0 && (
        <Select
          label={messages.compareWith}
          options={[
            { value: '', words: messages.none },
            ...others.map((each) => ({ value: each.id, words: dayAndTime(each.madeAt) })),
          ]}
          value={other}
          onChange={setOther}
        />
      )}
      {trouble !== '' && <Quiet>{messages.notHere}</Quiet>}
      {!('jpeg' in photo) && (
        <Remove onRemove={() => void doing(() => api.deletePhoto(currentOwner()!, photo.id))} />
      )}
    </View>
  );
}
