import { BY_EYE_UNCERTAINTY } from '@pedastance/core/body';
import { angleFigure } from '@pedastance/core/units';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/Button';
import { Quiet } from '../../ui/Words';
import { common } from '../../domain/common.messages';
import { messages } from './Dial.messages';

const RADIUS = 130;
const WIDTH = 300;
const HEIGHT = 175;
const MIDDLE = { x: WIDTH / 2, y: HEIGHT - 15 };
const TENS = [-90, -80, -70, -60, -50, -40, -30, -20, -10, 0, 10, 20, 30, 40, 50, 60, 70, 80, 90] as const;

/** A point of the dial, from straight ahead upward, to the right positive. */
const at = (angle: number, radius: number) => {
  const turned = (angle * Math.PI) / 180;
  return { x: MIDDLE.x + radius * Math.sin(turned), y: MIDDLE.y - radius * Math.cos(turned) };
};

const between = (from: { x: number; y: number }, to: { x: number; y: number }) => ({
  x1: from.x,
  y1: from.y,
  x2: to.x,
  y2: to.y,
});

interface DialProps {
  label: string;
  range: { least: number; most: number };
  onTake: (angle: number) => void;
}

/** A needle laid by eye along what is seen, either way round; the angle is how far it is from straight ahead. */
export function Dial({ label, range, onTake }: DialProps) {
  const sheet = useRef<SVGSVGElement>(null);
  const [needle, setNeedle] = useState(0);
  const most = Math.min(90, range.most);
  const angle = Math.abs(needle);
  const lay = (to: number) => setNeedle(Math.round(Math.max(-most, Math.min(most, to))));
  const follow = (event: PointerEvent<SVGSVGElement>) => {
    const box = sheet.current!.getBoundingClientRect();
    const scale = WIDTH / box.width;
    const x = (event.clientX - box.left) * scale - MIDDLE.x;
    const y = MIDDLE.y - (event.clientY - box.top) * scale;
    lay((Math.atan2(x, Math.max(0, y)) * 180) / Math.PI);
  };
  const keys = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    lay(needle + by);
  };
  const words = at(needle / 2, 70);
  return (
    <View className="gap-2 bg-sheet p-3" testID="dial">
      <Quiet>{messages.layTheNeedleAlongWhat(BY_EYE_UNCERTAINTY)}</Quiet>
      <svg
        ref={sheet}
        className="dial"
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="slider"
        tabIndex={0}
        aria-label={messages.dial(label)}
        aria-valuemin={0}
        aria-valuemax={most}
        aria-valuenow={angle}
        aria-valuetext={`${angle} degrees`}
        onKeyDown={keys}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          follow(event);
        }}
        onPointerMove={(event) => event.buttons > 0 && follow(event)}
      >
        {TENS.filter((ten) => Math.abs(ten) <= most).map((ten) => (
          <line
            key={ten}
            className="dial-tick"
            {...between(at(ten, RADIUS), at(ten, RADIUS - (ten % 30 === 0 ? 16 : 8)))}
          />
        ))}
        <line className="dial-zero" {...between(MIDDLE, at(0, RADIUS))} />
        <line className="dial-needle" {...between(MIDDLE, at(needle, RADIUS))} />
        <circle className="dial-end" cx={at(needle, RADIUS).x} cy={at(needle, RADIUS).y} r="11" />
        <text className="dial-words" x={words.x} y={words.y} textAnchor="middle">
          {angleFigure(angle)}
        </text>
      </svg>
      <Button words={common.takeIt} label={messages.takeTheDialsAngle(label)} onPress={() => onTake(angle)} />
    </View>
  );
}
