import type { Speech } from '@pedastance/core/phrases';
import {
  lineWords,
  setbackMark,
  type AddressMeasures,
  type Setup,
  type Item,
  uncertaintyOf,
} from '@pedastance/core/setup';
import { angleFigure, lengthFigure, lengthWithUnit } from '@pedastance/core/units';
import type { Figure } from './LiveFigure';
import { currentSetup, lesson, type Dial, type LoadDial } from '../../state/lesson';
import { findingBand } from '../../domain/sentences';
import type { Judge } from './context';
import { VERDICT_SHAPES, verdictWords } from '../../domain/verdicts';
import { measuredOf } from '../../domain/measured';

const measuresOf = (setup: Setup): AddressMeasures => measuredOf(setup).measures;

const shown = (make: (setup: Setup) => Figure) => (): Figure => {
  const setup = currentSetup(lesson.getState());
  return setup ? make(setup) : { text: '' };
};

/** What a row shows large. */
export function mainFigure(dial: Dial | LoadDial | 'toeLine' | 'heelLine', speech: Speech): () => Figure {
  return shown((setup) => {
    const measures = measuresOf(setup);
    if (dial in setup.balance) return { text: `${Math.round(setup.balance[dial as LoadDial])} %` };
    if (dial === 'leadFlare' || dial === 'trailFlare') return { text: angleFigure(measures[dial], 1) };
    if (dial === 'toeLine' || dial === 'heelLine') return { text: lineWords(measures[dial]) };
    return {
      text: lengthWithUnit(measures[dial as Exclude<Dial, 'leadFlare' | 'trailFlare'>], speech.length),
    };
  });
}

const NOT_MEASURED = '○ not measured';

/** What a row says of its band. */
export function bandFigure(item: Item, judge: Judge, speech: Speech): () => Figure {
  return shown((setup) => {
    const finding = judge(setup)?.findings.find((each) => each.item === item);
    if (!finding) return { text: uncertaintyOf(measuredOf(setup), item) === null ? NOT_MEASURED : '' };
    const word = finding.verdict === 'in' ? 'in' : verdictWords(finding.question, finding.verdict);
    return {
      text: `${VERDICT_SHAPES[finding.verdict]} ${word} ${findingBand(finding, speech)}`,
      verdict: finding.verdict,
    };
  });
}

/** Stance width the other two ways instructors say it. */
export const otherWidths = (speech: Speech): (() => Figure) =>
  shown((setup) => {
    const { outerWidth, gap } = measuresOf(setup);
    return {
      text: `outer ${lengthFigure(outerWidth, speech.length)} · gap ${lengthFigure(gap, speech.length)}`,
    };
  });

export const setbackWords = shown((setup) => ({
  text: `${setbackMark(measuresOf(setup).setbackMarks)} · ${measuresOf(setup).setbackMarks.toFixed(2)} of its length`,
}));
