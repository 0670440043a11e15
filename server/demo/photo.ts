import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { NewPhoto } from '@pedastance/contract';
import { PracticeSet, type PracticePicture } from '@pedastance/contract/practice';
import { measureFeet, PAPERS, USUAL_DOUBTS, USUAL_HEIGHTS } from '@pedastance/core/photo';
import { setupByPhoto, type Setup } from '@pedastance/core/setup';

/** Photos of the demo: the stand-in camera's, measured as a coach would measure them. */
const FOLDER = join(__dirname, '..', 'devices', 'camera', 'practice');

function pictureCalled(name: string): PracticePicture {
  const pictures = PracticeSet.parse(JSON.parse(readFileSync(join(FOLDER, 'practice.json'), 'utf8')));
  const found = pictures.find((picture) => picture.name === name);
  if (!found) throw new Error(`the demo’s photo ${name} is not among the rendered pictures`);
  return found;
}

function sightOf({ width, height, focal, corners, taps }: PracticePicture): NewPhoto['sight'] {
  const paper = PAPERS.A4;
  const ground = [
    { x: 0, y: 0 },
    { x: paper.width, y: 0 },
    { x: paper.width, y: -paper.height },
    { x: 0, y: -paper.height },
  ];
  return {
    camera: { centre: { x: width / 2, y: height / 2 }, focal },
    known: { ground, image: corners },
    taps,
    heights: USUAL_HEIGHTS,
  };
}

/** A setup with its feet and ball as a rendered picture shows them. @throws where nobody could stand so */
export function standsAsIn(name: string, setup: Setup): Setup {
  const picture = pictureCalled(name);
  const { heights, ...sight } = sightOf(picture);
  const stands = setupByPhoto(
    setup,
    measureFeet({ ...sight, shoe: setup.address.shoe }, heights, USUAL_DOUBTS),
  );
  if (!stands) throw new Error(`nobody stands as in ${name}`);
  return stands;
}

/** The record of a rendered picture as the photo of an address. */
export function demoPhoto(
  name: string,
  of: Pick<NewPhoto, 'id' | 'madeAt' | 'studentId'>,
  addressId: string,
): NewPhoto {
  const picture = pictureCalled(name);
  const { id, madeAt, studentId } = of;
  return {
    id,
    madeAt,
    studentId,
    addressId,
    width: picture.width,
    height: picture.height,
    jpeg: readFileSync(join(FOLDER, `${name}.jpg`)).toString('base64'),
    sight: sightOf(picture),
  };
}
