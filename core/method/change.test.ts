import {
  differences,
  dropFoot,
  instructions,
  measureAddress,
  setBallAlong,
  setStanceWidth,
  startingSetup,
  withDifferences,
  withFigure,
  type Setup,
  type Speech,
} from '..';
import { build, setup } from '../test/example';

const speech: Speech = { length: 'cm', feet: 'lead and trail', hand: 'right' };
const say = (from: Setup, to: Setup, over: Partial<Speech> = {}) =>
  instructions(differences(from, to), from.address.shoe.length, { ...speech, ...over });
const moved = (from: Setup, change: (address: Setup['address']) => Setup['address']): Setup => ({
  ...from,
  address: change(from.address),
});

describe('differences', () => {
  test('nothing changed is nothing to say', () => expect(differences(setup(), setup())).toEqual([]));

  test('wider is the trail foot alone, and the ball does not look moved', () => {
    const wider = moved(setup(), (address) => setStanceWidth(address, 540));
    expect(differences(setup(), wider)).toEqual([{ change: 'stanceWidth', unit: 'mm', from: 500, to: 540 }]);
  });

  test('a ball moved back is a ball moved back, not two feet', () => {
    const back = moved(setup(), (address) => setBallAlong(address, 80));
    expect(differences(setup(), back).map((each) => each.change)).toEqual(['ballAlong']);
  });

  test('less than a coach can see is no change', () => {
    expect(
      differences(
        setup(),
        moved(setup(), (address) => setStanceWidth(address, 500.4)),
      ),
    ).toEqual([]);
  });
});

describe('what to say', () => {
  test('trail foot back a quarter shoe', () => {
    const back = moved(setup(), (address) => dropFoot(address, 72.5));
    expect(say(setup(), back)).toEqual(['Move the trail foot back 7 cm, about a quarter shoe.']);
  });

  test('flare with the toe kept', () => {
    expect(say(setup(), withFigure(setup(), 'trailFlare', 15))).toEqual([
      'Turn the trail foot out 15°, to 15° out. Keep the toe on its line.',
    ]);
    expect(say(setup({ leadFlare: 20 }), withFigure(setup({ leadFlare: 20 }), 'leadFlare', 0))).toEqual([
      'Turn the lead foot in 20°, to square. Keep the toe on its line.',
    ]);
  });

  test('left and right come with the hand', () => {
    const to = withFigure(setup(), 'trailFlare', 10);
    expect(say(setup(), to, { feet: 'left and right', hand: 'right' })[0]).toMatch(
      /^Turn the right foot out/,
    );
    expect(say(setup(), to, { feet: 'left and right', hand: 'left' })[0]).toMatch(/^Turn the left foot out/);
    expect(
      say(
        setup(),
        moved(setup(), (address) => setStanceWidth(address, 540)),
        { feet: 'left and right', hand: 'left' },
      )[0],
    ).toMatch(/^Move the left foot/);
  });

  test('inches where the coach likes them', () => {
    const wider = moved(setup(), (address) => setStanceWidth(address, 525.4));
    expect(say(setup(), wider, { length: 'inches' })[0]).toBe(
      'Move the trail foot out 1 in, to 20.5 in between the heels.',
    );
  });

  test('weight', () => {
    expect(say(setup(), withFigure(setup(), 'leadShare', 55))).toEqual([
      'Put more weight on the lead foot: 55%.',
    ]);
    expect(say(setup(), withFigure(setup(), 'leadHeelToe', 40))[0]).toMatch(
      /^Weight under the lead foot back to just behind mid-foot\.$/,
    );
  });
});

test('a student’s feet start plainly: level, a little out, the ball inside the lead heel', () => {
  const { address } = startingSetup(build(), 37);
  const measures = measureAddress(address);
  expect(measures.toeLine).toBe(0);
  expect(measures.leadFlare).toBe(measures.trailFlare);
  expect(measures.ballAlong).toBe(50);
  expect(measures.stanceWidth).toBeGreaterThan(300);
});

test('some of what differs can be made by itself, and all of it together is the other setup', () => {
  const from = setup();
  const wider = withFigure(withFigure(from, 'stanceWidth', 470), 'trailFlare', 27);
  const to = withFigure(withFigure(wider, 'leadShare', 58), 'ballAlong', 80);
  const all = differences(from, to);
  expect(differences(withDifferences(from, all), to)).toEqual([]);
  for (const each of all) {
    // What is measured where another was made does not move with it.
    const alone = differences(from, withDifferences(from, [each]));
    expect(alone.map(({ change }) => change)).toContain(each.change);
    expect(alone.find(({ change }) => change === each.change)!.to).toBeCloseTo(each.to, 6);
  }
});
