import { typedShot } from './typedShot';

const METRIC = { length: 'cm', distance: 'metres', speed: 'kilometres an hour' } as const;
const columns = ['path', 'clubSpeed', 'carry', 'attack', 'divotStart', 'divotEnd'] as const;

test('a row as the monitor shows it, a number and its way for each column', () => {
  const typed = {
    numbers: { path: '3,2', clubSpeed: '144', carry: '133', attack: '4', divotStart: '1', divotEnd: '14' },
    ways: { path: 'minus', attack: 'minus' },
  } as const;
  expect(typedShot(typed, columns, METRIC, 'right')).toEqual({
    shot: { path: -3.2, clubSpeed: 40, carry: 133, attack: -4, divotStart: 10, divotEnd: 140, mishit: false },
  });
  // Left of the target is away from a left-hander: a path in-to-out.
  expect(typedShot(typed, ['path'], METRIC, 'left')).toEqual({ shot: { path: 3.2, mishit: false } });
});

test('yards, miles an hour and inches each by themselves', () => {
  const typed = {
    numbers: { clubSpeed: '100', carry: '200', divotStart: '2' },
    ways: { divotStart: 'minus' },
  } as const;
  const units = { length: 'inches', distance: 'yards', speed: 'miles an hour' } as const;
  const read = typedShot(typed, columns, units, 'right');
  expect(read).toMatchObject({ shot: { carry: 182.88, divotStart: -50.8 } });
  expect('shot' in read && read.shot.clubSpeed).toBeCloseTo(44.704, 6);
});

test('what is not typed was not seen; what cannot be is named', () => {
  expect(typedShot({ numbers: { carry: '' }, ways: {} }, columns, METRIC, 'right')).toEqual({
    shot: { mishit: false },
  });
  expect(typedShot({ numbers: { carry: 'far' }, ways: {} }, columns, METRIC, 'right')).toEqual({
    figure: 'carry',
    expected: '0 to 380 metres',
    found: 'far',
  });
  expect(
    typedShot({ numbers: { divotStart: '10', divotEnd: '4' }, ways: {} }, columns, METRIC, 'right'),
  ).toMatchObject({ figure: 'divotEnd', expected: 'no nearer the target than its start' });
});
