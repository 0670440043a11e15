import { clubAndShot } from '@pedastance/core/club';
import { saidFigure, type Speech } from '@pedastance/core/phrases';
import { Link } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { CourseChart } from '../../cards/CourseChart';
import { HeldLines } from '../../cards/HeldLines';
import { agreedWith } from '@pedastance/contract/agreed';
import {
  agreementsOf,
  coursesOf,
  leastSpan,
  type Agreement,
  type LoggedAgreements,
} from '@pedastance/contract/agreements';
import type { LogRecord } from '@pedastance/contract/records';
import { figureName } from '../../domain/sentences';
import { shortDay } from '../../domain/students';
import { useRecords } from '../../state/records';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './HeldCard.messages';

function AgreementRow({ agreement, speech }: { agreement: Agreement; speech: Speech }) {
  const { club, shot, agreedAt, held, studentId, readingId } = agreement;
  const seen = held.some(({ verdict }) => verdict !== 'not measured');
  return (
    <View className="flex-row gap-3 border-b border-grid py-2">
      <View className="w-[104px]">
        <Body className="font-semibold">{clubAndShot(club, shot)}</Body>
        <Quiet>{shortDay(agreedAt)}</Quiet>
        <Link
          href={`/students/${studentId}/card/${readingId}`}
          className="min-h-[48px] py-3"
          aria-label={messages.cardOf(clubAndShot(club, shot))}
        >
          <Body tone="lagoon" className="font-semibold underline">
            {messages.card}
          </Body>
        </Link>
      </View>
      <View className="flex-1">
        {seen ? <HeldLines held={held} speech={speech} /> : <Quiet>{messages.notMeasuredSince}</Quiet>}
      </View>
    </View>
  );
}

interface Held {
  studentId: string;
  records: readonly LogRecord[];
  speech: Speech;
}

/** What stands agreed with each club, whether it held, and the figures of the newest from lesson to lesson. */
export function HeldCard({ studentId, records, speech }: Held) {
  const entries = useRecords((state) => state.entries);
  const logged = useMemo(() => {
    const own = { entries: Object.values(entries), studentId, lessonId: null };
    const standingWith: LoggedAgreements['standingWith'] = (club, shot) =>
      agreedWith({ ...own, club, shot }).agreed;
    return { records, standingWith };
  }, [entries, studentId, records]);
  const agreements = useMemo(() => agreementsOf(logged), [logged]);
  // One club's course is enough: the newest that was measured more than once.
  const followed = useMemo(
    () =>
      agreements
        .map((agreement) => ({ agreement, courses: coursesOf(logged, agreement) }))
        .find(({ courses }) => courses.length > 0),
    [agreements, logged],
  );
  if (agreements.length === 0) return null;
  return (
    <View className="gap-2" testID="held-card">
      <Heading>{messages.agreedAndDidItHold}</Heading>
      {agreements.map((each) => (
        <AgreementRow key={`${each.club} ${each.shot}`} agreement={each} speech={speech} />
      ))}
      {followed &&
        followed.courses.map(({ figure, agreed, found }) => (
          <CourseChart
            key={figure}
            title={messages.lessonByLesson(
              clubAndShot(followed.agreement.club, followed.agreement.shot),
              figureName(figure, speech).toLowerCase(),
            )}
            points={found}
            level={{ words: messages.agreed, value: agreed }}
            leastSpan={leastSpan(figure)}
            say={(value) => saidFigure(figure, value, speech.length)}
          />
        ))}
    </View>
  );
}
