import type { Erasure, NewConsent, Student } from '@pedastance/contract';
import { isMinor } from '@pedastance/core/body';
import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { useLocalSearchParams } from 'expo-router';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { common } from '../../domain/common.messages';
import { day, dayAndTime, dayOf, inShort } from '../../domain/students';
import { useAccount } from '../../state/account';
import { api } from '../../state/api';
import { useAsked } from '../../state/useAsked';
import { useStudentLog } from '../../state/useStudentLog';
import { noteConsent } from '../../state/writes/consent';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { saveFrom } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { StudentPage } from '../../ui/Page';
import { Waiting } from '../../ui/Waiting';
import { Body, Heading, Quiet } from '../../ui/Words';
import { DECIMAL_SIGN } from '../../domain/decimal';
import { ConfirmHere } from '../../cards/ConfirmHere';
import { messages } from './StudentPrivacyScreen.messages';

const whoSaid = (student: Student, { by, guardian }: NewConsent): string =>
  by === 'guardian' ? guardian : student.name;

function Standing({ student, minor }: { student: Student; minor: boolean }) {
  const { consent } = student;
  if (!consent) return <Notice kind="caution">{minor ? messages.noneMinor : messages.none}</Notice>;
  const who = whoSaid(student, consent);
  if (!consent.given) return <Notice kind="caution">{messages.withdrawn(who, day(consent.on))}</Notice>;
  return (
    <Body>
      {messages.given(who, day(consent.on))} {messages.said[saidOf(consent)]}
    </Body>
  );
}

type By = NewConsent['by'];

/** What is said yes to besides figures and notes. */
type Said = 'no' | 'yes' | 'shared';
const saidOf = ({ photos, sharing }: NewConsent): Said => (sharing ? 'shared' : photos ? 'yes' : 'no');

/** Notes who said yes, or that it was withdrawn; it is kept on the device at once and sent as any record. */
function Consent({ student }: { student: Student }) {
  const minor = isMinor(student, dayOf(new Date()));
  const [by, setBy] = useState<By>(minor ? 'guardian' : 'student');
  const [guardian, setGuardian] = useState('');
  const [photos, setPhotos] = useState<Said>('no');
  const [fault, setFault] = useState('');
  const mayShare = by === 'student' && !minor;
  const note = async (given: boolean) => {
    const name = by === 'guardian' ? guardian.trim() : '';
    if (by === 'guardian' && name === '') return setFault(messages.guardianExpected);
    setFault('');
    try {
      await noteConsent(student, {
        given,
        photos: given && photos !== 'no',
        sharing: given && photos === 'shared' && mayShare,
        by,
        guardian: name,
      });
    } catch (error) {
      setFault(common.notKept((error as Error).message));
    }
  };
  const who = [
    ...(minor ? [] : [{ value: 'student' as const, words: messages.student }]),
    { value: 'guardian' as const, words: messages.guardian },
  ];
  return (
    <View className="gap-3" testID="consent">
      <Heading>{messages.consent}</Heading>
      <Standing student={student} minor={minor} />
      <Choice label={messages.who} options={who} value={by} onChange={setBy} />
      {by === 'guardian' && (
        <Field label={messages.guardianName} value={guardian} onChangeText={setGuardian} autoComplete="off" />
      )}
      <Choice
        label={messages.photos}
        options={[
          { value: 'no', words: messages.withoutPhotos },
          { value: 'yes', words: messages.withPhotos },
          ...(mayShare ? [{ value: 'shared' as const, words: messages.withSharing }] : []),
        ]}
        value={photos === 'shared' && !mayShare ? 'yes' : photos}
        onChange={setPhotos}
      />
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <View className="flex-row flex-wrap gap-3">
        <Button words={messages.noteIt} onPress={() => void note(true)} />
        {student.consent?.given && (
          <Button look="plain" words={messages.withdraw} onPress={() => void note(false)} />
        )}
      </View>
    </View>
  );
}

