import { BAG, type ClubId } from '@pedastance/core/club';
import type { Answer, HouseMethod, MethodContents, Question, Rule, Tolerance } from '@pedastance/core/method';

/** Changes to a method's answers; each makes a new one and leaves the old as it was. */

function withAnswers(
  contents: MethodContents,
  question: Question,
  change: (answers: readonly Answer[]) => Answer[],
): MethodContents {
  const given = contents.questions[question];
  const questions = { ...contents.questions, [question]: { ...given, answers: change(given.answers) } };
  return { ...contents, questions };
}

const inBagOrder = (clubs: readonly ClubId[]): ClubId[] =>
  BAG.map(({ id }) => id).filter((id) => clubs.includes(id));

export const withAnswer = (
  contents: MethodContents,
  question: Question,
  at: number,
  change: Partial<Pick<Answer, 'rule' | 'tolerance' | 'mark'>>,
): MethodContents =>
  withAnswers(contents, question, (answers) =>
    // A figure that a coach has changed is the coach's own, wherever the old one came from.
    answers.map((answer, place) =>
      place === at ? { ...answer, mark: 'starting value', ...change } : answer,
    ),
  );

export const withRule = (
  contents: MethodContents,
  question: Question,
  at: number,
  rule: Rule,
): MethodContents => withAnswer(contents, question, at, { rule });

export const withTolerance = (
  contents: MethodContents,
  question: Question,
  at: number,
  tolerance: Tolerance,
): MethodContents => withAnswer(contents, question, at, { tolerance });

export const withWhy = (contents: MethodContents, question: Question, why: string): MethodContents => ({
  ...contents,
  questions: { ...contents.questions, [question]: { ...contents.questions[question], why } },
});

/** A rule's figures for these clubs only, where it has one for each club. */
const forClubs = (rule: Rule, clubs: readonly ClubId[]): Rule =>
  rule.kind === 'by club'
    ? { ...rule, values: Object.fromEntries(clubs.map((club) => [club, rule.values[club] ?? 0])) }
    : rule;

/** Some clubs of an answer get an answer of their own, which begins as the same. */
export function split(
  contents: MethodContents,
  question: Question,
  at: number,
  clubs: readonly ClubId[],
): MethodContents {
  return withAnswers(contents, question, (answers) =>
    answers.flatMap((answer, place) => {
      if (place !== at) return [answer];
      const own = inBagOrder(answer.clubs.filter((club) => clubs.includes(club)));
      const rest = inBagOrder(answer.clubs.filter((club) => !clubs.includes(club)));
      if (own.length === 0 || rest.length === 0) return [answer];
      return [
        { ...answer, clubs: rest, rule: forClubs(answer.rule, rest) },
        { ...answer, clubs: own, rule: forClubs(answer.rule, own) },
      ];
    }),
  );
}

/** An answer's clubs go to the first other answer for the same shot. */
export function join(contents: MethodContents, question: Question, at: number): MethodContents {
  return withAnswers(contents, question, (answers) => {
    const gone = answers[at]!;
    const into = answers.findIndex((answer, place) => place !== at && answer.shot === gone.shot);
    if (into < 0) return [...answers];
    const joined = answers.map((answer, place) => {
      if (place !== into) return answer;
      const clubs = inBagOrder([...answer.clubs, ...gone.clubs]);
      if (answer.rule.kind !== 'by club') return { ...answer, clubs };
      const usual = Object.values(answer.rule.values)[0] ?? 0;
      const values = Object.fromEntries(
        clubs.map((club) => [
          club,
          (answer.rule as Extract<Rule, { kind: 'by club' }>).values[club] ?? usual,
        ]),
      );
      return { ...answer, clubs, rule: { kind: 'by club' as const, values } };
    });
    return joined.filter((_, place) => place !== at);
  });
}

export const contentsOf = ({ name, summary, questions }: HouseMethod): MethodContents => ({
  name,
  summary,
  questions,
});
