/** One standard deviation each, degrees. */

/** A flare placed with a stick (starting value). */
export const MEASURED_FLARE_UNCERTAINTY = 2;
/** A hip's turn in the foot-in-the-air test: goniometer repeatability (from memory). */
export const LEG_TEST_UNCERTAINTY = 5;
/** A seated trunk turn, like the leg test (starting value). */
export const TRUNK_TEST_UNCERTAINTY = 5;
