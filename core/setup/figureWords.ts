import { MM_PER_CM, MM_PER_INCH, saidLength, type LengthUnit } from '../units';
import type { FigureName, PostureFigure } from './figures';
import { lineWords } from './lines';

/** A change with what its sentence needs of the rest. */
export interface ToldChange {
  /** From what it was, mm, degrees or percent; null where it was not measured before. */
  by: number | null;
  to: number;
  length: LengthUnit;
  /** mm */
  shoeLength: number;
  /** Whether the toes keep their setback: a flare is then made with the toe on its line. */
  toesStay: boolean;
}

/** A word for a figure judged at a glance, and the figure that stands for it. */
export interface EyeChoice {
  words: string;
  value: number;
}

interface FigureWords {
  /** What it is called beside its figure. */
  name: string;
  /** How a smaller and a larger one are told apart. */
  smaller: string;
  larger: string;
  /** The fault, where it is out of its band. */
  tooSmall: string;
  tooLarge: string;
  /** What a student is told; null for figures that nobody sets by themselves. */
  instruction: ((told: ToldChange) => string) | null;
}

/**
 * A bump of the hips or a lift of the heel, which are said by half inches; in centimetres an inch is two and a half.
 * @param mm how far, either way
 * @param length the coach’s unit of length
 * @returns words
 * @example inHalves(25, 'cm') // '2.5 cm'
 */
export const inHalves = (mm: number, length: LengthUnit): string => {
  const halves = Math.round((2 * Math.abs(mm)) / (length === 'cm' ? MM_PER_CM : MM_PER_INCH)) / 2;
  return `${halves} ${length === 'cm' ? 'cm' : 'in'}`;
};

/**
 * How far the lead heel is let up, as a student is told.
 * @param mm how far
 * @param length the coach’s unit of length
 * @returns one sentence, in lead and trail
 */
export const heelUp = (mm: number, length: LengthUnit): string =>
  `Let the lead heel come up ${inHalves(mm, length)} going back.`;

const size = (mm: number, length: LengthUnit): string => saidLength(Math.abs(mm), length);
/** How far inside something, or outside it. */
const inside = (mm: number, length: LengthUnit): string =>
  `${size(mm, length)} ${mm < 0 ? 'outside' : 'inside'}`;
const percent = (value: number): string => `${Math.round(Math.abs(value))}%`;
const angle = (value: number): string => `${Math.round(Math.abs(value))}°`;

/** An angle as a place to turn to: out, in, or square. */
function flareTarget(flare: number): string {
  const degrees = Math.round(flare);
  if (degrees === 0) return 'square';
  return degrees > 0 ? `${degrees}° out` : `${-degrees}° in`;
}

/** Quarter shoes, said only where a move comes near one. */
const QUARTERS = ['', 'a quarter shoe', 'half a shoe', 'three quarters of a shoe', 'a whole shoe'] as const;
const NEAR_A_QUARTER = 0.2;

function inShoes(mm: number, shoeLength: number): string {
  const quarters = (4 * Math.abs(mm)) / shoeLength;
  const nearest = Math.round(quarters);
  if (Math.abs(quarters - nearest) > NEAR_A_QUARTER) return '';
  const words = QUARTERS[nearest];
  return words ? `, about ${words}` : '';
}

const turnFoot =
  (foot: 'lead' | 'trail') =>
  ({ by, to, toesStay }: ToldChange): string =>
    by === null
      ? `Point the ${foot} foot ${flareTarget(to)}.`
      : `Turn the ${foot} foot ${by > 0 ? 'out' : 'in'} ${angle(by)}, to ${flareTarget(to)}${toesStay ? '. Keep the toe on its line' : ''}.`;

/** Where along a foot a load stands, percent from heel to toe, as a student feels it. */
export function alongFoot(percentFromHeel: number): string {
  if (percentFromHeel < 32.5) return 'the heel';
  if (percentFromHeel < 45) return 'just behind mid-foot';
  if (percentFromHeel <= 55) return 'mid-foot';
  return percentFromHeel < 67.5 ? 'just ahead of mid-foot' : 'the ball of the foot';
}

const shiftLoad =
  (foot: 'lead' | 'trail') =>
  ({ by, to }: ToldChange): string => {
    if (by === null) return `Weight under the ${foot} foot at ${alongFoot(to)}.`;
    return `Weight under the ${foot} foot ${by > 0 ? 'forward' : 'back'} to ${alongFoot(to)}.`;
  };

