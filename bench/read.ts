import {
  asPlayed,
  BAG,
  bandsFor,
  CLUBS_AND_SHOTS,
  MEASURED_BEFORE,
  NOT_LOOKED_AT,
  POSTURE_FIGURES,
  readSetup,
  startingSetup,
  withFigure,
  type Build,
  type HouseMethod,
  type Setup,
} from '@pedastance/core';
import { PRESETS } from '@pedastance/core/method/presets';

const figure = (value: number, uncertainty: number) => ({ value, source: 'estimated' as const, uncertainty });
const newBuild = (): Build => ({
  height: figure(1780, 10),
  shoulderBreadth: figure(480, 20),
  hipBreadth: figure(330, 18),
  shoeLength: figure(290, 5),
  shoeBreadth: figure(105, 5),
});
const methods: HouseMethod[] = PRESETS.map(({ key, contents }) => ({ id: key, version: 1, ...contents }));

/** Feet that are measured, with everything above them looked at. */
function measuredSetup(build: Build, lengthInches: number): Setup {
  const start: Setup = {
    ...startingSetup(build, lengthInches),
    measured: MEASURED_BEFORE,
    posture: NOT_LOOKED_AT,
  };
  return POSTURE_FIGURES.reduce<Setup>((setup, name) => withFigure(setup, name, 3), start);
}

function timed(count: number, work: (index: number) => void): { medianMs: number; worstMs: number } {
  const times = Array.from({ length: count }, (_, index) => {
    const startedAt = performance.now();
    work(index);
    return performance.now() - startedAt;
  }).sort((a, b) => a - b);
  return { medianMs: times[Math.floor(count / 2)]!, worstMs: times[Math.floor(count * 0.98)]! };
}

/** One full read of a new setup each time, over the whole bag. */
const build = newBuild();
function readOne(index: number): void {
  const club = BAG[index % BAG.length]!;
  const setup = measuredSetup(build, club.lengthInches + index / 1000);
  const played = { club: club.id, clubLengthInches: club.lengthInches, shot: 'full' as const };
  readSetup({ setup, build, legs: null, ...played, method: methods[0]! });
}

/** One address against every preset with every club and shot, for a body nobody has seen before. */
function readAll(): void {
  const body = { build: newBuild(), legs: null };
  const setup = measuredSetup(body.build, 37);
  for (const method of methods) {
    for (const each of CLUBS_AND_SHOTS) readSetup({ setup, ...body, ...asPlayed(each), method });
  }
}

/** The bands alone, so that what they cost can be told from the reading. */
function bandsOfAll(): void {
  const body = { build: newBuild(), legs: null };
  for (const method of methods) for (const each of CLUBS_AND_SHOTS) bandsFor(method, body, asPlayed(each));
}

timed(2000, readOne);
timed(20, readAll);
const results = {
  one: timed(5000, readOne),
  all: timed(100, readAll),
  bands: timed(100, bandsOfAll),
  reads: methods.length * CLUBS_AND_SHOTS.length,
};
process.stdout.write(`${JSON.stringify(results)}\n`);
