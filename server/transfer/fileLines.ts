import { LONGEST_LINE } from '@pedastance/contract/recordsFile';

/** What is wrong with a file as such, so that it is read no further. */
export class Unreadable extends Error {
  constructor(
    readonly line: number,
    readonly expected: string,
    readonly found: string,
  ) {
    super(`line ${line}: expected ${expected}, found ${found}`);
  }
}

const NEWLINE = 0x0a;
const ZIPPED = [
  [0x1f, 0x8b],
  [0x50, 0x4b, 0x03, 0x04],
];

const startsWith = (bytes: Buffer, start: readonly number[]): boolean =>
  start.every((byte, at) => bytes[at] === byte);

const decoder = new TextDecoder('utf-8', { fatal: true });

function decoded(bytes: Buffer, line: number): string {
  if (bytes.length > LONGEST_LINE) throw new Unreadable(line, `at most ${LONGEST_LINE} characters`, 'more');
  try {
    return decoder.decode(bytes);
  } catch {
    throw new Unreadable(line, 'text in UTF-8', 'other bytes');
  }
}

/**
 * The lines of a file, as its bytes come; no more than one line is held.
 * @throws Unreadable for a zipped file, a line that is too long, or bytes that are no UTF-8
 */
export async function* fileLines(chunks: AsyncIterable<Buffer>): AsyncGenerator<string> {
  let rest: Buffer = Buffer.alloc(0);
  let number = 1;
  let first = true;
  for await (const chunk of chunks) {
    if (first && ZIPPED.some((start) => startsWith(chunk, start)))
      throw new Unreadable(1, 'lines of JSON', 'a zipped file; unzip it first');
    first = false;
    let bytes = rest.length === 0 ? chunk : Buffer.concat([rest, chunk]);
    for (let end = bytes.indexOf(NEWLINE); end >= 0; end = bytes.indexOf(NEWLINE)) {
      yield decoded(bytes.subarray(0, end), number);
      number += 1;
      bytes = bytes.subarray(end + 1);
    }
    if (bytes.length > LONGEST_LINE)
      throw new Unreadable(number, `at most ${LONGEST_LINE} characters`, 'more');
    rest = bytes;
  }
  if (rest.length > 0) yield decoded(rest, number);
}
