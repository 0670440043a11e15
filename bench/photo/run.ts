/** Prints what measuring feet from simulated point sets comes to, by stratum: usage run.ts <sets a stratum>. */
import { STRATA, tried } from './points';

const sets = Number(process.argv[2] ?? 200);
console.log(
  `| known, px | px a mm | elevation | side | width, mm | flare, degrees | intervals that hold | worst figure |`,
);
console.log('| --- | --- | --- | --- | --- | --- | --- | --- |');
for (const stratum of STRATA) {
  const { width95, flare95, held, worstHeld } = tried(stratum, sets, 11);
  const share = (value: number) => `${(100 * value).toFixed(1)}%`;
  const cells = [
    stratum.known,
    stratum.sharpness.join('-'),
    stratum.elevations.join('-'),
    stratum.side,
    width95.toFixed(1),
    flare95.toFixed(2),
    share(held),
    share(worstHeld),
  ];
  console.log(`| ${cells.join(' | ')} |`);
}
