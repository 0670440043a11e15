import { useRecords } from '../state/records';
import { Notice } from '../ui/Notice';
import type { LogRecord } from '@pedastance/contract/records';
import { outgrown } from '../domain/outgrown';
import { messages } from './Outgrown.messages';

/** Says so where a student has grown so much since a record that its figures are another body's. */
export function Outgrown({ record: { reading } }: { record: LogRecord }) {
  const then = useRecords((state) => state.builds[reading.buildId]);
  const student = useRecords((state) => state.students[reading.studentId]);
  if (!outgrown(then, student?.build, student)) return null;
  return <Notice kind="caution">{messages.hasGrownByOrMore}</Notice>;
}
