import { sameClubAndShot } from '@pedastance/core/club';
import { useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { lesson, openStep, replaceAgreed } from '../../../state/lesson';
import { useRecords } from '../../../state/records';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Body } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { NeedsClub } from '../NeedsClub';
import { WorkPlace } from '../WorkPlace';
import { DeclareTrial } from './DeclareTrial';
import { RunTrial } from './RunTrial';
import { TrialLink } from '../../../cards/TrialLink';
import { decided, nextIn, trialsOf, type Trial } from '../../../domain/trials';
import { common } from '../../../domain/common.messages';
import { messages } from './TryStep.messages';

/** The newest trial with the lesson's club and shot, whichever lesson declared it. */
function useTrial(): Trial | undefined {
  const { student } = useLessonContext();
  const entries = useRecords((state) => state.entries);
  const club = useStore(lesson, (state) => state.draft?.club ?? undefined);
  const shot = useStore(lesson, (state) => state.draft?.shot);
  return useMemo(
    () =>
      trialsOf(Object.values(entries), student.id).find(
        ({ addresses: { A } }) => club && shot && sameClubAndShot(A, { club, shot }),
      ),
    [entries, student.id, club, shot],
  );
}

/** What a trial came to, and what to do with it. */
function CameTo({ trial, onAnother }: { trial: Trial; onAnother: () => void }) {
  const agreed = useStore(lesson, (state) => state.draft?.agreed ?? null);
  const kept = decided(trial) === 'keep';
  return (
    <>
      <Notice kind={kept ? 'good' : 'plain'}>
        <Body className="font-semibold">
          {kept
            ? messages.triedAndToBeKept
            : trial.looks.at(-1)!.verdict === 'not shown'
              ? messages.triedAndNotShown
              : messages.triedAndToBeDropped}
        </Body>
        <TrialLink trial={trial} />
      </Notice>
      {kept ? (
        <Button words={common.keep} label={messages.onToKeeping} onPress={() => openStep('keep')} />
      ) : (
        <Button
          words={messages.backToTodaysFeet}
          disabled={!agreed}
          onPress={() => {
            replaceAgreed(null);
            openStep('change');
          }}
        />
      )}
      <Button look="plain" words={messages.trySomethingElse} onPress={onAnother} />
    </>
  );
}

function Trying({ trial }: { trial: Trial | undefined }) {
  const { student } = useLessonContext();
  const setup = useStore(lesson, (state) => state.draft?.setup ?? null);
  const agreed = useStore(lesson, (state) => state.draft?.agreed ?? null);
  const [another, setAnother] = useState(false);
  if (!setup) return null;
  if (trial && decided(trial) === null) return <RunTrial student={student} trial={trial} />;
  if (trial && !another) return <CameTo trial={trial} onAnother={() => setAnother(true)} />;
  return <DeclareTrial student={student} a={setup} b={agreed ?? setup} />;
}

/** The change against today's setup, shot by shot. */
export function TryStep() {
  const trial = useTrial();
  const running = trial !== undefined && decided(trial) === null;
  const looking = running && nextIn(trial, new Date()).kind === 'look';
  return (
    <NeedsClub>
      {/* Each part of a trial begins at its top. */}
      <WorkPlace
        key={looking ? 'look' : running ? 'run' : 'declare'}
        label={messages.theTrial}
        plan={running && !looking ? 'small' : 'none'}
      >
        <Trying trial={trial} />
      </WorkPlace>
    </NeedsClub>
  );
}
