import { clubAndShot } from '@pedastance/core/club';
import type { AddressEntry, Student } from '@pedastance/contract';
import type { ReadShots } from '@pedastance/core/formats';
import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { pickShotFile, ReadShotFile, type ShotFile } from '../../cards/ShotFile';
import { useOutbox } from '../../state/outbox';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { StudentPage } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Body, Quiet } from '../../ui/Words';
import { useStudentLog } from '../../state/useStudentLog';
import { addressesIn } from '@pedastance/contract/standing';
import { shotCount } from '../../domain/trials';
import { dayAndTime } from '../../domain/students';
import { keepShots } from '../../state/writes/shots';
import { exportShots } from './exportShots';
import { TypeIn } from './TypeIn';
import { Waiting } from '../../ui/Waiting';
import { common } from '../../domain/common.messages';
import { messages } from './ShotsScreen.messages';

interface HitFromProps {
  addresses: readonly AddressEntry[];
  addressId: string;
  onChange: (id: string) => void;
}

/** Which setup the shots were hit from. */
function HitFrom({ addresses, addressId, onChange }: HitFromProps) {
  return (
    <Select
      label={messages.hitFrom}
      options={addresses.map((address) => ({
        value: address.id,
        words: `${clubAndShot(address.club, address.shot)}, ${address.standing === 'today' ? 'as stood' : 'as agreed'}, ${dayAndTime(address.madeAt)}`,
      }))}
      value={addressId}
      onChange={onChange}
    />
  );
}

interface BringInProps {
  student: Student;
  address: AddressEntry;
  read: ReadShots;
  rows: number;
  remember: () => void;
  onDone: (words: string) => void;
}

/** The word to keep what was read of a file. */
function BringIn({ student, address, read, rows, remember, onDone }: BringInProps) {
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  const bringIn = async () => {
    setBusy(true);
    try {
      const shots = read.shots.map(({ shot }) => shot);
      await keepShots(student, address, shots);
      remember();
      const left = rows - shots.length;
      onDone(messages.shotsBrought(shots.length, left > 0 ? `, ${left} rows left out` : ''));
    } catch (error) {
      setFault(messages.nothingWasKeptThisDevice((error as Error).message));
      setBusy(false);
    }
  };
  const words = read.faults.length
    ? messages.bringInTheGoodRows(read.shots.length)
    : messages.bringInShots(read.shots.length);
  return (
    <>
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <Button
        words={busy ? messages.keeping : words}
        disabled={busy || read.shots.length === 0}
        onPress={() => void bringIn()}
      />
    </>
  );
}

/** How far the sending is, while there is something to send. */
function Sending({ student }: { student: Student }) {
  const waiting = useOutbox(
    (state) => state.queue.filter((queued) => queued.subjectId === student.id).length,
  );
  const [most, setMost] = useState(0);
  if (waiting > most) setMost(waiting);
  if (waiting === 0 || most === 0) return null;
  return (
    <Quiet role="status">
      {messages.onThisDeviceSent(most - waiting, most, Math.round((100 * (most - waiting)) / most))}
    </Quiet>
  );
}

/** A student's setups, newest first, and how many shots the log has. */
function useShotLog(studentId: string) {
  const entries = useRecords((state) => state.entries);
  const addresses = useMemo(() => {
    const own = Object.values(entries).filter((entry) => entry.studentId === studentId);
    return [...addressesIn(own).values()].sort((a, b) => b.madeAt.localeCompare(a.madeAt));
  }, [entries, studentId]);
  const count = useMemo(() => shotCount(Object.values(entries), studentId), [entries, studentId]);
  return { entries, addresses, count };
}

interface BringingProps {
  student: Student;
  addresses: readonly AddressEntry[];
  /** A file that was chosen, or "typed" for shots that are typed. */
  source: ShotFile | 'typed';
  onDone: (words: string) => void;
}

function Bringing({ student, addresses, source, onDone }: BringingProps) {
  const [addressId, setAddressId] = useState(addresses[0]!.id);
  const address = addresses.find(({ id }) => id === addressId) ?? addresses[0]!;
  const from = <HitFrom addresses={addresses} addressId={address.id} onChange={setAddressId} />;
  if (source === 'typed')
    return (
      <>
        {from}
        <TypeIn student={student} address={address} onDone={onDone} />
      </>
    );
  return (
    <ReadShotFile student={student} file={source} before={from}>
      {(read, rows, remember) => <BringIn {...{ student, address, read, rows, remember, onDone }} />}
    </ReadShotFile>
  );
}

/** A student's shots typed, from a file, and to one. */
export function ShotsScreen() {
  const { student: id } = useLocalSearchParams<{ student: string }>();
  const { student, loaded } = useStudentLog(id);
  const { entries, addresses, count } = useShotLog(id);
  const [source, setSource] = useState<ShotFile | 'typed' | null>(null);
  const [done, setDone] = useState('');
  const [fault, setFault] = useState('');
  if (!student) return <Waiting words={loaded ? common.studentNotHere : undefined} />;
  const pick = async () => {
    setDone('');
    const picked = await pickShotFile();
    if (typeof picked === 'string') return setFault(picked);
    setFault('');
    if (picked) setSource(picked);
  };
  return (
    <StudentPage
      student={student}
      label={messages.shotsOf(student.name)}
      title={messages.shots}
      under={messages.shotsInTheLog(student.name, count)}
    >
      <View className="max-w-3xl gap-4">
        {addresses.length === 0 ? (
          <Body>{messages.shotsBelongToASetup}</Body>
        ) : (
          <View className="flex-row flex-wrap gap-3">
            <Button words={messages.bringInAFile} onPress={() => void pick()} />
            <Button
              look="plain"
              words={messages.typeThem}
              onPress={() => {
                setDone('');
                setSource('typed');
              }}
            />
            <Button
              look="plain"
              words={messages.saveAllAsAFile}
              disabled={count === 0}
              onPress={() => exportShots(student, Object.values(entries))}
            />
          </View>
        )}
        {fault !== '' && (
          <Notice kind="trouble" live>
            {fault}
          </Notice>
        )}
        {done !== '' && (
          <Notice kind="good" live>
            {done}
          </Notice>
        )}
        <Sending student={student} />
        {source && (
          <Bringing
            key={source === 'typed' ? source : `${source.name} ${source.text.length}`}
            student={student}
            addresses={addresses}
            source={source}
            onDone={(words) => {
              setSource(null);
              setDone(words);
            }}
          />
        )}
        <Quiet>{messages.aCommaOrSemicolonSeparated}</Quiet>
      </View>
    </StudentPage>
  );
}
