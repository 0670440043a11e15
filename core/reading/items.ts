import type { AddressMeasures, Balance, MeasureUncertainty } from '../ground';
import type { Question } from '../method';
import type { Item, Unit } from './types';

interface ItemDefinition {
  question: Question;
  unit: Unit;
  /** What a coach can just notice, the unit in which moves are weighed (starting values). */
  justNoticeable: number;
  value: (measures: AddressMeasures, balance: Balance) => number;
  uncertainty: (uncertainty: MeasureUncertainty) => number;
}

export const ITEM_DEFINITIONS: Record<Item, ItemDefinition> = {
  stanceWidth: {
    question: 'stanceWidth',
    unit: 'mm',
    justNoticeable: 10,
    value: (measures) => measures.stanceWidth,
    uncertainty: (sure) => sure.stanceWidth,
  },
  leadFlare: {
    question: 'leadFlare',
    unit: 'degrees',
    justNoticeable: 5,
    value: (measures) => measures.leadFlare,
    uncertainty: (sure) => sure.flare,
  },
  trailFlare: {
    question: 'trailFlare',
    unit: 'degrees',
    justNoticeable: 5,
    value: (measures) => measures.trailFlare,
    uncertainty: (sure) => sure.flare,
  },
  stanceLine: {
    question: 'stanceLine',
    unit: 'degrees',
    justNoticeable: 2,
    value: (measures) => measures.toeLine,
    uncertainty: (sure) => sure.toeLine,
  },
  ballAlong: {
    question: 'ballAlong',
    unit: 'mm',
    justNoticeable: 10,
    value: (measures) => measures.ballAlong,
    uncertainty: (sure) => sure.ballAlong,
  },
  leadShare: {
    question: 'leadShare',
    unit: 'percent',
    justNoticeable: 5,
    value: (_measures, balance) => balance.leadShare,
    uncertainty: (sure) => sure.leadShare,
  },
  leadHeelToe: {
    question: 'heelToe',
    unit: 'percent',
    justNoticeable: 5,
    value: (_measures, balance) => balance.leadHeelToe,
    uncertainty: (sure) => sure.heelToe,
  },
  trailHeelToe: {
    question: 'heelToe',
    unit: 'percent',
    justNoticeable: 5,
    value: (_measures, balance) => balance.trailHeelToe,
    uncertainty: (sure) => sure.heelToe,
  },
};
