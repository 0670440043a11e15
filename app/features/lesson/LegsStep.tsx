import {
  EMPTY_SCREEN,
  NOT_MEDICAL_ADVICE,
  angleOf,
  SCREEN_DEFINITIONS,
  SCREEN_ITEMS,
  screenFor,
  spreadOf,
  type Screen,
  type ScreenItem,
  type StoodOn,
  type AngleWay,
} from '@pedastance/core/body';
import { closingSentence, type Speech } from '@pedastance/core/phrases';
import { turningBody } from '@pedastance/core/turn';
import { angleFigure } from '@pedastance/core/units';
import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useStore } from 'zustand';
import { changeDraft, lesson, openStep } from '../../state/lesson';
import { useRecords } from '../../state/records';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Body, FigureWords, Heading, Quiet } from '../../ui/Words';
import { outgrown } from '../../domain/outgrown';
import { spoken } from '../../domain/sentences';
import { day } from '../../domain/students';
import { useLessonContext } from './context';
import { Dial } from './Dial';
import { FromWidth } from './FromWidth';
import { Gauge } from './Gauge';
import { keepScreen } from '../../state/writes/screen';
import { useSpeech } from '../../state/useSpeech';
import { typedNumber } from '../../domain/typedNumber';
import { itemIn, SCREEN_WORDS, STOOD_ON, takesTheTurn, withScreened } from '../../domain/legsAndTrunk';
import { measuredOf } from '../../domain/measured';
import { common } from '../../domain/common.messages';
import { useWanted, type Wanted } from './useWanted';
import { messages } from './LegsStep.messages';

const change = (make: (screen: Screen) => Screen): void => {
  const { draft } = lesson.getState();
  if (draft) changeDraft({ screen: make(draft.screen ?? EMPTY_SCREEN) });
};

interface TryProps {
  item: ScreenItem;
  at: 0 | 1;
  name: string;
}

/** One try as it is typed; what a leg cannot do is refused with the range. */
function Try({ item, at, name }: TryProps) {
  const value = useStore(lesson, (state) => itemIn(state.draft?.screen ?? EMPTY_SCREEN, item).tries[at]);
  const [text, setText] = useState(value === undefined ? '' : String(value));
  const [shown, setShown] = useState(value);
  const [fault, setFault] = useState<string>();
  if (value !== shown) {
    setShown(value);
    setText(value === undefined ? '' : String(value));
  }
  const { least, most } = SCREEN_DEFINITIONS[item].range;
  const typed = (next: string) => {
    setText(next);
    const number = typedNumber(next);
    const empty = next.trim() === '';
    if (!empty && !(number >= least && number <= most)) {
      return setFault(messages.expectedToDegreesFound(name, least, most, next));
    }
    setFault(undefined);
    change((screen) => {
      const tries = [...itemIn(screen, item).tries];
      if (empty) tries.splice(at, 1);
      else tries[Math.min(at, tries.length)] = number;
      setShown(empty ? undefined : number);
      // Beside a try by eye a typed one makes the mean no surer.
      const stays = tries.length > 1 && itemIn(screen, item).by === 'by eye';
      return withScreened(screen, item, { tries, by: stays ? 'by eye' : 'typed' });
    });
  };
  return (
    <View className="flex-1">
      <Field
        label={at === 0 ? messages.firstTry : messages.secondTry}
        aria-label={messages.tryDegrees(name, at === 0 ? 'first' : 'second')}
        unit="°"
        value={text}
        onChangeText={typed}
        inputMode="numeric"
        fault={fault}
      />
    </View>
  );
}

