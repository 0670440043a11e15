import {
  agesOn,
  cautionsOf,
  factsSuggestedBy,
  isMinor,
  legsOn,
  seeded,
  type CautionFact,
  type Caution,
  type FactKey,
  type Remedy,
} from '..';

const fact = (over: Partial<CautionFact> = {}): CautionFact => ({
  joint: 'knee',
  side: 'left',
  state: 'pain',
  since: '',
  clearedBy: '',
  notedOn: '2026-11-01',
  status: 'stands',
  ...over,
});

const has =
  (remedies: (of: Caution) => readonly Remedy[], cautions: readonly Caution[]) =>
  (item: Remedy['item'], by: Remedy['by']) =>
    cautions.some((each) => remedies(each).some((remedy) => remedy.item === item && remedy.by === by));
const barred = (facts: readonly CautionFact[], hand: 'right' | 'left', minor = false) =>
  has(({ withholds }) => withholds, cautionsOf(facts, hand, minor));
const preferred = (facts: readonly CautionFact[], hand: 'right' | 'left') =>
  has(({ prefers }) => prefers, cautionsOf(facts, hand, false));
const limited = (facts: readonly CautionFact[], hand: 'right' | 'left') =>
  has(({ limits }) => limits, cautionsOf(facts, hand, false));

describe('what facts bar', () => {
  test('nothing noted, nothing left out; what is over or was waved away leaves nothing out either', () => {
    expect(cautionsOf([], 'right', false)).toEqual([]);
    expect(cautionsOf([fact({ status: 'over' }), fact({ status: 'waved away' })], 'right', false)).toEqual(
      [],
    );
  });

  test('a fact stays with its side of the body: a left knee leads for a right-hander and trails for a left-hander', () => {
    expect(legsOn('left', 'right')).toEqual(['lead']);
    expect(legsOn('left', 'left')).toEqual(['trail']);
    expect(barred([fact()], 'right')('leadFlare', 'less')).toBe(true);
    expect(barred([fact()], 'right')('trailFlare', 'less')).toBe(false);
    expect(barred([fact()], 'left')('trailFlare', 'less')).toBe(true);
    expect(barred([fact()], 'left')('trailKneeFlex', 'less')).toBe(true);
    expect(barred([fact()], 'left')('leadFlare', 'less')).toBe(false);
  });

  test('a left-hander whose left hip hurts: the trail hip, and a little more lead flare at a time', () => {
    const hip = [fact({ joint: 'hip' })];
    expect(preferred(hip, 'left')('leadFlare', 'more')).toBe(true);
    expect(limited(hip, 'left')('leadFlare', 'more')).toBe(true);
    expect(barred(hip, 'left')('trailFlare', 'less')).toBe(true);
    expect(barred(hip, 'left')('stanceWidth', 'more')).toBe(true);
    expect(cautionsOf(hip, 'left', false).map(({ instead }) => instead)).toContain(
      'A little more lead flare at a time, until moving onto the lead foot is smooth.',
    );
  });

  test('somebody’s word frees what was mended for small steps, and never what hurts', () => {
    const mended = fact({ joint: 'hip', state: 'replaced', clearedBy: 'her surgeon' });
    expect(barred([mended], 'right')('stanceWidth', 'more')).toBe(false);
    expect(limited([mended], 'right')('stanceWidth', 'more')).toBe(true);
    expect(barred([fact({ clearedBy: 'her surgeon' })], 'right')('leadFlare', 'less')).toBe(true);
  });

  test('pain and surgery defer to doctor and physiotherapist; a knee cites the small study and no more', () => {
    const told = cautionsOf([fact()], 'right', false);
    expect(told.map(({ deferTo }) => deferTo).join()).toMatch(/doctor or physiotherapist/);
    expect(told.map(({ caution }) => caution).join()).toMatch(/small study.*says nothing of twist/);
    expect(told.map(({ source }) => source).join()).toMatch(/Lynn & Noffal 2010/);
  });

  test('a minor is spared what forces the turn, with no fact at all', () => {
    expect(barred([], 'right', true)('hipTurn', 'more')).toBe(true);
    expect(cautionsOf([], 'right', true)[0]!.caution).toMatch(/growth spurts, low volume/);
  });

  test('one row is told once, whatever it is about', () => {
    const both = cautionsOf(
      [
        fact({ joint: 'lower back', side: 'both' }),
        fact({ joint: 'lower back', side: 'both', state: 'operated' }),
      ],
      'right',
      false,
    );
    expect(both).toHaveLength(2);
  });
});

