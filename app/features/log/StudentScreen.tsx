import { BUILD_FIGURES, NOT_MEDICAL_ADVICE, cautionsFor, type BuildFigureName } from '@pedastance/core/body';
import type { Student } from '@pedastance/contract';
import { Link, router, useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { draftsOf, useDrafts } from '../../state/drafts';
import { usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { useWide } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { BackTo } from '../../ui/Page';
import { Body, Heading, Quiet, Title } from '../../ui/Words';
import { startLesson } from '../lesson/startLesson';
import { Waiting } from '../shell/Shell';
import { ageOf, buildFigure, day, inShort } from '../students/format';
import { LogCard } from './LogCard';
import { TrialCard } from '../trial/TrialCard';
import { trialsOf, type Trial } from '../trial/trials';
import type { LogRecord } from './records';
import { useSpeech } from './sentences';
import { TurnCard } from './TurnCard';
import { useStudentLog } from './useStudentLog';

export const BUILD_LABELS: Record<BuildFigureName, string> = {
  height: 'Height',
  shoulderBreadth: 'Shoulders, outer',
  hipBreadth: 'Hips',
  shoeLength: 'Sole length',
  shoeBreadth: 'Sole breadth',
};

/** The newest build, each figure with how it was come by. */
export function BuildTable({ student }: { student: Pick<Student, 'build'> }) {
  const length = usePreferences((state) => state.length);
  if (!student.build) return <Body>No build yet. The bands that go by the body need one.</Body>;
  const { figures, madeAt } = student.build;
  return (
    <View>
      {BUILD_FIGURES.map((name) => (
        <View key={name} className="flex-row items-baseline justify-between gap-2 border-b border-grid py-2">
          <Body className="flex-1">{BUILD_LABELS[name]}</Body>
          <Body className="figures font-semibold">{buildFigure(figures[name], length)}</Body>
          <Quiet className="w-20 text-right">
            {figures[name].source === 'measured' ? '■ measured' : '□ estimated'}
          </Quiet>
        </View>
      ))}
      <Quiet className="pt-1">{`Taken ${day(madeAt)}`}</Quiet>
    </View>
  );
}

export function Cautions({ student }: { student: Student }) {
  const cautions = cautionsFor(student.cautions, ageOf(student, new Date()));
  if (student.cautions === '' && cautions.length === 0) return null;
  return (
    <Notice kind="caution">
      {student.cautions !== '' && <Body className="font-semibold">{student.cautions}</Body>}
      {cautions.map(({ caution, notSuggested, instead, deferTo }) => (
        <View key={caution} className="gap-0.5 pb-1">
          <Body>{caution}</Body>
          <Quiet tone="ink">{`Not suggested: ${notSuggested} Instead: ${instead}`}</Quiet>
          <Quiet>{deferTo}</Quiet>
        </View>
      ))}
      <Quiet>{NOT_MEDICAL_ADVICE}</Quiet>
    </Notice>
  );
}

function LessonButtons({ student }: { student: Student }) {
  const drafts = useDrafts((state) => state.drafts);
  const open = draftsOf(drafts, student.id)[0];
  const start = async () => router.push(`/lessons/${await startLesson(student.id, 'who')}`);
  if (!open) return <Button words="Start a lesson" onPress={() => void start()} />;
  return (
    <View className="gap-1">
      <Button words="Go on with the lesson" onPress={() => router.push(`/lessons/${open.id}`)} />
      <Quiet>{`In progress since ${day(open.startedAt)}, kept on this device.`}</Quiet>
    </View>
  );
}

export function StudentScreen() {
  const { student: id } = useLocalSearchParams<{ student: string }>();
  const { student, records, loaded } = useStudentLog(id);
  const speech = useSpeech(student?.hand ?? 'right');
  const wide = useWide();
  const entries = useRecords((state) => state.entries);
  const logged = useMemo(() => {
    const trials = trialsOf(Object.values(entries), id);
    const when = (each: LogRecord | Trial) => ('reading' in each ? each.reading : each.entry).madeAt;
    return [...records, ...trials].sort((a, b) => when(b).localeCompare(when(a)));
  }, [records, entries, id]);

  if (!student) return <Waiting words={loaded ? 'This student is not on this device.' : undefined} />;
  return (
    <ScrollView
      className="flex-1 bg-paper"
      contentContainerClassName="p-4 pb-12"
      tabIndex={0}
      aria-label={`Page of ${student.name}`}
    >
      <View role="main" className="w-full max-w-3xl gap-4">
        <View className="flex-row items-start gap-1">
          {!wide && <BackTo label="Back to the students" href="/students" />}
          <View className="flex-1">
            <Title>{student.name}</Title>
            <Quiet>{inShort(student, new Date())}</Quiet>
          </View>
          <Link href={`/students/${id}/edit`} className="min-h-[48px] px-2 py-3">
            <Body tone="lagoon" className="font-semibold underline">
              Edit
            </Body>
          </Link>
        </View>
        <Cautions student={student} />
        <LessonButtons student={student} />
        <TurnCard student={student} records={records} speech={speech} />
        <View>
          <Heading>Log</Heading>
          {logged.length === 0 && (
            <Body className="py-3">
              Nothing recorded yet. A lesson ends with a record: the address, what was read in it, and what
              you agreed to change.
            </Body>
          )}
          {logged.map((each) =>
            'reading' in each ? (
              <LogCard key={each.reading.id} record={each} speech={speech} />
            ) : (
              <TrialCard key={each.entry.id} trial={each} />
            ),
          )}
        </View>
        <Link href={`/students/${id}/shots`} className="min-h-[48px] py-3">
          <Body tone="lagoon" className="font-semibold underline">
            Shots from a file, or to one
          </Body>
        </Link>
        <View className="gap-1">
          <Heading>Build</Heading>
          <BuildTable student={student} />
        </View>
      </View>
    </ScrollView>
  );
}
