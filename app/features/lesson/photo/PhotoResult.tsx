import { photoFaults, type MeasuredFeet } from '@pedastance/core/photo';
import { FEET_FIGURES, FIGURES } from '@pedastance/core/setup';
import { useState } from 'react';
import { View } from 'react-native';
import { figure, figureName, spoken } from '../../../domain/sentences';
import { TAP_PX, type PhotoDraft } from '../../../domain/photoTaps';
import { openStep } from '../../../state/lesson';
import { standAsPhotographed } from '../../../state/photo';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Body, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { messages } from './PhotoResult.messages';

/** A 95% interval reaches so many standard deviations to either side. */
const TO_95 = 1.96;

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

/** The figures of a photo, each with its doubt, and whether the photo is good enough. */
export function PhotoResult({ photo, measured }: { photo: PhotoDraft; measured: MeasuredFeet | 'nothing' }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const [nobody, setNobody] = useState(false);
  if (measured === 'nothing')
    return (
      <Notice kind="trouble" live>
        {messages.nothing}
      </Notice>
    );
  const faults = photoFaults(measured, student.hand, photo.sheets[0]?.residualMm ?? null, TAP_PX);
  const use = () => {
    const stands = standAsPhotographed(measured);
    setNobody(!stands);
    if (stands) openStep('read');
  };
  return (
    <View className="gap-2" testID="photo-result">
      {faults.length === 0 ? (
        <Notice kind="good">{messages.asGoodAsATape}</Notice>
      ) : (
        <Notice kind="caution" live>
          {spoken(messages.faults[faults[0]!], speech)}
        </Notice>
      )}
      {nobody && (
        <Notice kind="trouble" live>
          {messages.nobodyCanStand}
        </Notice>
      )}
      {faults[0] !== 'mirrored' && (
        <Button
          look={faults.length === 0 ? 'act' : 'plain'}
          words={faults.length === 0 ? messages.use : messages.useAnyway}
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
              {messages.give(figure(value, unit, speech), figure(TO_95 * uncertainty, unit, speech))}
            </Body>
          </View>
        );
      })}
    </View>
  );
}
