import { lineWords, setbackMark, type Setup, notMeasured, FIGURE_WORDS } from '@pedastance/core/setup';
import { angleFigure, lengthWithUnit } from '@pedastance/core/units';
import { inFootWords, type Speech } from '@pedastance/core/phrases';
import { lengthAsTaken, measuredOf } from '../domain/measured';
import { halfTurns, hipsWords, type Turning } from './hips';

/** What of the plan only stands as it is drawn. */
function notMeasuredWords(setup: Setup): string[] {
  const names = notMeasured(setup).map((name) => FIGURE_WORDS[name].name.toLowerCase());
  return names.length > 0 ? [`Not measured: ${names.join('; ')}.`] : [];
}

/** The plan in words, for those who do not see it. */
export function planWords(setup: Setup, { length, feet, hand }: Speech, turning: Turning | null): string {
  const { balance } = setup;
  const { measures } = measuredOf(setup);
  const mm = (value: number) => lengthWithUnit(value, length);
  const told = [
    `Heels ${lengthAsTaken(setup, 'stanceWidth', measures.stanceWidth, length)} apart.`,
    `Lead foot flared ${angleFigure(measures.leadFlare)}, trail foot ${angleFigure(measures.trailFlare)}.`,
    `Toe line ${lineWords(measures.toeLine)}, heel line ${lineWords(measures.heelLine)}.`,
    `Trail toe ${setbackMark(measures.setbackMarks)}.`,
    `Ball ${lengthAsTaken(setup, 'ballAlong', Math.abs(measures.ballAlong), length)} ${measures.ballAlong < 0 ? 'outside' : 'inside'} the lead heel and ${mm(measures.ballOut)} out from the toe line.`,
    `${Math.round(balance.leadShare)} percent of the weight on the lead foot.`,
    ...(turning ? [hipsWords({ halves: halfTurns(turning, setup, measures), hand, footWords: feet })] : []),
    ...notMeasuredWords(setup),
  ].join(' ');
  return inFootWords(told, feet, hand);
}
