import type { PostureFigure } from './figures';

/** Where the seat is: posture, apart from where the load is along the foot. */
export const SEATS = ['over the heels', 'behind the heels'] as const;
export type Seat = (typeof SEATS)[number];

/** Where the pressure goes in the swing, as schools teach it. */
export const PRESSURE_ROUTES = ['centred', 'loaded heel', 'long drive', 'forward-posted'] as const;
export type PressureRoute = (typeof PRESSURE_ROUTES)[number];

/** What is told of a posture by one of a few words, not by a figure. */
export const CHOICE_QUESTIONS = ['seat', 'pressureRoute'] as const;
export type ChoiceQuestion = (typeof CHOICE_QUESTIONS)[number];

/** The words for each. */
export const CHOICES: Record<ChoiceQuestion, readonly string[]> = {
  seat: SEATS,
  pressureRoute: PRESSURE_ROUTES,
};

/** How a figure was obtained: judged by eye, or measured. */
export type SeenBy = 'eye' | 'measured';

export interface Sighting {
  value: number;
  by: SeenBy;
}

/** Where the club comes through the ball from, as the coach sees it. */
export const SWING_PATHS = ['from the inside', 'along the line', 'across from outside'] as const;
export type SwingPath = (typeof SWING_PATHS)[number];

/** What was observed of a posture; absent means not observed. */
export interface Posture {
  figures: Partial<Record<PostureFigure, Sighting>>;
  choices: Partial<Record<ChoiceQuestion, string>>;
  swingPath?: SwingPath;
}

export const NOT_LOOKED_AT: Posture = { figures: {}, choices: {} };

/** Something that may have been looked at, and what of it was. */
interface Looked {
  figures: Record<string, unknown>;
  choices: Record<string, unknown>;
  swingPath?: unknown;
}

/** Whether anything of a posture was looked at; nothing is no posture. */
export const anythingSeen = ({ figures, choices, swingPath }: Looked): boolean =>
  [...Object.values(figures), ...Object.values(choices), swingPath].some((seen) => seen !== undefined);

/** One standard deviation of each figure by eye and measured (starting values), mm or degrees. */
export const POSTURE_UNCERTAINTY: Record<PostureFigure, Record<SeenBy, number>> = {
  trailKneeInside: { eye: 15, measured: 8 },
  trailKneeFlex: { eye: 5, measured: 3 },
  hipBump: { eye: 12, measured: 8 },
  hipGap: { eye: 15, measured: 8 },
  hipLine: { eye: 4, measured: 2 },
  shoulderLine: { eye: 4, measured: 2 },
  shoulderTilt: { eye: 4, measured: 2 },
  clubFace: { eye: 2, measured: 1 },
  hipTurn: { eye: 8, measured: 4 },
  shoulderTurn: { eye: 8, measured: 4 },
};
