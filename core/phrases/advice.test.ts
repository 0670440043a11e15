import {
  buysSentences,
  chanceWords,
  doSentences,
  doubtSentences,
  judge,
  pairSentence,
  partingSentences,
  pulledSentence,
  stopsSentence,
  waitsSentence,
  type Judgement,
  type Speech,
} from '..';
import { caseOf } from '../test/adviceCases';
import { WRITTEN_CASES } from '../test/writtenCases';

const speech: Speech = { length: 'cm', feet: 'lead and trail', hand: 'right' };
const caseNamed = (name: string) => caseOf(WRITTEN_CASES.find((each) => each.name === name)!);
const named = (name: string): Judgement => judge(caseNamed(name));

/** The three sentences, as a coach would say them. */
const told = (judgement: Judgement, as: Speech = speech) => ({
  stops: stopsSentence(judgement, as),
  we: doSentences(judgement, 290, as),
  buys: buysSentences(judgement, as),
});

test('a stiff slicer with a square trail foot: what stops you, what we do, what it buys', () => {
  const judgement = named('a stiff slicer with a square trail foot');
  const { stops, we, buys } = told(judgement);
  expect(stops).toBe('Going back the trail leg stops the hips at about 24°; 45° is needed.');
  expect(we[0]).toBe('Turn the trail foot out 25°, to 25° out. Keep the toe on its line.');
  expect(we[1]).toBe('Move the trail foot back 7 cm, about a quarter shoe.');
  expect(buys[0]).toMatch(/^Backswing about (49|50)°, 45° needed: likely enough\.$/);
  expect(buys[1]).toBe('The path comes straighter.');
});

test('where this body needs what the method would not have, both are said', () => {
  const [first] = partingSentences(named('a trunk that turns little asks more of the hips'), speech);
  expect(first).toMatch(/^Your method wants trail flare at 1\d to 1\d°\. This body needs 30°\.$/);
});

test('left and right are said of the student’s own feet', () => {
  const judgement = named('a left-hander with a driver and a square lead foot');
  const own = told(judgement, { ...speech, feet: 'left and right', hand: 'left' });
  expect(own.stops).toBe('Coming through the right leg stops the hips at about 30°; 45° is needed.');
  expect(own.we).toEqual(['Turn the right foot out 18°, to 20° out. Keep the toe on its line.']);
});

test('what stands before all comes first, and nothing wrong is told as nothing', () => {
  expect(told(named('a sore lead knee on a square foot')).we[0]).toBe(
    'If it hurts, stop. Doctor or physio first.',
  );
  expect(told(named('nobody’s legs tested, all in its band'))).toEqual({
    stops: 'Nobody knows yet where the legs stop the turn.',
    we: ['Test the legs first.'],
    buys: [],
  });
  expect(told(named('nothing wrong at all'))).toEqual({
    stops: 'Nothing stands in the way.',
    we: ['Leave it as it is.'],
    buys: [],
  });
});

test('load, ball, width and face are told by their own words', () => {
  expect(told(named('on the toes, stands up')).stops).toBe('The weight is too near the toes.');
  expect(told(named('on the heels')).stops).toBe('The weight is too near the heels.');
  expect(told(named('weight on the trail toes blocks a hip that has room')).stops).toBe(
    'The weight is too near the trail toes and holds the hip going back.',
  );
  expect(told(named('thin with the ball outside the lead heel')).stops).toBe('The ball is too far forward.');
  expect(told(named('a narrow stance with a driver, to be checked')).stops).toBe('The stance is too narrow.');
  expect(told(named('curves away, and nobody saw where it starts')).we).toEqual([
    'Look where the face points.',
  ]);
  expect(told(named('fat and thin pitches from a good address with the most loft')).we).toEqual([
    'Take a club with less loft, and the same swing.',
  ]);
});

test('of a turn only the rest waits where the plan works at it, else the turn', () => {
  const judgement = named('a stiff slicer with a square trail foot');
  const waits = [{ cause: 'lead leg back', figure: 'leadFlare', off: 'more' }] as const;
  const waiting = (things: Judgement['things']) =>
    waitsSentence({ ...judgement, things, waits: [...waits] }, speech);
  expect(waiting(judgement.things)).toContain('Still to do: the rest of the turn back.');
  expect(waiting([{ ...judgement.things[0]!, cause: 'path' }])).toContain('Still to do: the turn back.');
});

test('what is bought is told before what it costs', () => {
  const judgement = named('a stiff slicer with a square trail foot');
  const through = { stoppedBy: null, from: 52, to: 44, needed: 45, chanceFrom: null, chanceTo: null };
  const buys = buysSentences({ ...judgement, through }, speech);
  expect(buys.at(-1)).toBe('It costs turn through: about 44° is left, 45° needed.');
});

