/** Finds the change of simulated students by the plan of a ladder, and prints how well: usage simulated.ts <students>. */
import { stopsTold, succeeds } from '../../server/test/ladders';

const students = Number(process.argv[2] ?? 500);
for (const [name, drift, within] of [
  ['trail flare', 5, 5],
  ['trail flare', 0, 5],
  ['lead flare', 5, 5],
  ['easy lead flare', 5, 5],
  ['width', 0, 30],
] as const)
  console.log(`${name}, warming by ${drift}:`, JSON.stringify(succeeds(name, drift, within, students)));
console.log('turns measured on rungs, the trail leg’s stop:', JSON.stringify(stopsTold(students)));
