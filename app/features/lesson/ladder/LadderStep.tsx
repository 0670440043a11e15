import type { LadderEntry, Logged } from '@pedastance/contract';
import { flareMark } from '@pedastance/core/card';
import {
  isScored,
  LADDERS,
  limitsFor,
  MOST_SCORED,
  nextOn,
  ownBand,
  thresholdOf,
  type Limits,
  type NextTurn,
  type Threshold,
  type Try,
  type TryResult,
} from '@pedastance/core/ladder';
import { ownBandWords } from '@pedastance/core/phrases';
import UndoIcon from 'lucide-react-native/icons/undo-2';
import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useStore } from 'zustand';
import { common } from '../../../domain/common.messages';
import {
  asTries,
  climbOf,
  laddersIn,
  sparedOnLadders,
  type Climb,
  type LadderTurn,
} from '../../../domain/ladders';
import { foundWords, ladderName } from '../../../domain/ladderWords';
import { figure, spoken } from '../../../domain/sentences';
import { day, dayOf } from '../../../domain/students';
import { standingExceptions } from '../../../domain/exceptions';
import { beginLadderAnew, noteTurn, takeBackTurn } from '../../../state/ladder';
import { lesson } from '../../../state/lesson';
import { useRecords } from '../../../state/records';
import { useSpeech } from '../../../state/useSpeech';
import { keepLadder } from '../../../state/writes/ladder';
import { Button, IconButton } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { INK } from '../../../ui/colours';
import { Notice } from '../../../ui/Notice';
import { Body, HugeFigure, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { LadderCurve } from './LadderCurve';
import { messages } from './LadderStep.messages';

const FLARES = ['trail flare', 'lead flare'] as const;
type Flare = (typeof FLARES)[number];
const FOOT: Record<Flare, 'trail' | 'lead'> = { 'trail flare': 'trail', 'lead flare': 'lead' };

const NONE: readonly LadderTurn[] = [];

/** A ladder of the open lesson with what was kept of it before. */
function useClimb(name: Flare): Climb & { turns: readonly LadderTurn[] } {
  const { student } = useLessonContext();
  const lessonId = useStore(lesson, (state) => state.draft?.id ?? '');
  const turns = useStore(lesson, (state) => state.draft?.ladders?.[name] ?? NONE);
  const entries = useRecords((state) => state.entries);
  return useMemo(() => {
    const kept = laddersIn(Object.values(entries), student.id);
    return { turns, ...climbOf(kept, { name, lessonId, turns }, new Date()) };
  }, [entries, student.id, name, lessonId, turns]);
}

const SCORES: readonly { result: TryResult; look: 'act' | 'plain' | 'quiet' }[] = [
  { result: 'passed', look: 'act' },
  { result: 'failed', look: 'plain' },
  { result: 'worse', look: 'plain' },
  { result: 'pain', look: 'quiet' },
];
const SCORE_WORDS: Record<TryResult, string> = {
  passed: messages.passed,
  failed: messages.failed,
  worse: messages.worse,
  pain: messages.hurts,
};

/** The rung to stand on, large enough for three metres, and one tap for how the turn went. */
function Turn({
  name,
  next,
  limits,
  turns,
}: {
  name: Flare;
  next: Extract<NextTurn, { kind: 'turn' }>;
  limits: Limits;
  turns: readonly LadderTurn[];
}) {
  const { student, build } = useLessonContext();
  const speech = useSpeech(student.hand);
  const [moved, setMoved] = useState(0);
  const { fine } = LADDERS[name];
  const rung = Math.min(limits.most, Math.max(limits.least, next.rung + moved * fine));
  const { shoeLength, shoeBreadth } = build.figures;
  const mark = flareMark(rung, { length: shoeLength.value, breadth: shoeBreadth.value });
  const note = (result: TryResult | null) => {
    noteTurn(name, rung, result);
    setMoved(0);
  };
  const done = turns.filter(({ result }) => result !== null).length;
  return (
    <View className="gap-3" testID="rung">
      <Quiet>
        {next.scored ? messages.tryNumber(done + 1, MOST_SCORED) : messages.warmUp(turns.length + 1)}
      </Quiet>
      {next.rest && <Notice kind="plain">{messages.rest}</Notice>}
      <View className="flex-row flex-wrap items-center justify-between gap-3">
        <HugeFigure testID="rung-figure">{figure(rung, 'degrees', speech)}</HugeFigure>
        <View className="flex-row gap-2">
          <Button
            look="plain"
            words={`− ${fine}°`}
            label={messages.lessRung}
            onPress={() => setMoved(moved - 1)}
          />
          <Button
            look="plain"
            words={`+ ${fine}°`}
            label={messages.moreRung}
            onPress={() => setMoved(moved + 1)}
          />
        </View>
      </View>
      <Body className="text-lg font-semibold">{spoken(messages.point(FOOT[name], mark), speech)}</Body>
      {next.scored ? (
        <View className="flex-row flex-wrap gap-2">
          {SCORES.map(({ result, look }) => (
            <Button key={result} look={look} words={SCORE_WORDS[result]} onPress={() => note(result)} />
          ))}
        </View>
      ) : (
        <Button words={messages.turned} onPress={() => note(null)} />
      )}
    </View>
  );
}

/** What the ladder tells so far, and the student's own band by it. */
function Found({
  name,
  threshold,
  tries,
  turns,
}: {
  name: Flare;
  threshold: Threshold;
  tries: readonly Try[];
  turns: readonly LadderTurn[];
}) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const draft = useStore(lesson, (state) => state.draft);
  const entries = useRecords((state) => state.entries);
  const [kept, setKept] = useState<{ of: unknown; words: string; fault: string } | null>(null);
  const ladder = LADDERS[name];
  const item = ladder.figure;
  const degrees = (value: number) => figure(value, 'degrees', speech);
  const band = ownBand(threshold, ladder);
  const { beyond, contradictions } = threshold;
  const keep = async (taken: boolean) => {
    const all = Object.values(entries);
    const before = laddersIn(all, student.id).find(
      (each) => each.ladder === name && each.lessonId === draft!.id,
    );
    const own = standingExceptions(all, student.id).findLast(
      (each) => each.item === item && each.club === null,
    );
    const words = taken ? messages.taken : messages.keptForLater;
    try {
      await keepLadder(
        { ladder: name, turns: [...turns], replaces: before?.id ?? null },
        taken ? { item, ...band, replaces: own?.id ?? null } : null,
        { draft: draft!, student },
      );
      setKept({ of: turns, words, fault: '' });
    } catch (error) {
      setKept({ of: turns, words, fault: common.notKept((error as Error).message) });
    }
  };
  const told = kept?.of === turns ? kept : null;
  return (
    <View className="gap-2" testID="ladder-found">
      <Body className="text-lg font-semibold">{foundWords(name, threshold, speech)}</Body>
      {beyond && <Notice kind="caution">{messages.beyond[beyond]}</Notice>}
      {contradictions.slice(0, 1).map(({ passed, failed }) => (
        <Notice key={passed} kind="caution" live>
          {messages.contradiction(degrees(passed), degrees(failed))}
        </Notice>
      ))}
      <LadderCurve ladder={ladder} tries={tries} threshold={threshold} />
      {told?.fault === '' && (
        <Notice kind="good" live>
          {told.words}
        </Notice>
      )}
      {turns.length > 0 && told?.fault !== '' && (
        <View className="flex-row flex-wrap gap-2">
          <Button
            look="plain"
            words={messages.take(ownBandWords({ item, ...band }, speech))}
            onPress={() => void keep(true)}
          />
          <Button look="quiet" words={messages.keepForLater} onPress={() => void keep(false)} />
        </View>
      )}
      {told && told.fault !== '' && <Notice kind="trouble">{told.fault}</Notice>}
    </View>
  );
}

