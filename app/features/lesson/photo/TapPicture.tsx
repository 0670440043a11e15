import { addressSeen, type MeasuredFeet } from '@pedastance/core/photo';
import { footPoints, soleOutline, type FootName, type Point } from '@pedastance/core/setup';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { spoken } from '../../../domain/sentences';
import { nextTap, tapsAsked, type PhotoDraft, type TapName } from '../../../domain/photoTaps';
import { useSpeech } from '../../../state/useSpeech';
import { SOLES } from '../../../ui/colours';
import { useLessonContext } from '../context';
import { messages } from './TapPicture.messages';

/** A mark within this of a touch is taken hold of, px of the screen. */
const REACH_PX = 26;
/** A finger that moves this far means another place than the edge under it. */
const ADJUSTS_PX = 5;
/** Under the loupe a slow finger moves a mark more slowly still, so that it can be put on a pixel; a quick one is followed. */
const SLOWEST = 0.2;
const QUICK_PX = 8;
const LOUPE_PX = 120;
/** How much larger the loupe shows the photo's own pixels. */
const LOUPE_ZOOM = 2;

const COLOURS: Record<'sheet' | 'ball' | FootName, string> = {
  sheet: '#ffffff',
  ball: '#ffd166',
  ...SOLES,
};
const colourOf = (name: TapName): string =>
  name.startsWith('lead')
    ? COLOURS.lead
    : name.startsWith('trail')
      ? COLOURS.trail
      : name === 'ball'
        ? COLOURS.ball
        : COLOURS.sheet;

