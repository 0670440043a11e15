import { PracticeSet, type PracticePicture } from '@pedastance/contract/practice';
import type { Guess } from '@pedastance/core/photo';
import { create } from 'zustand';
import { currentOwner } from './account';
import { deviceDatabase, guessesKey } from './database';

/** The rendered pictures ship with the app: they are there without a connection. */
const FOLDER = '/practice';

/** The pictures to practise on. @throws where they cannot be read */
export async function practicePictures(): Promise<PracticePicture[]> {
  const answer = await fetch(`${FOLDER}/practice.json`);
  if (!answer.ok) throw new Error(`practice.json: ${answer.status}`);
  return PracticeSet.parse(await answer.json());
}

export const pictureAddress = ({ name }: PracticePicture): string => `${FOLDER}/${name}.jpg`;

/** As many of the newest guesses are kept: an eye gets better. */
const MOST_GUESSES = 120;

/** What this coach guessed on this device, newest last; null until it is read. */
export const useGuesses = create<{ owner: string | null; guesses: Guess[] | null }>(() => ({
  owner: null,
  guesses: null,
}));

/** Reads the guesses of who is signed in. */
export async function readGuesses(): Promise<void> {
  const owner = currentOwner();
  const kept = owner ? await (await deviceDatabase()).get('device', guessesKey(owner)) : undefined;
  useGuesses.setState({ owner, guesses: (kept as Guess[] | undefined) ?? [] });
}

/** Keeps one more guess. */
export async function keepGuess(guess: Guess): Promise<void> {
  const { owner, guesses } = useGuesses.getState();
  if (!owner || !guesses) return;
  const more = [...guesses, guess].slice(-MOST_GUESSES);
  useGuesses.setState({ guesses: more });
  await (await deviceDatabase()).put('device', more, guessesKey(owner));
}
