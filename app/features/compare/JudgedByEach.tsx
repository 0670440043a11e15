import type { Student } from '@pedastance/contract';
import type { Case, Judgement } from '@pedastance/core/advice';
import type { HouseMethod } from '@pedastance/core/method';
import { doSentences, stopsSentence, type Speech } from '@pedastance/core/phrases';
import { goalOf, type Body as StudentBody } from '@pedastance/core/turn';
import { useMemo } from 'react';
import { View } from 'react-native';
import { caseOf } from '../../domain/case';
import { exceptionsWith, standingExceptions } from '../../domain/exceptions';
import { cautionsToday } from '../../domain/facts';
import { lastShoulderGoal } from '../../domain/records';
import { useRecords } from '../../state/records';
import { usePersonalPath } from '../../state/usePersonalPath';
import { Body, Quiet } from '../../ui/Words';
import { useComputation } from '../../workers/useComputation';
import type { Feet } from './feet';

interface JudgedByEachProps {
  student: Student;
  body: StudentBody;
  feet: Feet;
  methods: readonly HouseMethod[];
  speech: Speech;
}

/** These feet as the case they are by each method; all but the bands is the same. */
function useCases({ student, body, feet, methods }: Omit<JudgedByEachProps, 'speech'>): Case[] {
  const entries = useRecords((state) => state.entries);
  const { setup, played, cameFor } = feet;
  const path = usePersonalPath(student.id, played.clubLengthInches);
  return useMemo(() => {
    const logged = Object.values(entries);
    const { build, legs } = body;
    const known = {
      student,
      build,
      legs,
      path,
      setup,
      cautions: cautionsToday(student, new Date()),
      goal: goalOf(lastShoulderGoal(logged, student.id)),
      exceptions: exceptionsWith(standingExceptions(logged, student.id), played.club),
      draft: { ...played, intake: { cameFor } },
    };
    return methods.flatMap((method) => caseOf({ ...known, method }) ?? []);
  }, [entries, student, body, path, setup, played, cameFor, methods]);
}

function Told({ judgement, name, shoeLength, speech }: ToldProps) {
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
  const cases = useCases({ student, body, feet, methods });
  const question = useMemo(() => ({ ask: 'judgeEach' as const, of: cases }), [cases]);
  const { answer } = useComputation(question);
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
        <Quiet>Working …</Quiet>
      )}
    </View>
  );
}
