import type { NewBuild } from '@pedastance/contract';
import { sameClubAndShot, type ClubId, type ShotType } from '@pedastance/core/club';
import type { Setup } from '@pedastance/core/setup';
import { useMemo } from 'react';
import { outgrown } from '../domain/outgrown';
import { recordsOf, type LogRecord } from '@pedastance/contract/records';
import { useRecords } from './records';

/** The newest record of a club and shot, or of any, in the body a student has now; none from before it grew. */
export type LastRecord = (
  club?: ClubId,
  shot?: ShotType,
  which?: (record: LogRecord) => boolean,
) => LogRecord | null;

/** What the log last has of a student's feet. */
export function useLastRecord(studentId: string, build: NewBuild | null): LastRecord {
  const entries = useRecords((state) => state.entries);
  const builds = useRecords((state) => state.builds);
  const student = useRecords((state) => state.students[studentId]);
  return useMemo(() => {
    const records = recordsOf(Object.values(entries), studentId);
    return (club, shot, which = () => true) =>
      records.find((record) => {
        const { address, reading } = record;
        return (
          build !== null &&
          which(record) &&
          (club === undefined || shot === undefined || sameClubAndShot(address, { club, shot })) &&
          !outgrown(builds[reading.buildId], build, student)
        );
      }) ?? null;
  }, [entries, builds, studentId, student, build]);
}

/** The feet that a record agreed on, else those it found. */
export const feetOf = (record: LogRecord | null): Setup | null =>
  record && (record.agreed ?? record.address).setup;
