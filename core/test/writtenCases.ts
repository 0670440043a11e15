/**
 * Sixty cases as a good coach would answer them: common practice, no source. They were written out before the
 * judgement was, and every figure in them is invented. `first` names what a coach does first, any of them being
 * right; `never` what must not be asked for.
 */
import type { CameFor, FactState, Hand, Joint, BodySide, Remedy } from '../body';
import type { ClubId } from '../club';
import type { Item, SwingPath, TellTale } from '../setup';

/** What a coach says in one breath; nothing at all where all is well. */
export type WrittenThing =
  | 'test the legs'
  | 'see a doctor'
  | 'lead foot'
  | 'trail foot'
  | 'line'
  | 'width'
  | 'load'
  | 'ball'
  | 'hips'
  | 'trail knee'
  | 'tilt'
  | 'shoulders'
  | 'face'
  | 'lead heel up'
  | 'lead foot round'
  | 'trail foot release'
  | 'shorter swing'
  | 'less loft'
  | 'nothing';

/** Degrees in the foot-in-the-air test and the seated turn. */
export interface WrittenLegs {
  inLead: number;
  outLead: number;
  inTrail: number;
  outTrail: number;
  trunk: number;
}

export interface WrittenCase {
  name: string;
  hand?: Hand;
  age?: number;
  facts?: readonly [Joint, BodySide, FactState][];
  cameFor?: readonly CameFor[];
  seen?: readonly TellTale[];
  swingPath?: SwingPath;
  /** Null: not tested. Left out: a usual body. */
  legs?: Partial<WrittenLegs> | null;
  /** How far each foot points out on its own, degrees. */
  toeOut?: number;
  club?: ClubId;
  pitch?: true;
  /** A preset's key; shoulders and neutral where it is left out. */
  method?: string;
  /** Wider than the method asks, mm. */
  wider?: number;
  /** Today's figures, mm, degrees and percent; what is left out is as the method teaches it. */
  today?: Partial<Record<Item, number>>;
  /** A monitor's mean path over two dozen shots, degrees, in-to-out positive. */
  path?: number;
  first: readonly WrittenThing[];
  never?: readonly (readonly [Remedy['item'], Remedy['by']])[];
}

export const USUAL_LEGS: WrittenLegs = { inLead: 38, outLead: 48, inTrail: 38, outTrail: 48, trunk: 45 };

const STIFF_TRAIL = { inTrail: 14 };
const ON_THE_TOES = { leadHeelToe: 72, trailHeelToe: 72 };

