import type { Hand } from '@pedastance/core/body';
import type { FootWords } from '@pedastance/core/phrases';
import type { Setup } from '@pedastance/core/setup';
import { TURNS } from '@pedastance/core/turn';
import type { LengthUnit } from '@pedastance/core/units';
import { useCallback, useEffect, useId, useRef } from 'react';
import { Explain } from './Explain';
import {
  drawPlan,
  solePath,
  type DrawingInput,
  type DrawingMemory,
  type Ghost,
  type VerdictOf,
} from './drawing';
import { frameFor, projection, type Frame, type Projection } from './frame';
import { HALF_NAMES, type Turning } from './hips';
import { LABELS, type LabelPart } from './labels';
import { layoutOf, type Layout } from './layout';
import { createPainter, type Painter } from './painter';
import { holdAt } from './touch';
import { planWords } from './words';
import type { Viewpoint } from './frame';
import { messages } from './Plan.messages';

/** Where a plan gets its feet from: a lesson in progress, or something that stands still. */
export interface Scene {
  setup(): Setup | null;
  frame(): Frame | null;
  subscribe(changed: () => void): () => void;
}

export const stillScene = (setup: Setup, shown: readonly Ghost[] = []): Scene => ({
  setup: () => setup,
  frame: () => widestFrame([setup, ...shown.map((ghost) => ghost.setup)]),
  subscribe: () => () => undefined,
});

/** A frame in which several setups over one another can be seen whole. */
function widestFrame(setups: readonly Setup[]): Frame {
  const frames = setups.map((setup) => frameFor(setup.address));
  const first = frames[0]!;
  const aside = Math.max(...frames.map((frame) => Math.abs(frame.centre.x - first.centre.x)));
  const back = Math.max(...frames.map((frame) => Math.abs(frame.centre.y - first.centre.y)));
  return {
    centre: first.centre,
    width: Math.max(...frames.map((frame) => frame.width)) + 2 * aside,
    depth: Math.max(...frames.map((frame) => frame.depth)) + back,
  };
}

/** Hands over the svg element and how the ground is laid out on it now, to whoever moves things on it. */
export interface PlanSurface {
  element: SVGSVGElement;
  layout: () => LaidOut | null;
}

/** How the ground is laid out on the screen just now. */
export interface LaidOut extends Layout {
  setup: Setup;
  place: Projection;
}

/** Fingers are broad: what lies within this of a touch is taken hold of. */
const REACH_PX = 30;

/**
 * What is under a pointer on a plan, and where that is.
 * @param box where the drawing is on the page, px
 * @param load whether the soles alone can be taken hold of
 */
export function underPointer(
  layout: LaidOut,
  box: { left: number; top: number },
  event: PointerEvent,
  load: boolean,
) {
  const at = {
    x: layout.left + (event.clientX - box.left) * layout.mmPerPx,
    y: layout.top + (event.clientY - box.top) * layout.mmPerPx,
  };
  return {
    ground: layout.place.toGround(at),
    hold: () => holdAt(layout.setup, layout, at, REACH_PX * layout.mmPerPx, load),
  };
}

function held(surface: PlanSurface | null, event: PointerEvent, load: boolean): boolean {
  const layout = surface?.layout();
  return Boolean(
    surface && layout && underPointer(layout, surface.element.getBoundingClientRect(), event, load).hold(),
  );
}

export interface PlanProps {
  scene: Scene;
  hand: Hand;
  viewpoint: Viewpoint;
  length: LengthUnit;
  footWords: FootWords;
  shoulderBreadth: number;
  /** Other feet, drawn dashed under these. */
  ghosts?: readonly Ghost[];
  verdictOf?: VerdictOf | undefined;
  /** What the student brings to a turn: draws the hips and how far they go. */
  turning?: Turning | null;
  /** What this student's setup does to the path. */
  path?: DrawingInput['path'];
  /** Where along both shoes the shoulders' plumb line should meet them, as a share from the heel. */
  plumbPlace?: number | null;
  /** Shows what can be taken hold of: the feet and the ball, the load, or nothing. */
  holds: 'feet' | 'load' | 'none';
  label: string;
  onMount?: (surface: PlanSurface) => () => void;
}

const FEET = ['trail', 'lead'] as const;

const ACROSS = 100;
const FINE = 50;

/** The grid has a picture of its own under the plan: it stands still while the shoes move over it. */
function Grid({ id }: { id: string }) {
  return (
    <svg className="plan-grid" data-part="grid-root" aria-hidden="true">
      <defs>
        <pattern id={`${id}-grid`} width={ACROSS} height={ACROSS} patternUnits="userSpaceOnUse">
          <path className="grid-fine" d={`M${FINE} 0V${ACROSS}M0 ${FINE}H${ACROSS}`} />
          <path className="grid-bold" d={`M0 0V${ACROSS}M0 0H${ACROSS}`} />
        </pattern>
      </defs>
      <rect data-part="grid" fill={`url(#${id}-grid)`} />
    </svg>
  );
}

