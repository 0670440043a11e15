import { clubAndShot, sameClubAndShot } from '@pedastance/core/club';
import { pathWords } from '@pedastance/core/phrases';
import { SHOT_RANGES } from '@pedastance/core/trial';
import { shotFigure, type Units } from '@pedastance/core/units';
import { useMemo } from 'react';
import { View } from 'react-native';
import { CourseChart } from '../../cards/CourseChart';
import { FOLLOWED, shotCoursesOf, type Followed, type ShotCourse } from '../../domain/shotCourses';
import { useRecords } from '../../state/records';
import { useUnits } from '../../state/useSpeech';
import { Heading } from '../../ui/Words';
import { messages } from './ShotsCard.messages';

const NAMES: Record<Followed, string> = { path: 'path', clubSpeed: 'club speed' };

const say = (figure: Followed, value: number, units: Units): string =>
  figure === 'path' ? pathWords(value) : shotFigure(value, SHOT_RANGES.clubSpeed.unit, units);

const titleOf = ({ club, shot, figure, simulated }: ShotCourse): string =>
  messages.dayByDay(clubAndShot(club, shot), NAMES[figure], simulated ? ', simulated' : '');

/** How the shots with the newest club and shot went from day to day: path and speed. */
export function ShotsCard({ studentId }: { studentId: string }) {
  const entries = useRecords((state) => state.entries);
  const units = useUnits();
  const courses = useMemo(() => {
    const all = shotCoursesOf(Object.values(entries), studentId);
    return all.filter((each) => sameClubAndShot(each, all[0]!));
  }, [entries, studentId]);
  if (courses.length === 0) return null;
  return (
    <View className="gap-2" testID="shots-card">
      <Heading>{messages.theShotsDayByDay}</Heading>
      {courses.map((course) => (
        <CourseChart
          key={course.figure}
          title={titleOf(course)}
          points={course.points}
          leastSpan={4 * FOLLOWED[course.figure].noticeable}
          say={(value) => say(course.figure, value, units)}
          {...(course.figure === 'path' && { level: { words: messages.straight, value: 0 } })}
        />
      ))}
    </View>
  );
}
