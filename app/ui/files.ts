/** Asks the device for a file, or its camera for a picture; null when none was chosen. */
export function pickFile(accept: string, camera = false): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    if (camera) input.capture = 'environment';
    input.addEventListener('cancel', () => resolve(null));
    input.addEventListener('change', () => resolve(input.files?.[0] ?? null));
    input.click();
  });
}

/** A name that any device takes as a file's. */
export const fileName = (words: string, ending: string): string =>
  `${words.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.${ending}`;

/** Lets the browser load a file from this server and keep it. */
export function saveFrom(path: string): void {
  const link = document.createElement('a');
  link.href = path;
  link.download = '';
  link.click();
}

/** Hands words to the device as a file. */
export const saveFile = (name: string, text: string, type: string): void =>
  saveBlob(name, new Blob([text], { type }));

/** Hands anything to the device as a file. */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
