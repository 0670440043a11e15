import { faultsIn } from '@pedastance/contract/methodFile';
import type { Body as StudentBody } from '@pedastance/core/turn';
import { clubById, type ClubAndShot } from '@pedastance/core/club';
import {
  asPlayed,
  bandsFor,
  isChoiceQuestion,
  QUESTIONS,
  partOf,
  type Answer,
  type HouseMethod,
  type MethodContents,
  type Question,
} from '@pedastance/core/method';
import { checkMethod, usualBody } from '@pedastance/core/method/check';
import { bandWords, questionFigure, questionName } from '@pedastance/core/phrases';
import { PARTS } from '@pedastance/core/setup';
import type { LengthUnit } from '@pedastance/core/units';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { dropMethodDraft, keepMethodDraft, useMethodDrafts } from '../../state/methodDrafts';
import { usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { useWide } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { BackTo } from '../../ui/Page';
import { Body, Heading, Quiet, Title } from '../../ui/Words';
import { PART_NAMES } from '../../domain/parts';
import { AnswerEditor } from './AnswerEditor';
import { contentsOf, withWhy } from '../../domain/methodContents';
import { answerWords, caseWords } from './MethodScreen';
import { saveMethod } from '../../state/writes/method';
import { isPreset, useVersions } from '../../state/useVersions';
import { Waiting } from '../../ui/Waiting';
import { common } from '../../domain/common.messages';
import { messages } from './EditorScreen.messages';

/** Three bodies to see at once what an answer does; invented, with the usual breadths of their height. */
const DEMO_BODIES: readonly { name: string; body: StudentBody }[] = [
  { name: messages.shortCm, body: usualBody(155, 'woman') },
  { name: messages.middlingCm, body: usualBody(175, 'man') },
  { name: messages.tallCm, body: usualBody(195, 'man') },
];

const TRIED_WITH = {
  driver: { club: 'driver', shot: 'full' },
  '7-iron': { club: '7-iron', shot: 'full' },
  wedge: { club: 'sand-wedge', shot: 'full' },
  pitch: { club: 'sand-wedge', shot: 'pitch' },
} as const satisfies Record<string, ClubAndShot>;
type TriedWith = keyof typeof TRIED_WITH;

const draftMethod = (contents: MethodContents): HouseMethod => ({ id: 'draft', version: 0, ...contents });

/** What a method asks of a body with a club, and what it asked before the change. */
function effectWords(
  question: Question,
  now: HouseMethod,
  before: HouseMethod,
  body: StudentBody,
  clubAndShot: ClubAndShot,
  length: LengthUnit,
): string {
  const played = asPlayed(clubAndShot);
  if (isChoiceQuestion(question)) {
    return bandsFor(now, body, played).choices[question]?.join(' or ') ?? 'left free';
  }
  const band = bandsFor(now, body, played).figures[question];
  const was = bandsFor(before, body, played).figures[question];
  if (!band) return 'left free';
  const figure = (value: number) => questionFigure(question, value, length);
  const changed = was && figure(was.middle) !== figure(band.middle) ? `, was ${figure(was.middle)}` : '';
  return `${figure(band.middle)}, band ${bandWords(question, band, length)}${changed}`;
}

interface EditedProps {
  contents: MethodContents;
  before: HouseMethod;
  tried: TriedWith;
  length: LengthUnit;
  onChange: (contents: MethodContents) => void;
}

/** The club chosen to try with where the answer is for it, else one from the middle of its own. */
function clubFor(answer: Answer, tried: TriedWith): ClubAndShot {
  const { club, shot } = TRIED_WITH[tried];
  if (shot === answer.shot && answer.clubs.includes(club)) return { club, shot };
  return { club: answer.clubs[Math.floor(answer.clubs.length / 2)]!, shot: answer.shot };
}

/** What an answer asks of three bodies, as it is changed. */
function Effects({
  question,
  answer,
  contents,
  before,
  tried,
  length,
}: Omit<EditedProps, 'onChange'> & { question: Question; answer: Answer }) {
  const now = useMemo(() => draftMethod(contents), [contents]);
  const played = clubFor(answer, tried);
  return (
    <View className="bg-sheet p-3" testID={`effects-${question}`} aria-live="polite">
      <Quiet>{messages.withThe(clubById(played.club).name, played.shot === 'pitch' ? ', pitch' : '')}</Quiet>
      {DEMO_BODIES.map(({ name, body }) => (
        <View key={name} className="flex-row flex-wrap justify-between gap-x-3">
          <Quiet>{name}</Quiet>
          <Quiet tone="ink" className="figures">
            {effectWords(question, now, before, body, played, length)}
          </Quiet>
        </View>
      ))}
    </View>
  );
}

function QuestionEditor({ question, ...edited }: EditedProps & { question: Question }) {
  const [open, setOpen] = useState(false);
  const { contents, length, onChange, before } = edited;
  const { answers, why } = contents.questions[question];
  const method = useMemo(() => draftMethod(contents), [contents]);
  const changed = JSON.stringify(contents.questions[question]) !== JSON.stringify(before.questions[question]);
  return (
    <View className="border-b border-grid" testID={`edit-${question}`}>
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        className="min-h-[56px] flex-row items-center justify-between gap-2 py-2"
      >
        <View className="flex-1">
          <Body className="font-semibold">{`${questionName(question)}${changed ? ' · changed' : ''}`}</Body>
          <Quiet className="figures" numberOfLines={2}>
            {answers.map((answer) => answerWords(question, answer, length)).join(' · ')}
          </Quiet>
        </View>
        <Quiet aria-hidden className="w-4 text-center text-base">
          {open ? '–' : '+'}
        </Quiet>
      </Pressable>
      {open && (
        <View className="gap-4 pb-4">
          {answers.map((answer, at) => (
            <AnswerEditor
              key={`${answer.shot} ${answer.clubs.join()}`}
              effects={<Effects question={question} answer={answer} {...edited} />}
              method={method}
              contents={contents}
              question={question}
              at={at}
              length={length}
              usual={DEMO_BODIES[1]!.body}
              onChange={onChange}
            />
          ))}
          <Field
            label={messages.why}
            value={why}
            onChangeText={(words) => onChange(withWhy(contents, question, words))}
            maxLength={500}
            multiline
          />
        </View>
      )}
    </View>
  );
}

/** What stands in the way of saving, in sentences. */
function troublesOf(contents: MethodContents): string[] {
  const faults = faultsIn(contents);
  if (faults.length > 0) {
    return faults.map(({ field, expected, found }) => `${field}: expected ${expected}, found ${found}.`);
  }
  return checkMethod(draftMethod(contents)).refusals.map(caseWords);
}

const nameForOwn = (before: HouseMethod): string =>
  isPreset(before) ? `${before.name}, ours`.slice(0, 80) : before.name;

function Editor({ before }: { before: HouseMethod }) {
  const length = usePreferences((state) => state.length);
  const kept = useMethodDrafts((state) => state.drafts[before.id]);
  const wide = useWide();
  const [tried, setTried] = useState<TriedWith>('7-iron');
  const [faults, setFaults] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const contents = kept?.contents ?? { ...contentsOf(before), name: nameForOwn(before) };
  const change = (next: MethodContents) =>
    keepMethodDraft(before.id, { contents: next, fromVersion: kept?.fromVersion ?? before.version });
  const stale = kept !== undefined && kept.fromVersion !== before.version;
  const back = `/methods/${before.id}`;

  const save = async () => {
    setBusy(true);
    try {
      const found = troublesOf(contents);
      setFaults(found);
      if (found.length > 0) return;
      const id = await saveMethod(contents, isPreset(before) ? null : before);
      dropMethodDraft(before.id);
      router.replace(`/methods/${id}`);
    } catch (error) {
      setFaults([messages.thisDeviceCouldNotKeep((error as Error).message)]);
    } finally {
      setBusy(false);
    }
  };

  return (
    <View role="main" className="flex-1 bg-paper">
      <ScrollView
        className="flex-1"
        contentContainerClassName="p-4 pb-12"
        tabIndex={0}
        aria-label={messages.answers}
      >
        <View className={`w-full gap-4 self-center ${wide ? 'max-w-4xl' : ''}`}>
          <View className="flex-row items-start gap-1">
            <BackTo label={common.backTo(before.name)} href={back} />
            <View className="flex-1">
              <Title>{isPreset(before) ? messages.aMethodOfOurOwn : messages.change(before.name)}</Title>
              <Quiet>
                {isPreset(before)
                  ? messages.begunFromKept(before.name)
                  : messages.savingMakesVersion(before.version + 1, before.version)}
              </Quiet>
            </View>
          </View>
          {stale && (
            <Notice kind="caution">
              {messages.thisWasBegunFromVersion(kept.fromVersion, before.version)}
            </Notice>
          )}
          <Field
            label={common.name}
            value={contents.name}
            onChangeText={(name) => change({ ...contents, name })}
            maxLength={80}
          />
          <Field
            label={messages.whatItTeaches}
            value={contents.summary}
            onChangeText={(summary) => change({ ...contents, summary })}
            maxLength={500}
            multiline
          />
          <Choice
            label={messages.showWhatItDoes}
            options={Object.entries(TRIED_WITH).map(([value, { club, shot }]) => ({
              value: value as TriedWith,
              words: `${clubById(club).name}${shot === 'pitch' ? ', pitch' : ''}`,
            }))}
            value={tried}
            onChange={setTried}
          />
          {PARTS.map((part) => (
            <View key={part}>
              <Heading>{PART_NAMES[part]}</Heading>
              {QUESTIONS.filter((question) => partOf(question) === part).map((question) => (
                <QuestionEditor
                  key={question}
                  question={question}
                  contents={contents}
                  before={before}
                  tried={tried}
                  length={length}
                  onChange={change}
                />
              ))}
            </View>
          ))}
        </View>
      </ScrollView>
      <View className="gap-2 border-t border-grid p-3">
        {faults.length > 0 && (
          <Notice kind="trouble" live>
            <Body className="font-semibold">{messages.notSaved}</Body>
            {faults.slice(0, 4).map((fault) => (
              <Body key={fault}>{fault}</Body>
            ))}
            {faults.length > 4 && <Body>{messages.andMore(faults.length - 4)}</Body>}
          </Notice>
        )}
        <View className="flex-row flex-wrap gap-3">
          <Button
            className="flex-1"
            words={busy ? messages.saving : messages.save}
            disabled={busy}
            onPress={() => void save()}
          />
          <Button
            look="plain"
            words={messages.giveUpTheChanges}
            disabled={!kept}
            onPress={() => {
              dropMethodDraft(before.id);
              router.replace(back as never);
            }}
          />
        </View>
      </View>
    </View>
  );
}

/** Writes a method of one's own: from a preset, or the next version of one there is. */
export function EditorScreen() {
  const { method: id } = useLocalSearchParams<{ method: string }>();
  const newest = useVersions(id)[0];
  const loaded = useRecords((state) => state.loaded);
  if (!newest) return <Waiting words={loaded ? messages.thisMethod : undefined} />;
  return <Editor key={`${newest.id} ${newest.version}`} before={newest} />;
}
