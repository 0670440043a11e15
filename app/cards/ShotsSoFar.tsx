import type { Hand } from '@pedastance/core/body';
import { SHOT_FIGURES, type Shot } from '@pedastance/core/trial';
import { groundSentences } from '@pedastance/core/phrases';
import type { ClubId } from '@pedastance/core/club';
import type { Units } from '@pedastance/core/units';
import { ScrollView, Text, View } from 'react-native';
import { Body, Quiet } from '../ui/Words';
import { COLUMN_NAMES } from '../domain/shotColumns';
import { figureWithWay } from '../domain/typedShot';
import { messages } from './ShotsSoFar.messages';

export interface NamedShot {
  /** Which setup it was hit from; empty where there is one only. */
  name: string;
  shot: Shot;
}

const CELL = 'w-[92px] text-right font-text text-sm text-ink figures';

/** Every shot so far, a row a shot, newest last: only the figures that some shot has. */
export function ShotsSoFar({
  shots,
  hand,
  units,
}: {
  shots: readonly NamedShot[];
  hand: Hand;
  units: Units;
}) {
  const columns = SHOT_FIGURES.filter((figure) => shots.some(({ shot }) => shot[figure] !== undefined));
  if (shots.length === 0 || columns.length === 0) return null;
  return (
    <ScrollView horizontal tabIndex={0} aria-label={messages.shotsSoFar}>
      <View role="table" aria-label={messages.shotsSoFar} testID="shots-so-far">
        <View role="row" className="flex-row gap-2 border-b border-grid py-1">
          <Text role="columnheader" className="w-12 font-text text-sm text-pencil">
            {messages.shot}
          </Text>
          {columns.map((figure) => (
            <Text
              key={figure}
              role="columnheader"
              className="w-[92px] text-right font-text text-sm text-pencil"
            >
              {COLUMN_NAMES[figure]}
            </Text>
          ))}
        </View>
        {shots.map(({ name, shot }, at) => (
          <View key={at} role="row" className="flex-row gap-2 border-b border-grid py-1">
            <Text role="rowheader" className="w-12 font-text text-sm font-semibold text-ink">
              {`${at + 1} ${name}`}
            </Text>
            {columns.map((figure) => {
              const value = shot[figure];
              return (
                <Text key={figure} role="cell" className={CELL}>
                  {value === undefined ? '–' : figureWithWay(figure, value, hand, units)}
                </Text>
              );
            })}
          </View>
        ))}
      </View>
    </ScrollView>
  );
}

/** What divots and a driver's attack say of the ball, for each setup that has some. */
export function GroundSays({
  club,
  shots,
  units,
}: {
  club: ClubId;
  shots: readonly NamedShot[];
  units: Units;
}) {
  const names = [...new Set(shots.map(({ name }) => name))].sort();
  return (
    <View className="gap-1" testID="ground-says">
      {names.flatMap((name) => {
        const said = groundSentences(
          club,
          shots.filter((each) => each.name === name).map(({ shot }) => shot),
          units,
        );
        return said.map((line, at) => {
          const words = name && at === 0 ? `${name}: ${line}` : line;
          return at === 0 ? <Body key={words}>{words}</Body> : <Quiet key={`${name} ${line}`}>{line}</Quiet>;
        });
      })}
    </View>
  );
}
