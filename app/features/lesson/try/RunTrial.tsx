import type { Student } from '@pedastance/contract';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { lesson, tryOn } from '../../../state/lesson';
import { Body, LargeFigure, Quiet } from '../../../ui/Words';
import { tellChange } from '../../../domain/sentences';
import { FactorialLook } from './FactorialLook';
import { FileForTrial, FilePad } from './FilePad';
import { HandPad } from './HandPad';
import { LookPanel } from './LookPanel';
import { MonitorPad } from './MonitorPad';
import { TypedPad } from './TypedPad';
import {
  awaitsFile,
  hitsOf,
  nextIn,
  wayName,
  wayOf,
  type NextShot,
  type Trial,
} from '../../../domain/trials';
import { useSpeech } from '../../../state/useSpeech';
import { messages } from './RunTrial.messages';

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
  const over = left <= 0 || left > REST_S;
  // The line stays when its time is over: the pad below must not move under a thumb.
  return <Quiet role="timer">{over ? '\u00a0' : messages.stepOffAndSettleS(left)}</Quiet>;
}

/** How far a trial is, and to what. */
function howFar(trial: Trial, next: Extract<NextShot, { kind: 'shot' }>): string {
  const hit = hitsOf(trial).filter(({ place }) => !place.warmUp).length;
  const oneLook = trial.entry.apart || trial.entry.length === 'quick';
  const to = oneLook ? messages.toTheLook : messages.toLook(trial.looks.length + 1);
  return messages.shotOf(hit + 1, hit + next.toLook, to);
}

const setupWords = ({ entry }: Trial, name: string, inBlock: number): string =>
  entry.blockSize === 1 ? messages.setup(name) : messages.setupShot(name, inBlock, entry.blockSize);

/** What is to be stood in next, large enough to be read from the ball. */
function NextUp({ student, trial, next }: { student: Student; trial: Trial; next: NextShot }) {
  const speech = useSpeech(student.hand);
  const name = wayName(trial, next.way);
  const cue = name === 'A' ? trial.entry.cueA : name === 'B' ? trial.entry.cueB : '';
  const last = hitsOf(trial).at(-1);
  const before = trial.ways[last ? wayOf(last.place) : 0]!;
  const lines = tellChange(before.setup, trial.ways[next.way]!.setup, speech);
  return (
    <View className="gap-1" testID="next-up" aria-live="polite">
      <View className="flex-row items-center gap-4">
        <LargeFigure testID="next-arm">{next.kind === 'warm-up' ? '~' : name}</LargeFigure>
        <View className="flex-1">
          <Body className="text-lg font-semibold">
            {next.kind === 'warm-up'
              ? messages.warmUpAsTodayMore(next.left)
              : setupWords(trial, name, next.inBlock)}
          </Body>
          {next.kind === 'shot' && <Quiet>{howFar(trial, next)}</Quiet>}
        </View>
      </View>
      {next.kind === 'shot' && next.changed && lines.map((line) => <Body key={line}>{line}</Body>)}
      {next.kind === 'shot' && next.changed && lines.length === 0 && (
        <Quiet>{messages.theSameFeetAgain}</Quiet>
      )}
      {cue !== '' && <Body className="font-semibold">{messages.think(cue)}</Body>}
      {next.kind === 'shot' && next.changed && last && <Rest since={last.madeAt} />}
    </View>
  );
}

const PADS: Record<Trial['entry']['source'], typeof HandPad> = {
  'by hand': HandPad,
  typed: TypedPad,
  file: FilePad,
  'simulated monitor': MonitorPad,
};

/** A trial that goes on: what is next, the way to note it, and a look when one is due. */
export function RunTrial({ student, trial }: { student: Student; trial: Trial }) {
  const next = nextIn(trial, new Date());
  const way = next.kind === 'look' ? trial.ways.length - 1 : next.way;
  const { ways } = trial;
  const setup = ways[way]!.setup;
  const other = ways[way === 0 ? ways.length - 1 : 0]!.setup;
  useEffect(() => {
    tryOn({ setup, other });
    return () => {
      if (lesson.getState().trying) tryOn(null);
    };
  }, [setup, other]);
  if (next.kind === 'look') {
    if (awaitsFile(trial)) return <FileForTrial student={student} trial={trial} />;
    return trial.entry.apart ? (
      <FactorialLook student={student} trial={trial} />
    ) : (
      <LookPanel student={student} trial={trial} look={next.look} />
    );
  }
  const Pad = PADS[trial.entry.source];
  return (
    <View className="gap-3" testID="run-trial">
      <NextUp student={student} trial={trial} next={next} />
      <Pad student={student} trial={trial} next={next} />
      <Quiet>{messages.stopWheneverYouLike}</Quiet>
    </View>
  );
}