const GRIP = 'M0 -16V16M-16 0H16M-5 -11L0 -16L5 -11M-5 11L0 16L5 11M-11 -5L-16 0L-11 5M11 -5L16 0L11 5';

interface ShoeProps extends Required<Pick<PlanProps, 'holds' | 'plumbPlace'>> {
  foot: 'lead' | 'trail';
  setup: Setup;
}

function Shoe({ foot, setup, holds, plumbPlace }: ShoeProps) {
  const { length, breadth } = setup.address.shoe;
  const across = plumbPlace === null ? null : `M${-breadth / 2} ${plumbPlace * length}H${breadth / 2}`;
  return (
    <g data-part={foot}>
      <path className="sole" d={solePath(setup.address.shoe)} />
      <path className="axis" d={`M0 0V${length}`} />
      {across && <path className="plumb-place" data-part={`${foot}-plumb-place`} d={across} />}
      <circle className="load" data-part={`${foot}-load`} cx="0" opacity={holds === 'feet' ? 0.35 : 0.85} />
      {holds === 'feet' && (
        <>
          <path className="grip" data-part={`${foot}-grip`} d={GRIP} />
          <circle className="handle" data-part={`${foot}-handle`} cx="0" />
        </>
      )}
    </g>
  );
}

function Ghosts({ ghosts }: { ghosts: readonly Ghost[] }) {
  return (
    <g data-part="ghost">
      {ghosts.map(({ setup, feet, mark }, at) =>
        feet.map((foot) => (
          <g key={`${foot}-${at}`}>
            <path
              className={mark === undefined ? 'ghost' : 'ghost offered'}
              data-part={`ghost-${foot}-${at}`}
              d={solePath(setup.address.shoe)}
            />
            {mark !== undefined && (
              <text
                className="mark halo"
                data-part={`ghost-${foot}-${at}-mark`}
                textAnchor="middle"
                fontSize="1em"
              >
                {mark}
              </text>
            )}
          </g>
        )),
      )}
    </g>
  );
}

/** Words in a group of their own, which is what is moved. */
function Label({ part, children }: { part: LabelPart; children?: string }) {
  const { className, anchor, letters } = LABELS[part];
  return (
    <g data-part={`${part}-at`}>
      <text className={className} data-part={part} textAnchor={anchor} fontSize={`${letters}em`}>
        {children}
      </text>
    </g>
  );
}

/** What is drawn beside a shoe and goes with its heel: where square is, how far it is turned, and the figure. */
function BesideShoe({ foot }: { foot: 'lead' | 'trail' }) {
  return (
    <g data-part={`${foot}-beside`}>
      <path className="arc" data-part={`${foot}-arc`} />
      <Label part={`${foot}-flare`} />
    </g>
  );
}

/** The turn at the hips: the legs under the hips, a wing for each half, and the words beside. */
function Hips({ id }: { id: string }) {
  return (
    <g data-part="hips" opacity="0">
      {FEET.map((foot) => (
        <line key={foot} className="leg" data-part={`${foot}-leg`} strokeLinecap="round" />
      ))}
      <g data-part="hips-at">
        {TURNS.map((turn) => (
          <g key={turn}>
            <path className="wing" data-part={`wing-${turn}`} />
            <path className="missing" data-part={`missing-${turn}`} fill={`url(#${id}-hatch)`} />
            <line className="wing-end" data-part={`end-${turn}`} />
            <line className="pin" data-part={`pin-${turn}`} />
            <circle className="pin-head" data-part={`pin-${turn}-head`} />
          </g>
        ))}
        <ellipse className="hips" data-part="hips-oval" />
        <Label part="hips-word">{messages.hips}</Label>
      </g>
      {TURNS.map((turn) => (
        <g key={turn}>
          <Label part={`${turn}-name`}>{HALF_NAMES[turn]}</Label>
          <Label part={`${turn}-figure`} />
          <Label part={`${turn}-enough`} />
        </g>
      ))}
      <Label part="stops-0" />
      <Label part="stops-1" />
      <Label part="stops-2" />
    </g>
  );
}

const NO_GHOSTS: readonly Ghost[] = [];

/**
 * The two shoes from above. React renders it once; what the feet decide is painted straight onto
 * the elements, so that dragging a shoe costs a few attributes and no rendering.
 */
