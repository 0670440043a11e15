import { judge, setupWith, type AdvisedMove, type Case, type Judgement } from '..';
import { broken, LAWS, type Judging } from '../test/adviceLaws';

const judged = (given: Case): Judgement => judge(given, 0);

/** A judgement whose moves end somewhere else. */
const movedTo =
  (change: (move: AdvisedMove) => number): Judging =>
  (given) => {
    const judgement = judged(given);
    const things = judgement.things.map((thing) => ({
      ...thing,
      moves: thing.moves.map((move) => ({ ...move, to: change(move) })),
    }));
    const moves = things.flatMap((thing) => thing.moves);
    return { ...judgement, things, setup: setupWith(given.setup, moves) };
  };

/** A move of one figure that is added to whatever is judged. */
const adds =
  (figure: AdvisedMove['figure'], by: number): Judging =>
  (given) => {
    const judgement = judged(given);
    const from =
      judgement.things.flatMap(({ moves }) => moves).find((move) => move.figure === figure)?.to ?? 15;
    const move = { figure, from, to: from + by };
    const told = { cause: 'out of band', figure, off: 'less', thing: 'width', reason: 'turn' } as const;
    const setup = setupWith(judgement.setup, [move]);
    return { ...judgement, things: [...judgement.things, { ...told, moves: [move] }], setup };
  };

/** What each law forbids, put back. */
const PUT_BACK: Readonly<Record<string, Judging>> = {
  // A heel that need not come up.
  '1: a usual body that stands as taught is left as it is': adds('leadHeelLift', 12.5),
  // Half way, as far as the edge of the band.
  '2: one figure wrong is that figure, as taught, and nothing else': movedTo(
    ({ from, to }) => (from + to) / 2,
  ),
  // Any direction will do.
  '3: what is seen in the swing has a remedy with a direction': movedTo(({ from, to }) => 2 * from - to),
  // A line by the width.
  '4: no fault is made, no end passed, and width serves no line, path or turn': (given) => {
    const judgement = judged(given);
    const things = judgement.things.map((thing) => ({
      ...thing,
      cause: 'path' as const,
      moves: [{ figure: 'stanceWidth' as const, from: 0, to: 100 }],
    }));
    return { ...judgement, things };
  },
  // More turn of what hurts.
  '5: what hurts is asked for no more than today': (given) => judged({ ...given, facts: [], cautions: [] }),
  // What was agreed is forgotten, and the other way is as good.
  '6: lesson after lesson nothing is taken back, and it ends': adds('trailFlare', 20),
  '7: a left-hander is the same': (given) => judged({ ...given, hand: 'right' }),
  // A sentence from the goal and not from what is moved.
  '9: every figure and claim of a sentence is so': (given) => {
    const judgement = judged(given);
    const told = { cause: 'out of band', figure: 'stanceWidth', off: 'less' } as const;
    return { ...judgement, things: judgement.things.map((thing) => ({ ...thing, ...told })) };
  },
  '10: where nothing is known measuring comes first': (given) => ({ ...judged(given), before: [] }),
};

describe('each law finds what it forbids', () => {
  test.each(Object.keys(LAWS))('%s', (law) => expect(broken(law, 60, PUT_BACK[law])).not.toEqual([]));
});