function HandOver({ student }: { student: Student }) {
  const tables = Object.entries(messages.tables);
  return (
    <View className="gap-3" testID="hand-over">
      <Heading>{messages.handOver}</Heading>
      <Body>{messages.handOverWhy}</Body>
      <View className="flex-row flex-wrap gap-3">
        <Button
          look="plain"
          words={messages.whole}
          onPress={() => saveFrom(`/api/exports/students/${student.id}`)}
        />
        {tables.map(([table, words]) => (
          <Button
            key={table}
            look="plain"
            words={words}
            onPress={() =>
              saveFrom(`/api/exports/tables/${table}?student=${student.id}&decimal=${DECIMAL_SIGN}`)
            }
          />
        ))}
      </View>
    </View>
  );
}

interface EraseProps {
  student: Student;
  erasure: Erasure | null;
  onErase: (name: string) => Promise<boolean>;
  onTakeBack: () => void;
}

/** Asks twice: first whether, then for the name. */
function Erase({ student, erasure, onErase, onTakeBack }: EraseProps) {
  const [asked, setAsked] = useState(false);
  const [name, setName] = useState('');
  const erase = async () => {
    if (await onErase(name.trim())) setAsked(false);
  };
  if (erasure)
    return (
      <Notice kind="caution" live>
        <Body>{messages.waits(erasure.askedBy, dayAndTime(erasure.askedAt))}</Body>
        <View className="flex-row pt-2">
          <Button words={messages.takeBack} onPress={onTakeBack} />
        </View>
      </Notice>
    );
  if (!asked) return <Button look="plain" words={messages.eraseAsk} onPress={() => setAsked(true)} />;
  return (
    <Notice kind="caution" live>
      <Body>{messages.typeName(student.name)}</Body>
      <Field label={messages.nameLabel} value={name} onChangeText={setName} autoComplete="off" />
      <View className="flex-row flex-wrap gap-3 pt-2">
        <Button words={messages.keepThem} onPress={() => setAsked(false)} />
        <Button look="plain" words={messages.eraseNow} onPress={() => void erase()} />
      </View>
    </Notice>
  );
}

function Erasing({ student, identity }: { student: Student; identity: Identity }) {
  const owner = ownerOf(identity);
  const ask = useCallback(() => api.studentPrivacy(owner, student.id), [owner, student.id]);
  const { value, trouble, doing } = useAsked(ask);
  const mayErase = identity.role !== 'instructor';
  const earlier = value?.consents.slice(1) ?? [];
  return (
    <View className="gap-3" testID="erase">
      {earlier.length > 0 && <Quiet>{messages.earlier}</Quiet>}
      {earlier.map((consent) => (
        <Body key={consent.id}>
          {(consent.given ? messages.given : messages.withdrawn)(whoSaid(student, consent), day(consent.on))}
        </Body>
      ))}
      <Heading>{messages.erase}</Heading>
      <Body>{messages.eraseWhy}</Body>
      {!mayErase && <Quiet>{messages.eraseOwner}</Quiet>}
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      {mayErase && value && (
        <Erase
          student={student}
          erasure={value.erasure}
          onErase={(name) => doing(() => api.askErasure(owner, { studentId: student.id, name }))}
          onTakeBack={() => void doing(() => api.takeErasureBack(owner, student.id))}
        />
      )}
    </View>
  );
}

/** Consent for what is kept of a student, handing it over, and erasing it. */
export function StudentPrivacyScreen() {
  const { student: id } = useLocalSearchParams<{ student: string }>();
  const { student, loaded } = useStudentLog(id);
  const identity = useAccount((state) => state.identity);
  if (!student || !loaded || !identity) return <Waiting words={loaded ? common.studentNotHere : undefined} />;
  return (
    <StudentPage
      student={student}
      label={messages.label(student.name)}
      title={messages.title}
      under={`${student.name} · ${inShort(student, new Date())}`}
    >
      <View className="max-w-xl gap-6">
        <Consent student={student} />
        <ConfirmHere identity={identity} />
        <HandOver student={student} />
        <Erasing student={student} identity={identity} />
      </View>
    </StudentPage>
  );
}
