import type { FootName } from '../setup';
import type { Hand } from './build';
import type { Angle } from '../units';

/** A hip's turn in the foot-in-the-air test: goniometer repeatability (from memory), degrees. */
export const LEG_TEST_UNCERTAINTY = 5;
/** A seated trunk turn, like the leg test (starting value), degrees. */
const TRUNK_TEST_UNCERTAINTY = 5;

/** What a screen of legs and trunk takes, in the order it is taken. */
export const SCREEN_ITEMS = [
  'toeOutLead',
  'toeOutTrail',
  'turnInLead',
  'turnOutLead',
  'turnInTrail',
  'turnOutTrail',
  'trunkBack',
  'trunkThrough',
  'hipsBack',
  'shouldersBack',
  'hipsThrough',
  'shouldersThrough',
  'levelTurnBack',
] as const;
export type ScreenItem = (typeof SCREEN_ITEMS)[number];

interface ScreenDefinition {
  part: 'toe-out' | 'legs' | 'trunk' | 'turn';
  /** Human ranges, degrees (starting values). */
  range: { least: number; most: number };
  /** One standard deviation of one try, degrees. */
  uncertainty: number;
}

const define = (
  part: ScreenDefinition['part'],
  least: number,
  most: number,
  uncertainty: number,
): ScreenDefinition => ({ part, range: { least, most }, uncertainty });

/** A turn read off the belt, the shoulders or a club from above (starting value). */
const TURN_UNCERTAINTY = 4;
/** Feet looked at after marching on the spot (starting value). */
const TOE_OUT_UNCERTAINTY = 3;

export const SCREEN_DEFINITIONS: Record<ScreenItem, ScreenDefinition> = {
  toeOutLead: define('toe-out', -10, 50, TOE_OUT_UNCERTAINTY),
  toeOutTrail: define('toe-out', -10, 50, TOE_OUT_UNCERTAINTY),
  turnInLead: define('legs', 0, 70, LEG_TEST_UNCERTAINTY),
  turnOutLead: define('legs', 0, 80, LEG_TEST_UNCERTAINTY),
  turnInTrail: define('legs', 0, 70, LEG_TEST_UNCERTAINTY),
  turnOutTrail: define('legs', 0, 80, LEG_TEST_UNCERTAINTY),
  trunkBack: define('trunk', 0, 90, TRUNK_TEST_UNCERTAINTY),
  trunkThrough: define('trunk', 0, 90, TRUNK_TEST_UNCERTAINTY),
  hipsBack: define('turn', 0, 100, TURN_UNCERTAINTY),
  shouldersBack: define('turn', 0, 150, TURN_UNCERTAINTY),
  hipsThrough: define('turn', 0, 110, TURN_UNCERTAINTY),
  shouldersThrough: define('turn', 0, 160, TURN_UNCERTAINTY),
  levelTurnBack: define('turn', 0, 150, TURN_UNCERTAINTY),
};

/** How an angle was obtained. */
export const ANGLE_WAYS = ['gauge', 'by eye', 'typed', 'apparent width'] as const;
export type AngleWay = (typeof ANGLE_WAYS)[number];

/** What is read off by eye is this unsure at least, whatever it is (starting value), degrees. */
export const BY_EYE_UNCERTAINTY = 8;

export const MOST_TRIES = 2;

export interface ScreenedItem {
  item: ScreenItem;
  /** One or two tries, degrees; none where pain ended it before the first. */
  tries: number[];
  by: AngleWay;
  /** One standard deviation that the way of taking it gave, degrees; null where it gave none. */
  uncertainty: number | null;
  /** Pain ends a test: when it starts, in the coach's words; empty where there was none. */
  pain: string;
  /** When it was taken, where that was before this screen; null where it was taken with it. */
  takenAt: string | null;
}

/** The feet a turn was taken on, degrees; the toe line closed positive. */
export interface StoodOn {
  leadFlare: number;
  trailFlare: number;
  toeLine: number;
}

/** A turn of the hips that was measured before, as it still tells of these legs. */
export interface EarlierTurn extends StoodOn {
  takenAt: string;
  back: Angle | null;
  through: Angle | null;
  stoppedBack: FootName | null;
  stoppedThrough: FootName | null;
}

/** So many earlier turns are kept, the newest. */
export const MOST_EARLIER_TURNS = 40;