describe('of age', () => {
  test('by the birthday where it is known; an unknown day counts against it', () => {
    const born = (bornOn: string | null) => ({ birthYear: 2008, bornOn });
    expect(isMinor(born('2008-11-27'), '2026-11-26')).toBe(true);
    expect(isMinor(born('2008-11-27'), '2026-11-27')).toBe(false);
    expect(isMinor(born(null), '2026-12-31')).toBe(true);
    expect(isMinor(born(null), '2027-01-01')).toBe(false);
    expect(agesOn(born(null), '2026-11-26')).toEqual({ least: 17, most: 18 });
    expect(agesOn(born('2008-02-29'), '2026-02-28')).toEqual({ least: 17, most: 17 });
  });
});

/** Sentences that say nothing of a body, with words around joints and pain. */
const HARMLESS_HEADS = [
  'Teacher at the school',
  'Was coached as a junior',
  'Number 4 on the ladder',
  'Paints at the weekend',
  'Chips well',
  'Short backswing',
  'Takes the club back inside',
  'Comes back in spring',
  'Hip turn is short',
  'Hips open early',
  'Shoulders stay level',
  'Plays the back nine first',
  'Weight on the back foot',
  'Left arm straight',
  'Wants to hit it higher',
  'Hip pocket goes back',
  'Kneels to read putts',
  'Likes a stiff shaft',
  'Hates tight fairways',
  'Sore loser, laughs about it',
  'Walks nine holes',
  'Hands ahead at the strike',
  'Strong grip',
  'Toes out by nature',
  'Replaced the grips in March',
  'Fell in love with links golf',
  'Plays off the back tees',
  'Heel up in the backswing',
  'Neck of the club hits the mat',
  'Shoulder line a touch open',
  'Left-handed at everything else',
  'Ankle socks only',
  'Wrists cock late',
  'Feet close together',
];
const HARMLESS_TAILS = [
  '',
  ', no pain',
  ', nothing hurts',
  '. No injuries.',
  '. Never had surgery.',
  ', plays twice a week',
  '. Back on Tuesday.',
  ', wants 200 m',
  '. Knees fine.',
  ', was a swimmer',
];

const SIDES = ['left', 'right'] as const;
const JOINTS = ['hip', 'knee', 'ankle', 'shoulder', 'wrist'] as const;
const SAID: readonly [FactKey['state'], (joint: string) => string][] = [
  ['pain', (joint) => `${joint} sore after the fifteenth hole`],
  ['pain', (joint) => `${joint} hurts in the follow-through`],
  ['pain', (joint) => `Pain in the ${joint} on cold days`],
  ['pain', (joint) => `Arthritis in the ${joint}`],
  ['pain', (joint) => `bad ${joint}`],
  ['stiff', (joint) => `${joint} stiff in the morning`],
  ['stiff', (joint) => `Tight ${joint}, office work`],
  ['replaced', (joint) => `${joint} replaced in 2019`],
  ['replaced', (joint) => `Has a new ${joint}`],
  ['operated', (joint) => `${joint} operated on as a student`],
  ['operated', (joint) => `Surgery on the ${joint} last year`],
];
const BEFORE = [
  '',
  'Plays twice a week. ',
  'Chips well. ',
  'Retired teacher, ',
  'Short backswing. ',
  'No other complaints; ',
];

const wanted = (fact: FactKey, found: readonly FactKey[]) =>
  found.length > 0 &&
  found.every((each) => each.joint === fact.joint && each.side === fact.side && each.state === fact.state);