/** What the same ladder told before. */
function Earlier({ entry, goesOn }: { entry: Logged<LadderEntry>; goesOn: boolean }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const before = thresholdOf(LADDERS[entry.ladder], asTries(entry.turns, 0));
  if (!before) return null;
  return (
    <Quiet testID="ladder-earlier">
      {messages.earlier(day(entry.madeAt), foundWords(entry.ladder, before, speech))}
      {goesOn ? ` ${messages.goesOn}` : ''}
    </Quiet>
  );
}

/** So few scored turns tell nothing worth showing. */
const LEAST_SHOWN = 4;

function OnLadder({ name }: { name: Flare }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const { tries, turns, sitting, earlier, goesOn } = useClimb(name);
  const ladder = LADDERS[name];
  const spared = sparedOnLadders(student, dayOf(new Date()));
  const limits = limitsFor(ladder, spared);
  const next = nextOn(ladder, tries, sitting, limits);
  const threshold = tries.filter(isScored).length >= LEAST_SHOWN ? thresholdOf(ladder, tries) : null;
  return (
    <View className="gap-4">
      <Body>{spoken(ladder.purpose, speech)}</Body>
      <Quiet>{messages.counts(spoken(ladder.passes, speech))}</Quiet>
      {earlier && <Earlier entry={earlier} goesOn={goesOn} />}
      {spared && <Notice kind="caution">{messages.spared}</Notice>}
      {next.kind === 'turn' ? (
        <Turn name={name} next={next} limits={limits} turns={turns} />
      ) : (
        <Notice kind={next.why === 'pain' || next.why === 'two worse in a row' ? 'caution' : 'good'} live>
          {messages.stops[next.why]}
        </Notice>
      )}
      {turns.length > 0 && (
        <View className="flex-row flex-wrap items-center gap-2">
          <IconButton
            label={messages.takeBack}
            icon={<UndoIcon color={INK} size={22} />}
            onPress={() => takeBackTurn(name)}
          />
          <Button look="quiet" words={messages.anew} onPress={() => beginLadderAnew(name)} />
        </View>
      )}
      {threshold && <Found name={name} threshold={threshold} tries={tries} turns={turns} />}
    </View>
  );
}

/** One foot moved a step at a time, until what is asked for works: what this student needs, instead of a guess. */
export function LadderStep() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const [name, setName] = useState<Flare>('trail flare');
  return (
    <ScrollView
      className="flex-1"
      contentContainerClassName="gap-4 p-4"
      tabIndex={0}
      aria-label={messages.title}
    >
      <Choice
        label={messages.which}
        options={FLARES.map((value) => ({ value, words: ladderName(value, speech) }))}
        value={name}
        onChange={setName}
      />
      <OnLadder key={name} name={name} />
    </ScrollView>
  );
}