export const WRITTEN_CASES: readonly WrittenCase[] = [
  // Going back.
  {
    name: 'a stiff slicer with a square trail foot',
    age: 62,
    cameFor: ['curves away'],
    seen: ['over the top'],
    legs: STIFF_TRAIL,
    today: { trailFlare: 0 },
    first: ['trail foot'],
    never: [
      ['trailFlare', 'less'],
      ['stanceWidth', 'more'],
      ['stanceLine', 'less'],
    ],
  },
  {
    name: 'a swing that is too short on a trail foot at 5°',
    age: 66,
    cameFor: ['swing too short'],
    legs: { inTrail: 18 },
    today: { trailFlare: 5 },
    first: ['trail foot'],
    never: [['trailFlare', 'less']],
  },
  {
    name: 'shoulders tip down where the trail hip has no room',
    cameFor: ['more distance'],
    seen: ['shoulders tip down, arms lift'],
    legs: { inTrail: 20 },
    today: { trailFlare: 2 },
    first: ['trail foot'],
    never: [['trailFlare', 'less']],
  },
  {
    name: 'a trail foot turned in for a full swing',
    cameFor: ['cannot turn back'],
    legs: { inTrail: 28 },
    today: { trailFlare: -8 },
    first: ['trail foot'],
    never: [['trailFlare', 'less']],
  },
  {
    name: 'a lead foot so far out that it ends the backswing',
    cameFor: ['cannot turn back'],
    legs: { outLead: 36, inLead: 45 },
    today: { leadFlare: 42 },
    first: ['lead foot', 'lead heel up'],
    never: [['leadFlare', 'more']],
  },
  {
    name: 'both legs stop the backswing together',
    age: 70,
    cameFor: ['swing too short'],
    legs: { inTrail: 18, outLead: 28 },
    today: { trailFlare: 10 },
    first: ['trail foot', 'lead heel up', 'line', 'lead foot'],
    never: [
      ['leadFlare', 'more'],
      ['trailFlare', 'less'],
    ],
  },
  {
    name: 'a trunk that turns little asks more of the hips',
    age: 68,
    cameFor: ['cannot turn back'],
    legs: { trunk: 30, inTrail: 25 },
    today: { trailFlare: 12 },
    first: ['trail foot', 'lead heel up', 'line'],
    never: [['trailFlare', 'less']],
  },
  {
    name: 'an open stance that holds the trail hip',
    cameFor: ['cannot turn back'],
    legs: { inTrail: 20 },
    today: { stanceLine: -10, trailFlare: 15 },
    first: ['line', 'trail foot'],
    never: [['stanceLine', 'less']],
  },
  {
    name: 'weight on the trail toes blocks a hip that has room',
    cameFor: ['cannot turn back'],
    today: { trailHeelToe: 78 },
    first: ['load'],
    never: [['trailHeelToe', 'more']],
  },
  {
    name: 'feet that point out by themselves, stood on square',
    legs: { inTrail: 16 },
    toeOut: 24,
    today: { leadFlare: 15, trailFlare: 4 },
    cameFor: ['swing too short'],
    first: ['trail foot'],
    never: [['trailFlare', 'less']],
  },
  {
    name: 'the same with a driver',
    club: 'driver',
    age: 64,
    cameFor: ['swing too short'],
    legs: { inTrail: 17 },
    today: { trailFlare: 4 },
    first: ['trail foot'],
    never: [['trailFlare', 'less']],
  },
  // Going through.
  {
    name: 'a square lead foot that stops the hips coming through',
    cameFor: ['cannot turn through'],
    legs: { inLead: 22 },
    today: { leadFlare: 0 },
    first: ['lead foot'],
    never: [['leadFlare', 'less']],
  },
  {
    name: 'a lead foot that spins out, a little square for its hip',
    seen: ['lead foot spins out'],
    legs: { inLead: 26 },
    today: { leadFlare: 4 },
    first: ['lead foot'],
    never: [['leadFlare', 'less']],
  },
  {
    name: 'a stiff lead hip on a lead foot at 10°',
    cameFor: ['cannot turn through'],
    legs: { inLead: 16 },
    today: { leadFlare: 10 },
    first: ['lead foot'],
    never: [['leadFlare', 'less']],
  },
  {
    name: 'pushes off a square lead foot',
    cameFor: ['starts right'],
    legs: { inLead: 20 },
    today: { leadFlare: 0 },
    first: ['lead foot'],
    never: [
      ['leadFlare', 'less'],
      ['stanceLine', 'more'],
    ],
  },
  {
    name: 'a trail heel stuck down',
    cameFor: ['cannot turn through'],
    seen: ['trail heel stuck down'],
    first: ['trail foot release'],
    never: [['leadFlare', 'less']],
  },
  {
    name: 'a lead foot that both turns pull at',
    cameFor: ['cannot turn back'],
    legs: { outLead: 26, inLead: 14 },
    today: { leadFlare: 22 },
    first: ['lead heel up', 'line'],
  },
  {
    name: 'a left-hander with a driver and a square lead foot',
    hand: 'left',
    club: 'driver',
    cameFor: ['cannot turn through'],
    legs: { inLead: 18 },
    today: { leadFlare: 2 },
    first: ['lead foot'],
    never: [['leadFlare', 'less']],
  },
  // Getting to the lead foot.
  {
    name: 'falls back from a wide stance',
    seen: ['falls back'],
    wider: 130,
    first: ['width'],
    never: [['stanceWidth', 'more']],
  },
  {
    name: 'slides on a wide stance',
    seen: ['slides without turning'],
    wider: 110,
    first: ['width'],
    never: [['stanceWidth', 'more']],
  },
  {
    name: 'misses both ways from a wide stance with a driver',
    club: 'driver',
    cameFor: ['misses both ways'],
    wider: 140,
    first: ['width'],
    never: [['stanceWidth', 'more']],
  },
  {
    name: 'a narrow stance with a driver, to be checked',
    club: 'driver',
    cameFor: ['just a check'],
    wider: -130,
    first: ['width'],
    never: [['stanceWidth', 'less']],
  },
  {
    name: 'falls off balance on a very wide stance',
    cameFor: ['falls off balance'],
    wider: 150,
    first: ['width'],
    never: [['stanceWidth', 'more']],
  },
  {
    name: 'a stiff lower back on a wide stance',
    age: 58,
    facts: [['lower back', 'both', 'stiff']],
    wider: 100,
    first: ['width'],
    never: [
      ['stanceWidth', 'more'],
      ['hipBump', 'more'],
      ['shoulderTilt', 'more'],
    ],
  },
  {
    name: 'hips pushed far to the target under a stiff back',
    facts: [['lower back', 'both', 'stiff']],
    today: { hipBump: 80 },
    first: ['hips'],
    never: [['hipBump', 'more']],
  },
  {
    name: 'sways, the trail knee outside its foot',
    seen: ['sways'],
    today: { trailKneeInside: -40, hipBump: 0 },
    first: ['trail knee', 'hips'],
    never: [['stanceWidth', 'more']],
  },
  // Pitches, where the goals reverse.
  {
    name: 'fat pitches from a wide, flared stance',
    club: 'sand-wedge',
    pitch: true,
    cameFor: ['fat'],
    wider: 140,
    today: { trailFlare: 20 },
    first: ['width', 'trail foot'],
    never: [
      ['trailFlare', 'more'],
      ['stanceWidth', 'more'],
    ],
  },
  {
    name: 'a flared trail foot on a pitch',
    club: 'gap-wedge',
    pitch: true,
    cameFor: ['thin'],
    today: { trailFlare: 25 },
    first: ['trail foot'],
    never: [['trailFlare', 'more']],
  },
  {
    name: 'fat and thin pitches from a good address with the most loft',
    club: 'lob-wedge',
    pitch: true,
    cameFor: ['fat', 'thin'],
    first: ['less loft'],
    never: [['trailFlare', 'more']],
  },
  {
    name: 'weight back on a pitch',
    club: 'sand-wedge',
    pitch: true,
    cameFor: ['fat'],
    today: { leadShare: 38 },
    first: ['load'],
    never: [['leadShare', 'less']],
  },
  {
    name: 'a pitch with nothing wrong, on stiff legs',
    club: 'sand-wedge',
    pitch: true,
    legs: { inTrail: 10 },
    cameFor: ['just a check'],
    first: ['nothing'],
    never: [['trailFlare', 'more']],
  },
  // Turning too far.
  {
    name: 'a mobile junior who hooks and turns too far',
    age: 14,
    cameFor: ['curves toward', 'turns too far'],
    seen: ['loses the club at the top'],
    legs: { inLead: 55, outLead: 62, inTrail: 55, outTrail: 62, trunk: 60 },
    today: { trailFlare: 30, stanceLine: 8 },
    first: ['shorter swing', 'trail foot', 'line'],
    never: [
      ['stanceLine', 'more'],
      ['trailFlare', 'more'],
      ['leadFlare', 'more'],
    ],
  },
  {
    name: 'loses the club at the top on a closed line',
    seen: ['loses the club at the top'],
    legs: { inTrail: 50, trunk: 58 },
    today: { stanceLine: 10 },
    first: ['line', 'trail foot', 'shorter swing'],
    never: [
      ['stanceLine', 'more'],
      ['trailFlare', 'more'],
    ],
  },
  {
    name: 'hips measured far too far round',
    cameFor: ['turns too far'],
    legs: { inTrail: 52, outLead: 60, trunk: 55 },
    today: { hipTurn: 76, trailFlare: 30 },
    first: ['trail foot', 'shorter swing', 'line'],
    never: [
      ['trailFlare', 'more'],
      ['stanceLine', 'more'],
    ],
  },
  {
    name: 'shoulders round to 125°',
    legs: { inTrail: 50, trunk: 70 },
    cameFor: ['curves toward'],
    today: { shoulderTurn: 125 },
    first: ['shorter swing', 'trail foot', 'line'],
    never: [
      ['trailFlare', 'more'],
      ['stanceLine', 'more'],
    ],
  },
  // Load.
  {
    name: 'on the toes, stands up',
    seen: ['stands up'],
    today: ON_THE_TOES,
    first: ['load'],
    never: [
      ['leadHeelToe', 'more'],
      ['trailHeelToe', 'more'],
    ],
  },
  {
    name: 'on the heels',
    cameFor: ['starts right'],
    today: { leadHeelToe: 26, trailHeelToe: 26 },
    first: ['load'],
    never: [['leadHeelToe', 'less']],
  },
  {
    name: 'fat with the weight on the trail foot',
    cameFor: ['fat'],
    today: { leadShare: 38 },
    first: ['load'],
    never: [['leadShare', 'less']],
  },
  {
    name: 'leaning on the lead foot where the school stands even',
    cameFor: ['just a check'],
    today: { leadShare: 68 },
    first: ['load'],
    never: [['leadShare', 'more']],
  },
  {
    name: 'falls off balance on the toes',
    cameFor: ['falls off balance'],
    today: ON_THE_TOES,
    first: ['load'],
    never: [['leadHeelToe', 'more']],
  },
  {
    name: 'flips the hands, on the toes',
    seen: ['flips the hands'],
    today: ON_THE_TOES,
    first: ['load'],
  },
  {
    name: 'on the toes because of reaching for the ball',
    seen: ['stands up'],
    today: { ...ON_THE_TOES, ballOut: 640 },
    first: ['load', 'ball'],
  },
  // Path.
  {
    name: 'starts left and curves away from open feet',
    cameFor: ['starts left', 'curves away'],
    today: { stanceLine: -8 },
    first: ['line', 'trail foot'],
    never: [['stanceLine', 'less']],
  },
  {
    name: 'starts right and curves toward from closed feet',
    cameFor: ['starts right', 'curves toward'],
    today: { stanceLine: 9 },
    first: ['line', 'trail foot'],
    never: [['stanceLine', 'more']],
  },
  {
    name: 'curves away, and nobody saw where it starts',
    cameFor: ['curves away'],
    first: ['face'],
    never: [['stanceLine', 'more']],
  },
  {
    name: 'starts right and curves further right',
    cameFor: ['starts right', 'curves away'],
    first: ['face'],
    never: [['stanceLine', 'more']],
  },
  {
    name: 'starts left and curves further left',
    cameFor: ['starts left', 'curves toward'],
    first: ['face'],
    never: [['stanceLine', 'less']],
  },
  {
    name: 'a monitor shows the path across the ball',
    cameFor: ['curves away'],
    path: -5,
    first: ['line', 'trail foot'],
    never: [['stanceLine', 'less']],
  },
  {
    name: 'a monitor shows the path far out to the right',
    cameFor: ['curves toward'],
    path: 6,
    today: { stanceLine: 7 },
    first: ['line', 'trail foot'],
    never: [['stanceLine', 'more']],
  },
  {
    name: 'already from the inside, on closed feet',
    cameFor: ['starts right', 'curves toward'],
    swingPath: 'from the inside',
    today: { stanceLine: 8 },
    first: ['line', 'trail foot'],
    never: [['stanceLine', 'more']],
  },
  {
    name: 'open shoulders over closed feet',
    cameFor: ['starts left', 'curves away'],
    today: { stanceLine: 0, shoulderLine: -14 },
    first: ['shoulders'],
    never: [['shoulderLine', 'less']],
  },
  {
    name: 'a left-hander who starts it right and curves it away',
    hand: 'left',
    cameFor: ['starts right', 'curves away'],
    today: { stanceLine: -8 },
    first: ['line', 'trail foot'],
    never: [['stanceLine', 'less']],
  },
  {
    name: 'a face closed along with the feet',
    cameFor: ['curves toward'],
    today: { stanceLine: 6, clubFace: 8 },
    method: 'along-the-feet',
    first: ['face'],
    never: [['clubFace', 'more']],
  },
  // The ball.
  {
    name: 'thin with the ball outside the lead heel',
    cameFor: ['thin'],
    today: { ballAlong: -20 },
    first: ['ball'],
    never: [['ballAlong', 'less']],
  },
  {
    name: 'fat with the ball far back',
    cameFor: ['fat'],
    today: { ballAlong: 130 },
    first: ['ball'],
    never: [['ballAlong', 'more']],
  },
  // What the body says.
  {
    name: 'a sore trail hip',
    age: 57,
    facts: [['hip', 'right', 'pain']],
    cameFor: ['sore'],
    legs: { inTrail: 20 },
    today: { trailFlare: 10, leadFlare: 12 },
    first: ['see a doctor'],
    never: [
      ['trailFlare', 'less'],
      ['stanceWidth', 'more'],
      ['hipBump', 'more'],
    ],
  },
  {
    name: 'a sore lead knee on a square foot',
    facts: [['knee', 'left', 'pain']],
    cameFor: ['sore'],
    today: { leadFlare: 0 },
    first: ['see a doctor'],
    never: [['leadFlare', 'less']],
  },
  {
    name: 'nobody’s legs tested, and a swing that is too short',
    legs: null,
    cameFor: ['swing too short'],
    first: ['test the legs'],
  },
  {
    name: 'nobody’s legs tested, all in its band',
    legs: null,
    cameFor: ['just a check'],
    first: ['test the legs'],
  },
  {
    name: 'nothing wrong at all',
    cameFor: ['just a check'],
    first: ['nothing'],
  },
];
