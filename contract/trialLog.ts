/** A trial's shots put together from the entries of a log; the device and the server read it alike. */
import type { Comparison, FactorialShot, TrialPlan, TrialShot } from '@pedastance/core/trial';
import type { LogEntry, Logged } from './lessons';
import type { LookEntry, ShotsEntry, TrialEntry } from './trials';

export interface Hit {
  id: string;
  madeAt: string;
}

/** Shots with their places in a trial's order, of either kind, in the order they were hit. */
export interface PlacedShots {
  shots: (TrialShot & Hit)[];
  factorialShots: (FactorialShot & Hit)[];
}

export const isKind =
  <Kind extends LogEntry['kind']>(kind: Kind) =>
  (entry: LogEntry): entry is Extract<LogEntry, { kind: Kind }> =>
    entry.kind === kind;

export const inTime = (a: { madeAt: string; id: string }, b: { madeAt: string; id: string }): number =>
  a.madeAt.localeCompare(b.madeAt) || a.id.localeCompare(b.id);

/** Shots that stand: those that were taken back, and those that replaced them with nothing, are not there. */
export function standingShots(entries: readonly LogEntry[]): Logged<ShotsEntry>[] {
  const shots = entries.filter(isKind('shots'));
  const replaced = new Set(shots.map(({ replaces }) => replaces));
  return shots.filter(({ id, shots: hit }) => !replaced.has(id) && hit.length > 0).sort(inTime);
}

/** A trial's shots with their places, in the one order or the other. */
export function placedShots(entries: readonly Logged<ShotsEntry>[]): PlacedShots {
  const placed: PlacedShots = { shots: [], factorialShots: [] };
  for (const { id, madeAt, place, sitting, shots } of entries) {
    for (const shot of shots) {
      const hit = { id, madeAt, sitting, shot };
      if (!place) continue;
      if (place.warmUp) {
        placed.shots.push({ ...hit, place });
        placed.factorialShots.push({ ...hit, place });
        continue;
      }
      const { block, arm, cell } = place;
      if (arm !== undefined) placed.shots.push({ ...hit, place: { warmUp: false, block, arm } });
      if (cell !== undefined) placed.factorialShots.push({ ...hit, place: { warmUp: false, block, cell } });
    }
  }
  return placed;
}

/** What of a declared trial decides its looks. */
export const planOfTrial = (entry: Pick<TrialEntry, keyof TrialPlan>): TrialPlan => {
  const { primary, margin, mishits, warmUps, length, blockSize, seed } = entry;
  return { primary, margin, mishits, warmUps, length, blockSize, seed };
};

/** A comparison as a look keeps it. */
export function evidenceOf(primary: Comparison | null): LookEntry['evidence'] {
  if (!primary) return null;
  const { difference, shift, interval, p, exact, arrangements, chance, count, mean } = primary;
  return { difference, shift, interval, p, exact, arrangements, chance, count, mean };
}
