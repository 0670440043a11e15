import { useState } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';
import { LineChart } from 'react-native-chart-kit';
import { shortDay } from '../domain/students';
import { GRID, INK, LAGOON, PAPER } from '../ui/colours';
import { Body, Quiet } from '../ui/Words';
import { messages } from './CourseChart.messages';

interface CourseChartProps {
  title: string;
  /** Oldest first. */
  points: readonly { madeAt: string; value: number }[];
  /** A level to be seen beside them, such as what was agreed; none where it is left out. */
  level?: { words: string; value: number };
  /** The axis spans so much at least, so that no wobble looks like a change. */
  leastSpan: number;
  /** A value as it is said. */
  say: (value: number) => string;
}

const HEIGHT = 168;
/** More days than this have no room under a chart on a phone. */
const MOST_LABELS = 4;

/** Days under the points; where they are too many, the first, the last and some between. */
function dayLabels(points: CourseChartProps['points']): string[] {
  const every = Math.ceil(points.length / MOST_LABELS);
  return points.map(({ madeAt }, at) => ((points.length - 1 - at) % every === 0 ? shortDay(madeAt) : ''));
}

/** A figure from lesson to lesson. */
export function CourseChart({ title, points, level, leastSpan, say }: CourseChartProps) {
  const [width, setWidth] = useState(0);
  const values = points.map(({ value }) => value);
  const middle = level?.value ?? values.at(-1)!;
  const told = points.map(({ madeAt, value }) => `${say(value)} on ${shortDay(madeAt)}`).join(', ');
  const line = (data: number[], colour: string, withDots: boolean) => ({
    data,
    color: () => colour,
    strokeWidth: withDots ? 3 : 2,
    withDots,
    ...(!withDots && { strokeDashArray: [6, 5] }),
  });
  return (
    <View
      className="gap-1"
      testID="course-chart"
      onLayout={({ nativeEvent }: LayoutChangeEvent) => setWidth(nativeEvent.layout.width)}
    >
      <Body className="font-semibold">{title}</Body>
      <View
        role="img"
        aria-label={`${title}: ${told}.${level ? ` ${level.words}: ${say(level.value)}.` : ''}`}
      >
        {width > 0 && (
          <View aria-hidden>
            <LineChart
              width={width}
              height={HEIGHT}
              data={{
                labels: dayLabels(points),
                datasets: [
                  line(values, LAGOON, true),
                  ...(level
                    ? [
                        line(
                          values.map(() => level.value),
                          INK,
                          false,
                        ),
                      ]
                    : []),
                  line([middle - leastSpan / 2, middle + leastSpan / 2], 'transparent', false),
                ],
              }}
              formatYLabel={(value) => say(Number(value))}
              segments={3}
              withVerticalLines={false}
              withShadow={false}
              chartConfig={{
                backgroundGradientFrom: PAPER,
                backgroundGradientTo: PAPER,
                color: () => GRID,
                labelColor: () => INK,
                propsForBackgroundLines: { stroke: GRID, strokeDasharray: '' },
                propsForDots: { r: '5', strokeWidth: '2', stroke: PAPER },
                propsForLabels: { fontSize: 13, fontFamily: 'inherit' },
              }}
            />
          </View>
        )}
      </View>
      {level && <Quiet>{messages.dashed(level.words.toLowerCase(), say(level.value))}</Quiet>}
    </View>
  );
}
