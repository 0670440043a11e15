import type { BuildFigureName, Caution } from '../body';
import type { FigureMark, FigureQuestion, HouseMethod, BandVerdict, OwnBands, Played } from '../method';
import type { ChoiceQuestion, Item, MeasuredSetup, Setup } from '../setup';
import type { Body, Goal } from '../turn';
import type { Unit } from '../units';

/** Raised whenever a figure of a reading could come out differently for the same input. */
export const MODEL_VERSION = '5.0.0';

/** Why a finding weighs what it does, each part in what a coach can just notice. */
export interface Weight {
  /** How far it is outside its band. */
  out: number;
  /** What it costs in turn, back and through. */
  turn: number;
  /** What it costs in path. */
  path: number;
  /** All three, times the share of its part of the body: the ground first. */
  total: number;
}

export interface Finding {
  item: Item;
  question: FigureQuestion;
  unit: Unit;
  measured: number;
  /** One standard deviation of `measured`. */
  uncertainty: number;
  low: number;
  middle: number;
  high: number;
  verdict: BandVerdict;
  /** The nearest edge of the band is within one standard deviation: it could be either. */
  close: boolean;
  /** Estimated build figures that made the band wider. */
  widenedBy: BuildFigureName[];
  /** The legs decide the band and have not been tested. */
  untested: boolean;
  mark: FigureMark;
  why: string;
  /** What the verdict limits; empty when in the band. */
  limits: string;
  weight: Weight;
  /** The finding it comes from; told with that one and not by itself. */
  because: { item: Item; words: string } | null;
  /** Why nothing is suggested about it although it is out; null where something may be. */
  withheld: string | null;
  /** One of the at most two that are put forward. */
  putForward: boolean;
}

/** A question answered by a word: as this method teaches it, or otherwise. */
export interface ChoiceFinding {
  question: ChoiceQuestion;
  seen: string;
  wanted: string[];
  asTaught: boolean;
  mark: FigureMark;
  why: string;
}

export type Notice =
  | { kind: 'lines disagree'; toeLine: number; heelLine: number }
  | { kind: 'shoes overlap'; gap: number }
  | { kind: 'flare moved the toe line'; foot: 'lead' | 'trail'; toeLine: number; heelLine: number }
  | { kind: 'face follows the feet'; stanceLine: number; clubFace: number }
  | { kind: 'shoulders against the feet'; stanceLine: number; shoulderLine: number }
  | { kind: 'ball only looks moved'; wider: boolean }
  | { kind: 'pitch reverses the trail foot'; trailFlare: number }
  | { kind: 'turns too far' }
  /** How far the lead hip has to go to stand over the lead foot, and how far it should at most, in hip breadths. */
  | { kind: 'too wide to post'; travel: number; most: number };

export interface ReadingInput extends Body, Played {
  setup: Setup;
  /** The same setup measured, where the caller has measured it already. */
  measured?: MeasuredSetup;
  method: HouseMethod;
  /** What the student has of their own in place of the method's bands; the method's hold where nothing is said. */
  own?: OwnBands;
  /** The turn that is worked toward; the usual one where nothing is said. */
  goal?: Goal;
  /** What the facts about the student, and not being of age, ask to be left alone. */
  cautions?: readonly Caution[];
}

export interface Reading {
  modelVersion: string;
  findings: Finding[];
  choices: ChoiceFinding[];
  notices: Notice[];
}
