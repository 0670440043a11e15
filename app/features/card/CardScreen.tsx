import type { CardEntry, LogEntry, Student } from '@pedastance/contract';
import { isMinor } from '@pedastance/core/body';
import { clubAndShot } from '@pedastance/core/club';
import { drillsFor, proposeCard, type CardDraft } from '@pedastance/core/card';
import { dequal } from 'dequal/lite';
import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  agreementOf,
  cardOf,
  composedDraft,
  draftOf,
  isAgreed,
  type AgreedRecord,
} from '../../domain/cardDraft';
import type { LogRecord } from '@pedastance/contract/records';
import { dayOf } from '../../domain/students';
import { useDrills, useOwnLadders } from '../../state/ownThings';
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
import { PainToAsk } from '../../cards/PainToAsk';
import { CardLinks } from './CardLinks';
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

const same = (a: CardDraft, b: CardEntry | null): boolean => b !== null && dequal(a, draftOf(b));

/** A card on its way to being kept: what is decided, what it reads as, and where it goes. */
function CardOfRecord({ record, records, student, entries }: CardOfRecordProps) {
  const wide = useWide();
  const speech = useSpeech(student.hand);
  const length = usePreferences((state) => state.length);
  const today = dayOf(new Date());
  const kept = cardOf(entries, record);
  const methods = useRecords((state) => state.methods);
  const agreement = useMemo(
    () => agreementOf({ record, records, student, entries, methods, today }),
    [record, records, student, entries, methods, today],
  );
  const drills = useDrills();
  const owns = useOwnLadders();
  const minor = isMinor(student, today);
  const ladders = useMemo(() => owns.filter(({ minors }) => minors || !minor), [owns, minor]);
  const proposed = useMemo(() => proposeCard(agreement, drills), [agreement, drills]);
  const [draft, setDraft] = useState<CardDraft>(() => (kept ? draftOf(kept) : proposed));
  const [wholeBag, setWholeBag] = useState(false);
  const [fault, setFault] = useState('');
  const fitting = useMemo(() => drillsFor(agreement, drills, MOST_FITTING), [agreement, drills]);
  const card = useMemo(
    () => composedDraft(draft, { record, student, entries }, { wholeBag, length, today }),
    [draft, record, student, entries, wholeBag, length, today],
  );
  const isKept = same(draft, kept);
  const keep = async () => {
    if (kept && isKept) return kept.id;
    try {
      setFault('');
      return await keepCard(draft, record, student, kept);
    } catch (error) {
      setFault(messages.notKept((error as Error).message));
      throw error;
    }
  };
  const sending = card && (
    <SendCard
      student={student}
      card={card}
      nextLook={draft.nextLook}
      keep={keep}
      wholeBag={wholeBag}
      onWholeBag={setWholeBag}
      length={length}
      shoe={record.address.setup.address.shoe}
    />
  );
  const shown = (
    <View className="gap-2">
      <Heading>{messages.asStudentSees}</Heading>
      <View className="border border-grid">{card && <CardView card={card} />}</View>
    </View>
  );
  const decided = (
    <View className="gap-5">
      <Heading>{messages.decide}</Heading>
      <CardPlan
        draft={draft}
        onChange={(change) => setDraft({ ...draft, ...change })}
        further={proposed.further}
        fitting={fitting}
        ladders={ladders}
        speech={speech}
        today={today}
      />
      {fault !== '' && <Notice kind="trouble">{fault}</Notice>}
      {isKept ? (
        <Notice kind="good">{messages.kept}</Notice>
      ) : (
        <Button
          look="plain"
          words={kept ? messages.keepAnew : messages.keep}
          onPress={() => void keep().catch(() => undefined)}
        />
      )}
      <PainToAsk student={student} />
      <CardLinks studentId={student.id} speech={speech} />
    </View>
  );
  if (!wide)
    return (
      <View className="gap-5">
        {sending}
        {shown}
        {decided}
      </View>
    );
  return (
    <View className="flex-row gap-6">
      <View className="flex-1">{shown}</View>
      <View className="flex-1 gap-5">
        {sending}
        {decided}
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
