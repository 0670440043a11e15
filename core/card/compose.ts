import {
  agesOn,
  cautionsOf,
  isMinor,
  measureAgainOn,
  NOT_MEDICAL_ADVICE,
  stillGrows,
  type CautionFact,
  type Hand,
} from '../body';
import { clubAndShot, type ClubId, type ShotType } from '../club';
import { ladderFrom, rungsOf, type LadderName, type OwnLadder, type OwnLadderFigure } from '../ladder';
import { capitalised, inFootWords, liftWords } from '../phrases';
import {
  alongFoot,
  differences,
  FIGURES,
  FIGURE_WORDS,
  measureSetup,
  setbackMark,
  type ChangeName,
  type Difference,
  type MeasuredSetup,
  withFigure,
  type FeetFigure,
  type Setup,
} from '../setup';
import { LOCALE, saidInUnit, type LengthUnit } from '../units';
import { DOSES, setupForDose, type Dose, type DosedFigure } from './doses';
import { drawCard, type CardDrawing } from './drawing';
import type { Drill } from './drills';
import { ballMark, flareMark, gapMark } from './marks';
import { practiceLines, type Practice, type Practising, type Rounds } from './practice';
import { ROUTINE_WORDS, type RoutineStep } from './routine';

/** What was agreed with one club. */
export interface AgreedClub {
  club: ClubId;
  shot: ShotType;
  from: Setup;
  agreed: Setup;
  /** YYYY-MM-DD */
  agreedOn: string;
  /** mm */
  leadHeelLift: number;
  reason: string;
  feel: string;
  /** The exaggerated figures; none where one dose is enough. */
  further: readonly DosedFigure[];
  /** The stance that is stood in now. */
  dose: Dose;
  rounds: Rounds;
}

/** Whom a card is for. */
export interface CardStudent {
  name: string;
  hand: Hand;
  birthYear: number;
  bornOn: string | null;
  facts: readonly CautionFact[];
}

/** Everything a card is made from. */
export interface TakenHome {
  student: CardStudent;
  /** The club the card is about first. */
  clubs: readonly AgreedClub[];
  routine: readonly RoutineStep[];
  drills: readonly Drill[];
  cue: string;
  practice: Practice | null;
  /** YYYY-MM-DD; null where no next look was agreed. */
  nextLook: string | null;
  /** A ladder to go up alone; null where none was given. */
  ladder: OwnLadder | null;
  /** What ladders found of this student, the newest first. */
  found: readonly FoundOnLadder[];
  length: LengthUnit;
  /** YYYY-MM-DD */
  today: string;
}

/** What a ladder found, its figure's unit. */
export interface FoundOnLadder {
  ladder: LadderName;
  figure: FeetFigure;
  /** YYYY-MM-DD */
  on: string;
  standOn: number;
  low: number;
  high: number;
}

/** A ladder to go up alone: each rung with how to stand on it. */
export interface CardLadder {
  name: string;
  purpose: string;
  counts: string;
  rungs: { at: number; words: string }[];
}

export interface CardDose {
  name: string;
  lines: string[];
  swings: string;
  now: boolean;
}

export interface CardClub {
  title: string;
  agreedOn: string;
  /** The two things to do, then what else changed. */
  sentences: string[];
  also: string[];
  because: string;
  feel: string;
  marks: string[];
  doses: CardDose[];
  drawing: CardDrawing;
}

export interface CardDrill {
  name: string;
  how: string;
  dose: string;
  feel: string;
  right: string;
  needs: string;
}

/** A card as it is read, in a student's left and right; nothing of it says more of the student than the first name. */
export interface Card {
  firstName: string;
  clubs: CardClub[];
  odd: string;
  routine: string[];
  practice: { daysAWeek: number; days: string; lines: string[] } | null;
  drills: CardDrill[];
  cue: string;
  nextLook: string | null;
  ladder?: CardLadder | null;
  care: string[];
}

export const IT_LOOKS_ODD = 'It will look odd from up there. It is right.';
const IF_IT_HURTS = 'If it hurts, stop. Ask your coach before you go on.';
const STILL_HURTS = 'If it goes on hurting, see a doctor or physiotherapist.';
const ASK_FIRST = 'Ask your doctor or physiotherapist first. Their word counts more than this card.';

/** Feet grow first: a growing body's marks hold until the shoes change, and not for long. */
const growingLine = (agreedOn: string): string =>
  `You grow. In new shoes, or after ${saidDay(measureAgainOn(agreedOn))}, ask your coach to measure again.`;

const SAID_DAY = new Intl.DateTimeFormat(LOCALE, { day: 'numeric', month: 'long', timeZone: 'UTC' });
const saidDay = (day: string): string => SAID_DAY.format(new Date(`${day}T12:00:00Z`));

