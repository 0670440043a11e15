import type { ChangeName, Difference } from '../change';
import type { Item } from '../reading';
import { inFootWords, type FootWords, type Hand } from './feet';
import { lengthWithUnit, type LengthUnit } from './figures';

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
};

/** What to tell the student, one sentence a change, in the order given. */
export function instructions(changes: readonly Difference[], shoeLength: number, speech: Speech): string[] {
  const toesMove = changes.some((each) => each.change === 'setback');
  return changes.map(({ change, from, to }) => {
    const sentence = SENTENCES[change]({
      by: to - from,
      to,
      length: lengthWithUnit(Math.abs(to - from), speech.length),
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
};

/** What each change is called in the log, in lead and trail. */
export const CHANGE_NAMES: Record<ChangeName, string> = {
  stanceWidth: ITEM_NAMES.stanceWidth,
  leadFlare: ITEM_NAMES.leadFlare,
  trailFlare: ITEM_NAMES.trailFlare,
  setback: 'Trail foot set back',
  ballAlong: ITEM_NAMES.ballAlong,
  ballOut: 'Lead toe to the ball’s line',
  leadShare: ITEM_NAMES.leadShare,
  leadHeelToe: ITEM_NAMES.leadHeelToe,
  trailHeelToe: ITEM_NAMES.trailHeelToe,
};
