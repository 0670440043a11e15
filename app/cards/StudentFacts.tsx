import { View } from 'react-native';
import type { Student } from '@pedastance/contract';
import { BUILD_FIGURES, NOT_MEDICAL_ADVICE, type BuildFigureName } from '@pedastance/core/body';
import { Link } from 'expo-router';
import { usePreferences } from '../state/preferences';
import { cautionsToday, openSuggestions } from '../domain/facts';
import { factName, factWords, shownFacts } from '../domain/factWords';
import { buildFigure, day } from '../domain/students';
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

/** What to mind: the note as it was written, the facts with their dates, and what they leave out. */
export function Cautions({ student }: { student: Student }) {
  const cautions = cautionsToday(student, new Date());
  const facts = shownFacts(student.facts);
  const open = openSuggestions(student);
  if (student.cautions === '' && cautions.length === 0 && facts.length === 0) return null;
  return (
    <Notice kind="caution">
      {student.cautions !== '' && <Body className="font-semibold">{student.cautions}</Body>}
      {facts.map((fact) => (
        <Body key={factName(fact, student.hand)} testID="fact">
          {factWords(fact, student.hand, day)}
        </Body>
      ))}
      {open.length > 0 && (
        <Link href={`/students/${student.id}/edit`} className="min-h-[48px] py-3">
          <Body tone="lagoon" className="font-semibold underline">
            {`The note seems to say: ${open.map((each) => factName(each, student.hand)).join('; ')}. Confirm it or wave it away`}
          </Body>
        </Link>
      )}
      {cautions.map(({ caution, notSuggested, instead }) => (
        <View key={caution} className="gap-0.5 pb-1">
          <Body>{caution}</Body>
          <Quiet tone="ink">{`${notSuggested === '' ? '' : `Not suggested: ${notSuggested} `}Instead: ${instead}`}</Quiet>
        </View>
      ))}
      {[...new Set(cautions.map(({ deferTo }) => deferTo))].map(
        (deferTo) => deferTo !== '' && <Quiet key={deferTo}>{deferTo}</Quiet>,
      )}
      {cautions.length > 0 && <Quiet>{NOT_MEDICAL_ADVICE}</Quiet>}
    </Notice>
  );
}
