import type { FeetFigure } from '@pedastance/core/setup';

/** The figures an eye can guess in a picture. */
export type Guessed = Exclude<FeetFigure, 'ballOut'>;

const asked: Record<Guessed, string> = {
  stanceWidth: 'How far apart are the heels?',
  leadFlare: 'How far out does the lead toe point?',
  trailFlare: 'How far out does the trail toe point?',
  setback: 'How far is the trail toe behind the lead toe?',
  ballAlong: 'How far is the ball from the lead heel, toward the trail foot?',
};

/** What counts below nought. */
const minus: Record<Guessed, string | null> = {
  stanceWidth: null,
  leadFlare: 'A toe that points in counts below nought.',
  trailFlare: 'A toe that points in counts below nought.',
  setback: 'A trail toe ahead of the lead toe counts below nought.',
  ballAlong: 'A ball outside the lead heel counts below nought.',
};

/** What this screen says. */
export const messages = {
  asked,
  title: 'Practise your eye',
  how: 'Guess, then see. The pictures are rendered: what is true of them is known.',
  whatToGuess: 'What to guess',
  chips: {
    stanceWidth: 'Width',
    leadFlare: 'Lead flare',
    trailFlare: 'Trail flare',
    setback: 'Toe line',
    ballAlong: 'Ball',
  } satisfies Record<Guessed, string>,
  yourGuess: 'Your guess',
  minus,
  see: 'See',
  next: 'Next picture',
  picture: (hand: string) => `A ${hand}-handed player’s feet, a sheet of paper, a ball and a stick`,
  truth: (truth: string) => `It is ${truth}.`,
  spotOn: 'Spot on.',
  over: (off: string) => `You said ${off} too much.`,
  under: (off: string) => `You said ${off} too little.`,
  notANumber: (unit: string) => `Type a number${unit}.`,
  record: (count: number, off: string) =>
    `${count === 1 ? 'One guess' : `${count} guesses`}: off by ${off} as a rule.`,
  leansOver: (off: string) => `You lean to too much, by ${off}.`,
  leansUnder: (off: string) => `You lean to too little, by ${off}.`,
  counted: (off: string) => `A figure by eye is counted as off by ${off} here.`,
  noPictures: 'The pictures are not on this device. Open this page once with a connection.',
};
