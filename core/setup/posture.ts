import type { MeasurementWay, PostureFigure } from './figures';
import type { TellTale } from './tellTales';

/** Where the seat is: posture, apart from where the load is along the foot. */
export const SEATS = ['over the heels', 'behind the heels'] as const;
export type Seat = (typeof SEATS)[number];

/** Where the pressure goes in the swing, as schools teach it. */
export const PRESSURE_ROUTES = ['centred', 'loaded heel', 'long drive', 'forward-posted'] as const;
export type PressureRoute = (typeof PRESSURE_ROUTES)[number];

/** Where the trail elbow stays on the way back. */
export const TRAIL_ELBOWS = ['close to the side', 'away from the side'] as const;

/** How the trail arm hangs at address. */
export const TRAIL_ARMS = ['soft, below the lead arm', 'straight, above the lead arm'] as const;

/** Whether the club's sole rests or hovers before the swing starts. */
export const CLUB_RESTS = ['on the ground', 'hovered'] as const;

/** What is told of a posture by one of a few words, not by a figure. */
export const CHOICE_QUESTIONS = ['seat', 'pressureRoute', 'trailElbow', 'trailArm', 'clubRest'] as const;
export type ChoiceQuestion = (typeof CHOICE_QUESTIONS)[number];

/** The words for each. */
export const CHOICES: Record<ChoiceQuestion, readonly string[]> = {
  seat: SEATS,
  pressureRoute: PRESSURE_ROUTES,
  trailElbow: TRAIL_ELBOWS,
  trailArm: TRAIL_ARMS,
  clubRest: CLUB_RESTS,
};

/** A figure as it was observed, by which way, with one standard deviation. */
export interface Sighting {
  value: number;
  way: MeasurementWay;
  uncertainty: number;
}

/** Where the club comes through the ball from, as the coach sees it. */
export const SWING_PATHS = ['from the inside', 'along the line', 'across from outside'] as const;
export type SwingPath = (typeof SWING_PATHS)[number];

/** What was observed of a posture; absent means not observed. */
export interface Posture {
  figures: Partial<Record<PostureFigure, Sighting>>;
  choices: Partial<Record<ChoiceQuestion, string>>;
  swingPath?: SwingPath;
  /** What was seen in the swing, each once. */
  tellTales?: TellTale[];
}

export const NOT_LOOKED_AT: Posture = { figures: {}, choices: {} };

/** Something that may have been looked at, and what of it was. */
interface Looked {
  figures: Record<string, unknown>;
  choices: Record<string, unknown>;
  swingPath?: unknown;
  tellTales?: readonly unknown[] | undefined;
}

/**
 * Whether anything of a posture was looked at; nothing is no posture.
 * @param looked what was looked at
 * @returns true where there is one thing at least
 * @example anythingSeen({ figures: {}, choices: {} }) // false
 */
export const anythingSeen = ({ figures, choices, swingPath, tellTales = [] }: Looked): boolean =>
  [...Object.values(figures), ...Object.values(choices), swingPath, ...tellTales].some(
    (seen) => seen !== undefined,
  );
