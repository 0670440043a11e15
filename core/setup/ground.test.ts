import fc from 'fast-check';
import { sampleStandardDeviation } from 'simple-statistics';
import {
  dropFoot,
  dropFootTurned,
  flareAboutHeel,
  flareToeKept,
  linesDisagree,
  measureAddress,
  measureSetup,
  uncertaintyOf,
  setBallAlong,
  setBallOut,
  setSetback,
  setStanceWidth,
  setToeLine,
  soleOutline,
  soleReach,
  toePoint,
  turnStance,
  type Address,
} from '..';
import { address, setup } from '../test/example';

const placed: fc.Arbitrary<Address> = fc.record({
  shoe: fc.record({
    length: fc.double({ min: 180, max: 350, noNaN: true }),
    breadth: fc.double({ min: 70, max: 130, noNaN: true }),
  }),
  lead: fc.record({
    heel: fc.record({
      x: fc.double({ min: 0, max: 200, noNaN: true }),
      y: fc.double({ min: -1000, max: -850, noNaN: true }),
    }),
    flare: fc.double({ min: -10, max: 40, noNaN: true }),
  }),
  trail: fc.record({
    heel: fc.record({
      x: fc.double({ min: -700, max: -250, noNaN: true }),
      y: fc.double({ min: -1000, max: -850, noNaN: true }),
    }),
    flare: fc.double({ min: -10, max: 40, noNaN: true }),
  }),
});
const foot = fc.constantFrom('lead' as const, 'trail' as const);
const flare = fc.double({ min: -20, max: 60, noNaN: true });

describe('check values of docs/models.md, section 1', () => {
  // Worked by hand from the definitions: shoe 290 mm, heels 500 mm apart, level, lead 0 to 45 degrees.
  test('lead foot flared to 45 degrees about its heel', () => {
    const { toeLine, heelLine } = measureAddress(flareAboutHeel(address(), 'lead', 45));
    expect(toeLine).toBeCloseTo(-6.87, 2);
    expect(heelLine).toBeCloseTo(0, 10);
  });

  test('lead foot flared to 45 degrees with its toe kept', () => {
    const { toeLine, heelLine } = measureAddress(flareToeKept(address(), 'lead', 45));
    expect(toeLine).toBeCloseTo(0, 10);
    expect(heelLine).toBeCloseTo(9.64, 2);
  });

  test('a 280 mm shoe flared to 30 degrees with its toe kept brings its heel 37.5 mm forward', () => {
    const before = address({ shoe: 280 });
    const after = flareToeKept(before, 'trail', 30);
    expect(after.trail.heel.y - before.trail.heel.y).toBeCloseTo(37.5, 1);
  });

  test('unflared shoes 500 mm apart, dropped 72.5 mm: both lines 8.25 degrees closed', () => {
    const { toeLine, heelLine, setback, setbackMarks } = measureAddress(dropFoot(address(), 72.5));
    expect(toeLine).toBeCloseTo(8.25, 2);
    expect(heelLine).toBeCloseTo(8.25, 2);
    expect(setback).toBeCloseTo(72.5, 10);
    expect(setbackMarks).toBeCloseTo(0.25, 10);
  });

  test('with 15 degrees of flare on both the toe line is 6.36 degrees', () => {
    const dropped = dropFoot(address({ leadFlare: 15, trailFlare: 15 }), 72.5);
    expect(measureAddress(dropped).toeLine).toBeCloseTo(6.36, 2);
  });

  test('turning the stance shortens the width along the target line by the cosine', () => {
    const { stanceWidth } = measureAddress(turnStance(address(), 20));
    expect(stanceWidth).toBeCloseTo(500 * Math.cos((20 * Math.PI) / 180), 9);
  });
});

