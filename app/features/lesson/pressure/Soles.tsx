import { soleOutline, type FootName, type Shoe } from '@pedastance/core/setup';
import { recordingOfTrace, totalLoad, type PressureFrame, type SwingTrace } from '@pedastance/core/balance';
import { nineOfTen } from '@pedastance/core/statistics';
import { useEffect, useMemo, useRef } from 'react';
import { newestFrame, onFrames } from '../../../state/liveMat';
import { GRID, INK, LAGOON, PAPER, RUST } from '../../../ui/colours';
import { besideEachOther, LETTER } from './markWords';
import { messages } from './PressureStep.messages';

/** Between the soles as they are drawn, and room about them, mm. */
const GAP = 70;
const ROOM = 16;

/** The two soles from above, toes up, each on its side for a student of this hand who looks down. */
interface Drawn {
  shoe: Shoe;
  /** The side that the lead foot is on: left for a right-hander. */
  leadLeft: boolean;
}

const middleOf = ({ shoe, leadLeft }: Drawn, foot: FootName): number => {
  const left = (foot === 'lead') === leadLeft;
  return (left ? -1 : 1) * ((GAP + shoe.breadth) / 2);
};
const outwardOf = ({ leadLeft }: Drawn, foot: FootName): number => ((foot === 'lead') === leadLeft ? -1 : 1);

const n = (value: number): string => value.toFixed(1);

function pathOf(drawn: Drawn, foot: FootName): string {
  const [x, outward] = [middleOf(drawn, foot), outwardOf(drawn, foot)];
  return `M${soleOutline(drawn.shoe)
    .map((point) => `${n(x + outward * point.x)} ${n(-point.y)}`)
    .join('L')}Z`;
}

/** Where a place along and across a sole is drawn. */
const placeOf = (drawn: Drawn, foot: FootName, { along, across }: { along: number; across: number }) => ({
  x: middleOf(drawn, foot) + (outwardOf(drawn, foot) * (across - 50) * drawn.shoe.breadth) / 100,
  y: (-along * drawn.shoe.length) / 100,
});

/** Where the centre of both feet's load is drawn. */
function centreAt(drawn: Drawn, { lead, trail }: Pick<PressureFrame, FootName>): { x: number; y: number } {
  const total = totalLoad({ lead, trail }) || 1;
  const [a, b] = [placeOf(drawn, 'lead', lead), placeOf(drawn, 'trail', trail)];
  return {
    x: (a.x * lead.load + b.x * trail.load) / total,
    y: (a.y * lead.load + b.y * trail.load) / total,
  };
}

/** A swing with its frames, which it is unpacked to once. */
interface Unpacked extends Pick<SwingTrace, 'rate' | 'times'> {
  frames: readonly PressureFrame[];
}

const unpacked = (trace: SwingTrace): Unpacked => ({ ...recordingOfTrace(trace), times: trace.times });

/** Frames of a swing from its first move to its finish, by way of their centres. */
function wayOf(drawn: Drawn, swing: Unpacked): string {
  const { address, finish } = swing.times;
  const frames = swing.frames.filter(({ at }) => at >= address && at <= finish);
  const every = Math.max(1, Math.floor(frames.length / 150));
  const points = frames.filter((_, at) => at % every === 0).map((frame) => centreAt(drawn, frame));
  return points.length === 0 ? '' : `M${points.map(({ x, y }) => `${n(x)} ${n(y)}`).join('L')}`;
}

const MARKED = ['address', 'top', 'impact', 'finish'] as const;

/** Where the centre of the load is at a moment of a swing. */
function centreIn(
  drawn: Drawn,
  { frames, times, rate }: Unpacked,
  mark: (typeof MARKED)[number],
): { x: number; y: number } {
  const at = Math.min(frames.length - 1, Math.round((times[mark] * rate) / 1000));
  return centreAt(drawn, frames[at]!);
}

