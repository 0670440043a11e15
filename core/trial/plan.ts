import { normals, seeded } from '../statistics';
import { drawOrder, TRIAL_LOOKS, type Design } from './design';
import { permutationTest, type Stage } from './permute';

const TRIALS = 400;

/**
 * How often a trial keeps a change that is worth `margin` to a student whose shots scatter by
 * `scatter`, by each of the looks, 0 to 1: played through with the very design and levels, shots
 * drawn from a normal, seeded. What one side has to show, nobody can know before; this is the reason
 * for the number of shots.
 * @param margin the difference worth having, in the outcome’s unit
 * @param scatter one standard deviation of a shot, same unit
 * @param dealt how the trial is dealt: its block size and length
 * @param trials how many are played through
 * @param seed of the draws
 * @returns one chance for each look, 0 to 1
 */
export function powerByLook(
  margin: number,
  scatter: number,
  dealt: Pick<Design, 'blockSize' | 'length'>,
  trials: number = TRIALS,
  seed: number = 1,
): number[] {
  const random = seeded(seed);
  const normal = normals(random);
  const effect = margin / scatter;
  const { shots, levels } = TRIAL_LOOKS[dealt.length];
  const kept = shots.map(() => 0);
  for (let trial = 0; trial < trials; trial += 1) {
    const order = drawOrder({ seed: Math.floor(random() * 2 ** 32), ...dealt });
    const stages = order.map((labels): Stage => ({
      isB: labels.map((arm) => arm === 'B'),
      blocks: labels.map((arm) => {
        let sum = 0;
        for (let shot = 0; shot < dealt.blockSize; shot += 1) sum += normal() + (arm === 'B' ? effect : 0);
        return { count: dealt.blockSize, sum };
      }),
    }));
    const options = { mostExact: 20_000, draws: 2000, seed: trial };
    const at = levels.findIndex(
      (level, look) => permutationTest(stages.slice(0, look + 1), options).p <= level,
    );
    for (let look = at; at >= 0 && look < shots.length; look += 1) kept[look]! += 1;
  }
  return kept.map((of) => of / trials);
}
