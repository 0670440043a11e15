import type { TestEntry, TestName, TestOf } from '@pedastance/contract';
import { ownBandWords } from '@pedastance/core/phrases';
import UndoIcon from 'lucide-react-native/icons/undo-2';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { newestTest, triesIn } from '../../../domain/fieldTests';
import { entryFound, testFound } from '../../../domain/fieldTestWords';
import type { OwnBand } from '../../../domain/ladders';
import { spoken } from '../../../domain/sentences';
import { day } from '../../../domain/students';
import { beginTestAnew, takeBackTry } from '../../../state/ladder';
import { lesson } from '../../../state/lesson';
import { useRecords } from '../../../state/records';
import { useSpeech } from '../../../state/useSpeech';
import { Button, IconButton } from '../../../ui/Button';
import { INK } from '../../../ui/colours';
import { Notice } from '../../../ui/Notice';
import { Body, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { messages } from './FieldTests.messages';
import { useKeep } from './useKeep';

/** What was tried of a test in the open lesson with its club. */
export function useTries<Name extends TestName>(test: Name): TestOf<Name>['tries'] {
  const tries: unknown = useStore(lesson, ({ draft }) => triesIn(draft?.tests, test, draft?.club ?? null));
  return tries as TestOf<Name>['tries'];
}

/** The newest of a test that stands in the log, of another lesson than the open one or of any. */
export function useNewestTest<Name extends TestName>(test: Name, other: boolean) {
  const { student } = useLessonContext();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const lessonId = useStore(lesson, (state) => state.draft?.id ?? '');
  const entries = useRecords((state) => state.entries);
  return newestTest(Object.values(entries), student.id, {
    test,
    club,
    notOf: other ? lessonId : undefined,
  });
}

type Contents = TestEntry extends infer Entry
  ? Entry extends TestEntry
    ? Omit<Entry, 'id' | 'lessonId' | 'madeAt' | 'replaces' | 'kind'>
    : never
  : never;

interface TestFrameProps<Name extends TestName> {
  test: Name;
  purpose: string;
  how: string;
  /** More of what it tells. */
  more?: ReactNode;
  /** The entry it is kept as. */
  contents: Contents;
  /** Bands of the student's own that it makes. */
  bands?: readonly OwnBand[];
  children: ReactNode;
}

/** A test beside the ladders: what it is for, its tries, what it found, and the log. */
export function TestFrame<Name extends TestName>(props: TestFrameProps<Name>) {
  const { test, purpose, how, more, contents, bands = [], children } = props;
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const tries = useTries(test);
  const earlier = useNewestTest(test, true);
  const today = useNewestTest(test, false);
  const lessonId = useStore(lesson, (state) => state.draft?.id ?? '');
  const { told, keep } = useKeep(tries);
  const found = testFound(contents, speech);
  const keepIt = (taken: boolean) => {
    const replaces = today?.lessonId === lessonId ? today.id : null;
    const tried = { kind: 'test' as const, replaces, ...contents };
    return keep(tried, taken ? { bands } : {}, taken ? messages.taken : messages.kept);
  };
  return (
    <View className="gap-4">
      <Body>{spoken(purpose, speech)}</Body>
      <Quiet>{spoken(how, speech)}</Quiet>
      {earlier && (
        <Quiet testID="test-earlier">
          {messages.last(day(earlier.madeAt), entryFound(earlier as TestEntry, speech))}
        </Quiet>
      )}
      {children}
      {tries.length > 0 && (
        <View className="flex-row flex-wrap items-center gap-2">
          <Quiet>{messages.tries(tries.length)}</Quiet>
          <IconButton
            label={messages.takeBack}
            icon={<UndoIcon color={INK} size={22} />}
            onPress={() => takeBackTry(test)}
          />
          <Button look="quiet" words={messages.anew} onPress={() => beginTestAnew(test)} />
        </View>
      )}
      {found !== '' && (
        <View className="gap-2" testID="test-found">
          <Body className="text-lg font-semibold">{found}</Body>
          {more}
        </View>
      )}
      {tries.length > 0 && told?.fault !== '' && (
        <View className="flex-row flex-wrap gap-2">
          {bands.length > 0 && (
            <Button
              look="plain"
              words={messages.take(bands.map((band) => ownBandWords(band, speech)).join(', '))}
              onPress={() => void keepIt(true)}
            />
          )}
          <Button
            look={bands.length > 0 ? 'quiet' : 'plain'}
            words={messages.keepIt}
            onPress={() => void keepIt(false)}
          />
        </View>
      )}
      {told && (
        <Notice kind={told.fault === '' ? 'good' : 'trouble'} live>
          {told.fault === '' ? told.words : told.fault}
        </Notice>
      )}
    </View>
  );
}
