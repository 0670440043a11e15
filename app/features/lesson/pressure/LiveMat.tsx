import {
  steadiest,
  STILL_SWAY,
  struckAt,
  swayOf,
  swingsIn,
  traceOf,
  type PressureRecording,
  type SwingTimes,
  type SwingTrace,
} from '@pedastance/core/balance';
import { bandsFor, withExceptions } from '@pedastance/core/method';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { stoodOnMat } from '../../../domain/pressure';
import { spoken } from '../../../domain/sentences';
import { useMadeUp } from '../../../state/account';
import { changeFeet, lesson } from '../../../state/lesson';
import {
  closeMat,
  liveMat,
  matRecording,
  newestFrame,
  onFrames,
  shotAbout,
  standsNow,
} from '../../../state/liveMat';
import { addSwings } from '../../../state/pressure';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Body, LargeFigure, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { useExceptions } from '../Exceptions';
import { messages } from './PressureStep.messages';

/** Figures change so often, ms: faster cannot be read. */
const FIGURES_MS = 200;
/** Swings are looked for so often, and in so much of the recording, ms. */
const LOOK_MS = 1000;
const LOOKED_AT_MS = 9000;
/** Standing still is looked for in the last of the recording, ms. */
const STOOD_MS = 10_000;

/** The last part of the recording. */
function lastOf(ms: number): PressureRecording {
  const { rate, frames } = matRecording();
  return { rate, frames: frames.slice(-Math.round((ms * rate) / 1000)) };
}

/** Two findings of one strike lie nearer than this, ms. */
const SAME_MS = 1500;

/** A swing as it is kept: a monitor beside the mat knows its strike better, and its path. */
function traceHeard(recording: PressureRecording, times: SwingTimes): SwingTrace {
  const shot = shotAbout(times.impact);
  return shot
    ? { ...traceOf(recording, struckAt(times, shot.at)), path: shot.path }
    : traceOf(recording, times);
}

/** Adds each swing to the lesson once its finish is there. */
function useSwingsFound(): void {
  const found = useRef<number[]>([]);
  useEffect(() => {
    const look = () => {
      const recording = lastOf(LOOKED_AT_MS);
      const newest = newestFrame()?.at ?? 0;
      const isNew = ({ impact, finish }: SwingTimes): boolean =>
        finish + 400 < newest && found.current.every((at) => Math.abs(at - impact) > SAME_MS);
      const fresh = swingsIn(recording).filter(isNew);
      if (fresh.length === 0) return;
      found.current.push(...fresh.map(({ impact }) => impact));
      addSwings(
        'simulated mat',
        fresh.map((times) => traceHeard(recording, times)),
      );
    };
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, []);
}

/** How the student stands now and how still, in whole percent, a few times a second. */
function useStandsNow() {
  const [stands, setStands] = useState<(ReturnType<typeof standsNow> & { sway: number | null }) | null>(null);
  useEffect(() => {
    let shown = 0;
    return onFrames(() => {
      const now = performance.now();
      const frame = newestFrame();
      if (!frame || now - shown < FIGURES_MS) return;
      shown = now;
      setStands({ ...standsNow(frame), sway: swayOf(matRecording()) });
    });
  }, []);
  return stands;
}

const percent = (value: number): string => `${Math.round(value)}%`;
const band = ({ low, high }: { low: number; high: number }): string =>
  `${Math.round(low)} to ${percent(high)}`;

/** What the method, or what was found of the student, asks for with the lesson's club. */
function Asked() {
  const { student, build, legs, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const exceptions = useExceptions();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  if (!club) return null;
  const asked = bandsFor(method, { build: build.figures, legs }, { club, shot, clubLengthInches });
  const { leadShare, heelToe } = withExceptions(asked, exceptions).figures;
  const own = exceptions.find(({ item }) => item === 'heelToe');
  return (
    <>
      {leadShare && heelToe && (
        <Quiet>{spoken(messages.asked(band(leadShare), band(heelToe)), speech)}</Quiet>
      )}
      {own && <Quiet>{messages.ownMiddle(band(own))}</Quiet>}
    </>
  );
}

/** The mat as it is heard: how the student stands, taken when it is still; swings are found by themselves. */
export function LiveMat() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const line = useStore(liveMat, (state) => state.line);
  const stands = useStandsNow();
  const madeUp = useMadeUp();
  const [told, setTold] = useState<{ words: string; good: boolean } | null>(null);
  useSwingsFound();
  const hold = () => {
    const still = steadiest(lastOf(STOOD_MS));
    const setup = lesson.getState().draft?.setup;
    if (!still || !setup) return setTold({ words: messages.holdStill, good: false });
    // A stand-in’s weight is no real student’s.
    if (!madeUp) return setTold({ words: messages.notTaken, good: false });
    changeFeet(stoodOnMat(setup, still));
    const { leadShare, leadHeelToe, trailHeelToe } = still;
    const words = messages.got(
      percent(leadShare.value),
      percent(leadHeelToe.value),
      percent(trailHeelToe.value),
    );
    setTold({ words: spoken(words, speech), good: true });
  };
  return (
    <View className="gap-2" testID="live-mat">
      <Notice kind="plain">{messages.simulated}</Notice>
      {line === 'lost' && <Notice kind="caution">{messages.lineLost}</Notice>}
      {line === 'connecting' && <Quiet>{messages.connecting}</Quiet>}
      {stands && (
        <View className="flex-row flex-wrap items-end justify-between gap-2">
          <View>
            <Quiet>{spoken(messages.lead, speech)}</Quiet>
            <LargeFigure testID="live-share">{`${stands.share}%`}</LargeFigure>
          </View>
          <Body className="figures">
            {spoken(messages.heelToe(`${stands.lead}%`, `${stands.trail}%`), speech)}
          </Body>
        </View>
      )}
      {stands && stands.sway !== null && (
        <Quiet testID="live-sway">
          {stands.sway <= STILL_SWAY ? messages.still : messages.sways(percent(stands.sway))}
        </Quiet>
      )}
      <Asked />
      <Quiet>{messages.centre}</Quiet>
      <View className="flex-row flex-wrap gap-2">
        <Button words={messages.hold} onPress={hold} />
        <Button look="quiet" words={messages.stepOff} onPress={closeMat} />
      </View>
      {told && (
        <Notice kind={told.good ? 'good' : 'caution'} live>
          {told.words}
        </Notice>
      )}
    </View>
  );
}
