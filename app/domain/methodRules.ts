import type { Body } from '@pedastance/core/turn';
import { BAG, canPitch, clubById, type ClubId } from '@pedastance/core/club';
import {
  bandsFor,
  FIGURE_QUESTIONS,
  isChoiceQuestion,
  type Answer,
  type FigureQuestion,
  type HouseMethod,
  type Question,
  type Rule,
  type ShouldersRule,
  type RuleKind,
} from '@pedastance/core/method';
import { questionFigure } from '@pedastance/core/phrases';
import { CHOICES } from '@pedastance/core/setup';
import { figureWithUnit, lengthWithUnit, type Unit, type LengthUnit } from '@pedastance/core/units';

/** What each kind of rule is called where one is chosen. */
export const RULE_NAMES: Record<RuleKind, string> = {
  fixed: 'One figure',
  'by club': 'One per club',
  'by club length': 'Moves with club length',
  'shoulders by club length': 'By the shoulders',
  hips: 'By the hips',
  'gap in club heads': 'Gap in club heads',
  'gap between shoes': 'Gap between the shoes',
  'leg test': 'By the leg test',
  'what the legs lack': 'By what the legs lack',
  'by the arc': 'By the arc',
  'marks of the lead shoe': 'Marks of the lead shoe',
  'share of the club': 'Share of the club',
  choice: 'One of these',
  'no view': 'Left free',
};

/** What a figure of a rule is: in its question's own unit, or in one of its own. */
export type FieldUnit = Unit | 'question' | 'inches' | 'soles' | 'times';

interface RuleField {
  name: string;
  label: string;
  unit: FieldUnit;
}

const field = (name: string, label: string, unit: FieldUnit): RuleField => ({ name, label, unit });

const LEGS = [
  field('neededTurn', 'Turn that is needed', 'degrees'),
  field('give', 'Give of shoe, ankle and knee', 'degrees'),
  field('untested', 'Until the legs are tested', 'degrees'),
];

/** The figures that each kind of rule has by name. */
export const RULE_FIELDS: Record<RuleKind, readonly RuleField[]> = {
  fixed: [field('value', 'Middle', 'question')],
  'by club': [],
  'by club length': [],
  'shoulders by club length': [],
  hips: [field('share', 'Hip breadths', 'times')],
  'gap in club heads': [field('heads', 'Club heads', 'times'), field('headBreadth', 'A head is', 'mm')],
  'gap between shoes': [field('gap', 'Between the soles', 'mm')],
  'leg test': LEGS,
  'what the legs lack': [...LEGS, field('most', 'Closed at most', 'degrees')],
  'by the arc': [
    field('lowPointInside', 'Low point, inside lead heel', 'mm'),
    field('pathPerDegree', 'Path for a degree of line', 'times'),
  ],
  'marks of the lead shoe': [field('marks', 'Shoes back from the lead toe', 'times')],
  'share of the club': [field('share', 'Of the club’s length', 'times')],
  choice: [],
  'no view': [],
};

const middleFor = (
  method: HouseMethod,
  question: FigureQuestion,
  body: Body,
  club: ClubId,
  answer: Answer,
): number => {
  const played = { club, shot: answer.shot, clubLengthInches: clubById(club).lengthInches };
  const { least, most } = FIGURE_QUESTIONS[question].range;
  const usual = Math.min(most, Math.max(least, 0));
  return bandsFor(method, body, played).figures[question]?.middle ?? usual;
};

/** A rule of another kind that asks for about what the answer asked for before. */
export function startingRule(
  kind: RuleKind,
  method: HouseMethod,
  question: Question,
  answer: Answer,
  body: Body,
): Rule {
  if (isChoiceQuestion(question)) {
    return kind === 'choice' ? { kind, choices: [CHOICES[question][0]!] } : { kind: 'no view' };
  }
  const middle = (club: ClubId) => Math.round(middleFor(method, question, body, club, answer));
  const clubs = BAG.map(({ id }) => id).filter((id) => answer.clubs.includes(id));
  const first = clubs[0]!;
  const last = clubs[clubs.length - 1]!;
  const shortest = clubById(last).lengthInches;
  const longest = Math.max(clubById(first).lengthInches, shortest + 1);
  const rules: Record<RuleKind, Rule> = {
    fixed: { kind: 'fixed', value: middle(clubs[Math.floor(clubs.length / 2)]!) },
    'by club': { kind: 'by club', values: Object.fromEntries(clubs.map((club) => [club, middle(club)])) },
    'by club length': {
      kind: 'by club length',
      marks: [
        { lengthInches: shortest, value: middle(last) },
        { lengthInches: longest, value: middle(first) },
      ],
    },
    'shoulders by club length': {
      kind: 'shoulders by club length',
      place: 0.5,
      marks: [
        { lengthInches: 36, soleBreadths: -1 },
        { lengthInches: 38, soleBreadths: 0 },
        { lengthInches: 43, soleBreadths: 1 },
      ],
    },
    hips: { kind: 'hips', share: 1 },
    'gap in club heads': { kind: 'gap in club heads', heads: 2, headBreadth: 80 },
    'gap between shoes': { kind: 'gap between shoes', gap: 150 },
    'leg test': { kind: 'leg test', neededTurn: 45, give: 10, untested: 20 },
    'what the legs lack': { kind: 'what the legs lack', neededTurn: 45, give: 10, most: 12, untested: 0 },
    'by the arc': { kind: 'by the arc', lowPointInside: 90, pathPerDegree: 0.5 },
    'marks of the lead shoe': { kind: 'marks of the lead shoe', marks: 0.25 },
    'share of the club': { kind: 'share of the club', share: 0.58 },
    choice: { kind: 'no view' },
    'no view': { kind: 'no view' },
  };
  return rules[kind];
}

