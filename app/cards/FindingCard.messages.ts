import { plural } from '@pedastance/core/units';
import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  whyFirst: 'Why first',
  widerThanTheMethodsOwn: (names: Said, count: number) =>
    `Wider than the method’s own band, because the ${names} ${plural(count, 'is', 'are')} only estimated. A tape narrows it.`,
  weighsInStepsThatCan: (total: Said, parts: Said) =>
    `Weighs ${total}: ${parts}, in steps that can just be noticed; what is nearer the ground counts more (starting values).`,
  because: (why: Said, cause: Said) => `Because ${why} (${cause}).`,
  closeCall: '· close call',
  from: (what: Said) => `· from ${what}`,
  leftAlone: '· left alone',
  withItComesBecause: (figure: Said, value: Said, why: Said) =>
    `With it comes: ${figure} ${value}, because ${why}.`,
  theEdgeOfTheBand:
    'The edge of the band is within what the measuring can be off (one standard deviation): it could be either.',
  theLegsDecideThisBand: 'The legs decide this band and have not been tested: a usual figure stands in.',
  bandMiddle: (band: Said, middle: Said, mark: Said) => `Band ${band}, middle ${middle}: ${mark}.`,
  asTaught: '● as taught',
  otherwise: '▲ otherwise',
};