/** Legs and trunk as they are known on one day, what was taken earlier among it. Only added to; the newest counts. */
export interface Screen {
  /**
   * The hand the legs were named for: it says which side of the body each test belongs to. Null in a screen from
   * before it was kept: the student's own.
   */
  hand: Hand | null;
  items: ScreenedItem[];
  /** The feet the turn itself was taken on; null where it was not taken. */
  turnedOn: StoodOn | null;
  /** Which leg was felt to stop the hips, each way; null where nobody could say. */
  stoppedBack: FootName | null;
  stoppedThrough: FootName | null;
  /** Oldest first. */
  earlierTurns: EarlierTurn[];
  soreKnee: Record<FootName, boolean>;
}

/** Nothing was tested and nothing measured: a usual leg stands in. */
export const EMPTY_SCREEN: Screen = {
  hand: null,
  items: [],
  turnedOn: null,
  stoppedBack: null,
  stoppedThrough: null,
  earlierTurns: [],
  soreKnee: { lead: false, trail: false },
};

/** The tests that belong to a side of the body, with the same one on the other side. */
const OTHER_SIDE: Partial<Record<ScreenItem, ScreenItem>> = {
  toeOutLead: 'toeOutTrail',
  toeOutTrail: 'toeOutLead',
  turnInLead: 'turnInTrail',
  turnInTrail: 'turnInLead',
  turnOutLead: 'turnOutTrail',
  turnOutTrail: 'turnOutLead',
  trunkBack: 'trunkThrough',
  trunkThrough: 'trunkBack',
};

const inOrder = (items: readonly ScreenedItem[]): ScreenedItem[] =>
  [...items].sort((a, b) => SCREEN_ITEMS.indexOf(a.item) - SCREEN_ITEMS.indexOf(b.item));

/**
 * A screen told for a hand. Legs and trunk belong to the body: where a student's hand was put right since, what
 * was taken of the lead leg is of the trail leg. A turn in posture is of the swing and stays as it is.
 * @param screen the screen
 * @param hand the student's
 * @returns the same screen, its sides swapped where it was taken for the other hand
 */
export function screenFor<Taken extends Screen>(screen: Taken, hand: Hand): Taken {
  if (screen.hand === null || screen.hand === hand) return { ...screen, hand };
  const { lead, trail } = screen.soreKnee;
  return {
    ...screen,
    hand,
    items: inOrder(screen.items.map((each) => ({ ...each, item: OTHER_SIDE[each.item] ?? each.item }))),
    soreKnee: { lead: trail, trail: lead },
  };
}

/** A seated trunk turn where it was not measured (starting value). */
export const ASSUMED_TRUNK: Angle = { value: 45, uncertainty: 8 };

/**
 * How far the hips turned back in posture: as it was measured, else as the level-turn check says, which is the
 * shoulders' turn while they stay level, less what the trunk turned.
 * @param screen the screen
 * @returns degrees and one standard deviation; null where neither was taken
 */
export function hipsBackOf(screen: Screen): Angle | null {
  const measured = angleOf(screen, 'hipsBack');
  const level = angleOf(screen, 'levelTurnBack');
  if (measured || !level) return measured;
  const trunk = angleOf(screen, 'trunkBack') ?? ASSUMED_TRUNK;
  return {
    value: Math.max(0, level.value - trunk.value),
    uncertainty: Math.hypot(level.uncertainty, trunk.uncertainty),
  };
}

/** The turn a screen itself took, as the next one keeps it; null where it took none. */
function turnOf(screen: Screen, takenAt: string): EarlierTurn | null {
  const { turnedOn, stoppedBack, stoppedThrough } = screen;
  const back = hipsBackOf(screen);
  const through = angleOf(screen, 'hipsThrough');
  return turnedOn && (back || through)
    ? { takenAt, ...turnedOn, back, through, stoppedBack, stoppedThrough }
    : null;
}

/**
 * A screen with what it left out: each test as it was last taken, with when that was, and the turns that were
 * measured before. A turn is not a test of the legs: it stands by itself, with the feet it was taken on.
 * @param today what was taken
 * @param last the screen before it, with when it was made; null where there is none, or its legs no longer hold
 * @returns the whole of what is known
 */
