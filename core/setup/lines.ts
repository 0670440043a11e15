/**
 * A line's angle in words, no finer than a tape tells it.
 * @param angle degrees, closed positive
 * @returns the angle with its side
 * @example lineWords(-2.1) // '2° open'
 */
export function lineWords(angle: number): string {
  const size = Math.abs(angle).toFixed(0);
  if (size === '0') return 'square';
  return `${size}° ${angle > 0 ? 'closed' : 'open'}`;
}

const MARKS = [
  { from: -Infinity, name: 'ahead of the lead toe' },
  { from: -0.06, name: 'level with the lead toe' },
  { from: 0.06, name: 'between the toe and the laces of the lead shoe' },
  { from: 0.19, name: 'level with the laces of the lead shoe' },
  { from: 0.31, name: 'between the laces and the middle of the lead shoe' },
  { from: 0.44, name: 'level with the middle of the lead shoe' },
  { from: 0.56, name: 'between the middle and the heel pad of the lead shoe' },
  { from: 0.69, name: 'level with the heel pad of the lead shoe' },
  { from: 0.81, name: 'between the heel pad and the heel of the lead shoe' },
  { from: 0.94, name: 'level with the heel of the lead shoe' },
  { from: 1.06, name: 'behind the heel of the lead shoe' },
] as const;

/**
 * The mark of the lead shoe that the trail toe is level with; marks are quarters of the shoe.
 * @param marks how far back the trail toe is, in lengths of the lead shoe
 * @returns where that is, in words
 * @example setbackMark(0.5) // 'level with the middle of the lead shoe'
 */
export function setbackMark(marks: number): string {
  return MARKS.findLast((mark) => marks >= mark.from)!.name;
}
