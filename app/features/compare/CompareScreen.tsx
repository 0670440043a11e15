import { clubAndShot } from '@pedastance/core/club';
import type { Student } from '@pedastance/contract';
import { bodyWith } from '@pedastance/core/turn';
import { asPlayed, type HouseMethod } from '@pedastance/core/method';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../../state/drafts';
import { newestScreen, useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { StudentPage } from '../../ui/Page';
import { Body } from '../../ui/Words';
import { useHouseMethods } from '../../state/useHouseMethods';
import { intakesOf } from '../../domain/intake';
import type { LogRecord } from '@pedastance/contract/records';
import { useStudentLog } from '../../state/useStudentLog';
import { PRESET_METHODS } from '../../state/useVersions';
import { day } from '../../domain/students';
import { SideBySide } from './SideBySide';
import { WholeBag } from './WholeBag';
import { Waiting } from '../../ui/Waiting';
import type { Feet } from './feet';
import { common } from '../../domain/common.messages';
import { messages } from './CompareScreen.messages';

/** The feet of a lesson in progress, of a record, or of the newest record there is. */
function useFeet(records: readonly LogRecord[]): Feet | null {
  const { lesson: lessonId, reading: readingId } = useLocalSearchParams<{
    lesson?: string;
    reading?: string;
  }>();
  const draft = useDrafts((state) => (lessonId ? state.drafts[lessonId] : undefined));
  const entries = useRecords((state) => state.entries);
  return useMemo(() => {
    if (draft?.setup && draft.club) {
      const { club, shot, clubLengthInches, setup, intake } = draft;
      const { cameFor } = intake;
      return { setup, played: { club, shot, clubLengthInches }, cameFor, from: 'the lesson in progress' };
    }
    const record = records.find(({ reading }) => reading.id === readingId) ?? records[0];
    if (!record) return null;
    const { club, shot, clubLengthInches, setup, madeAt, lessonId: ofLesson, studentId } = record.address;
    const cameFor = intakesOf(Object.values(entries), studentId).get(ofLesson)?.cameFor ?? [];
    const played = { club, shot, clubLengthInches };
    return { setup, played, cameFor, from: messages.theRecord(day(madeAt)) };
  }, [draft, records, readingId, entries]);
}

/** The academy's own methods first, then the schools that it has not taken as they are. */
function useAllMethods(): HouseMethod[] {
  const own = useHouseMethods();
  return useMemo(() => {
    const names = new Set(own.map(({ name }) => name));
    return [...own, ...PRESET_METHODS.filter(({ name }) => !names.has(name))];
  }, [own]);
}

type View_ = 'methods' | 'bag';

function Comparing({ student, feet }: { student: Student; feet: Feet | null }) {
  const [view, setView] = useState<View_>(feet ? 'methods' : 'bag');
  const methods = useAllMethods();
  const screens = useRecords((state) => state.screens);
  const body = useMemo(
    () => student.build && bodyWith(student.build.figures, newestScreen(screens, student.id), student.hand),
    [student, screens],
  );
  if (!body) {
    return <Body>{messages.hasNoBuildYet(student.name)}</Body>;
  }
  return (
    <>
      <Choice
        label={messages.show}
        options={[
          { value: 'methods', words: messages.sideBySide, disabled: !feet },
          { value: 'bag', words: messages.wholeBag },
        ]}
        value={view}
        onChange={setView}
      />
      {view === 'methods' && feet ? (
        <SideBySide student={student} body={body} feet={feet} methods={methods} />
      ) : (
        <WholeBag
          student={student}
          body={body}
          methods={methods}
          played={feet?.played ?? asPlayed({ club: '7-iron', shot: 'full' })}
        />
      )}
    </>
  );
}

/** One student's feet against several methods, and one method through the whole bag. */
export function CompareScreen() {
  const { student: id } = useLocalSearchParams<{ student: string }>();
  const { student, records, loaded } = useStudentLog(id);
  const methodsLoaded = useRecords((state) => state.loaded);
  const feet = useFeet(records);
  if (!student || !methodsLoaded) return <Waiting words={loaded ? common.studentNotHere : undefined} />;
  return (
    <StudentPage
      student={student}
      label={messages.methodsOnTheFeet(student.name)}
      title={messages.methodsSideBySide}
      under={
        feet
          ? `${student.name} · ${clubAndShot(feet.played.club, feet.played.shot)} · ${feet.from}`
          : messages.noFeetRecordedYet(student.name)
      }
    >
      <Comparing student={student} feet={feet} />
      <View className="flex-row">
        <Button look="quiet" words={messages.allHouseMethods} onPress={() => router.push('/methods')} />
      </View>
    </StudentPage>
  );
}
