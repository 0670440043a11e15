import type { Question } from '..';

interface QuestionTexts {
  limitsBelow: string;
  limitsAbove: string;
  /** Why a school that has no view has none. */
  leftFree: string;
}

const LEFT_TO_THE_STUDENT = 'This method leaves it to what suits the student.';

const texts = (limitsBelow: string, limitsAbove: string, leftFree = LEFT_TO_THE_STUDENT): QuestionTexts => ({
  limitsBelow,
  limitsAbove,
  leftFree,
});

/** What being out of a band limits: the same in every school, which differ in where the band is. */
const QUESTION_TEXTS: Partial<Record<Question, QuestionTexts>> = {
  stanceWidth: texts(
    'Narrower than this there is little to push against, and balance goes first with the longer clubs.',
    'Wider than this the hips cannot get over the lead foot, and the player falls back.',
  ),
  leadFlare: texts(
    'A squarer lead foot stops the hips coming through, and the knee takes the twist.',
    'More turn-out than this is paid for going back: the lead leg stops the backswing sooner.',
  ),
  trailFlare: texts(
    'A squarer trail foot stops the trail hip early, and the arms have to make up the rest.',
    'More turn-out than this loosens the base; on a pitch it lets the swing run long.',
  ),
  stanceLine: texts(
    'A more open stance turns the path across the ball and takes turn away going back.',
    'A more closed stance sends the path out to the far side and takes turn away going through.',
  ),
  ballAlong: texts(
    'Too far forward: the club meets the ball late, across the line, or thin.',
    'Too far back: the club meets the ball early, from the inside and steeply.',
  ),
  leadShare: texts(
    'Weight on the trail foot leaves the low point behind the ball.',
    'Weight this far forward opens the shoulders and steepens the swing.',
  ),
  heelToe: texts(
    'On the heels the club is dragged around and the weight goes out to the toes coming down.',
    'On the toes the trail hip is blocked going back, and the body stands up coming down.',
  ),
  ballOut: texts(
    'Crowding the ball lifts the handle and leaves no room for the arms.',
    'Reaching for the ball pulls the weight to the toes.',
  ),
  trailKneeInside: texts(
    'A trail knee outside its foot lets the body sway off the ball.',
    'A trail knee pinched far in blocks the trail hip.',
  ),
  trailKneeFlex: texts(
    'A trail knee straight from the start has nothing left to straighten, and the hips cannot turn up.',
    'A trail knee this bent stays bent, and the hips slide instead of turning.',
  ),
  hipBump: texts(
    'Hips left central or back sway further away, and come late to the lead foot.',
    'Hips pushed this far load the lower back and carry the weight and the trunk with them.',
  ),
  hipGap: texts(
    'The lead hip already stands over the outside of the foot: there is nowhere left to go but a slide.',
    'So far from the lead foot the hips have a long way to go before they are posted.',
  ),
  hipLine: texts(
    'Open hips turn the trail hip away before the swing begins, and it is stopped sooner going back.',
    'Closed hips have further to come through.',
  ),
  shoulderLine: texts(
    'Open shoulders swing across the feet, and closing the feet then only cancels them.',
    'Closed shoulders swing out to the far side, and the hands have to save it.',
  ),
  shoulderTilt: texts(
    'Level shoulders put the middle of the swing ahead of the ball, and the path comes down across.',
    'Tilted this far the weight hangs back, and the lower back pays.',
  ),
  clubFace: texts(
    'An open face starts the ball to the trail side, whatever the feet do.',
    'A closed face starts the ball to the lead side, and a closed stance tends to bring it along.',
  ),
  hipTurn: texts(
    'Hips that turn less than this leave the shoulders and arms to find the rest.',
    'Turning too far: the club is lost at the top. No more flare and no closing for this student.',
  ),
  shoulderTurn: texts(
    'A short shoulder turn sends the arms up and over.',
    'Turning too far: the club is lost at the top. A three-quarter swing, and no more flare or closing.',
  ),
  seat: texts(
    'The seat decides where the balance wants to go before the swing begins.',
    'The seat decides where the balance wants to go before the swing begins.',
  ),
  pressureRoute: texts(
    'Another route than the one taught: what is a fault on one is the point of another.',
    'Another route than the one taught: what is a fault on one is the point of another.',
    'This method takes any route that repeats.',
  ),
  trailKneeBack: texts(
    'A trail knee that stays bent gives the trail hip no room to turn.',
    'A locked trail knee loads the knee and the lower back.',
  ),
  shaftLean: texts(
    'Hands behind the ball add loft and bring the low point back.',
    'Hands this far ahead take loft off and turn the face out.',
  ),
  trailElbow: texts(
    'Swinging along closed feet with the elbow away goes flat, then steep.',
    'Swinging along closed feet with the elbow away goes flat, then steep.',
  ),
  trailArm: texts(
    'A straight trail arm pulls the shoulders open before the swing begins.',
    'A straight trail arm pulls the shoulders open before the swing begins.',
  ),
  clubRest: texts(
    'A club pressed into the ground makes the hands tight and drags the start.',
    'A club pressed into the ground makes the hands tight and drags the start.',
  ),
};

/** A question that no school has written of yet, so that each leaves it free. */
const NOT_WRITTEN = texts('Less than the method asks for.', 'More than the method asks for.');

/**
 * What is said beside a question’s answers, where no method says otherwise.
 * @param question the question
 * @returns the texts
 */
export const textsOf = (question: Question): QuestionTexts => QUESTION_TEXTS[question] ?? NOT_WRITTEN;
