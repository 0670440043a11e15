import { createHash } from 'node:crypto';
import { appendFile, readFile, truncate } from 'node:fs/promises';
import type { Pool } from 'pg';
import { erasedStudents, type ErasedStudent } from './erasures';

/** The first eight digits of a line's SHA-256: one that was cut off or changed is known. */
const sumOf = ({ academy, student, erasedAt }: ErasedStudent): string =>
  createHash('sha256').update(`${academy} ${student} ${erasedAt}`).digest('hex').slice(0, 8);

const textOf = (erased: ErasedStudent): string => JSON.stringify({ ...erased, sum: sumOf(erased) });

/** A line of the file; null where it is none. Lines from before there were sums have none. */
function erasedIn(line: string): ErasedStudent | null {
  try {
    const { academy, student, erasedAt, sum } = JSON.parse(line) as ErasedStudent & { sum?: string };
    const erased = { academy, student, erasedAt };
    const whole = [academy, student, erasedAt].every((each) => typeof each === 'string');
    return whole && (sum === undefined || sum === sumOf(erased)) ? erased : null;
  } catch {
    return null;
  }
}

/** The lines of the file, and what stands after the last newline: a line that a crash cut off, if anything. */
async function linesOf(file: string): Promise<{ lines: string[]; rest: string }> {
  try {
    const lines = (await readFile(file, 'utf8')).split('\n');
    const rest = lines.pop()!;
    return { lines, rest };
  } catch (error) {
    if ((error as { code?: string }).code === 'ENOENT') return { lines: [], rest: '' };
    throw error;
  }
}

/**
 * The erasures a file has, and its last line where that was cut off.
 * @throws Error naming a line that is none
 */
export async function erasuresIn(file: string): Promise<{ erased: ErasedStudent[]; torn: string | null }> {
  const { lines, rest } = await linesOf(file);
  const last = rest === '' ? null : erasedIn(rest);
  const erased = lines.map((line, at) => {
    const found = erasedIn(line);
    if (!found) throw new Error(`${file}, line ${at + 1}: expected an erasure, found ${line.slice(0, 40)}`);
    return found;
  });
  return last ? { erased: [...erased, last], torn: null } : { erased, torn: rest || null };
}

/**
 * Writes every erasure of the database down in a file apart from it, where it is not there yet: a backup from before
 * an erasure brings the student back, and restoring it erases again by this file. A line that was cut off goes first.
 */
export async function keepErasuresApart(pool: Pool, file: string): Promise<void> {
  const { lines, rest } = await linesOf(file);
  if (rest !== '') await truncate(file, Buffer.byteLength(lines.map((line) => `${line}\n`).join('')));
  const known = new Set(lines.flatMap((line) => erasedIn(line)?.student ?? []));
  const missing = (await erasedStudents(pool)).filter(({ student }) => !known.has(student));
  if (missing.length > 0)
    await appendFile(file, missing.map((erased) => `${textOf(erased)}\n`).join(''), { mode: 0o600 });
}
