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
import { useGoal, useLiftOnFeet, useOwnDifference, useTurningBody } from './turning';
import { common } from '../../domain/common.messages';
import { messages } from './TurnPanel.messages';

function tradeName({ change, by }: TurnTrade, speech: Speech): string {
  const names: Record<TurnTrade['change'], string> = {
    trailFlare: messages.trailFoot(angleFigure(Math.abs(by)), by > 0 ? 'out' : 'in'),
    leadFlare: messages.leadFoot(angleFigure(Math.abs(by)), by > 0 ? 'out' : 'in'),
    leadHeelLift: messages.leadHeelUp(lengthWithUnit(by, speech.length)),
    'turning the stance': messages.wholeStanceClosed(angleFigure(by)),
    'dropping the trail foot': messages.trailFootBackClosed(angleFigure(by)),
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
    <View role="table" aria-label={messages.whatOneMoreStepBuys}>
      <View role="row" className="flex-row border-b border-ink py-1">
        <View role="columnheader" className="flex-1">
          <Quiet>{messages.oneMoreStep}</Quiet>
        </View>
        <View role="columnheader" className="w-16 items-end">
          <Quiet>{messages.back}</Quiet>
        </View>
        <View role="columnheader" className="w-20 items-end">
          <Quiet>{messages.through}</Quiet>
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
  return messages.atThatTurnTheTrail(how);
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
          {stop.name === 'trail through' ? messages.onlyWhileItsHeel : ''}
        </Body>
      ))}
      {[back, through].map((budget) => (
        <Body key={budget.turn}>{rangeSentence(budget)}</Body>
      ))}
      <Body>
        {messages.neededGoingBackOfShoulders(
          angleFigure(goal.shoulders),
          angleFigure(goal.shoulders - back.needed.value),
          back.trunkAssumed ? ' (assumed, ± 8°: not measured)' : '',
        )}
      </Body>
      {unusual && shoulders !== null && <Body>{messages.thatIsUnusualOnThese(angleFigure(shoulders))}</Body>}
      {round !== null && round > 0 && (
        <Body>{inFootWords(messages.atTheFinishTheLead(angleFigure(round)), speech.feet, speech.hand)}</Body>
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
      <Quiet>{messages.givesOfAndAndTheir}</Quiet>
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
    <View className="gap-1" role="group" aria-label={messages.shouldersAreToTurn}>
      <Quiet>{messages.shouldersToTurnUsual}</Quiet>
      <View className="flex-row items-center gap-3">
        <Button
          look="plain"
          words={`\u2212${step}°`}
          label={messages.shouldersAreToTurnLess(step)}
          onPress={() => to(-step)}
        />
        <LargeFigure testID="shoulder-goal">{angleFigure(shoulders)}</LargeFigure>
        <Button
          look="plain"
          words={`+${step}°`}
          label={messages.shouldersAreToTurnMore(step)}
          onPress={() => to(step)}
        />
      </View>
    </View>
  );
}

/** How far the pelvis turns on these feet, what stops it first, and what would free it. */
export function TurnPanel({ speech }: { speech: Speech }) {
  const { student } = useLessonContext();
  const body = useTurningBody();
  const setup = useSettled(currentSetup);
  const turning = useBudgets(body, setup, useLiftOnFeet(), useGoal(), useOwnDifference());
  const [open, setOpen] = useState(false);
  if (!setup) return null;
  if (!turning) {
    return (
      <View className="gap-2 pt-3" testID="turn-panel">
        <Heading>{messages.theTurn}</Heading>
        {body ? (
          <Body>{messages.measureBothFlaresFirstWhere}</Body>
        ) : (
          <>
            <Body>{messages.nobodyKnowsWhereTheLegs}</Body>
            <View className="flex-row">
              <Button look="plain" words={messages.testLegsAndTrunk} onPress={() => openStep('legs')} />
            </View>
          </>
        )}
      </View>
    );
  }
  const { feet, goal } = turning;
  return (
    <View className="gap-2 pt-3" testID="turn-panel">
      <Heading>{messages.theTurn}</Heading>
      <WhereItStops turning={turning} student={student} speech={speech} />
      <Choice
        label={inFootWords(messages.leadHeelMayComeUp, speech.feet, speech.hand)}
        options={LIFTS.map((mm) => ({
          value: String(mm),
          words: mm === 0 ? messages.notAtAll : lengthWithUnit(mm, speech.length),
        }))}
        value={String(feet.leadHeelLift)}
        onChange={(mm) => changeDraft({ leadHeelLift: Number(mm) })}
      />
      <ShoulderGoal shoulders={goal.shoulders} />
      <View className="flex-row">
        <Button
          look="quiet"
          words={open ? common.less : messages.whyAndWhatAStep}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && <Why turning={turning} address={setup.address} speech={speech} />}
    </View>
  );
}
