import { FREE_THE_HIPS } from '../presets/freeTheHips';
import { TRIED_BODIES } from './bodies';
import { travelToPost, type ShouldersRule } from '..';
import { checkMethod } from './check';
import { CLUBS_AND_SHOTS, type Answer, type FigureQuestion, type HouseMethod, type Rule } from '..';
import { build, method } from '../../test/example';

const withRule = (question: FigureQuestion, rule: Rule): HouseMethod => {
  const given = method.questions[question];
  const answers = given.answers.map((answer): Answer =>
    answer.shot === 'full' ? { ...answer, rule } : answer,
  );
  return { ...method, questions: { ...method.questions, [question]: { ...given, answers } } };
};
const fixed = (value: number): Rule => ({ kind: 'fixed', value });

test('bodies from 140 to 205 cm are tried', () => {
  const heights = TRIED_BODIES.map(({ heightCm }) => heightCm);
  expect([Math.min(...heights), Math.max(...heights)]).toEqual([140, 205]);
});

test('a figure that nobody can stand in is refused with the case', () => {
  const { refusals } = checkMethod(withRule('leadFlare', fixed(90)));
  expect(refusals[0]).toMatchObject({ question: 'leadFlare', heightsCm: [140, 205] });
  expect(refusals[0]!.what).toMatch(/expected .30° to 60°, found 90°/);
  expect(refusals[0]!.clubs).toContain('Driver');
});

test('closed past a shoe is refused', () => {
  const { refusals } = checkMethod(withRule('stanceLine', { kind: 'marks of the lead shoe', marks: 1.3 }));
  expect(refusals.map(({ question, what }) => [question, what])).toEqual([
    ['stanceLine', 'the trail toe would stand 1.3 shoes behind the lead toe; expected at most one'],
    ['stanceLine', 'expected −30° to 40°, found 40°'],
  ]);
});

test('a width that only some bodies can stand in is refused with those bodies', () => {
  const { refusals } = checkMethod(withRule('stanceWidth', fixed(800)));
  expect(refusals).toHaveLength(1);
  // 800 mm is 0.55 of 145.5 cm.
  expect(refusals[0]!.heightsCm).toEqual([140, 145]);
  expect(checkMethod(withRule('stanceWidth', fixed(60))).refusals[0]!.what).toMatch(/stand on each other/);
});

test('too wide to post is kept with a warning that names clubs and bodies', () => {
  const { refusals, warnings } = checkMethod(method);
  expect(refusals).toEqual([]);
  // With square soles the shoulder rule breaks half a hip breadth for most bodies with a wood: where two schools part.
  const partingOf = (found: typeof warnings) =>
    found.find(({ what }) => what.startsWith('more than half a hip breadth'))!;
  const { place: _square, ...rule } = method.questions.stanceWidth.answers[0]!.rule as ShouldersRule;
  const square = partingOf(checkMethod(withRule('stanceWidth', rule)).warnings);
  expect(square.clubs).toEqual(['Driver', '3-wood', '5-wood']);
  expect(square.bodies.length).toBeGreaterThan(TRIED_BODIES.length / 6);
  // By plumb line onto the shoes as they stand it is hardly anybody.
  expect(partingOf(warnings).bodies.length).toBeLessThan(TRIED_BODIES.length / 20);
  const wide = checkMethod(withRule('stanceWidth', fixed(620))).warnings.map(({ what }) => what);
  expect(wide).toEqual(
    expect.arrayContaining([
      'too wide to post: the lead hip has more than half a hip breadth to go',
      'too wide to post: the lead hip has more than two thirds of a hip breadth to go',
    ]),
  );
  const hips = { id: 'h', version: 1, ...FREE_THE_HIPS };
  expect(checkMethod(hips).warnings).toEqual([]);
});

test('toed in with a full swing is unwise, and so is more than 45 degrees out', () => {
  const warned = (rule: Rule) =>
    checkMethod(withRule('trailFlare', rule))
      .warnings.filter(({ question }) => question === 'trailFlare')
      .map(({ what }) => what);
  expect(warned(fixed(-5))[0]).toMatch(/toed in/);
  expect(warned(fixed(50))[0]).toMatch(/more than 45/);
  expect(warned(fixed(20))).toEqual([]);
});

test('the way to the post, worked by hand', () => {
  // Heels 500, sole 105: 605 from edge to edge, 302.5 a side; hips 330: 165 a side; 25 of bump.
  expect(travelToPost(build(), 500, 25)).toBeCloseTo((302.5 - 165 - 25) / 330, 9);
});

test('a case names every club it was found for once', () => {
  const { refusals } = checkMethod(withRule('hipBump', fixed(400)));
  expect(refusals[0]!.clubs).toHaveLength(CLUBS_AND_SHOTS.filter(({ shot }) => shot === 'full').length);
});