type Told = (setup: MeasuredSetup, length: LengthUnit) => string;

/** Where a figure is to stand, by what can be checked from above; the others are said as they are told in a lesson. */
const STAND: Partial<Record<ChangeName, Told>> = {
  stanceWidth: ({ measures, setup }, length) =>
    `Stand with ${gapMark(measures.gap, setup.address.shoe, length)}.`,
  leadFlare: ({ measures, setup }) => turned('lead', measures.leadFlare, setup),
  trailFlare: ({ measures, setup }) => turned('trail', measures.trailFlare, setup),
  setback: ({ measures }) => `Set the trail toe ${setbackMark(measures.setbackMarks)}.`,
  ballAlong: ({ measures }, length) => `Ball ${ballMark(measures.ballAlong, length)}.`,
  leadHeelToe: ({ setup }) => loaded('lead', setup.balance.leadHeelToe),
  trailHeelToe: ({ setup }) => loaded('trail', setup.balance.trailHeelToe),
};

const loaded = (foot: 'lead' | 'trail', percent: number): string =>
  `Weight under the ${foot} foot: ${alongFoot(percent)}.`;

/** Two feet that are loaded alike are said once. */
function bothFeet(lines: readonly string[]): string[] {
  const alike = (line: string): string => line.replace(/under the (lead|trail) foot/, 'under both feet');
  const twice = lines.filter((line, at) => lines.findIndex((each) => alike(each) === alike(line)) !== at);
  return lines
    .filter((line) => !twice.includes(line))
    .map((line) => (twice.some((each) => alike(each) === alike(line)) ? alike(line) : line));
}

const turned = (foot: string, flare: number, { address }: Setup): string =>
  `Point the ${foot} toe ${flareMark(flare, address.shoe)}.`;

function standing(measured: MeasuredSetup, { change, to }: Difference, length: LengthUnit): string {
  const mark = STAND[change];
  if (mark) return mark(measured, length);
  const shoeLength = measured.setup.address.shoe.length;
  return FIGURE_WORDS[change].instruction?.({ by: null, to, length, shoeLength, toesStay: true }) ?? '';
}

/** What was changed most comes first, in steps that can just be noticed; what is new comes after what was moved. */
const size = ({ change, from, to }: Difference): number =>
  from === null ? 0 : Math.abs(to - from) / FIGURES[change].justNoticeable;

const MARKED = ['stanceWidth', 'setback', 'leadFlare', 'trailFlare', 'ballAlong'] as const;

const SWINGS: Record<Dose, (rounds: Rounds) => string> = {
  feel: ({ feel }) => `${feel} slow half swings, no ball`,
  between: ({ play }) => `${play} balls, once the big one is easy`,
  play: ({ play }) => `${play} balls`,
};
const DOSE_NAMES: Record<Dose, string> = {
  feel: 'To feel it',
  between: 'The rung between',
  play: 'To play with',
};

function dosesOf(agreed: AgreedClub, say: (words: string) => string): CardDose[] {
  if (agreed.further.length === 0) return [];
  return DOSES.map((dose) => {
    const measured = measureSetup(setupForDose(agreed.agreed, agreed.further, dose));
    return {
      name: DOSE_NAMES[dose],
      lines: agreed.further.map(({ figure }) => say(STAND[figure]!(measured, 'cm'))),
      swings: SWINGS[dose](agreed.rounds),
      now: dose === agreed.dose,
    };
  });
}

/**
 * How to stand for a figure of the feet, by what can be checked from above.
 * @param figure which one
 * @param value mm or degrees
 * @param setup the feet it is put into
 * @param length what lengths are read in
 * @returns one sentence in lead and trail
 */
export function standWords(figure: OwnLadderFigure, value: number, setup: Setup, length: LengthUnit): string {
  const stood = withFigure(setup, figure, value);
  return STAND[figure]?.(measureSetup(stood), length) ?? '';
}

/** What each ladder found, as a student reads it. */
const FOUND_NAMES: Record<LadderName, string> = {
  'trail flare': 'trail toe out',
  'lead flare': 'lead toe out',
  'easy lead flare': 'lead toe out',
  width: 'heels apart',
};

function foundWords({ ladder, figure, on, standOn, low, high }: FoundOnLadder, length: LengthUnit): string {
  const { unit } = FIGURES[figure];
  const say = (value: number): string => saidInUnit(value, unit, length);
  return `Your test of ${saidDay(on)} found: ${FOUND_NAMES[ladder]} ${say(standOn)}. It could be ${say(low)} to ${say(high)}.`;
}

