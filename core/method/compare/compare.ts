import {
  bandsFor,
  noNarrower,
  verdictFor,
  questionOf,
  type Band,
  type HouseMethod,
  type Played,
  type Question,
  type BandVerdict,
} from '..';
import type { Body } from '../../turn';
import {
  CHOICE_QUESTIONS,
  ITEMS,
  measureSetup,
  measuredFigure,
  type Setup,
  type Item,
  type Measured,
} from '../../setup';

// Piece by piece: who compares methods loads nothing of the reading.

/** What one method says of one question. */
export interface ComparedCell {
  /** No narrower than the figure's ±; null where the method has no view, or the question is answered by a word. */
  band: Band | null;
  /** The words it takes; null where it has no view, or the question is answered by a figure. */
  wanted: readonly string[] | null;
  /** Null where it has no view, or nothing was looked at. */
  verdict: BandVerdict | 'as taught' | 'otherwise' | null;
  why: string;
}

export interface ComparedRow {
  question: Question;
  /** What is measured for it; null for a question answered by a word. */
  item: Item | null;
  measured: Measured | null;
  seen: string | null;
  cells: ComparedCell[];
  /** Whether one answer would please all who have a view. */
  agreement: 'agree' | 'split' | 'at most one view';
}

/** Whether one figure or word would please everybody with a view. */
function agreementOf(cells: readonly ComparedCell[]): ComparedRow['agreement'] {
  const bands = cells.flatMap(({ band }) => band ?? []);
  const words = cells.flatMap(({ wanted }) => (wanted ? [wanted] : []));
  if (bands.length + words.length < 2) return 'at most one view';
  if (words.length > 0) {
    return words[0]!.some((word) => words.every((wanted) => wanted.includes(word))) ? 'agree' : 'split';
  }
  const highestLow = Math.max(...bands.map(({ low }) => low));
  const lowestHigh = Math.min(...bands.map(({ high }) => high));
  return highestLow <= lowestHigh ? 'agree' : 'split';
}

/**
 * One setup, body, club and shot against several methods: a row a question, a cell a method.
 * @param setup the setup
 * @param body the build and legs
 * @param played the club, its length in inches, and the shot
 * @param methods two or more
 * @returns rows in the order of the questions
 */
export function compareMethods(
  setup: Setup,
  body: Body,
  played: Played,
  methods: readonly HouseMethod[],
): ComparedRow[] {
  const taken = measureSetup(setup);
  const bands = methods.map((method) => bandsFor(method, body, played));
  const figures = ITEMS.map((item): ComparedRow => {
    const question = questionOf(item);
    const measured = measuredFigure(taken, item);
    const cells = methods.map((method, at): ComparedCell => {
      const own = bands[at]!.figures[question] ?? null;
      const band = own && measured ? noNarrower(own, measured.uncertainty) : own;
      const verdict = band && measured && verdictFor(measured.value, band.low, band.high);
      return { band, wanted: null, verdict, why: method.questions[question].why };
    });
    return { question, item, measured, seen: null, cells, agreement: agreementOf(cells) };
  });
  const choices = CHOICE_QUESTIONS.map((question): ComparedRow => {
    const seen = setup.posture?.choices[question] ?? null;
    const cells = methods.map((method, at): ComparedCell => {
      const wanted = bands[at]!.choices[question] ?? null;
      const asTaught = wanted !== null && seen !== null && wanted.includes(seen);
      const verdict = wanted && seen !== null ? (asTaught ? 'as taught' : 'otherwise') : null;
      return { band: null, wanted, verdict, why: method.questions[question].why };
    });
    return { question, item: null, measured: null, seen, cells, agreement: agreementOf(cells) };
  });
  return [...figures, ...choices];
}
