import type { SetbackRung, SetbackScore, NextSetback, Mark, StrikeHeight } from '@pedastance/core/ladder';
import type { Said } from '../../../domain/said';

/** How to stand on each; a gap is said after it. */
const stands: Record<SetbackRung, string> = {
  'fully forward': 'All the weight over the lead foot, the trail toe only touching.',
  together: 'Feet together, a little more weight on the lead foot.',
  rearward: 'Most of the weight over the trail foot.',
  middle: 'Trail toe level with the middle of the lead shoe.',
  'heel pad': 'Trail toe level with the heel pad of the lead foot.',
  heel: 'Trail toe level with the lead heel.',
};
const scores: Record<SetbackScore, string> = {
  held: 'All held',
  head: 'Head moved',
  strike: 'Poor strike',
  flight: 'Other flight',
  balance: 'Lost balance',
  pain: 'It hurts',
};
const stops: Record<Extract<NextSetback, { kind: 'stop' }>['why'], string> = {
  pain: 'It hurts: stop here. Where it goes on hurting, a doctor or physiotherapist comes first.',
  'two lost their balance': 'Two in a row lost their balance: stop here.',
  found: 'Each was swung on three times.',
};
const marks: Record<Mark, string> = { ahead: 'Ahead', at: 'At the ball', behind: 'Behind' };
const strikes: Record<StrikeHeight, string> = {
  high: 'High on the face',
  middle: 'In the middle',
  low: 'Low on the face',
};

/** What the tests beside the ladders say. */
export const messages = {
  stands,
  scores,
  stops,
  marks,
  strikes,
  gap: (length: Said) => `Leave ${length} between the shoes.`,
  needsClub: 'Choose a club first: this is found with one.',
  chooseClub: 'Choose a club',
  tries: (count: number) => (count === 1 ? 'One so far' : `${count} so far`),
  anew: 'Begin anew',
  takeBack: 'Take the last one back',
  keepIt: 'Keep it',
  kept: 'Kept in the log.',
  take: (band: Said) => `Take it: ${band}`,
  taken: 'Taken: from now on this student is judged by it.',
  last: (when: Said, found: Said) => `On ${when}: ${found}`,
  setback: {
    purpose: 'Finds where the trail foot belongs for a body that stays over its lead foot.',
    how: 'Plant the lead foot and load it. Swing half to two thirds.',
    counts: 'All held: head, strike, flight and balance.',
    sure: (chance: Said) => `Best of the three: ${chance}.`,
    rearwardHeld: 'It held on the trail foot: this body may not need to stay forward.',
  },
  lowPoint: {
    purpose: 'Finds where the club is lowest, told from the lead heel.',
    how: 'Brush the grass, or look at the divot. Ahead is toward the target.',
    teed: 'Look at the face after each ball.',
    mark: 'The mark is',
    strike: 'It was struck',
    measure: 'Measure a divot',
    start: 'Starts, from the ball',
    end: 'Ends, from the ball',
    divotHelp: 'Toward the target is positive, behind the ball negative.',
    add: 'Note the divot',
    expected: (least: Said, most: Said, found: Said) => `Expected ${least} to ${most}, found ${found}.`,
    expectedEnd: 'Expected an end no nearer the target than the start.',
    tee: 'Tee height',
    ballAt: 'Ball inside the lead heel',
    byMarks: 'Told by eye. Measured divots tell it better.',
    byDivots: (count: number) => `By ${count} measured divots.`,
    ball: (move: Said) => `By where the divots start, move the ball ${move}.`,
    ballStays: 'By where the divots start, the ball lies well.',
    toTarget: (length: Said) => `${length} toward the target`,
    fromTarget: (length: Said) => `${length} away from the target`,
  },
  settled: {
    purpose: 'Finds this student’s own middle, from heel to toe.',
    how: 'Rock to the heels, to the toes, smaller each time, and stop. Where is the weight?',
  },
  finish: {
    purpose: 'Tells whether the finish holds until the ball is down.',
    how: 'Stay there, able to step off toward the target.',
    held: 'Held it',
    fell: 'Fell away',
    doubt: (low: Said, high: Said) => `So it holds in ${low} to ${high} of swings.`,
  },
  lift: {
    purpose: 'Tells whether the lead foot is stood on: the trail foot comes up at the finish.',
    how: 'Swing, and lift the trail foot off the ground at the finish.',
    held: 'It lifted',
    fell: 'Fell back',
  },
  broomstick: {
    purpose: 'Finds where the feet feel the weight: a broomstick lies under both.',
    how: 'Roll the feet over the stick until the weight is right. Where is it felt?',
    heels: 'Heels',
    middle: 'Middle',
    toes: 'Toes',
  },
  stripe: {
    purpose: 'Sees in a video when the weight rolls to the toes: a stripe on the soles’ edges goes.',
    how: 'Phone low behind the shoes. The video stays on this device.',
    pick: 'Pick a video',
    other: 'Another video',
    back: 'A frame back',
    on: 'A frame on',
    place: 'Place in the video',
    moment: 'Moment',
    moments: { address: 'Address', top: 'Top', 'early down': 'Early down', impact: 'Strike' },
    lead: 'Lead foot’s stripe',
    trail: 'Trail foot’s stripe',
    seen: 'Seen',
    gone: 'Gone',
    note: 'Note the swing',
    nothing: 'Say of one stripe at least whether it was seen.',
    less: 'By eye on a video: less sure than a mat. Six of six would be sure.',
    sure: 'That is more often than not, whatever chance did.',
    notPlayed: 'This browser cannot show that file. Expected a video it can play.',
  },
  toeOut: {
    name: 'Natural toe-out',
    purpose: 'March on the spot, stop, look: how far the feet point out by themselves.',
    found: (lead: Said, trail: Said) => `Lead ${lead}, trail ${trail}.`,
  },
};
