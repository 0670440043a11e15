import { BAG, canPitch, clubById, type ClubAndShot, type ClubId, type ShotType } from '../club';
import { QUESTIONS, type Question } from './questions';
import type { Answer, HouseMethod } from './types';

/** What is played, with the club's own length. */
export interface Played extends ClubAndShot {
  clubLengthInches: number;
}

/**
 * A key that two are equal by when they are played alike.
 * @param played the club, its length and the shot
 * @returns a key
 */
export const playedKey = ({ club, shot, clubLengthInches }: Played): string =>
  `${club} ${shot} ${clubLengthInches}`;

/** Every club with every shot played with it. */
export const CLUBS_AND_SHOTS: readonly ClubAndShot[] = BAG.flatMap(({ id }) => [
  { club: id, shot: 'full' as const },
  ...(canPitch(id) ? [{ club: id, shot: 'pitch' as const }] : []),
]);

/**
 * A club and shot at the club's usual length.
 * @param clubAndShot the club and shot
 * @returns the same with the length, inches
 */
export const asPlayed = ({ club, shot }: ClubAndShot): Played => ({
  club,
  shot,
  clubLengthInches: clubById(club).lengthInches,
});

const covers = (answer: Answer, club: ClubId, shot: ShotType): boolean =>
  answer.shot === shot && answer.clubs.includes(club);

/** A club and shot that a question answers never, or more than once. */
export interface CoverageFault extends ClubAndShot {
  question: Question;
  found: number;
}

/**
 * What is missing from, or given twice in, a method; empty when every answer is there once.
 * @param questions a method’s
 * @returns each question, club and shot with how many answers were found
 */
export function coverageFaults(questions: HouseMethod['questions']): CoverageFault[] {
  return QUESTIONS.flatMap((question) =>
    CLUBS_AND_SHOTS.flatMap(({ club, shot }) => {
      const found = questions[question].answers.filter((answer) => covers(answer, club, shot)).length;
      return found === 1 ? [] : [{ question, club, shot, found }];
    }),
  );
}

/**
 * The one answer that a method gives to a question for a club and shot.
 * @param method the house method
 * @param question the question
 * @param club the club
 * @param shot full or pitch
 * @returns the answer
 * @throws Error when the method has no answer; the schema refuses such a method at every edge
 */
export function answerFor(method: HouseMethod, question: Question, club: ClubId, shot: ShotType): Answer {
  const found = method.questions[question].answers.find((answer) => covers(answer, club, shot));
  if (!found) throw new Error(`${method.name} has no answer for ${question}, ${club}, ${shot}`);
  return found;
}
