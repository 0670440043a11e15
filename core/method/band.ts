import { SD_IN_95_PERCENT, type Build, type BuildFigureName } from '../build';
import type { Answer, Rule, ShouldersRule } from './types';

/** What a finding is held against, in the question's own unit. */
export interface Band {
  low: number;
  middle: number;
  high: number;
  /** Build figures that are only estimated and made the band wider than the method's own. */
  widenedBy: BuildFigureName[];
}

/** Sole breadths to add to the shoulders for a club of this length (linear, held at the ends). */
export function soleBreadthsFor(rule: ShouldersRule, lengthInches: number): number {
  const { marks } = rule;
  const first = marks[0]!;
  const last = marks[marks.length - 1]!;
  if (lengthInches <= first.lengthInches) return first.soleBreadths;
  if (lengthInches >= last.lengthInches) return last.soleBreadths;
  const upper = marks.findIndex((mark) => mark.lengthInches >= lengthInches);
  const from = marks[upper - 1]!;
  const to = marks[upper]!;
  const share = (lengthInches - from.lengthInches) / (to.lengthInches - from.lengthInches);
  return from.soleBreadths + share * (to.soleBreadths - from.soleBreadths);
}

/** A rule's middle as a weighted sum of build figures and a constant, so its error can follow. */
interface Middle {
  constant: number;
  weights: Partial<Record<BuildFigureName, number>>;
}

function middleOf(rule: Rule, clubLengthInches: number): Middle {
  switch (rule.kind) {
    case 'fixed':
      return { constant: rule.value, weights: {} };
    case 'gap in club heads':
      return { constant: rule.heads * rule.headBreadth, weights: { shoeBreadth: 1 } };
    case 'shoulders by club length':
      return {
        constant: 0,
        weights: { shoulderBreadth: 1, shoeBreadth: soleBreadthsFor(rule, clubLengthInches) },
      };
  }
}

/**
 * The band of an answer for a build and a club: the rule's middle, and the method's tolerance or
 * the 95% reach of the build figures behind the middle where that is wider.
 */
export function bandFor(answer: Answer, build: Build, clubLengthInches: number): Band {
  const { constant, weights } = middleOf(answer.rule, clubLengthInches);
  const used = Object.entries(weights) as [BuildFigureName, number][];
  const middle = used.reduce((sum, [name, weight]) => sum + weight * build[name].value, constant);
  const sd = Math.hypot(...used.map(([name, weight]) => weight * build[name].uncertainty));
  const reach = SD_IN_95_PERCENT * sd;
  const { below, above } = answer.tolerance;
  const wider = reach > below || reach > above;
  return {
    low: middle - Math.max(below, reach),
    middle,
    high: middle + Math.max(above, reach),
    widenedBy: wider
      ? used
          .filter(([name, weight]) => weight !== 0 && build[name].source === 'estimated')
          .map(([name]) => name)
      : [],
  };
}
