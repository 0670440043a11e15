import {
  alongOf,
  recordingOfTrace,
  STRIKE_WITHIN_MS,
  SWING_MARKS,
  type SwingMark,
  type SwingTrace,
} from '@pedastance/core/balance';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { withMoment } from '../../../domain/pressure';
import { spoken } from '../../../domain/sentences';
import { useSpeech } from '../../../state/useSpeech';
import { Choice } from '../../../ui/Choice';
import { GRID, INK, LAGOON, RUST } from '../../../ui/colours';
import { Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { messages } from './PressureStep.messages';

const WIDTH = 340;
const HEIGHT = 150;
const LEFT = 26;
const TOP = 18;
const BOTTOM = 18;
/** How far an arrow moves a moment, ms. */
const STEP_MS = 10;

const n = (value: number): string => value.toFixed(1);

/** A swing against time: the lead foot's share, and the place along both soles, with its moments to be dragged. */
export function SwingChart({
  trace,
  onChange,
}: {
  trace: SwingTrace;
  onChange: (trace: SwingTrace) => void;
}) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const sheet = useRef<SVGSVGElement>(null);
  const [mark, setMark] = useState<SwingMark>('impact');
  const [held, setHeld] = useState(false);
  const { frames } = recordingOfTrace(trace);
  const last = frames[frames.length - 1]!.at;
  const x = (at: number): number => LEFT + (at / last) * (WIDTH - LEFT - 4);
  const y = (percent: number): number => TOP + (1 - percent / 100) * (HEIGHT - TOP - BOTTOM);
  const every = Math.max(1, Math.floor(frames.length / 170));
  const line = (of: (at: number) => number): string =>
    `M${frames
      .flatMap((frame, at) => (at % every === 0 ? `${n(x(frame.at))} ${n(y(of(at)))}` : []))
      .join('L')}`;
  const moveTo = (clientX: number) => {
    const box = sheet.current!.getBoundingClientRect();
    const drawn = ((clientX - box.left) / box.width) * WIDTH;
    onChange(withMoment(trace, mark, ((drawn - LEFT) / (WIDTH - LEFT - 4)) * last));
  };
  const step = (by: number) => onChange(withMoment(trace, mark, trace.times[mark] + by));
  return (
    <View className="gap-2" testID="swing-chart">
      <svg
        ref={sheet}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="slider"
        tabIndex={0}
        aria-label={messages.marks[mark]}
        aria-valuemin={0}
        aria-valuemax={Math.round(last)}
        aria-valuenow={trace.times[mark]}
        aria-valuetext={messages.moment(messages.marks[mark], (trace.times[mark] / 1000).toFixed(2))}
        style={{ width: '100%', touchAction: 'none', cursor: 'ew-resize' }}
        onPointerDown={(event) => {
          setHeld(true);
          event.currentTarget.setPointerCapture(event.pointerId);
          moveTo(event.clientX);
        }}
        onPointerMove={(event) => held && moveTo(event.clientX)}
        onPointerUp={() => setHeld(false)}
        onPointerCancel={() => setHeld(false)}
        onKeyDown={(event) => {
          if (event.key === 'ArrowLeft') step(-STEP_MS);
          else if (event.key === 'ArrowRight') step(STEP_MS);
          else return;
          event.preventDefault();
        }}
      >
        {[0, 50, 100].map((percent) => (
          <g key={percent}>
            <line x1={LEFT} x2={WIDTH - 4} y1={y(percent)} y2={y(percent)} stroke={GRID} />
            <text x={LEFT - 4} y={y(percent) + 4} fontSize={11} textAnchor="end" fill={INK}>
              {percent}
            </text>
          </g>
        ))}
        {SWING_MARKS.map((each) => (
          <line
            key={each}
            x1={x(trace.times[each])}
            x2={x(trace.times[each])}
            y1={TOP - 6}
            y2={HEIGHT - BOTTOM}
            stroke={each === mark ? RUST : INK}
            strokeWidth={each === mark ? 3 : 1}
          />
        ))}
        <path d={line((at) => trace.share[at]! / 10)} fill="none" stroke={LAGOON} strokeWidth={3} />
        <path
          d={line((at) => alongOf(frames[at]!))}
          fill="none"
          stroke={INK}
          strokeWidth={2}
          strokeDasharray="5 4"
        />
      </svg>
      <Quiet>{spoken(`━ ${messages.share}   ╌ ${messages.along}`, speech)}</Quiet>
      <Choice
        label={messages.momentsMove}
        options={SWING_MARKS.map((value) => ({ value, words: messages.marks[value] }))}
        value={mark}
        onChange={setMark}
      />
      {mark === 'impact' && <Quiet>{messages.strikeWithin(STRIKE_WITHIN_MS)}</Quiet>}
    </View>
  );
}
