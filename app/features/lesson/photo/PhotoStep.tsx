import { mayBePhotographed } from '@pedastance/contract/photoLimits';
import { isMinor } from '@pedastance/core/body';
import { SHOE_HEIGHTS, SHOE_KINDS } from '@pedastance/core/photo';
import type { Point } from '@pedastance/core/setup';
import UndoIcon from 'lucide-react-native/icons/undo-2';
import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useStore } from 'zustand';
import { figure, spoken } from '../../../domain/sentences';
import { typedNumber } from '../../../domain/typedNumber';
import {
  byClub,
  CLUB_LENGTHS,
  cornersOf,
  LAID_NAMES,
  MAT_SIDES,
  nextTap,
  tapsAsked,
  withoutLastTap,
  type PhotoDraft,
  type TapName,
} from '../../../domain/photoTaps';
import { dayOf } from '../../../domain/students';
import { lesson } from '../../../state/lesson';
import { changePhoto, dropPhoto } from '../../../state/photo';
import { useSpeech } from '../../../state/useSpeech';
import { Button, IconButton } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { INK } from '../../../ui/colours';
import { pickFile, saveFrom } from '../../../ui/files';
import { Notice } from '../../../ui/Notice';
import { Body, Quiet } from '../../../ui/Words';
import type { PhotoWorker } from '../../../workers/photoWorker';
import { common } from '../../../domain/common.messages';
import { useLessonContext } from '../context';
import { toStored, unitOf } from '../dials';
import { NeedsClub } from '../NeedsClub';
import { PhotoResult, SheetSeen } from './PhotoResult';
import { TapPicture } from './TapPicture';
import { refineCorners, snapShoe, useMeasured, usePhotoPicture, usePhotoWorker } from './usePhotoWorker';
import { messages as result } from './PhotoResult.messages';
import { messages } from './PhotoStep.messages';
import { messages as taps } from './TapPicture.messages';

const PICTURES = 'image/*';

/** Photos need a yes first: the student's, or for a minor a guardian's. */
function ConsentFirst() {
  const { student } = useLessonContext();
  const minor = isMinor(student, dayOf(new Date()));
  return (
    <View className="gap-3">
      <Notice kind="caution">{minor ? messages.guardianFirst : messages.consentFirst(student.name)}</Notice>
      <Button words={messages.noteConsent} onPress={() => router.push(`/students/${student.id}/privacy`)} />
    </View>
  );
}

function Pick({ onFile }: { onFile: (file: File) => void }) {
  const pick = async (camera: boolean) => {
    const file = await pickFile(PICTURES, camera);
    if (file) onFile(file);
  };
  return (
    <View className="gap-3">
      <Body>{messages.howTo}</Body>
      <Body>{messages.whereToStand}</Body>
      <View className="flex-row flex-wrap gap-3">
        <Button words={messages.takeAPhoto} onPress={() => void pick(true)} />
        <Button look="plain" words={messages.chooseAPhoto} onPress={() => void pick(false)} />
      </View>
      <Quiet>{messages.noSheet}</Quiet>
      <View className="flex-row flex-wrap gap-3">
        <Button look="quiet" words={messages.printA4} onPress={() => saveFrom('/sheets/sheet-a4.pdf')} />
        <Button
          look="quiet"
          words={messages.printLetter}
          onPress={() => saveFrom('/sheets/sheet-letter.pdf')}
        />
        <Button look="quiet" words={messages.practise} onPress={() => router.push('/practice')} />
      </View>
    </View>
  );
}

/** A length as it is typed, mm, and what is wrong with it. */
function useTypedLength({ least, most }: { least: number; most: number }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const range = [least, most].map((mm) => figure(mm, 'mm', speech)).join(' to ');
  return {
    unit: unitOf('stanceWidth', speech).trim(),
    read(text: string): { mm: number | null; fault: string | undefined } {
      const mm = toStored('length', typedNumber(text), speech);
      const fits = mm >= least && mm <= most;
      return { mm: fits ? mm : null, fault: text !== '' && !fits ? result.expected(range) : undefined };
    },
  };
}

/** The sides of a mat, typed. */
function MatSides() {
  const { unit, read } = useTypedLength(MAT_SIDES);
  const [typed, setTyped] = useState<readonly [string, string]>(['', '']);
  const type = (at: number, text: string) => {
    const next = typed.map((each, place) => (place === at ? text : each)) as [string, string];
    setTyped(next);
    const [width, height] = next.map((each) => read(each).mm) as [number | null, number | null];
    changePhoto((now) => ({ ...now, mat: width && height ? { width, height } : null }));
  };
  return (
    <View className="flex-row gap-3">
      {result.matSides.map((label, at) => (
        <View key={label} className="flex-1">
          <Field
            label={label}
            unit={unit}
            inputMode="decimal"
            value={typed[at]}
            onChangeText={(text) => type(at, text)}
            fault={read(typed[at]!).fault}
          />
        </View>
      ))}
    </View>
  );
}

/** The length of a club that lies along the target line, typed. */
function ClubLength() {
  const { unit, read } = useTypedLength(CLUB_LENGTHS);
  const [typed, setTyped] = useState('');
  return (
    <View className="gap-2">
      <Quiet>{result.alongTheLine}</Quiet>
      <Field
        label={result.clubLength}
        unit={unit}
        inputMode="decimal"
        value={typed}
        onChangeText={(text) => {
          setTyped(text);
          changePhoto((now) => ({ ...now, clubLength: read(text).mm }));
        }}
        fault={read(typed).fault}
      />
    </View>
  );
}