export function carriedOver(today: Screen, last: (Screen & { madeAt: string }) | null): Screen {
  if (!last) return today;
  const before = today.hand ? screenFor(last, today.hand) : last;
  const taken = new Set(today.items.map(({ item }) => item));
  const carried = before.items
    .filter(({ item }) => !taken.has(item) && SCREEN_DEFINITIONS[item].part !== 'turn')
    .map((item): ScreenedItem => ({ ...item, takenAt: item.takenAt ?? before.madeAt }));
  const turn = turnOf(before, before.madeAt);
  return {
    ...today,
    items: inOrder([...today.items, ...carried]),
    earlierTurns: [...before.earlierTurns, ...(turn ? [turn] : [])].slice(-MOST_EARLIER_TURNS),
  };
}

/**
 * A screen with turns that were measured by themselves: each test as it was last taken, and the turns beside those there are.
 * @param last the screen before it, with when it was made; null where there is none, or its legs no longer hold
 * @param turns measured on known feet, oldest first
 * @param hand the student's
 * @returns the whole of what is known; null where every one of the turns is known already
 */
export function withTurns(
  last: (Screen & { madeAt: string }) | null,
  turns: readonly EarlierTurn[],
  hand: Hand,
): Screen | null {
  const { soreKnee } = last ? screenFor(last, hand) : EMPTY_SCREEN;
  const whole = carriedOver({ ...EMPTY_SCREEN, hand, soreKnee }, last);
  const known = new Set(whole.earlierTurns.map(({ takenAt }) => takenAt));
  const told = turns.filter(({ takenAt }) => !known.has(takenAt));
  if (told.length === 0) return null;
  return { ...whole, earlierTurns: [...whole.earlierTurns, ...told].slice(-MOST_EARLIER_TURNS) };
}

/**
 * The mean of the tries, at least as unsure as one try is by the way it was taken, and as the tries differ.
 * @param screen the screen
 * @param item which item
 * @returns degrees and one standard deviation; null where it was not taken or it hurt
 */
export function angleOf(screen: Screen, item: ScreenItem): Angle | null {
  const found = screen.items.find((each) => each.item === item);
  // What hurt is not built upon, whatever was read before it hurt.
  if (!found || found.pain !== '' || found.tries.length === 0) return null;
  const value = found.tries.reduce((sum, each) => sum + each, 0) / found.tries.length;
  const uncertainty = Math.max(
    SCREEN_DEFINITIONS[item].uncertainty,
    found.by === 'by eye' ? BY_EYE_UNCERTAINTY : 0,
    found.uncertainty ?? 0,
    spreadOf(found.tries),
  );
  return { value, uncertainty };
}

/**
 * Half of what two tries differ by.
 * @param tries one or two, degrees
 * @returns degrees; 0 for a single try
 * @example spreadOf([10, 14]) // 2
 */
export const spreadOf = (tries: readonly number[]): number =>
  tries.length < 2 ? 0 : (Math.max(...tries) - Math.min(...tries)) / 2;

/**
 * How far each foot points out on its own; null where either was not looked at.
 * @param screen the screen
 * @returns degrees out, lead and trail
 */
export function naturalToeOut(screen: Screen): Record<FootName, number> | null {
  const lead = angleOf(screen, 'toeOutLead');
  const trail = angleOf(screen, 'toeOutTrail');
  return lead && trail && { lead: lead.value, trail: trail.value };
}

/**
 * Turn from how wide the hips look face-on: turned by so much they look as narrow as its cosine.
 * Near square a small error of width is a large one of turn, and the answer says so.
 * @param apparent how wide the hips look now, any unit
 * @param square how wide they look when square, same unit
 * @param widthUncertainty of either width, same unit
 * @returns degrees and one standard deviation
 * @example Math.round(turnFromWidth(150, 300, 3).value) // 60
 */
export function turnFromWidth(apparent: number, square: number, widthUncertainty: number): Angle {
  const ratio = Math.min(1, Math.max(0, apparent / square));
  const value = (Math.acos(ratio) * 180) / Math.PI;
  const relative = (widthUncertainty / square) * Math.hypot(1, ratio);
  const sine = Math.max(Math.sqrt(1 - ratio ** 2), Math.sqrt(2 * relative));
  return { value, uncertainty: ((relative / sine) * 180) / Math.PI };
}
