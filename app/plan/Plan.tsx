import type { Hand } from '@pedastance/core/body';
import type { Setup } from '@pedastance/core/setup';
import { TURNS } from '@pedastance/core/turn';
import type { LengthUnit } from '@pedastance/core/units';
import { useEffect, useId, useRef } from 'react';
import {
  drawPlan,
  solePath,
  viewOf,
  type DrawingInput,
  type DrawingMemory,
  type Ghost,
  type Turning,
  type VerdictOf,
} from './drawing';
import { frameFor, projection, type Frame, type Projection } from './frame';
import { createPainter, type Painter } from './painter';
import { planWords } from './words';
import type { Viewpoint } from './frame';

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
  layout: () => Layout | null;
}

/** How the ground is laid out on the screen just now. */
export interface Layout {
  setup: Setup;
  place: Projection;
  /** Millimetres a pixel, and where the drawing's left and top edges are, mm. */
  mmPerPx: number;
  left: number;
  top: number;
}

export interface PlanProps {
  scene: Scene;
  hand: Hand;
  viewpoint: Viewpoint;
  length: LengthUnit;
  shoulderBreadth: number;
  /** Other feet, drawn dashed under these. */
  ghosts?: readonly Ghost[];
  verdictOf?: VerdictOf | undefined;
  /** What the student brings to a turn: draws the fan. */
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
function Label({ part, className, anchor, size, children }: LabelProps) {
  return (
    <g data-part={`${part}-at`}>
      <text className={className} data-part={part} textAnchor={anchor} fontSize={size}>
        {children}
      </text>
    </g>
  );
}

interface LabelProps {
  part: string;
  className: string;
  anchor?: 'middle';
  size: string;
  children?: string;
}

/** What is drawn beside a shoe and goes with its heel: where square is, how far it is turned, and the figure. */
function BesideShoe({ foot }: { foot: 'lead' | 'trail' }) {
  return (
    <g data-part={`${foot}-beside`}>
      <path className="arc" data-part={`${foot}-arc`} />
      <Label part={`${foot}-flare`} className="strong halo" anchor="middle" size="1.15em" />
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
        ? { setup, frame: shown, size, viewpoint }
        : null;
    };
    const layout = (): Layout | null => {
      const now = seen();
      return now && { setup: now.setup, place: projection(now.frame, hand, viewpoint), ...viewOf(now) };
    };
    const input = (): DrawingInput | null => {
      const now = seen();
      return (
        now && {
          ...now,
          hand,
          length,
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
      description.current.textContent = planWords(setup, length);
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
    const unmount = onMount?.({ element, layout });
    return () => {
      clearTimeout(words);
      resized.disconnect();
      unsubscribe();
      unmount?.();
    };
  }, [scene, hand, viewpoint, length, shoulderBreadth, verdictOf, onMount, ghosts, turning, path]);

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
        <g data-part="shoulders-at">
          <path className="plumb" data-part="shoulders" />
          <Label part="shoulders-figure" className="quiet" anchor="middle" size="0.85em" />
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
        <g data-part="fan" opacity="0">
          {TURNS.map((turn) => (
            <g key={turn}>
              <path className="fan" data-part={`fan-${turn}`} />
              <line className="fan-leg" data-part={`fan-${turn}-leg`} />
              <line className="fan-needed" data-part={`fan-${turn}-needed`} />
              <Label part={`fan-${turn}-words`} className="strong halo" anchor="middle" size="0.95em" />
            </g>
          ))}
        </g>
        {FEET.map((foot) => (
          <BesideShoe key={foot} foot={foot} />
        ))}
        <line className="heel-line" data-part="heel-line" />
        <line className="toe-line" data-part="toe-line" />
        <g data-part="width-at">
          <path className="measure" data-part="width" />
          <Label part="width-figure" className="strong" anchor="middle" size="1.15em" />
        </g>
        <path className="break" data-part="break" />
        <line className="target-line" data-part="target" />
        <path className="target-line" data-part="target-arrow" />
        <Label part="target-word" className="quiet" size="0.9em">
          target
        </Label>
        <line className="path" data-part="path" />
        <Label part="path-figure" className="strong halo" size="0.9em" />
        <line className="face" data-part="face" />
        <circle className="ball" data-part="ball" />
        <Label part="ball-figure" className="quiet halo" size="0.9em" />
      </svg>
      <p ref={description} id={`${id}-words`} className="sr-only" />
    </div>
  );
}
