import { CLUB_IDS, SHOTS, clubById, checkedClubLength, type ClubId } from '@pedastance/core/club';
import {
  FIGURE_MARKS,
  FIGURE_QUESTIONS,
  QUESTIONS,
  coverageFaults,
  isChoiceQuestion,
  rulesFor,
  type HouseMethod,
  type Question,
  type RuleKind,
  withEveryQuestion,
} from '@pedastance/core/method';
import { CHOICES } from '@pedastance/core/setup';
import { z } from 'zod';
import { isRecord } from './isRecord';
import { Id, Moment, text, whole } from './common';
import { LONGEST_METHOD_NAME, LONGEST_METHOD_TEXT } from './limits';

const ClubLength = z.number().refine(
  (length) => {
    try {
      return checkedClubLength(length) === length;
    } catch {
      return false;
    }
  },
  { error: 'a club length within the Equipment Rules of golf, 18 to 48 in' },
);

const marks = <Shape extends z.ZodRawShape>(shape: Shape) =>
  z
    .array(z.strictObject({ lengthInches: ClubLength, ...shape }))
    .min(2)
    .refine(
      (given) =>
        given.every(
          (mark, at) =>
            at === 0 ||
            (mark as { lengthInches: number }).lengthInches >
              (given[at - 1] as { lengthInches: number }).lengthInches,
        ),
      { error: 'marks in rising order of club length' },
    );

const turn = z.number().min(0).max(90);
const legs = { neededTurn: turn, give: z.number().min(0).max(30), untested: z.number().min(-30).max(60) };

/** The shape of each kind of rule; `value` is a figure in the unit and range of its question. */
function ruleShapes(question: Question) {
  const value = isChoiceQuestion(question)
    ? z.number()
    : z.number().min(FIGURE_QUESTIONS[question].range.least).max(FIGURE_QUESTIONS[question].range.most);
  const choices = isChoiceQuestion(question) ? CHOICES[question] : [''];
  const kind = <Kind extends RuleKind, Shape extends z.ZodRawShape>(name: Kind, shape: Shape) =>
    z.strictObject({ kind: z.literal(name), ...shape });
  return {
    fixed: kind('fixed', { value }),
    'by club': kind('by club', { values: z.partialRecord(z.enum(CLUB_IDS), value) }),
    'by club length': kind('by club length', { marks: marks({ value }) }),
    'shoulders by club length': kind('shoulders by club length', {
      place: z.number().min(0).max(1).optional(),
      marks: marks({ soleBreadths: z.number().min(-3).max(3) }),
    }),
    hips: kind('hips', { share: z.number().min(0.3).max(3) }),
    'gap in club heads': kind('gap in club heads', {
      heads: z.number().min(0).max(10),
      headBreadth: z.number().min(20).max(150),
    }),
    'gap between shoes': kind('gap between shoes', { gap: z.number().min(0).max(900) }),
    'leg test': kind('leg test', legs),
    'what the legs lack': kind('what the legs lack', { ...legs, most: z.number().min(0).max(40) }),
    'by the arc': kind('by the arc', {
      lowPointInside: z.number().min(-100).max(300),
      pathPerDegree: z.number().min(0.1).max(2),
    }),
    'marks of the lead shoe': kind('marks of the lead shoe', { marks: z.number().min(-2).max(2) }),
    'share of the club': kind('share of the club', { share: z.number().min(0.1).max(1.2) }),
    choice: kind('choice', {
      choices: z
        .array(z.enum(choices as [string, ...string[]]))
        .min(1)
        .refine((given) => new Set(given).size === given.length, { error: 'each word once' }),
    }),
    'no view': kind('no view', {}),
  } satisfies Record<RuleKind, z.ZodType>;
}

