import type { EntryCheck, LogEntry, LookEntry, TrialEntry } from '@pedastance/contract';
import { evidenceOf, placedShots, planOfTrial, standingShots } from '@pedastance/contract/trialLog';
import { MODEL_VERSION } from '@pedastance/core/reading';
import {
  drawOrder,
  factorialVerdict,
  verdictOf,
  type Look,
  type TrialPlan,
  type TrialShot,
} from '@pedastance/core/trial';
import { AS_TOLD, checkOf, differencesOf } from './compare';

/** Whether every block up to a look was hit whole, from the setup that was dealt to it. */
const asDealt = (plan: TrialPlan, shots: readonly TrialShot[], look: Look): boolean =>
  drawOrder(plan)
    .slice(0, look)
    .flat()
    .every((arm, block) => {
      const hit = shots.flatMap(({ place }) => (!place.warmUp && place.block === block ? [place.arm] : []));
      return hit.length === plan.blockSize && hit.every((each) => each === arm);
    });

/**
 * Works a look out again from the trial and the shots it names.
 * @param shots - the entries named, as the log has them
 * @returns whether what was told agrees; as told where no shots were named, or another model made it
 */
export function checkLook(told: LookEntry, trial: TrialEntry, shots: readonly LogEntry[]): EntryCheck {
  if (!told.shotIds || told.modelVersion !== MODEL_VERSION) return AS_TOLD;
  const { painUp, verdict, because, evidence, effects } = told;
  const placed = placedShots(standingShots(shots));
  const plan = planOfTrial(trial);
  if (trial.apart) {
    const computed = factorialVerdict(plan, trial.apart.changes.length, placed.factorialShots, painUp);
    return checkOf(
      differencesOf(
        { verdict, because, effects },
        { verdict: computed.verdict, because: computed.because, effects: computed.effects },
      ),
    );
  }
  if (!asDealt(plan, placed.shots, told.look as Look)) {
    const computed = 'not the shots that were dealt up to this look';
    return checkOf([{ place: 'shotIds', told: `look ${told.look}`, computed }]);
  }
  const computed = verdictOf(plan, placed.shots, told.look as Look, painUp);
  return checkOf(
    differencesOf(
      { verdict, because, evidence },
      { verdict: computed.verdict, because: computed.because, evidence: evidenceOf(computed.primary) },
    ),
  );
}
