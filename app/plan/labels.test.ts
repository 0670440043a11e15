import { seeded } from '@pedastance/core';
import type { Case } from '@pedastance/core/advice';
import { drawnCase } from '../../core/test/adviceCases';
import { drawPlan, type DrawingInput } from './drawing';
import { frameFor, needsNewFrame, type Frame } from './frame';
import { layoutOf, type Layout } from './layout';
import { boxesMeet, boxMeetsOutline, drawnSole, labelBoxes, type Box } from './test/boxes';

const SETUPS = 500;

/** A phone of 360 by 640, one of 390 by 844, a wide window, and a record's picture. */
const SIZES = [
  { width: 360, height: 241 },
  { width: 390, height: 346 },
  { width: 708, height: 735 },
  { width: 366, height: 300 },
] as const;

/** The frame of feet that have moved a little since it was made, as a finger moves them. */
function frameOf({ setup: { address } }: Case, random: () => number): Frame {
  const { centre, ...room } = frameFor(address);
  const before = {
    ...room,
    centre: { x: centre.x + 120 * (random() - 0.5), y: centre.y + 60 * (random() - 0.5) },
  };
  return needsNewFrame(before, address) ? frameFor(address) : before;
}

function inputOf(given: Case, at: number, size: DrawingInput['size'], random: () => number): DrawingInput {
  const { setup, body, path, goal, build } = given;
  const verdict = at % 2 === 0 ? 'below' : 'in';
  return {
    setup,
    frame: frameOf(given, random),
    hand: random() < 0.5 ? 'right' : 'left',
    viewpoint: random() < 0.5 ? 'coach' : 'student',
    length: at % 3 === 0 ? 'inches' : 'cm',
    footWords: at % 5 === 0 ? 'lead and trail' : 'left and right',
    shoulderBreadth: build.shoulderBreadth.value,
    verdictOf: () => verdict,
    turning: body && { body, leadHeelLift: 0, goal, ownDifference: 0 },
    path: path.shots > 0 ? { ...path, simulated: true } : null,
    size,
  };
}

const overEdge = (box: Box, { left, top, width, height }: Layout): boolean =>
  box.left < left || box.right > left + width || box.top < top || box.bottom > top + height;

/** What of a drawing's words lies on other words, on a sole, on the button or over the edge. */
function faultsOf(input: DrawingInput): { labels: number; faults: string[] } {
  const layout = layoutOf({ ...input, hips: Boolean(input.turning) });
  const drawing = drawPlan(input);
  const boxes = [...labelBoxes(drawing, layout.em), explainBox(drawing, layout)];
  const soles = (['lead', 'trail'] as const).map((foot) => drawnSole(drawing, input.setup, foot));
  const faults = boxes.flatMap((box, at) => [
    ...(overEdge(box, layout) ? [`${box.name} over the edge`] : []),
    ...(soles.some((sole) => boxMeetsOutline(box, sole)) ? [`${box.name} on a sole`] : []),
    ...boxes
      .slice(at + 1)
      .flatMap((other) => (boxesMeet(box, other) ? [`${box.name} on ${other.name}`] : [])),
  ]);
  return { labels: boxes.length, faults };
}

const EXPLAIN_RADIUS_PX = 14;

/** The circle of the button that explains the plan. */
function explainBox(drawing: ReturnType<typeof drawPlan>, { left, top, mmPerPx }: Layout): Box {
  const x = left + Number.parseFloat(drawing.explain!['--across']!) * mmPerPx;
  const y = top + Number.parseFloat(drawing.explain!['--down']!) * mmPerPx;
  const radius = EXPLAIN_RADIUS_PX * mmPerPx;
  return { name: 'the “?”', left: x - radius, right: x + radius, top: y - radius, bottom: y + radius };
}

test(`over ${SETUPS} setups no label lies on another, on a sole, or on the edge`, () => {
  const random = seeded(20_261_126);
  const faults: string[] = [];
  let labels = 0;
  for (let at = 0; at < SETUPS; at += 1) {
    const given = drawnCase(random);
    for (const size of SIZES) {
      const found = faultsOf(inputOf(given, at, size, random));
      labels += found.labels;
      faults.push(...found.faults.map((fault) => `setup ${at}, ${size.width}×${size.height}: ${fault}`));
    }
  }
  expect(faults).toEqual([]);
  // Feet, width, target and ball have words on every drawing, and the turn wherever legs were tested.
  expect(labels).toBeGreaterThan(SETUPS * SIZES.length * 10);
});

test('words that do lie on one another are found', () => {
  const given = drawnCase(seeded(3));
  const input = inputOf(given, 0, { width: 150, height: 150 }, seeded(4));
  expect(faultsOf(input).faults).not.toEqual([]);
});
