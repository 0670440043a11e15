// What pages, changes and cards say of a log, against the log itself worked out another way.
import type { LogEntry } from '@pedastance/contract';
import { composeCard } from '@pedastance/core/card';
import { doSentences, type Speech } from '@pedastance/core/phrases';
import {
  differences,
  figureOf,
  FIGURES,
  heldWithin,
  measureAddress,
  type Held,
  type PlacedFigure,
  type Setup,
} from '@pedastance/core/setup';
import type { Device } from './device';

/** Lengths are said to the half centimetre at best, angles to the degree. */
const ROUNDED = { cm: 0.55, '°': 0.6, '%': 0.6 } as const;
type Said = keyof typeof ROUNDED;
const MM_PER_CM = 10;

/** The numbers of sentences that are none of those that may be said, each in its unit. */
function wrongNumbers(lines: readonly string[], allowed: Record<Said, readonly number[]>): string[] {
  return lines.flatMap((line) =>
    [...line.matchAll(/(\d+(?:\.\d+)?) ?(cm|°|%)/g)].flatMap(([said, number, unit]) => {
      const near = allowed[unit as Said].some(
        (each) => Math.abs(Math.abs(each) - Number(number)) <= ROUNDED[unit as Said],
      );
      return near ? [] : [`“${said}” in “${line}”`];
    }),
  );
}

/** What may be said of figures that go from one value to another, in the units that are said. */
function numbersOf(moves: readonly { figure: string; values: readonly number[] }[]): Record<Said, number[]> {
  const of = (unit: string) =>
    moves.filter(({ figure }) => unitOf(figure) === unit).flatMap(({ values }) => values);
  return { cm: of('mm').map((mm) => mm / MM_PER_CM), '°': of('degrees'), '%': of('percent') };
}

const unitOf = (figure: string): string =>
  figure === 'leadHeelLift' ? 'mm' : FIGURES[figure as PlacedFigure].unit;

const valuesOf = (from: number | null, to: number): number[] =>
  from === null ? [to] : [from, to, to - from];

/** The newest change of each figure with a club, as the log tells it, and what was measured after it. */
function agreedInLog(device: Device, log: readonly LogEntry[], studentId: string) {
  const records = device.app.logged.recordsOf(log, studentId).reverse();
  const stands = new Map<string, { agreed: number; today: number | null }>();
  for (const { address, agreed, change } of records) {
    const key = (figure: string) => `${address.club} ${address.shot} ${figure}`;
    for (const [of, standing] of stands) {
      const figure = of.split(' ').at(-1) as PlacedFigure;
      if (of === key(figure) && address.setup.measured[figure])
        standing.today = figureOf(address.setup, figure)!;
    }
    if (!agreed || !change) continue;
    for (const { change: figure, to } of differences(address.setup, agreed.setup))
      stands.set(key(figure), { agreed: to, today: null });
  }
  return stands;
}

const near = (a: number | null, b: number | null): boolean =>
  a === null || b === null ? a === b : Math.abs(a - b) < 1e-6;

/** Whether a verdict may be said of a figure that is so far off what was agreed; null where it was not measured. */
function mayBeSaid(verdict: Held['verdict'], figure: PlacedFigure, off: number | null): boolean {
  if (off === null || verdict === 'not measured') return off === null && verdict === 'not measured';
  if (verdict === 'drifted') return off > FIGURES[figure].justNoticeable;
  return verdict === 'held' ? off <= heldWithin(figure) : off > heldWithin(figure);
}

/** What is told of whether agreements held that the log does not have so. */
function heldFalsely(device: Device, log: readonly LogEntry[], studentId: string) {
  const { agreed, agreements, logged } = device.app;
  const records = logged.recordsOf(log, studentId);
  const told = agreements.agreementsOf({
    records,
    standingWith: (club, shot) =>
      agreed.agreedWith({ entries: log, studentId, club, shot, lessonId: null }).agreed,
  });
  const inLog = agreedInLog(device, log, studentId);
  const all = told.flatMap(({ club, shot, held }) => held.map((each) => ({ club, shot, ...each })));
  const faults = all.filter(({ club, shot, figure, agreed: was, today, verdict }) => {
    const truth = inLog.get(`${club} ${shot} ${figure}`);
    if (!truth || !near(truth.agreed, was) || !near(truth.today, today)) return true;
    return !mayBeSaid(verdict, figure, today === null ? null : Math.abs(today - was));
  });
  return { held: all.length, faults: faults.map((each) => `held: ${JSON.stringify(each)}`) };
}

