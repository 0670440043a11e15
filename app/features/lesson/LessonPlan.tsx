import { asksTurn } from '@pedastance/core/advice';
import type { CameFor } from '@pedastance/core/body';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { holdFeet, holdLoad, lessonScene } from './livePlan';
import { wholeGhost } from '../../plan/drawing';
import { Plan } from '../../plan/Plan';
import type { Step } from '../../domain/lessonDraft';
import { lesson } from '../../state/lesson';
import { usePreferences } from '../../state/preferences';
import { useLessonContext } from './context';
import { useLessonPath } from './useLessonPath';
import { useGoal, useLiftOnFeet, useOwnDifference, usePlumbPlace, useTurningBody } from './turning';
import { messages } from './LessonPlan.messages';

/** Steps in which feet and loads are taken hold of. */
const HELD_IN: readonly (Step | undefined)[] = ['feet', 'change'];

const NOTHING: readonly CameFor[] = [];

/** The lesson's one plan; what can be taken hold of depends on the step, and on what is at the desk. */
export function LessonPlan() {
  const { student, build } = useLessonContext();
  const { verdictOf } = useLessonContext();
  const viewpoint = usePreferences((state) => state.viewpoint);
  const length = usePreferences((state) => state.length);
  const footWords = usePreferences((state) => state.feet);
  const step = useStore(lesson, (state) => state.draft?.step);
  const loads = useStore(lesson, (state) => state.deskFor === 'load');
  const agreed = useStore(lesson, (state) => state.standing === 'agreed');
  const today = useStore(lesson, (state) =>
    state.standing === 'agreed' ? (state.draft?.setup ?? null) : null,
  );
  const body = useTurningBody();
  const leadHeelLift = useLiftOnFeet();
  const goal = useGoal();
  const personal = useLessonPath();
  // Before any shot it would say nothing of this student: the plan waits for the first.
  const path = personal.shots > 0 ? personal : null;
  const ownDifference = useOwnDifference();
  const plumbPlace = usePlumbPlace();
  const cameFor = useStore(lesson, (state) => state.draft?.intake.cameFor ?? NOTHING);
  // While something hurts no turn is asked for, and none is drawn as missing.
  const asked = asksTurn({ shot: 'full', facts: student.facts, cameFor });
  const turning = useMemo(
    () => (asked ? body && { body, leadHeelLift, goal, ownDifference } : null),
    [asked, body, leadHeelLift, goal, ownDifference],
  );
  const offers = useStore(lesson, (state) => state.offers);
  const other = useStore(lesson, (state) => state.trying?.other ?? null);
  const ghosts = useMemo(() => {
    if (other) return [wholeGhost(other)];
    return today ? [wholeGhost(today), ...offers] : [];
  }, [today, offers, other]);
  const hasFeet = useStore(lesson, (state) => Boolean(state.draft?.setup));
  if (!hasFeet) return null;
  const still = !HELD_IN.includes(step);
  const load = !still && loads;
  return (
    <Plan
      key={`${load}-${still}-${agreed}`}
      scene={lessonScene}
      hand={student.hand}
      viewpoint={viewpoint}
      length={length}
      footWords={footWords}
      shoulderBreadth={build.figures.shoulderBreadth.value}
      verdictOf={verdictOf}
      ghosts={ghosts}
      turning={turning}
      path={path}
      plumbPlace={plumbPlace}
      holds={still ? 'none' : load ? 'load' : 'feet'}
      onMount={still ? undefined : load ? holdLoad : holdFeet}
      label={
        still ? messages.theFeetFromAbove : load ? messages.theFeetFromAboveTouch : messages.theFeetFromAboveT
      }
    />
  );
}
