import type { ChoiceQuestion } from '../method';

/** What is looked at above the feet, from the ground up, and the turn at the top. */
export const POSTURE_FIGURES = [
  'trailKneeInside',
  'trailKneeFlex',
  'hipBump',
  'hipGap',
  'hipLine',
  'shoulderLine',
  'shoulderTilt',
  'clubFace',
  'hipTurn',
  'shoulderTurn',
] as const;
export type PostureFigure = (typeof POSTURE_FIGURES)[number];

/** How a figure was come by: judged by eye, or measured. */
export type SeenBy = 'eye' | 'measured';

export interface Sighting {
  value: number;
  by: SeenBy;
}

/** Where the club comes through the ball from, as the coach sees it. */
export const SWING_PATHS = ['from the inside', 'along the line', 'across from outside'] as const;
export type SwingPath = (typeof SWING_PATHS)[number];

/** What was looked at of a posture; what is not there was not looked at. */
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

interface EyeChoice {
  words: string;
  value: number;
}

const line = (small: number, large: number): EyeChoice[] => [
  { words: 'Open', value: -large },
  { words: 'A touch open', value: -small },
  { words: 'Square', value: 0 },
  { words: 'A touch closed', value: small },
  { words: 'Closed', value: large },
];

/** What can be said at a glance, with the figure that stands for it (starting values). */
export const BY_EYE: Record<PostureFigure, readonly EyeChoice[]> = {
  trailKneeInside: [
    { words: 'Outside the foot', value: -30 },
    { words: 'Over its inside edge', value: 0 },
    { words: 'Inside', value: 20 },
    { words: 'Pinched in', value: 60 },
  ],
  trailKneeFlex: [
    { words: 'Straighter than the lead', value: -6 },
    { words: 'Like the lead', value: 0 },
    { words: 'A little more', value: 5 },
    { words: 'Much more', value: 15 },
  ],
  hipBump: [
    { words: 'Away from the target', value: -20 },
    { words: 'Central', value: 0 },
    { words: 'Set a little forward', value: 25 },
    { words: 'Pushed', value: 55 },
  ],
  hipGap: [
    { words: 'Over the outside of the foot', value: 0 },
    { words: 'A thumb inside', value: 25 },
    { words: 'A hand inside', value: 90 },
    { words: 'Further', value: 150 },
  ],
  hipLine: line(6, 15),
  shoulderLine: line(6, 15),
  shoulderTilt: [
    { words: 'Trail side higher', value: -5 },
    { words: 'Level', value: 0 },
    { words: 'A little lower', value: 8 },
    { words: 'Well lower', value: 18 },
    { words: 'Hanging back', value: 30 },
  ],
  clubFace: line(3, 8),
  hipTurn: [
    { words: 'Hardly', value: 20 },
    { words: 'Some', value: 35 },
    { words: 'About half', value: 45 },
    { words: 'A lot', value: 60 },
    { words: 'Too far', value: 78 },
  ],
  shoulderTurn: [
    { words: 'Short', value: 60 },
    { words: 'Not quite', value: 78 },
    { words: 'Full', value: 90 },
    { words: 'More than full', value: 103 },
    { words: 'Club lost at the top', value: 122 },
  ],
};
