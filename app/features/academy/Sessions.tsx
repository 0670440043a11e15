import { ownerOf, type Identity } from '@pedastance/contract/owner';
import { useCallback } from 'react';
import { View } from 'react-native';
import { dayAndTime } from '../../domain/students';
import { api } from '../../state/api';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { messages } from './AcademyScreen.messages';
import { useAsked } from '../../state/useAsked';

/** Where one is signed in, with a way to end each other session. */
export function Sessions({ identity }: { identity: Identity }) {
  const owner = ownerOf(identity);
  const ask = useCallback(() => api.sessions(owner), [owner]);
  const { value, trouble, doing } = useAsked(ask);
  return (
    <View className="gap-2" testID="sessions">
      <Heading>{messages.sessions}</Heading>
      {value?.map(({ id, device, openedAt, here }) => (
        <View key={id} className="flex-row items-center justify-between gap-2 border-b border-grid py-2">
          <View className="flex-1">
            <Body>{device || messages.unknownDevice}</Body>
            <Quiet>{here ? messages.thisOne : messages.opened(dayAndTime(openedAt))}</Quiet>
          </View>
          {!here && (
            <Button
              look="quiet"
              words={messages.endSession}
              onPress={() => void doing(() => api.endSession(owner, id))}
            />
          )}
        </View>
      ))}
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
    </View>
  );
}
