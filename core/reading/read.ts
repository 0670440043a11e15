import {
  linesDisagree,
  measureAddress,
  measureUncertainty,
  type AddressMeasures,
  type MeasureUncertainty,
} from '../ground';
import { answerFor, bandFor } from '../method';
import { ITEM_DEFINITIONS } from './items';
import {
  ITEMS,
  MODEL_VERSION,
  type Finding,
  type Item,
  type Notice,
  type Reading,
  type ReadingInput,
  type Verdict,
} from './types';

export const MOST_PUT_FORWARD = 2;

/** A figure on the edge is in the band. */
export function verdictFor(measured: number, low: number, high: number): Verdict {
  if (measured < low) return 'below';
  return measured > high ? 'above' : 'in';
}

function findingFor(
  item: Item,
  input: ReadingInput,
  measures: AddressMeasures,
  sure: MeasureUncertainty,
): Finding {
  const { question, unit, value, uncertainty } = ITEM_DEFINITIONS[item];
  const answer = answerFor(input.method, question, input.club, input.shot);
  const band = bandFor(answer, input.build, input.clubLengthInches);
  const measured = value(measures, input.setup.balance);
  const spread = uncertainty(sure);
  const verdict = verdictFor(measured, band.low, band.high);
  const { why, limitsBelow, limitsAbove } = input.method.questions[question];
  return {
    item,
    question,
    unit,
    measured,
    uncertainty: spread,
    ...band,
    verdict,
    close: Math.min(Math.abs(measured - band.low), Math.abs(measured - band.high)) < spread,
    mark: answer.mark,
    why,
    limits: { below: limitsBelow, in: '', above: limitsAbove }[verdict],
    putForward: false,
  };
}

/** How far a finding is outside its band, in what a coach can just notice. */
export function excess(finding: Finding): number {
  const outside = Math.max(finding.low - finding.measured, finding.measured - finding.high, 0);
  return outside / ITEM_DEFINITIONS[finding.item].justNoticeable;
}

/**
 * The at most two findings to put forward: the furthest outside, those that are no close call
 * before those that are; of two as far outside, the one nearer the ground.
 */
function chosenOf(findings: readonly Finding[]): Set<Item> {
  const outside = findings
    .filter((finding) => finding.verdict !== 'in')
    .sort((a, b) => Number(a.close) - Number(b.close) || excess(b) - excess(a));
  return new Set(outside.slice(0, MOST_PUT_FORWARD).map((finding) => finding.item));
}

function noticesFor(measures: AddressMeasures): Notice[] {
  const { toeLine, heelLine, gap } = measures;
  return [
    ...(linesDisagree(measures) ? [{ kind: 'lines disagree' as const, toeLine, heelLine }] : []),
    ...(gap < 0 ? [{ kind: 'shoes overlap' as const, gap }] : []),
  ];
}

/**
 * Reads a setup against a house method for one build, club and shot: a finding for every item in
 * body order, at most two of them put forward, and what else the coach should be told.
 */
export function readSetup(input: ReadingInput): Reading {
  const measures = measureAddress(input.setup.address);
  const sure = measureUncertainty(input.setup.address);
  const findings = ITEMS.map((item) => findingFor(item, input, measures, sure));
  const chosen = chosenOf(findings);
  return {
    modelVersion: MODEL_VERSION,
    findings: findings.map((finding) => ({ ...finding, putForward: chosen.has(finding.item) })),
    notices: noticesFor(measures),
  };
}
