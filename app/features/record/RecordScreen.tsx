import { clubAndShot } from '@pedastance/core/club';
import type { NewBuild, Student } from '@pedastance/contract';
import type { Speech } from '@pedastance/core/phrases';
import { USUAL_GOAL } from '@pedastance/core/turn';
import { angleFigure } from '@pedastance/core/units';
import { Link, router, useLocalSearchParams } from 'expo-router';
import { useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { wholeGhost } from '../../plan/drawing';
import { planAsPng, planAsSvg } from '../../plan/image';
import { Plan, stillScene } from '../../plan/Plan';
import { usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { fileName, saveBlob, saveFile } from '../../ui/files';
import { useWide } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { StudentPage } from '../../ui/Page';
import { Body, Heading, Quiet } from '../../ui/Words';
import { startLesson } from '../../state/startLesson';
import { dayAndTime } from '../../domain/students';
import { CorrectWords } from './CorrectWords';
import { Photos } from './Photos';
import { ChoiceCard, FindingCard } from '../../cards/FindingCard';
import { noticeWords } from '../../domain/notices';
import { JudgementCard } from '../../cards/JudgementCard';
import { CheckNotice } from '../../cards/CheckNotice';
import { Outgrown } from '../../cards/Outgrown';
import { common } from '../../domain/common.messages';
import { hadThingsToDo, type LogRecord } from '@pedastance/contract/records';
import { tellAgreed } from '../../domain/sentences';
import { useStudentLog } from '../../state/useStudentLog';
import { useAllVersions } from '../../state/useVersions';
import { useSpeech } from '../../state/useSpeech';
import { Waiting } from '../../ui/Waiting';
import { messages } from './RecordScreen.messages';

type Shown = 'today' | 'agreed';

function RecordPlan({
  record,
  student,
  build,
}: {
  record: LogRecord;
  student: Student;
  build: NewBuild | undefined;
}) {
  const viewpoint = usePreferences((state) => state.viewpoint);
  const length = usePreferences((state) => state.length);
  const footWords = usePreferences((state) => state.feet);
  const [shown, setShown] = useState<Shown>(record.agreed ? 'agreed' : 'today');
  const { address, agreed } = record;
  const setup = shown === 'agreed' && agreed ? agreed.setup : address.setup;
  const ghosts = useMemo(
    () => (shown === 'agreed' ? [wholeGhost(address.setup)] : []),
    [shown, address.setup],
  );
  const scene = useMemo(
    () => stillScene(setup, agreed ? [address.setup, agreed.setup].map(wholeGhost) : []),
    [setup, address.setup, agreed],
  );
  const drawn = useRef<HTMLElement | null>(null);
  const savePlan = async (ending: 'png' | 'svg') => {
    const sheet = drawn.current?.querySelector('.plan-sheet');
    if (!sheet) return;
    const name = fileName(`${student.name} ${clubAndShot(address.club, address.shot)}`, ending);
    if (ending === 'png') return saveBlob(name, await planAsPng(sheet));
    return saveFile(name, (await planAsSvg(sheet)).text, 'image/svg+xml');
  };
  return (
    <View className="gap-2">
      <View className="h-[430px] border border-grid" ref={drawn as never}>
        <Plan
          key={`${shown}-${viewpoint}`}
          scene={scene}
          ghosts={ghosts}
          hand={student.hand}
          viewpoint={viewpoint}
          length={length}
          footWords={footWords}
          shoulderBreadth={build?.figures.shoulderBreadth.value ?? 0}
          holds="none"
          label={messages.theFeet(
            clubAndShot(address.club, address.shot),
            shown === 'today' ? 'they stood' : 'agreed',
          )}
        />
      </View>
      {agreed && (
        <Choice
          label={messages.feet}
          options={[
            { value: 'today', words: messages.asTheyStood },
            { value: 'agreed', words: messages.asAgreed },
          ]}
          value={shown}
          onChange={setShown}
        />
      )}
      {ghosts.length > 0 && <Quiet>{messages.dashedAsTheyStoodBefore}</Quiet>}
      <View className="flex-row flex-wrap gap-3">
        <Button look="quiet" words={messages.savePicture} onPress={() => void savePlan('png')} />
        <Button look="quiet" words={messages.saveDrawing} onPress={() => void savePlan('svg')} />
      </View>
    </View>
  );
}

function Provenance({ record, build }: { record: LogRecord; build: NewBuild | undefined }) {
  const { reading, address } = record;
  const method = useRecords((state) =>
    state.methods.find((each) => each.id === reading.methodId && each.version === reading.methodVersion),
  );
  useAllVersions(method ? undefined : reading.methodId);
  const received = reading.receivedAt === '' ? 'not sent yet' : `received ${dayAndTime(reading.receivedAt)}`;
  return (
    <View>
      <Quiet>{messages.made(dayAndTime(reading.madeAt), received)}</Quiet>
      <Quiet>
        {messages.readWithVersionModel(
          method?.name ?? 'a house method',
          reading.methodVersion,
          reading.modelVersion,
        )}
      </Quiet>
      <Quiet>
        {messages.clubInBuild(
          address.clubLengthInches,
          build ? `of ${dayAndTime(build.madeAt)}` : 'as it was then',
        )}
      </Quiet>
    </View>
  );
}

function Agreed({ record, speech }: { record: LogRecord; speech: Speech }) {
  const { change, agreed, address } = record;
  const [correcting, setCorrecting] = useState(false);
  if (!change || !agreed)
    return (
      <View className="gap-2">
        <Body>{hadThingsToDo(record) ? common.nothingAgreed : common.checkedNothingToChange}</Body>
        {record.reading.note !== '' && <Body>{messages.note(record.reading.note)}</Body>}
      </View>
    );
  return (
    <View className="gap-2">
      <Heading>{messages.whatWasAgreed}</Heading>
      {tellAgreed(address.setup, agreed.setup, change.leadHeelLift, speech).map((line) => (
        <Body key={line} className="text-lg">
          {line}
        </Body>
      ))}
      <Body>{messages.because(change.reason)}</Body>
      {change.shoulderGoal !== USUAL_GOAL.shoulders && (
        <Body>{messages.forATurn(angleFigure(change.shoulderGoal))}</Body>
      )}
      {change.feel !== '' && <Body>{messages.feel(change.feel)}</Body>}
      {change.note !== '' && <Body>{messages.note(change.note)}</Body>}
      <View className="flex-row pt-1">
        <Button
          words={messages.theCard}
          onPress={() => router.push(`/students/${change.studentId}/card/${record.reading.id}`)}
        />
      </View>
      {record.corrections > 0 && <Quiet>{messages.wordsCorrected(record.corrections)}</Quiet>}
      {correcting ? (
        <CorrectWords change={change} onDone={() => setCorrecting(false)} />
      ) : (
        <View className="flex-row">
          <Button look="quiet" words={messages.correctTheWords} onPress={() => setCorrecting(true)} />
        </View>
      )}
    </View>
  );
}

/** An old address on the plan again, with the verdict it had then. */
export function RecordScreen() {
  const { student: id, reading: readingId } = useLocalSearchParams<{ student: string; reading: string }>();
  const { student, records, loaded } = useStudentLog(id);
  const record = records.find((each) => each.reading.id === readingId);
  const build = useRecords((state) => (record ? state.builds[record.reading.buildId] : undefined));
  const speech = useSpeech(student?.hand ?? 'right');
  const wide = useWide();

  if (!student || !record) return <Waiting words={loaded ? messages.thisRecord : undefined} />;
  const { address, reading } = record;
  const again = async () => {
    // These feet are where today's begin; nothing of them was measured today.
    const { posture: _before, ...feet } = record.agreed?.setup ?? address.setup;
    const { club, clubLengthInches, shot } = address;
    const lesson = await startLesson(student.id, 'feet', {
      club,
      clubLengthInches,
      shot,
      setup: { ...feet, measured: {} },
    });
    router.push(`/lessons/${lesson}`);
  };
  return (
    <StudentPage
      student={student}
      label={messages.recordOf(student.name)}
      title={clubAndShot(address.club, address.shot)}
      under={`${student.name} · ${dayAndTime(reading.madeAt)}`}
    >
      <View className={wide ? 'flex-row gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1' : ''}>
          <RecordPlan record={record} student={student} build={build} />
          <Photos student={student} address={address.setup.address} addressId={address.id} />
        </View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          <Outgrown record={record} />
          <CheckNotice check={reading.check} speech={speech} />
          {reading.judgement && (
            <JudgementCard
              judgement={reading.judgement}
              shoeLength={address.setup.address.shoe.length}
              speech={speech}
            />
          )}
          <Agreed record={record} speech={speech} />
          <View>
            <Heading>{messages.heldAgainstTheMethod}</Heading>
            {reading.notices.map((notice) => (
              <Notice key={notice.kind} kind="caution">
                {noticeWords(notice, speech)}
              </Notice>
            ))}
            {reading.findings.map((finding) => (
              <FindingCard key={finding.item} finding={finding} speech={speech} />
            ))}
            {reading.choices.map((choice) => (
              <ChoiceCard key={choice.question} choice={choice} speech={speech} />
            ))}
          </View>
          <Provenance record={record} build={build} />
          <Button look="plain" words={messages.startALessonFromThese} onPress={() => void again()} />
          <Link href={`/students/${id}/compare?reading=${reading.id}`} className="min-h-[48px] py-3">
            <Body tone="lagoon" className="font-semibold underline">
              {messages.setMethodsSideBySide}
            </Body>
          </Link>
        </View>
      </View>
    </StudentPage>
  );
}
