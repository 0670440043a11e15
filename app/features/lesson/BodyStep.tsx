import { partOf } from '@pedastance/core/method';
import { questionFigure, questionName, type Speech } from '@pedastance/core/phrases';
import {
  CHOICES,
  CHOICE_QUESTIONS,
  PARTS,
  BY_EYE,
  POSTURE_FIGURES,
  SWING_PATHS,
  SWING_PHASES,
  TELL_TALE_NAMES,
  TELL_TALES,
  type SwingPhase,
  type TellTale,
  type ChoiceQuestion,
  type Posture,
  type PostureFigure,
  FIGURES,
  measurementBy,
  isLine,
} from '@pedastance/core/setup';
import { lengthIn, millimetres } from '@pedastance/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, notePosture, openStep, undo } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Chips, type Chip } from '../../ui/Chips';
import { Field } from '../../ui/Field';
import { Body, Heading, Quiet } from '../../ui/Words';
import { figureName, spoken } from '../../domain/sentences';
import { useLessonContext } from './context';
import { NeedsClub } from './NeedsClub';
import { PART_NAMES } from '../../domain/parts';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { typedNumber } from '../../domain/typedNumber';
import { common } from '../../domain/common.messages';
import { messages } from './BodyStep.messages';

const setFigure = (figure: PostureFigure, seen: Posture['figures'][PostureFigure] | null): void =>
  notePosture((posture) => {
    const { [figure]: _before, ...figures } = posture.figures;
    return { ...posture, figures: seen ? { ...figures, [figure]: seen } : figures };
  });

/** A typed figure in the coach's own unit; lines are typed closed positive. */
function TypedFigure({
  figure,
  speech,
  onDone,
}: {
  figure: PostureFigure;
  speech: Speech;
  onDone: () => void;
}) {
  const { unit, range } = FIGURES[figure];
  const isLength = unit === 'mm';
  const shown = (value: number): string =>
    String(Math.round((isLength ? lengthIn(speech.length, value) : value) * 10) / 10).replace('-', '\u2212');
  const [text, setText] = useState('');
  const [fault, setFault] = useState('');
  const take = () => {
    const typed = typedNumber(text.replace('\u2212', '-'));
    const value = isLength ? millimetres(speech.length, typed) : typed;
    if (!(value >= range.least && value <= range.most)) {
      const found = text.trim() === '' ? 'nothing' : `“${text}”`;
      return setFault(
        messages.expectedToFound(figureName(figure, speech), shown(range.least), shown(range.most), found),
      );
    }
    setFigure(figure, { value, ...measurementBy(figure, 'tape') });
    onDone();
  };
  const closed = isLine(figure);
  return (
    <View className="flex-row items-start gap-2">
      <View className="flex-1">
        <Field
          autoFocus
          label={figureName(figure, speech)}
          unit={isLength ? speech.length : `degrees${closed ? ', open below zero' : ''}`}
          value={text}
          onChangeText={setText}
          onSubmitEditing={take}
          inputMode="text"
          fault={fault || undefined}
        />
      </View>
      <View className="flex-row gap-2 pt-6">
        <Button words={messages.set} label={messages.setFigure(figureName(figure, speech))} onPress={take} />
        <Button look="quiet" words={common.cancel} onPress={onDone} />
      </View>
    </View>
  );
}

function FigureItem({ figure, speech }: { figure: PostureFigure; speech: Speech }) {
  const seen = useStore(lesson, (state) => state.draft?.setup?.posture?.figures[figure]);
  const [typing, setTyping] = useState(false);
  const name = figureName(figure, speech);
  const chips = BY_EYE[figure].map(({ words, value }): Chip => {
    const chosen = seen?.way === 'by eye' && seen.value === value;
    return {
      words: spoken(words, speech),
      chosen,
      onPress: () => setFigure(figure, chosen ? null : { value, ...measurementBy(figure, 'by eye') }),
    };
  });
  const measured = seen !== undefined && seen.way !== 'by eye';
  const typed: Chip = {
    words: measured ? messages.typed : messages.figure,
    label: measured ? messages.takeTheTypedFigureBack(name) : messages.typeAFigure(name),
    chosen: measured,
    onPress: () => (measured ? setFigure(figure, null) : setTyping(true)),
  };
  const how = seen
    ? `${questionFigure(figure, seen.value, speech.length)}, ${seen.way === 'by eye' ? 'by eye' : 'measured'}`
    : 'not looked at';
  return (
    <View className="gap-1.5 border-b border-grid py-2" testID={`body-${figure}`}>
      <View className="flex-row items-baseline justify-between gap-2">
        <Body className="flex-1 font-semibold">{name}</Body>
        <Quiet tone={seen ? 'ink' : 'pencil'} className="figures">
          {how}
        </Quiet>
      </View>
      {typing ? (
        <TypedFigure figure={figure} speech={speech} onDone={() => setTyping(false)} />
      ) : (
        <Chips label={name} chips={[...chips, typed]} />
      )}
    </View>
  );
}

