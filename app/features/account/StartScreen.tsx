import {
  SCHOOL_QUESTIONS,
  schoolFor,
  type SchoolAnswers,
  type SchoolQuestion,
} from '@pedastance/core/method/schools';
import { Link } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { startAcademy } from '../../state/account';
import { prefer } from '../../state/preferences';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { NewcomerFields, NOTHING_TYPED, newcomerFault } from './NewcomerFields';
import { EnteringPage } from './EnteringPage';
import { messages } from './StartScreen.messages';
import { troubleWords } from './troubleWords';
import { unitsOfBrowser } from './unitsOfBrowser';

const QUESTIONS = Object.keys(SCHOOL_QUESTIONS) as SchoolQuestion[];

/** The usual school until something is answered: by the shoulders, both feet a little out, square. */
const USUAL: SchoolAnswers = { width: 'by the shoulders', flare: 'both a little', line: 'square' };

interface SchoolProps {
  answers: SchoolAnswers;
  onChange: (answers: SchoolAnswers) => void;
}

/** Three plain questions that find the house method lessons begin with. */
function School({ answers, onChange }: SchoolProps) {
  return (
    <View className="gap-3">
      <Heading>{messages.howDoYouTeach}</Heading>
      {QUESTIONS.map((question) => (
        <Choice
          key={question}
          label={messages.questions[question]}
          options={SCHOOL_QUESTIONS[question].map((value) => ({ value, words: messages.answers[value] }))}
          value={answers[question]}
          onChange={(answer) => onChange({ ...answers, [question]: answer })}
        />
      ))}
      <Quiet>{messages.canBeChanged}</Quiet>
    </View>
  );
}

/** An academy of one's own: begun here, entered at once. */
export function StartScreen() {
  const [academyName, setAcademyName] = useState('');
  const [typed, setTyped] = useState(NOTHING_TYPED);
  const [answers, setAnswers] = useState(USUAL);
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const start = async () => {
    const fault = academyName.trim() === '' ? messages.academyExpected : newcomerFault(typed);
    setTrouble(fault);
    if (fault) return;
    setBusy(true);
    try {
      prefer(unitsOfBrowser(navigator.language));
      await startAcademy({ academyName, ...typed, method: schoolFor(answers) });
    } catch (error) {
      setTrouble(troubleWords(error));
      setBusy(false);
    }
  };
  return (
    <EnteringPage title={messages.title}>
      <Field
        label={messages.academy}
        value={academyName}
        onChangeText={setAcademyName}
        autoComplete="organization"
        maxLength={80}
      />
      <NewcomerFields typed={typed} onChange={setTyped} />
      <School answers={answers} onChange={setAnswers} />
      {trouble !== '' && (
        <Notice kind="trouble" live>
          {trouble}
        </Notice>
      )}
      <Button
        words={busy ? messages.starting : messages.start}
        disabled={busy}
        onPress={() => void start()}
      />
      <Link href="/sign-in" className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          {messages.signInInstead}
        </Body>
      </Link>
      <Quiet>{messages.notMedicalAdvice}</Quiet>
    </EnteringPage>
  );
}
