import type { About } from '@pedastance/contract';
import { Link } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { shortDay } from '../../domain/students';
import { currentOwner } from '../../state/account';
import { useDrafts } from '../../state/drafts';
import { useOutbox } from '../../state/outbox';
import { useRecords } from '../../state/records';
import { openToday, useToday } from '../../state/today';
import { Button } from '../../ui/Button';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './TodayPage.messages';

interface Row {
  key: string;
  href: string;
  name: string;
  words: string;
}

interface Section {
  heading: string;
  rows: Row[];
}

const ofStudent = ({ studentId, name }: About, words: string, key = studentId): Row => ({
  key,
  href: `/students/${studentId}`,
  name,
  words,
});

/** What the records of the server say is to be done. */
function useTold(): Record<
  'hurts' | 'acts' | 'consents' | 'trials' | 'drifted' | 'due' | 'outgrown',
  Row[]
> | null {
  const today = useToday((state) => state.today);
  return useMemo(() => {
    if (!today) return null;
    return {
      hurts: (today.hurts ?? []).map((each) => ofStudent(each, messages.hurtsRow(shortDay(each.on)))),
      acts: today.acts
        ? [{ key: 'acts', href: '/academy?acts', name: messages.acts(today.acts), words: messages.haveALook }]
        : [],
      consents: today.consents.map((each) => ({
        ...ofStudent(each, messages.noConsent),
        href: `/students/${each.studentId}/privacy`,
      })),
      trials: today.trials.map((each) => ({
        ...ofStudent(each, messages.trial(shortDay(each.declaredAt)), each.trialId),
        href: `/students/${each.studentId}/trial/${each.trialId}`,
      })),
      drifted: today.drifted.map((each) => {
        const { club, studentId } = each;
        const figures = each.figures.join(', ').toLowerCase();
        return ofStudent(each, messages.driftedRow(club, figures), `${studentId} ${club}`);
      }),
      due: today.due.map((each) => {
        const { club, studentId, agreedAt } = each;
        return ofStudent(each, messages.dueRow(club, shortDay(agreedAt)), `${studentId} ${club}`);
      }),
      outgrown: today.outgrown.map((each) => ofStudent(each, messages.outgrownRow)),
    };
  }, [today]);
}

/** What this device itself knows: lessons in progress, and what is not sent. */
function useHere(): { lessons: Row[]; refused: Row[]; unsent: Row[] } {
  const drafts = useDrafts((state) => state.drafts);
  const queue = useOutbox((state) => state.queue);
  const students = useRecords((state) => state.students);
  return useMemo(() => {
    const lessons = Object.values(drafts).flatMap(({ id, studentId, startedAt }): Row[] => {
      const student = students[studentId];
      const words = messages.lesson(shortDay(startedAt));
      return student ? [{ key: id, href: `/lessons/${id}`, name: student.name, words }] : [];
    });
    const refused = queue.filter(({ refusal }) => refusal).length;
    const waiting = queue.length - refused;
    const outbox = (name: string, words: string): Row => ({ key: words, href: '/outbox', name, words });
    return {
      lessons,
      refused: refused > 0 ? [outbox(messages.refused(refused), messages.haveALook)] : [],
      unsent: waiting > 0 ? [outbox(messages.unsentRow(waiting), messages.goesBySelf)] : [],
    };
  }, [drafts, queue, students]);
}

/** The day's sections that have anything, the most pressing first. */
function useSections(): Section[] {
  const told = useTold();
  const here = useHere();
  const sections: Section[] = [
    { heading: messages.lessons, rows: here.lessons },
    { heading: messages.hurts, rows: told?.hurts ?? [] },
    {
      heading: messages.decisions,
      rows: [...here.refused, ...(told?.acts ?? []), ...(told?.consents ?? [])],
    },
    { heading: messages.trials, rows: told?.trials ?? [] },
    { heading: messages.drifted, rows: told?.drifted ?? [] },
    { heading: messages.due, rows: told?.due ?? [] },
    { heading: messages.outgrown, rows: told?.outgrown ?? [] },
    { heading: messages.unsent, rows: here.unsent },
  ];
  return sections.filter(({ rows }) => rows.length > 0);
}

/** The first rows over all sections; all of them where `most` is null. */
function firstOf(sections: readonly Section[], most: number | null): Section[] {
  let left = most ?? Infinity;
  return sections.flatMap(({ heading, rows }) => {
    const shown = rows.slice(0, left);
    left -= shown.length;
    return shown.length > 0 ? [{ heading, rows: shown }] : [];
  });
}

const count = (sections: readonly Section[]): number =>
  sections.reduce((sum, { rows }) => sum + rows.length, 0);

/** What three rows under three headings take, with the button for the others. */
const ROOM = 'min-h-[375px]';

/** The coach's day: what is begun, what waits for a word, what is due. `most` rows at first, or all. */
export function Today({ most }: { most: number | null }) {
  const sections = useSections();
  const allSent = useOutbox(({ queue }) => queue.length === 0);
  // The day is asked for again whenever the coach comes back to it, and once what waited has arrived: it may change the day.
  useEffect(() => {
    const owner = currentOwner();
    if (owner) void openToday(owner);
  }, [allSent]);
  const [all, setAll] = useState(false);
  const shown = firstOf(sections, all ? null : most);
  const left = count(sections) - count(shown);
  const told = useToday((state) => state.today !== null);
  // Above a list the day has its room before it is told: a row must not move away under a thumb.
  const [hasRoom] = useState(most !== null && (!told || sections.length > 0));
  if (sections.length === 0 && !hasRoom) return most === null ? <Body>{messages.nothing}</Body> : null;
  return (
    <View
      testID="today"
      role="region"
      aria-label={messages.today}
      className={
        most === null ? 'gap-4' : `gap-2 border-b border-ink bg-sheet px-4 py-3 ${hasRoom ? ROOM : ''}`
      }
    >
      {most !== null && <Heading>{messages.today}</Heading>}
      {sections.length === 0 && <Quiet>{told ? messages.nothing : messages.looking}</Quiet>}
      {shown.map(({ heading, rows }) => (
        <View key={heading}>
          <Quiet>{heading}</Quiet>
          {rows.map(({ key, href, name, words }) => (
            <Link key={key} href={href as never} className="border-b border-grid py-2">
              <View className="min-h-[36px] flex-1">
                <Body className="font-semibold">{name}</Body>
                <Quiet tone="ink">{words}</Quiet>
              </View>
            </Link>
          ))}
        </View>
      ))}
      {left > 0 && <Button look="quiet" words={messages.more(left)} onPress={() => setAll(true)} />}
    </View>
  );
}
