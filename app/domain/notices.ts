import type { Speech } from '@pedastance/core/phrases';
import type { Notice } from '@pedastance/core/reading';
import { lineWords } from '@pedastance/core/setup';
import { lengthWithUnit } from '@pedastance/core/units';
import { spoken } from './sentences';

type Words = {
  [Kind in Notice['kind']]: (notice: Extract<Notice, { kind: Kind }>, speech: Speech) => string;
};

/** A way of the hips, told in hip breadths. */
const hipBreadths = (share: number): string => {
  if (Math.abs(share - 0.5) < 0.005) return 'half a hip breadth';
  if (Math.abs(share - 2 / 3) < 0.005) return 'two thirds of a hip breadth';
  return `${share.toFixed(2)} hip breadths`;
};

const WORDS: Words = {
  'shoes overlap': ({ gap }, speech) =>
    `The shoes overlap by ${lengthWithUnit(-gap, speech.length)}: one of them is not where it was placed.`,
  'lines disagree': ({ toeLine, heelLine }) =>
    `The toe line is ${lineWords(toeLine)} and the heel line ${lineWords(heelLine)}. A flared foot moves one of them: turn it with the toe kept on its line, or know which line you aim by.`,
  'flare moved the toe line': ({ foot, toeLine, heelLine }) =>
    `The heels are in line (${lineWords(heelLine)}); it is the flare of the ${foot} foot that moved the toe line to ${lineWords(toeLine)}. Put its toe back on the line, and the aim is back with it.`,
  'face follows the feet': ({ stanceLine, clubFace }) =>
    `The feet are ${lineWords(stanceLine)} and the club face ${lineWords(clubFace)}: closing the feet has closed the face with them. Aim the face by itself.`,
  'shoulders against the feet': ({ stanceLine, shoulderLine }) =>
    `The feet are ${lineWords(stanceLine)} and the shoulders ${lineWords(shoulderLine)}: the closed feet may only be cancelling open shoulders. This method does not mean them so.`,
  'ball only looks moved': ({ wider }) =>
    `The ball is where it belongs off the lead heel. In a stance this ${wider ? 'wide' : 'narrow'} it only looks further ${wider ? 'forward' : 'back'}: set the width and leave the ball.`,
  'pitch reverses the trail foot': () =>
    'The same trail foot is right with a full swing. On a pitch it is held back on purpose, so that the swing stays short; the plainer choice is often a club with less loft.',
  'too wide to post': ({ travel, most }) =>
    `Too wide to post for this body: the lead hip has ${hipBreadths(travel)} to go to stand over the lead foot, and ${hipBreadths(most)} is enough. Bring the feet together, or bump the hips a little toward the target.`,
  'turns too far': () =>
    'Turns too far: the club is lost at the top. No closing and no more flare for this student; a three-quarter swing instead.',
};

/** What a reading's notice tells the coach. */
export const noticeWords = (notice: Notice, speech: Speech): string =>
  spoken((WORDS[notice.kind] as (notice: Notice, speech: Speech) => string)(notice, speech), speech);