const ROUTE_WORDS: Record<string, string> = {
  'forward-posted': 'Forward-posted',
};
const asWords = (choice: string): string =>
  ROUTE_WORDS[choice] ?? choice.charAt(0).toUpperCase() + choice.slice(1);

function ChoiceItem({ question }: { question: ChoiceQuestion }) {
  const seen = useStore(lesson, (state) => state.draft?.setup?.posture?.choices[question]);
  const set = (choice: string | null) =>
    notePosture((posture) => {
      const { [question]: _before, ...choices } = posture.choices;
      return { ...posture, choices: choice === null ? choices : { ...choices, [question]: choice } };
    });
  const chips = CHOICES[question].map((choice): Chip => ({
    words: asWords(choice),
    chosen: seen === choice,
    onPress: () => set(seen === choice ? null : choice),
  }));
  return (
    <View className="gap-1.5 border-b border-grid py-2" testID={`body-${question}`}>
      <Body className="font-semibold">{questionName(question)}</Body>
      <Chips label={questionName(question)} chips={chips} />
    </View>
  );
}

/** Where the club comes from: no question of a method, and it decides who should not close. */
function SwingPathItem() {
  const seen = useStore(lesson, (state) => state.draft?.setup?.posture?.swingPath);
  const chips = SWING_PATHS.map((path): Chip => ({
    words: asWords(path),
    chosen: seen === path,
    onPress: () =>
      notePosture(({ swingPath: _before, ...posture }) =>
        seen === path ? posture : { ...posture, swingPath: path },
      ),
  }));
  return (
    <View className="gap-1.5 border-b border-grid py-2" testID="body-swingPath">
      <Body className="font-semibold">{messages.swingsThroughTheBall}</Body>
      <Chips label={messages.swingsThroughTheBall} chips={chips} />
    </View>
  );
}

const PHASE_WORDS: Record<SwingPhase, string> = {
  backswing: messages.goingBack,
  top: messages.atTheTop,
  downswing: messages.comingDown,
  strike: messages.atTheStrike,
  finish: messages.atTheFinish,
};

/** What is seen in the swing, by its phase: it says something of the address. */
function TellTales() {
  const seen = useStore(lesson, (state) => state.draft?.setup?.posture?.tellTales) ?? [];
  const toggle = (tale: TellTale) =>
    notePosture(({ tellTales: _before, ...posture }) => {
      const now = seen.includes(tale) ? seen.filter((each) => each !== tale) : [...seen, tale];
      return now.length > 0 ? { ...posture, tellTales: now } : posture;
    });
  return (
    <View className="gap-2 pt-2" testID="tell-tales">
      <Heading>{messages.seenInTheSwing}</Heading>
      {SWING_PHASES.map((phase) => (
        <View key={phase} className="gap-1">
          <Quiet>{PHASE_WORDS[phase]}</Quiet>
          <Chips
            label={PHASE_WORDS[phase]}
            chips={TELL_TALE_NAMES.filter((tale) => TELL_TALES[tale] === phase).map((tale) => ({
              words: asWords(tale),
              chosen: seen.includes(tale),
              onPress: () => toggle(tale),
            }))}
          />
        </View>
      ))}
    </View>
  );
}

const ABOVE_THE_FEET = PARTS.filter((part) => part !== 'feet');

/** From the knees up, in the order a body is looked at; each item as seen, a figure, or skipped. */
export function BodyStep() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const canUndo = useStore(lesson, (state) => state.past.length > 0);
  return (
    <NeedsClub>
      <WorkPlace
        label={messages.theBodyFromTheKnees}
        desk={
          <View className="flex-row gap-3 border-t border-grid p-3">
            <Button
              look="plain"
              words={common.undo}
              label={messages.takeTheLastOneBack}
              disabled={!canUndo}
              onPress={undo}
            />
            <Button
              className="flex-1"
              words={common.read}
              label={messages.onToTheRead}
              onPress={() => openStep('read')}
            />
          </View>
        }
      >
        <Quiet>{messages.theFeet}</Quiet>
        {ABOVE_THE_FEET.map((part) => (
          <View key={part}>
            <Heading>{PART_NAMES[part]}</Heading>
            {POSTURE_FIGURES.filter((figure) => FIGURES[figure].part === part).map((figure) => (
              <FigureItem key={figure} figure={figure} speech={speech} />
            ))}
            {CHOICE_QUESTIONS.filter((question) => partOf(question) === part).map((question) => (
              <ChoiceItem key={question} question={question} />
            ))}
            {part === 'swing' && <SwingPathItem />}
          </View>
        ))}
        <TellTales />
      </WorkPlace>
    </NeedsClub>
  );
}
