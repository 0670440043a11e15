import { photoFaults, type MeasuredFeet, type PhotoFault } from '@pedastance/core/photo';
import { SD_IN_95_PERCENT } from '@pedastance/core/statistics';
import { FEET_FIGURES, FIGURES, setupByPhoto, type FeetFigure, type Item } from '@pedastance/core/setup';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { figure, figureName, spoken } from '../../../domain/sentences';
import { byClub, TAP_PX, type PhotoDraft } from '../../../domain/photoTaps';
import { lesson, openStep } from '../../../state/lesson';
import { standAsPhotographed } from '../../../state/photo';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Body, Quiet } from '../../../ui/Words';
import type { PhotoWorker } from '../../../workers/photoWorker';
import { useJudge, useLessonContext } from '../context';
import { usePhotoAdvice } from './usePhotoWorker';
import { messages } from './PhotoResult.messages';

/** What was found of the sheet. */
export function SheetSeen({ photo }: { photo: PhotoDraft }) {
  const [sheet] = photo.sheets;
  if (!sheet) return null;
  const { printed } = sheet;
  const rescaled = printed && Math.abs(printed.scale - 1) > 0.004;
  return (
    <Quiet testID="sheet-seen">
      {[
        photo.sheets.length > 1 ? messages.sheetsFound(photo.sheets.length) : messages.sheetFound,
        ...(rescaled ? [messages.printed((100 * printed.scale).toFixed(1))] : []),
        ...(printed ? [] : [messages.paperUnseen]),
      ].join('. ')}
    </Quiet>
  );
}

/** The figure of the feet that is least sure for what the method asks of it; null where all are sure enough. */
function useTooUnsure(measured: MeasuredFeet): FeetFigure | null {
  const judge = useJudge();
  const setup = useStore(lesson, (state) => state.draft?.setup ?? null);
  return useMemo(() => {
    const placed = setup && setupByPhoto(setup, measured);
    const findings = (placed && judge(placed)?.findings) ?? [];
    const [worst] = findings
      .flatMap(({ item, uncertainty, low, high }) => {
        const figure = placedBy(item);
        return figure ? [{ figure, reach: (2 * SD_IN_95_PERCENT * uncertainty) / (high - low) }] : [];
      })
      .sort((a, b) => b.reach - a.reach);
    return worst && worst.reach > 1 ? worst.figure : null;
  }, [judge, measured, setup]);
}

/** The figure of the feet that an item is, or follows from. */
function placedBy(item: Item): FeetFigure | null {
  const { places = item } = FIGURES[item] as { places?: Item | null };
  return FEET_FIGURES.find((name) => name === places) ?? null;
}

/** How good the photo is, and what to do about it. */
function HowGood({
  photo,
  worker,
  fault,
  tooUnsure,
}: Omit<ResultProps, 'measured'> & { fault: PhotoFault | undefined; tooUnsure: FeetFigure | null }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const club = byClub(photo);
  const about = tooUnsure ?? (club ? 'stanceWidth' : null);
  const advice = usePhotoAdvice(worker, photo, fault ? null : about);
  if (fault)
    return (
      <Notice kind="caution" live>
        {spoken(messages.faults[fault], speech)}
      </Notice>
    );
  if (!about) return <Notice kind="good">{messages.asGoodAsATape}</Notice>;
  if (!advice) return null;
  return (
    <>
      {tooUnsure && (
        <Notice kind="caution" live>
          {messages.tooUnsure(figureName(tooUnsure, speech), advice.remedy)}
        </Notice>
      )}
      {club && about === 'stanceWidth' && (
        <Quiet testID="by-club">
          {messages.byClub(figure(SD_IN_95_PERCENT * advice.uncertainty, 'mm', speech))}
        </Quiet>
      )}
    </>
  );
}

interface ResultProps {
  photo: PhotoDraft;
  measured: MeasuredFeet;
  worker: () => PhotoWorker;
}

/** The figures of a photo, each with its doubt, and whether the photo is good enough. */
export function PhotoResult({
  measured,
  ...of
}: Omit<ResultProps, 'measured'> & { measured: MeasuredFeet | 'nothing' }) {
  if (measured === 'nothing')
    return (
      <Notice kind="trouble" live>
        {messages.nothing}
      </Notice>
    );
  return <Figures {...of} measured={measured} />;
}

function Figures({ photo, measured, worker }: ResultProps) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const [nobody, setNobody] = useState(false);
  const faults = photoFaults(measured, {
    hand: student.hand,
    unevenMm: photo.sheets[0]?.residualMm ?? null,
    tapPx: TAP_PX,
    byClub: byClub(photo),
  });
  const tooUnsure = useTooUnsure(measured);
  const good = faults.length === 0 && tooUnsure === null;
  const use = () => {
    const stands = standAsPhotographed(measured);
    setNobody(!stands);
    if (stands) openStep('read');
  };
  return (
    <View className="gap-2" testID="photo-result">
      <HowGood photo={photo} worker={worker} fault={faults[0]} tooUnsure={tooUnsure} />
      {nobody && (
        <Notice kind="trouble" live>
          {messages.nobodyCanStand}
        </Notice>
      )}
      {faults[0] !== 'mirrored' && (
        <Button
          look={good ? 'act' : 'plain'}
          words={good ? messages.use : messages.useAnyway}
          onPress={use}
        />
      )}
      {FEET_FIGURES.map((name) => {
        const { value, uncertainty } = measured.figures[name];
        const { unit } = FIGURES[name];
        return (
          <View
            key={name}
            className="flex-row items-baseline justify-between gap-3 border-b border-grid py-1"
          >
            <Body className="flex-1">{figureName(name, speech)}</Body>
            <Body className="figures font-semibold" testID={`photo-${name}`}>
              {messages.give(
                figure(value, unit, speech),
                figure(SD_IN_95_PERCENT * uncertainty, unit, speech),
              )}
            </Body>
          </View>
        );
      })}
    </View>
  );
}
