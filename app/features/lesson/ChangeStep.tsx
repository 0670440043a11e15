import { setupWith, type Judgement, type ThingToDo } from '@pedastance/core/advice';
import { doSentences, inFootWords, THING_NAMES, thingSentences, type Speech } from '@pedastance/core/phrases';
import { figureOf, type Setup } from '@pedastance/core/setup';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { Working } from '../../cards/Working';
import { useStore } from 'zustand';
import { lesson, openStep, replaceAgreed } from '../../state/lesson';
import { prefer } from '../../state/preferences';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Body, Quiet } from '../../ui/Words';
import { hasChange } from '../../domain/lessonDraft';
import { tellAgreed } from '../../domain/sentences';
import { useJudge, useLessonContext } from './context';
import { useLessonPath } from './useLessonPath';
import { Desk } from './Desk';
import { PathPanel } from './PathPanel';
import { OtherWays } from './OtherWays';
import { FeetRows, LoadRows } from './MeasureRows';
import { LeaveAsItIs } from './LeaveAsItIs';
import { NeedsClub } from './NeedsClub';
import { TurnPanel } from './TurnPanel';
import { useJudgement, useJudgementNow } from './useJudgement';
import { useReading } from './useReading';
import { useSettled } from './useSettled';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { useLeadHeelLift } from './turning';
import { NotMeasured } from './NotMeasured';
import { ItBuys, StopsYou } from '../../cards/JudgementCard';
import { common } from '../../domain/common.messages';
import { messages } from './ChangeStep.messages';

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

/** Agrees on things and nothing else; on none of them the feet are today's. */
function agreeOn(setup: Setup, things: readonly ThingToDo[]): void {
  const moves = things.flatMap((each) => each.moves);
  replaceAgreed(things.length === 0 ? null : setupWith(setup, moves), liftIn(things));
}

/** Takes a thing, or leaves it again; the others that were taken stay. */
function toggle(setup: Setup, agreed: Setup | null, things: readonly ThingToDo[], one: ThingToDo): void {
  const lift = lesson.getState().draft?.leadHeelLift ?? 0;
  const taken = things.filter((each) => isTaken(each, agreed, lift));
  if (!taken.includes(one)) {
    return replaceAgreed(setupWith(agreed ?? setup, one.moves), Math.max(lift, liftIn([one])));
  }
  agreeOn(
    setup,
    taken.filter((each) => each !== one),
  );
}

interface TellProps {
  setup: Setup;
  agreed: Setup | null;
  judgement: Judgement | null;
  speech: Speech;
}

/** What to tell the student, large: what is in use, and before anything is, what the judgement would have them do. */
function Tell({ setup, agreed, judgement, speech }: TellProps) {
  const { student } = useLessonContext();
  const inUse = tellAgreed(setup, agreed ?? setup, useLeadHeelLift(), speech);
  const lines =
    inUse.length > 0 || !judgement ? inUse : doSentences(judgement, setup.address.shoe.length, speech);
  const [first = student.name] = student.name.split(' ');
  return (
    <View className="gap-1" aria-live="polite" testID="instruction">
      <Quiet>{inUse.length > 0 ? messages.tell(first) : messages.nothingIsChangedYetYou}</Quiet>
      {lines.map((line) => (
        <Text key={line} className="font-heading text-2xl font-bold leading-8 text-ink">
          {line}
        </Text>
      ))}
      {inUse.length > MOST_AT_ONCE && <Quiet>{messages.changesAtOnceNobodyWill(inUse.length)}</Quiet>}
    </View>
  );
}

interface ToDoProps {
  todo: ThingToDo;
  /** What is said of a thing that moves nothing, and so cannot be taken onto the plan. */
  said: readonly string[];
  taken: boolean;
  onPress: () => void;
  speech: Speech;
}

/** One thing to do, taken onto the plan or left. */
function ToDo({ todo, said, taken, onPress, speech }: ToDoProps) {
  const name = inFootWords(THING_NAMES[todo.thing], speech.feet, speech.hand);
  return (
    <View className="flex-row items-center gap-2 border-b border-grid py-1" testID="to-do">
      <View className="flex-1">
        <Body className="font-semibold">{name}</Body>
        {todo.moves.length === 0 && said.map((sentence) => <Body key={sentence}>{sentence}</Body>)}
      </View>
      {todo.moves.length > 0 && (
        <Button
          look={taken ? 'act' : 'plain'}
          words={taken ? messages.inUndo : messages.takeThis}
          label={(taken ? messages.leave : messages.take)(name)}
          onPress={onPress}
        />
      )}
    </View>
  );
}