export function Plan(props: PlanProps) {
  const {
    scene,
    hand,
    viewpoint,
    length,
    footWords,
    shoulderBreadth,
    verdictOf,
    holds,
    label,
    onMount,
    ghosts = NO_GHOSTS,
    turning = null,
    path = null,
    plumbPlace = null,
  } = props;
  const root = useRef<SVGSVGElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  const description = useRef<HTMLParagraphElement>(null);
  const surface = useRef<PlanSurface | null>(null);
  const free = useCallback(
    (event: PointerEvent) => holds === 'none' || !held(surface.current, event, holds === 'load'),
    [holds],
  );
  const id = useId();
  const first = scene.setup();
  const frame = scene.frame();

  useEffect(() => {
    const element = root.current;
    if (!element || !sheet.current) return;
    const painter: Painter = createPainter(sheet.current);
    const memory: DrawingMemory = {};
    let size = { width: element.clientWidth, height: element.clientHeight };
    let words: ReturnType<typeof setTimeout> | undefined;
    const seen = () => {
      const setup = scene.setup();
      const shown = scene.frame();
      return setup && shown && size.width > 0 && size.height > 0
        ? { setup, frame: shown, size, viewpoint, hand, hips: turning !== null }
        : null;
    };
    const layout = (): LaidOut | null => {
      const now = seen();
      return now && { setup: now.setup, place: projection(now.frame, hand, viewpoint), ...layoutOf(now) };
    };
    const input = (): DrawingInput | null => {
      const now = seen();
      return (
        now && {
          ...now,
          length,
          footWords,
          shoulderBreadth,
          ghosts,
          turning,
          path,
          verdictOf: verdictOf ?? null,
        }
      );
    };
    let described: Setup | null = null;
    const describe = () => {
      words = undefined;
      const setup = scene.setup();
      if (setup === described || !setup || !description.current) return;
      described = setup;
      description.current.textContent = planWords(setup, { length, feet: footWords, hand }, turning);
    };
    const paint = () => {
      const drawn = input();
      if (!drawn) return;
      painter.paint(drawPlan(drawn, memory));
      // Told at rest: at most a few times a second while a shoe is dragged.
      words ??= setTimeout(describe, 400);
    };
    const resized = new ResizeObserver(() => {
      size = { width: element.clientWidth, height: element.clientHeight };
      paint();
    });
    resized.observe(element);
    paint();
    const unsubscribe = scene.subscribe(paint);
    surface.current = { element, layout };
    const unmount = onMount?.(surface.current);
    return () => {
      clearTimeout(words);
      resized.disconnect();
      unsubscribe();
      unmount?.();
    };
  }, [scene, hand, viewpoint, length, footWords, shoulderBreadth, verdictOf, onMount, ghosts, turning, path]);

  if (!first || !frame) return null;
  return (
    <div ref={sheet} className="plan-sheet">
      <Grid id={id} />
      <svg
        ref={root}
        data-part="root"
        className={holds === 'none' ? 'plan still' : 'plan'}
        role={holds === 'none' ? 'img' : 'application'}
        aria-label={label}
        aria-describedby={`${id}-words`}
        tabIndex={holds === 'none' ? undefined : 0}
        data-testid="plan"
      >
        <defs>
          <pattern
            id={`${id}-hatch`}
            data-part="hatch"
            className="hatch"
            width="5"
            height="5"
            patternUnits="userSpaceOnUse"
          >
            <path d="M0 0V5" />
          </pattern>
        </defs>
        <g data-part="shoulders-at">
          <path className="plumb" data-part="shoulders" />
          <Label part="shoulders-figure" />
        </g>
        {FEET.map((foot) => (
          <g key={foot} data-part={`${foot}-under`}>
            <line className="square" data-part={`${foot}-square`} />
          </g>
        ))}
        <line className="square" data-part="ball-drop" />
        <Shoe foot="trail" setup={first} holds={holds} plumbPlace={plumbPlace} />
        <Shoe foot="lead" setup={first} holds={holds} plumbPlace={plumbPlace} />
        {ghosts.length > 0 && <Ghosts ghosts={ghosts} />}
        {FEET.map((foot) => (
          <BesideShoe key={foot} foot={foot} />
        ))}
        <line className="heel-line" data-part="heel-line" />
        <line className="toe-line" data-part="toe-line" />
        <Hips id={id} />
        <g data-part="width-at">
          <path className="measure" data-part="width" />
          <Label part="width-figure" />
        </g>
        <path className="break" data-part="break" />
        <line className="target-line" data-part="target" />
        <path className="target-line" data-part="target-arrow" />
        <Label part="target-word">{messages.target}</Label>
        <line className="path" data-part="path" />
        <Label part="path-figure" />
        <line className="face" data-part="face" />
        <circle className="ball" data-part="ball" />
        <Label part="ball-figure" />
      </svg>
      <Explain
        sheet={sheet}
        free={free}
        turn={turning !== null}
        path={path !== null}
        ghosts={ghosts.length > 0}
      />
      <p ref={description} id={`${id}-words`} className="sr-only" />
    </div>
  );
}
