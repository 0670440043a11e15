import type { Body as StudentBody } from '@pedastance/core/turn';
import { BAG, clubById, type ClubId } from '@pedastance/core/club';
import {
  FIGURE_QUESTIONS,
  isChoiceQuestion,
  rulesFor,
  type Answer,
  type HouseMethod,
  type MethodContents,
  type Question,
  type Rule,
} from '@pedastance/core/method';
import { CHOICES } from '@pedastance/core/setup';
import type { LengthUnit } from '@pedastance/core/units';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { PickSeveral } from '../../ui/PickSeveral';
import { Body, Quiet } from '../../ui/Words';
import { join, split, withRule, withTolerance } from '../../domain/methodContents';
import { NumberBox } from './NumberBox';
import { clubsWords, PLUMB_PLACES, RULE_FIELDS, RULE_NAMES, startingRule } from '../../domain/methodRules';
import { messages } from './AnswerEditor.messages';

interface AnswerEditorProps {
  method: HouseMethod;
  contents: MethodContents;
  question: Question;
  at: number;
  length: LengthUnit;
  /** A body to take starting figures from when the kind of rule changes. */
  usual: StudentBody;
  /** What the answer does, shown under its clubs. */
  effects: ReactNode;
  onChange: (contents: MethodContents) => void;
}

const rangeOf = (question: Question) =>
  isChoiceQuestion(question) ? undefined : FIGURE_QUESTIONS[question].range;
const unitOf = (question: Question) =>
  isChoiceQuestion(question) ? 'times' : FIGURE_QUESTIONS[question].unit;

type SetRule = (rule: Rule) => void;
type Figures = { question: Question; length: LengthUnit; setRule: SetRule };

/** The figures that a rule has by name. */
function NamedFigures({ rule, question, length, setRule }: Figures & { rule: Rule }) {
  const figures = rule as unknown as Record<string, number>;
  return (
    <>
      {RULE_FIELDS[rule.kind].map(({ name, label, unit }) => (
        <NumberBox
          key={`${rule.kind} ${name}`}
          label={label}
          unit={unit === 'question' ? unitOf(question) : unit}
          length={length}
          value={figures[name]!}
          range={unit === 'question' ? rangeOf(question) : undefined}
          onChange={(value) => setRule({ ...rule, [name]: value } as Rule)}
        />
      ))}
    </>
  );
}

function ByClubFigures({
  rule,
  clubs,
  question,
  length,
  setRule,
}: Figures & { rule: Extract<Rule, { kind: 'by club' }>; clubs: readonly ClubId[] }) {
  return (
    <View className="flex-row flex-wrap gap-2">
      {BAG.filter(({ id }) => clubs.includes(id)).map(({ id, name }) => (
        <View key={id} className="w-[130px]">
          <NumberBox
            label={name}
            unit={unitOf(question)}
            length={length}
            value={rule.values[id] ?? 0}
            range={rangeOf(question)}
            onChange={(value) => setRule({ ...rule, values: { ...rule.values, [id]: value } })}
          />
        </View>
      ))}
    </View>
  );
}

const CLUB_RANGE = { least: 18, most: 48 };

/** Marks along the club's length, shortest first. */
function MarkFigures({
  rule,
  question,
  length,
  setRule,
}: Figures & { rule: Extract<Rule, { kind: 'by club length' | 'shoulders by club length' }> }) {
  const figureName = rule.kind === 'by club length' ? 'value' : 'soleBreadths';
  const marks = rule.marks as { lengthInches: number; value?: number; soleBreadths?: number }[];
  const set = (at: number, change: object) =>
    setRule({
      ...rule,
      marks: marks.map((mark, place) => (place === at ? { ...mark, ...change } : mark)),
    } as Rule);
  return (
    <>
      {rule.kind === 'shoulders by club length' && (
        <Choice
          label={messages.thePlumbLineMeets}
          options={[
            { value: 'square', words: messages.solesTurnedSquare },
            ...PLUMB_PLACES.map(({ value, words }) => ({ value: String(value), words })),
          ]}
          value={rule.place === undefined ? 'square' : String(rule.place)}
          onChange={(place) => {
            const { place: _before, ...square } = rule;
            setRule(place === 'square' ? square : { ...square, place: Number(place) });
          }}
        />
      )}
      {marks.map((mark, at) => (
        <View key={at} className="flex-row gap-2">
          <View className="flex-1">
            <NumberBox
              label={messages.clubLength(at + 1)}
              unit="inches"
              length={length}
              value={mark.lengthInches}
              range={CLUB_RANGE}
              onChange={(lengthInches) => set(at, { lengthInches })}
            />
          </View>
          <View className="flex-1">
            <NumberBox
              label={
                figureName === 'value' ? messages.middle(at + 1) : messages.solesBesideTheShoulders(at + 1)
              }
              unit={figureName === 'value' ? unitOf(question) : 'soles'}
              length={length}
              value={mark[figureName]!}
              range={figureName === 'value' ? rangeOf(question) : undefined}
              onChange={(value) => set(at, { [figureName]: value })}
            />
          </View>
        </View>
      ))}
    </>
  );
}

