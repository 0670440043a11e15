import type { Student } from '@pedastance/contract';
import { isMinor } from '@pedastance/core/body';
import type { CautionFact } from '@pedastance/core/body';

/** What of a leg keeps a ladder from the end of its range. */
const JOINTS: readonly string[] = ['hip', 'knee', 'ankle'];
const STATES: readonly string[] = ['pain', 'operated', 'replaced'];

const spares = ({ status, joint, state }: CautionFact): boolean =>
  status === 'stands' && (state === 'growing' || (JOINTS.includes(joint ?? '') && STATES.includes(state)));

/**
 * Whether a student's ladders stop short of the end: they grow, or something of a leg hurts or was operated on.
 * @param student with the facts to mind
 * @param today YYYY-MM-DD
 * @returns whether they do
 */
export const sparedOnLadders = (student: Student, today: string): boolean =>
  isMinor(student, today) || student.facts.some(spares);
