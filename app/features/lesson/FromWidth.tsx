import { turnFromWidth } from '@pedastance/core/body';
import { angleFigure, type Angle } from '@pedastance/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { common } from '../../domain/common.messages';
import { typedNumber } from '../../domain/typedNumber';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Body, Quiet } from '../../ui/Words';
import { messages } from './LegsStep.messages';

/** How far a width is off when it is taken from a picture, as a share of it (starting value). */
const WIDTH_ERROR = 0.03;

/** The hips' width seen face-on, square and turned, in any unit: they look as narrow as the turn's cosine. */
export function FromWidth({ name, onTake }: { name: string; onTake: (turn: Angle) => void }) {
  const [square, setSquare] = useState('');
  const [turned, setTurned] = useState('');
  const [from, to] = [typedNumber(square), typedNumber(turned)];
  const sound = from > 0 && to > 0 && to <= from;
  const angle = sound ? turnFromWidth(to, from, from * WIDTH_ERROR) : null;
  return (
    <View className="gap-2 bg-sheet p-3">
      <Quiet>{messages.faceOnInAPicture}</Quiet>
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Field
            label={messages.square}
            aria-label={messages.hipsWidthSquare(name)}
            value={square}
            onChangeText={setSquare}
            inputMode="decimal"
          />
        </View>
        <View className="flex-1">
          <Field
            label={messages.turned}
            aria-label={messages.hipsWidthTurned(name)}
            value={turned}
            onChangeText={setTurned}
            inputMode="decimal"
            fault={turned !== '' && square !== '' && !sound ? messages.expectedLessThanWhenSquare : undefined}
          />
        </View>
      </View>
      {angle && (
        <Body className="figures">{`${angleFigure(angle.value)} ± ${angleFigure(angle.uncertainty)}${angle.uncertainty > 8 ? ': rough this near square' : ''}`}</Body>
      )}
      <Button
        words={common.takeIt}
        label={messages.takeTheAngle(name)}
        disabled={!angle}
        onPress={() => angle && onTake({ ...angle, value: Math.round(angle.value) })}
      />
    </View>
  );
}
