import type { LadderEntry, Logged } from '@pedastance/contract';
import { standWords } from '@pedastance/core/card';
import {
  isScored,
  limitsFor,
  MOST_SCORED,
  nextOn,
  thresholdOf,
  type MeasuredOnRung,
  type NextTurn,
  type TryResult,
} from '@pedastance/core/ladder';
import { FIGURES } from '@pedastance/core/setup';
import UndoIcon from 'lucide-react-native/icons/undo-2';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { laddersIn, sparedOnLadders, type OfferedLadder } from '../../../domain/ladders';
import { keptFound, rungWords } from '../../../domain/ladderWords';
import { spoken } from '../../../domain/sentences';
import { day, dayOf } from '../../../domain/students';
import { beginLadderAnew, noteTurn, takeBackTurn } from '../../../state/ladder';
import { useRecords } from '../../../state/records';
import { useSpeech } from '../../../state/useSpeech';
import { Button, IconButton } from '../../../ui/Button';
import { INK } from '../../../ui/colours';
import { Notice } from '../../../ui/Notice';
import { Body, HugeFigure, Quiet, WideFigure } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { LadderFound, type OnLadder } from './LadderFound';
import { messages } from './LadderStep.messages';
import { MeasureTurn } from './MeasureTurn';
import { useClimb } from './useClimb';
import { useFeet, useRungOnPlan } from './useRung';

const SCORES: readonly { result: TryResult; look: 'act' | 'plain' | 'quiet'; words: string }[] = [
  { result: 'passed', look: 'act', words: messages.passed },
  { result: 'failed', look: 'plain', words: messages.failed },
  { result: 'worse', look: 'plain', words: messages.worse },
  { result: 'pain', look: 'quiet', words: messages.hurts },
];

type TurnProps = OnLadder & { next: Extract<NextTurn, { kind: 'turn' }> };

/** The rung to stand on, large enough for three metres, and one tap for how the turn went. */
function Turn({ offered: { key, ladder }, next, limits, turns }: TurnProps) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const feet = useFeet();
  const [moved, setMoved] = useState(0);
  const [measured, setMeasured] = useState<MeasuredOnRung | null>(null);
  const { fine, measures, swing } = ladder;
  // A length with its unit is too long for the largest figure on a phone.
  const RungFigure = FIGURES[ladder.figure].unit === 'degrees' ? HugeFigure : WideFigure;
  const rung = Math.min(limits.most, Math.max(limits.least, next.rung + moved * fine));
  useRungOnPlan(ladder.figure, rung);
  const say = (value: number) => rungWords(ladder, value, speech);
  const note = (result: TryResult | null) => {
    noteTurn(key, { rung, result, measured: result === null ? null : measured });
    setMoved(0);
    setMeasured(null);
  };
  const done = turns.filter(({ result }) => result !== null).length;
  const stand = ladder.figure === 'ballOut' ? '' : standWords(ladder.figure, rung, feet, speech.length);
  return (
    <View className="gap-3" testID="rung">
      <Quiet>
        {next.scored ? messages.tryNumber(done + 1, MOST_SCORED) : messages.warmUp(turns.length + 1)}
      </Quiet>
      {next.rest && <Notice kind="plain">{messages.rest}</Notice>}
      <View className="flex-row flex-wrap items-center justify-between gap-3">
        <RungFigure testID="rung-figure">{say(rung)}</RungFigure>
        <View className="flex-row gap-2">
          <Button
            look="plain"
            words={`− ${say(fine)}`}
            label={messages.lessRung}
            onPress={() => setMoved(moved - 1)}
          />
          <Button
            look="plain"
            words={`+ ${say(fine)}`}
            label={messages.moreRung}
            onPress={() => setMoved(moved + 1)}
          />
        </View>
      </View>
      <Body className="text-lg font-semibold">{spoken(stand, speech)}</Body>
      {measures && next.scored && (
        <MeasureTurn key={turns.length} turn={measures} measured={measured} onChange={setMeasured} />
      )}
      {next.scored ? (
        <View className="flex-row flex-wrap gap-2">
          {SCORES.map(({ result, look, words }) => (
            <Button key={result} look={look} words={words} onPress={() => note(result)} />
          ))}
        </View>
      ) : (
        <Button words={messages.swung[swing]} onPress={() => note(null)} />
      )}
    </View>
  );
}

interface EarlierProps {
  entry: Logged<LadderEntry>;
  goesOn: boolean;
  clockMoved: boolean;
}

/** What the same ladder told before. */
function Earlier({ entry, goesOn, clockMoved }: EarlierProps) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const entries = useRecords((state) => state.entries);
  const before = useMemo(
    () => keptFound(entry, laddersIn(Object.values(entries), student.id), speech),
    [entry, entries, student.id, speech],
  );
  if (clockMoved) return <Notice kind="caution">{messages.clockMoved(day(entry.madeAt))}</Notice>;
  if (!before) return null;
  return (
    <Quiet testID="ladder-earlier">
      {messages.earlier(day(entry.madeAt), before.words)}
      {goesOn ? ` ${messages.goesOn}` : ''}
    </Quiet>
  );
}

/** How a stop is told that is no success. */
const KIND_OF_STOP: Partial<Record<keyof typeof messages.stops, 'caution' | 'plain'>> = {
  pain: 'caution',
  'two worse in a row': 'caution',
  'changes nowhere': 'plain',
};

/** So few scored turns tell nothing worth showing. */
const LEAST_SHOWN = 4;

/** One foot moved a step at a time, until what is asked for works: what this student needs, instead of a guess. */
export function LadderRunner({ offered }: { offered: OfferedLadder }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const { key, ladder } = offered;
  const { tries, turns, sitting, earlier, goesOn, clockMoved } = useClimb(key);
  const spared = sparedOnLadders(student, dayOf(new Date()));
  const limits = useMemo(() => limitsFor(ladder, spared), [ladder, spared]);
  const next = nextOn(ladder, tries, sitting, limits);
  const threshold = tries.filter(isScored).length >= LEAST_SHOWN ? thresholdOf(ladder, tries) : null;
  const on = { offered, tries, turns, limits };
  const nothingFound = next.kind === 'stop' && next.why === 'found' && threshold?.standOn === null;
  return (
    <View className="gap-4">
      <Body>{spoken(ladder.purpose, speech)}</Body>
      <Quiet>{`${messages.swings[ladder.swing]} ${messages.counts(spoken(ladder.passes, speech))}`}</Quiet>
      {earlier && <Earlier entry={earlier} goesOn={goesOn} clockMoved={clockMoved} />}
      {spared && <Notice kind="caution">{messages.spared}</Notice>}
      {next.kind === 'turn' ? (
        <Turn {...on} next={next} />
      ) : (
        <Notice kind={nothingFound ? 'plain' : (KIND_OF_STOP[next.why] ?? 'good')} live>
          {nothingFound ? messages.doneWithout : messages.stops[next.why]}
        </Notice>
      )}
      {turns.length > 0 && (
        <View className="flex-row flex-wrap items-center gap-2">
          <IconButton
            label={messages.takeBack}
            icon={<UndoIcon color={INK} size={22} />}
            onPress={() => takeBackTurn(key)}
          />
          <Button look="quiet" words={messages.anew} onPress={() => beginLadderAnew(key)} />
        </View>
      )}
      {threshold && <LadderFound {...on} threshold={threshold} earlier={goesOn ? null : earlier} />}
    </View>
  );
}
