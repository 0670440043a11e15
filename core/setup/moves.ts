import { radians } from '../units';
import { footFromPoints, heelToToe, toePoint } from './foot';
import type { Address, FootName, Point } from './ground';
import { measureAddress } from './measures';

const withFoot = (address: Address, foot: FootName, heel: Point, flare: number): Address => ({
  ...address,
  [foot]: { heel, flare },
});

/**
 * Turns a foot to `flare` degrees about its heel: the heel line stays, the toe line moves.
 * @param address the address, mm and degrees
 * @param foot lead or trail
 * @param flare the flare to turn it to, degrees
 * @returns the address after
 */
export function flareAboutHeel(address: Address, foot: FootName, flare: number): Address {
  return withFoot(address, foot, address[foot].heel, flare);
}

/**
 * Turns a foot to `flare` degrees with its toe kept on its line: the heel keeps its place along
 * the target line, the toe its distance from it, and the heel comes forward or goes back.
 * @param address the address, mm and degrees
 * @param foot lead or trail
 * @param flare the flare to turn it to, degrees
 * @returns the address after
 */
export function flareToeKept(address: Address, foot: FootName, flare: number): Address {
  const toe = toePoint(address, foot);
  const { heel } = address[foot];
  const along = heelToToe(foot, flare, address.shoe.length);
  return withFoot(address, foot, { x: heel.x, y: toe.y - along.y }, flare);
}

/**
 * Moves a foot over the ground by mm, its flare kept.
 * @param address the address, mm and degrees
 * @param foot lead or trail
 * @param along toward the target, mm
 * @param out toward the ball, mm
 * @returns the address after
 */
export function moveFoot(address: Address, foot: FootName, along: number, out: number): Address {
  const { heel, flare } = address[foot];
  return withFoot(address, foot, { x: heel.x + along, y: heel.y + out }, flare);
}

/**
 * The trail foot straight back by `distance` mm (negative: forward), its flare kept.
 * @param address the address, mm and degrees
 * @param distance straight back, mm
 * @returns the address after
 */
export function dropFoot(address: Address, distance: number): Address {
  return moveFoot(address, 'trail', 0, -distance);
}

/** Half the range of flare searched by `dropFootTurned`, degrees. */
const TURNED_SEARCH = 45;

/**
 * The trail foot's heel straight back by `distance` mm, and the foot turned so that its angle to
 * the new toe line is what it was. A trail foot turned with a line that closes by some angle gains
 * that angle in flare, so flare - toeLine is what is kept. The toe line itself depends on the
 * flare, so the flare is found by halving; where a very narrow stance has no such flare the foot
 * keeps the one it had.
 * @param address the address, mm and degrees
 * @param distance the heel straight back, mm
 * @returns the address after
 */
export function dropFootTurned(address: Address, distance: number): Address {
  const kept = address.trail.flare - measureAddress(address).toeLine;
  const dropped = dropFoot(address, distance);
  const turned = (flare: number): Address => flareAboutHeel(dropped, 'trail', flare);
  const excess = (flare: number): number => flare - measureAddress(turned(flare)).toeLine - kept;
  let low = dropped.trail.flare - TURNED_SEARCH;
  let high = dropped.trail.flare + TURNED_SEARCH;
  if (excess(low) > 0 || excess(high) < 0) return dropped;
  while (high - low > 1e-9) {
    const middle = (low + high) / 2;
    if (excess(middle) > 0) high = middle;
    else low = middle;
  }
  const flare = (low + high) / 2;
  // In a very narrow stance the toe line can jump where the toes cross; that is no answer.
  return Math.abs(excess(flare)) < 1e-6 ? turned(flare) : dropped;
}

/**
 * Takes the trail foot back until its toe is `setback` mm behind the lead toe, by one of the two
 * ways of dropping it. A foot that turns as it goes back takes its toe along, hence the rounds.
 * @param address the address, mm and degrees
 * @param setback of the trail toe behind the lead toe, mm
 * @param drop how the foot goes back: `dropFoot` or `dropFootTurned`
 * @returns the address after; the nearest found where a turned foot reaches no such setback
 */
