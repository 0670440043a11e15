import type { Build } from '@pedastance/core/body';
import { inFootWords, rangeSentence, stopSentence, type Speech } from '@pedastance/core/phrases';
import type { Address } from '@pedastance/core/setup';
import {
  footHasToComeRound,
  SHOULDER_GOALS,
  shouldersReached,
  trailKneeRoom,
  turnTrades,
  USUAL_NEEDED,
  type TurnTrade,
} from '@pedastance/core/turn';
import { angleFigure, lengthWithUnit } from '@pedastance/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { changeDraft, currentSetup, openStep } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Body, LargeFigure, Heading, Quiet } from '../../ui/Words';
import { useLessonContext } from './context';
import { useBudgets, type Turning } from '../../cards/turning';
import { useSettled } from './useSettled';
import { WhereItStops } from '../../cards/WhereItStops';
import { useGoal, useLeadHeelLift, useOwnDifference, useTurningBody } from './turning';

function tradeName({ change, by }: TurnTrade, speech: Speech): string {
  const names: Record<TurnTrade['change'], string> = {
    trailFlare: `Trail foot ${angleFigure(Math.abs(by))} ${by > 0 ? 'out' : 'in'}`,
    leadFlare: `Lead foot ${angleFigure(Math.abs(by))} ${by > 0 ? 'out' : 'in'}`,
    leadHeelLift: `Lead heel up ${lengthWithUnit(by, speech.length)}`,
    'turning the stance': `Whole stance closed ${angleFigure(by)}`,
    'dropping the trail foot': `Trail foot back, ${angleFigure(by)} closed`,
  };
  return inFootWords(names[change], speech.feet, speech.hand);
}

const gained = (value: number | null): string => {
  if (value === null) return '?';
  if (Math.abs(value) < 0.05) return '0°';
  return `${value > 0 ? '+' : '\u2212'}${angleFigure(Math.abs(value))}`;
};

/** What one more step of each change buys, and what it costs the other way. */
function Trades({ turning: { body, feet }, speech }: { turning: Turning; speech: Speech }) {
  return (
    <View role="table" aria-label="What one more step buys">
      <View role="row" className="flex-row border-b border-ink py-1">
        <View role="columnheader" className="flex-1">
          <Quiet>One more step</Quiet>
        </View>
        <View role="columnheader" className="w-16 items-end">
          <Quiet>back</Quiet>
        </View>
        <View role="columnheader" className="w-20 items-end">
          <Quiet>through</Quiet>
        </View>
      </View>
      {turnTrades(body, feet).map((trade) => (
        <View key={`${trade.change} ${trade.by}`} role="row" className="flex-row border-b border-grid py-1">
          <View role="cell" className="flex-1">
            <Body>{tradeName(trade, speech)}</Body>
          </View>
          <View role="cell" className="w-16 items-end">
            <Body className="figures">{gained(trade.back)}</Body>
          </View>
          <View role="cell" className="w-20 items-end">
            <Body className="figures">{gained(trade.through)}</Body>
          </View>
        </View>
      ))}
    </View>
  );
}

function kneeWords(build: Build, address: Address, turn: number): string {
  const { flex, tooFar } = trailKneeRoom(build, address, turn);
  const how = tooFar
    ? 'has no room left to straighten, and the heel would have to come up'
    : flex < 12
      ? 'gets nearly straight: let it, and do not lock it'
      : 'has room to straighten';
  return `At that turn the trail knee ${how}. Taking the foot back gives it room. This is rough: five degrees of knee flex move it by some fifteen of turn.`;
}

