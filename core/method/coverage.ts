import { BAG, canPitch, clubById, type ClubId, type Shot } from '../club';
import { QUESTIONS, type Answer, type HouseMethod, type Question } from './types';

/** Every club with every shot played with it. */
export const CLUBS_AND_SHOTS: readonly { club: ClubId; shot: Shot }[] = BAG.flatMap(({ id }) => [
  { club: id, shot: 'full' as const },
  ...(canPitch(id) ? [{ club: id, shot: 'pitch' as const }] : []),
]);

const covers = (answer: Answer, club: ClubId, shot: Shot): boolean =>
  answer.shot === shot && answer.clubs.includes(club);

/** What is missing from, or given twice in, a method; empty when every answer is there once. */
export function coverageFaults(questions: HouseMethod['questions']): string[] {
  return QUESTIONS.flatMap((question) =>
    CLUBS_AND_SHOTS.flatMap(({ club, shot }) => {
      const given = questions[question].answers.filter((answer) => covers(answer, club, shot)).length;
      if (given === 1) return [];
      const what = `${question}, ${clubById(club).name}, ${shot} shot`;
      return [
        given === 0
          ? `${what}: expected an answer, found none`
          : `${what}: expected one answer, found ${given}`,
      ];
    }),
  );
}

/** @throws Error when the method has no answer; the schema refuses such a method at every edge. */
export function answerFor(method: HouseMethod, question: Question, club: ClubId, shot: Shot): Answer {
  const found = method.questions[question].answers.find((answer) => covers(answer, club, shot));
  if (!found) throw new Error(`${method.name} has no answer for ${question}, ${club}, ${shot}`);
  return found;
}