function ItemRow({ item, speech }: { item: ScreenItem; speech: Speech }) {
  const screen = useStore(lesson, (state) => state.draft?.screen ?? EMPTY_SCREEN);
  const { tries, pain } = itemIn(screen, item);
  const [taking, setTaking] = useState<AngleWay | null>(null);
  const [hurts, setHurts] = useState(pain !== '');
  const take = (turn: number, by: AngleWay, uncertainty: number | null = null) => {
    change((of) => {
      const before = itemIn(of, item);
      const least = Math.max(before.uncertainty ?? 0, uncertainty ?? 0);
      // One rough try makes both no surer.
      return withScreened(of, item, {
        tries: [...before.tries.slice(-1), turn],
        by: before.by === 'by eye' && before.tries.length > 0 ? before.by : by,
        uncertainty: least > 0 ? least : null,
      });
    });
    setTaking(null);
  };
  const way = (by: AngleWay, words: string, label: string) => (
    <Button
      look={taking === by ? 'act' : 'plain'}
      words={words}
      label={messages.labelled(taking === by ? common.close : label, name)}
      onPress={() => setTaking(taking === by ? null : by)}
    />
  );
  const words = SCREEN_WORDS[item];
  const name = spoken(words.name, speech);
  const mean = tries.length > 0 ? tries.reduce((sum, each) => sum + each, 0) / tries.length : null;
  return (
    <View className="gap-2 border-b border-grid py-3" testID={`screen-${item}`}>
      <View className="flex-row items-baseline justify-between gap-2">
        <Body className="flex-1 font-semibold">{name}</Body>
        {mean !== null && (
          <Body className="figures">
            {`${angleFigure(mean)}${tries.length > 1 ? `, tries ${angleFigure(2 * spreadOf(tries))} apart` : ''}`}
          </Body>
        )}
      </View>
      <Quiet>{spoken(words.how, speech)}</Quiet>
      {taking === 'gauge' ? (
        <Gauge label={name} onTake={(turn) => take(turn, 'gauge')} onDone={() => setTaking(null)} />
      ) : (
        <View className="flex-row items-start gap-2">
          <Try item={item} at={0} name={name} />
          <Try item={item} at={1} name={name} />
        </View>
      )}
      {taking === 'by eye' && (
        <Dial label={name} range={SCREEN_DEFINITIONS[item].range} onTake={(turn) => take(turn, 'by eye')} />
      )}
      {taking === 'apparent width' && (
        <FromWidth
          name={name}
          onTake={({ value, uncertainty }) => take(value, 'apparent width', uncertainty)}
        />
      )}
      {hurts && (
        <Field
          label={messages.whenDoesItHurt(name)}
          value={pain}
          onChangeText={(when) => change((screen) => withScreened(screen, item, { pain: when }))}
          placeholder={messages.inTheTest}
          maxLength={120}
          help={messages.painEndsThisTestWhat}
        />
      )}
      <View className="flex-row flex-wrap gap-2">
        {!hurts && (
          <>
            {way('gauge', 'Gauge', messages.useThePhone)}
            {way('by eye', 'Dial', messages.setADialByEye)}
            {(item === 'hipsBack' || item === 'hipsThrough') &&
              way('apparent width', messages.byWidth, messages.byTheHipsWidthFace)}
          </>
        )}
        <Button
          look="quiet"
          words={hurts ? messages.itDoesNotHurt : messages.itHurts}
          label={`${hurts ? messages.itDoesNotHurt : messages.itHurts}: ${name}`}
          onPress={() => {
            if (hurts) change((screen) => withScreened(screen, item, { pain: '' }));
            setHurts(!hurts);
          }}
        />
      </View>
    </View>
  );
}

const LEGS = [
  { value: 'lead', words: messages.leadLeg },
  { value: 'trail', words: messages.trailLeg },
  { value: 'neither', words: messages.couldNotSay },
] as const;

