import type { Student } from '@pedastance/contract';
import { LOOKS, type Next } from '@pedastance/core/trial';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { lesson, tryOn } from '../../state/lesson';
import { Body, LargeFigure, Quiet } from '../../ui/Words';
import { tellChange, useSpeech } from '../log/sentences';
import { HandPad } from './HandPad';
import { LookPanel } from './LookPanel';
import { MonitorPad } from './MonitorPad';
import { nextIn, type Trial } from './trials';

/** Between two blocks the student steps off and settles (starting value), s. */
const REST_S = 20;

/** Counts the rest down from the last shot; nothing waits for it. */
function Rest({ since }: { since: string }) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const ticking = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(ticking);
  }, []);
  const left = Math.ceil(REST_S - (now - Date.parse(since)) / 1000);
  if (left <= 0 || left > REST_S) return null;
  return <Quiet role="timer">{`Step off and settle: ${left} s`}</Quiet>;
}

/** What is to be stood in next, large enough to be read from the ball. */
function NextUp({
  student,
  trial,
  next,
}: {
  student: Student;
  trial: Trial;
  next: Exclude<Next, { kind: 'look' }>;
}) {
  const speech = useSpeech(student.hand);
  const { A, B } = trial.addresses;
  const arm = next.kind === 'shot' ? next.arm : 'A';
  const other = arm === 'A' ? B : A;
  const lines = tellChange(other.setup, trial.addresses[arm].setup, speech);
  const cue = arm === 'A' ? trial.entry.cueA : trial.entry.cueB;
  const last = trial.shots[trial.shots.length - 1];
  const hit = trial.shots.filter(({ place }) => !place.warmUp).length;
  return (
    <View className="gap-1" testID="next-up" aria-live="polite">
      <View className="flex-row items-center gap-4">
        <LargeFigure testID="next-arm">{next.kind === 'warm-up' ? '~' : arm}</LargeFigure>
        <View className="flex-1">
          <Body className="text-lg font-semibold">
            {next.kind === 'warm-up'
              ? `Warm-up, as today: ${next.left} more`
              : `Setup ${arm}, shot ${next.inBlock} of ${trial.entry.blockSize}`}
          </Body>
          {next.kind === 'shot' && (
            <Quiet>{`Shot ${hit + 1} of ${2 * LOOKS[trial.looks.length]!}, to look ${trial.looks.length + 1} of 3`}</Quiet>
          )}
        </View>
      </View>
      {next.kind === 'shot' && next.changed && lines.map((line) => <Body key={line}>{line}</Body>)}
      {cue !== '' && <Body className="font-semibold">{`Think: ${cue}`}</Body>}
      {next.kind === 'shot' && next.changed && last && <Rest since={last.madeAt} />}
    </View>
  );
}

/** A trial that goes on: what is next, the way to note it, and a look when one is due. */
export function RunTrial({ student, trial }: { student: Student; trial: Trial }) {
  const next = nextIn(trial, new Date());
  const arm = next.kind === 'shot' ? next.arm : next.kind === 'warm-up' ? 'A' : 'B';
  const { A, B } = trial.addresses;
  useEffect(() => {
    tryOn({ setup: (arm === 'A' ? A : B).setup, other: (arm === 'A' ? B : A).setup });
    return () => {
      if (lesson.getState().trying) tryOn(null);
    };
  }, [arm, A, B]);
  if (next.kind === 'look') return <LookPanel student={student} trial={trial} look={next.look} />;
  return (
    <View className="gap-3" testID="run-trial">
      <NextUp student={student} trial={trial} next={next} />
      {trial.entry.source === 'by hand' ? (
        <HandPad student={student} trial={trial} next={next} />
      ) : (
        <MonitorPad student={student} trial={trial} next={next} />
      )}
      <Quiet>Stop whenever you like: it goes on from here, also another day, after a new warm-up.</Quiet>
    </View>
  );
}
