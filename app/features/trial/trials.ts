import type { AddressEntry, LogEntry, LookEntry, ShotsEntry, TrialEntry } from '@pedastance/contract';
import { nextOf, type Arm, type Next, type TrialPlan, type TrialShot } from '@pedastance/core/trial';

type Of<Kind> = Kind & Pick<LogEntry, 'studentId' | 'receivedAt'>;

/** A trial as its log has it: what was declared, every shot that stands, every look. */
export interface Trial {
  entry: Of<TrialEntry>;
  /** The two setups. */
  addresses: Record<Arm, AddressEntry>;
  /** In the order they were hit, those taken back left out. */
  shots: (TrialShot & { id: string; madeAt: string })[];
  looks: Of<LookEntry>[];
}

const isKind =
  <Kind extends LogEntry['kind']>(kind: Kind) =>
  (entry: LogEntry): entry is Extract<LogEntry, { kind: Kind }> =>
    entry.kind === kind;

const inTime = (a: { madeAt: string; id: string }, b: { madeAt: string; id: string }): number =>
  a.madeAt.localeCompare(b.madeAt) || a.id.localeCompare(b.id);

/** Shots that stand: those that were taken back, and those that replaced them with nothing, are not there. */
export function standingShots(entries: readonly LogEntry[]): Of<ShotsEntry>[] {
  const shots = entries.filter(isKind('shots'));
  const replaced = new Set(shots.map(({ replaces }) => replaces));
  return shots.filter(({ id, shots: hit }) => !replaced.has(id) && hit.length > 0).sort(inTime);
}

const placed = ({ id, madeAt, place, sitting, shots }: Of<ShotsEntry>): Trial['shots'] =>
  place ? shots.map((shot) => ({ id, madeAt, place, sitting, shot })) : [];

/** A student's trials, newest first. One whose parts have not all come yet waits. */
export function trialsOf(entries: readonly LogEntry[], studentId: string): Trial[] {
  const own = entries.filter((entry) => entry.studentId === studentId);
  const addresses = new Map(own.filter(isKind('address')).map((entry) => [entry.id, entry]));
  const shots = standingShots(own);
  const looks = own.filter(isKind('look'));
  return own
    .filter(isKind('trial'))
    .flatMap((entry): Trial[] => {
      const a = addresses.get(entry.addressAId);
      const b = addresses.get(entry.addressBId);
      if (!a || !b) return [];
      return [
        {
          entry,
          addresses: { A: a, B: b },
          shots: shots.filter(({ trialId }) => trialId === entry.id).flatMap(placed),
          looks: looks
            .filter(({ trialId }) => trialId === entry.id)
            .sort((one, other) => one.look - other.look),
        },
      ];
    })
    .sort((one, other) => inTime(other.entry, one.entry));
}

export const planOf = ({ entry }: Pick<Trial, 'entry'>): TrialPlan => {
  const { primary, margin, mishits, warmUps, blockSize, seed } = entry;
  return { primary, margin, mishits, warmUps, blockSize, seed };
};

/** What a trial came to; null while it goes on. */
export function decided({ looks }: Pick<Trial, 'looks'>): 'keep' | 'drop' | null {
  const last = looks[looks.length - 1];
  return last && last.decision !== 'go on' ? last.decision : null;
}

/** A pause this long ends a sitting (starting value): the next shot is cold again. */
const SITTING_ENDS_MS = 3 * 60 * 60 * 1000;

/** The sitting a shot hit now belongs to. */
export function sittingNow({ shots }: Pick<Trial, 'shots'>, now: Date): number {
  const last = shots[shots.length - 1];
  if (!last) return 0;
  return now.getTime() - Date.parse(last.madeAt) > SITTING_ENDS_MS ? last.sitting + 1 : last.sitting;
}

/** What comes next in a trial by its log. */
export const nextIn = (trial: Trial, now: Date): Next =>
  nextOf(planOf(trial), trial.entry.warmUps, trial.shots, sittingNow(trial, now), trial.looks.length);
