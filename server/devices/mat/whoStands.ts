import { chanceFrom } from '../chance';
import { MAT_HABITS, type MatRouteName } from './habits';
import type { OnTheMat } from './simulatedMat';

/** Students think they stand in the middle and stand on their toes: by so much, percent. */
const TOE_WARD = { least: 4, most: 16 };

/**
 * A simulated student on the mat: the habit by who they are, the swings by the session, where they settle by the plan and by
 * how far off they feel their own feet.
 * @param studentId who
 * @param sessionId which session
 * @param route that they are to take
 * @param plan where the plan has them, percent
 */
export function whoStands(
  studentId: string,
  sessionId: string,
  route: MatRouteName,
  plan: { lead: number; along: number },
): OnTheMat {
  const chance = chanceFrom('mat student', studentId);
  const habit = MAT_HABITS[Math.floor(chance() * MAT_HABITS.length)]!;
  const off = TOE_WARD.least + (TOE_WARD.most - TOE_WARD.least) * chance();
  const lead = plan.lead + 6 * (chance() - 0.5);
  return {
    seed: sessionId,
    route,
    habits: [habit],
    settled: { lead, along: Math.min(80, plan.along + off) },
    path: { usual: 4 * (chance() - 0.5), perDrift: -0.08 - 0.3 * chance() },
  };
}
