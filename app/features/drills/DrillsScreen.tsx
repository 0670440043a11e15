import { readDrillFile, writeDrillFile } from '@pedastance/contract/drillFile';
import { DRILL_LIBRARY, type Drill } from '@pedastance/core/card';
import { useState } from 'react';
import { View } from 'react-native';
import { faultsWords } from '../../domain/fileFaults';
import { useOwnDrills } from '../../state/ownThings';
import { keepDrills, newOwnId } from '../../state/writes/ownThings';
import { Button } from '../../ui/Button';
import { pickFile, saveFile } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Body, Heading, Quiet } from '../../ui/Words';
import { DrillForm } from './DrillForm';
import { messages } from './DrillsScreen.messages';

const EMPTY: Omit<Drill, 'id'> = {
  name: '',
  things: [],
  cameFor: [],
  tellTales: [],
  paths: [],
  stops: [],
  how: '',
  dose: '',
  feel: '',
  right: '',
  needs: '',
  notFor: [],
  minors: true,
};

interface Act {
  words: string;
  label: string;
  onPress: () => void;
}

/** A drill as it reads, with what can be done with it. */
function DrillRow({ drill, acts }: { drill: Drill; acts: readonly Act[] }) {
  const { name, how, dose, feel, right, needs } = drill;
  return (
    <View className="gap-1 border-b border-grid py-3" testID="drill">
      <Body className="text-lg font-semibold">{name}</Body>
      <Body>{how}</Body>
      <Body className="font-semibold">{dose}</Body>
      {feel !== '' && <Quiet>{messages.feel(feel)}</Quiet>}
      {right !== '' && <Quiet>{messages.right(right)}</Quiet>}
      {needs !== '' && <Quiet>{messages.needs(needs)}</Quiet>}
      <View className="flex-row flex-wrap gap-3">
        {acts.map(({ words, label, onPress }) => (
          <Button key={words} look="quiet" words={words} label={label} onPress={onPress} />
        ))}
      </View>
    </View>
  );
}

/** The academy's own drills and those to begin from. */
export function DrillsScreen() {
  const own = useOwnDrills();
  const [writing, setWriting] = useState<Drill | null>(null);
  const [faults, setFaults] = useState<string[]>([]);
  const keep = (drills: readonly Drill[], gone = false) =>
    keepDrills(drills, gone).then(
      () => {
        setFaults([]);
        setWriting(null);
      },
      (error: Error) => setFaults([messages.notSaved(error.message)]),
    );
  const fromFile = async () => {
    const file = await pickFile('.json,application/json');
    if (!file) return;
    const read = readDrillFile(await file.text());
    if ('faults' in read) return setFaults([messages.notTaken, ...faultsWords(read.faults)]);
    await keep(read.drills);
  };
  const toFile = () => saveFile('drills.json', writeDrillFile(own), 'application/json');
  const ownIds = new Set(own.map(({ id }) => id));
  return (
    <Page title={messages.title}>
      {faults.length > 0 && (
        <Notice kind="trouble" live>
          {faults.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </Notice>
      )}
      {writing ? (
        <DrillForm
          key={writing.id}
          from={writing}
          onSave={(drill) => void keep([drill])}
          onCancel={() => setWriting(null)}
        />
      ) : (
        <Button words={messages.add} onPress={() => setWriting({ ...EMPTY, id: newOwnId() })} />
      )}
      <View>
        <Heading>{messages.ours}</Heading>
        {own.length === 0 && <Body>{messages.none}</Body>}
        {own.map((drill) => (
          <DrillRow
            key={drill.id}
            drill={drill}
            acts={[
              {
                words: messages.edit,
                label: messages.editNamed(drill.name),
                onPress: () => setWriting(drill),
              },
              {
                words: messages.takeOut,
                label: messages.takeOutNamed(drill.name),
                onPress: () => void keep([drill], true),
              },
            ]}
          />
        ))}
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Button look="plain" words={messages.fromFile} onPress={() => void fromFile()} />
        {own.length > 0 && <Button look="plain" words={messages.toFile} onPress={toFile} />}
      </View>
      <View>
        <Heading>{messages.library}</Heading>
        {DRILL_LIBRARY.filter(({ id }) => !ownIds.has(id)).map((drill) => (
          <DrillRow
            key={drill.id}
            drill={drill}
            acts={[
              { words: messages.own, label: messages.ownNamed(drill.name), onPress: () => setWriting(drill) },
            ]}
          />
        ))}
      </View>
    </Page>
  );
}
