import fc from 'fast-check';
import {
  angleFigure,
  footWord,
  inFootWords,
  lengthFigure,
  lengthIn,
  lengthWithUnit,
  lineWords,
  millimetres,
  setbackMark,
} from '..';

test('lengths there and back', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -2000, max: 2000, noNaN: true }),
      fc.constantFrom('cm' as const, 'inches' as const),
      (mm, unit) => {
        expect(millimetres(unit, lengthIn(unit, mm))).toBeCloseTo(mm, 8);
      },
    ),
  );
  expect(lengthWithUnit(254, 'inches')).toBe('10.00 in');
  expect(lengthWithUnit(452, 'cm')).toBe('45.2 cm');
});

test('never a minus zero', () => {
  expect(lengthFigure(-0.2, 'cm')).toBe('0.0');
  expect(angleFigure(-0.3)).toBe('0°');
  expect(angleFigure(-3)).toBe('\u22123°');
});

test('lines are open, square or closed', () => {
  expect([lineWords(2.06), lineWords(-3), lineWords(0.04)]).toEqual(['2° closed', '3° open', 'square']);
});

test.each([
  [0, 'level with the lead toe'],
  [0.25, 'level with the laces of the lead shoe'],
  [0.5, 'level with the middle of the lead shoe'],
  [0.75, 'level with the heel pad of the lead shoe'],
  [1, 'level with the heel of the lead shoe'],
  [-0.4, 'ahead of the lead toe'],
  [1.4, 'behind the heel of the lead shoe'],
])('a setback of %s shoe is %s', (marks, words) => expect(setbackMark(marks)).toBe(words));

test('a right-hander leads with the left foot, a left-hander with the right', () => {
  expect(footWord('lead', 'left and right', 'right')).toBe('left');
  expect(footWord('trail', 'left and right', 'right')).toBe('right');
  expect(footWord('lead', 'left and right', 'left')).toBe('right');
  expect(footWord('lead', 'lead and trail', 'left')).toBe('lead');
});

test('saying it for the other hand twice is what it was', () => {
  const mirrored = (text: string) =>
    text.replace(/left|right/g, (side) => (side === 'left' ? 'right' : 'left'));
  const sentence = 'Trail foot back; the lead toe stays. Lead first.';
  const right = inFootWords(sentence, 'left and right', 'right').toLowerCase();
  const left = inFootWords(sentence, 'left and right', 'left').toLowerCase();
  expect(mirrored(right)).toBe(left);
  expect(mirrored(mirrored(right))).toBe(right);
});