/** The moments of swings: the middle of each, and about it how far nine of ten swings scatter. */
function Marks({ drawn, swings }: { drawn: Drawn; swings: readonly Unpacked[] }) {
  const marks = MARKED.map((mark) => {
    const centres = swings.map((swing) => centreIn(drawn, swing, mark));
    const [across, along] = [nineOfTen(centres.map(({ x }) => x)), nineOfTen(centres.map(({ y }) => y))];
    const spread = { rx: across.spread, ry: along.spread };
    return { words: messages.marks[mark], x: across.middle, y: along.middle, ...spread };
  });
  const placed = besideEachOther(marks);
  return (
    <>
      {marks.map(({ words, x, y, rx, ry }) => (
        <ellipse key={words} cx={x} cy={y} rx={rx} ry={ry} fill={LAGOON} opacity={0.25} />
      ))}
      {marks.map(({ words, x, y }) => (
        <circle key={words} cx={x} cy={y} r={5} fill={INK} />
      ))}
      {placed.map(({ words, x, y, anchor }) => (
        <text
          key={words}
          x={x}
          y={y}
          fontSize={LETTER}
          textAnchor={anchor}
          fill={INK}
          stroke={PAPER}
          strokeWidth={4}
          paintOrder="stroke"
        >
          {words}
        </text>
      ))}
    </>
  );
}

interface SolesProps {
  shoe: Shoe;
  leadLeft: boolean;
  /** The mat is listened to: the newest frame is shown. */
  live: boolean;
  swings: readonly SwingTrace[];
  /** The one that stands before the others; null where all are alike. */
  chosen: number | null;
}

/** The soles with the load under them: as it is now, and the ways that it went. */
export function Soles({ shoe, leadLeft, live, swings, chosen }: SolesProps) {
  const drawn = useMemo(() => ({ shoe, leadLeft }), [shoe, leadLeft]);
  const unpackedSwings = useMemo(() => swings.map(unpacked), [swings]);
  const centre = useRef<SVGCircleElement>(null);
  const feet = { lead: useRef<SVGCircleElement>(null), trail: useRef<SVGCircleElement>(null) };
  const { lead, trail } = feet;
  useEffect(() => {
    if (!live) return;
    let asked = 0;
    const paint = () => {
      asked = 0;
      const frame = newestFrame();
      if (!frame) return;
      const at = centreAt(drawn, frame);
      centre.current?.setAttribute('cx', n(at.x));
      centre.current?.setAttribute('cy', n(at.y));
      centre.current?.setAttribute('data-at', String(frame.at));
      const total = totalLoad(frame) || 1;
      for (const [foot, circle] of [
        ['lead', lead.current],
        ['trail', trail.current],
      ] as const) {
        const place = placeOf(drawn, foot, frame[foot]);
        circle?.setAttribute('cx', n(place.x));
        circle?.setAttribute('cy', n(place.y));
        circle?.setAttribute('r', n(4 + (30 * frame[foot].load) / total));
      }
    };
    // What a frame brings is painted once before the next picture, whatever came by then.
    const leave = onFrames(() => (asked ||= requestAnimationFrame(paint)));
    return () => {
      cancelAnimationFrame(asked);
      leave();
    };
  }, [live, drawn, lead, trail]);
  const width = 2 * shoe.breadth + GAP + 2 * ROOM;
  const height = shoe.length + 2 * ROOM;
  return (
    <svg
      viewBox={`${-width / 2} ${-shoe.length - ROOM} ${width} ${height}`}
      role="img"
      aria-label={messages.soles}
      style={{ width: '100%', maxHeight: 300 }}
      data-testid="soles"
    >
      {(['lead', 'trail'] as const).map((foot) => (
        <path key={foot} d={pathOf(drawn, foot)} fill="none" stroke={INK} strokeWidth={2} />
      ))}
      <line
        x1={-width / 2 + ROOM}
        x2={width / 2 - ROOM}
        y1={-shoe.length / 2}
        y2={-shoe.length / 2}
        stroke={GRID}
        strokeDasharray="6 6"
      />
      {unpackedSwings.map((swing, at) => (
        <path
          key={at}
          d={wayOf(drawn, swing)}
          fill="none"
          stroke={LAGOON}
          strokeWidth={chosen === at ? 4 : 2}
          opacity={chosen === null || chosen === at ? 0.9 : 0.3}
        />
      ))}
      {swings.length > 0 && (
        <Marks drawn={drawn} swings={chosen === null ? unpackedSwings : [unpackedSwings[chosen]!]} />
      )}
      {live && (
        <>
          <circle ref={lead} r={0} fill={LAGOON} opacity={0.35} />
          <circle ref={trail} r={0} fill={LAGOON} opacity={0.35} />
          <circle ref={centre} r={9} fill={RUST} data-testid="live-centre" />
        </>
      )}
    </svg>
  );
}
