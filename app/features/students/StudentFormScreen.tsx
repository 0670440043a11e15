import type { Student } from '@pedastance/contract';
import { SHOE_SIZE_SYSTEMS, type EstimateAs } from '@pedastance/core/body';
import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { Controller, useForm, type Control, type FieldErrors } from 'react-hook-form';
import { ScrollView, View } from 'react-native';
import { usePreferences } from '../../state/preferences';
import { useRecords } from '../../state/records';
import { useOpenStudent } from '../../state/useStudentLog';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Quiet, Title } from '../../ui/Words';
import { startLesson } from '../../state/startLesson';
import {
  EMPTY_FIELDS,
  estimatesFor,
  fieldsOf,
  studentFrom,
  type FieldName,
  type StudentFields,
} from '../../domain/studentForm';
import { buildFigure, dayOf } from '../../domain/students';
import { addStudent, saveStudent } from '../../state/writes/student';
import { Waiting } from '../../ui/Waiting';
import { FactsField } from './FactsField';
import { common } from '../../domain/common.messages';
import { messages } from './StudentFormScreen.messages';

interface BoxProps {
  control: Control<StudentFields>;
  errors: FieldErrors<StudentFields>;
  name: FieldName;
  label: string;
  unit?: string | undefined;
  help?: string | undefined;
  multiline?: boolean;
  numeric?: boolean;
  autoComplete?: 'off' | 'name';
}

function Box({ control, errors, name, numeric, autoComplete = 'off', ...field }: BoxProps) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { onChange, onBlur, value } }) => (
        <Field
          {...field}
          value={value as string}
          onChangeText={onChange}
          onBlur={onBlur}
          autoComplete={autoComplete}
          inputMode={numeric ? 'decimal' : 'text'}
          fault={errors[name]?.message}
        />
      )}
    />
  );
}

interface PickProps<Value extends string> {
  control: Control<StudentFields>;
  errors: FieldErrors<StudentFields>;
  name: FieldName;
  label: string;
  options: readonly { value: Value; words: string }[];
}

function Pick<Value extends string>({ control, errors, name, label, options }: PickProps<Value>) {
  const fault = errors[name]?.message;
  return (
    <View className="gap-1">
      <Controller
        control={control}
        name={name}
        render={({ field }) => (
          <Choice label={label} options={options} value={field.value as Value} onChange={field.onChange} />
        )}
      />
      {fault && <Body role="alert" tone="rust">{`▲ ${fault}`}</Body>}
    </View>
  );
}

const HANDS = [
  { value: 'right', words: messages.rightHanded },
  { value: 'left', words: messages.leftHanded },
] as const;

const ESTIMATES: readonly { value: EstimateAs; words: string }[] = [
  { value: 'not said', words: messages.heightAlone },
  { value: 'woman', words: messages.heightAWoman },
  { value: 'man', words: messages.heightAMan },
];

const SHOES = [...SHOE_SIZE_SYSTEMS, 'sole length' as const].map((value) => ({
  value,
  words: value === 'sole length' ? messages.soleByTape : value,
}));

