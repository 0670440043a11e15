import type { Card } from '@pedastance/core/card';
import { cardHtml, cardText, escaped, spokenDay } from './render';

const card = (over: Partial<Card> = {}): Card => ({
  firstName: 'Ann',
  clubs: [
    {
      title: '7-iron',
      agreedOn: '2026-11-20',
      sentences: ['Set the right toe level with the laces of the left shoe.'],
      also: [],
      because: 'The right hip had no room.',
      feel: 'Pocket back.',
      marks: ['Ball half a hand inside the left heel, 5 cm.'],
      doses: [],
      drawing: {
        width: 700,
        height: 800,
        shoes: [{ side: 'left', path: 'M0 0L1 1Z', dashed: false }],
        names: [{ x: 1, y: 2, words: 'left' }],
        ball: { x: 300, y: 60 },
        line: 60,
        target: 'left',
        level: { y: 400, from: 500, to: 200 },
        drops: [{ x: 300, from: 60, to: 700 }],
      },
    },
  ],
  odd: 'It is right.',
  routine: ['Left foot'],
  practice: { daysAWeek: 3, days: '3 days a week', lines: ['10 balls.'] },
  drills: [],
  cue: '',
  nextLook: '2026-12-04',
  care: ['If it hurts, stop.'],
  ...over,
});

test('pictures stand beside each other with their days, and what was measured beneath', () => {
  const jpeg = '/9j/4AAQSkZJRg==';
  const html = cardHtml(card(), '', {
    earlier: { on: '2026-10-01', jpeg },
    later: { on: '2026-11-20', jpeg },
    measures: [{ name: 'Left <flare>', earlier: '8°', later: '20°' }],
  });
  expect(html.match(/data:image\/jpeg;base64,\/9j/g)).toHaveLength(2);
  expect(html).toContain('Before, Thursday 1 October');
  expect(html).toContain('<th scope="row">Left &lt;flare&gt;</th><td>8°</td><td>20°</td>');
  expect(cardHtml(card())).not.toContain('Before and after');
});

test('nothing that was typed becomes markup', () => {
  const evil = `<img src=x onerror="alert('1')"> & more`;
  const club = {
    ...card().clubs[0]!,
    title: evil,
    because: evil,
    feel: evil,
    sentences: [evil],
    marks: [evil],
  };
  const drill = { name: evil, how: evil, dose: evil, feel: evil, right: evil, needs: evil };
  const html = cardHtml(
    card({
      firstName: evil,
      clubs: [club, club],
      drills: [drill],
      cue: evil,
      routine: [evil],
      practice: { daysAWeek: 1, days: evil, lines: [evil] },
      care: [evil],
      odd: evil,
    }),
  );
  expect(html).not.toContain('<img');
  expect(html.match(/onerror="/g)).toBeNull();
  expect(html.split(escaped(evil)).length).toBeGreaterThan(15);
});

test('a number stays on the line of its unit', () => {
  expect(escaped('5 cm and 2 in')).toBe('5\u00a0cm and 2\u00a0in');
  expect(escaped('5 inches in the sand')).toBe('5 inches in the sand');
});

test('what is not there leaves no heading behind', () => {
  const bare = cardHtml(card({ practice: null, routine: [], nextLook: null }));
  for (const heading of [
    'Step in',
    'Two drills',
    'One drill',
    'We look at it again',
    'Big first',
    'other clubs',
  ])
    expect(bare).not.toContain(heading);
});

test('a day is spoken as that day, wherever it is read', () => {
  expect(spokenDay('2026-12-04')).toBe('Friday 4 December');
});

test('as text it has what a message needs', () => {
  expect(cardText(card()).split('\n')).toEqual([
    '7-iron',
    'Set the right toe level with the laces of the left shoe.',
    'Feel: Pocket back.',
    '',
    '3 days a week',
    '10 balls.',
    '',
    'It is right.',
    'We look at it again: Friday 4 December',
    'If it hurts, stop.',
  ]);
});

describe('a ladder to go up alone', () => {
  const ladder = {
    name: 'Ball back',
    purpose: 'Finds how far back the ball may lie.',
    counts: 'It counts when the strike is clean.',
    rungs: [
      { at: 0, words: 'Ball level with the left heel.' },
      { at: 20, words: 'Ball <a hand> inside the left heel.' },
    ],
  };
  const tried = [
    { at: 20, done: true },
    { at: 20, done: false },
  ];
  test('has a line for each rung with what was ticked on it, and buttons while more can be ticked', () => {
    const html = cardHtml(card({ ladder }), '', null, { tried, live: true });
    expect(html.match(/data-do="did"/g)).toHaveLength(2);
    expect(html).toContain('data-do="not yet" data-at="20"');
    expect(html).toContain('● ○');
    expect(html).toContain('&lt;a hand&gt;');
  });
  test('to look at, on paper, or on a day on which it hurt there is nothing to press', () => {
    expect(cardHtml(card({ ladder }))).not.toContain('data-do');
    expect(cardHtml(card({ ladder }), '', null, { tried, live: false })).not.toContain('data-do');
    expect(cardHtml(card())).not.toContain('card-rungs');
  });
});
