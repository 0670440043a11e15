import { lengthWithUnit, lineWords, type Notice, type Speech } from '@pedastance/core';
import { spoken } from './sentences';

/** What a reading's notice tells the coach. */
export function noticeWords(notice: Notice, speech: Speech): string {
  if (notice.kind === 'shoes overlap') {
    return `The shoes overlap by ${lengthWithUnit(-notice.gap, speech.length)}: one of them is not where it was placed.`;
  }
  return spoken(
    `The toe line is ${lineWords(notice.toeLine)} and the heel line ${lineWords(notice.heelLine)}. A flared foot moves one of them: turn it with the toe kept on its line, or know which line you aim by.`,
    speech,
  );
}