const toggled = <Value extends string>(values: readonly Value[], value: Value): Value[] =>
  values.includes(value) ? values.filter((each) => each !== value) : [...values, value];

function RuleFigures({ answer, ...figures }: Figures & { answer: Answer }) {
  const { rule } = answer;
  const { question, setRule } = figures;
  if (rule.kind === 'by club') return <ByClubFigures {...figures} rule={rule} clubs={answer.clubs} />;
  if (rule.kind === 'by club length' || rule.kind === 'shoulders by club length') {
    return <MarkFigures {...figures} rule={rule} />;
  }
  if (rule.kind === 'choice' && isChoiceQuestion(question)) {
    return (
      <PickSeveral
        label={messages.whatItTakes}
        options={CHOICES[question].map((word) => ({ value: word, words: word }))}
        chosen={rule.choices}
        onToggle={(word) => {
          const choices = toggled(rule.choices, word);
          if (choices.length > 0) setRule({ kind: 'choice', choices });
        }}
      />
    );
  }
  return <NamedFigures {...figures} rule={rule} />;
}

/** Clubs that get an answer of their own. */
function SplitOff({
  answer,
  onSplit,
  onDone,
}: {
  answer: Answer;
  onSplit: (clubs: ClubId[]) => void;
  onDone: () => void;
}) {
  const [clubs, setClubs] = useState<ClubId[]>([]);
  const possible = clubs.length > 0 && clubs.length < answer.clubs.length;
  return (
    <View className="gap-2">
      <Quiet>{messages.whichClubsGetAnAnswer}</Quiet>
      <PickSeveral
        label={messages.clubsWithAnAnswer}
        options={answer.clubs.map((club) => ({ value: club, words: clubById(club).name }))}
        chosen={clubs}
        onToggle={(club) => setClubs(toggled(clubs, club))}
      />
      <View className="flex-row gap-3">
        <Button words={messages.giveThemTheirOwn} disabled={!possible} onPress={() => onSplit(clubs)} />
        <Button look="quiet" words={messages.leaveIt} onPress={onDone} />
      </View>
    </View>
  );
}

/** One answer of a question: its kind of rule, its figures, its band, and the clubs it is for. */
export function AnswerEditor({
  method,
  contents,
  question,
  at,
  length,
  usual,
  effects,
  onChange,
}: AnswerEditorProps) {
  const { answers } = contents.questions[question];
  const answer = answers[at]!;
  const [splitting, setSplitting] = useState(false);
  const kinds = rulesFor(question);
  const hasOthers = answers.some((other, place) => place !== at && other.shot === answer.shot);
  const banded = !isChoiceQuestion(question) && answer.rule.kind !== 'no view';
  const setRule: SetRule = (rule) => onChange(withRule(contents, question, at, rule));
  const side = (name: 'below' | 'above', label: string) => (
    <View className="flex-1">
      <NumberBox
        label={label}
        unit={unitOf(question)}
        length={length}
        value={answer.tolerance[name]}
        range={{ least: 0, most: 500 }}
        onChange={(value) =>
          onChange(withTolerance(contents, question, at, { ...answer.tolerance, [name]: value }))
        }
      />
    </View>
  );
  return (
    <View className="gap-3 border-l-4 border-grid pl-3" testID={`answer-${at}`}>
      <Body className="font-semibold">{clubsWords(answer)}</Body>
      {effects}
      {kinds.length > 1 && (
        <Choice
          label={messages.rule}
          options={kinds.map((kind) => ({ value: kind, words: RULE_NAMES[kind] }))}
          value={answer.rule.kind}
          onChange={(kind) => setRule(startingRule(kind, method, question, answer, usual))}
        />
      )}
      <RuleFigures answer={answer} question={question} length={length} setRule={setRule} />
      {banded && (
        <View className="flex-row gap-2">
          {side('below', messages.bandBelowTheMiddle)}
          {side('above', messages.bandAboveTheMiddle)}
        </View>
      )}
      <Quiet>{answer.mark}</Quiet>
      {splitting ? (
        <SplitOff
          answer={answer}
          onDone={() => setSplitting(false)}
          onSplit={(clubs) => {
            onChange(split(contents, question, at, clubs));
            setSplitting(false);
          }}
        />
      ) : (
        <View className="flex-row flex-wrap gap-2">
          {answer.clubs.length > 1 && (
            <Button
              look="quiet"
              words={messages.differentForSomeClubs}
              label={messages.differentForClubs(clubsWords(answer))}
              onPress={() => setSplitting(true)}
            />
          )}
          {hasOthers && (
            <Button
              look="quiet"
              words={messages.likeTheOtherClubs}
              label={messages.likeOtherClubs(clubsWords(answer))}
              onPress={() => onChange(join(contents, question, at))}
            />
          )}
        </View>
      )}
    </View>
  );
}