/** A ladder to go up alone, from the feet that were agreed. */
function ladderOf(own: OwnLadder, { agreed }: AgreedClub, hand: Hand, length: LengthUnit): CardLadder {
  const say = (words: string): string => capitalised(inFootWords(words, 'left and right', hand));
  return {
    name: say(own.name),
    purpose: say(own.purpose),
    counts: say(`it counts when ${own.passes}`),
    rungs: rungsOf(ladderFrom(own)).map((at) => ({
      at,
      words: say(standWords(own.figure, at, agreed, length)),
    })),
  };
}

/** The figures that can be checked: those that were measured or agreed; what was only seen has no mark. */
function marked(
  { setup }: MeasuredSetup,
  changes: readonly Difference[],
): readonly (typeof MARKED)[number][] {
  return MARKED.filter((figure) => {
    const measured = setup.measured[figure];
    return changes.some(({ change }) => change === figure) || (measured && measured.way !== 'by eye');
  });
}

function clubOf(agreed: AgreedClub, hand: Hand, length: LengthUnit): CardClub {
  const say = (words: string): string => capitalised(inFootWords(words, 'left and right', hand));
  const measured = measureSetup(agreed.agreed);
  const changes = differences(agreed.from, agreed.agreed).sort((a, b) => size(b) - size(a));
  const told = changes.map((change) => standing(measured, change, length)).filter((words) => words !== '');
  const lift = liftWords(agreed.leadHeelLift, { length, feet: 'left and right', hand });
  const [first, second, ...also] = [...bothFeet(told), ...(lift === '' ? [] : [lift])].map(say);
  const big = agreed.further.length > 0 ? setupForDose(agreed.agreed, agreed.further, 'feel') : null;
  return {
    title: clubAndShot(agreed.club, agreed.shot),
    agreedOn: agreed.agreedOn,
    sentences: [first, second].filter((words) => words !== undefined),
    also,
    because: inFootWords(agreed.reason, 'left and right', hand),
    feel: inFootWords(agreed.feel, 'left and right', hand),
    marks: marked(measured, changes).map((figure) => say(STAND[figure]!(measured, length))),
    doses: dosesOf(agreed, say),
    drawing: drawCard(agreed.agreed, big, hand),
  };
}

/** Who practises, for the volume: from what is known of the student. */
export function practising({ hand, facts, ...born }: CardStudent, today: string): Practising {
  const minor = isMinor(born, today);
  return { minor, age: agesOn(born, today).most, cautions: cautionsOf(facts, hand, minor) };
}

/** The first of a student's names, which is all that a card says of who it is for. */
export const firstNameOf = (name: string): string => name.trim().split(/\s+/)[0]!;

const daysWords = (days: number): string =>
  days === 7 ? 'Every day' : days === 1 ? 'One day a week' : `${days} days a week`;

/**
 * The card of a student: all its words and its drawings.
 * @param home what was agreed, and how it is practised
 * @returns the card, in the student's own left and right
 */
export function composeCard(home: TakenHome): Card {
  const { student, clubs, routine, drills, cue, practice, nextLook, ladder, found, length, today } = home;
  const { hand } = student;
  const say = (words: string): string => inFootWords(words, 'left and right', hand);
  const who = practising(student, today);
  const asked = who.cautions.some(({ deferTo }) => deferTo !== '');
  return {
    firstName: firstNameOf(student.name),
    clubs: clubs.map((each, at) => {
      const club = clubOf(each, hand, length);
      // What was found stands with the first club, with what is to be done.
      return at === 0
        ? {
            ...club,
            because: [club.because, ...found.map((one) => say(foundWords(one, length)))]
              .filter(Boolean)
              .join(' '),
          }
        : club;
    }),
    odd: IT_LOOKS_ODD,
    routine: routine.map((step) => capitalised(say(ROUTINE_WORDS[step]))),
    practice: practice && {
      daysAWeek: practice.daysAWeek,
      days: daysWords(practice.daysAWeek),
      lines: practiceLines(practice, clubs[0]!.rounds, who),
    },
    drills: drills.map(({ name, how, dose, feel, right, needs }) => ({
      name: capitalised(say(name)),
      how: say(how),
      dose: say(dose),
      feel: say(feel),
      right: say(right),
      needs,
    })),
    cue: say(cue),
    // A day that is over is no day to look forward to.
    nextLook: nextLook && nextLook >= today ? nextLook : null,
    ladder: ladder && ladderOf(ladder, clubs[0]!, hand, length),
    care: [
      ...(stillGrows(student, today) ? [growingLine(clubs[0]!.agreedOn)] : []),
      IF_IT_HURTS,
      asked ? ASK_FIRST : STILL_HURTS,
      NOT_MEDICAL_ADVICE,
    ],
  };
}