test('a foot that both turns pull at is told as one conflict', () => {
  const judgement = { ...named('a lead foot that both turns pull at'), pulledBothWays: true };
  expect(pulledSentence(judgement, speech)).toBe(
    'The lead foot is pulled both ways: squarer to go back, further out to come through.',
  );
});

test('what waits is called by its name, and what nothing in the feet explains is said so', () => {
  const square = judge(
    { ...caseNamed('both feet square where fifteen is taught'), ...{ pinned: ['leadFlare'] } },
    0,
  );
  expect(
    waitsSentence(
      { ...square, waits: [{ cause: 'sore joint', figure: null, off: null }], spares: 'knee' },
      speech,
    ),
  ).toBe('Still to do: easing the knee.');
  const { stops, we } = told(named('a usual body that cannot turn back, and nothing shows'));
  expect([stops, ...we]).toEqual(['Nothing in the feet explains it.', 'Measure the turn itself next.']);
  expect(told(named('a leg that its test says is a touch short, on feet as taught'))).toMatchObject({
    stops: 'By its test the trail leg stops the hips at about 41°. Only a turn can say.',
    we: ['Measure the turn on these feet first.'],
  });
});

test('what explains it and must not be moved is named, and left', () => {
  expect(told(named('falls back from a wide stance, and fell last month'))).toEqual({
    stops: 'The stance is too wide to get onto the lead foot.',
    we: ['Leave the feet: nothing that may be moved would help.'],
    buys: [],
  });
  // A line that a slice wants no squarer explains nothing.
  expect(told(named('starts left and curves away over a line that is closed already'))).toMatchObject({
    stops: 'Nothing in the feet explains it.',
    we: ['Look at the shoulders next.'],
  });
});

test('a pitch is told in one breath, a sore joint by its name', () => {
  expect(told(named('fat pitches from a wide, flared stance')).we.slice(0, 2)).toEqual([
    'Feet close: 27 cm between the heels.',
    'Trail foot in, to square.',
  ]);
  expect(told(named('a sore lead knee, lead flare 5'))).toMatchObject({
    stops: 'The sore knee is spared first.',
    buys: ['The sore knee has less to do.'],
  });
});

test('shots that say another way than the eye are told so, and so is a close call', () => {
  const across = caseNamed('a monitor shows the path across the ball');
  const seen = {
    ...across.setup,
    posture: { ...across.setup.posture!, swingPath: 'from the inside' as const },
  };
  expect(doubtSentences(judge({ ...across, setup: seen }, 0))).toEqual([
    'The shots say out-to-in, and what was seen says the other way. The shots count.',
  ]);
  expect(doubtSentences({ ...judge(across, 0), closeCall: true })).toEqual([
    'A close call: measured again, another thing could come first.',
  ]);
});

test('every sentence of the hundred cases is short, and says its figures once', () => {
  for (const { name } of WRITTEN_CASES) {
    const { stops, we, buys } = told(named(name));
    for (const sentence of [stops, ...we, ...buys]) {
      expect(sentence.split(/\s+/).length).toBeLessThanOrEqual(18);
      expect(sentence).not.toMatch(/undefined|null|NaN|[()]/);
    }
  }
});

test('chances in words', () => {
  expect([0.1, 0.4, 0.6, 0.61, 0.9, 0.91].map(chanceWords)).toEqual([
    'unlikely',
    'an even chance',
    'an even chance',
    'likely',
    'likely',
    'almost sure',
  ]);
});

describe('the pressure beside the route', () => {
  const across = caseOf(
    WRITTEN_CASES.find(({ name }) => name === 'a monitor shows the path across the ball')!,
  );
  const seen = (way: 'file' | 'stripe') =>
    judge({ ...across, cameFor: ['falls off balance'], pressure: { pattern: 'reverse', way } }, 0);

  test('is told with how it was seen, what to think, and what it brings', () => {
    const { stops, we, buys } = told(seen('file'), { ...speech, feet: 'left and right', hand: 'left' });
    expect(stops).toBe('On the mat, the weight goes to the right foot going back.');
    expect(we[0]).toBe('Feel the left heel at the top.');
    expect(buys).toContain('The weight is there to come forward with.');
  });

  test('an eye is not said to be a mat', () => {
    const judgement = seen('stripe');
    const about = { ...judgement, things: judgement.things.filter(({ thing }) => thing === 'pressure') };
    expect(stopsSentence(about, speech)).toBe(
      'As far as the stripes show, the weight goes to the lead foot going back.',
    );
  });

  test('beside a path that is off it is told as a pair, one at a time', () => {
    expect(pairSentence(seen('file'))).toBe(
      'Path and pressure drag each other. Work at one at a time, the pressure first.',
    );
    expect(pairSentence(judge({ ...across, pressure: null }, 0))).toBe('');
  });
});
