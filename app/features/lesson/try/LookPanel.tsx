import type { LookEntry, Student } from '@pedastance/contract';
import { decisionOf, isLastLook, type Look, type TrialVerdict } from '@pedastance/core/trial';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Working } from '../../../cards/Working';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { Notice } from '../../../ui/Notice';
import { Body, Heading } from '../../../ui/Words';
import { useComputation } from '../../../workers/useComputation';
import { planOf, type Trial } from '../../../domain/trials';
import { TrialResult } from '../../../cards/TrialResult';
import { decide } from '../../../state/writes/trial';
import { useSpeech, useUnits } from '../../../state/useSpeech';
import { common } from '../../../domain/common.messages';
import { messages } from './LookPanel.messages';

const DECISION_WORDS: Record<LookEntry['decision'], string> = {
  keep: messages.keepIt,
  'go on': messages.goOnToTheNext,
  drop: messages.dropIt,
};

/** The decision a verdict comes to; what was not shown is not dropped for cause. */
const defaultWords = (verdict: TrialVerdict): string =>
  verdict === 'not shown' ? messages.stayWithTheOldSetup : DECISION_WORDS[decisionOf(verdict)];

/** A look that is due: pain first, then what the shots say, then the decision with its evidence. */
export function LookPanel({ student, trial, look }: { student: Student; trial: Trial; look: Look }) {
  const speech = useSpeech(student.hand);
  const units = useUnits();
  const [pain, setPain] = useState<'no' | 'yes' | null>(null);
  const [overruling, setOverruling] = useState(false);
  const [note, setNote] = useState('');
  const [fault, setFault] = useState('');
  const question = useMemo(
    () =>
      pain === null
        ? null
        : {
            ask: 'look' as const,
            of: { plan: planOf(trial), shots: trial.shots, look, painUp: pain === 'yes' },
          },
    [pain, trial, look],
  );
  const computation = useComputation(question);
  const { answer, done } = computation;
  const take = async (decision: LookEntry['decision']) => {
    if (!answer) return;
    if (decision !== decisionOf(answer.verdict.verdict) && note.trim() === '') {
      return setFault(messages.whyExpectedAReason);
    }
    try {
      await decide(student, trial, answer.verdict, pain === 'yes', decision, note);
    } catch (error) {
      setFault(common.notKept((error as Error).message));
    }
  };
  const says = answer && decisionOf(answer.verdict.verdict);
  const others = (['keep', 'go on', 'drop'] as const).filter(
    (decision) => decision !== says && !(decision === 'go on' && isLastLook(trial.entry.length, look)),
  );
  return (
    <View className="gap-3" testID="look">
      <Heading>
        {trial.entry.length === 'quick' ? messages.whatTheTenShotsSay : messages.lookOf(look)}
      </Heading>
      <Choice
        label={messages.doesAnythingHurtMore}
        options={[
          { value: 'no', words: common.no },
          { value: 'yes', words: messages.yesItHurts },
        ]}
        value={pain}
        onChange={setPain}
      />
      {pain !== null && !answer && (
        <Working
          of={computation}
          words={done === null ? undefined : messages.workingDone(Math.round(100 * done))}
        />
      )}
      {answer && says && (
        <>
          <TrialResult
            trial={trial}
            verdict={answer.verdict}
            comparisons={answer.comparisons}
            speech={speech}
            units={units}
          />
          {fault !== '' && !overruling && (
            <Notice kind="trouble" live>
              {fault}
            </Notice>
          )}
          <Button words={defaultWords(answer.verdict.verdict)} onPress={() => void take(says)} />
          <View className="flex-row">
            <Button
              look="quiet"
              words={overruling ? messages.leaveItToTheShots : messages.decideOtherwise}
              onPress={() => {
                setFault('');
                setOverruling(!overruling);
              }}
            />
          </View>
          {overruling && (
            <View className="gap-2">
              <Body>{messages.itIsYoursToDecide}</Body>
              <Field
                label={messages.why}
                value={note}
                onChangeText={setNote}
                maxLength={500}
                fault={fault || undefined}
              />
              <View className="flex-row flex-wrap gap-2">
                {others.map((decision) => (
                  <Button
                    key={decision}
                    look="plain"
                    words={DECISION_WORDS[decision]}
                    onPress={() => void take(decision)}
                  />
                ))}
              </View>
            </View>
          )}
        </>
      )}
    </View>
  );
}
