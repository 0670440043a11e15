import type { PracticePicture } from '@pedastance/contract/practice';
import { eyeRecord } from '@pedastance/core/photo';
import { FIGURES, type Point } from '@pedastance/core/setup';
import { millimetres } from '@pedastance/core/units';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { figure, spoken } from '../../domain/sentences';
import { typedNumber } from '../../domain/typedNumber';
import { keepGuess, pictureAddress, practicePictures, readGuesses, useGuesses } from '../../state/practice';
import { useSpeech } from '../../state/useSpeech';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { SOLES } from '../../ui/colours';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Body, Quiet } from '../../ui/Words';
import { messages, type Guessed } from './PracticeScreen.messages';

const GUESSED = Object.keys(messages.asked) as Guessed[];

const pathOf = (points: readonly Point[]): string => `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}Z`;

/** A rendered picture; once the guess is made the soles are drawn where they truly are. */
function Shown({ picture, seen }: { picture: PracticePicture; seen: boolean }) {
  const { width, height, soles, taps, hand } = picture;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      style={{ width: '100%', borderRadius: 8 }}
      role="img"
      aria-label={messages.picture(hand)}
    >
      <image href={pictureAddress(picture)} width={width} height={height} />
      {seen &&
        (['trail', 'lead'] as const).map((foot) => (
          <g key={foot} data-testid={`true-${foot}`} stroke={SOLES[foot]} strokeWidth={4}>
            <path d={pathOf(soles[foot])} fill={SOLES[foot]} fillOpacity={0.25} />
            <line x1={taps[foot].heel.x} y1={taps[foot].heel.y} x2={taps[foot].toe.x} y2={taps[foot].toe.y} />
          </g>
        ))}
    </svg>
  );
}

/** How good the coach's eye is for a figure, by all that was guessed of it. */
function Record({ name, picture }: { name: Guessed; picture: PracticePicture }) {
  const speech = useSpeech(picture.hand);
  const guesses = useGuesses((state) => state.guesses);
  const record = guesses && eyeRecord(guesses, name);
  const { unit, uncertainty } = FIGURES[name];
  if (!record) return null;
  const { count, off, bias, biased } = record;
  const words = (value: number) => figure(Math.abs(value), unit, speech);
  return (
    <View testID="eye-record">
      <Body>{messages.record(count, words(off))}</Body>
      {biased && <Body>{(bias > 0 ? messages.leansOver : messages.leansUnder)(words(bias))}</Body>}
      <Quiet>{messages.counted(words(uncertainty['by eye']!))}</Quiet>
    </View>
  );
}

/** One picture and one figure: a guess, then the truth. */
function GuessOne({
  picture,
  name,
  onNext,
}: {
  picture: PracticePicture;
  name: Guessed;
  onNext: () => void;
}) {
  const speech = useSpeech(picture.hand);
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState(false);
  const [guessed, setGuessed] = useState<number | null>(null);
  const { unit } = FIGURES[name];
  const shownUnit = unit === 'degrees' ? '°' : speech.length === 'cm' ? 'cm' : 'in';
  const truth = picture.figures[name];
  const minus = messages.minus[name];
  const see = () => {
    const number = typedNumber(typed.replace('\u2212', '-'));
    setFault(Number.isNaN(number));
    if (Number.isNaN(number)) return;
    const value = unit === 'mm' ? millimetres(speech.length, number) : number;
    setGuessed(value);
    void keepGuess({ figure: name, guessed: value, truth });
  };
  const told = (value: number): string => {
    const [by, words] = [value - truth, figure(Math.abs(value - truth), unit, speech)];
    if (words === figure(0, unit, speech)) return messages.spotOn;
    return (by > 0 ? messages.over : messages.under)(words);
  };
  return (
    <View className="gap-3">
      <Shown picture={picture} seen={guessed !== null} />
      <Body className="text-lg font-semibold" testID="asked">
        {spoken(messages.asked[name], speech)}
      </Body>
      {guessed === null ? (
        <View className="gap-3">
          <Field
            label={messages.yourGuess}
            unit={shownUnit}
            // A keyboard of digits alone has no minus on every phone.
            inputMode={minus ? 'text' : 'decimal'}
            value={typed}
            onChangeText={setTyped}
            onSubmitEditing={see}
            fault={fault ? messages.notANumber(`, ${shownUnit}`) : undefined}
          />
          {minus && <Quiet>{spoken(minus, speech)}</Quiet>}
          <Button words={messages.see} onPress={see} />
        </View>
      ) : (
        <View className="gap-3" role="status" aria-live="polite">
          <Body testID="truth">{`${messages.truth(figure(truth, unit, speech))} ${told(guessed)}`}</Body>
          <Record name={name} picture={picture} />
          <Button words={messages.next} onPress={onNext} />
        </View>
      )}
    </View>
  );
}

/** The rendered pictures, one after the other; the next one is the one after those that were guessed. */
function Pictures({ pictures }: { pictures: readonly PracticePicture[] }) {
  const guesses = useGuesses((state) => state.guesses);
  const [name, setName] = useState<Guessed>('leadFlare');
  const [at, setAt] = useState(() => guesses?.length ?? 0);
  const picture = pictures[at % pictures.length]!;
  const speech = useSpeech(picture.hand);
  return (
    <>
      <Quiet>{messages.how}</Quiet>
      <Chips
        label={messages.whatToGuess}
        chips={GUESSED.map((each) => ({
          words: spoken(messages.chips[each], speech),
          chosen: each === name,
          onPress: () => setName(each),
        }))}
      />
      <GuessOne key={`${name} ${at}`} picture={picture} name={name} onNext={() => setAt((now) => now + 1)} />
    </>
  );
}

/** Practice for a coach's eye: guess a figure of rendered feet, then see what it is. */
export function PracticeScreen() {
  const [pictures, setPictures] = useState<readonly PracticePicture[] | 'none' | null>(null);
  const ready = useGuesses((state) => state.guesses !== null);
  useEffect(() => {
    void readGuesses();
    practicePictures().then(setPictures, () => setPictures('none'));
  }, []);
  return (
    <Page title={messages.title}>
      {pictures === 'none' && <Notice kind="caution">{messages.noPictures}</Notice>}
      {ready && pictures && pictures !== 'none' && <Pictures pictures={pictures} />}
    </Page>
  );
}