describe('notes suggest facts', () => {
  const random = seeded(12);
  const pick = <Value>(from: readonly Value[]): Value => from[Math.floor(random() * from.length)]!;

  test('of 250 harmless notes at most 5 in 100 suggest anything', () => {
    const wrong = Array.from({ length: 250 }, () => pick(HARMLESS_HEADS) + pick(HARMLESS_TAILS)).filter(
      (note) => factsSuggestedBy(note, 'right').length > 0,
    );
    console.info(`harmless notes that suggested a fact: ${wrong.length} of 250`);
    expect(wrong.length).toBeLessThanOrEqual(12);
  });

  test('of 250 notes that say one thing at most 5 in 100 miss it or say more', () => {
    const missed = Array.from({ length: 250 }, () => {
      const side = pick(SIDES);
      const joint = pick(JOINTS);
      const [state, say] = pick(SAID);
      const note = pick(BEFORE) + say(`${side} ${joint}`);
      return { note, found: factsSuggestedBy(note, 'right'), fact: { joint, side, state } };
    }).filter(({ fact: of, found }) => !wanted(of, found));
    console.info(`notes that missed their fact: ${missed.length} of 250`);
    expect(missed.map(({ note, found }) => [note, found]).slice(12)).toEqual([]);
  });

  test.each([
    'Teacher, coached by her father. Number 4 on the ladder.',
    'Paint on the club face. Chips well.',
    'Backswing too long, loses it at the top.',
    'Trail foot square, shoulders tip down.',
    'Comes back from the sand with a smile.',
    'Back foot flares. Back nine is better.',
    'Knows every knee-knocker on the practice green.',
    'No pain, no surgery, sleeps well.',
    'His wife had her hip replaced in May.',
    'Her father’s knees are bad.',
    'Pain-free since the new shoes.',
    'A painful miss at the last hole.',
    'It hurts his score, not his pride.',
    'Stiff shaft, tight lies.',
    'Replaced the driver shaft.',
    'Used to have a sore shoulder, all gone.',
    'Hip hop dancer on Fridays.',
    'Hip turn 40, shoulder turn 90.',
    'Walks with the dog, dog has a bad hip.',
    'Elbow close to the body is the feel.',
    'Wants the hands higher at the finish.',
    'Right knee kicks in on the way down.',
    'Neck tie on Sundays; captain of the team.',
    'Fell short of the green all week.',
    'Wrist hinge late, which is good.',
    'Operates a crane. Strong legs.',
    'Sore point: the shanks.',
    'Ankle-deep rough does not worry him.',
    'Shoulders open, path left.',
    'Nothing hurts. Good for an hour.',
  ])('nothing in: %s', (note) => expect(factsSuggestedBy(note, 'right')).toEqual([]));

  const key = (joint: FactKey['joint'], side: FactKey['side'], state: FactKey['state']): FactKey => ({
    joint,
    side,
    state,
  });

  test.each<[string, FactKey[]]>([
    ['Arthritis in both hips.', [key('hip', 'both', 'pain')]],
    ['Sciatica on long drives in the car.', [key('lower back', 'both', 'pain')]],
    ['Stiff ankles.', [key('ankle', 'both', 'stiff')]],
    ['Lead knee: sore after the fifteenth hole. Seeing a physiotherapist.', [key('knee', 'left', 'pain')]],
    ['Trail hip stiff, no pain. Walks nine holes.', [key('hip', 'right', 'stiff')]],
    ['Left hip replaced 2019', [key('hip', 'left', 'replaced')]],
    ['Lower back aches the day after.', [key('lower back', 'both', 'pain')]],
    ['Bad back, does pilates.', [key('lower back', 'both', 'pain')]],
    ['Her back is stiff until noon.', [key('lower back', 'both', 'stiff')]],
    [
      'Slipped disc in 2015, operated.',
      [key('lower back', 'both', 'pain'), key('lower back', 'both', 'operated')],
    ],
    ['Right shoulder: cuff surgery.', [key('shoulder', 'right', 'operated')]],
    ['Fell on the stairs last month.', [key('other', 'both', 'recent fall')]],
    ['Had a fall in the garden.', [key('other', 'both', 'recent fall')]],
    ['Dizzy when she looks up quickly.', [key('other', 'both', 'dizzy or numb')]],
    ['Numb fingers in the cold.', [key('other', 'both', 'dizzy or numb')]],
    ['Growth spurt: four centimetres since May.', [key('other', 'both', 'growing')]],
    ['Neck pain after desk work.', [key('neck', 'both', 'pain')]],
    ['Left wrist tendonitis.', [key('wrist', 'left', 'pain')]],
    ['New right knee since the autumn.', [key('knee', 'right', 'replaced')]],
    ['Ankle sprained at football, right.', [key('ankle', 'both', 'pain')]],
    ['Back trouble since the move.', [key('lower back', 'both', 'pain')]],
    ['Meniscus repaired, left knee.', [key('knee', 'both', 'operated')]],
    ['The right hip does not turn far.', [key('hip', 'right', 'stiff')]],
    ['Frozen shoulder, left.', [key('shoulder', 'both', 'stiff')]],
    ['Chips well, but the left knee is painful.', [key('knee', 'left', 'pain')]],
    ['Spine fused at two levels.', [key('lower back', 'both', 'operated')]],
    ['Plantar fasciitis in the left foot.', [key('other', 'left', 'pain')]],
    ['Trail knee plays up downhill.', [key('knee', 'right', 'pain')]],
    ['Tennis elbow, sore to grip.', [key('other', 'both', 'pain')]],
    ['Swollen right ankle.', [key('ankle', 'right', 'pain')]],
  ])('%s', (note, facts) => expect(factsSuggestedBy(note, 'right')).toEqual(facts));

  test('lead and trail are sides of the body by the hand', () => {
    expect(factsSuggestedBy('Lead knee sore', 'left')).toEqual([key('knee', 'right', 'pain')]);
    expect(factsSuggestedBy('Trail hip hurts', 'left')).toEqual([key('hip', 'left', 'pain')]);
  });
});
