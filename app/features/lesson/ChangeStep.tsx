import { setupWith, type ThingToDo } from '@pedastance/core/advice';
import {
  buysSentences,
  doSentences,
  inFootWords,
  stopsSentence,
  THING_NAMES,
  thingSentences,
  type Speech,
} from '@pedastance/core/phrases';
import { figureOf, type Setup } from '@pedastance/core/setup';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, openStep, replaceAgreed } from '../../state/lesson';
import { prefer } from '../../state/preferences';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { tellAgreed } from '../../domain/sentences';
import { useJudge, useLessonContext } from './context';
import { useLessonPath } from './useLessonPath';
import { Desk } from './Desk';
import { PathPanel } from './PathPanel';
import { FitPanel } from './FitPanel';
import { FeetRows, LoadRows } from './MeasureRows';
import { LeaveAsItIs } from './LeaveAsItIs';
import { NeedsClub } from './NeedsClub';
import { TurnPanel } from './TurnPanel';
import { useJudgement } from './useJudgement';
import { useReading } from './useReading';
import { useSettled } from './useSettled';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { useLeadHeelLift } from './turning';
import { NotMeasured } from './NotMeasured';

/** Changes agreed at once, beyond which nobody knows which one helped. */
const MOST_AT_ONCE = 2;

/** Whether a thing's moves are in what is agreed. */
const isTaken = ({ moves }: ThingToDo, agreed: Setup | null, lift: number): boolean =>
  moves.length > 0 &&
  moves.every(({ figure, to }) => {
    const now = figure === 'leadHeelLift' ? lift : agreed && figureOf(agreed, figure);
    return now !== null && now !== undefined && Math.abs(now - to) < SAME;
  });

/** Figures nearer than this are the same, mm, degrees and percent. */
const SAME = 0.5;

const liftIn = (things: readonly ThingToDo[]): number =>
  things.flatMap(({ moves }) => moves).find(({ figure }) => figure === 'leadHeelLift')?.to ?? 0;

/** Takes a thing, or leaves it again; the others that were taken stay. */
function toggle(setup: Setup, agreed: Setup | null, things: readonly ThingToDo[], one: ThingToDo): void {
  const lift = lesson.getState().draft?.leadHeelLift ?? 0;
  const taken = things.filter((each) => isTaken(each, agreed, lift));
  if (!taken.includes(one)) {
    return replaceAgreed(setupWith(agreed ?? setup, one.moves), Math.max(lift, liftIn([one])));
  }
  const left = taken.filter((each) => each !== one);
  const moves = left.flatMap((each) => each.moves);
  replaceAgreed(left.length === 0 ? null : setupWith(setup, moves), liftIn(left));
}

interface ToDoProps {
  todo: ThingToDo;
  taken: boolean;
  onPress: () => void;
  shoeLength: number;
  speech: Speech;
}

/** One thing to do, as it is said; what moves a figure can be taken onto the plan. */
function ToDo({ todo, taken, onPress, shoeLength, speech }: ToDoProps) {
  const name = inFootWords(THING_NAMES[todo.thing], speech.feet, speech.hand);
  return (
    <View className="gap-2 border-l-4 border-lagoon bg-sheet p-3" testID="to-do">
      {thingSentences(todo, shoeLength, speech).map((line) => (
        <Body key={line} className="text-lg font-semibold">
          {line}
        </Body>
      ))}
      {todo.moves.length > 0 && (
        <Button
          look={taken ? 'act' : 'plain'}
          words={taken ? '✓ In · Undo' : 'Take this'}
          label={`${taken ? 'Leave' : 'Take'}: ${name}`}
          onPress={onPress}
        />
      )}
    </View>
  );
}

