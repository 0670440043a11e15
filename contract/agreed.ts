import type { ChangeEntry, ExceptionEntry, LogEntry, Logged } from './lessons';
import type { TrialEntry } from './trials';
import { isKind } from './trialLog';
import type { Remedy } from '@pedastance/core/body';
import { sameClubAndShot, type ClubAndShot } from '@pedastance/core/club';
import { agreedFigures, type AgreedFigure } from '@pedastance/core/method';
import type { Setup } from '@pedastance/core/setup';
import { exceptionsWith, standingExceptions } from './exceptions';
import { ofShot, recordsOf } from './records';
import { standingOf } from './standing';

/** A figure that was agreed with a student, and when. */
export interface Agreed extends AgreedFigure {
  agreedAt: string;
}

/** A figure that a trial showed to be dropped, and when. */
interface Dropped extends Remedy {
  droppedAt: string;
}

/** Whose agreements with which club are asked for, and in which lesson. */
export interface AgreedWith extends ClubAndShot {
  entries: readonly LogEntry[];
  studentId: string;
  lessonId: string | null;
}

/** Every figure that was agreed with the club, oldest first. */
function everAgreed({ entries, studentId, lessonId, ...played }: AgreedWith): Agreed[] {
  let lift = 0;
  return ofShot(recordsOf(entries, studentId), played)
    .reverse()
    .flatMap(({ address, agreed, change }): Agreed[] => {
      if (!agreed || !change) return [];
      const { leadHeelLift, madeAt: agreedAt } = change as Logged<ChangeEntry>;
      const today = change.lessonId === lessonId;
      const figures = agreedFigures(address.setup, agreed.setup, { from: lift, to: leadHeelLift }, today);
      lift = leadHeelLift;
      return figures.map((each) => ({ ...each, agreedAt }));
    });
}

/** What trials with the club had dropped: the way in which the feet tried differ from those before. */
function dropped({ entries, studentId, ...played }: AgreedWith): Dropped[] {
  const setups = new Map(
    entries.flatMap((entry): [string, Setup][] =>
      entry.kind === 'address' && sameClubAndShot(entry, played) ? [[entry.id, entry.setup]] : [],
    ),
  );
  const trials = new Map(entries.filter(isKind('trial')).map((trial) => [trial.id, trial as TrialEntry]));
  return standingOf(entries, 'look', studentId)
    .filter(({ decision }) => decision === 'drop')
    .flatMap(({ trialId, madeAt: droppedAt }): Dropped[] => {
      const trial = trials.get(trialId);
      const [from, to] = [setups.get(trial?.addressAId ?? ''), setups.get(trial?.addressBId ?? '')];
      if (!from || !to) return [];
      return agreedFigures(from, to, { from: 0, to: 0 }, false).flatMap(({ item, by }) =>
        item === 'leadHeelLift' ? [] : [{ item, by, droppedAt }],
      );
    });
}

/** When each figure was let go of with the club, in an entry that ends what was agreed and not what was tested. */
const letGo = ({ entries, studentId, club }: AgreedWith): { item: string; at: string }[] =>
  standingOf(entries, 'exception', studentId)
    .filter((each) => each.ended && each.replaces === null && (each.club === null || each.club === club))
    .map(({ item, madeAt: at }) => ({ item, at }));

/** What was agreed with a club and stands, the newest word on each figure, and what was tried and dropped. */
export function agreedWith(asked: AgreedWith): { agreed: Agreed[]; dropped: Remedy[] } {
  const gone = dropped(asked);
  const over = letGo(asked);
  const ever = everAgreed(asked);
  const isGone = ({ item, by, agreedAt }: Agreed) =>
    over.some((each) => each.item === nameOf(item) && each.at > agreedAt) ||
    gone.some((each) => each.item === item && each.by === by && each.droppedAt > agreedAt);
  const newest = ever.filter((each, at) => ever.findLastIndex(({ item }) => item === each.item) === at);
  return {
    agreed: newest.filter((each) => !isGone(each)),
    dropped: gone
      .filter(
        ({ item, by, droppedAt }) =>
          !ever.some((each) => each.item === item && each.by === by && each.agreedAt > droppedAt),
      )
      .map(({ item, by }) => ({ item, by })),
  };
}

/** What a figure is called where a band of it is ended: both soles have one. */
export const nameOf = (item: AgreedFigure['item']) =>
  item === 'leadHeelToe' || item === 'trailHeelToe' ? ('heelToe' as const) : item;

/** What a student has of their own with a club: what was agreed, what was tested, and what was tried and dropped. */
export interface OwnStanding {
  agreed: readonly Agreed[];
  exceptions: readonly Logged<ExceptionEntry>[];
  dropped: readonly Remedy[];
}

export const NOTHING_OWN: OwnStanding = { agreed: [], exceptions: [], dropped: [] };

/** The newest word on each figure holds: a tested band that is older than what was agreed gives way to it. */
export function ownWith(asked: AgreedWith): OwnStanding {
  const { agreed, dropped: gone } = agreedWith(asked);
  const tested = exceptionsWith(standingExceptions(asked.entries, asked.studentId), asked.club);
  const isOlder = ({ item, madeAt }: Logged<ExceptionEntry>) =>
    agreed.some((each) => nameOf(each.item) === item && each.agreedAt > madeAt);
  return { agreed, exceptions: tested.filter((each) => !isOlder(each)), dropped: gone };
}
