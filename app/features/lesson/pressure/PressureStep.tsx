import type { SwingTrace } from '@pedastance/core/balance';
import type { ClubId } from '@pedastance/core/club';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { taughtRoute } from '../../../domain/pressure';
import { typedNumber } from '../../../domain/typedNumber';
import { common } from '../../../domain/common.messages';
import { ServerAway } from '../../../state/api';
import { lesson } from '../../../state/lesson';
import { closeMat, liveMat } from '../../../state/liveMat';
import { replaceSwing, standOnMat } from '../../../state/pressure';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { Notice } from '../../../ui/Notice';
import { Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { NeedsClub } from '../NeedsClub';
import { WorkPlace } from '../WorkPlace';
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
      <View className="flex-row flex-wrap gap-2">
        <Button words={messages.stand} onPress={() => void stand()} />
        <PressureFile />
      </View>
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
    if (next.trim() === '') onChange({ ...trace, path: null });
    else if (Math.abs(path) <= MOST_PATH) onChange({ ...trace, path });
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

/** Where the pressure goes: how somebody stands on a mat, and the ways of their swings. */
function Pressure({ club }: { club: ClubId }) {
  const { student, build, method } = useLessonContext();
  const live = useStore(liveMat, (state) => state.line !== 'off');
  const pressure = useStore(lesson, (state) => state.draft?.pressure ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const [chosen, setChosen] = useState<number | null>(null);
  const [kept, setKept] = useState(false);
  useEffect(() => closeMat, []);
  const { shoeLength, shoeBreadth } = build.figures;
  const swings = pressure?.swings ?? [];
  const at = chosen !== null && chosen < swings.length ? chosen : null;
  return (
    <>
      <LastPressure club={club} />
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
      {swings.length > 0 && pressure && (
        <>
          <Choice
            label={messages.swings(swings.length)}
            options={[
              { value: TOGETHER, words: messages.together },
              ...swings.map((_, place) => ({ value: String(place), words: messages.swing(place + 1) })),
            ]}
            value={at === null ? TOGETHER : String(at)}
            onChange={(value) => setChosen(value === TOGETHER ? null : Number(value))}
          />
          {at !== null && (
            <>
              <SwingChart trace={swings[at]!} onChange={(trace) => replaceSwing(at, trace)} />
              <SwingPath key={at} trace={swings[at]!} onChange={(trace) => replaceSwing(at, trace)} />
              <View className="flex-row">
                <Button
                  look="quiet"
                  words={messages.takeOut(at + 1)}
                  onPress={() => replaceSwing(at, null)}
                />
              </View>
            </>
          )}
          <PressureTold
            pressure={pressure}
            club={club}
            route={taughtRoute(method, club, shot)}
            onKept={() => setKept(true)}
          />
          <SaveSwings swings={swings} />
        </>
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