const OPEN_CLOSED = {
  smaller: 'more open',
  larger: 'more closed',
  tooSmall: 'too open',
  tooLarge: 'too closed',
};
const SQUARE_OUT = {
  smaller: 'squarer',
  larger: 'further out',
  tooSmall: 'too square',
  tooLarge: 'too far out',
};
const HEEL_TOE = {
  smaller: 'nearer the heels',
  larger: 'nearer the toes',
  tooSmall: 'on the heels',
  tooLarge: 'on the toes',
};
const SHORT_FAR = {
  smaller: 'shorter',
  larger: 'further',
  tooSmall: 'too short',
  tooLarge: 'too far',
};
const NARROW_WIDE = {
  smaller: 'narrower',
  larger: 'wider',
  tooSmall: 'too narrow',
  tooLarge: 'too wide',
};

const BALL_OUT: Pick<FigureWords, 'smaller' | 'larger' | 'tooSmall' | 'tooLarge' | 'instruction'> = {
  smaller: 'nearer the ball',
  larger: 'further from the ball',
  tooSmall: 'too close',
  tooLarge: 'too far away',
  instruction: ({ by, to, length }) =>
    by === null
      ? `Stand with the lead toe ${saidLength(to, length)} from the ball’s line.`
      : `Stand ${size(by, length)} ${by > 0 ? 'further from' : 'closer to'} the ball.`,
};

