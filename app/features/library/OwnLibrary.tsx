import type { FileFault } from '@pedastance/contract/jsonFile';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { faultsWords } from '../../domain/fileFaults';
import { Button } from '../../ui/Button';
import { pickFile, saveFile } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Body, Heading } from '../../ui/Words';
import { messages } from './OwnLibrary.messages';

interface Act {
  words: string;
  label: string;
  onPress: () => void;
}

/** A thing as it reads, with what can be done with it. */
function Row({ testID, children, acts }: { testID: string; children: ReactNode; acts: readonly Act[] }) {
  return (
    <View className="gap-1 border-b border-grid py-3" testID={testID}>
      {children}
      <View className="flex-row flex-wrap gap-3">
        {acts.map(({ words, label, onPress }) => (
          <Button key={words} look="quiet" words={words} label={label} onPress={onPress} />
        ))}
      </View>
    </View>
  );
}

interface Named {
  id: string;
  name: string;
}

/** How a kind of thing is listed, written, read from a file and kept. */
export interface Library<Thing extends Named> {
  testID: string;
  words: { title: string; none: string; library: string; add: string };
  own: readonly Thing[];
  /** Those to begin from. */
  begin: readonly Thing[];
  blank: () => Thing;
  /** One of those to begin from, as it is made one's own. */
  asOwn: (thing: Thing) => Thing;
  keep: (things: readonly Thing[], gone?: boolean) => Promise<void>;
  read: (text: string) => { things: readonly Thing[] } | { faults: FileFault[] };
  write: (things: readonly Thing[]) => string;
  fileName: string;
  shown: (thing: Thing) => ReactNode;
  form: (props: { from: Thing; onSave: (thing: Thing) => void; onCancel: () => void }) => ReactNode;
}

/** What an academy has of its own, and what there is to begin from. */
export function OwnLibrary<Thing extends Named>(library: Library<Thing>) {
  const { testID, words, own, begin, blank, asOwn, keep, read, write, fileName, shown, form } = library;
  const [writing, setWriting] = useState<Thing | null>(null);
  const [faults, setFaults] = useState<string[]>([]);
  const keepThem = (things: readonly Thing[], gone = false) =>
    keep(things, gone).then(
      () => {
        setFaults([]);
        setWriting(null);
      },
      (error: Error) => setFaults([messages.notSaved(error.message)]),
    );
  const fromFile = async () => {
    const file = await pickFile('.json,application/json');
    if (!file) return;
    const taken = read(await file.text());
    if ('faults' in taken) return setFaults([messages.notTaken, ...faultsWords(taken.faults)]);
    await keepThem(taken.things);
  };
  const toFile = () => saveFile(fileName, write(own), 'application/json');
  const ownIds = new Set(own.map(({ id }) => id));
  return (
    <Page title={words.title}>
      {faults.length > 0 && (
        <Notice kind="trouble" live>
          {faults.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </Notice>
      )}
      {writing ? (
        <View key={writing.id}>
          {form({
            from: writing,
            onSave: (thing) => void keepThem([thing]),
            onCancel: () => setWriting(null),
          })}
        </View>
      ) : (
        <Button words={words.add} onPress={() => setWriting(blank())} />
      )}
      <View>
        <Heading>{messages.ours}</Heading>
        {own.length === 0 && <Body>{words.none}</Body>}
        {own.map((thing) => (
          <Row
            key={thing.id}
            testID={testID}
            acts={[
              {
                words: messages.edit,
                label: messages.editNamed(thing.name),
                onPress: () => setWriting(thing),
              },
              {
                words: messages.takeOut,
                label: messages.takeOutNamed(thing.name),
                onPress: () => void keepThem([thing], true),
              },
            ]}
          >
            {shown(thing)}
          </Row>
        ))}
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Button look="plain" words={messages.fromFile} onPress={() => void fromFile()} />
        {own.length > 0 && <Button look="plain" words={messages.toFile} onPress={toFile} />}
      </View>
      <View>
        <Heading>{words.library}</Heading>
        {begin
          .filter(({ id }) => !ownIds.has(id))
          .map((thing) => (
            <Row
              key={thing.id}
              testID={testID}
              acts={[
                {
                  words: messages.own,
                  label: messages.ownNamed(thing.name),
                  onPress: () => setWriting(asOwn(thing)),
                },
              ]}
            >
              {shown(thing)}
            </Row>
          ))}
      </View>
    </Page>
  );
}
