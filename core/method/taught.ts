import type { Build } from '../body';
import type { Body } from '../turn';
import {
  FIGURES,
  ITEMS,
  isPosture,
  measuredFigure,
  measureSetup,
  withFigure,
  type Address,
  type Balance,
  type Setup,
} from '../setup';
import { MM_PER_INCH } from '../units';
import { taughtFigure } from './band';
import { bandsFor } from './bands';
import type { Played } from './coverage';
import { questionOf } from './questions';
import type { HouseMethod } from './types';

/** Where the shoes are drawn before the coach places them; starting values, not a reading. */
const START = { flare: 10, ballAlong: 50, ballOutShareOfClub: 0.58, gapShare: 0.6 };

/** Even on both feet, in the middle of each. */
export const EVEN_BALANCE: Balance = { leadShare: 50, leadHeelToe: 50, trailHeelToe: 50 };

/**
 * A plain stance to start placing from: about shoulder-wide, level, both feet a little out.
 * @param build the student's build, mm
 * @param clubLengthInches the club's length, inches
 * @returns a setup of starting values
 */
export function startingSetup(build: Build, clubLengthInches: number): Setup {
  const shoe = { length: build.shoeLength.value, breadth: build.shoeBreadth.value };
  const width = Math.round(build.shoulderBreadth.value - shoe.breadth * START.gapShare);
  const out = clubLengthInches * MM_PER_INCH * START.ballOutShareOfClub;
  const y = Math.round(-out - shoe.length);
  const address: Address = {
    shoe,
    lead: { heel: { x: START.ballAlong, y }, flare: START.flare },
    trail: { heel: { x: START.ballAlong - width, y }, flare: START.flare },
  };
  return { address, balance: EVEN_BALANCE, measured: {} };
}

/** The items that a drawing of the feet and the load alone can be put to. */
const DRAWN_ITEMS = ITEMS.filter((item) => !isPosture(item));

/**
 * The feet and the load as a method would have them: every drawn item in the middle of its band.
 * @param method the house method
 * @param body the student's build and legs
 * @param played the club and shot
 * @returns the setup as it is taught
 */
export function setupAsTaught(method: HouseMethod, body: Body, played: Played): Setup {
  const { figures } = bandsFor(method, body, played);
  return DRAWN_ITEMS.reduce(
    (setup, item) => {
      const band = figures[questionOf(item)];
      return band ? withFigure(setup, item, band.middle) : setup;
    },
    startingSetup(body.build, played.clubLengthInches),
  );
}

/**
 * Feet of one club as a method goes on from them to another: each figure that it has elsewhere with the other club is moved by
 * as much, so that a student's own way of standing is kept.
 * @param setup the feet with the club before
 * @param method the house method
 * @param body the student's build and legs
 * @param clubs the club and shot before, and the one after
 * @returns the feet with the other club, each moved figure noted as measured; the same setup where nothing moves
 */
export function setupFromClub(
  setup: Setup,
  method: HouseMethod,
  body: Body,
  { from, to }: { from: Played; to: Played },
): Setup {
  const [before, after] = [bandsFor(method, body, from).figures, bandsFor(method, body, to).figures];
  const taken = measureSetup(setup);
  return DRAWN_ITEMS.reduce((moved, item) => {
    const [was, is] = [before[questionOf(item)], after[questionOf(item)]];
    const measured = measuredFigure(taken, item);
    if (!was || !is || !measured) return moved;
    const by = taughtFigure(is) - taughtFigure(was);
    return Math.abs(by) < FIGURES[item].justNoticeable ? moved : withFigure(moved, item, measured.value + by);
  }, setup);
}
