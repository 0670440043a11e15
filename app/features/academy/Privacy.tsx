import type { AuditEntry } from '@pedastance/contract';
import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { useCallback, useEffect } from 'react';
import { View } from 'react-native';
import { dayAndTime } from '../../domain/students';
import { actsSeen } from '../../state/acts';
import { api } from '../../state/api';
import { useAsked } from '../../state/useAsked';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './AcademyScreen.messages';

/** Acts that are about a student, who may be gone since. */
const ABOUT_STUDENTS: AuditEntry['act'][] = [
  'student exported',
  'erasure asked',
  'erasure taken back',
  'student erased',
];

const sentence = ({ by, act, whom, student }: AuditEntry): string => {
  const about = ABOUT_STUDENTS.includes(act) ? (student ?? messages.aStudent) : whom;
  return [by, messages.acts[act], about].filter(Boolean).join(' ');
};

/** What waits to be erased and what was done with data and access, for owners; at the top of its page it is looked through. */
export function Privacy({ identity, isFirst = false }: { identity: Identity; isFirst?: boolean }) {
  const owner = ownerOf(identity);
  const ask = useCallback(() => api.academyPrivacy(owner), [owner]);
  const { value, trouble, doing } = useAsked(ask);
  const newest = value?.audit[0]?.id;
  // Looked through, so that the day tells of it no more.
  useEffect(() => {
    if (isFirst && newest) void actsSeen(owner, newest).catch(() => undefined);
  }, [isFirst, owner, newest]);
  return (
    <View className="gap-3" testID="privacy">
      <Heading>{messages.privacy}</Heading>
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      {value && value.erasures.length > 0 && (
        <Notice kind="caution">
          <Body className="font-semibold">{messages.waiting}</Body>
          {value.erasures.map(({ studentId, name, askedBy, askedAt }) => (
            <View key={studentId} className="gap-1 py-1">
              <Body>{name}</Body>
              <Quiet tone="ink">{messages.waitsSince(askedBy, dayAndTime(askedAt))}</Quiet>
              <Button
                look="plain"
                words={messages.takeBack(name)}
                onPress={() => void doing(() => api.takeErasureBack(owner, studentId))}
              />
            </View>
          ))}
        </Notice>
      )}
      <Quiet>{messages.done}</Quiet>
      {value?.audit.length === 0 && <Body>{messages.nothingDone}</Body>}
      {value?.audit.map((entry) => (
        <View key={entry.id} className="border-b border-grid py-2" testID="act">
          <Body>{sentence(entry)}</Body>
          <Quiet>{dayAndTime(entry.at)}</Quiet>
        </View>
      ))}
    </View>
  );
}
