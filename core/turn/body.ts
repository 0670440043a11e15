import {
  angleOf,
  hipsBackOf,
  naturalToeOut,
  screenFor,
  type Build,
  type Hand,
  type Screen,
  type ScreenItem,
  type StoodOn,
} from '../body';
import { calibrate, type Calibration, type MeasuredTurn } from './calibrate';
import { STARTING_CLOSING } from './closing';
import { STARTING_GIVES } from './stops';
import {
  STOPS,
  type Body,
  type LegsAndTrunk,
  type StopName,
  type TurningBody,
  type TurningFeet,
} from './types';

/** One standard deviation of the flares a turn is measured on, placed with a stick (starting value), degrees. */
const STOOD_FLARE_UNCERTAINTY = 2;

/** The toe line of feet that a turn is measured on, by the marks of the shoe (starting value), degrees. */
const STOOD_LINE_UNCERTAINTY = 1;

/**
 * Feet that a turn is measured on: their flares alike to begin with, so that a difference is the student's own.
 * @param stood as they stood, degrees
 * @returns the same with how sure each is
 */
export const stoodOn = ({ leadFlare, trailFlare, toeLine }: StoodOn): TurningFeet => ({
  flare: { lead: leadFlare, trail: trailFlare },
  flareUncertainty: { lead: STOOD_FLARE_UNCERTAINTY, trail: STOOD_FLARE_UNCERTAINTY },
  toeLine: { value: toeLine, uncertainty: STOOD_LINE_UNCERTAINTY },
  ownDifference: 0,
  leadHeelLift: 0,
});

/** Turns of the hips that were taken in posture, earlier ones first, as what they calibrate. */
function measuredTurns(screen: Screen): MeasuredTurn[] {
  const { turnedOn, stoppedBack, stoppedThrough, earlierTurns } = screen;
  const own = {
    back: hipsBackOf(screen),
    through: angleOf(screen, 'hipsThrough'),
    stoppedBack,
    stoppedThrough,
  };
  return [...earlierTurns, ...(turnedOn ? [{ ...turnedOn, ...own }] : [])].flatMap((taken) => {
    const feet = stoodOn(taken);
    const { back, through } = taken;
    return [
      ...(back ? [{ turn: 'back' as const, reached: back, feet, stoppedBy: taken.stoppedBack }] : []),
      ...(through
        ? [{ turn: 'through' as const, reached: through, feet, stoppedBy: taken.stoppedThrough }]
        : []),
    ];
  });
}

/** The leg test behind each stop. */
const TESTS: Record<StopName, ScreenItem> = {
  'trail back': 'turnInTrail',
  'lead back': 'turnOutLead',
  'lead through': 'turnInLead',
  'trail through': 'turnOutTrail',
};

/** The stops whose leg hurt in its test. */
const hurtIn = ({ items }: Screen): StopName[] =>
  STOPS.filter((name) => items.some(({ item, pain }) => item === TESTS[name] && pain !== ''));

/**
 * Legs and trunk as they were tested, before any turn was measured.
 * @param legs what the tests said, degrees with one standard deviation
 * @param naturalToeOut how far each foot points out on its own, degrees; null where it was not looked at
 * @param soreKnee which knees hurt
 * @param hurts stops whose leg could not be tested because it hurts
 * @returns the body with the starting values of what is left between test and swing
 */
export const testedBody = (
  legs: LegsAndTrunk,
  naturalToeOut: TurningBody['naturalToeOut'] = null,
  soreKnee: TurningBody['soreKnee'] = { lead: false, trail: false },
  hurts: TurningBody['hurts'] = [],
): TurningBody => ({
  legs,
  naturalToeOut,
  gives: STARTING_GIVES,
  reaches: {},
  closing: STARTING_CLOSING,
  closingWith: {},
  soreKnee,
  hurts,
});

/**
 * A body with the legs its newest screen tells of.
 * @param build the build
 * @param screen the newest screen; null where there is none
 * @param hand the student's
 * @returns the body
 */
export const bodyWith = (build: Build, screen: Screen | null, hand: Hand): Body => ({
  build,
  legs: screen && turningBody(screen, hand),
});

/**
 * What a screen says of turning, with what its measured turns say of the stops.
 * @param taken the screen
 * @param hand the student's, which says which leg leads
 * @returns the legs and trunk, degrees with one standard deviation, and what each measured turn missed by
 */
export function turningBody(taken: Screen, hand: Hand): TurningBody & Pick<Calibration, 'residuals'> {
  const screen = screenFor(taken, hand);
  const body = testedBody(
    {
      turnIn: { lead: angleOf(screen, 'turnInLead'), trail: angleOf(screen, 'turnInTrail') },
      turnOut: { lead: angleOf(screen, 'turnOutLead'), trail: angleOf(screen, 'turnOutTrail') },
      trunk: { back: angleOf(screen, 'trunkBack'), through: angleOf(screen, 'trunkThrough') },
    },
    naturalToeOut(screen),
    screen.soreKnee,
    hurtIn(screen),
  );
  return { ...body, ...calibrate(body, measuredTurns(screen)) };
}
