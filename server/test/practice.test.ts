import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PracticeSet } from '@pedastance/contract/practice';
import { findSheets, measureFeet, knownBySheet, USUAL_DOUBTS, USUAL_HEIGHTS } from '@pedastance/core/photo';
import { FEET_FIGURES } from '@pedastance/core/setup';
import { greyOf, openReader, readCodes } from './photographs';

const FOLDER = join(__dirname, '..', 'devices', 'camera', 'practice');
const pictures = PracticeSet.parse(JSON.parse(readFileSync(join(FOLDER, 'practice.json'), 'utf8')));

beforeAll(openReader);

test('there are twelve pictures, of either hand', () => {
  expect(pictures).toHaveLength(12);
  expect(new Set(pictures.map(({ hand }) => hand))).toEqual(new Set(['left', 'right']));
});

test.each(pictures)(
  '$name shows what is said of it: its sheet is found, and the feet measure as told',
  async (picture) => {
    const { width, height, focal, shoe, taps, figures, corners } = picture;
    const [sheet] = await findSheets(
      await greyOf(readFileSync(join(FOLDER, `${picture.name}.jpg`))),
      readCodes,
    );
    for (const [at, corner] of sheet!.image.entries())
      expect(Math.hypot(corner.x - corners[at]!.x, corner.y - corners[at]!.y)).toBeLessThan(1);
    const measured = measureFeet(
      {
        camera: { centre: { x: width / 2, y: height / 2 }, focal },
        known: knownBySheet(sheet!).known,
        shoe,
        taps,
      },
      USUAL_HEIGHTS,
      { ...USUAL_DOUBTS, tap: 0.5 },
    );
    expect(measured.view.hand).toBe(picture.hand);
    for (const name of FEET_FIGURES) {
      const { value } = measured.figures[name];
      expect(Math.abs(value - figures[name])).toBeLessThan(/Flare/.test(name) ? 1.5 : 6);
    }
  },
);
