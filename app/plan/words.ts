import { measureAddress, lineWords, setbackMark, type Setup } from '@pedastance/core/setup';
import { angleFigure, lengthWithUnit, type LengthUnit } from '@pedastance/core/units';

/** The plan in words, for those who do not see it. */
export function planWords({ address, balance }: Setup, length: LengthUnit): string {
  const measures = measureAddress(address);
  const mm = (value: number) => lengthWithUnit(value, length);
  return [
    `Heels ${mm(measures.stanceWidth)} apart.`,
    `Lead foot flared ${angleFigure(measures.leadFlare)}, trail foot ${angleFigure(measures.trailFlare)}.`,
    `Toe line ${lineWords(measures.toeLine)}, heel line ${lineWords(measures.heelLine)}.`,
    `Trail toe ${setbackMark(measures.setbackMarks)}.`,
    `Ball ${mm(measures.ballAlong)} inside the lead heel and ${mm(measures.ballOut)} out from the toe line.`,
    `${Math.round(balance.leadShare)} percent of the weight on the lead foot.`,
  ].join(' ');
}
