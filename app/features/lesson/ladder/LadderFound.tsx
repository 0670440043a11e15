import { ladderKey } from '@pedastance/contract/climbed';
import type { LadderEntry, Logged } from '@pedastance/contract';
import {
  changedSince,
  oneMoreRound,
  stopTold,
  turnsThatTell,
  type LadderTurn,
  type Limits,
  type Threshold,
  type Try,
} from '@pedastance/core/ladder';
import { bandsFor } from '@pedastance/core/method';
import { bandWords, ownBandWords } from '@pedastance/core/phrases';
import { angleFigure, saidLength } from '@pedastance/core/units';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { laddersIn, takenOf, type OfferedLadder, type OwnBand } from '../../../domain/ladders';
import { foundWords, keptFound, rungWords } from '../../../domain/ladderWords';
import { measuredOf } from '../../../domain/measured';
import { spoken } from '../../../domain/sentences';
import { day } from '../../../domain/students';
import { lesson } from '../../../state/lesson';
import { useRecords } from '../../../state/records';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Body, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { LadderCurve } from './LadderCurve';
import { messages } from './LadderStep.messages';
import { useKeep, useLegsThatHold } from './useKeep';
import { useFeet } from './useRung';

export interface OnLadder {
  offered: OfferedLadder;
  tries: readonly Try[];
  turns: readonly LadderTurn[];
  limits: Limits;
}
type Found = OnLadder & { threshold: Threshold };

/** The feet beside the ladder's own, as turns are measured on them, degrees. */
function useStood() {
  const { leadFlare, trailFlare, toeLine } = measuredOf(useFeet()).measures;
  return { leadFlare, trailFlare, toeLine };
}

/** Where the leg stops the hips by what was measured on the rungs, beside what was thought before. */
function LegStops({ offered: { ladder }, tries, threshold }: Found) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const stood = useStood();
  const screen = useLegsThatHold();
  if (threshold.standOn === null) return null;
  const feet = { ...stood, [ladder.figure]: threshold.standOn };
  const turns = turnsThatTell(ladder, tries, stood);
  const told = stopTold(ladder, turns, { screen, hand: student.hand }, feet);
  if (!told) return null;
  const [before, after] = [angleFigure(told.before.value), angleFigure(told.after.value)];
  const words =
    before === after ? messages.legStopsAsTold(told.leg, after) : messages.legStops(told.leg, after, before);
  return (
    <Body className="font-semibold" testID="leg-stops">
      {spoken(words, speech)}
    </Body>
  );
}

/** What one more round of three tries would make of the doubt. */
function OneMore({ offered: { ladder }, tries, limits }: Found) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const told = useMemo(() => oneMoreRound(ladder, tries, limits), [ladder, tries, limits]);
  const within = (width: number) => `± ${rungWords(ladder, width / 2, speech)}`;
  const [after, now] = [within(told.after), within(told.now)];
  return <Quiet>{after === now ? messages.oneMoreLittle : messages.oneMore(after, now)}</Quiet>;
}

/** What a band of the student's own would change in what they are judged by. */
function WouldChange({ band }: { band: OwnBand }) {
  const { student, build, legs, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  const { item, low, high } = band;
  if (item === 'widest') return <Quiet>{messages.widestNow(saidLength(high, speech.length))}</Quiet>;
  if (!club || item === 'leadHeelLift') return null;
  const asked = bandsFor(method, { build: build.figures, legs }, { club, shot, clubLengthInches }).figures[
    item
  ];
  if (!asked) return null;
  const words = (of: { low: number; high: number }) => bandWords(item, of, speech.length);
  return <Quiet>{messages.inPlaceOf(words({ low, high }), words(asked))}</Quiet>;
}

/** What changed since the same ladder was gone up long ago. */
function Changed({ earlier, offered: { ladder }, threshold }: Found & { earlier: Logged<LadderEntry> }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const entries = useRecords((state) => state.entries);
  const kept = useMemo(() => laddersIn(Object.values(entries), student.id), [entries, student.id]);
  const before = keptFound(earlier, kept, speech);
  if (!before) return null;
  const { by, sure } = changedSince(before.threshold, threshold);
  const when = day(earlier.madeAt);
  const amount = rungWords(ladder, Math.abs(by), speech);
  const words = !sure
    ? messages.notSureChanged(when)
    : by > 0
      ? messages.changedMore(amount, when)
      : messages.changedLess(amount, when);
  return <Body testID="ladder-changed">{words}</Body>;
}

/** What the ladder tells so far, and the student's own band by it. */
export function LadderFound({ earlier, ...found }: Found & { earlier: Logged<LadderEntry> | null }) {
  const { offered, threshold, tries, turns } = found;
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const stood = useStood();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const lessonId = useStore(lesson, (state) => state.draft?.id ?? '');
  const entries = useRecords((state) => state.entries);
  const { told, keep } = useKeep(turns);
  const { ladder, name, own, key } = offered;
  const band = takenOf(offered, threshold, club);
  const { beyond, contradictions, doubt } = threshold;
  const beyondWords = ladder.passing === 'from' ? messages.beyond : messages.beyondUpTo;
  const say = (value: number) => rungWords(ladder, value, speech);
  const keepIt = (taken: boolean) => {
    const before = laddersIn(Object.values(entries), student.id).find(
      (each) => ladderKey(each) === key && each.lessonId === lessonId,
    );
    return keep(
      { kind: 'ladder', ladder: name, own, turns: [...turns], replaces: before?.id ?? null },
      taken ? { bands: band ? [band] : [], turns: turnsThatTell(ladder, tries, stood) } : {},
      taken ? messages.taken : messages.keptForLater,
    );
  };
  return (
    <View className="gap-2" testID="ladder-found">
      <Body className="text-lg font-semibold">{foundWords(ladder, threshold, speech)}</Body>
      <LegStops {...found} />
      {beyond && <Notice kind="caution">{beyondWords[beyond]}</Notice>}
      {doubt && (
        <Notice kind="caution" live>
          {messages.doubts[doubt]}
        </Notice>
      )}
      {!doubt &&
        contradictions.slice(0, 1).map(({ passed, failed }) => (
          <Notice key={passed} kind="caution" live>
            {messages.contradiction(say(passed), say(failed))}
          </Notice>
        ))}
      <LadderCurve ladder={ladder} tries={tries} threshold={threshold} say={say} />
      {earlier && <Changed {...found} earlier={earlier} />}
      {!doubt && <OneMore {...found} />}
      {band && <WouldChange band={band} />}
      {told?.fault === '' && (
        <Notice kind="good" live>
          {told.words}
        </Notice>
      )}
      {turns.length > 0 && told?.fault !== '' && (
        <View className="flex-row flex-wrap gap-2">
          {band && (
            <Button
              look="plain"
              words={messages.take(ownBandWords(band, speech))}
              onPress={() => void keepIt(true)}
            />
          )}
          <Button look="quiet" words={messages.keepForLater} onPress={() => void keepIt(false)} />
        </View>
      )}
      {told && told.fault !== '' && <Notice kind="trouble">{told.fault}</Notice>}
    </View>
  );
}
