import { BAG, canPitch, type Shot } from '../club';
import type { Answer, FigureMark, HouseMethod, Rule, Tolerance } from './types';

const ALL = BAG.map((club) => club.id);
const PITCHED = ALL.filter(canPitch);

const PRACTICE: FigureMark = 'common practice, no source';
const STARTING: FigureMark = 'starting value';

const answer = (shot: Shot, rule: Rule, tolerance: number | Tolerance, mark: FigureMark): Answer => ({
  shot,
  clubs: [...(shot === 'pitch' ? PITCHED : ALL)],
  rule,
  tolerance: typeof tolerance === 'number' ? { below: tolerance, above: tolerance } : tolerance,
  mark,
});
const fixed = (value: number): Rule => ({ kind: 'fixed', value });

/**
 * The house method the product starts with: width by the shoulders, even and modest flare, a
 * neutral stance line, one ball position, even balance in the middle of both feet.
 */
export const SHOULDERS_AND_NEUTRAL: Omit<HouseMethod, 'id' | 'version'> = {
  name: 'By the shoulders, neutral',
  summary:
    'Feet under the shoulders and wider as the club gets longer, both feet turned out a little, everything parallel to the target line, one ball position, weight in the middle.',
  questions: {
    stanceWidth: {
      why: 'A stance as wide as the shoulders and the club ask for holds the swing steady and still lets the hips get over the lead foot.',
      limitsBelow:
        'Narrower than this there is little to push against, and balance goes first with the longer clubs.',
      limitsAbove: 'Wider than this the hips cannot get over the lead foot, and the player falls back.',
      answers: [
        answer(
          'full',
          {
            kind: 'shoulders by club length',
            marks: [
              { lengthInches: 36, soleBreadths: -1 },
              { lengthInches: 38, soleBreadths: 0 },
              { lengthInches: 43, soleBreadths: 1 },
            ],
          },
          25,
          PRACTICE,
        ),
        answer('pitch', { kind: 'gap in club heads', heads: 2, headBreadth: 80 }, 25, PRACTICE),
      ],
    },
    leadFlare: {
      why: 'A little turn-out on the lead foot lets the hips come through to the target.',
      limitsBelow: 'A squarer lead foot stops the hips coming through, and the knee takes the twist.',
      limitsAbove: 'More turn-out than this is paid for going back: the lead leg stops the backswing sooner.',
      answers: [answer('full', fixed(15), 3, PRACTICE), answer('pitch', fixed(15), 5, STARTING)],
    },
    trailFlare: {
      why: 'A little turn-out on the trail foot gives the trail hip room to turn going back. On a pitch the foot is kept square on purpose, so that the swing stays short.',
      limitsBelow: 'A squarer trail foot stops the trail hip early, and the arms have to make up the rest.',
      limitsAbove: 'More turn-out than this loosens the base; on a pitch it lets the swing run long.',
      answers: [answer('full', fixed(15), 3, PRACTICE), answer('pitch', fixed(0), 5, STARTING)],
    },
    stanceLine: {
      why: 'Toes parallel to the target line let the hips, the shoulders and the path follow it.',
      limitsBelow: 'An open stance turns the path across the ball and takes turn away going back.',
      limitsAbove: 'A closed stance sends the path out to the far side and takes turn away going through.',
      answers: [answer('full', fixed(0), 2, STARTING), answer('pitch', fixed(0), 3, STARTING)],
    },
    ballAlong: {
      why: 'One ball position for every standard shot: only the trail foot moves from club to club.',
      limitsBelow: 'Too far forward: the club meets the ball late, across the line, or thin.',
      limitsAbove: 'Too far back: the club meets the ball early, from the inside and steeply.',
      answers: [answer('full', fixed(50), 15, PRACTICE), answer('pitch', fixed(50), 20, STARTING)],
    },
    leadShare: {
      why: 'Even weight on both feet leaves both ways free; on a pitch it is set forward so that the club meets the ball first.',
      limitsBelow: 'Weight on the trail foot leaves the low point behind the ball.',
      limitsAbove: 'Weight this far forward opens the shoulders and steepens the swing.',
      answers: [answer('full', fixed(50), 3, PRACTICE), answer('pitch', fixed(60), 5, STARTING)],
    },
    heelToe: {
      why: 'In the middle of the foot the hips can turn without the body having to save its balance.',
      limitsBelow: 'On the heels the club is dragged around and the weight goes out to the toes coming down.',
      limitsAbove: 'On the toes the trail hip is blocked going back, and the body stands up coming down.',
      answers: [answer('full', fixed(50), 10, STARTING), answer('pitch', fixed(50), 10, STARTING)],
    },
  },
};
