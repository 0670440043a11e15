import { useEffect, useMemo } from 'react';
import { currentOwner } from './account';
import { refreshStudent, useRecords } from './records';
import { recordsOf } from '../domain/records';

/** A student with the log as this device has it, brought up to the server's when it is opened. */
export function useStudentLog(id: string) {
  const student = useRecords((state) => state.students[id]);
  const entries = useRecords((state) => state.entries);
  const loaded = useRecords((state) => state.loaded);
  const records = useMemo(() => recordsOf(Object.values(entries), id), [entries, id]);
  useEffect(() => {
    const owner = currentOwner();
    if (owner && loaded) void refreshStudent(owner, id);
  }, [id, loaded]);
  return { student, records, loaded };
}
