import {
  OUTCOME_DEFINITIONS,
  type Arm,
  type Outcome,
  type Shot,
  type TrialShot,
} from '@pedastance/core/trial';
import { shotFigure, type Units } from '@pedastance/core/units';
import { View } from 'react-native';
import { Quiet } from '../ui/Words';
import { messages } from './StripPlot.messages';

const WIDTH = 340;
const ROW = 46;
const LEFT = 24;
const RIGHT = 12;
const TOP = 12;

/** What is drawn of a shot: the figure itself where there is one, so that a path keeps its side. */
const DRAWN: Partial<Record<Outcome, (shot: Shot) => number | undefined>> = {
  'straight path': ({ path }) => path,
  'start line': ({ startLine }) => startLine,
  'nearness to the line': ({ side }) => side,
};

interface Mark {
  value: number;
  out: boolean;
}

interface StripPlotProps {
  outcome: Outcome;
  shots: readonly TrialShot[];
  /** Mishits are left out of what decides. */
  leavesOut: boolean;
  units: Units;
}

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, each) => sum + each, 0) / values.length;

/** Every shot a mark, A above B, so that their scatter is seen; what does not count is hollow. */
export function StripPlot({ outcome, shots, leavesOut, units }: StripPlotProps) {
  const { score, unit, countsMishits } = OUTCOME_DEFINITIONS[outcome];
  const drawn = DRAWN[outcome] ?? ((shot: Shot) => score(shot) ?? undefined);
  const marks = (arm: Arm): Mark[] =>
    shots.flatMap(({ place, shot }) => {
      const value = drawn(shot);
      if (place.warmUp || place.arm !== arm || value === undefined) return [];
      return [{ value, out: shot.mishit && leavesOut && !countsMishits }];
    });
  const rows = { A: marks('A'), B: marks('B') };
  const values = [...rows.A, ...rows.B].map(({ value }) => value);
  if (values.length === 0) return null;
  const zero = DRAWN[outcome] ? [0] : unit === 'of shots' ? [0, 1] : [];
  const least = Math.min(...values, ...zero);
  const most = Math.max(...values, ...zero);
  const span = most - least || 1;
  const x = (value: number) => LEFT + 8 + ((value - least) / span) * (WIDTH - LEFT - RIGHT - 16);
  const height = TOP + 2 * ROW + 20;
  const told = (arm: Arm) => {
    const middle = mean(rows[arm].filter(({ out }) => !out).map(({ value }) => value));
    const left = rows[arm].filter(({ out }) => out).length;
    const shots = `${rows[arm].length} shots${left > 0 ? messages.mishitAndLeftOut(left) : ''}`;
    return middle === null ? shots : `mean ${shotFigure(middle, unit, units)}, ${shots}`;
  };
  return (
    <View>
      <svg
        className="strip"
        viewBox={`0 0 ${WIDTH} ${height}`}
        role="img"
        aria-label={messages.everyShotAB(told('A'), told('B'))}
      >
        {DRAWN[outcome] && (
          <line className="strip-zero" x1={x(0)} x2={x(0)} y1={TOP - 6} y2={TOP + 2 * ROW} />
        )}
        {(['A', 'B'] as const).map((arm, row) => {
          const middle = TOP + ROW * (row + 0.5);
          const average = mean(rows[arm].filter(({ out }) => !out).map(({ value }) => value));
          return (
            <g key={arm}>
              <text className="strip-arm" x="4" y={middle + 6}>
                {arm}
              </text>
              <line className="strip-line" x1={LEFT} x2={WIDTH - RIGHT} y1={middle} y2={middle} />
              {rows[arm].map(({ value, out }, at) => (
                <circle
                  key={at}
                  className={out ? 'strip-mark out' : `strip-mark ${arm}`}
                  cx={x(value)}
                  // In the order they were hit, from above to below, so that no mark hides another.
                  cy={middle - ROW * 0.36 + (at / Math.max(1, rows[arm].length - 1)) * ROW * 0.72}
                  r="4.5"
                />
              ))}
              {average !== null && (
                <line
                  className="strip-mean"
                  x1={x(average)}
                  x2={x(average)}
                  y1={middle - ROW * 0.46}
                  y2={middle + ROW * 0.46}
                />
              )}
            </g>
          );
        })}
        {[least, most].map((end, at) => (
          <text
            key={at}
            className="strip-end"
            x={x(end)}
            y={height - 5}
            textAnchor={at === 0 ? 'start' : 'end'}
          >
            {shotFigure(end, unit, units)}
          </text>
        ))}
      </svg>
      <Quiet>{`A ${told('A')} · B ${told('B')}`}</Quiet>
    </View>
  );
}
