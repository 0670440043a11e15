import { type FootName, type Point } from '@pedastance/core/setup';
import {
  currentSetup,
  dragBall,
  dragFoot,
  endDrag,
  flareFoot,
  lesson,
  placeLoad,
  setDial,
  setLoadDial,
  startDrag,
  undo,
} from '../../state/lesson';
import { underPointer, type PlanSurface, type Scene } from '../../plan/Plan';
import { flareToward, loadAlong, type Hold } from '../../plan/touch';
import { measuredOf } from '../../domain/measured';

/** The lesson in progress as a source of feet for the plan. */
export const lessonScene: Scene = {
  setup: () => lesson.getState().trying?.setup ?? currentSetup(lesson.getState()),
  frame: () => lesson.getState().frame,
  subscribe: (changed) =>
    lesson.subscribe((state, before) => {
      const same =
        state.draft === before.draft &&
        state.frame === before.frame &&
        state.standing === before.standing &&
        state.trying === before.trying;
      if (!same) changed();
    }),
};

interface Grasp {
  hold: Hold;
  pointer: number;
  /** Where the finger was last, on the ground. */
  last: Point;
  /** Between the finger's direction and the foot's own when it was taken by the toe. */
  turnedBy: number;
}

const noteDial = (hold: Hold): void => {
  if (hold.kind === 'toe') lesson.setState({ dial: hold.foot === 'lead' ? 'leadFlare' : 'trailFlare' });
  if (hold.kind === 'ball') lesson.setState({ dial: 'ballAlong' });
  if (hold.kind === 'shoe') lesson.setState({ dial: 'stanceWidth' });
  if (hold.kind === 'load')
    lesson.setState({ loadDial: hold.foot === 'lead' ? 'leadHeelToe' : 'trailHeelToe' });
};

const noteLoad = (foot: FootName, along: number): void =>
  placeLoad(foot === 'lead' ? 'leadHeelToe' : 'trailHeelToe', along);

/** Lets shoes, toes, ball and load be dragged with a finger, pen or mouse. */
export function followPointer(surface: PlanSurface, load: boolean): () => void {
  const { element } = surface;
  let grasp: Grasp | null = null;

  // Where the drawing is on the page; it does not move while something is held.
  let box = { left: 0, top: 0 };

  const groundAt = (event: PointerEvent) => {
    const layout = surface.layout();
    return layout && { setup: layout.setup, ...underPointer(layout, box, event, load) };
  };

  const down = (event: PointerEvent) => {
    if (grasp || event.button !== 0) return;
    box = element.getBoundingClientRect();
    const found = groundAt(event);
    if (!found) return;
    const { setup } = found;
    const hold = found.hold();
    if (!hold) return;
    element.setPointerCapture(event.pointerId);
    const turnedBy =
      hold.kind === 'toe' ? setup.address[hold.foot].flare - flareToward(setup, hold.foot, found.ground) : 0;
    grasp = { hold, pointer: event.pointerId, last: found.ground, turnedBy };
    noteDial(hold);
    startDrag();
    if (hold.kind === 'load') noteLoad(hold.foot, loadAlong(setup, hold.foot, found.ground));
  };

  const move = (event: PointerEvent) => {
    if (!grasp || event.pointerId !== grasp.pointer) return;
    const found = groundAt(event);
    if (!found) return;
    const { hold, last } = grasp;
    const { setup } = found;
    const along = found.ground.x - last.x;
    if (hold.kind === 'toe')
      flareFoot(hold.foot, flareToward(setup, hold.foot, found.ground) + grasp.turnedBy);
    if (hold.kind === 'shoe') dragFoot(hold.foot, along, found.ground.y - last.y);
    if (hold.kind === 'load') noteLoad(hold.foot, loadAlong(setup, hold.foot, found.ground));
    if (hold.kind === 'ball') dragBall(along);
    // The ball's drag moves the frame under the finger; where the finger is has to be read again.
    grasp.last = hold.kind === 'ball' ? (groundAt(event)?.ground ?? last) : found.ground;
  };

  const up = (event: PointerEvent) => {
    if (!grasp || event.pointerId !== grasp.pointer) return;
    grasp = null;
    endDrag();
  };

  const ends = new AbortController();
  const { signal } = ends;
  element.addEventListener('pointerdown', down, { signal });
  element.addEventListener('pointermove', move, { signal });
  element.addEventListener('pointerup', up, { signal });
  element.addEventListener('pointercancel', up, { signal });
  // Events stop here: the root listeners of React would search the whole tree for handlers at every move.
  for (const kind of UNHEARD) element.addEventListener(kind, (event) => event.stopPropagation(), { signal });
  return () => {
    if (grasp) endDrag();
    ends.abort();
  };
}

const UNHEARD = [
  'pointermove',
  'touchstart',
  'touchmove',
  'touchend',
  'touchcancel',
  'mousedown',
  'mousemove',
  'mouseup',
];

const STEP_MM = 5;
const FINE_MM = 1;
const ARROWS: Record<string, { x: number; y: number }> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** What the arrow keys move; chosen with l, t and b. */
let underKeys: FootName | 'ball' = 'trail';

function moveByKeys(surface: PlanSurface, direction: { x: number; y: number }, fine: boolean): void {
  const layout = surface.layout();
  if (!layout) return;
  const { signs } = layout.place;
  const size = fine ? FINE_MM : STEP_MM;
  const along = direction.x * signs.x * size;
  const out = direction.y * signs.y * size;
  const { ballAlong, ballOut } = measuredOf(layout.setup).measures;
  if (underKeys !== 'ball') {
    startDrag();
    dragFoot(underKeys, along, out);
    endDrag();
  } else if (along !== 0) setDial('ballAlong', ballAlong - along);
  else setDial('ballOut', ballOut + out);
}

function turnByKeys(by: number): void {
  const setup = currentSetup(lesson.getState());
  if (!setup || underKeys === 'ball') return;
  setDial(underKeys === 'lead' ? 'leadFlare' : 'trailFlare', setup.address[underKeys].flare + by);
}

const CHOICES: Record<string, FootName | 'ball'> = { l: 'lead', t: 'trail', b: 'ball' };

/** Arrow keys move the chosen foot or ball, brackets turn it, u takes a move back. */
export function followKeys(surface: PlanSurface, load: boolean): () => void {
  const pressed = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const arrow = ARROWS[event.key];
    if (load) {
      const { loadDial } = lesson.getState();
      const setup = currentSetup(lesson.getState());
      if (!arrow || !setup) return;
      setLoadDial(loadDial, setup.balance[loadDial] + (arrow.x - arrow.y) * (event.shiftKey ? 1 : 5));
    } else if (arrow) moveByKeys(surface, arrow, event.shiftKey);
    else if (event.key === '[') turnByKeys(-1);
    else if (event.key === ']') turnByKeys(1);
    else if (event.key === 'u') undo();
    else if (CHOICES[event.key]) underKeys = CHOICES[event.key]!;
    else return;
    event.preventDefault();
  };
  surface.element.addEventListener('keydown', pressed);
  return () => surface.element.removeEventListener('keydown', pressed);
}

const following = (load: boolean) => (surface: PlanSurface) => {
  const ends = [followPointer(surface, load), followKeys(surface, load)];
  return () => ends.forEach((end) => end());
};

/** Hands the plan's feet and ball, or its load, to the coach. Constant, so that the plan mounts once. */
export const holdFeet = following(false);
export const holdLoad = following(true);