const times = (value: number): string => String(Math.round(value * 100) / 100).replace('-', '\u2212');

/** Where the shoulders' edges fall on the shoes. */
function edgeUnder(soles: number): string {
  if (soles === 0) return 'shoulders over the middle of the feet';
  if (Math.abs(soles) === 1) return `shoulders over the ${soles < 0 ? 'outer' : 'inner'} edges`;
  return `shoulders ${soles > 0 ? 'and' : 'less'} ${times(Math.abs(soles))} soles`;
}

/** Places along a shoe that a plumb line may meet, as a share of it from the heel. */
export const PLUMB_PLACES = [
  { value: 0, words: 'at the heels' },
  { value: 0.5, words: 'at the middle of the shoes' },
  { value: 0.75, words: 'at the balls of the feet' },
] as const;

const placeWords = (place: number): string =>
  PLUMB_PLACES.find(({ value }) => value === place)?.words ??
  `at ${times(100 * place)}% of the shoes from the heel`;

/** A width by the shoulders: which edge of the shoes, by the club, and where along them. */
const shouldersWords = ({ marks, place }: ShouldersRule): string => {
  const edges = marks.map(
    ({ lengthInches, soleBreadths }) => `${edgeUnder(soleBreadths)} at ${lengthInches} in`,
  );
  return `${edges.join(', ')}${place === undefined ? ', soles square' : `, by plumb line ${placeWords(place)}`}`;
};

/** A rule in a few words, with its figures. */
export function ruleWords(question: Question, rule: Rule, length: LengthUnit): string {
  const figure = (value: number) =>
    isChoiceQuestion(question) ? String(value) : questionFigure(question, value, length);
  switch (rule.kind) {
    case 'fixed':
      return figure(rule.value);
    case 'by club':
      return Object.entries(rule.values)
        .map(([club, value]) => `${clubById(club as ClubId).name} ${figure(value)}`)
        .join(', ');
    case 'by club length':
      return rule.marks.map((mark) => `${figure(mark.value)} at ${mark.lengthInches} in`).join(', ');
    case 'shoulders by club length':
      return shouldersWords(rule);
    case 'hips':
      return rule.share === 1 ? 'heels under the hips' : `${times(rule.share)} hip breadths`;
    case 'gap in club heads':
      return `${times(rule.heads)} club heads of ${lengthWithUnit(rule.headBreadth, length)} between the soles`;
    case 'gap between shoes':
      return `${lengthWithUnit(rule.gap, length)} between the soles`;
    case 'leg test':
      return `what the trail leg leaves over of ${figureWithUnit(rule.neededTurn, 'degrees', length)}`;
    case 'what the legs lack':
      return `closed by what the legs lack of ${figureWithUnit(rule.neededTurn, 'degrees', length)}, at most ${figureWithUnit(rule.most, 'degrees', length)}`;
    case 'by the arc':
      return 'by where on the arc the ball is met';
    case 'marks of the lead shoe':
      return `trail toe ${times(rule.marks)} of the lead shoe back`;
    case 'share of the club':
      return `${times(rule.share * 100)}% of the club’s length`;
    case 'choice':
      return rule.choices.join(' or ');
    case 'no view':
      return 'left free';
  }
}

const SHORTEST_RUN = 3;

/** Clubs by name; three and more in a row as from to. */
function runs(clubs: readonly ClubId[]): string {
  const names: string[] = [];
  for (let at = 0; at < BAG.length; at += 1) {
    if (!clubs.includes(BAG[at]!.id)) continue;
    let last = at;
    while (last + 1 < BAG.length && clubs.includes(BAG[last + 1]!.id)) last += 1;
    if (last - at + 1 >= SHORTEST_RUN) names.push(`${BAG[at]!.name} to ${BAG[last]!.name}`);
    else names.push(...BAG.slice(at, last + 1).map(({ name }) => name));
    at = last;
  }
  return names.join(', ');
}

/** The clubs of an answer in a few words. */
export function clubsWords({ shot, clubs }: Pick<Answer, 'shot' | 'clubs'>): string {
  const what = shot === 'pitch' ? 'Pitch' : 'Full swing';
  const all = BAG.filter(({ id }) => shot === 'full' || canPitch(id));
  return all.every(({ id }) => clubs.includes(id)) ? `${what}, all clubs` : `${what}: ${runs(clubs)}`;
}
