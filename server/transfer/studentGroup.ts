import type { LineOf } from '@pedastance/contract/recordsFile';

/** A student of a file with all that belongs to it, and the line each stands on. */
export interface StudentGroup {
  student: LineOf<'student'>;
  parts: {
    at: number;
    line: LineOf<'build' | 'screen' | 'consent' | 'lesson' | 'entry' | 'photo' | 'tick' | 'pain answer'>;
  }[];
}
