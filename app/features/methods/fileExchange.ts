import { readMethodFile, writeMethodFile, type ReadFile } from '@pedastance/contract/methodFile';
import type { MethodContents } from '@pedastance/core/method';
import { fileName, pickFile, saveFile } from '../../ui/files';

/** Asks for a file and reads it; null when none was chosen. */
export async function pickMethodFile(): Promise<ReadFile | null> {
  const file = await pickFile('.json,application/json');
  return file && readMethodFile(await file.text());
}

/** Hands a method to the device as a file. */
export const saveMethodFile = (contents: MethodContents): void =>
  saveFile(fileName(contents.name, 'json'), writeMethodFile(contents), 'application/json');