function StudentForm({ student: newest }: { student: Student | null }) {
  const length = usePreferences((state) => state.length);
  // What is typed is an edit of the student it was begun from: a newer one that arrives while a coach
  // types is told as changed by somebody else, and never passes for what this coach has seen.
  const [student, setStudent] = useState(newest);
  const [trouble, setTrouble] = useState('');
  const today = dayOf(new Date());
  const form = useForm<StudentFields>({
    defaultValues: student ? fieldsOf(student, length) : EMPTY_FIELDS,
    resolver: (fields) => {
      const made = studentFrom(fields, length, today);
      if (!('faults' in made)) return { values: fields, errors: {} };
      const errors = Object.entries(made.faults).map(([name, message]) => [name, { type: 'fault', message }]);
      return { values: {}, errors: Object.fromEntries(errors) };
    },
  });
  const { control } = form;
  const { errors, isDirty } = form.formState;
  const { reset } = form;
  useEffect(() => {
    if (!newest || newest === student || isDirty) return;
    setStudent(newest);
    reset(fieldsOf(newest, length));
  }, [newest, student, isDirty, reset, length]);
  const fields = form.watch();
  const estimates = estimatesFor(fields, length, today);
  const unit = length === 'cm' ? 'cm' : 'in';
  const box = { control, errors };

  const estimateOf = (name: 'shoulderBreadth' | 'hipBreadth' | 'shoeBreadth' | 'shoeLength') =>
    estimates
      ? `empty: estimated ${buildFigure(estimates[name], length)}`
      : 'empty: estimated from the height';

  const save = async (values: StudentFields, andStart: boolean) => {
    const made = studentFrom(values, length, today);
    if ('faults' in made) return;
    try {
      const id = student ? student.id : await addStudent(made.person, made.build);
      if (student) await saveStudent(student, made.person, made.build);
      if (andStart) router.replace(`/lessons/${await startLesson(id, 'club')}`);
      else router.replace(`/students/${id}`);
    } catch (error) {
      setTrouble(messages.notSavedThisDevice((error as Error).message));
    }
  };

  return (
    <ScrollView
      className="flex-1 bg-paper"
      contentContainerClassName="p-4 pb-10"
      tabIndex={0}
      aria-label={messages.studentForm}
    >
      <View role="main" className="w-full max-w-xl gap-4 self-center">
        <Title>{student ? messages.edit(student.name) : messages.addAStudent}</Title>
        <Box {...box} name="name" label={common.name} autoComplete="off" />
        <Pick {...box} name="hand" label={messages.plays} options={HANDS} />
        <View className="flex-row gap-3">
          <View className="flex-1">
            <Box {...box} name="birthYear" label={messages.yearOfBirth} numeric />
          </View>
          <View className="flex-1">
            <Box {...box} name="height" label={messages.height} unit={unit} numeric />
          </View>
        </View>
        <Box {...box} name="bornOn" label={messages.dayOfBirthWhere} help={messages.withoutItWhoMayStill} />
        <Box {...box} name="cautions" label={messages.notePainSurgeryWhat} multiline />
        <Controller
          control={control}
          name="facts"
          render={({ field }) => (
            <FactsField
              hand={fields.hand || 'right'}
              note={fields.cautions}
              facts={field.value}
              onChange={field.onChange}
            />
          )}
        />

        <Heading className="pt-2">{messages.build}</Heading>
        <Quiet>{messages.whatATapeSaysCounts}</Quiet>
        <Pick {...box} name="estimateAs" label={messages.estimateFrom} options={ESTIMATES} />
        <Box
          {...box}
          name="shoulderBreadth"
          label={messages.shouldersOuterEdgeToOuter}
          unit={unit}
          help={estimateOf('shoulderBreadth')}
          numeric
        />
        <Box
          {...box}
          name="hipBreadth"
          label={messages.hipsWidest}
          unit={unit}
          help={estimateOf('hipBreadth')}
          numeric
        />
        <Pick {...box} name="shoeBy" label={messages.shoeBy} options={SHOES} />
        <Box
          {...box}
          name="shoe"
          label={fields.shoeBy === 'sole length' ? messages.soleLength : messages.shoeSize(fields.shoeBy)}
          unit={fields.shoeBy === 'sole length' ? unit : undefined}
          help={
            fields.shoe.trim() === ''
              ? estimateOf('shoeLength')
              : fields.shoeBy === 'sole length'
                ? undefined
                : messages.sizesAreNominalTheSoles
          }
          numeric
        />
        <Box
          {...box}
          name="shoeBreadth"
          label={messages.soleWidest}
          unit={unit}
          help={estimateOf('shoeBreadth')}
          numeric
        />

        {Object.keys(errors).length > 0 && (
          <Notice kind="trouble" live>
            {messages.notSavedYet(
              Object.values(errors)
                .map((error) => error.message)
                .join('; '),
            )}
          </Notice>
        )}
        {trouble !== '' && (
          <Notice kind="trouble" live>
            {trouble}
          </Notice>
        )}
        <View className="flex-row flex-wrap gap-3">
          {!student && (
            <Button
              words={messages.saveAndStartALesson}
              onPress={() => void form.handleSubmit((values) => save(values, true))()}
            />
          )}
          <Button
            look={student ? 'act' : 'plain'}
            words={messages.save}
            onPress={() => void form.handleSubmit((values) => save(values, false))()}
          />
          <Button
            look="quiet"
            words={common.cancel}
            onPress={() => (router.canGoBack() ? router.back() : router.replace('/students'))}
          />
        </View>
      </View>
    </ScrollView>
  );
}

export const NewStudentScreen = () => <StudentForm student={null} />;

export function EditStudentScreen() {
  const { student: id } = useLocalSearchParams<{ student: string }>();
  const student = useRecords((state) => state.students[id]);
  const loaded = useOpenStudent(id);
  if (!student) return <Waiting words={loaded ? common.studentNotHere : undefined} />;
  return <StudentForm key={student.id} student={student} />;
}
