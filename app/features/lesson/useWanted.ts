import type { ScreenItem } from '@pedastance/core/body';
import { clubById } from '@pedastance/core/club';
import { bandsFor, ownFlareDifference } from '@pedastance/core/method';
import { neededTurn, testWanted, type StopName, type TurningFeet } from '@pedastance/core/turn';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';
import { useLessonContext } from './context';
import { useGoal } from './turning';

/** The stop that each test is behind. The trail leg going through counts only while its heel is down. */
const STOP_BEHIND: Partial<Record<ScreenItem, StopName>> = {
  turnInTrail: 'trail back',
  turnOutLead: 'lead back',
  turnInLead: 'lead through',
};

/** Before a club is chosen the legs are held against a mid iron. */
const USUAL_CLUB = '7-iron';

/** What this swing wants of each test, on the feet the method teaches; and what the trunk leaves to the hips, degrees. */
export interface Wanted {
  ofTest: (item: ScreenItem) => number | null;
  leftToHips: number;
}

/** Null before the legs were tested, and where the method leaves a flare free. */
export function useWanted(): Wanted | null {
  const { build, legs, method } = useLessonContext();
  const goal = useGoal();
  const club = useStore(lesson, (state) => state.draft?.club ?? USUAL_CLUB);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  return useMemo(() => {
    if (!legs) return null;
    const played = { club, shot, clubLengthInches: clubById(club).lengthInches };
    const bands = bandsFor(method, { build: build.figures, legs }, played);
    const { leadFlare, trailFlare } = bands.figures;
    if (!leadFlare || !trailFlare) return null;
    const feet: TurningFeet = {
      flare: { lead: leadFlare.middle, trail: trailFlare.middle },
      flareUncertainty: { lead: 0, trail: 0 },
      toeLine: { value: 0, uncertainty: 0 },
      ownDifference: ownFlareDifference(bands),
      leadHeelLift: 0,
    };
    return {
      ofTest: (item) => {
        const stop = STOP_BEHIND[item];
        return stop ? testWanted(stop, legs, feet, goal) : null;
      },
      leftToHips: neededTurn('back', legs, goal).value,
    };
  }, [build, legs, method, goal, club, shot]);
}
