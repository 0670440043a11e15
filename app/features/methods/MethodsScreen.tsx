import type { HouseMethod } from '@pedastance/core/method';
import { Link, router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { prefer, usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Body, Heading, Quiet } from '../../ui/Words';
import { useHouseMethods } from '../../state/useHouseMethods';
import { faultsWords } from '../../domain/fileFaults';
import { pickMethodFile } from './fileExchange';
import { saveMethod } from '../../state/writes/method';
import { PRESET_METHODS } from '../../state/useVersions';
import { messages } from './MethodsScreen.messages';

const Open = ({ method }: { method: HouseMethod }) => (
  <Link href={`/methods/${method.id}`} className="min-h-[48px] py-3" aria-label={messages.open(method.name)}>
    <Body tone="lagoon" className="font-semibold underline">
      {messages.openMethod}
    </Body>
  </Link>
);

function Ours({ methods }: { methods: readonly HouseMethod[] }) {
  const chosen = usePreferences((state) => state.methodId);
  const usual = methods.find(({ id }) => id === chosen)?.id ?? methods[0]?.id;
  return (
    <View className="gap-1">
      <Heading>{messages.ours}</Heading>
      <Quiet>{messages.lessonsOnThisDeviceBegin}</Quiet>
      {methods.length === 0 && <Body>{messages.noneYetMakeOne}</Body>}
      {methods.map((method) => (
        <View key={method.id} className="gap-1 border-b border-grid py-3" testID="own-method">
          <Body className="text-lg font-semibold">{method.name}</Body>
          <Body>{method.summary}</Body>
          <View className="flex-row flex-wrap items-center gap-3">
            <Open method={method} />
            {method.id === usual ? (
              <Body className="font-semibold">{messages.usual}</Body>
            ) : (
              <Button
                look="plain"
                words={messages.makeItTheUsualOne}
                label={messages.makeTheUsualOne(method.name)}
                onPress={() => prefer({ methodId: method.id })}
              />
            )}
            <Quiet>{messages.version(method.version)}</Quiet>
          </View>
        </View>
      ))}
    </View>
  );
}

function Schools({ onFault }: { onFault: (lines: string[]) => void }) {
  const adopt = async (preset: HouseMethod) => {
    try {
      router.push(`/methods/${await saveMethod(preset, null)}`);
    } catch (error) {
      onFault([messages.notSavedThisDevice((error as Error).message)]);
    }
  };
  return (
    <View className="gap-1">
      <Heading>{messages.schoolsToStart}</Heading>
      <Quiet>{messages.eachIsNamedForWhat}</Quiet>
      {PRESET_METHODS.map((preset) => (
        <View key={preset.id} className="gap-1 border-b border-grid py-3" testID={`preset-${preset.id}`}>
          <Body className="text-lg font-semibold">{preset.name}</Body>
          <Body>{preset.summary}</Body>
          <View className="flex-row flex-wrap items-center gap-3">
            <Open method={preset} />
            <Button
              look="plain"
              words={messages.startFrom}
              label={messages.startAMethodOfOur(preset.name)}
              onPress={() => router.push(`/methods/${preset.id}/edit`)}
            />
            <Button
              look="quiet"
              words={messages.takeIt}
              label={messages.takeAs(preset.name)}
              onPress={() => void adopt(preset)}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

/** The academy's house methods, and the schools to start one from. */
export function MethodsScreen() {
  const methods = useHouseMethods();
  const loaded = useRecords((state) => state.loaded);
  const [faults, setFaults] = useState<string[]>([]);
  const readFile = async () => {
    setFaults([]);
    try {
      const read = await pickMethodFile();
      if (!read) return;
      if ('faults' in read) return setFaults([messages.theFileWasNotTaken, ...faultsWords(read.faults)]);
      router.push(`/methods/${await saveMethod(read.contents, null)}`);
    } catch (error) {
      setFaults([messages.theFile((error as Error).message)]);
    }
  };
  return (
    <Page title={messages.houseMethods}>
      {faults.length > 0 && (
        <Notice kind="trouble" live>
          {faults.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </Notice>
      )}
      {loaded && <Ours methods={methods} />}
      <View className="flex-row flex-wrap gap-3">
        <Button look="plain" words={messages.drills} onPress={() => router.push('/drills')} />
        <Button look="plain" words={messages.ladders} onPress={() => router.push('/ladders')} />
        <Button look="plain" words={messages.takeOneFromAFile} onPress={() => void readFile()} />
      </View>
      <Schools onFault={setFaults} />
    </Page>
  );
}
