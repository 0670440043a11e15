import type { Build } from '../body';
import type { Body } from '../turn';
import { ITEMS, isPosture, withFigure, type Address, type Balance, type Setup } from '../setup';
import { MM_PER_INCH } from '../units';
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
