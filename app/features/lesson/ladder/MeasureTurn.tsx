import { BY_EYE_UNCERTAINTY, SCREEN_DEFINITIONS, type AngleWay } from '@pedastance/core/body';
import type { MeasuredOnRung } from '@pedastance/core/ladder';
import type { FootName } from '@pedastance/core/setup';
import type { Turn } from '@pedastance/core/turn';
import { angleFigure } from '@pedastance/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { common } from '../../../domain/common.messages';
import { spoken } from '../../../domain/sentences';
import { typedNumber } from '../../../domain/typedNumber';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { Body } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { Dial } from '../Dial';
import { FromWidth } from '../FromWidth';
import { Gauge } from '../Gauge';
import { messages } from './LadderStep.messages';

const ITEMS = { back: 'hipsBack', through: 'hipsThrough' } as const;
const WAYS: readonly { by: AngleWay; words: string }[] = [
  { by: 'gauge', words: messages.gauge },
  { by: 'typed', words: messages.type },
  { by: 'apparent width', words: messages.width },
  { by: 'by eye', words: messages.dial },
];

type Took = (hips: number, by: AngleWay, uncertainty: number) => void;

/** The hips' turn as it is typed. */
function Typed({
  range,
  onTake,
}: {
  range: { least: number; most: number };
  onTake: (hips: number) => void;
}) {
  const [text, setText] = useState('');
  const value = typedNumber(text);
  const sound = value >= range.least && value <= range.most;
  return (
    <View className="gap-2">
      <Field
        label={messages.hipsTurned}
        unit="°"
        value={text}
        onChangeText={setText}
        inputMode="numeric"
        fault={text !== '' && !sound ? messages.expectedDegrees(range.least, range.most, text) : undefined}
      />
      <Button words={common.takeIt} disabled={!sound} onPress={() => onTake(value)} />
    </View>
  );
}

/** One way of taking the turn of the hips. */
function Taking({
  way,
  turn,
  onTake,
  onDone,
}: {
  way: AngleWay;
  turn: Turn;
  onTake: Took;
  onDone: () => void;
}) {
  const { range, uncertainty } = SCREEN_DEFINITIONS[ITEMS[turn]];
  if (way === 'gauge')
    return (
      <Gauge
        label={messages.hips}
        onTake={(hips) => onTake(Math.min(hips, range.most), way, uncertainty)}
        onDone={onDone}
      />
    );
  if (way === 'typed') return <Typed range={range} onTake={(hips) => onTake(hips, way, uncertainty)} />;
  if (way === 'by eye')
    return (
      <Dial label={messages.hips} range={range} onTake={(hips) => onTake(hips, way, BY_EYE_UNCERTAINTY)} />
    );
  return (
    <FromWidth
      name={messages.hips}
      onTake={({ value, uncertainty: own }) => onTake(value, way, Math.max(uncertainty, own))}
    />
  );
}

interface MeasureTurnProps {
  turn: Turn;
  measured: MeasuredOnRung | null;
  onChange: (measured: MeasuredOnRung | null) => void;
}

/** The turn of the hips on this rung, taken before it is scored, and the leg that was felt to stop it. */
export function MeasureTurn({ turn, measured, onChange }: MeasureTurnProps) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const [way, setWay] = useState<AngleWay | 'asking' | null>(null);
  const take: Took = (hips, by, uncertainty) => {
    onChange({ hips, by, uncertainty, stoppedBy: null, at: new Date().toISOString() });
    setWay(null);
  };
  if (measured)
    return (
      <View className="gap-2" testID="measured-turn">
        <View className="flex-row items-center justify-between gap-2">
          <Body className="font-semibold">{messages.hipsAt(angleFigure(measured.hips))}</Body>
          <Button look="quiet" words={messages.measureAgain} onPress={() => onChange(null)} />
        </View>
        <Choice
          label={messages.whatStopped}
          options={(['trail', 'lead', 'nothing'] as const).map((value) => ({
            value,
            words: spoken(messages.stoppedBy[value], speech),
          }))}
          value={measured.stoppedBy ?? 'nothing'}
          onChange={(leg) =>
            onChange({ ...measured, stoppedBy: leg === 'nothing' ? null : (leg as FootName) })
          }
        />
      </View>
    );
  if (way === null)
    return (
      <View className="flex-row">
        <Button look="quiet" words={messages.measureIt} onPress={() => setWay('asking')} />
      </View>
    );
  return (
    <View className="gap-2">
      <Choice
        label={messages.measureHow}
        options={WAYS.map(({ by, words }) => ({ value: by, words }))}
        value={way === 'asking' ? null : way}
        onChange={setWay}
      />
      {way !== 'asking' && (
        <Taking key={way} way={way} turn={turn} onTake={take} onDone={() => setWay(null)} />
      )}
    </View>
  );
}
