import type { Student } from '@pedastance/contract';
import { decisionOf, type FactorialVerdict } from '@pedastance/core/trial';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Working } from '../../../cards/Working';
import { lesson, replaceAgreed } from '../../../state/lesson';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Notice } from '../../../ui/Notice';
import { Heading } from '../../../ui/Words';
import { useComputation } from '../../../workers/useComputation';
import { FactorialResult } from '../../../cards/FactorialResult';
import { planOf, type Trial } from '../../../domain/trials';
import { decide } from '../../../state/writes/trial';
import { useSpeech, useUnits } from '../../../state/useSpeech';
import { common } from '../../../domain/common.messages';
import { messages } from './FactorialLook.messages';

const DECISION_WORDS: Record<FactorialVerdict['verdict'], string> = {
  keep: messages.keepWhatHelpedDrop,
  'not shown': messages.stayWithTheOldSetup,
  drop: messages.dropIt,
};

/** The one look at changes that were taken apart: pain first, then what each did, and what is kept of them. */
export function FactorialLook({ student, trial }: { student: Student; trial: Trial }) {
  const speech = useSpeech(student.hand);
  const units = useUnits();
  const [pain, setPain] = useState<'no' | 'yes' | null>(null);
  const [fault, setFault] = useState('');
  const changes = trial.entry.apart?.changes.length ?? 0;
  const question = useMemo(() => {
    if (pain === null) return null;
    const of = { plan: planOf(trial), changes, shots: trial.factorialShots, painUp: pain === 'yes' };
    return { ask: 'apart' as const, of };
  }, [pain, trial, changes]);
  const computation = useComputation(question);
  const { answer } = computation;
  const take = async () => {
    if (!answer) return;
    const { verdict, because, effects, helps } = answer;
    try {
      await decide(
        student,
        trial,
        { look: 1, verdict, because, primary: null, effects },
        pain === 'yes',
        decisionOf(verdict),
        '',
      );
      // What helped is what stays agreed, and nothing else of it.
      if (lesson.getState().draft) replaceAgreed(verdict === 'keep' ? trial.ways[helps]!.setup : null);
    } catch (error) {
      setFault(common.notKept((error as Error).message));
    }
  };
  return (
    <View className="gap-3" testID="look">
      <Heading>{messages.theLook}</Heading>
      <Choice
        label={messages.doesAnythingHurtMoreThan}
        options={[
          { value: 'no', words: common.no },
          { value: 'yes', words: messages.yesItHurts },
        ]}
        value={pain}
        onChange={setPain}
      />
      {pain !== null && !answer && <Working of={computation} />}
      {answer && (
        <>
          <FactorialResult trial={trial} verdict={answer} speech={speech} units={units} />
          {fault !== '' && (
            <Notice kind="trouble" live>
              {fault}
            </Notice>
          )}
          <Button words={DECISION_WORDS[answer.verdict]} onPress={() => void take()} />
        </>
      )}
    </View>
  );
}
