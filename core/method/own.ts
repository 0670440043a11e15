import type { Bands } from './bands';
import { withExceptions, type BandException } from './exceptions';
import { questionOf } from './questions';
import { differences, figureOf, heldWithin, type Item, type Setup } from '../setup';

/** A figure that was agreed with a student for a club: from then on it is the student's own. */
export interface AgreedFigure {
  /** The lead heel's lift is agreed for the swing and read against no band. */
  item: Item | 'leadHeelLift';
  /** Which way it was moved. */
  by: 'more' | 'less';
  /** mm, degrees or percent */
  to: number;
  /** It was agreed in this very lesson: it is tried before it goes further. */
  today: boolean;
}

/** What each told change is read as, where that is another item. */
const READ_AS: Partial<Record<string, Item>> = { setback: 'stanceLine', leadToeOut: 'ballOut' };

/**
 * The item that a told change is read as.
 * @param change a figure of a setup, or how a ball is set off
 * @returns the item that its band stands for
 * @example itemReadFor('setback') // 'stanceLine'
 */
export const itemReadFor = (change: string): Item => READ_AS[change] ?? (change as Item);

/**
 * What a change agreed on: the figures that it moved, and nothing that it left alone.
 * @param from the setup before, mm, degrees and percent
 * @param agreed the setup that was agreed on
 * @param lift how far the lead heel is let up before and after, mm
 * @param today whether that was in this very lesson
 * @returns the figures, from the ground up
 */
export function agreedFigures(
  from: Setup,
  agreed: Setup,
  lift: { from: number; to: number },
  today: boolean,
): AgreedFigure[] {
  const moved = differences(from, agreed).flatMap(({ change }): AgreedFigure[] => {
    const item = itemReadFor(change);
    const [was, is] = [figureOf(from, item), figureOf(agreed, item)];
    if (is === undefined) return [];
    return [{ item, by: was === undefined || is > was ? 'more' : 'less', to: is, today }];
  });
  if (lift.from === lift.to) return moved;
  return [...moved, { item: 'leadHeelLift', by: lift.to > lift.from ? 'more' : 'less', to: lift.to, today }];
}

/** A stance line that is taped anew is told apart from the one agreed from so much on, degrees (a setback within 28 mm). */
const LINE_REACH = 3;

/** How far from what was agreed an item still holds. */
const reachOf = (item: Item): number => (item === 'stanceLine' ? LINE_REACH : heldWithin(item));

/**
 * Bands with what was agreed as the student's own in place of the method's: as far either way as it is said to have held
 * (`heldSince`), so that nothing that held is out of its band. The middle stays the method's.
 * @param bands what the method asks
 * @param agreed what was agreed with this club, oldest first: the newest word on a figure holds
 * @returns the bands that the student is judged by
 */
export function withAgreed(bands: Bands, agreed: readonly AgreedFigure[]): Bands {
  if (agreed.length === 0) return bands;
  const figures = { ...bands.figures };
  for (const { item, to } of agreed) {
    const question = item === 'leadHeelLift' ? null : questionOf(item);
    const method = question && bands.figures[question];
    if (!question || !method) continue;
    const reach = reachOf(item as Item);
    figures[question] = { ...method, low: to - reach, high: to + reach, own: true };
  }
  return { ...bands, figures };
}

/** What a student has of their own in place of a method's bands: what was agreed with a club, and what was tested. */
export interface OwnBands {
  agreed: readonly AgreedFigure[];
  exceptions: readonly BandException[];
}

/** Nothing agreed and nothing tested: the method's bands hold. */
export const NO_OWN_BANDS: OwnBands = { agreed: [], exceptions: [] };

/**
 * Bands with a student's own in place of the method's; what was tested stands before what was agreed.
 * @param bands what the method asks
 * @param own what was agreed and what was tested
 * @returns the bands that the student is judged, read and measured by
 */
export const ownBands = (bands: Bands, { agreed, exceptions }: OwnBands): Bands =>
  withExceptions(withAgreed(bands, agreed), exceptions);