describe('properties of the moves', () => {
  test('turning the whole stance turns both lines by that angle and keeps the heels as far apart', () => {
    fc.assert(
      fc.property(placed, fc.double({ min: -25, max: 25, noNaN: true }), (before, angle) => {
        const was = measureAddress(before);
        const after = turnStance(before, angle);
        const is = measureAddress(after);
        expect(is.toeLine - was.toeLine).toBeCloseTo(angle, 6);
        expect(is.heelLine - was.heelLine).toBeCloseTo(angle, 6);
        const apart = ({ lead, trail }: Address) =>
          Math.hypot(lead.heel.x - trail.heel.x, lead.heel.y - trail.heel.y);
        expect(apart(after)).toBeCloseTo(apart(before), 6);
        expect(is.leadFlare - was.leadFlare).toBeCloseTo(-angle, 6);
        expect(is.trailFlare - was.trailFlare).toBeCloseTo(angle, 6);
      }),
    );
  });

  test('flare about the heel never moves the heel line; with the toe kept never the toe line', () => {
    fc.assert(
      fc.property(placed, foot, flare, (before, which, to) => {
        expect(measureAddress(flareAboutHeel(before, which, to)).heelLine).toBe(
          measureAddress(before).heelLine,
        );
        const kept = flareToeKept(before, which, to);
        expect(toePoint(kept, which).y).toBeCloseTo(toePoint(before, which).y, 8);
        expect(measureAddress(kept).setback).toBeCloseTo(measureAddress(before).setback, 8);
        expect(kept[which].heel.x).toBe(before[which].heel.x);
      }),
    );
  });

  test('with level toes the toe line stays level however a foot is flared with its toe kept', () => {
    fc.assert(
      fc.property(foot, flare, (which, to) => {
        expect(measureAddress(flareToeKept(address(), which, to)).toeLine).toBeCloseTo(0, 9);
      }),
    );
  });

  test('a foot dropped and turned keeps its angle to the toe line, or in a very narrow stance its flare', () => {
    fc.assert(
      fc.property(placed, fc.double({ min: -60, max: 100, noNaN: true }), (before, distance) => {
        const was = measureAddress(before);
        const after = dropFootTurned(before, distance);
        const is = measureAddress(after);
        const angleKept = Math.abs(is.trailFlare - is.toeLine - (was.trailFlare - was.toeLine)) < 1e-5;
        expect(angleKept || is.trailFlare === was.trailFlare).toBe(true);
        if (was.stanceWidth > 350 && Math.abs(was.toeLine) < 15) expect(angleKept).toBe(true);
        expect(before.trail.heel.y - after.trail.heel.y).toBeCloseTo(distance, 9);
      }),
    );
  });

  test('what is set is what is measured', () => {
    fc.assert(
      fc.property(
        placed,
        fc.double({ min: 200, max: 900, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        (before, mm, angle) => {
          expect(measureAddress(setStanceWidth(before, mm)).stanceWidth).toBeCloseTo(mm, 8);
          expect(measureAddress(setBallAlong(before, mm)).ballAlong).toBeCloseTo(mm, 8);
          expect(measureAddress(setBallOut(before, mm)).ballOut).toBeCloseTo(mm, 6);
          expect(measureAddress(setToeLine(before, angle)).toeLine).toBeCloseTo(angle, 8);
          expect(measureAddress(setSetback(before, mm / 10, dropFoot)).setback).toBeCloseTo(mm / 10, 5);
          expect(measureAddress(setSetback(before, mm / 10, dropFootTurned)).setback).toBeCloseTo(mm / 10, 3);
        },
      ),
    );
  });

  test('width is made with the trail foot alone; the ball stays where it is', () => {
    fc.assert(
      fc.property(placed, fc.double({ min: 200, max: 900, noNaN: true }), (before, width) => {
        const after = setStanceWidth(before, width);
        expect(after.lead).toEqual(before.lead);
        expect(measureAddress(after).ballAlong).toBe(measureAddress(before).ballAlong);
        expect(after.trail.heel.y).toBe(before.trail.heel.y);
      }),
    );
  });
});

describe('soles', () => {
  test('square soles reach half their breadth to either side and their length from heel to toe', () => {
    const { least, greatest } = soleReach(address(), 'lead');
    expect(greatest - 50).toBeCloseTo(52.5, 6);
    expect(50 - least).toBeCloseTo(52.5, 6);
    const outline = soleOutline({ length: 290, breadth: 105 });
    expect(Math.min(...outline.map((point) => point.y))).toBeCloseTo(0, 9);
    expect(Math.max(...outline.map((point) => point.y))).toBeCloseTo(290, 9);
  });

  test('square: outer edges are a sole wider than the heels, the gap a sole narrower', () => {
    const { outerWidth, gap } = measureAddress(address());
    expect(outerWidth).toBeCloseTo(605, 6);
    expect(gap).toBeCloseTo(395, 6);
  });

  test('flared feet reach further out, and never past the drawn sole turned by hand', () => {
    const turned = flareAboutHeel(address(), 'lead', 30);
    const outline = soleOutline(turned.shoe);
    // Turned by a rotation matrix, point by point, not by the product's own reach.
    const angle = (30 * Math.PI) / 180;
    const furthest = Math.max(...outline.map(({ x, y }) => x * Math.cos(angle) + y * Math.sin(angle)));
    expect(soleReach(turned, 'lead').greatest - 50).toBeCloseTo(furthest, 6);
  });
});

describe('how sure', () => {
  test('a line’s doubt is that of what it follows from, as simulated', () => {
    // A seeded linear congruential generator and Box-Muller; nothing of the product's own.
    let state = 42;
    const uniform = () => (state = (state * 1664525 + 1013904223) % 4294967296) / 4294967296;
    const normal = () => Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform());
    const truth = { width: 420, lead: 20, trail: 10, setback: 60 };
    const stand = ({ width, lead, trail, setback }: typeof truth): Address => {
      const forward = (degrees: number) => 290 * Math.cos((degrees * Math.PI) / 180);
      return {
        shoe: { length: 290, breadth: 105 },
        lead: { heel: { x: 50, y: -900 }, flare: lead },
        trail: { heel: { x: 50 - width, y: -900 + forward(lead) - forward(trail) - setback }, flare: trail },
      };
    };
    const measured = measureSetup({ ...setup(), address: stand(truth) });
    const drawn = Array.from({ length: 20_000 }, () =>
      measureAddress(
        stand({
          width: truth.width + 10 * normal(),
          lead: truth.lead + 2 * normal(),
          trail: truth.trail + 2 * normal(),
          setback: truth.setback + 10 * normal(),
        }),
      ),
    );
    expect(measured.measures.setback).toBeCloseTo(truth.setback, 9);
    for (const [name, line] of [
      ['stanceLine', 'toeLine'],
      ['heelLine', 'heelLine'],
    ] as const) {
      const sure = uncertaintyOf(measured, name)!;
      const simulated = sampleStandardDeviation(drawn.map((measures) => measures[line]));
      expect(sure / simulated).toBeGreaterThan(0.97);
      expect(sure / simulated).toBeLessThan(1.03);
    }
  });

  test('says when toe line and heel line disagree', () => {
    expect(linesDisagree(measureAddress(address()))).toBe(false);
    expect(linesDisagree(measureAddress(flareAboutHeel(address(), 'lead', 45)))).toBe(true);
  });
});