/** The judgement's things to do, with what they buy. */
function ThingsToDo({ setup, agreed, speech }: { setup: Setup; agreed: Setup | null; speech: Speech }) {
  const judgement = useJudgement();
  const lift = useLeadHeelLift();
  if (!judgement) return <Quiet>Working …</Quiet>;
  const { things } = judgement;
  const shoeLength = setup.address.shoe.length;
  return (
    <View className="gap-2" testID="things-to-do">
      <Body>{stopsSentence(judgement, speech)}</Body>
      {things.length === 0 &&
        doSentences(judgement, shoeLength, speech).map((line) => (
          <Body key={line} className="text-lg font-semibold">
            {line}
          </Body>
        ))}
      {things.map((todo) => (
        <ToDo
          key={todo.thing}
          todo={todo}
          taken={isTaken(todo, agreed, lift)}
          onPress={() => toggle(setup, agreed, things, todo)}
          shoeLength={shoeLength}
          speech={speech}
        />
      ))}
      {buysSentences(judgement, speech).map((line) => (
        <Body key={line} className="figures">
          {line}
        </Body>
      ))}
    </View>
  );
}

/** The fit's own answers, for a coach who wants another way: folded, so that one judgement stands. */
function OtherWays({ setup, speech }: { setup: Setup; speech: Speech }) {
  const [open, setOpen] = useState(false);
  return (
    <View className="gap-2">
      <View className="flex-row">
        <Button
          look="quiet"
          words={open ? 'Fold other ways' : 'Other ways to free the turn'}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && <FitPanel setup={setup} speech={speech} />}
    </View>
  );
}

function Spoken({ setup, agreed, speech }: { setup: Setup; agreed: Setup | null; speech: Speech }) {
  const lines = tellAgreed(setup, agreed ?? setup, useLeadHeelLift(), speech);
  return (
    <View className="gap-1" aria-live="polite" testID="instruction">
      <Heading>To say</Heading>
      {lines.length === 0 && (
        <Body>
          Nothing is changed yet. Take a suggestion, or move the shoes to what you want to agree on.
        </Body>
      )}
      {lines.map((line) => (
        <Body key={line} className="text-lg">
          {line}
        </Body>
      ))}
      {lines.length > MOST_AT_ONCE && (
        <Quiet>{`${lines.length} changes at once: nobody will know which one helped. One or two stick.`}</Quiet>
      )}
      <Choice
        label="Say feet as"
        options={[
          { value: 'lead and trail', words: 'Lead, trail' },
          { value: 'left and right', words: 'Left, right' },
        ]}
        value={speech.feet}
        onChange={(feet) => prefer({ feet })}
      />
    </View>
  );
}

function Agreeing() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const judge = useJudge();
  const read = useReading();
  const loads = useStore(lesson, (state) => state.deskFor === 'load');
  const agreed = useSettled((state) => state.draft?.agreed ?? null);
  const path = useLessonPath();
  const lift = useLeadHeelLift();
  if (!read) return null;
  const { setup } = read;
  return (
    <>
      <ThingsToDo setup={setup} agreed={agreed} speech={speech} />
      <LeaveAsItIs speech={speech} />
      <Spoken setup={setup} agreed={agreed} speech={speech} />
      <NotMeasured />
      <OtherWays setup={setup} speech={speech} />
      <TurnPanel speech={speech} />
      <PathPanel path={path} speech={speech} />
      {(agreed || lift > 0) && (
        <View className="flex-row">
          <Button look="quiet" words="Back to today’s feet" onPress={() => replaceAgreed(null)} />
        </View>
      )}
      <Quiet>Solid: as agreed. Dashed: today. Dotted, with its number: what the fit offers.</Quiet>
      <FeetRows speech={speech} judge={judge} atDesk={!loads} />
      <LoadRows speech={speech} judge={judge} atDesk={loads} />
    </>
  );
}

export function ChangeStep() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const loads = useStore(lesson, (state) => state.deskFor === 'load');
  return (
    <NeedsClub>
      <WorkPlace
        label="The change"
        desk={
          <Desk loads={loads} speech={speech}>
            <Button look="desk" words="Keep" label="On to keeping it" onPress={() => openStep('keep')} />
          </Desk>
        }
      >
        <Agreeing />
      </WorkPlace>
    </NeedsClub>
  );
}
