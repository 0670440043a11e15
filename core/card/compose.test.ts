import { QUICK_LOOK, setupAsSeen, setupAsTaken, withFigure, type CautionFact, type Setup } from '..';
import type { OwnLadder } from '../ladder';
import { taught } from '../test/taught';
import { composeCard, type Card, type TakenHome } from './compose';
import { exaggeratedDose, setupForDose } from './doses';
import { DRILL_LIBRARY } from './drillLibrary';
import { practiceLines, usualPractice } from './practice';
import { usualRoutine } from './routine';

const TODAY = '2026-11-27';
const stand = (figures: Parameters<typeof setupAsTaken>[1]) =>
  setupAsTaken({ ...taught(), measured: {} }, figures, 'tape');
const FROM = stand({ stanceWidth: 420, leadFlare: 20, trailFlare: 5, setback: 0, ballAlong: 50 });
const AGREED = stand({ stanceWidth: 420, leadFlare: 20, trailFlare: 25, setback: 75, ballAlong: 50 });
const sore: CautionFact = {
  joint: 'hip',
  side: 'right',
  state: 'pain',
  since: '',
  clearedBy: '',
  notedOn: '2026-11-01',
  status: 'stands',
};

const home = (given: Partial<TakenHome['student']> = {}): TakenHome => ({
  student: {
    name: 'Wilhelmina Longname-Example',
    hand: 'right',
    birthYear: 1990,
    bornOn: null,
    facts: [],
    ...given,
  },
  clubs: [
    {
      club: '7-iron',
      shot: 'full',
      from: FROM,
      agreed: AGREED,
      agreedOn: '2026-11-20',
      leadHeelLift: 0,
      reason: 'The trail hip stopped the turn.',
      feel: 'Trail hip pocket going back.',
      further: exaggeratedDose(FROM, AGREED, []),
      dose: 'feel',
      rounds: { feel: 3, play: 5 },
    },
  ],
  routine: usualRoutine({ club: '7-iron', shot: 'full', method: null }, []),
  drills: [DRILL_LIBRARY.find(({ id }) => id === 'far-back-then-laces')!],
  cue: 'Lead foot as for a long throw.',
  practice: { daysAWeek: 3, balls: 40, warmUp: true },
  nextLook: '2026-12-04',
  ladder: null,
  found: [],
  length: 'cm',
  today: TODAY,
});

const words = (card: Card): string =>
  JSON.stringify({ ...card, clubs: card.clubs.map(({ drawing: _, ...club }) => club) });

describe('a card', () => {
  const card = composeCard(home());
  const [club] = card.clubs;

  test('says two things in the student’s left and right, what was moved most first', () => {
    expect(club!.sentences).toEqual([
      'Set the right toe level with the laces of the left shoe.',
      'Point the right toe out by a little over a shoe’s breadth, 25°.',
    ]);
    expect(club!.also).toEqual([]);
    expect(club!.because).toBe('The right hip stopped the turn.');
  });

  test('a left-hander reads the same with the sides changed, and sees the target on the right', () => {
    const left = composeCard(home({ hand: 'left' }));
    expect(left.clubs[0]!.sentences[0]).toBe('Set the left toe level with the laces of the right shoe.');
    expect(words(left)).not.toMatch(/\b(lead|trail)\b/i);
    expect(words(card)).not.toMatch(/\b(lead|trail)\b/i);
    expect([club!.drawing.target, left.clubs[0]!.drawing.target]).toEqual(['left', 'right']);
    const mirrored = (at: number) => left.clubs[0]!.drawing.width - at;
    expect(mirrored(left.clubs[0]!.drawing.ball.x)).toBeCloseTo(club!.drawing.ball.x, 0);
  });

  test('no angle stands without something to check it by', () => {
    for (const mark of [...club!.sentences, ...club!.marks, ...club!.doses.flatMap(({ lines }) => lines)])
      if (mark.includes('°')) expect(mark).toMatch(/shoe/);
    expect(club!.marks).toContain('Ball half a hand inside the left heel, 5 cm.');
  });

  test('a figure that was only seen, or not looked at, has no mark, unless it was agreed', () => {
    const narrow = QUICK_LOOK.width.find(({ words: seen }) => seen === 'Narrow')!;
    const wide = QUICK_LOOK.width.find(({ words: seen }) => seen === 'Wide')!;
    const from = setupAsSeen(stand({ leadFlare: 20, ballAlong: 50 }), wide, 450);
    const agreed = withFigure(from, 'trailFlare', 20);
    const marksOf = (to: Setup) => {
      const [first] = home().clubs;
      return composeCard({ ...home(), clubs: [{ ...first!, from, agreed: to, further: [] }] }).clubs[0]!
        .marks;
    };
    const named = (marks: string[]) => marks.map((mark) => mark.split(' ').slice(0, 2).join(' '));
    expect(named(marksOf(agreed))).toEqual(['Point the', 'Point the', 'Ball half']);
    expect(marksOf(agreed).join()).not.toMatch(/between|toe (level|past)/);
    expect(named(marksOf(setupAsSeen(agreed, narrow, 450)))[0]).toBe('Stand with');
  });

  test('every sentence is short, with at most two figures and no brackets', () => {
    const said = [
      ...club!.sentences,
      ...club!.also,
      ...club!.marks,
      ...card.routine,
      ...card.practice!.lines,
      ...card.care,
      ...club!.doses.flatMap(({ lines, swings }) => [...lines, swings]),
      ...DRILL_LIBRARY.flatMap((drill) => [drill.dose, drill.feel, drill.right, drill.needs]),
    ];
    for (const text of said.flatMap((each) => each.split(/(?<=[.?!]) /))) {
      expect([text, text.split(/\s+/).length <= 16]).toEqual([text, true]);
      expect([text, (text.match(/\d+/g) ?? []).length <= 2]).toEqual([text, true]);
      expect(text).not.toMatch(/[()[\]{}]|undefined|NaN|null/);
    }
  });

  test('two feet that are loaded alike are said once', () => {
    const { clubs, ...rest } = home();
    const load = (lead: number, trail: number) =>
      withFigure(withFigure(FROM, 'leadHeelToe', lead), 'trailHeelToe', trail);
    const balanced = { ...clubs[0]!, from: load(70, 70), agreed: load(50, 50), further: [] };
    expect(composeCard({ ...rest, clubs: [balanced] }).clubs[0]!.sentences).toEqual([
      'Weight under both feet: mid-foot.',
    ]);
    const one = { ...balanced, agreed: load(70, 50) };
    expect(composeCard({ ...rest, clubs: [one] }).clubs[0]!.sentences).toEqual([
      'Weight under the right foot: mid-foot.',
    ]);
  });

  test('a day that is over is not looked forward to', () => {
    expect(card.nextLook).toBe('2026-12-04');
    expect(composeCard({ ...home(), today: '2026-12-05' }).nextLook).toBeNull();
  });

  test('of the student it says the first name alone', () => {
    expect(card.firstName).toBe('Wilhelmina');
    expect(words(card)).not.toContain('Longname');
    expect(words(card)).not.toContain('1990');
  });

  test('where a joint asks for care, a doctor’s word counts more, and nothing is exaggerated', () => {
    const careful = composeCard({ ...home({ facts: [sore] }) });
    expect(careful.care.join(' ')).toMatch(/Ask your doctor or physiotherapist first/);
    expect(card.care.join(' ')).toMatch(/If it hurts, stop/);
  });
});