const pathOf = (points: readonly Point[]): string =>
  `M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

const SOLE_UP_MM = 6;

/** A sole as it was measured, laid back over the photo: a wrong tap is seen. */
const soleSeen = ({ address, frame }: MeasuredFeet, foot: FootName): string =>
  pathOf(
    footPoints(address, foot, soleOutline(address.shoe)).map((point) =>
      addressSeen(frame, point, SOLE_UP_MM),
    ),
  );

interface Held {
  name: TapName;
  /** Where the finger was last, pixels of the screen, and how far it has gone. */
  finger: Point;
  gone: number;
  /** Where the mark is, pixels of the photo. */
  at: Point;
}

interface TapPictureProps {
  photo: PhotoDraft;
  picture: string;
  measured: MeasuredFeet | null;
  /** `dragged` where the mark was put there with care: no edge is to move it. */
  onPlace: (name: TapName, at: Point, dragged: boolean) => void;
}

function Mark({ at, name, scale, held }: { at: Point; name: TapName; scale: number; held: boolean }) {
  const [arm, gap] = [13 * scale, held ? 5 * scale : 3 * scale];
  const lines = `M${at.x - arm} ${at.y}h${arm - gap}m${2 * gap} 0h${arm - gap}M${at.x} ${at.y - arm}v${arm - gap}m0 ${2 * gap}v${arm - gap}`;
  return (
    <>
      <path d={lines} stroke="#101820" strokeWidth={4.5 * scale} opacity={0.75} />
      <path d={lines} stroke={colourOf(name)} strokeWidth={2 * scale} />
    </>
  );
}

/** The part of the photo under the finger, larger, away from the finger. */
function Loupe({
  photo,
  picture,
  held,
  left,
}: {
  photo: PhotoDraft;
  picture: string;
  held: Held;
  left: boolean;
}) {
  const side = LOUPE_PX / LOUPE_ZOOM;
  const { x, y } = held.at;
  return (
    <svg
      aria-hidden
      data-testid="loupe"
      width={LOUPE_PX}
      height={LOUPE_PX}
      viewBox={`${x - side / 2} ${y - side / 2} ${side} ${side}`}
      style={{
        position: 'absolute',
        top: 8,
        [left ? 'left' : 'right']: 8,
        borderRadius: LOUPE_PX / 2,
        border: '3px solid #ffffff',
        background: '#101820',
        overflow: 'hidden',
        pointerEvents: 'none',
      }}
    >
      <image href={picture} width={photo.width} height={photo.height} />
      <Mark at={held.at} name={held.name} scale={1 / LOUPE_ZOOM} held />
    </svg>
  );
}

/** The photo with what was tapped in it: each tap under a loupe, each mark to be dragged. */
export function TapPicture({ photo, picture, measured, onPlace }: TapPictureProps) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const box = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<Held | null>(null);
  const asked = tapsAsked(photo);
  const screenPx = (): number => photo.width / (box.current?.getBoundingClientRect().width ?? photo.width);
  const scale = screenPx();

  const within = ({ x, y }: Point): Point => ({
    x: Math.min(photo.width, Math.max(0, x)),
    y: Math.min(photo.height, Math.max(0, y)),
  });
  const pointOf = (event: PointerEvent): Point => {
    const { left, top } = box.current!.getBoundingClientRect();
    return { x: (event.clientX - left) * screenPx(), y: (event.clientY - top) * screenPx() };
  };
  const nearest = (at: Point): TapName | null => {
    const near = asked
      .flatMap((name) => {
        const point = photo.taps[name];
        return point ? [{ name, far: Math.hypot(point.x - at.x, point.y - at.y) }] : [];
      })
      .sort((a, b) => a.far - b.far)[0];
    return near && near.far < REACH_PX * screenPx() ? near.name : null;
  };
  const down = (event: PointerEvent<SVGSVGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const at = within(pointOf(event));
    const next = nextTap(photo);
    // What is still to be tapped may lie close to what was: a new tap takes hold of nothing.
    const name = next ?? nearest(at);
    if (!name) return;
    const from = next ? at : photo.taps[name]!;
    setHeld({ name, at: from, finger: { x: event.clientX, y: event.clientY }, gone: 0 });
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (!held) return;
    const finger = { x: event.clientX, y: event.clientY };
    const [x, y] = [finger.x - held.finger.x, finger.y - held.finger.y];
    const step = Math.hypot(x, y);
    const by = Math.min(1, Math.max(SLOWEST, step / QUICK_PX)) * screenPx();
    setHeld({
      ...held,
      finger,
      gone: held.gone + step,
      at: within({ x: held.at.x + x * by, y: held.at.y + y * by }),
    });
  };
  const up = () => {
    if (!held) return;
    setHeld(null);
    onPlace(held.name, held.at, held.gone > ADJUSTS_PX);
  };
  const keyed = (event: KeyboardEvent, name: TapName | null) => {
    const step = event.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[
      event.key
    ];
    const at = name && photo.taps[name];
    if (at && by) onPlace(name, within({ x: at.x + by[0]!, y: at.y + by[1]! }), true);
    else if (!name && event.key === 'Enter') {
      const next = nextTap(photo);
      if (next) onPlace(next, { x: photo.width / 2, y: photo.height / 2 }, true);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div style={{ position: 'relative', lineHeight: 0 }}>
      <svg
        ref={box}
        data-testid="photo"
        tabIndex={0}
        role="group"
        aria-label={messages.picture}
        viewBox={`0 0 ${photo.width} ${photo.height}`}
        style={{ width: '100%', touchAction: 'none', userSelect: 'none', cursor: 'crosshair' }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={() => setHeld(null)}
        onKeyDown={(event) => keyed(event, null)}
      >
        <image href={picture} width={photo.width} height={photo.height} />
        {photo.sheets.map(({ image }, at) => (
          <path
            key={at}
            data-testid="sheet-found"
            d={pathOf(image)}
            fill="none"
            stroke={COLOURS.ball}
            strokeWidth={3 * scale}
          />
        ))}
        {measured &&
          (['trail', 'lead'] as const).map((foot) => (
            <path
              key={foot}
              data-testid={`over-${foot}`}
              d={soleSeen(measured, foot)}
              fill={COLOURS[foot]}
              fillOpacity={0.18}
              stroke={COLOURS[foot]}
              strokeWidth={2 * scale}
            />
          ))}
        {asked.map((name) => {
          const at = held?.name === name ? held.at : photo.taps[name];
          return (
            at && (
              <g
                key={name}
                role="button"
                tabIndex={0}
                data-testid={`mark-${name}`}
                aria-label={spoken(messages.names[name], speech)}
                onKeyDown={(event) => keyed(event, name)}
              >
                <Mark at={at} name={name} scale={scale} held={held?.name === name} />
              </g>
            )
          );
        })}
      </svg>
      {held && <Loupe photo={photo} picture={picture} held={held} left={held.at.x > photo.width / 2} />}
    </div>
  );
}
