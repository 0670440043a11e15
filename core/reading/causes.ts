import type { BandVerdict } from '../method';
import type { Item } from '../setup';

type Out = Exclude<BandVerdict, 'in'>;

interface Cause {
  of: readonly [Item, Out];
  by: readonly [Item, Out];
  /** Said of the effect, after "because". */
  words: string;
}

const cause = (effect: Item, effectIs: Out, by: Item, byIs: Out, words: string): Cause => ({
  of: [effect, effectIs],
  by: [by, byIs],
  words,
});

/**
 * What comes from what, as coaches tell it (common practice, no source). The one nearest to the
 * effect comes first; chains follow from it: weight forward because the hips were pushed because
 * the stance is wide.
 */
const CAUSES: readonly Cause[] = [
  cause('leadShare', 'above', 'hipBump', 'above', 'the weight went along with hips that were pushed forward'),
  cause('leadShare', 'below', 'shoulderTilt', 'above', 'the trunk hangs back and takes the weight with it'),
  cause('hipBump', 'above', 'stanceWidth', 'above', 'the hips were pushed to get over a stance this wide'),
  cause('hipGap', 'below', 'hipBump', 'above', 'pushed hips have used the room up'),
  cause(
    'hipGap',
    'above',
    'stanceWidth',
    'above',
    'the stance is wide, so the lead hip is far from its foot',
  ),
  cause('trailKneeInside', 'below', 'stanceWidth', 'above', 'a knee cannot stay inside a foot this far out'),
  cause('leadHeelToe', 'above', 'ballOut', 'above', 'reaching for the ball pulls the weight to the toes'),
  cause('trailHeelToe', 'above', 'ballOut', 'above', 'reaching for the ball pulls the weight to the toes'),
  cause('leadHeelToe', 'below', 'ballOut', 'below', 'so close to the ball the weight has to sit back'),
  cause('trailHeelToe', 'below', 'ballOut', 'below', 'so close to the ball the weight has to sit back'),
  cause('hipLine', 'below', 'stanceLine', 'below', 'open feet take the hips along'),
  cause('hipLine', 'above', 'stanceLine', 'above', 'closed feet take the hips along'),
  cause('shoulderLine', 'below', 'leadShare', 'above', 'weight on the lead foot opens the shoulders'),
  cause('shoulderLine', 'below', 'ballAlong', 'below', 'a ball this far forward pulls the shoulders open'),
  cause('shoulderLine', 'below', 'stanceLine', 'below', 'open feet take the shoulders along'),
  cause('shoulderLine', 'above', 'stanceLine', 'above', 'closed feet take the shoulders along'),
  cause('clubFace', 'above', 'stanceLine', 'above', 'the face was closed along with the feet'),
  cause('clubFace', 'below', 'stanceLine', 'below', 'the face was opened along with the feet'),
  cause(
    'hipTurn',
    'below',
    'trailFlare',
    'below',
    'the trail foot stands too square for this hip to turn on',
  ),
  cause('hipTurn', 'below', 'stanceLine', 'below', 'an open stance stops the trail hip sooner'),
  cause('hipTurn', 'below', 'trailHeelToe', 'above', 'the load on the trail toes blocks the hip'),
  cause('hipTurn', 'above', 'trailFlare', 'above', 'the trail foot gives this hip more turn than it can use'),
  cause('shoulderTurn', 'below', 'hipTurn', 'below', 'the hips stop early, and the shoulders with them'),
  cause('shoulderTurn', 'above', 'hipTurn', 'above', 'the hips go too far, and the shoulders with them'),
];

/**
 * The cause of a finding among what else is out; null when it stands by itself.
 * @param item what is out
 * @param verdict which way it is out
 * @param verdictOf the other items’ verdicts
 * @returns the item that causes it, and the words for that
 */
export function causeOf(
  item: Item,
  verdict: BandVerdict,
  verdictOf: (item: Item) => BandVerdict | undefined,
): { item: Item; words: string } | null {
  const found = CAUSES.find(
    ({ of, by }) => of[0] === item && of[1] === verdict && verdictOf(by[0]) === by[1],
  );
  return found ? { item: found.by[0], words: found.words } : null;
}
