import type { CardEntry, LogEntry, Student } from '@pedastance/contract';
import { clubAndShot } from '@pedastance/core/club';
import { exaggeratedDose } from '@pedastance/core/card';
import { cautionsOf } from '@pedastance/core/body';
import { isMinor } from '@pedastance/core/body/person';
import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  cardOf,
  composedDraft,
  draftOf,
  drillsFor,
  isAgreed,
  proposedCard,
  type AgreedRecord,
  type CardDraft,
} from '../../domain/cardDraft';
import type { LogRecord } from '../../domain/records';
import { dayOf } from '../../domain/students';
import { usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { useSpeech } from '../../state/useSpeech';
import { useStudentLog } from '../../state/useStudentLog';
import { keepCard } from '../../state/writes/card';
import { Button } from '../../ui/Button';
import { useWide } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { StudentPage } from '../../ui/Page';
import { Waiting } from '../../ui/Waiting';
import { Body, Heading } from '../../ui/Words';
import { CardPlan } from './CardPlan';
import { CardView } from './CardView';
import { SendCard } from './SendCard';
import { messages } from './CardScreen.messages';

const MOST_FITTING = 5;

interface CardOfRecordProps {
  record: AgreedRecord;
  records: readonly LogRecord[];
  student: Student;
  entries: readonly LogEntry[];
}

const same = (a: CardDraft, b: CardEntry | null): boolean =>
  b !== null && JSON.stringify(a) === JSON.stringify(draftOf(b));

/** A card on its way to being kept: what is decided, what it reads as, and where it goes. */
function CardOfRecord({ record, records, student, entries }: CardOfRecordProps) {
  const wide = useWide();
  const speech = useSpeech(student.hand);
  const length = usePreferences((state) => state.length);
  const today = dayOf(new Date());
  const kept = cardOf(entries, record);
  const [draft, setDraft] = useState<CardDraft>(() =>
    kept ? draftOf(kept) : proposedCard({ record, records, student, entries, today }),
  );
  const [wholeBag, setWholeBag] = useState(false);
  const [fault, setFault] = useState('');
  const further = useMemo(() => {
    const cautions = cautionsOf(student.facts, student.hand, isMinor(student, today));
    return exaggeratedDose(record.address.setup, record.agreed.setup, cautions);
  }, [student, record, today]);
  const fitting = useMemo(
    () => drillsFor({ record, student, entries, today }, MOST_FITTING),
    [record, student, entries, today],
  );
  const card = useMemo(
    () => composedDraft(draft, { record, student, entries }, { wholeBag, length, today }),
    [draft, record, student, entries, wholeBag, length, today],
  );
  const isKept = same(draft, kept);
  const keep = () =>
    keepCard(draft, record, student, kept).then(
      () => setFault(''),
      (error: Error) => setFault(messages.notKept(error.message)),
    );
  return (
    <View className={wide ? 'flex-row gap-6' : 'gap-5'}>
      <View className={wide ? 'flex-1 gap-2' : 'gap-2'}>
        <Heading>{messages.asStudentSees}</Heading>
        <View className="border border-grid">{card && <CardView card={card} />}</View>
      </View>
      <View className={wide ? 'flex-1 gap-5' : 'gap-5'}>
        <Heading>{messages.decide}</Heading>
        <CardPlan
          draft={draft}
          onChange={(change) => setDraft({ ...draft, ...change })}
          further={further}
          fitting={fitting}
          speech={speech}
          today={today}
        />
        {fault !== '' && <Notice kind="trouble">{fault}</Notice>}
        {isKept ? (
          <Notice kind="good">{messages.kept}</Notice>
        ) : (
          <Button words={kept ? messages.keepAnew : messages.keep} onPress={() => void keep()} />
        )}
        {card && kept && isKept ? (
          <SendCard
            student={student}
            card={card}
            entry={kept}
            wholeBag={wholeBag}
            onWholeBag={setWholeBag}
            length={length}
          />
        ) : (
          <Body>{messages.keepFirst}</Body>
        )}
      </View>
    </View>
  );
}

/** The card of what a record agreed on: made, sent, and what came of it. */
export function CardScreen() {
  const { student: id, reading } = useLocalSearchParams<{ student: string; reading: string }>();
  const { student, records, loaded } = useStudentLog(id);
  const all = useRecords((state) => state.entries);
  const entries = useMemo(() => Object.values(all), [all]);
  const record = records.find((each) => each.reading.id === reading);
  if (!student || !record) return <Waiting words={loaded ? messages.thisCard : undefined} />;
  const { club, shot } = record.address;
  return (
    <StudentPage
      student={student}
      label={messages.page(student.name)}
      title={messages.title}
      under={messages.under(student.name, clubAndShot(club, shot))}
    >
      {isAgreed(record) ? (
        <CardOfRecord
          key={record.change.id}
          record={record}
          records={records}
          student={student}
          entries={entries}
        />
      ) : (
        <Body>{messages.nothingAgreed}</Body>
      )}
    </StudentPage>
  );
}