describe('two doses', () => {
  test('trail toe at the heel and the foot 15° further out, then as agreed, and the rung halfway', () => {
    const further = exaggeratedDose(FROM, AGREED, []);
    expect(further).toEqual([
      { figure: 'trailFlare', value: expect.closeTo(40, 1) },
      { figure: 'setback', value: AGREED.address.shoe.length },
    ]);
    const between = setupForDose(AGREED, further, 'between');
    expect(between.address.trail.flare).toBeCloseTo(32.5, 1);
    expect(setupForDose(AGREED, further, 'play')).toEqual(AGREED);
  });

  test('what was not turned out or set back is not exaggerated', () => {
    expect(exaggeratedDose(AGREED, FROM, [])).toEqual([]);
    expect(exaggeratedDose(AGREED, AGREED, [])).toEqual([]);
  });
});

describe('practice', () => {
  const adult = { minor: false, age: 36, cautions: [] };

  test('is less for minors, the older, and sore joints', () => {
    expect(usualPractice(adult).balls).toBe(40);
    expect(usualPractice({ ...adult, age: 70 }).balls).toBe(30);
    expect(usualPractice({ ...adult, minor: true }).balls).toBe(20);
  });

  test('its rounds come to the balls that were agreed', () => {
    const lines = practiceLines({ daysAWeek: 3, balls: 40, warmUp: true }, { feel: 3, play: 5 }, adult);
    expect(lines.at(-1)).toBe('That is one round. Do 8 of them.');
    expect(lines[0]).toMatch(/8 part swings with a wedge/);
    expect(practiceLines({ daysAWeek: 3, balls: 40, warmUp: false }, { feel: 0, play: 10 }, adult)).toEqual([
      '10 balls, then step away. Do that 4 times.',
    ]);
  });
});

describe('what field tests found', () => {
  const found = {
    ladder: 'trail flare',
    figure: 'trailFlare',
    on: '2026-11-20',
    standOn: 25,
    low: 20,
    high: 29.6,
  } as const;

  test('stands with why, in the student’s own sides and no finer than it is known', () => {
    const card = composeCard({ ...home({ hand: 'left' }), found: [found] });
    expect(card.clubs[0]!.because).toBe(
      'The left hip stopped the turn. Your test of 20 November found: left toe out 25°. It could be 20° to 30°.',
    );
    const width = {
      ladder: 'width',
      figure: 'stanceWidth',
      on: '2026-11-20',
      standOn: 482,
      low: 451,
      high: 519,
    } as const;
    expect(composeCard({ ...home(), found: [width] }).clubs[0]!.because).toContain('heels apart 48 cm');
  });

  test('a ladder to go up alone tells how to stand on each rung', () => {
    const ladder: OwnLadder = {
      id: 'own-1',
      name: 'Trail toe out',
      figure: 'trailFlare',
      purpose: 'Finds how far out the trail toe has to point.',
      passes: 'the trail foot stays where it is.',
      passing: 'from',
      swing: 'half swing',
      first: 0,
      last: 30,
      step: 15,
      minors: true,
    };
    const card = composeCard({ ...home(), ladder });
    expect(card.ladder).toMatchObject({
      name: 'Right toe out',
      counts: 'It counts when the right foot stays where it is.',
    });
    expect(card.ladder!.rungs).toEqual([
      { at: 0, words: 'Point the right toe straight ahead.' },
      { at: 15, words: expect.stringMatching(/^Point the right toe out by .*, 15°\.$/) },
      { at: 30, words: expect.stringMatching(/30°\.$/) },
    ]);
    expect(composeCard(home()).ladder).toBeNull();
  });
});

test('a growing body is told that marks change with the shoes, and when to measure again', () => {
  expect(composeCard(home({ birthYear: 2014 })).care[0]).toBe(
    'You grow. In new shoes, or after 20 March, ask your coach to measure again.',
  );
  expect(composeCard(home()).care.join(' ')).not.toMatch(/You grow/);
});
