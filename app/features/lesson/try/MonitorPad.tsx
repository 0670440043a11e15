import type { MonitorShot, Student } from '@pedastance/contract';
import { useCallback, useRef, useState } from 'react';
import { View } from 'react-native';
import { currentOwner } from '../../../state/account';
import { api, ServerAway } from '../../../state/api';
import { useRecords } from '../../../state/records';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Quiet } from '../../../ui/Words';
import { hitsOf, nextIn, trialsOf, type NextShot, type Trial } from '../../../domain/trials';
import { useMonitor, type Line } from './useMonitor';
import { keepShot } from '../../../state/writes/trial';
import { common } from '../../../domain/common.messages';
import { messages } from './MonitorPad.messages';

const LINE_WORDS: Record<Line, string> = {
  connecting: '◐ connecting to the monitor',
  open: '● monitor connected',
  lost: '▲ connection lost; coming back by itself, and no shot is lost',
};

/** The trial as it stands this moment, whatever was rendered last. */
const asItStands = (trial: Trial): Trial | undefined =>
  trialsOf(Object.values(useRecords.getState().entries), trial.entry.studentId).find(
    ({ entry }) => entry.id === trial.entry.id,
  );

/** Keeps what the monitor tells in order, each shot once, however often it is told. */
function useKeeping(student: Student, trial: Trial) {
  const turn = useRef(Promise.resolve());
  const [fault, setFault] = useState('');
  const heard = useCallback(
    ({ id, shot }: MonitorShot) => {
      turn.current = turn.current
        .then(async () => {
          if (useRecords.getState().entries[id]) return;
          const now = asItStands(trial);
          const next = now && nextIn(now, new Date());
          if (now && next && next.kind !== 'look') await keepShot(student, now, next, shot, id);
        })
        .catch((error: Error) => setFault(common.notKept(error.message)));
    },
    [student, trial],
  );
  return { heard, fault };
}

/** Warm-up shots asked for at a time. */
const WARM_UPS_AT_ONCE = 4;

/** Shots that are asked for together: a block, or a few warm-ups; and how many of them were hit. */
function askedTogether({ entry }: Trial, next: NextShot): { shots: number; hit: number } {
  if (next.kind === 'shot') return { shots: entry.blockSize, hit: next.inBlock - 1 };
  const done = entry.warmUps - next.left;
  const hit = done % WARM_UPS_AT_ONCE;
  return { shots: Math.min(WARM_UPS_AT_ONCE, next.left + hit), hit };
}

/**
 * The same request for the same place in the trial, however often it is made: the trial's own
 * identifier, with how many shots came before it in place of its last digits. Asked again, also by a
 * page opened anew, nobody hits twice.
 */
const requestId = (trial: Trial, before: number): string =>
  `${trial.entry.id.slice(0, 24)}${before.toString(16).padStart(12, '0')}`;

interface MonitorPadProps {
  student: Student;
  trial: Trial;
  next: NextShot;
}

/** The simulated student and the simulated launch monitor: asked to hit, and heard. */
export function MonitorPad({ student, trial, next }: MonitorPadProps) {
  const { heard, fault } = useKeeping(student, trial);
  const line = useMonitor(trial.entry.id, heard);
  const [asked, setAsked] = useState(-1);
  const [away, setAway] = useState('');
  const together = askedTogether(trial, next);
  const before = hitsOf(trial).length - together.hit;
  const swinging = asked === before;
  const hit = async () => {
    const owner = currentOwner();
    if (!owner) return;
    const { setup, clubLengthInches } = trial.ways[next.way]!;
    setAway('');
    setAsked(before);
    try {
      await api.simulateShots(owner, {
        id: requestId(trial, before),
        madeAt: trial.entry.madeAt,
        sessionId: trial.entry.id,
        studentId: student.id,
        setup,
        clubLengthInches,
        shots: together.shots,
      });
    } catch (error) {
      setAsked(-1);
      setAway(error instanceof ServerAway ? messages.theMonitorDoesNotAnswer : (error as Error).message);
    }
  };
  return (
    <View className="gap-2" testID="monitor-pad">
      <Notice kind="plain">{messages.simulatedThisStudent}</Notice>
      <Quiet aria-live="polite">{LINE_WORDS[line]}</Quiet>
      {(away || fault) !== '' && (
        <Notice kind="trouble" live>
          {away || fault}
        </Notice>
      )}
      <Button
        words={
          swinging ? messages.swinging : messages.letTheSimulatedStudentHit(together.shots - together.hit)
        }
        disabled={swinging}
        onPress={() => void hit()}
      />
    </View>
  );
}
