import {
  CLUB_IDS,
  QUESTIONS,
  SHOTS,
  checkedClubLength,
  coverageFaults,
  type HouseMethod,
  type Question,
} from '@pedastance/core';
import { z } from 'zod';
import { Id, text } from './common';

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

const FixedRule = z.strictObject({ kind: z.literal('fixed'), value: z.number().min(-1000).max(1000) });

const ShouldersRule = z.strictObject({
  kind: z.literal('shoulders by club length'),
  marks: z
    .array(z.strictObject({ lengthInches: ClubLength, soleBreadths: z.number().min(-3).max(3) }))
    .min(2)
    .refine(
      (marks) => marks.every((mark, at) => at === 0 || mark.lengthInches > marks[at - 1]!.lengthInches),
      { error: 'marks in rising order of club length' },
    ),
});

const ClubHeadsRule = z.strictObject({
  kind: z.literal('gap in club heads'),
  heads: z.number().min(0).max(10),
  headBreadth: z.number().min(20).max(150),
});

const Answer = z.strictObject({
  shot: z.enum(SHOTS),
  clubs: z.array(z.enum(CLUB_IDS)).min(1),
  rule: z.discriminatedUnion('kind', [FixedRule, ShouldersRule, ClubHeadsRule]),
  tolerance: z.strictObject({ below: z.number().min(0).max(500), above: z.number().min(0).max(500) }),
  mark: z.enum(['common practice, no source', 'starting value', 'from memory']),
});

const QuestionAnswers = z.strictObject({
  why: text(1, 500),
  limitsBelow: text(1, 500),
  limitsAbove: text(1, 500),
  answers: z.array(Answer).min(1),
});

const questions = Object.fromEntries(QUESTIONS.map((question) => [question, QuestionAnswers])) as Record<
  Question,
  typeof QuestionAnswers
>;

/** A house method as data: every question answered once for every club and shot. */
export const Method: z.ZodType<HouseMethod> = z
  .strictObject({
    id: Id,
    version: z.int().min(1),
    name: text(1, 80),
    summary: text(1, 500),
    questions: z.strictObject(questions),
  })
  .superRefine((method, context) => {
    for (const fault of coverageFaults(method.questions)) {
      context.addIssue({ code: 'custom', path: ['questions'], message: fault });
    }
  });
