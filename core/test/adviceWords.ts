/** Whether what is said of a judgement is so: every figure and every claim in a sentence against the plan it stands for. */
import {
  angleFigure,
  buysSentences,
  doSentences,
  partingSentences,
  stopsSentence,
  waitsSentence,
  type AdvisedMove,
  type Case,
  type Judgement,
  type Speech,
} from '..';
import { endsOf, standingOf, valueOf } from '../advice/standing';

const SPEECH: Speech = { length: 'cm', feet: 'lead and trail', hand: 'right' };
const SHOE = 290;

/** A claim that a sentence makes, and whether it is so; a sentence that makes another one is none of its business. */
type Claim = readonly [RegExp, (found: RegExpExecArray, judgement: Judgement, given: Case) => boolean];

const movesOf = ({ things }: Judgement): AdvisedMove[] => things.flatMap(({ moves }) => moves);
const moveOf = (judgement: Judgement, figure: string) =>
  movesOf(judgement).find((each) => each.figure === figure);
const near = (said: string, value: number): boolean => Math.abs(Number(said) - value) <= 0.51;

/** A value beside its band today, negative below it and positive above. */
function outOf(
  given: Case,
  item: 'leadFlare' | 'trailFlare' | 'stanceWidth' | 'stanceLine' | 'hipBump',
): number {
  const ends = endsOf(standingOf(given), item);
  const value = valueOf(standingOf(given), item);
  if (!ends || value === undefined) return 0;
  return value < ends.low ? -1 : value > ends.high ? 1 : 0;
}

