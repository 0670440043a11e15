/** Recordings of a mat that share nothing with what reads them. Prints rows of a table: usage mat.ts <count>. */
import { practiceAmong, readPressure, swingsFound, tracesOf } from '@pedastance/core/balance';
import { written, type Scene, type TrueSwing } from '../../core/test/matSwings';

const count = Number(process.argv[2] ?? 600);
/** A swing that is found lies no further from the true one, ms. */
const NEAR_MS = 400;

type Options = Parameters<typeof written>[2];

/** One row of the table of the bench. */
interface Row {
  what: string;
  value: string;
  aim: string;
  met: boolean;
}

const percent = (share: number): string => `${(100 * share).toFixed(1)}%`;
const within = (values: readonly number[], most: number): number =>
  values.filter((value) => Math.abs(value) <= most).length / Math.max(1, values.length);

/** What is found of so many recordings of the same scenes. */
function tallied(scenes: readonly Scene[], options: Options) {
  const strikes: number[] = [];
  const tops: number[] = [];
  const told = { swings: 0, found: 0, invented: 0, leftOut: 0, practice: 0, asked: 0, balls: 0, accused: 0 };
  for (let seed = 1; seed <= count; seed += 1) {
    const { rows, swings } = written(seed, scenes, options);
    const read = readPressure(rows, 'right');
    if ('faults' in read) throw new Error(JSON.stringify(read.faults[0]));
    const { swings: found, leftOut } = swingsFound(read.recording);
    const asked = practiceAmong(tracesOf(read.recording, found));
    told.leftOut += leftOut;
    told.swings += swings.length;
    const trueOf = (at: number): TrueSwing | undefined =>
      swings.find(({ impact }) => Math.abs(impact - found[at]!.impact) < NEAR_MS);
    for (const [at, { impact, top }] of found.entries()) {
      const swing = trueOf(at);
      if (!swing) {
        told.invented += 1;
        continue;
      }
      told.found += 1;
      strikes.push(impact - swing.impact);
      tops.push(top - swing.top);
      const isPractice = swing.kind === 'practice';
      told[isPractice ? 'practice' : 'balls'] += 1;
      if (asked.includes(at)) told[isPractice ? 'asked' : 'accused'] += 1;
    }
  }
  return {
    ...told,
    strike: within(strikes, 20),
    top: within(tops, 50),
    foundShare: told.found / told.swings,
  };
}

const three: readonly Scene[] = ['stands', 'swing', 'swing', 'swing', 'stands'];
const rows: Row[] = [];
const row = (what: string, value: string, aim: string, met: boolean) => rows.push({ what, value, aim, met });

for (const rate of [60, 120]) {
  const { foundShare, strike, top } = tallied(three, { rate, roundedTo: 1 });
  row(
    `Mat file at ${rate} Hz in whole ms: strikes found; within 20 ms; top within 50 ms`,
    [foundShare, strike, top].map(percent).join('; '),
    '97%; 95%; 95%',
    foundShare >= 0.97 && strike >= 0.95 && top >= 0.95,
  );
}
const steps = tallied(['steps in', 'stands', 'steps off', 'steps in', 'waggles', 'stands'], {
  rate: 100,
  roundedTo: 0,
});
row(
  'Step-ins and waggles taken for swings',
  percent(steps.invented / (2 * count)),
  'at most 3%',
  steps.invented <= 0.03 * 2 * count,
);
const practice = tallied(['stands', 'practice', 'waggles', 'swing', 'practice', 'swing'], {
  rate: 100,
  roundedTo: 0,
});
row(
  'Practice swings asked about; swings with a ball asked about',
  `${percent(practice.asked / practice.practice)}; ${percent(practice.accused / practice.balls)}`,
  '90%; at most 5%',
  practice.asked >= 0.9 * practice.practice && practice.accused <= 0.05 * practice.balls,
);
const soft = tallied(['stands', 'soft', 'waggles', 'soft', 'soft', 'stands'], { rate: 100, roundedTo: 0 });
row(
  'Soft swings, pressing to 1.02 to 1.12, found; strike within 20 ms; top within 50 ms',
  [soft.foundShare, soft.strike, soft.top].map(percent).join('; '),
  '90%; 90%; 90%',
  soft.foundShare >= 0.9 && soft.strike >= 0.9 && soft.top >= 0.9,
);
const away = tallied(
  ['steps off', 'steps in', 'swing', 'steps off', 'steps off', 'steps in', 'soft', 'steps off'],
  {
    rate: 100,
    roundedTo: 0,
  },
);
row(
  'Nobody on the mat for half of the time: swings found; invented',
  `${percent(away.foundShare)}; ${away.invented}`,
  '97%; at most 3%',
  away.foundShare >= 0.97 && away.invented <= 0.03 * count,
);
const hidden = tallied(three, { rate: 100, roundedTo: 1, gaps: { count: 3, ms: 110, near: 'strike' } });
row(
  'A gap of 110 ms by the strike: swings left out, and said so',
  percent(hidden.leftOut / hidden.swings),
  '95%',
  hidden.leftOut >= 0.95 * hidden.swings,
);
const holed = tallied(three, { rate: 100, roundedTo: 1, gaps: { count: 12, ms: 110, near: 'anywhere' } });
row(
  'Twelve gaps anywhere: of the swings that are told the strike within 20 ms; top within 50 ms',
  `${percent(holed.strike)}; ${percent(holed.top)}`,
  '95%; 95%',
  holed.strike >= 0.95 && holed.top >= 0.95,
);
console.log(JSON.stringify(rows));
