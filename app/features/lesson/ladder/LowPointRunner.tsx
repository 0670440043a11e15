import type { TestOf } from '@pedastance/contract';
import { clubById, type ClubId } from '@pedastance/core/club';
import { lowPointTold, MARKS, STRIKE_HEIGHTS, strikesLean, type MarkedShot } from '@pedastance/core/ladder';
import { lengthIn, millimetres, saidLength, type LengthUnit } from '@pedastance/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import type { OwnBand } from '../../../domain/ladders';
import { measuredOf } from '../../../domain/measured';
import { typedNumber } from '../../../domain/typedNumber';
import { noteTry } from '../../../state/ladder';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/Field';
import { Body, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { messages as found } from '../../../domain/fieldTestWords.messages';
import { messages } from './FieldTests.messages';
import { TestFrame, useTries } from './TestFrame';
import { useFeet } from './useRung';

const words = messages.lowPoint;

const NOTHING: MarkedShot = { mark: null, start: null, end: null, strike: null };
/** What a mark and a ball can lie at, mm. */
const MARK = { least: -300, most: 400 };
const BALL = { least: -200, most: 500 };
const TEE = { least: 0, most: 120 };
/** A ball is put back as near as this (starting value), mm. */
const BALL_BAND = 10;

const UNIT: Record<LengthUnit, string> = { cm: 'cm', inches: 'in' };

/** A length that is typed in the coach's unit, as mm; null while it is empty or none that can be. */
function useLength(length: LengthUnit, { least, most }: { least: number; most: number }, first = '') {
  const [text, setText] = useState(first);
  const value = millimetres(length, typedNumber(text));
  const sound = value >= least && value <= most;
  const say = (mm: number) => String(Math.round(lengthIn(length, mm)));
  const fault = text.trim() !== '' && !sound ? words.expected(say(least), say(most), text) : undefined;
  return { text, setText, value: sound ? Math.round(value) : null, fault };
}

type Typed = ReturnType<typeof useLength>;

/** A box for a length, beside others. */
function LengthField({
  label,
  unit,
  typed,
  fault = typed.fault,
}: {
  label: string;
  unit: LengthUnit;
  typed: Typed;
  fault?: string | undefined;
}) {
  return (
    <View className="flex-1">
      <Field
        label={label}
        unit={UNIT[unit]}
        value={typed.text}
        onChangeText={typed.setText}
        inputMode="text"
        fault={fault}
      />
    </View>
  );
}

/** A divot that is measured from the ball, start and end. */
function Divot({ length }: { length: LengthUnit }) {
  const start = useLength(length, MARK);
  const end = useLength(length, MARK);
  const before = start.value !== null && end.value !== null && end.value < start.value;
  const note = () => {
    noteTry('low point', { ...NOTHING, start: start.value, end: end.value });
    start.setText('');
    end.setText('');
  };
  return (
    <View className="gap-2">
      <View className="flex-row gap-2">
        <LengthField label={words.start} unit={length} typed={start} />
        <LengthField
          label={words.end}
          unit={length}
          typed={end}
          fault={before ? words.expectedEnd : end.fault}
        />
      </View>
      <Quiet>{words.divotHelp}</Quiet>
      <Button
        look="plain"
        words={words.add}
        disabled={start.value === null || end.value === null || before}
        onPress={note}
      />
    </View>
  );
}

/** What is told beside it: how it is known, where the ball goes, and the strikes. */
function More({
  tries,
  ballAlong,
  length,
}: Pick<TestOf<'low point'>, 'tries' | 'ballAlong'> & { length: LengthUnit }) {
  const told = lowPointTold(tries, ballAlong);
  const leans = told && strikesLean(tries);
  const moved = told?.ballInside == null ? null : ballAlong - told.ballInside;
  const way = moved !== null && moved > 0 ? words.toTarget : words.fromTarget;
  return (
    <>
      {moved !== null && (
        <Body>{moved === 0 ? words.ballStays : words.ball(way(saidLength(Math.abs(moved), length)))}</Body>
      )}
      {leans && <Body>{found[leans]}</Body>}
      {told && <Quiet>{told.by === 'marks' ? words.byMarks : words.byDivots(told.shots)}</Quiet>}
    </>
  );
}

/** Where a club is lowest: one tap a mark, or a divot that is measured; with a teed ball where it is struck. */
export function LowPointRunner({ club }: { club: ClubId }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const { length } = speech;
  const { ballAlong: lies } = measuredOf(useFeet()).measures;
  const tries = useTries('low point');
  const teed = clubById(club).family === 'wood';
  const ball = useLength(length, BALL, String(Math.round(lengthIn(length, lies))));
  const tee = useLength(length, TEE);
  const [measuring, setMeasuring] = useState(false);
  const ballAlong = ball.value ?? Math.round(lies);
  const told = lowPointTold(tries, ballAlong);
  const bands: OwnBand[] =
    told?.ballInside == null
      ? []
      : [
          {
            item: 'ballAlong',
            low: Math.max(BALL.least, told.ballInside - BALL_BAND),
            high: Math.min(BALL.most, told.ballInside + BALL_BAND),
            club,
          },
        ];
  const contents = {
    test: 'low point' as const,
    club,
    ballAlong,
    teeHeight: teed ? tee.value : null,
    tries: [...tries],
  };
  return (
    <TestFrame
      test="low point"
      purpose={words.purpose}
      how={teed ? words.teed : words.how}
      more={<More tries={tries} ballAlong={ballAlong} length={length} />}
      contents={contents}
      bands={bands}
    >
      <View className="flex-row gap-2">
        <LengthField label={words.ballAt} unit={length} typed={ball} />
        {teed && <LengthField label={words.tee} unit={length} typed={tee} />}
      </View>
      {teed ? (
        <View className="gap-1">
          <Quiet>{words.strike}</Quiet>
          <View className="flex-row flex-wrap gap-2">
            {STRIKE_HEIGHTS.map((strike) => (
              <Button
                key={strike}
                look="plain"
                words={messages.strikes[strike]}
                onPress={() => noteTry('low point', { ...NOTHING, strike })}
              />
            ))}
          </View>
        </View>
      ) : (
        <View className="gap-1">
          <Quiet>{words.mark}</Quiet>
          <View className="flex-row flex-wrap gap-2">
            {MARKS.map((mark) => (
              <Button
                key={mark}
                look="plain"
                words={messages.marks[mark]}
                onPress={() => noteTry('low point', { ...NOTHING, mark })}
              />
            ))}
            <Button look="quiet" words={words.measure} onPress={() => setMeasuring(!measuring)} />
          </View>
          {measuring && <Divot length={length} />}
        </View>
      )}
    </TestFrame>
  );
}
