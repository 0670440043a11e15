import type { Build } from '../build';
import type { Address, Balance, Setup } from '../ground';

const MM_PER_INCH = 25.4;
/** Where the shoes are drawn before the coach places them; starting values, not a reading. */
const START = { flare: 10, ballAlong: 50, ballOutShareOfClub: 0.58, gapShare: 0.6 };

/** Even on both feet, in the middle of each. */
export const EVEN_BALANCE: Balance = { leadShare: 50, leadHeelToe: 50, trailHeelToe: 50 };

/** A plain stance to start placing from: about shoulder-wide, level, both feet a little out. */
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
  return { address, balance: EVEN_BALANCE };
}
