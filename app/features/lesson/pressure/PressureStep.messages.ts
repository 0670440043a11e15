import type { SwingMark } from '@pedastance/core/balance';
import { plural } from '@pedastance/core/units';
import type { Said } from '../../../domain/said';

const marks: Record<SwingMark, string> = {
  address: 'Address',
  top: 'Top',
  'early down': 'Early down',
  impact: 'Strike',
  finish: 'Finish',
};

/** What this step says. */
export const messages = {
  marks,
  title: 'Pressure',
  stand: 'Stand on the mat',
  simulated: 'A simulated student on a simulated mat: nothing of it is this student’s.',
  lookedAtOnly:
    'A stand-in’s swings: look at them as you like. Nothing of them is kept, and nothing is judged by them.',
  notTaken: 'Seen on a stand-in: not taken for this student.',
  simulatedSwings: 'Swings and paths of a simulated student.',
  fromFile: 'Bring in a recording …',
  toFile: 'Save the swings as a file',
  stepOff: 'Step off',
  lineLost: 'The mat is not heard just now. It goes on where it was.',
  connecting: 'Listening to the mat …',
  away: (why: Said) => `The mat is not there: ${why}`,
  lead: 'Lead foot',
  heelToe: (lead: Said, trail: Said) => `Heel to toe: lead ${lead}, trail ${trail}`,
  asked: (share: Said, along: Said) => `Asked for: lead ${share}, heel to toe ${along}`,
  ownMiddle: (along: Said) => `This student settles at ${along}: that stands in its place.`,
  centre: 'Told by where the load’s centre lies. Standing still, heels carry more than toes.',
  still: 'Still.',
  sways: (by: Said) => `Sways by ${by}.`,
  hold: 'Hold … take it',
  holdStill: 'Not still yet: two seconds on both feet are needed.',
  got: (share: Said, lead: Said, trail: Said) => `Got it: lead ${share}, heel to toe ${lead} and ${trail}.`,
  swings: (count: number) => (count === 1 ? 'One swing' : `${count} swings`),
  noSwings: 'Swing on the mat: each swing is found by itself.',
  swing: (number: number) => `Swing ${number}`,
  takeOut: (number: number) => `Take swing ${number} out`,
  together: 'All together',
  momentsMove: 'A moment is wrong? Drag it, or move it by the arrows.',
  moment: (mark: Said, at: Said) => `${mark}, ${at} s`,
  strikeWithin: (ms: number) => `A mat tells the strike to about ${ms} ms. Move it where a film shows it.`,
  practice: (numbers: readonly number[]) =>
    numbers.length === 1
      ? `Swing ${numbers[0]} is softer or slower than the others. A practice swing?`
      : `Swings ${new Intl.ListFormat('en').format(numbers.map(String))} are softer or slower than the others. Practice swings?`,
  practiceOut: (count: number) => (count === 1 ? 'Yes, take it out' : 'Yes, take them out'),
  balls: (count: number) => (count === 1 ? 'No, it had a ball' : 'No, they had a ball'),
  share: 'Lead foot, share of the load',
  along: 'Heel to toe, both feet',
  soles: 'The soles from above, with the way of the load',
  table: (lead: Said, along: Said) => `lead ${lead}, heel to toe ${along}`,
  route: (name: Said) => `Route that is taught: ${name}`,
  trunk: 'Does the trunk hang back at the top?',
  yes: 'Yes',
  no: 'No',
  notLooked: 'Not looked at',
  pathsOfShots: 'The paths are those of today’s shots.',
  otherSwings: 'They are other swings',
  notAsMany: (shots: number, swings: number) =>
    `${shots} ${plural(shots, 'shot', 'shots')} today, ${swings} ${plural(swings, 'swing', 'swings')} here: with as many of each, the swings take their paths.`,
  takePaths: (count: number) =>
    count === 1 ? 'Take the path of today’s shot' : `Take the paths of today’s ${count} shots, in order`,
  path: 'Path of this swing',
  pathHelp: 'From a monitor: in-to-out positive, out-to-in negative.',
  pathExpected: (found: Said) => `Expected −30 to 30 degrees, found ${found}.`,
  drift: (by: Said, way: 'in-to-out' | 'out-to-in') =>
    `Ten percent more toward the toes coming down goes with ${by} more ${way}.`,
  driftSure: (swings: number, low: Said, high: Said) =>
    `By ${swings} swings, almost surely ${low} to ${high}. Either may drag the other.`,
  driftNot: (swings: number, low: Said, high: Said) =>
    `By ${swings} swings, path and drift do not surely go together: ${low} to ${high} for ten percent.`,
  driftMore: (count: number) => `${count} swings with a path tell how path and drift go together.`,
  more: 'Three swings tell a habit from a chance.',
  clean: 'These swings keep to the route.',
  think: (cue: Said) => `Think: ${cue}`,
  rehearse: (how: Said) => `Rehearse: ${how}`,
  drill: (name: Said, dose: Said) => `Drill: ${name}. ${dose}`,
  needs: (what: Said) => `For it: ${what}`,
  noDrill: (name: Said) => `“${name}” is left out: what is known of this student is against it.`,
  check: (what: Said) => `Next time: ${what}`,
  notFor: 'Not after a fall, or when dizzy: leave the one-leg part out.',
  keepCue: 'Keep the swings with this cue',
  keep: 'Keep the swings',
  kept: 'Kept in the log.',
  last: (when: Said, found: Said) => `On ${when}: ${found}`,
  look: (check: Said) => `Look today: ${check}`,
  other: 'Also seen',
};
