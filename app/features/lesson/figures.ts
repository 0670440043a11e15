import { bandBeside, type Speech } from '@pedastance/core/phrases';
import {
  lineWords,
  setbackMark,
  type AddressMeasures,
  type Setup,
  type Item,
  uncertaintyOf,
  figureOf,
  type SetupFigure,
  isLine,
  isPlaced,
  FIGURES,
} from '@pedastance/core/setup';
import { lengthFigure, figureWithUnit } from '@pedastance/core/units';
import type { Figure } from './LiveFigure';
import { currentSetup, lesson, type Dial, type LoadDial } from '../../state/lesson';
import type { Judge } from './context';
import { VERDICT_SHAPES, verdictWords } from '../../domain/verdicts';
import { lengthAsTaken, lengthFigureAsTaken, measuredOf } from '../../domain/measured';

const measuresOf = (setup: Setup): AddressMeasures => measuredOf(setup).measures;

const shown = (make: (setup: Setup) => Figure) => (): Figure => {
  const setup = currentSetup(lesson.getState());
  return setup ? make(setup) : { text: '' };
};

/** What a row shows large; faintly while it was not measured. At the desk there is no room for "about". */
export function mainFigure(
  dial: Dial | LoadDial | 'toeLine' | 'heelLine',
  speech: Speech,
  atDesk = false,
): () => Figure {
  const name = dial === 'toeLine' ? 'stanceLine' : dial;
  return shown((setup) => {
    const measured = measuredOf(setup);
    const value = figureOf(setup, name, measured.measures)!;
    const lengthText = atDesk ? lengthFigureAsTaken : lengthAsTaken;
    const text =
      isPlaced(name) && FIGURES[name].unit === 'mm'
        ? lengthText(setup, name, value, speech.length)
        : figureText(name, value, speech);
    return { text, faint: uncertaintyOf(measured, name) === null };
  });
}

function figureText(name: SetupFigure, value: number, speech: Speech): string {
  if (isLine(name)) return lineWords(value);
  return figureWithUnit(value, FIGURES[name].unit, speech.length);
}

const NOT_MEASURED = '○ not measured';

/** What a row says of its band. */
export function bandFigure(item: Item, judge: Judge, speech: Speech): () => Figure {
  return shown((setup) => {
    const finding = judge(setup)?.findings.find((each) => each.item === item);
    if (!finding) return { text: uncertaintyOf(measuredOf(setup), item) === null ? NOT_MEASURED : '' };
    const word = verdictWords(finding.question, finding.verdict);
    return {
      text: `${VERDICT_SHAPES[finding.verdict]} ${word} ${bandBeside(finding.question, finding, speech.length)}`,
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
