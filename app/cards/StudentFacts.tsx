import { useState } from 'react';
import { View } from 'react-native';
import type { Student } from '@pedastance/contract';
import { BUILD_FIGURES, NOT_MEDICAL_ADVICE, type BuildFigureName } from '@pedastance/core/body';
import { Link } from 'expo-router';
import { usePreferences } from '../state/preferences';
import { cautionsToday, openSuggestions } from '../domain/facts';
import { factName, factWords, shownFacts } from '../domain/factWords';
import { buildFigure, day } from '../domain/students';
import { Button } from '../ui/Button';
import { Quiet, Body } from '../ui/Words';
import { Notice } from '../ui/Notice';
import { common } from '../domain/common.messages';
import { messages } from './StudentFacts.messages';

export const BUILD_LABELS: Record<BuildFigureName, string> = {
  height: messages.height,
  shoulderBreadth: messages.shouldersOuter,
  hipBreadth: messages.hips,
  shoeLength: messages.soleLength,
  shoeBreadth: messages.soleBreadth,
};

/** The newest build, each figure with how it was obtained. */
export function BuildTable({ student }: { student: Pick<Student, 'build'> }) {
  const length = usePreferences((state) => state.length);
  if (!student.build) return <Body>{messages.noBuildYetTheBands}</Body>;
  const { figures, madeAt } = student.build;
  return (
    <View>
      {BUILD_FIGURES.map((name) => (
        <View key={name} className="flex-row items-baseline justify-between gap-2 border-b border-grid py-2">
          <Body className="flex-1">{BUILD_LABELS[name]}</Body>
          <Body className="figures font-semibold">{buildFigure(figures[name], length)}</Body>
          <Quiet className="w-20 text-right">
            {figures[name].source === 'measured' ? messages.measured : messages.estimated}
          </Quiet>
        </View>
      ))}
      <Quiet className="pt-1">{messages.taken(day(madeAt))}</Quiet>
    </View>
  );
}

/** What the cautions rest on, behind one tap. */
function Sources({ of }: { of: readonly string[] }) {
  const [open, setOpen] = useState(false);
  if (of.length === 0) return null;
  return (
    <>
      <View className="flex-row">
        <Button
          look="quiet"
          words={open ? common.less : messages.whatItRestsOn}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && of.map((source) => <Quiet key={source}>{source}</Quiet>)}
    </>
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
            {messages.theNoteSeemsToSay(open.map((each) => factName(each, student.hand)).join('; '))}
          </Body>
        </Link>
      )}
      {cautions.map(({ caution, notSuggested, instead }) => (
        <View key={caution} className="gap-0.5 pb-1">
          <Body>{caution}</Body>
          <Quiet tone="ink">
            {notSuggested === ''
              ? messages.instead(instead)
              : messages.notSuggestedInstead(notSuggested, instead)}
          </Quiet>
        </View>
      ))}
      {[...new Set(cautions.map(({ deferTo }) => deferTo))].map(
        (deferTo) => deferTo !== '' && <Quiet key={deferTo}>{deferTo}</Quiet>,
      )}
      <Sources of={cautions.map(({ source }) => source).filter(Boolean)} />
      {cautions.length > 0 && <Quiet>{NOT_MEDICAL_ADVICE}</Quiet>}
    </Notice>
  );
}