export const FIGURE_WORDS: Record<FigureName, FigureWords> = {
  stanceWidth: {
    name: 'Width, heel to heel',
    ...NARROW_WIDE,
    instruction: ({ by, to, length }) =>
      by === null
        ? `Heels ${saidLength(to, length)} apart.`
        : `Move the trail foot ${by > 0 ? 'out' : 'in'} ${size(by, length)}, to ${saidLength(to, length)} between the heels.`,
  },
  leadFlare: { name: 'Lead flare', ...SQUARE_OUT, instruction: turnFoot('lead') },
  trailFlare: { name: 'Trail flare', ...SQUARE_OUT, instruction: turnFoot('trail') },
  setback: {
    name: 'Trail foot set back',
    smaller: 'further forward',
    larger: 'further back',
    tooSmall: 'too far forward',
    tooLarge: 'too far back',
    instruction: ({ by, to, length, shoeLength }) =>
      by === null
        ? `Trail toe ${size(to, length)} ${to < 0 ? 'ahead of' : 'behind'} the lead toe${inShoes(to, shoeLength)}.`
        : `Move the trail foot ${by > 0 ? 'back' : 'forward'} ${size(by, length)}${inShoes(by, shoeLength)}.`,
  },
  stanceLine: { name: 'Stance line', ...OPEN_CLOSED, instruction: null },
  heelLine: { name: 'Heel line', ...OPEN_CLOSED, instruction: null },
  outerWidth: { name: 'Width, outer edge to outer edge', ...NARROW_WIDE, instruction: null },
  gap: { name: 'Gap between the shoes', ...NARROW_WIDE, instruction: null },
  ballAlong: {
    name: 'Ball, inside lead heel',
    smaller: 'further forward',
    larger: 'further back',
    tooSmall: 'too far forward',
    tooLarge: 'too far back',
    instruction: ({ by, to, length }) =>
      by === null
        ? `Ball ${inside(to, length)} the lead heel.`
        : `Move the ball ${by > 0 ? 'back' : 'forward'} ${size(by, length)}, to ${inside(to, length)} the lead heel.`,
  },
  ballOut: { name: 'Ball, out from the toe line', ...BALL_OUT },
  leadToeOut: { name: 'Lead toe to the ball’s line', ...BALL_OUT },
  leadShare: {
    name: 'Weight on lead foot',
    smaller: 'less on the lead foot',
    larger: 'more on the lead foot',
    tooSmall: 'on the trail foot',
    tooLarge: 'on the lead foot',
    instruction: ({ by, to }) =>
      by === null
        ? `Put ${percent(to)} of the weight on the lead foot.`
        : `Put ${by > 0 ? 'more' : 'less'} weight on the lead foot: ${percent(to)}.`,
  },
  leadHeelToe: { name: 'Heel to toe, lead foot', ...HEEL_TOE, instruction: shiftLoad('lead') },
  trailHeelToe: { name: 'Heel to toe, trail foot', ...HEEL_TOE, instruction: shiftLoad('trail') },
  trailKneeInside: {
    name: 'Trail knee, inside its foot',
    smaller: 'further out',
    larger: 'further in',
    tooSmall: 'too far out',
    tooLarge: 'too far in',
    instruction: ({ to, length }) =>
      `Trail knee ${size(to, length)} ${to < 0 ? 'outside' : 'inside'} the inside edge of its foot.`,
  },
  trailKneeFlex: {
    name: 'Trail knee, more flexed than the lead',
    smaller: 'straighter',
    larger: 'more flexed',
    tooSmall: 'too straight',
    tooLarge: 'too flexed',
    instruction: ({ to }) =>
      Math.round(to) <= 0
        ? 'Trail knee as straight as the lead.'
        : `Trail knee ${angle(to)} more flexed than the lead, over the toes.`,
  },
  hipBump: {
    name: 'Hips, set toward the target',
    smaller: 'less pushed',
    larger: 'more pushed',
    tooSmall: 'too far back',
    tooLarge: 'pushed too far',
    instruction: ({ to, length }) =>
      Math.round(to) === 0
        ? 'Bring the hips back to the middle.'
        : `Set the hips ${inHalves(to, length)} ${to > 0 ? 'toward' : 'away from'} the target. Keep the breastbone still.`,
  },
  hipGap: {
    name: 'Lead hip to outside of lead foot',
    smaller: 'nearer the foot’s outside',
    larger: 'further inside',
    tooSmall: 'too far out',
    tooLarge: 'too far in',
    instruction: ({ to, length }) => `Lead hip ${inside(to, length)} the outer edge of the lead foot.`,
  },
  hipLine: {
    name: 'Hip line',
    ...OPEN_CLOSED,
    instruction: ({ to }) => `Set the hips ${lineWords(to)} to the target line.`,
  },
  shoulderLine: {
    name: 'Shoulder line',
    ...OPEN_CLOSED,
    instruction: ({ to }) => `Set the shoulders ${lineWords(to)} to the target line.`,
  },
  shoulderTilt: {
    name: 'Trail shoulder lower',
    smaller: 'more level',
    larger: 'more tilted',
    tooSmall: 'too level',
    tooLarge: 'too tilted',
    instruction: ({ to }) => `Trail shoulder ${angle(to)} lower, tilted from the ribs.`,
  },
  clubFace: {
    name: 'Club face',
    ...OPEN_CLOSED,
    instruction: ({ to }) => `Aim the club face ${lineWords(to)}, whatever the feet do.`,
  },
  hipTurn: {
    name: 'Hip turn at the top',
    ...SHORT_FAR,
    instruction: ({ to }) => `Turn the hips to ${angle(to)}, no further than is comfortable.`,
  },
  shoulderTurn: {
    name: 'Shoulder turn at the top',
    ...SHORT_FAR,
    instruction: ({ to }) => `Turn the shoulders to ${angle(to)}, no further than is comfortable.`,
  },
  trailKneeBack: {
    name: 'Trail knee, its way back',
    ...SHORT_FAR,
    instruction: ({ to, length }) =>
      `Let the trail knee straighten and go back about ${saidLength(to, length)}, never locked.`,
  },
  shaftLean: {
    name: 'Shaft lean, toward the target',
    smaller: 'more upright',
    larger: 'further forward',
    tooSmall: 'too far back',
    tooLarge: 'too far forward',
    instruction: ({ to }) =>
      Math.round(to) === 0
        ? 'Shaft upright, hands over the ball.'
        : `Lean the shaft ${angle(to)} ${to > 0 ? 'toward' : 'away from'} the target.`,
  },
  leadHeelLift: {
    name: 'Lead heel up, going back',
    smaller: 'less far up',
    larger: 'further up',
    tooSmall: 'too little',
    tooLarge: 'too much',
    instruction: ({ to, length }) => heelUp(to, length),
  },
};

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
  trailKneeBack: [
    { words: 'Stays bent', value: 30 },
    { words: 'A hand back', value: 100 },
    { words: 'Straightens freely', value: 190 },
    { words: 'Locks', value: 260 },
  ],
  shaftLean: [
    { words: 'Away from the target', value: -6 },
    { words: 'Upright', value: 0 },
    { words: 'A little forward', value: 6 },
    { words: 'Well forward', value: 14 },
  ],
};
