import type { Speech } from '@pedastance/core/phrases';
import UndoIcon from 'lucide-react-native/icons/undo-2';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Pressable, Text, TextInput, View } from 'react-native';
import { useStore } from 'zustand';
import { LiveFigure } from './LiveFigure';
import { currentSetup, dialValue, lesson, setDial, setLoadDial, undo } from '../../state/lesson';
import { IconButton } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { ON_DESK } from '../../ui/colours';
import { mainFigure } from './figures';
import { figureName } from '../../domain/sentences';
import { typedNumber } from '../../domain/typedNumber';
import { isLoad } from '@pedastance/core/setup';
import { faultOf, kindOf, shownValue, STEPS, toShown, toStored, unitOf, type AnyDial } from './dials';
import { common } from '../../domain/common.messages';
import { messages } from './Desk.messages';

/** A typed figure comes from a tape; one that is stepped to was placed on the plan. */
function set(dial: AnyDial, value: number, way: 'tape' | 'drag'): void {
  if (isLoad(dial)) setLoadDial(dial, value);
  else setDial(dial, value, way);
}

/** A step from a figure between steps goes to the next whole one first. */
function stepBy(dial: AnyDial, step: number, speech: Speech): void {
  const setup = currentSetup(lesson.getState());
  if (!setup) return;
  const kind = kindOf(dial);
  const shown = toShown(kind, dialValue(setup, dial), speech);
  const size = kind === 'length' ? STEPS.length[speech.length][0] : 1;
  const next = Math.round((shown + step) / size) * size;
  set(dial, toStored(kind, next, speech), 'drag');
}

function StepButton({ words, label, onPress }: { words: string; label: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className="h-[56px] flex-1 items-center justify-center rounded-md bg-desk-raised"
    >
      <Text className="figures font-text text-[18px] font-semibold text-on-desk">{words}</Text>
    </Pressable>
  );
}

function TypedFigure({ dial, speech, onDone }: { dial: AnyDial; speech: Speech; onDone: () => void }) {
  const [text, setText] = useState(() => {
    const setup = currentSetup(lesson.getState());
    return setup ? shownValue(dial, dialValue(setup, dial), speech) : '';
  });
  const [fault, setFault] = useState('');
  const take = () => {
    const wrong = faultOf(dial, text, speech);
    if (wrong) return setFault(wrong);
    set(dial, toStored(kindOf(dial), typedNumber(text.replace('\u2212', '-')), speech), 'tape');
    onDone();
  };
  return (
    <View className="gap-1">
      <View className="flex-row gap-2">
        <TextInput
          autoFocus
          selectTextOnFocus
          aria-label={`${figureName(dial, speech)},${unitOf(dial, speech)}`}
          aria-invalid={fault !== ''}
          value={text}
          onChangeText={setText}
          onSubmitEditing={take}
          inputMode="decimal"
          className="figures h-[56px] flex-1 rounded-md bg-on-desk px-3 font-text text-[20px] font-semibold text-desk"
        />
        <StepButton words={messages.set} label={messages.setTheTypedFigure} onPress={take} />
        <StepButton words={common.cancel} label={messages.leaveTheFigure} onPress={onDone} />
      </View>
      {fault !== '' && (
        <Text role="alert" className="font-text text-sm text-on-desk">
          {`▲ ${fault}`}
        </Text>
      )}
    </View>
  );
}

function WaysOfMoving({ dial }: { dial: AnyDial }) {
  const keepToe = useStore(lesson, (state) => state.keepToe);
  const turnWithLine = useStore(lesson, (state) => state.turnWithLine);
  if (dial === 'leadFlare' || dial === 'trailFlare') {
    return (
      <Choice
        onDesk
        hideLabel
        label={messages.howTheFootTurns}
        options={[
          { value: 'toe', words: messages.toeKeptOnItsLine },
          { value: 'heel', words: messages.aboutTheHeel },
        ]}
        value={keepToe ? 'toe' : 'heel'}
        onChange={(way) => lesson.setState({ keepToe: way === 'toe' })}
      />
    );
  }
  if (dial !== 'setback') return null;
  return (
    <Choice
      onDesk
      hideLabel
      label={messages.howTheFootGoesBack}
      options={[
        { value: 'kept', words: messages.flareKept },
        { value: 'turned', words: messages.turnedWithTheLine },
      ]}
      value={turnWithLine ? 'turned' : 'kept'}
      onChange={(way) => lesson.setState({ turnWithLine: way === 'turned' })}
    />
  );
}

/**
 * The dark desk under the thumb: exact steps for what is chosen, typed figures, and undo. Its letters are large already
 * and keep their size when the device's text grows, so that it stays whole.
 */
export function Desk({ loads, speech, children }: { loads: boolean; speech: Speech; children?: ReactNode }) {
  const dial: AnyDial = useStore(lesson, (state) => (loads ? state.loadDial : state.dial));
  const canUndo = useStore(lesson, (state) => state.past.length > 0);
  const [typing, setTyping] = useState(false);
  useEffect(() => setTyping(false), [dial]);
  const figure = useMemo(() => {
    const main = mainFigure(dial, speech, true);
    // The desk sets the figure, measured or not.
    return () => ({ text: main().text });
  }, [dial, speech.length, speech.feet, speech.hand]);
  const kind = kindOf(dial);
  const [small, large] = STEPS[kind][speech.length];
  const name = figureName(dial, speech);
  const step = (by: number) => (
    <StepButton
      words={`${by > 0 ? '+' : '\u2212'}${Math.abs(by)}`}
      label={`${name} ${by > 0 ? 'plus' : 'minus'} ${Math.abs(by)}${unitOf(dial, speech)}`}
      onPress={() => stepBy(dial, by, speech)}
    />
  );
  return (
    <View className="desk gap-2 bg-desk px-3 pb-3 pt-2" testID="desk">
      <View className="flex-row items-center justify-between gap-2">
        <Text className="flex-1 font-text text-[17px] font-semibold text-on-desk">{name}</Text>
        <IconButton
          label={messages.takeTheLastMoveBack}
          icon={<UndoIcon color={ON_DESK} size={22} />}
          disabled={!canUndo}
          onPress={undo}
        />
        {children}
      </View>
      <WaysOfMoving dial={dial} />
      {typing ? (
        <TypedFigure dial={dial} speech={speech} onDone={() => setTyping(false)} />
      ) : (
        <View className="flex-row gap-2">
          {step(-large)}
          {step(-small)}
          <Pressable
            role="button"
            aria-label={messages.type(name)}
            onPress={() => setTyping(true)}
            className="h-[56px] flex-[1.6] items-center justify-center rounded-md bg-on-desk"
          >
            <LiveFigure
              figure={figure}
              className="live figures h-[28px] w-full text-center font-text text-[20px] font-semibold text-desk"
              testID="desk-figure"
            />
          </Pressable>
          {step(small)}
          {step(large)}
        </View>
      )}
    </View>
  );
}
