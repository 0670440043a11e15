import type { Speech } from '@pedastance/core/phrases';
import {
  figureOf,
  isLoad,
  setbackAtMark,
  setbackMark,
  WIDTH_DATUMS,
  type FeetFigure,
  type WidthDatum,
} from '@pedastance/core/setup';
import { useEffect, useRef, useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { useStore } from 'zustand';
import { figureName, spoken } from '../../domain/sentences';
import { typedNumber } from '../../domain/typedNumber';
import { lesson, openStep } from '../../state/lesson';
import { laidByTape, leaveOut, standAs, type TapeFigures } from '../../state/tape';
import { useSpeech } from '../../state/useSpeech';
import { Choice } from '../../ui/Choice';
import { Body, Quiet } from '../../ui/Words';
import { useLessonContext } from './context';
import { faultOf, kindOf, shownValue, toStored, unitOf } from './dials';
import { Keypad } from './Keypad';
import { NeedsClub } from './NeedsClub';
import { common } from '../../domain/common.messages';
import { messages } from './TapeStep.messages';

type Taken = FeetFigure | 'leadShare';

/** Figures in the order a tape is laid. */
const IN_ORDER: readonly Taken[] = [
  'stanceWidth',
  'leadFlare',
  'trailFlare',
  'setback',
  'ballAlong',
  'ballOut',
  'leadShare',
];

const DATUM_WORDS: Record<WidthDatum, string> = {
  heels: messages.heels,
  outsides: messages.outsides,
  gap: messages.gap,
};

/** Figures that can lie on either side of nought, with what each side is called. */
const SIDES: Partial<Record<Taken, readonly [string, string]>> = {
  setback: [messages.back, messages.ahead],
  ballAlong: [messages.insideTheHeel, messages.outsideIt],
};

/** Marks of the lead shoe that a trail toe is laid against, shoe lengths. */
const MARKS = [
  { mark: 0, words: '0' },
  { mark: 0.25, words: '¼' },
  { mark: 0.5, words: '½' },
  { mark: 0.75, words: '¾' },
] as const;

/** What a row shows while nothing is typed into it: what was measured by whatever way, else a dash. */
const useKnown = (figure: Taken, speech: Speech): string =>
  useStore(lesson, ({ draft }) => {
    const setup = draft?.setup;
    if (!setup?.measured[figure]) return '–';
    return shownValue(figure, figureOf(setup, figure)!, speech);
  });

interface RowProps {
  figure: Taken;
  /** What is being typed into it; null where another one is. */
  typed: string | null;
  fault: string;
  speech: Speech;
  onOpen: () => void;
}

function Row({ figure, typed, fault, speech, onOpen }: RowProps) {
  const known = useKnown(figure, speech);
  const open = typed !== null;
  const row = useRef<View>(null);
  useEffect(() => {
    if (open) (row.current as unknown as HTMLElement | null)?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  return (
    <View ref={row} className={`border-b border-grid ${open ? 'bg-sheet' : ''}`}>
      <Pressable
        role="button"
        aria-pressed={open}
        testID={`tape-${figure}`}
        onPress={onOpen}
        className={`min-h-[52px] flex-row items-center gap-2 border-l-4 px-3 ${open ? 'border-l-lagoon' : 'border-l-transparent'}`}
      >
        <Body className={`flex-1 ${open ? 'font-semibold' : ''}`}>{figureName(figure, speech)}</Body>
        <Text
          testID={`tape-${figure}-figure`}
          className={`figures min-w-[88px] border-b-2 px-2 text-right font-text text-xl font-semibold text-ink ${open ? 'border-lagoon' : 'border-grid'}`}
        >
          {open ? `${typed}▏` : known}
        </Text>
        <Quiet className="w-9">{unitOf(figure, speech).trim()}</Quiet>
      </Pressable>
      {open && fault !== '' && (
        <Body role="alert" tone="rust" className="px-4 pb-2 font-semibold">{`▲ ${fault}`}</Body>
      )}
    </View>
  );
}

interface DatumProps {
  figure: Taken;
  speech: Speech;
  datum: WidthDatum;
  onDatum: (datum: WidthDatum) => void;
  /** The figure lies on the other side of nought. */
  otherSide: boolean;
  onSide: (otherSide: boolean) => void;
  onMark: (shoeLengths: number) => void;
}

/** What a figure is laid from, where there is more than one way. */
function LaidFrom({ figure, speech, datum, onDatum, otherSide, onSide, onMark }: DatumProps) {
  const sides = SIDES[figure];
  if (figure === 'stanceWidth')
    return (
      <Choice
        onDesk
        hideLabel
        label={messages.widthBetween}
        options={WIDTH_DATUMS.map((value) => ({ value, words: DATUM_WORDS[value] }))}
        value={datum}
        onChange={onDatum}
      />
    );
  if (!sides) return null;
  return (
    <View className="flex-row flex-wrap gap-2">
      <Choice
        onDesk
        hideLabel
        label={messages.whichSide}
        options={[
          { value: 'usual', words: sides[0] },
          { value: 'other', words: sides[1] },
        ]}
        value={otherSide ? 'other' : 'usual'}
        onChange={(side) => onSide(side === 'other')}
      />
      {figure === 'setback' &&
        MARKS.map(({ mark, words }) => (
          <Pressable
            key={mark}
            role="button"
            aria-label={spoken(messages.byTheLeadShoe(setbackMark(mark)), speech)}
            onPress={() => onMark(mark)}
            className="min-h-[48px] min-w-[48px] items-center justify-center rounded-md bg-desk-raised px-2"
          >
            <Text className="font-text text-[16px] font-semibold text-on-desk">{words}</Text>
          </Pressable>
        ))}
    </View>
  );
}

/** Everything typed so far, and the figure that is typed now. */
function useTape(speech: Speech) {
  const [at, setAt] = useState(0);
  const [text, setText] = useState('');
  const [taken, setTaken] = useState<TapeFigures>({});
  const [datum, setDatum] = useState<WidthDatum>('heels');
  const [otherSide, setOtherSide] = useState(false);
  const [fault, setFault] = useState('');
  const figure = IN_ORDER[at]!;

  const open = (next: number) => {
    setAt(next);
    setText('');
    setFault('');
    setOtherSide(false);
  };
  const onward = () => (at + 1 < IN_ORDER.length ? open(at + 1) : openStep('read'));
  const lay = (next: TapeFigures, from: WidthDatum = datum): boolean => {
    const { draft } = lesson.getState();
    const laid = draft?.setup && laidByTape(draft.setup, next, from);
    if (!laid) {
      setFault(messages.nobodyCanStandLike(figureName('stanceWidth', speech), text));
      return false;
    }
    setTaken(next);
    standAs(laid);
    return true;
  };
  const take = (value: number) => lay({ ...taken, [figure]: value }) && onward();
  return {
    at,
    figure,
    text,
    datum,
    otherSide,
    fault,
    open,
    setOtherSide,
    setDatum(next: WidthDatum) {
      setDatum(next);
      if (taken.stanceWidth !== undefined) lay(taken, next);
    },
    type(key: string) {
      setFault('');
      setText((before) => (key === '⌫' ? before.slice(0, -1) : before.length < 6 ? before + key : before));
    },
    next() {
      if (text === '') return onward();
      const wrong = figure === 'stanceWidth' && datum !== 'heels' ? '' : faultOf(figure, text, speech);
      const typed = toStored(kindOf(figure), typedNumber(text), speech);
      if (wrong || Number.isNaN(typed)) return setFault(wrong || faultOf(figure, text, speech));
      return take(otherSide ? -typed : typed);
    },
    take,
    notMeasured() {
      const { [figure]: _left, ...others } = taken;
      setTaken(others);
      leaveOut(figure);
      onward();
    },
    back: () => open(Math.max(0, at - 1)),
  };
}

function Taping() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const tape = useTape(speech);
  return (
    <View className="flex-1">
      <ScrollView className="flex-1" tabIndex={0} aria-label={messages.figuresByTape}>
        {IN_ORDER.map((figure, at) => (
          <Row
            key={figure}
            figure={figure}
            typed={tape.at === at ? tape.text : null}
            fault={tape.fault}
            speech={speech}
            onOpen={() => tape.open(at)}
          />
        ))}
      </ScrollView>
      <View className="gap-2 bg-desk p-3" testID="keypad">
        <LaidFrom
          figure={tape.figure}
          speech={speech}
          datum={tape.datum}
          onDatum={tape.setDatum}
          otherSide={tape.otherSide}
          onSide={tape.setOtherSide}
          onMark={(mark) => tape.take(setbackAtMark(lesson.getState().draft!.setup!.address, mark))}
        />
        <Keypad
          point={!isLoad(tape.figure)}
          nextWords={tape.at === IN_ORDER.length - 1 ? common.read : messages.next}
          onKey={tape.type}
          onNext={tape.next}
          onBack={tape.back}
          onSkip={tape.notMeasured}
        />
      </View>
    </View>
  );
}

/** An address by tape: one figure after the other, on keys of its own, and what is left out stays unmeasured. */
export function TapeStep() {
  return (
    <NeedsClub>
      <Taping />
    </NeedsClub>
  );
}
