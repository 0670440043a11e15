import { clubAndShot } from '@pedastance/core/club';
import { useMemo } from 'react';
import { View, ScrollView } from 'react-native';
import { router, useLocalSearchParams, Link } from 'expo-router';
import type { NewBuild, Student } from '@pedastance/contract';
import type { Speech } from '@pedastance/core/phrases';
import { PainToAsk } from '../../cards/PainToAsk';
import { JudgementCard } from '../../cards/JudgementCard';
import { Cautions, BuildTable } from '../../cards/StudentFacts';
import { useDrafts, draftsOf } from '../../state/drafts';
import { startLesson } from '../../state/startLesson';
import { Button } from '../../ui/Button';
import { Quiet, Title, Heading, Body } from '../../ui/Words';
import { day, inShort } from '../../domain/students';
import { useStudentLog } from '../../state/useStudentLog';
import { useSpeech } from '../../state/useSpeech';
import { useWide } from '../../ui/layout';
import { startingFrom } from '../../state/lesson';
import { useMadeUp } from '../../state/account';
import { newestScreen, useRecords } from '../../state/records';
import { feetOf, useLastRecord } from '../../state/useLastRecord';
import type { LessonDraft } from '../../domain/lessonDraft';
import { trialsOf, type Trial } from '../../domain/trials';
import { intakesOf } from '../../domain/intake';
import type { LogRecord } from '@pedastance/contract/records';
import { Waiting } from '../../ui/Waiting';
import { BackTo } from '../../ui/Page';
import { HeldCard } from './HeldCard';
import { LadderCard } from './LadderCard';
import { ShotsCard } from './ShotsCard';
import { KnownCard } from './KnownCard';
import { PainLog } from './PainLog';
import { TurnCard } from './TurnCard';
import { LogCard } from './LogCard';
import { TrialCard } from './TrialCard';
import { common } from '../../domain/common.messages';
import { messages } from './StudentScreen.messages';

/** The judgement of the newest record that has one: where the next lesson begins. */
function LastJudgement({ records, speech }: { records: readonly LogRecord[]; speech: Speech }) {
  const last = records.find(({ reading }) => reading.judgement !== null);
  if (!last?.reading.judgement) return null;
  const { address, reading } = last;
  return (
    <View className="gap-1">
      <Heading>{messages.lastJudged(clubAndShot(address.club, address.shot), day(reading.madeAt))}</Heading>
      <JudgementCard
        judgement={last.reading.judgement}
        shoeLength={address.setup.address.shoe.length}
        speech={speech}
      />
    </View>
  );
}

/** The club a student last had in hand, the shoes drawn as they last stood with it; nothing of it measured. */
function firstAddress({ address, ...record }: LogRecord, build: NewBuild): Partial<LessonDraft> {
  const { club, shot, clubLengthInches } = address;
  const setup = startingFrom(feetOf({ address, ...record }), build.figures, clubLengthInches);
  return { club, shot, clubLengthInches, setup };
}

/** Goes on with the lesson in progress, else starts one: at the address, or at the student where something is missing. */
function LessonButtons({ student }: { student: Student }) {
  const drafts = useDrafts((state) => state.drafts);
  const open = draftsOf(drafts, student.id)[0];
  const { build } = student;
  const last = useLastRecord(student.id, build)();
  const tested = useRecords((state) => newestScreen(state.screens, student.id) !== null);
  const start = async () => {
    const begin = build && last && tested ? firstAddress(last, build) : null;
    const lesson = await startLesson(student.id, begin ? 'feet' : 'who', begin ?? {});
    router.push(`/lessons/${lesson}`);
  };
  if (!open) return <Button words={messages.startALesson} onPress={() => void start()} />;
  return (
    <View className="gap-1">
      <Button words={messages.goOnWithTheLesson} onPress={() => router.push(`/lessons/${open.id}`)} />
      <Quiet>{messages.inProgressSinceKept(day(open.startedAt))}</Quiet>
    </View>
  );
}

export function StudentScreen() {
  const { student: id } = useLocalSearchParams<{ student: string }>();
  const { student, records, loaded } = useStudentLog(id);
  const speech = useSpeech(student?.hand ?? 'right');
  const wide = useWide();
  const madeUp = useMadeUp();
  const entries = useRecords((state) => state.entries);
  const logged = useMemo(() => {
    const trials = trialsOf(Object.values(entries), id);
    const when = (each: LogRecord | Trial) => ('reading' in each ? each.reading : each.entry).madeAt;
    return [...records, ...trials].sort((a, b) => when(b).localeCompare(when(a)));
  }, [records, entries, id]);

  const intakes = useMemo(() => intakesOf(Object.values(entries), id), [entries, id]);

  if (!student || !loaded) return <Waiting words={loaded ? common.studentNotHere : undefined} />;
  return (
    <ScrollView
      className="flex-1 bg-paper"
      contentContainerClassName="p-4 pb-12"
      tabIndex={0}
      aria-label={messages.pageOf(student.name)}
    >
      <View role="main" className="w-full max-w-3xl gap-4">
        <View className="flex-row items-start gap-1">
          {!wide && <BackTo label={messages.backToTheStudents} href="/students" />}
          <View className="flex-1">
            <Title>{student.name}</Title>
            <Quiet>{`${inShort(student, new Date())}${madeUp ? common.madeUp : ''}`}</Quiet>
          </View>
          <Link href={`/students/${id}/edit`} className="min-h-[48px] px-2 py-3">
            <Body tone="lagoon" className="font-semibold underline">
              {messages.edit}
            </Body>
          </Link>
        </View>
        <PainToAsk student={student} />
        <Cautions student={student} />
        <LessonButtons student={student} />
        <LastJudgement records={records} speech={speech} />
        <HeldCard studentId={student.id} records={records} speech={speech} />
        <ShotsCard studentId={student.id} />
        <KnownCard student={student} />
        <TurnCard student={student} records={records} speech={speech} />
        <LadderCard studentId={student.id} speech={speech} />
        <PainLog ticks={student.pain} />
        <View>
          <Heading>{messages.log}</Heading>
          {logged.length === 0 && <Body className="py-3">{messages.nothingRecordedYetALesson}</Body>}
          {logged.map((each) =>
            'reading' in each ? (
              <LogCard
                key={each.reading.id}
                record={each}
                intake={intakes.get(each.reading.lessonId) ?? null}
                speech={speech}
              />
            ) : (
              <TrialCard key={each.entry.id} trial={each} />
            ),
          )}
        </View>
        <Link href={`/students/${id}/shots`} className="min-h-[48px] py-3">
          <Body tone="lagoon" className="font-semibold underline">
            {messages.shotsFromAFile}
          </Body>
        </Link>
        <Link href={`/students/${id}/privacy`} className="min-h-[48px] py-3">
          <Body tone="lagoon" className="font-semibold underline">
            {messages.dataAndConsent}
          </Body>
        </Link>
        <View className="gap-1">
          <Heading>{messages.build}</Heading>
          <BuildTable student={student} />
        </View>
      </View>
    </ScrollView>
  );
}
