import type { ChangeName, Difference } from '../change';
import type { Question } from '../method';
import type { Item } from '../reading';
import { inFootWords, type FootWords, type Hand } from './feet';
import { lengthWithUnit, lineWords, type LengthUnit } from './figures';

export interface Speech {
  length: LengthUnit;
  feet: FootWords;
  hand: Hand;
}

const percent = (value: number): string => `${Math.round(Math.abs(value))} %`;
const angle = (value: number): string => `${Math.round(Math.abs(value))}°`;

/** An angle as a place to turn to: out, in, or square. */
function flareTarget(flare: number): string {
  const size = Math.round(flare);
  if (size === 0) return 'square';
  return size > 0 ? `${size}° out` : `${-size}° in`;
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

function heelToeWords(foot: 'lead' | 'trail', by: number, to: number): string {
  const target = Math.round(to);
  const place = target === 50 ? 'the middle of the foot' : `${target} on the way from heel to toe`;
  return `Weight under the ${foot} foot toward the ${by > 0 ? 'toes' : 'heel'}, to ${place}.`;
}

/** A difference with what its sentence needs of the rest. */
interface Told {
  /** Zero where it was not looked at before. */
  by: number;
  to: number;
  /** The size of a difference in length, with its unit. */
  length: string;
  withUnit: (mm: number) => string;
  shoeLength: number;
  /** Said after a flare when the toes' setback stays as it is. */
  onItsLine: string;
}

const SENTENCES: Record<ChangeName, (told: Told) => string> = {
  stanceWidth: ({ by, to, length, withUnit }) =>
    `Trail foot ${length} ${by > 0 ? 'wider' : 'narrower'}, to ${withUnit(to)} between the heels.`,
  leadFlare: ({ by, to, onItsLine }) =>
    `Turn the lead foot ${by > 0 ? 'out' : 'in'} ${angle(by)}, to ${flareTarget(to)}${onItsLine}.`,
  trailFlare: ({ by, to, onItsLine }) =>
    `Turn the trail foot ${by > 0 ? 'out' : 'in'} ${angle(by)}, to ${flareTarget(to)}${onItsLine}.`,
  setback: ({ by, length, shoeLength }) =>
    `Trail foot ${by > 0 ? 'back' : 'forward'} ${length}${inShoes(by, shoeLength)}.`,
  ballAlong: ({ by, to, length, withUnit }) =>
    `Ball ${length} further ${by > 0 ? 'back' : 'forward'}, to ${withUnit(to)} inside the lead heel.`,
  ballOut: ({ by, length }) => `Stand ${length} ${by > 0 ? 'further from' : 'closer to'} the ball.`,
  leadShare: ({ by, to }) =>
    `Put ${percent(by)} ${by > 0 ? 'more' : 'less'} of the weight on the lead foot, to ${Math.round(to)} %.`,
  leadHeelToe: ({ by, to }) => heelToeWords('lead', by, to),
  trailHeelToe: ({ by, to }) => heelToeWords('trail', by, to),
  trailKneeInside: ({ to, withUnit }) =>
    to < 0
      ? `Trail knee ${withUnit(-to)} outside the inside edge of its foot.`
      : `Trail knee ${withUnit(to)} inside the inside edge of its foot.`,
  trailKneeFlex: ({ to }) =>
    Math.round(to) <= 0
      ? 'Trail knee as straight as the lead.'
      : `Trail knee ${angle(to)} more flexed than the lead, over the toes.`,
  hipBump: ({ to, withUnit }) =>
    Math.round(to) === 0
      ? 'Hips back to the middle, breastbone still.'
      : `Hips set ${withUnit(Math.abs(to))} ${to > 0 ? 'toward' : 'away from'} the target, square, breastbone still.`,
  hipGap: ({ to, withUnit }) => `Lead hip ${withUnit(to)} inside the outside of the lead foot.`,
  hipLine: ({ to }) => `Hips ${lineWords(to)} to the target line.`,
  shoulderLine: ({ to }) => `Shoulders ${lineWords(to)} to the target line.`,
  shoulderTilt: ({ to }) => `Trail shoulder ${angle(to)} lower, tilted from the ribs.`,
  clubFace: ({ to }) => `Aim the club face ${lineWords(to)}, whatever the feet do.`,
  hipTurn: ({ to }) => `Turn the hips to ${angle(to)}, no further than is comfortable.`,
  shoulderTurn: ({ to }) => `Turn the shoulders to ${angle(to)}, no further than is comfortable.`,
};

/** What to tell the student, one sentence a change, in the order given. */
export function instructions(changes: readonly Difference[], shoeLength: number, speech: Speech): string[] {
  const toesMove = changes.some((each) => each.change === 'setback');
  return changes.map(({ change, from, to }) => {
    const by = from === null ? 0 : to - from;
    const sentence = SENTENCES[change]({
      by,
      to,
      length: lengthWithUnit(Math.abs(by), speech.length),
      withUnit: (mm) => lengthWithUnit(mm, speech.length),
      shoeLength,
      onItsLine: toesMove ? '' : ', the toe kept on its line',
    });
    return inFootWords(sentence, speech.feet, speech.hand);
  });
}

/** What each item is called beside its figure, in lead and trail. */
export const ITEM_NAMES: Record<Item, string> = {
  stanceWidth: 'Width, heel to heel',
  leadFlare: 'Lead flare',
  trailFlare: 'Trail flare',
  stanceLine: 'Stance line',
  ballAlong: 'Ball, inside lead heel',
  leadShare: 'Weight on lead foot',
  leadHeelToe: 'Heel to toe, lead foot',
  trailHeelToe: 'Heel to toe, trail foot',
  ballOut: 'Ball, out from the toe line',
  trailKneeInside: 'Trail knee, inside its foot',
  trailKneeFlex: 'Trail knee, more flexed than the lead',
  hipBump: 'Hips, set toward the target',
  hipGap: 'Lead hip, inside its foot’s outside',
  hipLine: 'Hip line',
  shoulderLine: 'Shoulder line',
  shoulderTilt: 'Trail shoulder lower',
  clubFace: 'Club face',
  hipTurn: 'Hip turn at the top',
  shoulderTurn: 'Shoulder turn at the top',
};

/** What each question is called, in lead and trail. */
export const QUESTION_NAMES: Record<Question, string> = {
  ...ITEM_NAMES,
  heelToe: 'Heel to toe, both feet',
  seat: 'Seat',
  pressureRoute: 'Pressure route',
};

/** What each change is called in the log, in lead and trail. */
export const CHANGE_NAMES: Record<ChangeName, string> = {
  ...ITEM_NAMES,
  setback: 'Trail foot set back',
  ballOut: 'Lead toe to the ball’s line',
};
