import {
  answerFor,
  bandsFor,
  NO_OWN_BANDS,
  noNarrower,
  ownBands,
  verdictFor,
  questionOf,
  taughtFigure,
  type Bands,
  type BandVerdict,
  type Band,
} from '../method';
import {
  CHOICE_QUESTIONS,
  ITEMS,
  FIGURES,
  measuredFigure,
  measureSetup,
  type Item,
  type MeasuredSetup,
} from '../setup';
import { hurtCautions } from '../turn';
import { causeOf } from './causes';
import { noticesFor } from './notices';
import { MODEL_VERSION, type ChoiceFinding, type Finding, type Reading, type ReadingInput } from './types';
import { turnLostBy, type TurnLost } from './turnLost';
import { weightOf } from './weigh';
import { withholder } from './withhold';

export const MOST_PUT_FORWARD = 2;

/** An item measured and held against its band; null when not measured or left free. */
interface Held extends Pick<Finding, 'question' | 'measured' | 'uncertainty' | 'low' | 'middle' | 'high'> {
  verdict: BandVerdict;
  band: Band;
}

function heldAgainst(item: Item, bands: Bands, taken: MeasuredSetup): Held | null {
  const question = questionOf(item);
  const band = bands.figures[question];
  const found = band && measuredFigure(taken, item);
  if (!band || !found) return null;
  const { value: measured, uncertainty } = found;
  const { low, high } = noNarrower(band, uncertainty);
  return {
    question,
    measured,
    uncertainty,
    low,
    middle: taughtFigure(band),
    high,
    verdict: verdictFor(measured, low, high),
    band,
  };
}

/** A finding by itself, before it is set beside the others; null when not measured or left free. */
function findingFor(
  item: Item,
  input: ReadingInput,
  bands: Bands,
  taken: MeasuredSetup,
  turnLost: TurnLost,
): Finding | null {
  const held = heldAgainst(item, bands, taken);
  if (!held) return null;
  const { band, ...figures } = held;
  const { question, measured, uncertainty, low, high, verdict } = figures;
  const { why, limitsBelow, limitsAbove } = input.method.questions[question];
  return {
    item,
    ...figures,
    unit: FIGURES[item].unit,
    close: Math.min(Math.abs(measured - low), Math.abs(measured - high)) < uncertainty,
    widenedBy: band.widenedBy,
    untested: band.untested,
    mark: answerFor(input.method, question, input.club, input.shot).mark,
    why,
    limits: verdict === 'in' ? '' : verdict === 'below' ? limitsBelow : limitsAbove,
    weight: weightOf(
      { item, measured, uncertainty, low, high, verdict },
      verdict === 'in' ? null : turnLost({ item, measured, low, high }),
    ),
    because: null,
    withheld: null,
    putForward: false,
  };
}

/** The method's bands with the student's own in place of them. */
const bandsOf = (input: ReadingInput): Bands =>
  ownBands(
    bandsFor(input.method, { build: input.build, legs: input.legs }, input),
    input.own ?? NO_OWN_BANDS,
  );

/**
 * The verdict on one item alone: what `readSetup` would say of it, at a fraction of the work.
 * @param input the setup, body, club, shot and method
 * @param item which item
 * @returns below, in or above its band; null when it was not measured or the method leaves it free
 */
export function readItem(input: ReadingInput, item: Item): BandVerdict | null {
  const { setup } = input;
  const bands = bandsOf(input);
  return heldAgainst(item, bands, input.measured ?? measureSetup(setup))?.verdict ?? null;
}

/** A cause is heavier by this share of what it explains (starting value). */
const SHARE_OF_EFFECTS = 0.5;

/** The finding at the beginning of a chain of causes. */
function rootOf(finding: Finding, byItem: ReadonlyMap<Item, Finding>): Item {
  let root = finding;
  while (root.because) root = byItem.get(root.because.item)!;
  return root.item;
}

/** What each cause weighs with what it explains. */
function weightsWithEffects(out: readonly Finding[]): Map<Item, number> {
  const byItem = new Map(out.map((finding) => [finding.item, finding]));
  const weights = new Map(out.map((finding) => [finding.item, finding.weight.total]));
  for (const finding of out) {
    if (!finding.because) continue;
    const root = rootOf(finding, byItem);
    weights.set(root, weights.get(root)! + SHARE_OF_EFFECTS * finding.weight.total);
  }
  return weights;
}

/**
 * Of the findings that are out the at most two to put forward: no effect of another and none that
 * is withheld; plain ones before close calls, then the heaviest; of two as heavy, the one nearer
 * the ground.
 */
function chosenOf(out: readonly Finding[]): Finding[] {
  const weights = weightsWithEffects(out);
  return out
    .filter(({ because, withheld }) => !because && withheld === null)
    .sort((a, b) => Number(a.close) - Number(b.close) || weights.get(b.item)! - weights.get(a.item)!)
    .slice(0, MOST_PUT_FORWARD);
}

function choicesFor({ method, setup, club, shot }: ReadingInput, bands: Bands): ChoiceFinding[] {
  return CHOICE_QUESTIONS.flatMap((question) => {
    const seen = setup.posture?.choices[question];
    const wanted = bands.choices[question];
    if (seen === undefined || !wanted) return [];
    const { why } = method.questions[question];
    const { mark } = answerFor(method, question, club, shot);
    return [{ question, seen, wanted, asTaught: wanted.includes(seen), mark, why }];
  });
}

/**
 * Reads a setup against a house method for one body, club and shot: a finding for every item that
 * was measured and that the method has a view on, in body order; what comes from what; at most
 * two put forward; and what else the coach should be told.
 * @param input the setup, body, club, shot, method and cautions
 * @returns the reading, its findings in body order
 */
export function readSetup(input: ReadingInput): Reading {
  const { setup, build, legs, cautions = [] } = input;
  const taken = input.measured ?? measureSetup(setup);
  const bands = bandsOf(input);
  const turnLost = turnLostBy(setup, legs, bands, input.goal);
  const findings = ITEMS.flatMap((item) => findingFor(item, input, bands, taken, turnLost) ?? []);
  const verdicts = new Map(findings.map((finding) => [finding.item, finding.verdict]));
  const verdictOf = (item: Item) => verdicts.get(item);
  const withheldFor = withholder([...cautions, ...hurtCautions(legs)], setup.posture, verdictOf);
  // The findings are this reading's own until it is answered: what they are to each other is noted on them.
  const out = findings.filter(({ verdict }) => verdict !== 'in');
  for (const finding of out) {
    finding.because = causeOf(finding.item, finding.verdict, verdictOf);
    finding.withheld = withheldFor(finding);
  }
  for (const finding of chosenOf(out)) finding.putForward = true;
  return {
    modelVersion: MODEL_VERSION,
    findings,
    choices: choicesFor(input, bands),
    notices: noticesFor({
      measured: taken,
      posture: setup.posture,
      bands,
      shot: input.shot,
      club: input.club,
      build,
      verdictOf,
    }),
  };
}