const NOBODY = { name: 'Somebody Drawn', birthYear: 1980, bornOn: null, facts: [] };

type RecordedLook = ReturnType<Device['app']['logged']['recordsOf']>[number];

function cardOf({ address, agreed, change }: RecordedLook, hand: Speech['hand']) {
  const { club, shot } = address;
  return composeCard({
    student: { ...NOBODY, hand },
    clubs: [
      {
        ...{ club, shot, from: address.setup, agreed: agreed!.setup, agreedOn: '2026-05-01' },
        ...{ leadHeelLift: change!.leadHeelLift, reason: 'r', feel: 'f', further: [], dose: 'play' },
        rounds: { feel: 0, play: 5 },
      },
    ],
    ...{ routine: [], drills: [], cue: '', practice: null, nextLook: null, ladder: null, found: [] },
    ...{ length: 'cm', today: '2026-05-01' },
  }).clubs[0]!;
}

/** What a card may say: where the agreed feet stand, of what was measured or changed alone. */
function numbersOnCard(from: Setup, to: Setup, lift: number): Record<Said, number[]> {
  const changed = differences(from, to).map(({ change }) => change as string);
  const measures = measureAddress(to.address);
  const known = (figure: PlacedFigure) =>
    changed.includes(figure) || (to.measured[figure] && to.measured[figure].way !== 'by eye');
  return {
    cm: [
      ...(known('stanceWidth') ? [measures.gap] : []),
      ...(known('ballAlong') ? [measures.ballAlong] : []),
      ...differences(from, to).flatMap(({ from: was, to: is }) => valuesOf(was, is)),
      lift,
    ].map((mm) => mm / MM_PER_CM),
    '°': [
      ...(known('leadFlare') ? [measures.leadFlare] : []),
      ...(known('trailFlare') ? [measures.trailFlare] : []),
    ],
    '%': [to.balance.leadShare, 100 - to.balance.leadShare],
  };
}

/** The sentences of a record whose numbers are not those of its entries. */
function saidFalsely(device: Device, record: RecordedLook, speech: Speech) {
  const { address, agreed, change, reading } = record;
  const { shoe } = address.setup.address;
  const { judgement } = reading;
  const things = judgement?.things.flatMap(({ moves }) => moves) ?? [];
  const doLines = judgement ? doSentences(judgement as never, shoe.length, speech) : [];
  const faults = wrongNumbers(
    doLines,
    numbersOf(things.map(({ figure, from, to }) => ({ figure, values: valuesOf(from, to) }))),
  );
  if (!agreed || !change) return { faults, sentences: doLines.length };
  const lift = change.leadHeelLift;
  const changes = differences(address.setup, agreed.setup);
  const toldLines = device.app.sentences.tellAgreed(address.setup, agreed.setup, lift, speech);
  const card = cardOf(record, speech.hand);
  const cardLines = [...card.sentences, ...card.also, ...card.marks];
  return {
    sentences: doLines.length + toldLines.length + cardLines.length,
    faults: [
      ...faults,
      ...wrongNumbers(
        toldLines,
        numbersOf([
          ...changes.map(({ change: figure, from, to }) => ({ figure, values: valuesOf(from, to) })),
          { figure: 'leadHeelLift', values: [lift] },
        ]),
      ),
      ...wrongNumbers(cardLines, numbersOnCard(address.setup, agreed.setup, lift)),
    ],
  };
}

/** What is told of a student's log that is not in it; with how much of it was looked at. */
export function toldFalsely(device: Device, log: readonly LogEntry[], studentId: string) {
  const held = heldFalsely(device, log, studentId);
  const { hand } = device.student(studentId);
  const said = device.app.logged
    .recordsOf(log, studentId)
    .map((record) => saidFalsely(device, record, { length: 'cm', feet: 'left and right', hand }));
  return {
    held: held.held,
    sentences: said.reduce((sum, { sentences }) => sum + sentences, 0),
    faults: [...held.faults, ...said.flatMap(({ faults }) => faults)],
  };
}
