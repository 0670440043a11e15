import type { Student } from '@pedastance/contract';
import type { Judgement } from '@pedastance/core/advice';
import type { HouseMethod } from '@pedastance/core/method';
import { doSentences, stopsSentence, type Speech } from '@pedastance/core/phrases';
import type { Body as StudentBody } from '@pedastance/core/turn';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Working } from '../../cards/Working';
import { Body, Quiet } from '../../ui/Words';
import { useComputation } from '../../workers/useComputation';
import type { Feet } from './feet';
import { useCaseOf } from './useCaseOf';

interface JudgedByEachProps {
  student: Student;
  body: StudentBody;
  feet: Feet;
  methods: readonly HouseMethod[];
  speech: Speech;
}

export function Told({ judgement, name, shoeLength, speech }: ToldProps) {
  return (
    <View className="flex-1 gap-1 border-l-2 border-rust pl-3">
      <Quiet numberOfLines={1}>{name}</Quiet>
      <Body>{stopsSentence(judgement, speech)}</Body>
      {doSentences(judgement, shoeLength, speech).map((sentence) => (
        <Body key={sentence} className="font-semibold">
          {sentence}
        </Body>
      ))}
    </View>
  );
}

interface ToldProps {
  judgement: Judgement;
  name: string;
  /** mm */
  shoeLength: number;
  speech: Speech;
}

/** What each of the methods would do first on these feet: one judgement a method. */
export function JudgedByEach({ student, body, feet, methods, speech }: JudgedByEachProps) {
  const caseOf = useCaseOf(student, body);
  const question = useMemo(() => {
    const { setup, played, cameFor } = feet;
    const of = methods.flatMap((method) => caseOf({ setup, played, cameFor, method }) ?? []);
    return { ask: 'judgeEach' as const, of };
  }, [caseOf, feet, methods]);
  const computation = useComputation(question);
  const { answer } = computation;
  return (
    <View className="flex-row gap-3" testID="judged-by-each" aria-live="polite">
      {answer ? (
        answer.map((judgement, at) => (
          <Told
            key={methods[at]!.id}
            judgement={judgement}
            name={methods[at]!.name}
            shoeLength={feet.setup.address.shoe.length}
            speech={speech}
          />
        ))
      ) : (
        <Working of={computation} />
      )}
    </View>
  );
}