/** The judgement's things to do, with what they buy. */
function ThingsToDo({ setup, agreed, judgement, speech }: TellProps) {
  const lift = useLeadHeelLift();
  const now = useJudgementNow();
  if (!judgement) return <Working of={now} />;
  const { things } = judgement;
  return (
    <View className="gap-2" testID="things-to-do">
      {things.map((todo) => (
        <ToDo
          key={todo.thing}
          todo={todo}
          said={thingSentences(todo, judgement, setup.address.shoe.length, speech)}
          taken={isTaken(todo, agreed, lift)}
          onPress={() => toggle(setup, agreed, things, todo)}
          speech={speech}
        />
      ))}
      <View className="bg-sheet">
        <ItBuys judgement={judgement} speech={speech} />
        <StopsYou judgement={judgement} speech={speech} />
      </View>
    </View>
  );
}

/** Other ways of freeing the turn, for a coach who wants one: folded, so that one judgement stands. */
function FoldedWays({ setup, speech }: { setup: Setup; speech: Speech }) {
  const [open, setOpen] = useState(false);
  return (
    <View className="gap-2">
      <View className="flex-row">
        <Button
          look="quiet"
          words={open ? messages.foldOtherWays : messages.otherWaysToFree}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && <OtherWays setup={setup} speech={speech} />}
    </View>
  );
}

function SayFeetAs({ speech }: { speech: Speech }) {
  return (
    <Choice
      label={messages.sayFeet}
      options={[
        { value: 'lead and trail', words: messages.leadTrail },
        { value: 'left and right', words: messages.leftRight },
      ]}
      value={speech.feet}
      onChange={(feet) => prefer({ feet })}
    />
  );
}

/** Figures of what is agreed, to be set by hand. */
function ByHand({ speech }: { speech: Speech }) {
  const judge = useJudge();
  const loads = useStore(lesson, (state) => state.deskFor === 'load');
  return (
    <>
      <Quiet>{messages.solidAsAgreedDashedToday}</Quiet>
      <FeetRows speech={speech} judge={judge} atDesk={!loads} />
      <LoadRows speech={speech} judge={judge} atDesk={loads} />
    </>
  );
}

function Agreeing() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const read = useReading();
  const judgement = useJudgement();
  const adjusting = useStore(lesson, (state) => state.planLarge);
  const agreed = useSettled((state) => state.draft?.agreed ?? null);
  const path = useLessonPath();
  const lift = useLeadHeelLift();
  if (!read) return null;
  const told = { setup: read.setup, agreed, judgement, speech };
  return (
    <>
      {adjusting && <ByHand speech={speech} />}
      <Tell {...told} />
      <ThingsToDo {...told} />
      {(agreed || lift > 0) && (
        <View className="flex-row">
          <Button look="quiet" words={messages.backToTodaysFeet} onPress={() => replaceAgreed(null)} />
        </View>
      )}
      <NotMeasured />
      <LeaveAsItIs speech={speech} />
      <FoldedWays setup={read.setup} speech={speech} />
      <TurnPanel speech={speech} />
      <PathPanel path={path} speech={speech} />
      <SayFeetAs speech={speech} />
    </>
  );
}

/** What a thumb does here: use what is told, or set it by hand, and go on to keep it. */
function Buttons() {
  const judgement = useJudgement();
  const setup = useStore(lesson, (state) => state.draft?.setup ?? null);
  const inUse = useStore(lesson, ({ draft }) => draft !== null && hasChange(draft));
  const things = judgement?.things ?? [];
  const canUse = setup !== null && !inUse && things.some(({ moves }) => moves.length > 0);
  return (
    <View className="flex-row gap-3 border-t border-grid p-3">
      <Button
        look="plain"
        words={messages.adjust}
        label={messages.adjustOnThePlan}
        onPress={() => lesson.setState({ planLarge: true })}
      />
      {canUse ? (
        <Button className="flex-1" words={messages.useIt} onPress={() => agreeOn(setup, things)} />
      ) : (
        <Button
          className="flex-1"
          words={common.keep}
          label={messages.onToKeeping}
          onPress={() => openStep('keep')}
        />
      )}
    </View>
  );
}

export function ChangeStep() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const loads = useStore(lesson, (state) => state.deskFor === 'load');
  const adjusting = useStore(lesson, (state) => state.planLarge);
  return (
    <NeedsClub>
      <WorkPlace
        label={messages.theChange}
        plan={adjusting ? 'large' : 'none'}
        desk={
          adjusting ? (
            <Desk loads={loads} speech={speech}>
              <Button
                look="desk"
                words={messages.done}
                label={messages.doneAdjusting}
                onPress={() => lesson.setState({ planLarge: false })}
              />
            </Desk>
          ) : (
            <Buttons />
          )
        }
      >
        <Agreeing />
      </WorkPlace>
    </NeedsClub>
  );
}
