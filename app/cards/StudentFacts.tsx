import { View } from 'react-native';
import type { Student } from '@pedastance/contract';
import { BUILD_FIGURES, cautionsFor, NOT_MEDICAL_ADVICE, type BuildFigureName } from '@pedastance/core/body';
import { usePreferences } from '../state/preferences';
import { buildFigure, day, ageOf } from '../domain/students';
import { Quiet, Body } from '../ui/Words';
import { Notice } from '../ui/Notice';

export const BUILD_LABELS: Record<BuildFigureName, string> = {
  height: 'Height',
  shoulderBreadth: 'Shoulders, outer',
  hipBreadth: 'Hips',
  shoeLength: 'Sole length',
  shoeBreadth: 'Sole breadth',
};

/** The newest build, each figure with how it was obtained. */
export function BuildTable({ student }: { student: Pick<Student, 'build'> }) {
  const length = usePreferences((state) => state.length);
  if (!student.build) return <Body>No build yet. The bands that go by the body need one.</Body>;
  const { figures, madeAt } = student.build;
  return (
    <View>
      {BUILD_FIGURES.map((name) => (
        <View key={name} className="flex-row items-baseline justify-between gap-2 border-b border-grid py-2">
          <Body className="flex-1">{BUILD_LABELS[name]}</Body>
          <Body className="figures font-semibold">{buildFigure(figures[name], length)}</Body>
          <Quiet className="w-20 text-right">
            {figures[name].source === 'measured' ? '■ measured' : '□ estimated'}
          </Quiet>
        </View>
      ))}
      <Quiet className="pt-1">{`Taken ${day(madeAt)}`}</Quiet>
    </View>
  );
}

export function Cautions({ student }: { student: Student }) {
  const cautions = cautionsFor(student.cautions, ageOf(student, new Date()));
  if (student.cautions === '' && cautions.length === 0) return null;
  return (
    <Notice kind="caution">
      {student.cautions !== '' && <Body className="font-semibold">{student.cautions}</Body>}
      {cautions.map(({ caution, notSuggested, instead, deferTo }) => (
        <View key={caution} className="gap-0.5 pb-1">
          <Body>{caution}</Body>
          <Quiet tone="ink">{`Not suggested: ${notSuggested} Instead: ${instead}`}</Quiet>
          <Quiet>{deferTo}</Quiet>
        </View>
      ))}
      <Quiet>{NOT_MEDICAL_ADVICE}</Quiet>
    </Notice>
  );
}
