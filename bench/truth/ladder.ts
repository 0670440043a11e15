/** Students who truly change somewhere, or nowhere, on a ladder. Prints rows of a table: usage ladder.ts <count>. */
import { LADDERS, nextOn, ownBand, thresholdOf, type Threshold, type Try } from '@pedastance/core/ladder';
import { normals, seeded } from '@pedastance/core';

const count = Number(process.argv[2] ?? 600);
const LADDER = LADDERS['trail flare'];
const percent = (share: number): string => `${(100 * share).toFixed(1)}%`;

/** The logistic curve instead of the model's normal one, of the same spread. */
const rises = (over: number, spread: number): number => 1 / (1 + Math.exp((-1.702 * over) / spread));
/** Three of five pass so far beyond the change, in spreads. */
const THREE_OF_FIVE = Math.log(0.6 / 0.4) / 1.702;

type Passes = (rung: number, turn: number) => number;
interface Student {
  passes: Passes;
  /** Where three of five pass, rested and warm. */
  truth: number;
}

function student(seed: number): Student {
  const random = seeded(seed);
  const normal = normals(random);
  const change = 3 + 33 * random();
  const spread = 5 * Math.exp(0.3 * normal());
  const [warming, tiring] = [8 * random(), 4 * random()];
  const lapses = 0.01 + 0.09 * random();
  return {
    truth: change + THREE_OF_FIVE * spread,
    passes: (rung, turn) => {
      const off = warming * Math.exp(-turn / 3) + tiring * Math.max(0, (turn - 8) / 10);
      return lapses + (1 - 2 * lapses) * rises(rung - change - off, spread);
    },
  };
}

function goneThrough(passes: Passes, seed: number): { tries: Try[]; told: Threshold } {
  const random = seeded(seed);
  const tries: Try[] = [];
  for (let turn = 0; ; turn += 1) {
    const next = nextOn(LADDER, tries, 0);
    if (next.kind === 'stop') return { tries, told: thresholdOf(LADDER, tries)! };
    const passed = random() < passes(next.rung, turn);
    tries.push({
      rung: next.rung,
      result: next.scored ? (passed ? 'passed' : 'failed') : null,
      sitting: 0,
      turn,
    });
  }
}

const seeds = Array.from({ length: count }, (_, at) => at + 1);
const share = (values: readonly boolean[]): number => values.filter(Boolean).length / values.length;
const usual = seeds.map((seed) => {
  const { passes, truth } = student(seed);
  return { truth, ...goneThrough(passes, 7919 * seed) };
});
const offered = usual.flatMap(({ truth, told }) =>
  told.standOn === null ? [] : [Math.abs(told.standOn - truth) <= 5],
);
const near = share(offered);
const holds = share(usual.map(({ truth, told }) => told.low <= truth && truth <= told.high));
const wronged = share(usual.map(({ told }) => told.doubt !== null));
const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** A student of whom a band would be wrong, and how often they are told so. */
function toldSo(passesOf: (seed: number) => Passes, is: (told: Threshold) => boolean) {
  const all = seeds.map((seed) => goneThrough(passesOf(seed), 104_729 * seed));
  const tries = median(all.map((each) => each.tries.filter(({ result }) => result !== null).length));
  return { share: share(all.map(({ told }) => is(told))), tries };
}
const nothing = ({ standOn }: Threshold) => standOn === null;
const never = toldSo(() => () => 0.03, nothing);
const always = toldSo(() => () => 0.97, nothing);
/** Students whom too much hurts as much as too little: they pass on some degrees alone, and no further. */
function betweenTwo(seed: number) {
  const { passes, truth } = student(seed);
  const from = Math.min(truth, 25);
  const to = from + 6 + 14 * seeded(seed)();
  const passesThere: Passes = (rung, turn) => (rung > to ? 0.05 : passes(rung + truth - from, turn));
  const { told } = goneThrough(passesThere, 104_729 * seed);
  const band = ownBand(told, LADDER);
  return { told: told.doubt !== null || band === null, wrong: band !== null && band.high > to + 5 };
}
const two = seeds.map(betweenTwo);
const notWrong = share(two.map(({ told, wrong }) => told || !wrong));
const chance = toldSo(
  () => () => 0.5,
  (told) => told.doubt !== null || told.standOn === null,
);

const rows = [
  ['The rung that is told lies within 5° of where three of five pass', percent(near), '80%', near >= 0.8],
  ['… a rung is offered', percent(offered.length / count), '90%', offered.length >= 0.9 * count],
  ['… its interval holds', percent(holds), '93 to 97%', holds >= 0.93 && holds <= 0.97],
  ['… and the scores are doubted', percent(wronged), 'at most 5%', wronged <= 0.05],
  ['Never can: told so', `${percent(never.share)}, ${never.tries} tries`, '95%', never.share >= 0.95],
  ['Always can: told so', `${percent(always.share)}, ${always.tries} tries`, '95%', always.share >= 0.95],
  [
    'Passes between two angles 6 to 20° apart: told so, or what is offered ends within 5° of the upper one',
    `${percent(notWrong)}; told so ${percent(share(two.map(({ told }) => told)))}`,
    '95%',
    notWrong >= 0.95,
  ],
  [
    'Scored by chance: told so',
    `${percent(chance.share)}, ${chance.tries} tries`,
    '95%',
    chance.share >= 0.95,
  ],
] as const;
console.log(JSON.stringify(rows.map(([what, value, aim, met]) => ({ what, value, aim, met }))));