export function setSetback(address: Address, setback: number, drop: typeof dropFoot): Address {
  const missing = (distance: number): number => setback - measureAddress(drop(address, distance)).setback;
  // The secant method; the foot kept at its flare needs a single step.
  let before = { distance: 0, missing: missing(0) };
  let now = { distance: before.missing, missing: missing(before.missing) };
  for (let round = 0; round < 40 && Math.abs(now.missing) > 1e-9; round += 1) {
    const slope = (now.missing - before.missing) / (now.distance - before.distance);
    if (!Number.isFinite(slope) || slope === 0) break;
    const distance = now.distance - now.missing / slope;
    before = now;
    now = { distance, missing: missing(distance) };
  }
  return drop(address, now.distance);
}

function turnedAbout(point: Point, centre: Point, angle: number): Point {
  const cosine = Math.cos(radians(angle));
  const sine = Math.sin(radians(angle));
  const x = point.x - centre.x;
  const y = point.y - centre.y;
  return { x: centre.x + x * cosine - y * sine, y: centre.y + x * sine + y * cosine };
}

/**
 * Turns both feet by `angle` degrees about the middle between the heels, closed positive: both
 * lines turn by that angle, the distance between the heels stays, and both flares change with it.
 * @param address the address, mm and degrees
 * @param angle to turn by, closed positive, degrees
 * @returns the address after
 */
export function turnStance(address: Address, angle: number): Address {
  const { lead, trail } = address;
  const centre = { x: (lead.heel.x + trail.heel.x) / 2, y: (lead.heel.y + trail.heel.y) / 2 };
  const turn = (foot: FootName) =>
    footFromPoints(
      foot,
      turnedAbout(address[foot].heel, centre, angle),
      turnedAbout(toePoint(address, foot), centre, angle),
    );
  return { ...address, lead: turn('lead'), trail: turn('trail') };
}

/**
 * Sets the stance width to `width` mm: only the trail foot moves, the lead foot and ball stay.
 * @param address the address, mm and degrees
 * @param width between the heels along the target line, mm
 * @returns the address after
 */
export function setStanceWidth(address: Address, width: number): Address {
  return moveFoot(address, 'trail', address.lead.heel.x - width - address.trail.heel.x, 0);
}

/**
 * Sets the toe line to `angle` degrees (closed positive) by taking the trail foot straight back.
 * @param address the address, mm and degrees
 * @param angle of the toe line, closed positive, degrees
 * @returns the address after
 */
export function setToeLine(address: Address, angle: number): Address {
  const leadToe = toePoint(address, 'lead');
  const trailToe = toePoint(address, 'trail');
  const wanted = leadToe.y - Math.tan(radians(angle)) * (leadToe.x - trailToe.x);
  return dropFoot(address, trailToe.y - wanted);
}

/**
 * Sets how far inside the lead heel the ball is, mm. The ball is the origin, so the feet shift.
 * @param address the address, mm and degrees
 * @param inside from the lead heel back to the ball, mm
 * @returns the address after
 */
export function setBallAlong(address: Address, inside: number): Address {
  const shift = inside - address.lead.heel.x;
  return moveFoot(moveFoot(address, 'lead', shift, 0), 'trail', shift, 0);
}

/**
 * Sets how far the ball is out from the toe line, mm; both feet move straight in or out.
 * @param address the address, mm and degrees
 * @param out from the toe line to the ball at right angles to it, mm
 * @returns the address after
 */
export function setBallOut(address: Address, out: number): Address {
  const { toeLine, ballOut } = measureAddress(address);
  const shift = (ballOut - out) / Math.cos(radians(toeLine));
  return moveFoot(moveFoot(address, 'lead', 0, shift), 'trail', 0, shift);
}
