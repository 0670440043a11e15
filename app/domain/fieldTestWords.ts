import type { TestEntry, TestName, TestOf } from '@pedastance/contract';
import { STICK_PLACES, stripesTell } from '@pedastance/core/balance';
import {
  finishHeld,
  lowPointTold,
  setbackFound,
  settledMiddle,
  strikesLean,
  type LowPointTold,
} from '@pedastance/core/ladder';
import type { Speech } from '@pedastance/core/phrases';
import { alongFoot } from '@pedastance/core/setup';
import { lengthFigure, saidLength, type LengthUnit } from '@pedastance/core/units';
import { spoken } from './sentences';
import { messages } from './fieldTestWords.messages';

export const testName = (test: TestName): string => messages.names[test];
export const rungName = (rung: keyof typeof messages.rungs, speech: Speech): string =>
  spoken(messages.rungs[rung], speech);

const percent = (value: number): string => `${Math.round(value)}%`;

function insideWords({ inside: { low, high } }: LowPointTold, length: LengthUnit): string {
  const say = (mm: number) => saidLength(Math.abs(mm), length);
  if (low >= 0) return messages.inside(lengthFigure(low, length), say(high));
  if (high <= 0) return messages.outside(lengthFigure(-high, length), say(low));
  return messages.about(say(high), say(low));
}

type Contents<Name extends TestName> = Omit<TestOf<Name>, 'id' | 'lessonId' | 'madeAt' | 'replaces' | 'kind'>;

const WORDS: { [Name in TestName]: (of: Contents<Name>, speech: Speech) => string } = {
  setback({ tries }, speech) {
    const told = setbackFound(tries);
    return told ? messages.setback(rungName(told.rung, speech), told.held, told.of) : '';
  },
  'low point'({ tries, ballAlong }, { length }) {
    const told = lowPointTold(tries, ballAlong);
    if (told) return insideWords(told, length);
    const leans = strikesLean(tries);
    return leans ? messages[leans] : '';
  },
  settled({ tries }) {
    const told = settledMiddle(tries.map(({ along }) => along));
    return told ? messages.settled(alongFoot(told.middle), percent(told.low), percent(told.high)) : '';
  },
  stripe({ tries }) {
    if (tries.length === 0) return '';
    // Which route is taught does not matter to what was seen; the step says what it means.
    const [told] = stripesTell(tries, 'centred');
    return told ? messages.stripe(messages.stripes[told.pattern], told.seen, told.of) : messages.stripeKept;
  },
  broomstick({ tries }) {
    const counts = STICK_PLACES.map((place) => ({
      place,
      times: tries.filter(({ felt }) => felt === place).length,
    }));
    const most = counts.reduce((best, each) => (each.times > best.times ? each : best));
    return most.times > 0 ? messages.broomstick(most.place, most.times, tries.length) : '';
  },
  lift({ tries }) {
    const told = finishHeld(tries);
    return told ? messages.lift(told.held, told.of) : '';
  },
  finish({ tries }) {
    const told = finishHeld(tries);
    return told ? messages.finish(told.held, told.of) : '';
  },
};

/** What a test found, in a sentence; empty before it tells anything. */
export const testFound = <Name extends TestName>(
  of: Contents<Name> & { test: Name },
  speech: Speech,
): string => spoken((WORDS[of.test] as (of: Contents<Name>, speech: Speech) => string)(of, speech), speech);

/** The same of an entry of the log. */
export const entryFound = (entry: TestEntry, speech: Speech): string => testFound(entry, speech);