/** The feet the turn is taken on, and which leg was felt to stop it. */
function TurnedOn({ screen, speech }: { screen: Screen; speech: Speech }) {
  const setup = useStore(lesson, (state) => state.draft?.setup ?? null);
  if (!takesTheTurn(screen)) return null;
  const stood = screen.turnedOn ?? STOOD_ON;
  const set = (turnedOn: Screen['turnedOn']) => change((of) => ({ ...of, turnedOn }));
  const angle = (name: keyof StoodOn, label: string, most: number) => (
    <View className="flex-1">
      <Field
        label={spoken(label, speech)}
        unit="°"
        value={String(Math.round(stood[name]))}
        onChangeText={(text) => {
          const value = typedNumber(text);
          if (value >= -45 && value <= most) set({ ...stood, [name]: value });
        }}
        inputMode="numeric"
      />
    </View>
  );
  return (
    <View className="gap-2 py-2">
      <Body className="font-semibold">{messages.onWhichFeetWas}</Body>
      <View className="flex-row gap-2">
        {angle('leadFlare', messages.leadFlare, 90)}
        {angle('trailFlare', messages.trailFlare, 90)}
        {angle('toeLine', messages.lineClosed, 45)}
      </View>
      {setup && (
        <View className="flex-row">
          <Button
            look="quiet"
            words={messages.asTheFeetStand}
            onPress={() => {
              const { measures } = measuredOf(setup);
              const { leadFlare, trailFlare, toeLine } = measures;
              set({ leadFlare, trailFlare, toeLine });
            }}
          />
        </View>
      )}
      {(['stoppedBack', 'stoppedThrough'] as const).map((name) => (
        <Choice
          key={name}
          label={name === 'stoppedBack' ? messages.whatStoppedGoingBack : messages.whatStoppedGoingThrough}
          options={LEGS.map(({ value, words }) => ({ value, words: spoken(words, speech) }))}
          value={screen[name] ?? 'neither'}
          onChange={(leg) => change((of) => ({ ...of, [name]: leg === 'neither' ? null : leg }))}
        />
      ))}
    </View>
  );
}

function SoreKnees({ screen, speech }: { screen: Screen; speech: Speech }) {
  return (
    <View className="gap-2 py-2">
      {(['lead', 'trail'] as const).map((foot) => (
        <Choice
          key={foot}
          label={spoken(foot === 'lead' ? messages.leadKnee : messages.trailKnee, speech)}
          options={[
            { value: 'fine', words: messages.fine },
            { value: 'sore', words: messages.sore },
          ]}
          value={screen.soreKnee[foot] ? 'sore' : 'fine'}
          onChange={(how) =>
            change((of) => ({ ...of, soreKnee: { ...of.soreKnee, [foot]: how === 'sore' } }))
          }
        />
      ))}
    </View>
  );
}

const PARTS = [
  ['toe-out', messages.naturalToeOut],
  ['legs', messages.footInTheAir],
  ['trunk', messages.seatedTrunk],
  ['turn', messages.theTurnItself],
] as const;

/** A test against what this swing wants of it: no pass mark, since another method or club wants something else. */
function AgainstWanted({ item, value, wanted }: { item: ScreenItem; value: number; wanted: Wanted | null }) {
  if (!wanted) return null;
  if (item === 'trunkBack') return <Quiet>{messages.leavesTheHips(angleFigure(wanted.leftToHips))}</Quiet>;
  const asked = wanted.ofTest(item);
  if (asked === null) return null;
  const enough = value >= asked - 0.5;
  return (
    <Quiet tone={enough ? 'moss' : 'rust'} className="font-semibold">
      {enough ? messages.enoughForThisSwing : messages.thisSwingWants(angleFigure(asked))}
    </Quiet>
  );
}

/** The newest screen there is, in figures, with what its measured turns said of the model. */
function Newest({ speech }: { speech: Speech }) {
  const { screen: taken, student, build } = useLessonContext();
  const wanted = useWanted();
  const builds = useRecords((state) => state.builds);
  const screen = taken && screenFor(taken, student.hand);
  if (!screen) return <Body>{messages.notTestedYetNobodyKnows}</Body>;
  const grown = outgrown(builds[screen.buildId], build, student);
  const { residuals, closing } = turningBody(screen, student.hand);
  return (
    <View className="gap-2" testID="newest-screen">
      {grown && <Notice kind="caution">{messages.hasGrownSinceTheseLegs}</Notice>}
      {SCREEN_ITEMS.flatMap((item) => {
        const angle = angleOf(screen, item);
        const { pain, takenAt } = itemIn(screen, item);
        if (!angle && pain === '') return [];
        return [
          <View key={item} className="flex-row justify-between gap-2 border-b border-grid py-1">
            <View className="flex-1">
              <Body>{spoken(SCREEN_WORDS[item].name, speech)}</Body>
              {takenAt && <Quiet>{messages.skippedSinceTaken(day(takenAt))}</Quiet>}
            </View>
            {angle ? (
              <View className="items-end">
                <FigureWords className="text-base">{`${angleFigure(angle.value)} ± ${angleFigure(angle.uncertainty)}`}</FigureWords>
                <AgainstWanted item={item} value={angle.value} wanted={wanted} />
              </View>
            ) : (
              <Body>{messages.hurts(pain)}</Body>
            )}
          </View>,
        ];
      })}
      {residuals.map(({ measured, predicted, halfWidth, missed }, at) => (
        <Body key={at}>
          {messages.goingTheHipsWerePredicted(
            measured.turn,
            angleFigure(predicted),
            angleFigure(halfWidth),
            angleFigure(measured.reached.value),
            missed
              ? ' That is further off than the prediction allows: measure again, or trust the measured turn.'
              : '',
          )}
        </Body>
      ))}
      {screen.earlierTurns.length > 0 && <Body>{closingSentence(closing)}</Body>}
      <Quiet>{messages.takenEveryIsOneStandard(day(screen.madeAt))}</Quiet>
    </View>
  );
}

