import { useEffect, useMemo } from 'react';
import { currentOwner } from './account';
import { openStudent, refreshStudent, useRecords } from './records';
import { recordsOf } from '@pedastance/contract/records';

/**
 * Opens a student's part of the records, and brings it up to the server's. Answers whether it is open.
 * @param id - undefined while it is not known yet
 */
export function useOpenStudent(id: string | undefined): boolean {
  const loaded = useRecords((state) => state.loaded);
  const opened = useRecords((state) => id !== undefined && state.opened[id] === true);
  useEffect(() => {
    const owner = currentOwner();
    if (owner && loaded && id !== undefined)
      void openStudent(owner, id).then((asked) => (asked ? undefined : refreshStudent(owner, id)));
  }, [id, loaded]);
  return loaded && opened;
}

/** A student with the log as this device has it, brought up to the server's when it is opened. */
export function useStudentLog(id: string) {
  const student = useRecords((state) => state.students[id]);
  const entries = useRecords((state) => state.entries);
  const loaded = useOpenStudent(id);
  const records = useMemo(() => recordsOf(Object.values(entries), id), [entries, id]);
  return { student, records, loaded };
}