const CLAIMS: readonly Claim[] = [
  [
    /^Turn the (lead|trail) foot (out|in) (\d+)°, to (square|(\d+)° (out|in))/,
    ([, foot, way, by, where, to, side], judgement) => {
      const move = moveOf(judgement, `${foot}Flare`);
      if (!move) return false;
      const end = where === 'square' ? 0 : Number(to) * (side === 'out' ? 1 : -1);
      return (
        way === (move.to > move.from ? 'out' : 'in') &&
        near(by!, Math.abs(move.to - move.from)) &&
        Math.abs(end - move.to) <= 0.51
      );
    },
  ],
  [
    /^Move the trail foot (in|out) (\d+) cm, to (\d+) cm/,
    ([, way, by, to], judgement) => {
      const move = moveOf(judgement, 'stanceWidth');
      if (!move) return false;
      return (
        way === (move.to > move.from ? 'out' : 'in') &&
        near(by!, Math.abs(move.to - move.from) / 10) &&
        near(to!, move.to / 10)
      );
    },
  ],
  [
    /^Move the trail foot (back|forward) (\d+) cm/,
    ([, way, by], judgement) => {
      const move = moveOf(judgement, 'setback');
      return (
        !!move &&
        way === (move.to > move.from ? 'back' : 'forward') &&
        near(by!, Math.abs(move.to - move.from) / 10)
      );
    },
  ],
  [
    /^Move the ball (back|forward)/,
    ([, way], judgement) => {
      const move = moveOf(judgement, 'ballAlong');
      return !!move && way === (move.to > move.from ? 'back' : 'forward');
    },
  ],
  [
    /^Set the hips .* (toward|away from) the target/,
    ([, way], judgement) => {
      const move = moveOf(judgement, 'hipBump');
      return !!move && (way === 'toward') === move.to > 0;
    },
  ],
  [
    /^Going back the (lead|trail) leg stops the hips at about (−?\d+)°; (\d+)° is needed/,
    ([, leg, at, needed], { back }) =>
      !!back &&
      back.stoppedBy === leg &&
      angleFigure(back.from) === `${at}°` &&
      near(needed!, back.needed) &&
      back.from < back.needed,
  ],
  [
    /^Coming through the (lead|trail) leg stops the hips at about (−?\d+)°; (\d+)° is needed/,
    ([, leg, at, needed], { through }) =>
      !!through &&
      through.stoppedBy === leg &&
      angleFigure(through.from) === `${at}°` &&
      near(needed!, through.needed) &&
      through.from < through.needed,
  ],
  [
    /^The open line blocks the turn back/,
    (_found, { back }, given) =>
      valueOf(standingOf(given), 'stanceLine')! < 0 && !(back && back.from >= back.needed),
  ],
  [
    /^The stance is too wide\b/,
    (_found, judgement) =>
      (moveOf(judgement, 'stanceWidth')?.to ?? -1) < (moveOf(judgement, 'stanceWidth')?.from ?? 0),
  ],
  [/^The stance is too narrow/, (_found, _judgement, given) => outOf(given, 'stanceWidth') < 0],
  [
    /^The (lead|trail) foot is too square/,
    ([, foot], _judgement, given) => outOf(given, `${foot as 'lead'}Flare`) < 0,
  ],
  [
    /^The (lead|trail) foot is too far out/,
    ([, foot], _judgement, given) => outOf(given, `${foot as 'lead'}Flare`) > 0,
  ],
  [
    /^The stance line is too (open|closed)/,
    ([, way], _judgement, given) => outOf(given, 'stanceLine') === (way === 'open' ? -1 : 1),
  ],
  [
    /^Backswing about (\d+)°, (\d+)° needed/,
    ([, to, needed], { back }) =>
      !!back &&
      near(to!, back.to) &&
      near(needed!, back.needed) &&
      back.to > back.from &&
      back.from < back.needed,
  ],
  [
    /^Through about (\d+)°, (\d+)° needed/,
    ([, to, needed], { through }) =>
      !!through && near(to!, through.to) && near(needed!, through.needed) && through.to > through.from,
  ],
  [
    /^It costs turn (back|through): about (\d+)° is left, (\d+)° needed/,
    ([, way, left], judgement) => {
      const turn = way === 'back' ? judgement.back : judgement.through;
      return !!turn && near(left!, turn.to) && turn.from - turn.to >= 3 && turn.to - turn.needed < 5;
    },
  ],
  [/comes straighter|° straighter/, (_found, { path }) => !!path && Math.abs(path.to) < Math.abs(path.from)],
  [
    /^It stands where it should again/,
    (_found, { things }) => things.some(({ reason }) => reason === 'taught'),
  ],
  [/^Your method wants/, (_found, { partings }) => partings.some(({ own }) => !own)],
  [
    /^(Nothing stands in the way|Leave it as it is)/,
    (_found, { things, before, lookNext }) => things.length === 0 && before.length === 0 && lookNext === null,
  ],
  [
    /^The weight is too near the (toes|heels)/,
    (_found, judgement) => !!moveOf(judgement, 'leadHeelToe') && !!moveOf(judgement, 'trailHeelToe'),
  ],
];

const alone = (text: string): string[] => text.split(/(?<=[.?!])\s+/).filter(Boolean);

/** What is said of a case that is not so. */
export function notSo(given: Case, judgement: Judgement): string[] {
  const said = [
    stopsSentence(judgement, SPEECH),
    ...doSentences(judgement, SHOE, SPEECH),
    ...buysSentences(judgement, SPEECH),
    ...partingSentences(judgement, SPEECH),
    waitsSentence(judgement, SPEECH),
  ].flatMap(alone);
  return said.filter((sentence) => {
    const claim = CLAIMS.find(([words]) => words.test(sentence));
    return (
      /undefined|null|NaN/.test(sentence) || (claim && !claim[1](claim[0].exec(sentence)!, judgement, given))
    );
  });
}

/** How many of the sentences that are said are claims that are checked: a check that finds none finds nothing. */
export const claimsIn = (judgement: Judgement): number =>
  [
    stopsSentence(judgement, SPEECH),
    ...doSentences(judgement, SHOE, SPEECH),
    ...buysSentences(judgement, SPEECH),
  ]
    .flatMap(alone)
    .filter((sentence) => CLAIMS.some(([words]) => words.test(sentence))).length;
