import type { Student } from '@pedastance/contract';
import { OUTCOME_DEFINITIONS, type Outcome, type ShotFigure } from '@pedastance/core/trial';
import { View } from 'react-native';
import { GroundSays, ShotsSoFar } from '../../../cards/ShotsSoFar';
import { TypedRowFields } from '../../../cards/TypedRowFields';
import { hitsOf, namedShots, type NextShot, type Trial } from '../../../domain/trials';
import { useUnits } from '../../../state/useSpeech';
import { keepShot } from '../../../state/writes/trial';
import { TakeBack } from './TakeBack';
import { common } from '../../../domain/common.messages';
import { messages } from './TypedPad.messages';

/** The figure that decides an outcome, which has to be typed. */
const NEEDED: Partial<Record<Outcome, ShotFigure>> = {
  'straight path': 'path',
  'start line': 'startLine',
  'nearness to the line': 'side',
  carry: 'carry',
  'club speed': 'clubSpeed',
};

interface TypedPadProps {
  student: Student;
  trial: Trial;
  next: NextShot;
}

/** A shot typed from whatever monitor there is, and every shot so far below it. */
export function TypedPad({ student, trial, next }: TypedPadProps) {
  const units = useUnits();
  const { primary } = trial.entry;
  const { score } = OUTCOME_DEFINITIONS[primary];
  const needed = NEEDED[primary];
  const shots = namedShots(trial);
  return (
    <View className="gap-3" testID="typed-pad">
      <TypedRowFields
        hand={student.hand}
        needed={needed ? [needed] : []}
        words={next.kind === 'warm-up' ? common.warmUpShotHit : messages.shotDone}
        enough={(shot) => next.kind === 'warm-up' || score(shot) !== null}
        onShot={(shot) => keepShot(student, trial, next, shot)}
      />
      <ShotsSoFar shots={shots} hand={student.hand} units={units} />
      <GroundSays club={trial.addresses.A.club} shots={shots} units={units} />
      <TakeBack student={student} trial={trial} disabled={hitsOf(trial).length === 0} />
    </View>
  );
}
