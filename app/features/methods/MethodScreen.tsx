import {
  FIGURE_QUESTIONS,
  isChoiceQuestion,
  QUESTIONS,
  partOf,
  type Answer,
  type HouseMethod,
  type Question,
} from '@pedastance/core/method';
import { checkMethod, type CheckCase } from '@pedastance/core/method/check';
import { questionName } from '@pedastance/core/phrases';
import { PARTS } from '@pedastance/core/setup';
import { figureWithUnit, type LengthUnit } from '@pedastance/core/units';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Notice } from '../../ui/Notice';
import { BackTo } from '../../ui/Page';
import { Body, Heading, Quiet, Title } from '../../ui/Words';
import { PART_NAMES } from '../../domain/parts';
import { saveMethodFile } from './fileExchange';
import { clubsWords, ruleWords } from '../../domain/methodRules';
import { saveMethod } from '../../state/writes/method';
import { isPreset, useAllVersions, useVersions } from '../../state/useVersions';
import { Waiting } from '../../ui/Waiting';
import { messages } from './MethodScreen.messages';

/** How far a band reaches to each side. */
function toleranceWords(question: Question, { tolerance, rule }: Answer, length: LengthUnit): string {
  if (isChoiceQuestion(question) || rule.kind === 'no view') return '';
  const { unit } = FIGURE_QUESTIONS[question];
  const words = (value: number) => figureWithUnit(value, unit, length).replace('.0', '');
  return tolerance.below === tolerance.above
    ? ` ± ${words(tolerance.above)}`
    : ` (\u2212${words(tolerance.below)} to +${words(tolerance.above)})`;
}

export const answerWords = (question: Question, answer: Answer, length: LengthUnit): string =>
  `${ruleWords(question, answer.rule, length)}${toleranceWords(question, answer, length)}`;

function QuestionView({
  method,
  question,
  length,
}: {
  method: HouseMethod;
  question: Question;
  length: LengthUnit;
}) {
  const { why, answers } = method.questions[question];
  const free = answers.every(({ rule }) => rule.kind === 'no view');
  return (
    <View className="gap-1 border-b border-grid py-3" testID={`question-${question}`}>
      <Body className="font-semibold">{questionName(question)}</Body>
      {free ? (
        <Quiet>{messages.leftFree}</Quiet>
      ) : (
        answers.map((answer) => (
          <View key={`${answer.shot} ${answer.clubs.join()}`}>
            <Body className="figures">{answerWords(question, answer, length)}</Body>
            <Quiet>{`${clubsWords(answer)}${answer.rule.kind === 'no view' ? '' : ` · ${answer.mark}`}`}</Quiet>
          </View>
        ))
      )}
      {!free && <Body>{why}</Body>}
    </View>
  );
}

/** A case of a check in a sentence: what, with which clubs, for whom. */
export function caseWords({ question, what, clubs, heightsCm, bodies }: CheckCase): string {
  const [least, most] = heightsCm;
  const whom = bodies.length === 1 ? bodies[0]! : least === most ? `${least} cm` : `${least} to ${most} cm`;
  const MOST_CLUBS = 4;
  const named = clubs.slice(0, MOST_CLUBS).join(', ');
  const more = clubs.length > MOST_CLUBS ? ` and ${clubs.length - MOST_CLUBS} more` : '';
  return messages.bodiesOf(questionName(question), what, named, more, whom);
}

/** What is unwise in a method and for whom; it may be kept all the same. */
function Warnings({ method }: { method: HouseMethod }) {
  const { warnings } = useMemo(() => checkMethod(method), [method]);
  if (warnings.length === 0) return null;
  return (
    <Notice kind="caution">
      <Body className="font-semibold">{messages.unwiseForSome}</Body>
      {warnings.map((warning) => (
        <Body key={caseWords(warning)}>{caseWords(warning)}</Body>
      ))}
    </Notice>
  );
}

function Actions({ method, newest }: { method: HouseMethod; newest: HouseMethod }) {
  const preset = isPreset(method);
  const old = method.version !== newest.version;
  return (
    <View className="flex-row flex-wrap gap-3">
      {!old && (
        <Button
          words={preset ? messages.startOurOwn : messages.changeIt}
          onPress={() => router.push(`/methods/${method.id}/edit`)}
        />
      )}
      {preset && (
        <Button
          look="plain"
          words={messages.takeIt}
          onPress={() => void saveMethod(method, null).then((id) => router.replace(`/methods/${id}`))}
        />
      )}
      <Button look="plain" words={messages.saveAsAFile} onPress={() => saveMethodFile(method)} />
    </View>
  );
}

/** A house method or a preset: what it answers to every question, by club, and why. */
export function MethodScreen() {
  const { method: id } = useLocalSearchParams<{ method: string }>();
  const versions = useVersions(id);
  const loaded = useRecords((state) => state.loaded);
  useAllVersions(id);
  const length = usePreferences((state) => state.length);
  const [shown, setShown] = useState<number | null>(null);
  const newest = versions[0];
  const method = versions.find(({ version }) => version === shown) ?? newest;
  if (!method || !newest) return <Waiting words={loaded ? messages.thisMethod : undefined} />;
  return (
    <ScrollView
      className="flex-1 bg-paper"
      contentContainerClassName="p-4 pb-12"
      tabIndex={0}
      aria-label={method.name}
    >
      <View role="main" className="w-full max-w-3xl gap-4 self-center">
        <View className="flex-row items-start gap-1">
          <BackTo label={messages.backToTheMethods} href="/methods" />
          <View className="flex-1">
            <Title>{method.name}</Title>
            <Quiet>{isPreset(method) ? messages.aSchoolToStart : messages.oursVersion(method.version)}</Quiet>
          </View>
        </View>
        <Body>{method.summary}</Body>
        {versions.length > 1 && (
          <Choice
            label={messages.version}
            options={versions.map(({ version }) => ({
              value: String(version),
              words: version === newest.version ? messages.newest(version) : String(version),
            }))}
            value={String(method.version)}
            onChange={(version) => setShown(Number(version))}
          />
        )}
        <Actions method={method} newest={newest} />
        <Warnings method={method} />
        {PARTS.map((part) => (
          <View key={part}>
            <Heading>{PART_NAMES[part]}</Heading>
            {QUESTIONS.filter((question) => partOf(question) === part).map((question) => (
              <QuestionView key={question} method={method} question={question} length={length} />
            ))}
          </View>
        ))}
      </View>
    </ScrollView>
  );
}
