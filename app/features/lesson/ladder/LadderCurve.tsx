import { isScored, rungsOf, type Ladder, type Threshold, type Try } from '@pedastance/core/ladder';
import { GRID, INK, LAGOON } from '../../../ui/colours';
import { messages } from './LadderStep.messages';

const WIDTH = 340;
const HEIGHT = 132;
const EDGE = 18;
const [DONE_Y, NOT_DONE_Y] = [34, 58];
const MARK = 5;
/** So many rungs have their figure beside them: more would run into one another. */
const MOST_LABELS = 5;

/** Every scored try as a mark on its rung, done above and not done below, and where the change is believed to be. */
export function LadderCurve({
  ladder,
  tries,
  threshold,
  say,
}: {
  ladder: Ladder;
  tries: readonly Try[];
  threshold: Threshold;
  say: (rung: number) => string;
}) {
  const { first, last } = ladder;
  const at = (rung: number): number =>
    EDGE + ((Math.min(last, Math.max(first, rung)) - first) / (last - first)) * (WIDTH - 2 * EDGE);
  const scored = tries.filter(isScored);
  const labelledEvery = Math.ceil((last - first) / ladder.fine / MOST_LABELS);
  // Marks of one rung and result stand beside each other.
  const marks = scored.map((each, index) => {
    const same = scored
      .slice(0, index)
      .filter(
        ({ rung, result }) => rung === each.rung && (result === 'passed') === (each.result === 'passed'),
      ).length;
    const passed = each.result === 'passed';
    return {
      x: at(each.rung),
      y: (passed ? DONE_Y : NOT_DONE_Y) - same * 1.6 * MARK * (passed ? 1 : -1),
      passed,
    };
  });
  return (
    <svg
      viewBox={`0 -16 ${WIDTH} ${HEIGHT + 16}`}
      role="img"
      aria-label={messages.curve}
      style={{ width: '100%' }}
    >
      <rect
        x={at(threshold.low)}
        y={-12}
        width={Math.max(2, at(threshold.high) - at(threshold.low))}
        height={HEIGHT - 8}
        fill={LAGOON}
        opacity={0.14}
      />
      <line
        x1={at(threshold.middle)}
        x2={at(threshold.middle)}
        y1={-12}
        y2={HEIGHT - 20}
        stroke={LAGOON}
        strokeWidth={2}
      />
      <line x1={EDGE} x2={WIDTH - EDGE} y1={HEIGHT - 20} y2={HEIGHT - 20} stroke={GRID} />
      {rungsOf(ladder)
        .filter((_rung, place) => place % labelledEvery === 0)
        .map((rung) => (
          <text key={rung} x={at(rung)} y={HEIGHT - 3} fontSize={13} textAnchor="middle" fill={INK}>
            {say(rung)}
          </text>
        ))}
      {marks.map(({ x, y, passed }, index) => (
        <circle
          key={index}
          cx={x}
          cy={y}
          r={MARK - 1}
          fill={passed ? INK : 'none'}
          stroke={INK}
          strokeWidth={2}
        />
      ))}
    </svg>
  );
}
