import { FEET_FIGURES, LOAD_FIGURES, notMeasured, type PlacedFigure } from '@pedastance/core/setup';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { figureName, spoken } from '../../domain/sentences';
import { lesson, openStep, standAsDrawn } from '../../state/lesson';
import { useSpeech } from '../../state/useSpeech';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body } from '../../ui/Words';
import { useLessonContext } from './context';
import { messages } from './NotMeasured.messages';

interface PartProps {
  figures: readonly PlacedFigure[];
  /** What is noted when they stand as they are drawn. */
  asDrawn: string;
  measure: string;
  deskFor: 'feet' | 'load';
}

/** One part of what was not measured: noted by eye with a tap, or measured. */
function Part({ figures, asDrawn, measure, deskFor }: PartProps) {
  if (figures.length === 0) return null;
  const place = () => {
    lesson.setState({ deskFor });
    openStep('feet');
  };
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button look="plain" words={asDrawn} onPress={() => standAsDrawn(figures)} />
      <Button look="quiet" words={measure} onPress={place} />
    </View>
  );
}

/** What only stands as it is drawn is not read and not recorded as seen; says so, and how to mend it. */
export function NotMeasured() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const setup = useStore(lesson, (state) => state.draft?.setup ?? null);
  const missing = setup ? notMeasured(setup) : [];
  if (!setup || missing.length === 0) return null;
  const feet = FEET_FIGURES.filter((name) => missing.includes(name));
  const load = LOAD_FIGURES.filter((name) => missing.includes(name));
  const names = missing.map((name) => figureName(name, speech).toLowerCase()).join('; ');
  return (
    <Notice kind="caution">
      <Body>{messages.notMeasuredSoNotRead(names)}</Body>
      <Part
        figures={feet}
        asDrawn={messages.theFeetStandAsDrawn}
        measure={messages.placeThem}
        deskFor="feet"
      />
      <Part
        figures={load}
        asDrawn={spoken(messages.onTheLeadFoot(Math.round(setup.balance.leadShare)), speech)}
        measure={messages.noteTheBalance}
        deskFor="load"
      />
    </Notice>
  );
}
