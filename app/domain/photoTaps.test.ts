import { USUAL_HEIGHTS } from '@pedastance/core/photo';
import { build } from '../../core/test/example';
import {
  endToSnap,
  nextTap,
  readyPhoto,
  tapsAsked,
  withCorners,
  withoutLastTap,
  type PhotoDraft,
  type TapName,
} from './photoTaps';

const photo = (over: Partial<PhotoDraft> = {}): PhotoDraft => ({
  id: 'one',
  takenAt: '2026-05-01T10:00:00.000Z',
  width: 2048,
  height: 1536,
  camera: { centre: { x: 1024, y: 768 }, focal: 1536 },
  focalTold: true,
  sheets: [],
  laid: 'A4',
  clubLength: null,
  mat: null,
  cornerDeviation: null,
  taps: {},
  dragged: {},
  noStick: false,
  hiddenHeel: { lead: false, trail: false },
  heights: USUAL_HEIGHTS,
  ...over,
});

const sheet = {
  ground: [],
  image: [],
  spread: [],
  printed: null,
  residualMm: 0.1,
};

const tapped = (names: readonly TapName[]): PhotoDraft['taps'] =>
  Object.fromEntries(names.map((name, at) => [name, { x: 400 + 90 * at, y: 300 + 60 * ((at * 7) % 11) }]));

test('seven taps with a stick and a sheet that was found; four more where its corners are tapped', () => {
  expect(tapsAsked(photo({ sheets: [sheet] }))).toHaveLength(7);
  expect(tapsAsked(photo())).toHaveLength(11);
  expect(tapsAsked(photo({ sheets: [sheet], noStick: true }))).toHaveLength(5);
  expect(tapsAsked(photo({ sheets: [sheet], hiddenHeel: { lead: true, trail: false } }))).toEqual([
    'stick1',
    'stick2',
    'ball',
    'leadToe',
    'leadEdge1',
    'leadEdge2',
    'trailToe',
    'trailHeel',
  ]);
});

test('what is asked next is the first that is missing, and the last tap is taken back', () => {
  const some = photo({ sheets: [sheet], taps: tapped(['stick1', 'stick2', 'ball']) });
  expect(nextTap(some)).toBe('leadToe');
  const fewer = withoutLastTap(some);
  expect(nextTap(fewer)).toBe('ball');
  expect(withoutLastTap(photo())).toEqual(photo());
  // A corner that is taken back is looked for anew.
  const cornered = withCorners(
    photo(),
    [1, 2, 3, 4].map((x) => ({ x, y: x })),
    0.5,
  );
  expect(withoutLastTap(cornered).cornerDeviation).toBeNull();
});

test('the end of a shoe that faces the camera goes to its edge, unless it was dragged there', () => {
  const taps = { leadToe: { x: 500, y: 900 }, leadHeel: { x: 480, y: 600 } };
  expect(endToSnap(photo({ taps }), 'lead')).toMatchObject({ name: 'leadToe', toward: taps.leadHeel });
  expect(endToSnap(photo({ taps, dragged: { leadToe: true } }), 'lead')).toBeNull();
  expect(endToSnap(photo({ taps: { leadToe: taps.leadToe } }), 'lead')).toBeNull();
  const behind = { trailToe: { x: 500, y: 500 }, trailHeel: { x: 480, y: 800 } };
  expect(endToSnap(photo({ taps: behind }), 'trail')).toMatchObject({ name: 'trailHeel' });
});

test('a photo is measured when every tap is there, with its own doubts', () => {
  expect(readyPhoto(photo(), build())).toBeNull();
  const whole = photo({ sheets: [sheet], taps: tapped(tapsAsked(photo({ sheets: [sheet] }))) });
  const ready = readyPhoto(whole, build())!;
  expect(ready.doubts).toMatchObject({
    scale: 0.02,
    focal: 0.012,
    line: 0.3,
    shoe: build().shoeLength.uncertainty,
  });
  const other = readyPhoto({ ...whole, noStick: true, focalTold: false }, build())!;
  expect(other.doubts).toMatchObject({ focal: 0.06, line: 2 });
  expect(other.photo.taps.stick).toBeNull();
  const cornered = photo({ taps: { ...tapped(tapsAsked(photo())) }, noStick: true });
  const square = [
    { x: 900, y: 700 },
    { x: 1100, y: 700 },
    { x: 1120, y: 900 },
    { x: 880, y: 900 },
  ];
  expect(readyPhoto(withCorners(cornered, square, 0.5), build())!.doubts.known).toBe(0.5);
  // A mat is nothing to measure by before its sides are known.
  const mat = withCorners({ ...cornered, laid: 'mat' }, square, 0.5);
  expect(readyPhoto(mat, build())).toBeNull();
  const { known } = readyPhoto({ ...mat, mat: { width: 1500, height: 1200 } }, build())!.photo;
  expect('ground' in known && Math.max(...known.ground.map(({ x }) => x))).toBeGreaterThan(1000);
});

test('where only a club lies there its ends and the ball’s two sides are tapped, and its length is typed', () => {
  const club = photo({ laid: 'club', noStick: true });
  expect(tapsAsked(club).slice(0, 4)).toEqual(['stick1', 'stick2', 'ballSide1', 'ballSide2']);
  const whole = { ...club, taps: tapped(tapsAsked(club)) };
  expect(readyPhoto(whole, build())).toBeNull();
  const { photo: ready, doubts } = readyPhoto({ ...whole, clubLength: 940 }, build())!;
  const [one, other] = [whole.taps.ballSide1!, whole.taps.ballSide2!];
  expect(ready.known).toEqual({ length: 940, ball: [one, other] });
  expect(ready.taps.ball).toEqual({ x: (one.x + other.x) / 2, y: (one.y + other.y) / 2 });
  expect(ready.taps.stick).not.toBeNull();
  expect(doubts.line).toBe(0.3);
  // A printed sheet is better, wherever one was found.
  expect(tapsAsked({ ...club, noStick: false, sheets: [sheet] })).toContain('ball');
});
