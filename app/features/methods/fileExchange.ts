import type { FileFault, ReadFile } from '@pedastance/contract/methodFile';
import type { MethodContents } from '@pedastance/core/method';

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
export function pickMethodFile(): Promise<ReadFile | null> {
  return new Promise((resolve, reject) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = '.json,application/json';
    input.addEventListener('cancel', () => resolve(null));
    input.addEventListener('change', () => {
      const file = input.files?.[0];
      if (!file) return resolve(null);
      Promise.all([file.text(), import('@pedastance/contract/methodFile')])
        .then(([text, { readMethodFile }]) => resolve(readMethodFile(text)))
        .catch(reject);
    });
    input.click();
  });
}

/** Hands a method to the device as a file. */
export async function saveMethodFile(contents: MethodContents): Promise<void> {
  const { writeMethodFile } = await import('@pedastance/contract/methodFile');
  const url = URL.createObjectURL(new Blob([writeMethodFile(contents)], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${contents.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.json`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
