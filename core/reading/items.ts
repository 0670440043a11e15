import type { AddressMeasures, Balance, MeasureUncertainty, Setup } from '../ground';
import { FIGURE_QUESTIONS, type FigureQuestion, type Part, type Unit } from '../method';
import { POSTURE_FIGURES, POSTURE_UNCERTAINTY, type PostureFigure, type Sighting } from '../posture';
import type { Item } from './types';

/** A figure as it was measured, with one standard deviation. */
export interface Measured {
  value: number;
  uncertainty: number;
}

/** Everything an item may be taken from; measured once for a setup. */
export interface Taken {
  setup: Setup;
  measures: AddressMeasures;
  sure: MeasureUncertainty;
}

interface ItemDefinition {
  question: FigureQuestion;
  unit: Unit;
  part: Part;
  /** What a coach can just notice, the unit in which moves are weighed (starting values). */
  justNoticeable: number;
  /** Null when it was not looked at. */
  measured: (taken: Taken) => Measured | null;
}

const define = (
  question: FigureQuestion,
  justNoticeable: number,
  measured: ItemDefinition['measured'],
): ItemDefinition => {
  const { unit, part } = FIGURE_QUESTIONS[question];
  return { question, unit, part, justNoticeable, measured };
};

const onTheGround = (
  question: FigureQuestion,
  justNoticeable: number,
  value: (measures: AddressMeasures) => number,
  uncertainty: (sure: MeasureUncertainty) => number,
): ItemDefinition =>
  define(question, justNoticeable, ({ measures, sure }) => ({
    value: value(measures),
    uncertainty: uncertainty(sure),
  }));

const inTheLoad = (
  question: FigureQuestion,
  load: keyof Balance,
  uncertainty: (sure: MeasureUncertainty) => number,
): ItemDefinition =>
  define(question, 5, ({ setup, sure }) => ({ value: setup.balance[load], uncertainty: uncertainty(sure) }));

const seen = (figure: PostureFigure, sighting: Sighting | undefined): Measured | null =>
  sighting ? { value: sighting.value, uncertainty: POSTURE_UNCERTAINTY[figure][sighting.by] } : null;

const inThePosture = (figure: PostureFigure, justNoticeable: number): ItemDefinition =>
  define(figure, justNoticeable, ({ setup }) => seen(figure, setup.posture?.figures[figure]));

export const ITEM_DEFINITIONS: Record<Item, ItemDefinition> = {
  stanceWidth: onTheGround(
    'stanceWidth',
    10,
    (measures) => measures.stanceWidth,
    (sure) => sure.stanceWidth,
  ),
  leadFlare: onTheGround(
    'leadFlare',
    5,
    (measures) => measures.leadFlare,
    (sure) => sure.flare,
  ),
  trailFlare: onTheGround(
    'trailFlare',
    5,
    (measures) => measures.trailFlare,
    (sure) => sure.flare,
  ),
  stanceLine: onTheGround(
    'stanceLine',
    2,
    (measures) => measures.toeLine,
    (sure) => sure.toeLine,
  ),
  ballAlong: onTheGround(
    'ballAlong',
    10,
    (measures) => measures.ballAlong,
    (sure) => sure.ballAlong,
  ),
  leadShare: inTheLoad('leadShare', 'leadShare', (sure) => sure.leadShare),
  leadHeelToe: inTheLoad('heelToe', 'leadHeelToe', (sure) => sure.heelToe),
  trailHeelToe: inTheLoad('heelToe', 'trailHeelToe', (sure) => sure.heelToe),
  ballOut: onTheGround(
    'ballOut',
    30,
    (measures) => measures.ballOut,
    (sure) => sure.ballOut,
  ),
  trailKneeInside: inThePosture('trailKneeInside', 15),
  trailKneeFlex: inThePosture('trailKneeFlex', 5),
  hipBump: inThePosture('hipBump', 10),
  hipGap: inThePosture('hipGap', 15),
  hipLine: inThePosture('hipLine', 4),
  shoulderLine: inThePosture('shoulderLine', 4),
  shoulderTilt: inThePosture('shoulderTilt', 5),
  clubFace: inThePosture('clubFace', 2),
  hipTurn: inThePosture('hipTurn', 8),
  shoulderTurn: inThePosture('shoulderTurn', 8),
};

export const isPostureItem = (item: Item): item is PostureFigure =>
  (POSTURE_FIGURES as readonly Item[]).includes(item);
