/** A house method as a file, which carries it from one academy to another. */
import type { MethodContents } from '@pedastance/core/method';
import { faultsOf, type Fault } from './faults';
import { readJsonFile, type FileFault } from './jsonFile';
import { MethodFile } from './method';

export type ReadFile = { contents: MethodContents } | { faults: FileFault[] };

/** Reads a method file. What is wrong with it is told line by line, and then nothing is taken. */
export function readMethodFile(text: string): ReadFile {
  const read = readJsonFile(text, MethodFile, 'a house method');
  if ('faults' in read) return read;
  const { name, summary, questions } = read.value;
  return { contents: { name, summary, questions } };
}

/** A method as the text of its file. */
export function writeMethodFile({ name, summary, questions }: MethodContents): string {
  const file = { format: 'pedastance house method', formatVersion: 1, name, summary, questions };
  return `${JSON.stringify(file, null, 1)}\n`;
}

/** What is wrong with a method as it is being written; empty when it could be a file. */
export function faultsIn({ name, summary, questions }: MethodContents): Fault[] {
  const file = { format: 'pedastance house method', formatVersion: 1, name, summary, questions };
  const parsed = MethodFile.safeParse(file);
  return parsed.success ? [] : faultsOf(parsed.error, file);
}
