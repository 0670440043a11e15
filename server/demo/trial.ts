import type { AddressEntry, LookEntry, ShotsEntry, TrialEntry } from '@pedastance/contract';
import { MODEL_VERSION } from '@pedastance/core/reading';
import {
  compare,
  decisionOf,
  drawOrder,
  shotsAt,
  verdictOf,
  type Arm,
  type Look,
  type Outcome,
  type Placed,
  type TrialShot,
} from '@pedastance/core/trial';
import type { ClientBase } from 'pg';
import { simulatedMonitor } from '../devices/simulatedMonitor';
import { simulatedStudent } from '../devices/simulatedStudent';
import { addEntry } from '../store/lessons';
import type { Writer } from '../store/rows';
import { stanceOf } from '../devices/stance';

/** A trial of the change a demo lesson agreed on. */
export interface DemoTrial {
  primary: Outcome;
  margin: number;
  scatter: number;
  cueB: string;
}

interface DemoTrialScene {
  client: ClientBase;
  land: Writer;
  studentId: string;
  addresses: Record<Arm, AddressEntry>;
  /** The common part of an entry made so many seconds into the trial. */
  entry: (afterSeconds: number) => Pick<TrialEntry, 'id' | 'lessonId' | 'madeAt' | 'replaces'>;
}

const WARM_UPS = 4;
const SECONDS_A_SHOT = 20;
const LOOKS_OF_ALL: readonly Look[] = [1, 2, 3];

/** The setup of each shot of a trial: the warm-up first, then the drawn order. */
const placesOf = (seed: number): Placed['place'][] => [
  ...Array.from({ length: WARM_UPS }, () => ({ warmUp: true as const })),
  ...drawOrder({ seed, blockSize: 2, length: 'full' })
    .flat()
    .flatMap((arm, block) => [0, 1].map(() => ({ warmUp: false as const, block, arm }))),
];

/** Lets the simulated student hit a whole trial, look by look, until the shots decide it. */
export async function addDemoTrial(scene: DemoTrialScene, declared: DemoTrial): Promise<void> {
  const { client, land, studentId, addresses, entry } = scene;
  const trial: TrialEntry = {
    ...entry(0),
    kind: 'trial',
    addressAId: addresses.A.id,
    addressBId: addresses.B.id,
    cueA: '',
    ...declared,
    mishits: 'left out',
    warmUps: WARM_UPS,
    length: 'full',
    blockSize: 2,
    seed: 20_261_125,
    source: 'simulated monitor',
    apart: null,
  };
  await addEntry(client, trial, land);
  const student = simulatedStudent(studentId, trial.id);
  const shots: TrialShot[] = [];
  const shotIds: string[] = [];
  for (const [at, place] of placesOf(trial.seed).entries()) {
    const address = addresses[place.warmUp ? 'A' : place.arm];
    const swing = student.swing(stanceOf(address), at + 1);
    const shot = simulatedMonitor(trial.id, at + 1).measure(swing, address.clubLengthInches);
    shots.push({ place, sitting: 0, shot });
    const hit: ShotsEntry = {
      ...entry((at + 1) * SECONDS_A_SHOT),
      kind: 'shots',
      addressId: address.id,
      trialId: trial.id,
      source: trial.source,
      sitting: 0,
      place,
      shots: [shot],
    };
    await addEntry(client, hit, land);
    shotIds.push(hit.id);
    const look = LOOKS_OF_ALL.find((each) => shots.length - WARM_UPS === shotsAt('full', each));
    if (!look) continue;
    const { verdict, because } = verdictOf(trial, shots, look, false);
    const evidence = compare(trial, trial.primary, shots, look, trial.margin);
    const taken: LookEntry = {
      ...entry((at + 1.5) * SECONDS_A_SHOT),
      kind: 'look',
      trialId: trial.id,
      shotIds,
      modelVersion: MODEL_VERSION,
      length: trial.length,
      look,
      painUp: false,
      verdict,
      because,
      evidence: evidence && withoutOutcome(evidence),
      effects: null,
      decision: decisionOf(verdict),
      note: '',
    };
    await addEntry(client, taken, land);
    if (verdict !== 'not yet') return;
  }
}

const withoutOutcome = ({
  outcome: _primary,
  ...evidence
}: NonNullable<ReturnType<typeof compare>>): LookEntry['evidence'] => evidence;
