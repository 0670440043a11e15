import { LONGEST_FACT_TEXT, LONGEST_INTAKE, LONGEST_PAIN } from '@pedastance/contract/limits';
import { CAME_FOR, NOTHING_ASKED, type FactKey, type Intake } from '@pedastance/core/body';
import { Link } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { useState } from 'react';
import { useStore } from 'zustand';
import { openSuggestions, withFact } from '../../domain/facts';
import { factName } from '../../domain/factWords';
import { CAME_FOR_WORDS } from '../../domain/intake';
import { changeDraft, lesson, openStep } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Field } from '../../ui/Field';
import { Body, Heading } from '../../ui/Words';
import { Notice } from '../../ui/Notice';
import { keepFacts } from '../../state/writes/student';
import { dayOf, inShort } from '../../domain/students';
import { useLessonContext } from './context';
import { MeasureAgain } from '../../cards/MeasureAgain';
import { BuildTable, Cautions } from '../../cards/StudentFacts';
import { common } from '../../domain/common.messages';
import { messages } from './WhoStep.messages';

/** What is sore, to be kept as a fact of the student's. */
function SoreAsFact({ sore }: { sore: string }) {
  const { student } = useLessonContext();
  const [fault, setFault] = useState('');
  const keep = async (fact: FactKey) => {
    try {
      await keepFacts(student, withFact(student.facts, fact, { status: 'stands' }, dayOf(new Date())));
    } catch (error) {
      setFault(common.notKept((error as Error).message));
    }
  };
  const open = openSuggestions({ ...student, cautions: `Sore ${sore}` });
  return (
    <>
      {sore.trim() !== '' &&
        open.map((fact) => (
          <Button
            key={factName(fact, student.hand)}
            look="plain"
            words={messages.keepAsAFact(factName(fact, student.hand))}
            onPress={() => void keep(fact)}
          />
        ))}
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
    </>
  );
}

/** What the student came for: a tap or two, and what else was said. */
function CameForChips() {
  const intake = useStore(lesson, (state) => state.draft?.intake ?? NOTHING_ASKED);
  const note = (change: Partial<Intake>) => changeDraft({ intake: { ...intake, ...change } });
  const { cameFor } = intake;
  return (
    <View className="gap-2" testID="came-for">
      <Heading>{messages.whatBringsYouToday}</Heading>
      <Chips
        label={messages.whatBringsYouToday}
        chips={CAME_FOR.map((reason) => ({
          words: CAME_FOR_WORDS[reason],
          chosen: cameFor.includes(reason),
          onPress: () =>
            note({
              cameFor: cameFor.includes(reason)
                ? cameFor.filter((each) => each !== reason)
                : [...cameFor, reason],
            }),
        }))}
      />
      {cameFor.includes('sore') && (
        <>
          <Field
            label={messages.whereIsItSore}
            value={intake.sore}
            onChangeText={(sore) => note({ sore })}
            maxLength={LONGEST_PAIN}
            help={messages.keptAsAFactAdvice}
          />
          <SoreAsFact sore={intake.sore} />
        </>
      )}
      <Field
        label={messages.inTheirOwnWords}
        value={intake.words}
        onChangeText={(words) => note({ words })}
        maxLength={LONGEST_INTAKE}
      />
      <Field
        label={messages.theSportTheyKnowBest}
        value={intake.sport}
        onChangeText={(sport) => note({ sport })}
        maxLength={LONGEST_FACT_TEXT}
      />
    </View>
  );
}

export function WhoStep() {
  const { student } = useLessonContext();
  return (
    <View className="flex-1">
      <ScrollView
        className="flex-1"
        contentContainerClassName="gap-4 p-4"
        tabIndex={0}
        aria-label={messages.who}
      >
        <View>
          <Heading>{student.name}</Heading>
          <Body>{inShort(student, new Date())}</Body>
        </View>
        <CameForChips />
        <MeasureAgain student={student} />
        <Cautions student={student} />
        <View className="gap-1">
          <Heading>{messages.build}</Heading>
          <BuildTable student={student} />
          <Link href={`/students/${student.id}/edit`} className="min-h-[48px] py-3">
            <Body tone="lagoon" className="font-semibold underline">
              {messages.takeTheBuildAgain}
            </Body>
          </Link>
        </View>
      </ScrollView>
      <View className="border-t border-grid p-3">
        <Button words={common.legsAndTrunk} label={messages.onToTheLegs} onPress={() => openStep('legs')} />
      </View>
    </View>
  );
}
