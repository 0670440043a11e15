import type { AddressEntry, EntryCheck, NewBuild, NewScreen, ReadingEntry } from '@pedastance/contract';
import { ADULT_AGE, cautionsOf } from '@pedastance/core/body';
import type { HouseMethod } from '@pedastance/core/method';
import { MODEL_VERSION, readSetup, type Finding } from '@pedastance/core/reading';
import { goalOf, turningBody } from '@pedastance/core/turn';
import { AS_TOLD, checkOf, differencesOf, nearly } from './compare';

/** Everything a reading is made from, as the entry names it. */
export interface ReadingInputs {
  address: AddressEntry;
  build: NewBuild;
  screen: NewScreen | null;
  method: HouseMethod;
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
export function checkReading(
  told: ReadingEntry,
  { address, build, screen, method }: ReadingInputs,
): EntryCheck {
  if (told.modelVersion !== MODEL_VERSION || !told.facts?.rests) return AS_TOLD;
  const { age, rests } = told.facts;
  const { club, clubLengthInches, shot, setup } = address;
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
  });
  const edges = new Set(computed.findings.filter(atEdge).map(({ item }) => item));
  return checkOf(differencesOf(beyondEdges(told, edges), beyondEdges(computed, edges)));
}
