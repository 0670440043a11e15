/** Few readings of what is truly somewhere: how often what is told of them holds. Prints rows of a table: usage small.ts <count>. */
import { lowPointTold, settledMiddle } from '@pedastance/core/ladder';
import { normals, seeded } from '@pedastance/core';

const count = Number(process.argv[2] ?? 600);
const percent = (share: number): string => `${(100 * share).toFixed(1)}%`;
const seeds = Array.from({ length: count }, (_, at) => 31 * at + 7);
const share = (values: readonly boolean[]): number => values.filter(Boolean).length / values.length;

/** Divots of one student: as long as theirs are, deepest where theirs are, scattering as theirs do. */
function divotsHold(of: number): number {
  return share(
    seeds.map((seed) => {
      const random = seeded(seed + 1000 * of);
      const normal = normals(random);
      const [length, scatter] = [70 + 90 * random(), 15 + 30 * random()];
      const deepest = 0.45 + 0.08 * normal();
      const truth = 60 * normal();
      const shots = Array.from({ length: of }, () => {
        const low = truth + scatter * normal();
        const long = length * (1 + 0.15 * normal());
        const end = (at: number) => Math.round(at + 7 * normal());
        return {
          mark: null,
          strike: null,
          start: end(low - deepest * long),
          end: end(low + (1 - deepest) * long),
        };
      });
      const { inside } = lowPointTold(shots, 100)!;
      return inside.low <= 100 - truth && 100 - truth <= inside.high;
    }),
  );
}

/** Where weight comes to rest by an eye that leans, one way for a whole lesson. */
function settledHolds(of: number): number {
  return share(
    seeds.map((seed) => {
      const normal = normals(seeded(seed + 1000 * of));
      const truth = 50 + 4 * normal();
      const leans = 5 * normal();
      const places = Array.from({ length: of }, () => truth + leans + 4 * normal());
      const { low, high } = settledMiddle(places)!;
      return low <= truth && truth <= high;
    }),
  );
}

const row = (what: string, held: number) => ({
  what,
  value: percent(held),
  aim: '93 to 97%',
  met: held >= 0.93 && held <= 0.97,
});
console.log(
  JSON.stringify([
    ...[3, 5, 12].map((of) => row(`${of} divots: where the club is lowest holds`, divotsHold(of))),
    ...[3, 6].map((of) => row(`${of} settlings by eye: the middle holds`, settledHolds(of))),
  ]),
);
