import { bandsFor, type FigureQuestion, type HouseMethod, type Played, type Question } from '..';
import type { ChoiceQuestion } from '../../setup';
import type { Body } from '../../turn';

interface Side {
  name: string;
  /** What is said for it, as its teachers say it. */
  says: string;
}

interface Dispute {
  question: FigureQuestion;
  title: string;
  applies: (played: Played) => boolean;
  /** A middle from here on takes the second side (starting values). */
  from: number;
  sides: readonly [Side, Side];
}

const fullShot = ({ shot }: Played): boolean => shot === 'full';
const driver = ({ club, shot }: Played): boolean => club === 'driver' && shot === 'full';

/** Where schools flatly contradict each other (common practice, no source). */
const DISPUTES: readonly Dispute[] = [
  {
    question: 'hipBump',
    title: 'Hips set toward the target with a driver, or left central?',
    applies: driver,
    from: 12,
    sides: [
      { name: 'Left central', says: 'Pushed hips take the weight along; the tilt comes from the ribs.' },
      { name: 'Set forward', says: 'Hips set an inch forward have half as far to go, and do not slide.' },
    ],
  },
  {
    question: 'trailFlare',
    title: 'Trail foot square or flared?',
    applies: fullShot,
    from: 8,
    sides: [
      { name: 'Square', says: 'It holds the hips back, for a body that would turn too far.' },
      { name: 'Flared', says: 'A square trail foot is what stops most hips going back.' },
    ],
  },
  {
    question: 'heelToe',
    title: 'Middle of the feet, or the balls of the feet?',
    applies: fullShot,
    from: 57,
    sides: [
      { name: 'Middle', says: 'Toward the toes the trail hip is blocked and the body stands up.' },
      { name: 'Toward the balls', says: 'A body that waits on its middle is late to move.' },
    ],
  },
  {
    question: 'stanceLine',
    title: 'Feet parallel, or closed?',
    applies: fullShot,
    from: 4,
    sides: [
      { name: 'Parallel', says: 'Feet, hips and shoulders that agree let the path follow them.' },
      { name: 'Closed', says: 'A trail foot set back gives the trail hip its room.' },
    ],
  },
  {
    question: 'leadShare',
    title: 'Weight even, or forward?',
    applies: fullShot,
    from: 57,
    sides: [
      { name: 'Even', says: 'Even weight leaves both ways free.' },
      { name: 'Forward', says: 'What is already on the lead foot does not have to arrive in time.' },
    ],
  },
  {
    question: 'ballAlong',
    title: 'One ball position, or one for each club?',
    applies: fullShot,
    from: 80,
    sides: [
      { name: 'Off the lead heel', says: 'One place to find, and only the trail foot moves.' },
      { name: 'Further back with irons', says: 'Irons are met before the low point, a driver after it.' },
    ],
  },
];

/** A dispute about a word: each side's own. */
interface WordDispute {
  question: ChoiceQuestion;
  title: string;
  applies: (played: Played) => boolean;
  sides: readonly [Side & { word: string }, Side & { word: string }];
}

const WORD_DISPUTES: readonly WordDispute[] = [
  {
    question: 'trailElbow',
    title: 'Trail elbow close to the side, or away from it?',
    applies: fullShot,
    sides: [
      {
        word: 'close to the side',
        name: 'Close',
        says: 'Swung along closed feet, an elbow that leaves the side goes flat, then steep.',
      },
      {
        word: 'away from the side',
        name: 'Away',
        says: 'An elbow that may leave the side makes room for a wide, high swing.',
      },
    ],
  },
];

interface Disputed {
  question: Question;
  title: string;
  sides: { name: string; says: string; methods: string[] }[];
}

/**
 * The disputes in which these methods stand on both sides, for a body with a club.
 * @param methods the house methods
 * @param body the build and legs
 * @param played the club, its length in inches, and the shot
 * @returns each dispute with who stands where
 */
export const disputesAmong = (methods: readonly HouseMethod[], body: Body, played: Played): Disputed[] => [
  ...figuresDisputed(methods, body, played),
  ...wordsDisputed(methods, body, played),
];

const splitBy = (sides: readonly Side[], taken: readonly { name: string; side: number }[]) =>
  sides.map(({ name, says }, at) => ({
    name,
    says,
    methods: taken.filter((each) => each.side === at).map((each) => each.name),
  }));

function wordsDisputed(methods: readonly HouseMethod[], body: Body, played: Played): Disputed[] {
  return WORD_DISPUTES.filter(({ applies }) => applies(played)).flatMap(({ question, title, sides }) => {
    const taken = methods.flatMap((method) => {
      const words = bandsFor(method, body, played).choices[question] ?? [];
      const side = words.length === 1 ? sides.findIndex(({ word }) => word === words[0]) : -1;
      return side < 0 ? [] : [{ name: method.name, side }];
    });
    const split = splitBy(sides, taken);
    return split.every((side) => side.methods.length > 0) ? [{ question, title, sides: split }] : [];
  });
}

function figuresDisputed(methods: readonly HouseMethod[], body: Body, played: Played): Disputed[] {
  return DISPUTES.filter(({ applies }) => applies(played)).flatMap(({ question, title, from, sides }) => {
    const taken = methods.flatMap((method) => {
      const band = bandsFor(method, body, played).figures[question];
      return band ? [{ name: method.name, side: band.middle >= from ? 1 : 0 }] : [];
    });
    const split = splitBy(sides, taken);
    return split.every((side) => side.methods.length > 0) ? [{ question, title, sides: split }] : [];
  });
}
