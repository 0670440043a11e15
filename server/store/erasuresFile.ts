import { appendFile, readFile } from 'node:fs/promises';
import type { Pool } from 'pg';
import { erasedStudents, type ErasedStudent } from './erasures';

const textOf = (erased: ErasedStudent): string => JSON.stringify(erased);

async function linesOf(file: string): Promise<string[]> {
  try {
    return (await readFile(file, 'utf8')).split('\n').filter(Boolean);
  } catch (error) {
    if ((error as { code?: string }).code === 'ENOENT') return [];
    throw error;
  }
}

/** The erasures a file has. @throws Error naming the line that is none */
export async function erasuresIn(file: string): Promise<ErasedStudent[]> {
  return (await linesOf(file)).map((line, at) => {
    try {
      return JSON.parse(line) as ErasedStudent;
    } catch {
      throw new Error(`${file}, line ${at + 1}: expected an erasure, found ${line.slice(0, 40)}`);
    }
  });
}

/**
 * Writes every erasure of the database down in a file apart from it, where it is not there yet: a backup from before
 * an erasure brings the student back, and restoring it erases again by this file.
 */
export async function keepErasuresApart(pool: Pool, file: string): Promise<void> {
  const known = new Set(await linesOf(file));
  const missing = (await erasedStudents(pool)).map(textOf).filter((line) => !known.has(line));
  if (missing.length > 0)
    await appendFile(file, missing.map((line) => `${line}\n`).join(''), { mode: 0o600 });
}
