import { practiceAmong, type SwingTrace } from '@pedastance/core/balance';
import type { ClubId } from '@pedastance/core/club';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { partKey } from '../../../domain/lessonDraft';
import { taughtRoute, type PressureDraft } from '../../../domain/pressure';
import { typedNumber } from '../../../domain/typedNumber';
import { common } from '../../../domain/common.messages';
import { ServerAway } from '../../../state/api';
import { lesson } from '../../../state/lesson';
import { closeMat, liveMat } from '../../../state/liveMat';
import { replaceSwing, replaceSwings, standOnMat } from '../../../state/pressure';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { Notice } from '../../../ui/Notice';
import { Select } from '../../../ui/Select';
import { Body, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { NeedsClub } from '../NeedsClub';
import { WorkPlace } from '../WorkPlace';
import { JoinShots } from './JoinShots';
import { LastPressure } from './LastPressure';
import { LiveMat } from './LiveMat';
import { messages } from './PressureStep.messages';
import { PressureFile, SaveSwings } from './PressureFile';
import { PressureTold } from './PressureTold';
import { Soles } from './Soles';
import { SwingChart } from './SwingChart';

/** Puts the student on the stand-in mat, where there is a server to stand on. */
function StandOn({ club }: { club: ClubId }) {
  const { student, method } = useLessonContext();
  const [fault, setFault] = useState('');
  const stand = async () => {
    const { setup, shot } = lesson.getState().draft!;
    try {
      await standOnMat({ studentId: student.id, setup: setup!, route: taughtRoute(method, club, shot) });
      setFault('');
    } catch (error) {
      setFault(error instanceof ServerAway ? common.needsServer : messages.away((error as Error).message));
    }
  };
  return (
    <View className="gap-2">
      <View className="flex-row">
        <Button words={messages.stand} onPress={() => void stand()} />
      </View>
      <PressureFile />
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
    </View>
  );
}

const TOGETHER = 'together';

const MOST_PATH = 30;

/** The club's path of one swing, as a monitor told it. */
function SwingPath({ trace, onChange }: { trace: SwingTrace; onChange: (trace: SwingTrace) => void }) {
  const [text, setText] = useState(trace.path === null ? '' : String(trace.path));
  const value = typedNumber(text);
  const empty = text.trim() === '';
  const sound = Math.abs(value) <= MOST_PATH;
  const typed = (next: string) => {
    setText(next);
    const path = typedNumber(next);
    // A path that is typed is not the one that the shot of the log has.
    if (next.trim() === '') onChange({ ...trace, path: null, shot: null });
    else if (Math.abs(path) <= MOST_PATH) onChange({ ...trace, path, shot: null });
  };
  return (
    <Field
      label={messages.path}
      unit="°"
      value={text}
      onChangeText={typed}
      inputMode="text"
      help={messages.pathHelp}
      fault={empty || sound ? undefined : messages.pathExpected(text)}
    />
  );
}

/** One swing: its moments on the chart, its path, and the way to leave it out. */
function OneSwing({ at, trace }: { at: number; trace: SwingTrace }) {
  const change = (changed: SwingTrace) => replaceSwing(at, changed);
  return (
    <>
      <SwingChart trace={trace} onChange={change} />
      <SwingPath trace={trace} onChange={change} />
      <View className="flex-row">
        <Button look="quiet" words={messages.takeOut(at + 1)} onPress={() => replaceSwing(at, null)} />
      </View>
    </>
  );
}

/** So many swings still stand beside each other on a phone. */
const FEW = 6;

/** Which swing is looked at: all together, or one. */
function WhichSwing({
  count,
  chosen,
  onChoose,
}: {
  count: number;
  chosen: number | null;
  onChoose: (swing: number | null) => void;
}) {
  const One = count > FEW ? Select : Choice;
  return (
    <One
      label={messages.swings(count)}
      options={[
        { value: TOGETHER, words: messages.together },
        ...Array.from({ length: count }, (_, at) => ({ value: String(at), words: messages.swing(at + 1) })),
      ]}
      value={chosen === null ? TOGETHER : String(chosen)}
      onChange={(value: string) => onChoose(value === TOGETHER ? null : Number(value))}
    />
  );
}

/** Asks about swings that look like practice swings: they are taken out, or had a ball, by one tap. */
function PracticeAsked({ swings }: { swings: readonly SwingTrace[] }) {
  const [balls, setBalls] = useState<ReadonlySet<SwingTrace>>(new Set());
  const asked = useMemo(() => practiceAmong(swings).filter((at) => !balls.has(swings[at]!)), [swings, balls]);
  if (asked.length === 0) return null;
  return (
    <Notice kind="plain">
      <Body>{messages.practice(asked.map((at) => at + 1))}</Body>
      <View className="flex-row flex-wrap gap-2">
        <Button
          look="plain"
          words={messages.practiceOut(asked.length)}
          onPress={() => replaceSwings(swings.filter((_, at) => !asked.includes(at)))}
        />
        <Button
          look="quiet"
          words={messages.balls(asked.length)}
          onPress={() => setBalls(new Set([...balls, ...asked.map((at) => swings[at]!)]))}
        />
      </View>
    </Notice>
  );
}

/** The swings there are: looked at together or one by one, and what they tell. */
function Swings({
  pressure,
  club,
  chosen,
  onChoose,
  onKept,
}: {
  pressure: PressureDraft;
  club: ClubId;
  chosen: number | null;
  onChoose: (swing: number | null) => void;
  onKept: () => void;
}) {
  const { method } = useLessonContext();
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const { swings, source } = pressure;
  return (
    <>
      <PracticeAsked swings={swings} />
      <WhichSwing count={swings.length} chosen={chosen} onChoose={onChoose} />
      {chosen !== null && <OneSwing key={chosen} at={chosen} trace={swings[chosen]!} />}
      {source === 'file' && <JoinShots swings={swings} club={club} shot={shot} />}
      <PressureTold
        pressure={pressure}
        club={club}
        shot={shot}
        route={taughtRoute(method, club, shot)}
        onKept={onKept}
      />
      <SaveSwings swings={swings} />
    </>
  );
}

/** Where the pressure goes: how somebody stands on a mat, and the ways of their swings. */
function Pressure({ club }: { club: ClubId }) {
  const { student, build } = useLessonContext();
  const live = useStore(liveMat, (state) => state.line !== 'off');
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const pressure = useStore(lesson, (state) => state.draft?.pressures?.[partKey({ club, shot })] ?? null);
  const [chosen, setChosen] = useState<number | null>(null);
  const [kept, setKept] = useState(false);
  useEffect(() => closeMat, []);
  const { shoeLength, shoeBreadth } = build.figures;
  const swings = pressure?.swings ?? [];
  const at = chosen !== null && chosen < swings.length ? chosen : null;
  return (
    <>
      <LastPressure club={club} shot={shot} />
      {live ? <LiveMat /> : <StandOn club={club} />}
      {(live || swings.length > 0) && (
        <Soles
          shoe={{ length: shoeLength.value, breadth: shoeBreadth.value }}
          leadLeft={student.hand === 'right'}
          live={live}
          swings={swings}
          chosen={at}
        />
      )}
      {kept && swings.length === 0 && (
        <Notice kind="good" live>
          {messages.kept}
        </Notice>
      )}
      {live && swings.length === 0 && <Quiet>{messages.noSwings}</Quiet>}
      {pressure && swings.length > 0 && (
        <Swings
          pressure={pressure}
          club={club}
          chosen={at}
          onChoose={setChosen}
          onKept={() => setKept(true)}
        />
      )}
    </>
  );
}

/** The step that a mat, or a recording of one, is looked at in. */
export function PressureStep() {
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  return (
    <NeedsClub>
      <WorkPlace label={messages.title}>{club && <Pressure club={club} />}</WorkPlace>
    </NeedsClub>
  );
}