const answerTo = (question: Question) => {
  const shapes = ruleShapes(question);
  const allowed = rulesFor(question).map((kind) => shapes[kind]) as [
    (typeof shapes)['fixed'],
    (typeof shapes)['no view'],
  ];
  return z
    .strictObject({
      shot: z.enum(SHOTS),
      clubs: z
        .array(z.enum(CLUB_IDS))
        .min(1)
        .refine((given) => new Set(given).size === given.length, { error: 'each club once' }),
      rule: z.discriminatedUnion('kind', allowed),
      tolerance: z.strictObject({ below: z.number().min(0).max(500), above: z.number().min(0).max(500) }),
      mark: z.enum(FIGURE_MARKS),
    })
    .superRefine(({ clubs, rule }, context) => {
      const { kind, values } = rule as { kind: RuleKind; values?: Partial<Record<ClubId, number>> };
      if (kind !== 'by club') return;
      for (const club of clubs.filter((each) => values?.[each] === undefined)) {
        context.addIssue({
          code: 'custom',
          path: ['rule', 'values', club],
          message: `a figure for the ${clubById(club).name}`,
        });
      }
    });
};

const answersTo = (question: Question) =>
  z.strictObject({
    why: text(1, LONGEST_METHOD_TEXT),
    limitsBelow: text(1, LONGEST_METHOD_TEXT),
    limitsAbove: text(1, LONGEST_METHOD_TEXT),
    answers: z
      .array(answerTo(question))
      .min(1)
      .max(CLUB_IDS.length * 2),
  });

const questions = Object.fromEntries(
  QUESTIONS.map((question) => [question, answersTo(question)]),
) as unknown as Record<Question, ReturnType<typeof answersTo>>;

const wholeQuestions = z.strictObject(questions).superRefine((given, context) => {
  for (const { question, club, shot, found } of coverageFaults(given as HouseMethod['questions'])) {
    const played = `the ${clubById(club).name}, ${shot === 'pitch' ? 'pitch' : 'full shot'}`;
    context.addIssue({
      code: 'custom',
      path: [question, 'answers'],
      message: `one answer for ${played}, not ${found === 0 ? 'none' : found}`,
    });
  }
});

const contents = {
  name: text(1, LONGEST_METHOD_NAME),
  summary: text(1, LONGEST_METHOD_TEXT),
  questions: wholeQuestions,
};

/** Contents from before a question was asked: what can be left free is. */
const contentsOfAnyTime = {
  ...contents,
  questions: z.preprocess(
    (given) =>
      isRecord(given) ? withEveryQuestion({ questions: given } as unknown as HouseMethod).questions : given,
    wholeQuestions,
  ),
};

/** A house method as data: every question answered once for every club and shot. */
export const Method = z.strictObject({
  id: Id,
  version: whole(1),
  ...contentsOfAnyTime,
}) as unknown as z.ZodType<HouseMethod>;

/** What a method file carries: the answers, without whose they are or which version. */
export const MethodFile = z.strictObject({
  format: z.literal('pedastance house method'),
  formatVersion: z.literal(1),
  ...contents,
}) as unknown as z.ZodType<
  Pick<HouseMethod, 'name' | 'summary' | 'questions'> & {
    format: 'pedastance house method';
    formatVersion: 1;
  }
>;
export type MethodFile = z.infer<typeof MethodFile>;

/** A version of a method is a write of its own; the first version of a method is version 1. */
export const NewMethodVersion = z.strictObject({
  id: Id,
  madeAt: Moment,
  methodId: Id,
  version: whole(1),
  ...contentsOfAnyTime,
}) as unknown as z.ZodType<
  Pick<HouseMethod, 'name' | 'summary' | 'questions'> & {
    id: string;
    madeAt: string;
    methodId: string;
    version: number;
  }
>;
export type NewMethodVersion = z.infer<typeof NewMethodVersion>;

export const methodOf = ({ methodId, version, name, summary, questions }: NewMethodVersion): HouseMethod => ({
  id: methodId,
  version,
  name,
  summary,
  questions,
});
