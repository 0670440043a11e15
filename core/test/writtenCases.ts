/**
 * A hundred and one cases as a good coach would answer them: common practice, no source; every figure in them is invented. `first`
 * names what a coach does first, any of them being right; `never` what must not be asked for; `ends` where a figure has to
 * end, within what can just be noticed. Sixty were written out before there was a judgement, forty-one more for the one that
 * goes by causes.
 */
import type { CameFor, FactState, Hand, Joint, BodySide, Remedy } from '../body';
import type { ClubId } from '../club';
import type { Item, SwingPath, TellTale } from '../setup';

/** What a coach says in one breath; nothing at all where all is well. */
export type WrittenThing =
  | 'measure the feet'
  | 'measure the turn'
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
  | 'pitch'
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
  /** Nothing of the address was measured. */
  unmeasured?: true;
  /** A joint's fact: who cleared it. */
  clearedBy?: string;
  first: readonly WrittenThing[];
  /** Where figures have to end, mm, degrees and percent. */
  ends?: Partial<Record<Item, number>>;
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
    // A pitch's stance is taught as one thing: until it was, the width or the trail foot came first.
    first: ['pitch'],
    ends: { stanceWidth: 265, trailFlare: 0 },
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
  // Signs: a remedy has a direction.
  {
    name: 'slides with the hips left in the middle',
    seen: ['slides without turning'],
    today: { hipBump: 0 },
    first: ['hips'],
    ends: { hipBump: 25 },
    never: [
      ['hipBump', 'less'],
      ['stanceWidth', 'more'],
    ],
  },
  {
    name: 'sways with the knee well outside, hips set forward already',
    method: 'lead-foot-first',
    seen: ['sways'],
    today: { trailKneeInside: -35 },
    first: ['trail knee'],
    ends: { trailKneeInside: 15 },
    never: [['trailKneeInside', 'less']],
  },
  {
    name: 'falls back, and fell last month',
    age: 71,
    facts: [['other', 'both', 'recent fall']],
    seen: ['falls back'],
    first: ['nothing'],
    never: [
      ['stanceWidth', 'less'],
      ['trailFlare', 'more'],
      ['stanceWidth', 'more'],
    ],
  },
  {
    name: 'hips pushed 6 cm and a tight back',
    facts: [['lower back', 'both', 'stiff']],
    today: { hipBump: 60 },
    first: ['hips'],
    ends: { hipBump: 0 },
    never: [['hipBump', 'more']],
  },
  {
    name: 'a woman who slides on a wide stance with a 5-iron',
    club: '5-iron',
    seen: ['slides without turning'],
    wider: 90,
    first: ['width'],
    never: [['stanceWidth', 'more']],
  },
  // Bands go to what is taught.
  {
    name: 'both feet square where fifteen is taught',
    cameFor: ['just a check'],
    today: { leadFlare: 0, trailFlare: 0 },
    first: ['lead foot', 'trail foot'],
    ends: { leadFlare: 15, trailFlare: 15 },
  },
  {
    name: 'both feet at eight where fifteen is taught',
    today: { leadFlare: 8, trailFlare: 8 },
    first: ['lead foot', 'trail foot'],
    ends: { leadFlare: 15, trailFlare: 15 },
  },
  {
    name: 'a line six degrees open, to be checked',
    cameFor: ['just a check'],
    today: { stanceLine: -6 },
    first: ['line'],
    ends: { stanceLine: 0 },
    never: [['stanceWidth', 'less']],
  },
  {
    name: 'shoulders twelve degrees open',
    today: { shoulderLine: -12 },
    first: ['shoulders'],
    ends: { shoulderLine: 0 },
  },
  {
    name: 'an iron stance too narrow',
    wider: -70,
    first: ['width'],
    ends: { stanceWidth: 354 },
    never: [['stanceWidth', 'less']],
  },
  {
    name: 'generous flare stood a little square, in its school',
    method: 'free-the-hips',
    today: { leadFlare: 12 },
    first: ['lead foot'],
    ends: { leadFlare: 30 },
    never: [['leadFlare', 'less']],
  },
  {
    name: 'free the hips as it is taught',
    method: 'free-the-hips',
    cameFor: ['just a check'],
    first: ['nothing'],
  },
  {
    name: 'easy turn with a driver, as it is taught',
    method: 'easy-turn',
    club: 'driver',
    first: ['nothing'],
  },
  {
    name: 'forward posted, as it is taught',
    method: 'forward-posted',
    first: ['nothing'],
  },
  {
    name: 'feet that point out 30° stood on at 45',
    toeOut: 30,
    today: { leadFlare: 45, trailFlare: 30 },
    first: ['lead foot'],
    ends: { leadFlare: 30 },
  },
  // The path.
  {
    name: 'starts left and curves away over a line that is closed already',
    cameFor: ['starts left', 'curves away'],
    today: { stanceLine: 9.5 },
    first: ['nothing', 'shoulders'],
    never: [
      ['stanceWidth', 'less'],
      ['trailFlare', 'less'],
      ['stanceLine', 'more'],
    ],
  },
  {
    name: 'a driver slicer by a monitor, feet as taught',
    club: 'driver',
    cameFor: ['curves away'],
    path: -6,
    first: ['line'],
    never: [
      ['stanceWidth', 'less'],
      ['stanceWidth', 'more'],
      ['trailFlare', 'less'],
    ],
  },
  {
    name: 'a left-handed driver slicer with open shoulders',
    hand: 'left',
    club: 'driver',
    cameFor: ['starts right', 'curves away'],
    today: { shoulderLine: -12 },
    first: ['shoulders'],
    ends: { shoulderLine: 0 },
  },
  {
    name: 'hooks from a ball far back',
    cameFor: ['starts right', 'curves toward'],
    today: { ballAlong: 115, stanceLine: 0 },
    first: ['ball', 'face'],
    never: [['ballAlong', 'more']],
  },
  // What hurts.
  {
    name: 'a sore lead knee, lead flare 5',
    facts: [['knee', 'left', 'pain']],
    cameFor: ['cannot turn back'],
    today: { leadFlare: 5 },
    first: ['see a doctor'],
    ends: { leadFlare: 15, trailFlare: 15 },
    never: [
      ['leadFlare', 'less'],
      ['stanceWidth', 'less'],
      ['stanceLine', 'less'],
    ],
  },
  {
    name: 'a sore trail hip, feet as taught',
    age: 61,
    facts: [['hip', 'right', 'pain']],
    cameFor: ['cannot turn back'],
    legs: { inTrail: 10 },
    first: ['see a doctor'],
    ends: { leadFlare: 20, trailFlare: 15 },
    never: [
      ['trailFlare', 'less'],
      ['trailFlare', 'more'],
      ['stanceWidth', 'more'],
      ['hipBump', 'more'],
    ],
  },
  {
    name: 'a left-hander with a sore lead knee',
    hand: 'left',
    facts: [['knee', 'right', 'pain']],
    cameFor: ['sore'],
    today: { leadFlare: 4 },
    first: ['see a doctor'],
    ends: { leadFlare: 15 },
    never: [['leadFlare', 'less']],
  },
  {
    name: 'a sore lower back and hips pushed',
    facts: [['lower back', 'both', 'pain']],
    cameFor: ['sore'],
    today: { hipBump: 45 },
    first: ['see a doctor'],
    ends: { hipBump: 0 },
    never: [
      ['hipBump', 'more'],
      ['stanceWidth', 'more'],
    ],
  },
  {
    name: 'a sore wrist and a square trail foot',
    facts: [['wrist', 'right', 'pain']],
    today: { trailFlare: 0 },
    first: ['see a doctor'],
    ends: { trailFlare: 15 },
  },
  {
    name: 'a replaced trail hip that the surgeon cleared, short of turn',
    age: 69,
    facts: [['hip', 'right', 'replaced']],
    clearedBy: 'surgeon',
    cameFor: ['swing too short'],
    legs: { inTrail: 15 },
    today: { trailFlare: 5 },
    first: ['trail foot'],
    never: [['trailFlare', 'less']],
  },
  {
    name: 'a sore shoulder, all else as taught',
    facts: [['shoulder', 'right', 'pain']],
    cameFor: ['just a check'],
    first: ['see a doctor'],
    never: [
      ['leadFlare', 'more'],
      ['trailFlare', 'more'],
      ['stanceLine', 'more'],
    ],
  },
  {
    name: 'a sore lead ankle on a foot as taught',
    facts: [['ankle', 'left', 'pain']],
    cameFor: ['cannot turn through'],
    first: ['see a doctor'],
    never: [['leadFlare', 'less']],
  },
  // What is stiff.
  {
    name: 'stiff ankles, cannot turn back',
    age: 66,
    facts: [['ankle', 'both', 'stiff']],
    cameFor: ['cannot turn back'],
    first: ['line'],
    never: [
      ['stanceLine', 'less'],
      ['trailFlare', 'less'],
    ],
  },
  {
    name: 'stiff hips, cannot turn back',
    age: 66,
    facts: [['hip', 'both', 'stiff']],
    cameFor: ['cannot turn back'],
    first: ['trail foot'],
    never: [
      ['trailFlare', 'less'],
      ['stanceWidth', 'more'],
    ],
  },
  {
    name: 'a stiff senior with a driver on square feet',
    club: 'driver',
    age: 74,
    cameFor: ['swing too short'],
    legs: { inTrail: 12, inLead: 20, outLead: 35 },
    today: { leadFlare: 3, trailFlare: 0 },
    first: ['trail foot'],
    never: [
      ['trailFlare', 'less'],
      ['leadFlare', 'less'],
    ],
  },
  // The turn.
  {
    name: 'an open line that holds the turn, legs with room',
    cameFor: ['cannot turn back'],
    today: { stanceLine: -8 },
    first: ['line'],
    ends: { stanceLine: 0 },
  },
  {
    name: 'a trail knee that stays bent going back',
    cameFor: ['cannot turn back'],
    today: { trailKneeBack: 30 },
    first: ['trail knee'],
    ends: { trailKneeBack: 190 },
    never: [['trailFlare', 'more']],
  },
  {
    name: 'a leg that its test says is a touch short, on feet as taught',
    cameFor: ['swing too short'],
    legs: { inTrail: 16 },
    first: ['measure the turn'],
    never: [['trailFlare', 'less']],
  },
  {
    name: 'a usual body that cannot turn back, and nothing shows',
    cameFor: ['cannot turn back'],
    first: ['nothing'],
    never: [['trailFlare', 'less']],
  },
  {
    name: 'legs not tested, the trail foot square, a swing that is too short',
    legs: null,
    cameFor: ['swing too short'],
    today: { trailFlare: 0 },
    first: ['trail foot'],
    ends: { trailFlare: 15 },
  },
  // Juniors.
  {
    name: 'a junior of twelve on square feet',
    age: 12,
    today: { trailFlare: 0 },
    first: ['trail foot'],
    ends: { trailFlare: 15 },
    never: [['hipTurn', 'more']],
  },
  // Pitches.
  {
    name: 'a pitch with the trail foot out and the weight back',
    club: 'gap-wedge',
    pitch: true,
    cameFor: ['thin'],
    today: { trailFlare: 20, leadShare: 45 },
    first: ['pitch'],
    ends: { trailFlare: 0, leadShare: 60 },
    never: [['trailFlare', 'more']],
  },
  {
    name: 'a left-handed pitch from a wide stance',
    hand: 'left',
    club: 'sand-wedge',
    pitch: true,
    wider: 120,
    first: ['width'],
    ends: { stanceWidth: 265 },
  },
  // What must not be moved.
  {
    name: 'falls back from a wide stance, and fell last month',
    age: 73,
    facts: [['other', 'both', 'recent fall']],
    seen: ['falls back'],
    wider: 130,
    first: ['nothing'],
    never: [
      ['stanceWidth', 'less'],
      ['trailFlare', 'more'],
    ],
  },
  // Nothing known.
  {
    name: 'nothing measured, and a slice by simulated shots',
    unmeasured: true,
    cameFor: ['curves away'],
    path: -5,
    first: ['measure the feet'],
  },
  {
    name: 'nothing measured, to be checked',
    unmeasured: true,
    cameFor: ['just a check'],
    first: ['measure the feet'],
  },
];
