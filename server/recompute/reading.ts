import type {
  AddressEntry,
  EntryCheck,
  IntakeEntry,
  NewBuild,
  NewScreen,
  ReadingEntry,
} from '@pedastance/contract';
import type { StudentShots } from '@pedastance/contract/pathShots';
import { caseOf, judge, type ToldJudgement } from '@pedastance/core/advice';
import { ADULT_AGE, cautionsOf } from '@pedastance/core/body';
import { NO_OWN_BANDS, type HouseMethod } from '@pedastance/core/method';
import { personalPath } from '@pedastance/core/path';
import { MODEL_VERSION, readSetup, type Finding } from '@pedastance/core/reading';
import { goalOf, turningBody } from '@pedastance/core/turn';
import { AS_TOLD, checkOf, differencesOf, nearly } from './compare';

/** Everything a reading and its judgement are made from, as the entry names it. */
export interface ReadingInputs {
  address: AddressEntry;
  build: NewBuild;
  screen: NewScreen | null;
  method: HouseMethod;
  /** What the student came for; null where nothing was noted. */
  intake: IntakeEntry | null;
  /** The shots that the judgement rests on, and whether they are simulated alone. */
  path: Pick<StudentShots, 'shots' | 'simulated'>;
}

/** A figure this near an edge of its band may fall to either side. */
const atEdge = ({ measured, low, high }: Finding): boolean => nearly(measured, low) || nearly(measured, high);

type Told = Pick<ReadingEntry, 'findings' | 'choices' | 'notices'>;

/**
 * A reading with what hangs on a figure at the edge of its band left out: its verdict, and for all findings what
 * comes from what and what is put forward, which follow from the verdicts.
 */
function beyondEdges({ findings, choices, notices }: Told, edges: ReadonlySet<string>): object {
  const plain = findings.map(
    ({ verdict, limits, because, withheld, putForward, weight, close, ...figures }) => ({
      ...figures,
      ...(!edges.has(figures.item) && { verdict, limits, close }),
      ...(edges.size === 0 && { because, withheld, putForward, weight }),
    }),
  );
  const byItem = Object.fromEntries(plain.map((finding) => [finding.item, finding]));
  return { ...byItem, choices, ...(edges.size === 0 && { notices }) };
}

/**
 * Works a reading out again from its inputs with this server's own core.
 * @returns whether what was told agrees; as told where it was made by another model, or named no facts
 */
export function checkReading(told: ReadingEntry, inputs: ReadingInputs): EntryCheck {
  if (told.modelVersion !== MODEL_VERSION || !told.facts?.rests) return AS_TOLD;
  const { address, build, screen, method } = inputs;
  const { age, rests } = told.facts;
  const { club, clubLengthInches, shot, setup } = address;
  const own = told.judgement?.rests ?? NO_OWN_BANDS;
  const computed = readSetup({
    setup,
    club,
    clubLengthInches,
    shot,
    method,
    build: build.figures,
    legs: screen && turningBody(screen, rests.hand),
    cautions: cautionsOf(rests.facts, rests.hand, age < ADULT_AGE),
    goal: goalOf(rests.shoulderGoal),
    own,
  });
  const edges = new Set(computed.findings.filter(atEdge).map(({ item }) => item));
  return checkOf(
    differencesOf(
      {
        ...beyondEdges(told, edges),
        ...(edges.size === 0 && { judgement: told.judgement && decided(told.judgement) }),
      },
      { ...beyondEdges(computed, edges), ...(edges.size === 0 && { judgement: judgedAgain(told, inputs) }) },
    ),
  );
}

/** What of a judgement its case decides; chances and close calls are drawn, and hang on the last digit of a figure. */
const decided = ({ before, things, waits, lookNext, partings, leadHeelLift }: ToldJudgement): object => ({
  before,
  things,
  waits,
  lookNext,
  partings,
  leadHeelLift,
});

/** The judgement of the same case by this server's own core; as it was told where what it rests on is not known. */
function judgedAgain(told: ReadingEntry, { address, build, screen, method, intake, path }: ReadingInputs) {
  const { judgement, facts } = told;
  if (!judgement?.rests || !facts?.rests) return judgement && decided(judgement);
  const { hand, facts: known, shoulderGoal } = facts.rests;
  const { club, clubLengthInches, shot, setup } = address;
  const given = caseOf({
    ...judgement.rests,
    setup,
    played: { club, clubLengthInches, shot },
    method,
    build: build.figures,
    legs: screen && turningBody(screen, hand),
    hand,
    facts: known,
    cautions: cautionsOf(known, hand, facts.age < ADULT_AGE),
    goal: goalOf(shoulderGoal),
    cameFor: intake?.cameFor ?? [],
    path: personalPath(path.shots, clubLengthInches),
    pathSimulated: path.simulated,
    pressure: judgement.pressure,
    pinned: judgement.pinned,
  });
  return decided(judge(given, 0));
}