function Taking({ screen, speech }: { screen: Screen; speech: Speech }) {
  return (
    <>
      <Quiet>{messages.itTellsACoachWhere(NOT_MEDICAL_ADVICE)}</Quiet>
      <SoreKnees screen={screen} speech={speech} />
      {PARTS.map(([part, heading]) => (
        <View key={part}>
          <Heading>{heading}</Heading>
          {SCREEN_ITEMS.filter((item) => SCREEN_DEFINITIONS[item].part === part).map((item) => (
            <ItemRow key={item} item={item} speech={speech} />
          ))}
        </View>
      ))}
      <TurnedOn screen={screen} speech={speech} />
    </>
  );
}

/** Legs and trunk: what was screened last, and a screen taken item by item. */
export function LegsStep() {
  const { student, build, screen: before } = useLessonContext();
  const builds = useRecords((state) => state.builds);
  // Legs that have grown are tested anew: what they did before no longer holds.
  const holds = before !== null && !outgrown(builds[before.buildId], build, student);
  const speech = useSpeech(student.hand);
  const screen = useStore(lesson, (state) => state.draft?.screen ?? null);
  const [fault, setFault] = useState('');
  // A hand put right while the legs are being taken: what was taken stays with its side of the body.
  useEffect(() => {
    if (screen && screen.hand !== student.hand) changeDraft({ screen: screenFor(screen, student.hand) });
  }, [screen, student.hand]);
  const keep = async () => {
    if (!screen || screen.items.length === 0) return setFault(messages.nothingTakenYetExpected);
    const whole = takesTheTurn(screen) && !screen.turnedOn ? { ...screen, turnedOn: STOOD_ON } : screen;
    try {
      await keepScreen(whole, { student, build, before: holds ? before : null });
      setFault('');
    } catch (error) {
      setFault(common.notKept((error as Error).message));
    }
  };
  return (
    <View className="flex-1">
      <ScrollView
        className="flex-1"
        contentContainerClassName="gap-3 p-4"
        tabIndex={0}
        aria-label={common.legsAndTrunk}
      >
        {screen ? <Taking screen={screen} speech={speech} /> : <Newest speech={speech} />}
        {fault !== '' && (
          <Notice kind="trouble" live>
            {fault}
          </Notice>
        )}
      </ScrollView>
      <View className="flex-row flex-wrap gap-3 border-t border-grid p-3">
        {screen ? (
          <>
            <Button className="flex-1" words={messages.keepTheTest} onPress={() => void keep()} />
            <Button look="quiet" words={messages.discard} onPress={() => changeDraft({ screen: null })} />
          </>
        ) : (
          <>
            <Button
              look="plain"
              words={messages.testLegsAndTrunk}
              onPress={() => changeDraft({ screen: { ...EMPTY_SCREEN, hand: student.hand } })}
            />
            <Button
              className="flex-1"
              words={common.club}
              label={messages.onToTheClub}
              onPress={() => openStep('club')}
            />
          </>
        )}
      </View>
    </View>
  );
}