/** What lies there, where no printed sheet was found. */
function Laid({ photo }: { photo: PhotoDraft }) {
  return (
    <>
      {!cornersOf(photo) && <Quiet>{result.noSheetFound}</Quiet>}
      <Choice
        label={result.whichPaper}
        options={LAID_NAMES.map((value) => ({ value, words: result.laid[value] }))}
        value={photo.laid}
        onChange={(laid) => changePhoto((now) => ({ ...now, laid }))}
      />
      {photo.laid === 'mat' && <MatSides />}
      {photo.laid === 'club' && <ClubLength />}
    </>
  );
}

/** What is asked for next, with the ways out of it. */
function Asked({ photo }: { photo: PhotoDraft }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const next = nextTap(photo);
  const foot = next?.startsWith('lead') ? 'lead' : next?.startsWith('trail') ? 'trail' : null;
  const hide = () =>
    changePhoto((now) => ({ ...now, hiddenHeel: { ...now.hiddenHeel, [foot!]: !now.hiddenHeel[foot!] } }));
  const none = !tapsAsked(photo).some((name) => photo.taps[name]);
  return (
    <View className="flex-row flex-wrap items-center gap-2" role="status" aria-live="polite">
      <Body className="flex-1 font-semibold" testID="asked">
        {next ? spoken(taps.asked(next, byClub(photo)), speech) : taps.allTapped}
      </Body>
      {next?.startsWith('stick') && !byClub(photo) && (
        <Button
          look="plain"
          words={taps.noStick}
          onPress={() => changePhoto((now) => ({ ...now, noStick: true }))}
        />
      )}
      {foot && next !== `${foot}Toe` && (
        <Button
          look="plain"
          words={photo.hiddenHeel[foot] ? taps.heelSeen : taps.heelHidden}
          onPress={hide}
        />
      )}
      <IconButton
        label={taps.undo}
        icon={<UndoIcon color={INK} size={22} />}
        disabled={none}
        onPress={() => changePhoto(withoutLastTap)}
      />
    </View>
  );
}

/** Puts a mark where it was tapped; shoes and a sheet's corners then go to their edges. */
async function placed(worker: PhotoWorker, name: TapName, at: Point, dragged: boolean): Promise<void> {
  changePhoto((now) => ({
    ...now,
    taps: { ...now.taps, [name]: at },
    dragged: { ...now.dragged, ...(dragged && { [name]: true }) },
    ...(name.startsWith('corner') && { cornerDeviation: null }),
  }));
  const photo = lesson.getState().draft?.photo;
  if (!photo) return;
  if (name.startsWith('corner')) await refineCorners(worker, photo);
  else if (/Toe|Heel/.test(name)) await snapShoe(worker, photo, name.startsWith('lead') ? 'lead' : 'trail');
}

function Measuring({
  photo,
  worker,
  picture,
}: {
  photo: PhotoDraft;
  worker: () => PhotoWorker;
  picture: string;
}) {
  const measured = useMeasured(worker);
  return (
    <>
      <TapPicture
        photo={photo}
        picture={picture}
        measured={measured === 'nothing' ? null : measured}
        onPlace={(name, at, dragged) => void placed(worker(), name, at, dragged)}
      />
      <View className="gap-3 p-3">
        <SheetSeen photo={photo} />
        {photo.sheets.length === 0 && <Laid photo={photo} />}
        <Asked photo={photo} />
        {measured && <PhotoResult photo={photo} measured={measured} worker={worker} />}
        {measured && (
          <Choice
            label={result.shoes}
            options={SHOE_KINDS.map((value) => ({ value, words: result.shoeKinds[value] }))}
            value={SHOE_KINDS.find((kind) => SHOE_HEIGHTS[kind].toe === photo.heights.toe) ?? 'golf'}
            onChange={(kind) => changePhoto((now) => ({ ...now, heights: SHOE_HEIGHTS[kind] }))}
          />
        )}
        <Button look="quiet" words={messages.another} onPress={() => void dropPhoto()} />
      </View>
    </>
  );
}

function Photographing() {
  const { worker, opened, stage, fault, open, cancel } = usePhotoWorker();
  const photo = useStore(lesson, (state) => state.draft?.photo ?? null);
  const picture = usePhotoPicture(worker, opened);
  if (stage)
    return (
      <View className="gap-3 p-3">
        <Body role="status" aria-live="polite">
          {messages.stages[stage]}
        </Body>
        <Button look="plain" words={common.cancel} onPress={cancel} />
      </View>
    );
  if (photo && picture) return <Measuring photo={photo} worker={worker} picture={picture} />;
  return (
    <View className="gap-3 p-3">
      {photo && picture === undefined && <Notice kind="caution">{messages.gone}</Notice>}
      {fault && (
        <Notice kind="trouble" live>
          {typeof fault === 'string' ? messages.faults[fault] : messages.failed(fault.failed)}
        </Notice>
      )}
      <Pick onFile={(file) => void open(file)} />
    </View>
  );
}

/** An address from one photo: a sheet on the ground, a few taps, and every figure with its doubt. */
export function PhotoStep() {
  const { student } = useLessonContext();
  return (
    <NeedsClub>
      <ScrollView className="flex-1" tabIndex={0} aria-label={messages.takeAPhoto}>
        {mayBePhotographed(student) ? (
          <Photographing />
        ) : (
          <View className="p-3">
            <ConsentFirst />
          </View>
        )}
      </ScrollView>
    </NeedsClub>
  );
}
