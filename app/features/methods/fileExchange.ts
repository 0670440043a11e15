import type { FileFault, ReadFile } from '@pedastance/contract/methodFile';
import type { MethodContents } from '@pedastance/core/method';
import { fileName, pickFile, saveFile } from '../../ui/files';

const MOST_TOLD = 8;

/** A fault of a file in the coach's words. */
const faultWords = ({ line, field, expected, found }: FileFault): string =>
  `Line ${line}, ${field}: expected ${expected}, found ${found}.`;

/** The first faults of a file, and how many more there are. */
export function faultsWords(faults: readonly FileFault[]): string[] {
  const told = faults.slice(0, MOST_TOLD).map(faultWords);
  return faults.length > MOST_TOLD ? [...told, `And ${faults.length - MOST_TOLD} more.`] : told;
}

/** Asks for a file and reads it; null when none was chosen. */
export async function pickMethodFile(): Promise<ReadFile | null> {
  const file = await pickFile('.json,application/json');
  if (!file) return null;
  const [text, { readMethodFile }] = await Promise.all([
    file.text(),
    import('@pedastance/contract/methodFile'),
  ]);
  return readMethodFile(text);
}

/** Hands a method to the device as a file. */
export async function saveMethodFile(contents: MethodContents): Promise<void> {
  const { writeMethodFile } = await import('@pedastance/contract/methodFile');
  saveFile(fileName(contents.name, 'json'), writeMethodFile(contents), 'application/json');
}
