import type { AddressEntry, LogEntry, Logged, LookEntry, TrialEntry } from '@pedastance/contract';
import { addressesIn } from '@pedastance/contract/standing';
import {
  inTime,
  isKind,
  placedShots,
  planOfTrial,
  standingShots,
  type Hit,
} from '@pedastance/contract/trialLog';
import {
  made,
  nextInFactorial,
  nextOf,
  type FactorialShot,
  type Arm,
  type Look,
  type Shot,
  type TrialPlan,
  type TrialShot,
} from '@pedastance/core/trial';

/** A trial as its log has it: what was declared, every shot that stands, every look. */
export interface Trial {
  entry: Logged<TrialEntry>;
  /** The two setups. */
  addresses: Record<Arm, AddressEntry>;
  /** Every way of standing: A and B, or each way of combining the changes that are taken apart. */
  ways: AddressEntry[];
  /** In the order they were hit, those taken back left out; warm-ups, and shots of one of the two setups. */
  shots: (TrialShot & Hit)[];
  /** The same of a trial that takes changes apart. */
  factorialShots: (FactorialShot & Hit)[];
  looks: Logged<LookEntry>[];
}

/** A student's trials, newest first. One whose parts have not all come yet waits. */
export function trialsOf(entries: readonly LogEntry[], studentId: string): Trial[] {
  const own = entries.filter((entry) => entry.studentId === studentId);
  const addresses = addressesIn(own);
  const shots = standingShots(own);
  const looks = own.filter(isKind('look'));
  return own
    .filter(isKind('trial'))
    .flatMap((entry): Trial[] => {
      const a = addresses.get(entry.addressAId);
      const b = addresses.get(entry.addressBId);
      const ways = entry.apart ? entry.apart.addressIds.map((id) => addresses.get(id)) : [a, b];
      if (!a || !b || !ways.every((way) => way !== undefined)) return [];
      return [
        {
          entry,
          addresses: { A: a, B: b },
          ways,
          ...placedShots(shots.filter(({ trialId }) => trialId === entry.id)),
          looks: looks
            .filter(({ trialId }) => trialId === entry.id)
            .sort((one, other) => one.look - other.look),
        },
      ];
    })
    .sort((one, other) => inTime(other.entry, one.entry));
}

export const planOf = ({ entry }: Pick<Trial, 'entry'>): TrialPlan => planOfTrial(entry);

/** What a trial came to; null while it goes on. */
export function decided({ looks }: Pick<Trial, 'looks'>): 'keep' | 'drop' | null {
  const last = looks[looks.length - 1];
  return last && last.decision !== 'go on' ? last.decision : null;
}

/** A pause this long ends a sitting (starting value): the next shot is cold again. */
const SITTING_ENDS_MS = 3 * 60 * 60 * 1000;

/** Every shot of a trial, of whichever kind it is. */
export const hitsOf = ({
  entry,
  shots,
  factorialShots,
}: Trial): readonly ((TrialShot | FactorialShot) & Hit)[] => (entry.apart ? factorialShots : shots);

/** The way a shot was stood, by its place among the ways; warm-ups are stood as today. */
export function wayOf(place: TrialShot['place'] | FactorialShot['place']): number {
  if (place.warmUp) return 0;
  return 'cell' in place ? place.cell : place.arm === 'A' ? 0 : 1;
}

/** The sitting a shot hit now belongs to. */
export function sittingNow(trial: Trial, now: Date): number {
  const last = hitsOf(trial).at(-1);
  if (!last) return 0;
  return now.getTime() - Date.parse(last.madeAt) > SITTING_ENDS_MS ? last.sitting + 1 : last.sitting;
}

/** What comes next in a trial of either kind; the way to stand by its place among the ways. */
export type NextUp =
  | { kind: 'look'; look: Look }
  | { kind: 'warm-up'; left: number; way: 0 }
  | { kind: 'shot'; way: number; block: number; inBlock: number; toLook: number; changed: boolean };

export type NextShot = Exclude<NextUp, { kind: 'look' }>;

/** What comes next in a trial by its log. */
export function nextIn(trial: Trial, now: Date): NextUp {
  const { entry, shots, factorialShots, looks } = trial;
  const plan = planOf(trial);
  const sitting = sittingNow(trial, now);
  if (entry.apart) {
    const next = nextInFactorial(plan, entry.apart.changes.length, factorialShots, sitting);
    if (next.kind === 'look') return { kind: 'look', look: 1 };
    return next.kind === 'warm-up' ? { ...next, way: 0 } : { ...next, way: next.cell };
  }
  const next = nextOf(plan, entry.warmUps, shots, sitting, looks.length);
  if (next.kind === 'look') return next;
  return next.kind === 'warm-up' ? { ...next, way: 0 } : { ...next, way: next.arm === 'A' ? 0 : 1 };
}

/** What a way of standing is called: A today, B with all of it, between them A with the changes' numbers. */
export function wayName({ entry, ways }: Trial, way: number): string {
  if (way === 0) return 'A';
  if (way === ways.length - 1 || !entry.apart) return 'B';
  return `A${entry.apart.changes.flatMap((_, change) => (made(way, change) ? [change + 1] : [])).join('+')}`;
}

/** A shot of a trial whose figures come from the monitor's file afterwards, and have not come yet. */
export const isAwaited = ({ shot }: { shot: Shot }): boolean =>
  Object.keys(shot).length === 1 && !shot.mishit;

/** Whether a trial waits for its monitor's file: every shot up to the look is hit, and not all have figures. */
export const awaitsFile = (trial: Trial): boolean =>
  trial.entry.source === 'file' && hitsOf(trial).some(isAwaited);

/** A trial's shots with what their setups are called, in the order they were hit; warm-ups only where asked for. */
export const namedShots = (trial: Trial, withWarmUps = false) =>
  hitsOf(trial)
    .filter(({ place }) => withWarmUps || !place.warmUp)
    .map((hit) => ({
      name: hit.place.warmUp ? '~' : wayName(trial, wayOf(hit.place)),
      shot: hit.shot,
      awaited: isAwaited(hit),
    }));

/** How many shots of a student the log has. */
export const shotCount = (entries: readonly LogEntry[], studentId: string): number =>
  standingShots(entries.filter((entry) => entry.studentId === studentId)).reduce(
    (sum, { shots }) => sum + shots.length,
    0,
  );
