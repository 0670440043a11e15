import type { Student } from '@pedastance/contract';
import { folded, searchText } from '@pedastance/contract/search';
import { Link, router, usePathname } from 'expo-router';
import PlusIcon from 'lucide-react-native/icons/plus';
import BookIcon from 'lucide-react-native/icons/book-open';
import SettingsIcon from 'lucide-react-native/icons/settings';
import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, TextInput, View } from 'react-native';
import { currentOwner, useAccount, useMadeUp } from '../../state/account';
import { useDrafts } from '../../state/drafts';
import { erasedRead, searchStudents, useRecords } from '../../state/records';
import { Button, IconButton } from '../../ui/Button';
import { INK, ON_LAGOON } from '../../ui/colours';
import { useWide } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Body, Quiet, Title } from '../../ui/Words';
import { day, inShort } from '../../domain/students';
import { common } from '../../domain/common.messages';
import { messages } from './StudentList.messages';
import { Today } from './Today';

/** More rows than this are not drawn at once: a few letters of the name find anybody. */
const MOST_SHOWN = 40;

/** Rows drawn at first, and more of them at a time after that, so that no device stands still over a long list. */
const FIRST_SHOWN = 12;
const MORE_AT_ONCE = 7;
const MORE_AFTER_MS = 60;

/** How many rows to draw now: a screenful first, and the rest little by little. */
function useRowsShown(found: number): number {
  const [rows, setRows] = useState(FIRST_SHOWN);
  const wanted = Math.min(found, MOST_SHOWN);
  useEffect(() => {
    if (rows >= wanted) return;
    const timer = setTimeout(() => setRows(rows + MORE_AT_ONCE), MORE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [rows, wanted]);
  return Math.min(rows, wanted);
}

const byName = new Intl.Collator().compare;

/** A student's text to search in, folded once for each state of the student. */
const texts = new WeakMap<Student, string>();
function textOf(student: Student): string {
  const known = texts.get(student) ?? folded(searchText(student));
  texts.set(student, known);
  return known;
}

/** The students whose name, hand or caution has every word that was typed. */
export function matching(students: readonly Student[], typed: string): Student[] {
  const words = folded(typed).split(/\s+/).filter(Boolean);
  return students
    .filter((student) => words.every((word) => textOf(student).includes(word)))
    .sort((a, b) => byName(a.name, b.name));
}

/** One letter finds too many to be worth asking for. */
const SEARCH_FROM_LETTERS = 2;
/** Between the last letter typed and the question to the server. */
const SEARCH_AFTER_MS = 250;

/** Looks on the server for what is typed, where not all students are on this device. */
function useSearch(typed: string): void {
  const complete = useRecords((state) => state.complete);
  useEffect(() => {
    const owner = currentOwner();
    if (complete || !owner || typed.trim().length < SEARCH_FROM_LETTERS) return;
    const timer = setTimeout(() => void searchStudents(owner, typed), SEARCH_AFTER_MS);
    return () => clearTimeout(timer);
  }, [typed, complete]);
}

interface RowProps {
  student: Student;
  chosen: boolean;
  inLesson: boolean;
}

const Row = memo(function Row({ student, chosen, inLesson }: RowProps) {
  return (
    <Link
      href={`/students/${student.id}`}
      testID="student-row"
      className={`border-b border-grid px-4 py-3 ${chosen ? 'bg-grid' : ''}`}
    >
      <View className="min-h-[36px] flex-1 gap-0.5">
        <Body className="text-lg font-semibold">{student.name}</Body>
        <Quiet tone={chosen ? 'ink' : 'pencil'}>
          {inShort(student, new Date())}
          {student.lastEntryAt ? messages.lastLesson(day(student.lastEntryAt)) : messages.noLessonYet}
          {inLesson ? messages.lessonInProgress : ''}
        </Quiet>
        {student.cautions !== '' && <Quiet tone="ink">{`! ${student.cautions}`}</Quiet>}
      </View>
    </Link>
  );
});

function Empty({
  typed,
  any,
  loaded,
  away,
}: {
  typed: string;
  any: boolean;
  loaded: boolean;
  away: boolean;
}) {
  if (!loaded) return <Body className="p-5">{messages.lookingForYourStudents}</Body>;
  if (any) return <Body className="p-5">{messages.noStudentMatches(typed)}</Body>;
  if (away) {
    return <Body className="p-5">{messages.yourStudents}</Body>;
  }
  return (
    <View className="gap-2 p-5">
      <Body className="font-semibold">{messages.noStudentsYet}</Body>
      <Body>{messages.addTheFirstAName}</Body>
      <Button look="plain" words={messages.fromAList} onPress={() => router.push('/data')} />
    </View>
  );
}

/** What went from this device, and why. */
function Told() {
  const erased = useRecords((state) => state.erased);
  const ended = useRecords((state) => state.copiesEnded);
  return (
    <>
      {erased.length > 0 && (
        <Notice kind="caution" live>
          <Body>{messages.erased(erased.filter(Boolean).join(', '))}</Body>
          <View className="flex-row pt-2">
            <Button look="plain" words={messages.read} onPress={erasedRead} />
          </View>
        </Notice>
      )}
      {ended && <Notice kind="caution">{messages.copiesEnded}</Notice>}
    </>
  );
}

export function StudentList() {
  const students = useRecords((state) => state.students);
  const loaded = useRecords((state) => state.loaded);
  const away = useRecords((state) => state.serverAway);
  const drafts = useDrafts((state) => state.drafts);
  const academy = useAccount((state) => state.identity?.academyName ?? '');
  const madeUp = useMadeUp();
  const [typed, setTyped] = useState('');
  const search = useRef<TextInput>(null);
  const path = usePathname();
  const complete = useRecords((state) => state.complete);
  const wide = useWide();
  // What is typed shows at once; the list follows it.
  const looked = useDeferredValue(typed);
  const all = useMemo(() => Object.values(students), [students]);
  const known = all.length > 0;
  const found = useMemo(() => matching(all, looked), [all, looked]);
  useSearch(typed);
  const rows = useRowsShown(found.length);
  const inLesson = useMemo(() => new Set(Object.values(drafts).map((draft) => draft.studentId)), [drafts]);

  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (
        event.key !== '/' ||
        event.target instanceof HTMLInputElement ||
        event.target instanceof HTMLTextAreaElement
      )
        return;
      event.preventDefault();
      search.current?.focus();
    };
    addEventListener('keydown', pressed);
    return () => removeEventListener('keydown', pressed);
  }, []);

  return (
    <View role="navigation" aria-label={messages.students} className="h-full bg-paper">
      <View className="flex-row items-center justify-between pl-4 pr-2 pt-3">
        <View className="flex-1">
          <Quiet>{`${academy}${madeUp ? common.madeUpStudents : ''}`}</Quiet>
          <Title>{messages.students}</Title>
        </View>
        <IconButton
          label={messages.houseMethods}
          icon={<BookIcon color={INK} size={22} />}
          onPress={() => router.push('/methods')}
        />
        <IconButton
          label={messages.settingsAndSignOut}
          icon={<SettingsIcon color={INK} size={22} />}
          onPress={() => router.push('/settings')}
        />
      </View>
      <View className="px-4 py-2">
        <TextInput
          ref={search}
          aria-label={messages.searchStudents}
          placeholder={messages.searchByNameHand}
          value={typed}
          onChangeText={setTyped}
          inputMode="search"
          className="h-12 rounded-md border border-ink bg-sheet px-3 font-text text-lg text-ink placeholder:text-pencil"
        />
      </View>
      <ScrollView className="flex-1" tabIndex={0} aria-label={messages.listOfStudents}>
        <Told />
        {looked === '' && !wide && known && <Today most={3} />}
        {found.length === 0 && <Empty typed={typed} any={known} loaded={loaded} away={away} />}
        {found.slice(0, rows).map((student) => (
          <Row
            key={student.id}
            student={student}
            chosen={path.startsWith(`/students/${student.id}`)}
            inLesson={inLesson.has(student.id)}
          />
        ))}
        {found.length > MOST_SHOWN && (
          <Quiet className="p-4">{messages.moreTypeAFewLetters(found.length - MOST_SHOWN)}</Quiet>
        )}
        {!complete && (
          <Quiet className="p-4">
            {away ? messages.theStudentsYouTaughtLast : messages.theStudentsYouTaughtLast2}
          </Quiet>
        )}
      </ScrollView>
      <View className="border-t border-grid p-3">
        <Button
          words={messages.addAStudent}
          icon={<PlusIcon color={ON_LAGOON} size={20} />}
          onPress={() => router.push('/students/new')}
        />
      </View>
    </View>
  );
}
