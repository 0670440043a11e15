import {
  BAG,
  SHOULDERS_AND_NEUTRAL,
  readSetup,
  startingSetup,
  type Build,
  type HouseMethod,
} from '@pedastance/core';

const figure = (value: number, uncertainty: number) => ({ value, source: 'estimated' as const, uncertainty });
const build: Build = {
  height: figure(1780, 10),
  shoulderBreadth: figure(480, 20),
  hipBreadth: figure(330, 18),
  shoeLength: figure(290, 5),
  shoeBreadth: figure(105, 5),
};
const method: HouseMethod = { id: 'bench', version: 1, ...SHOULDERS_AND_NEUTRAL };

/** One full read of a new setup each time, over the whole bag. */
function timeReads(count: number): number[] {
  return Array.from({ length: count }, (_, index) => {
    const club = BAG[index % BAG.length]!;
    const setup = startingSetup(build, club.lengthInches + index / 1000);
    const startedAt = performance.now();
    readSetup({ setup, build, club: club.id, clubLengthInches: club.lengthInches, shot: 'full', method });
    return performance.now() - startedAt;
  });
}

timeReads(2000);
const times = timeReads(5000).sort((a, b) => a - b);
process.stdout.write(`${JSON.stringify({ medianMs: times[2500], worstMs: times[4950] })}\n`);