/** Everything behind the two sentences, down to the figures they were made from. */
function Why({ turning, address, speech }: { turning: Turning; address: Address; speech: Speech }) {
  const { build } = useLessonContext();
  const { body, feet, goal, back, through } = turning;
  const round = footHasToComeRound(body, feet);
  const shoulders = shouldersReached(body, feet);
  const unusual = back.needed.value < USUAL_NEEDED.least || back.needed.value > USUAL_NEEDED.most;
  return (
    <View className="gap-2" testID="turn-why">
      {[...back.stops, ...through.stops].map((stop) => (
        <Body key={stop.name} className="figures">
          {stopSentence(stop, speech)}
          {stop.name === 'trail through' ? ' Only while its heel is down.' : ''}
        </Body>
      ))}
      {[back, through].map((budget) => (
        <Body key={budget.turn}>{rangeSentence(budget)}</Body>
      ))}
      <Body>
        {`Needed going back: ${angleFigure(goal.shoulders)} of shoulders less ${angleFigure(goal.shoulders - back.needed.value)} of trunk${back.trunkAssumed ? ' (assumed, ± 8°: not measured)' : ''}. Through by impact: 45° (common practice, no source).`}
      </Body>
      {unusual && shoulders !== null && (
        <Body>{`That is unusual. On these feet legs and trunk reach ${angleFigure(shoulders)} of shoulders together.`}</Body>
      )}
      {round !== null && round > 0 && (
        <Body>
          {inFootWords(
            `At the finish the lead foot has to come round ${angleFigure(round)} for the hips to face the target. Let it; with a sore knee it is a caution, not a failure.`,
            speech.feet,
            speech.hand,
          )}
        </Body>
      )}
      {back.limit !== null && (
        <Body>
          {inFootWords(
            kneeWords(build.figures, address, Math.min(back.limit, back.needed.value)),
            speech.feet,
            speech.hand,
          )}
        </Body>
      )}
      <Trades turning={turning} speech={speech} />
      <Quiet>
        Gives of 10° and 20° and their ± 6° are starting values until turns are measured; a sore knee gives
        none.
      </Quiet>
    </View>
  );
}

/** The steps a coach asks for: up to an inch. */
const LIFTS = [0, 5, 10, 15, 20, 25] as const;

/** What the shoulders are to turn at the top: a usual figure, and this student's own. */
function ShoulderGoal({ shoulders }: { shoulders: number }) {
  const { least, most, step } = SHOULDER_GOALS;
  const to = (by: number) => changeDraft({ shoulderGoal: Math.min(most, Math.max(least, shoulders + by)) });
  return (
    <View className="gap-1" role="group" aria-label="Shoulders are to turn">
      <Quiet>Shoulders are to turn (90° is common practice; yours to set)</Quiet>
      <View className="flex-row items-center gap-3">
        <Button
          look="plain"
          words={`\u2212${step}°`}
          label={`Shoulders are to turn ${step}° less`}
          onPress={() => to(-step)}
        />
        <LargeFigure testID="shoulder-goal">{angleFigure(shoulders)}</LargeFigure>
        <Button
          look="plain"
          words={`+${step}°`}
          label={`Shoulders are to turn ${step}° more`}
          onPress={() => to(step)}
        />
      </View>
    </View>
  );
}

/** How far the pelvis turns on these feet, what stops it first, and what would free it. */
export function TurnPanel({ speech }: { speech: Speech }) {
  const body = useTurningBody();
  const setup = useSettled(currentSetup);
  const turning = useBudgets(body, setup, useLeadHeelLift(), useGoal(), useOwnDifference());
  const [open, setOpen] = useState(false);
  if (!setup) return null;
  if (!turning) {
    return (
      <View className="gap-2 pt-3" testID="turn-panel">
        <Heading>The turn</Heading>
        {body ? (
          <Body>Measure both flares first: where the legs stop the turn goes by them.</Body>
        ) : (
          <>
            <Body>Nobody knows where the legs stop the turn: they are not tested.</Body>
            <View className="flex-row">
              <Button look="plain" words="Test legs and trunk" onPress={() => openStep('legs')} />
            </View>
          </>
        )}
      </View>
    );
  }
  const { feet, goal } = turning;
  return (
    <View className="gap-2 pt-3" testID="turn-panel">
      <Heading>The turn</Heading>
      <WhereItStops turning={turning} speech={speech} />
      <Choice
        label={inFootWords('Lead heel may come up, going back', speech.feet, speech.hand)}
        options={LIFTS.map((mm) => ({
          value: String(mm),
          words: mm === 0 ? 'Not at all' : lengthWithUnit(mm, speech.length),
        }))}
        value={String(feet.leadHeelLift)}
        onChange={(mm) => changeDraft({ leadHeelLift: Number(mm) })}
      />
      <ShoulderGoal shoulders={goal.shoulders} />
      <View className="flex-row">
        <Button
          look="quiet"
          words={open ? 'Less' : 'Why, and what a step buys'}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && <Why turning={turning} address={setup.address} speech={speech} />}
    </View>
  );
}
