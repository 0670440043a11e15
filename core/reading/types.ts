import type { Build, BuildFigureName } from '../build';
import type { ClubId, Shot } from '../club';
import type { Setup } from '../ground';
import type { FigureMark, HouseMethod, Question } from '../method';

/** Raised whenever a figure of a reading could come out differently for the same input. */
export const MODEL_VERSION = '1.0.0';

/** What is measured to answer the questions; heel to toe is measured under each foot. */
export const ITEMS = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'stanceLine',
  'ballAlong',
  'leadShare',
  'leadHeelToe',
  'trailHeelToe',
] as const;
export type Item = (typeof ITEMS)[number];

export type Unit = 'mm' | 'degrees' | 'percent';
export type Verdict = 'below' | 'in' | 'above';

export interface Finding {
  item: Item;
  question: Question;
  unit: Unit;
  measured: number;
  /** One standard deviation of `measured`. */
  uncertainty: number;
  low: number;
  middle: number;
  high: number;
  verdict: Verdict;
  /** The nearest edge of the band is within one standard deviation: it could be either. */
  close: boolean;
  /** Estimated build figures that made the band wider. */
  widenedBy: BuildFigureName[];
  mark: FigureMark;
  why: string;
  /** What the verdict limits; empty when in the band. */
  limits: string;
  /** One of the at most two that are put forward. */
  putForward: boolean;
}

export type Notice =
  { kind: 'lines disagree'; toeLine: number; heelLine: number } | { kind: 'shoes overlap'; gap: number };

export interface ReadingInput {
  setup: Setup;
  build: Build;
  club: ClubId;
  clubLengthInches: number;
  shot: Shot;
  method: HouseMethod;
}

export interface Reading {
  modelVersion: string;
  findings: Finding[];
  notices: Notice[];
}
