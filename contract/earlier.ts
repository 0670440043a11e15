/**
 * Bodies of earlier versions of the contract in today's shape. The server reads with it what an app that was
 * offline for weeks still sends, and the device shows with it what it holds.
 */
import type { CautionFact, Screen } from '@pedastance/core/body';
import type { Finding } from '@pedastance/core/reading';
import { upgradedSetup, type ChangeName, type Setup } from '@pedastance/core/setup';
import { isRecord } from './isRecord';
import type { CardEntry } from './cards';
import type { LadderEntry } from './ladders';
import type { ChangeEntry, LogEntry, NewEntry, ReadingEntry } from './lessons';
import type { PressureEntry } from './pressure';
import type { Person, StudentEdit } from './students';
import type { LookEntry, TrialEntry } from './trials';
import { CONTRACT_VERSION } from './wire';

/** Fields of a finding that came with the reading of the whole body; older findings have nothing in them. */
const FINDING_DEFAULTS: Pick<Finding, 'untested' | 'weight' | 'because' | 'withheld'> = {
  untested: false,
  weight: { out: 0, turn: 0, path: 0, total: 0 },
  because: null,
  withheld: null,
};

/** Heel lift and shoulder turn of a change from before they were kept: no lift, and the usual turn. */
export const CHANGE_DEFAULTS: Pick<ChangeEntry, 'leadHeelLift' | 'shoulderGoal'> = {
  leadHeelLift: 0,
  shoulderGoal: 90,
};

/** The earlier name of a change to the lead toe's distance. */
const renamedChange = (change: string): ChangeName =>
  (change === 'ballOut' ? 'leadToeOut' : change) as ChangeName;

/** A judgement from before it went by causes: goals that were short, and things that served some of them. */
interface GoalJudgement {
  before: string[];
  things: { thing: string; moves: { figure: string; from: number; to: number }[]; serves?: string[] }[];
  goals: { goal: string; after: number }[];
  back: { stoppedBy: string | null } | null;
  path: object | null;
  pressure?: object | null;
  partings: object[];
}

/** The cause that each earlier goal was about; the others were figures out of their bands. */
const CAUSE_OF_GOAL: Readonly<Record<string, string>> = {
  'turn back': 'trail leg back',
  'turn through': 'lead leg through',
  sparing: 'sore joint',
  posting: 'too wide to post',
  'too much turn': 'turns too far',
  pressure: 'pressure',
  path: 'path',
  loft: 'too much loft',
};

/** What an earlier goal is as a cause. */
function causeOfGoal(goal: string | undefined, { back, path, pressure }: GoalJudgement): string {
  if (goal === 'turn back' && back?.stoppedBy === 'lead') return 'lead leg back';
  if ((goal === 'path' && !path) || (goal === 'pressure' && !pressure)) return 'face first';
  return CAUSE_OF_GOAL[goal ?? ''] ?? 'out of band';
}

/** The judgement, where it is one that goes by goals. */
function byGoals(judgement: unknown): GoalJudgement | null {
  const { goals, things } = judgement as Partial<GoalJudgement>;
  return Array.isArray(goals) && Array.isArray(things) ? (judgement as GoalJudgement) : null;
}

/** A judgement of any earlier shape in today's: what was told of goals is told of the causes that they were about. */
function upgradedJudgement(told: ReadingEntry['judgement'] | undefined): ReadingEntry['judgement'] {
  const judgement = told && byGoals(told);
  if (!judgement) return told ?? null;
  const { goals, things, partings = [], path = null, before = [], ...rest } = judgement;
  const upgraded = {
    ...rest,
    rests: null,
    spares: null,
    before,
    legsUntested: before.includes('test the legs'),
    things: things.map(({ serves = [], moves, thing }) => {
      const [move] = moves;
      return {
        thing,
        moves,
        cause: causeOfGoal(serves[0], judgement),
        figure: move?.figure ?? null,
        off: move ? (move.to > move.from ? 'less' : 'more') : null,
        reason: null,
      };
    }),
    waits: goals
      .filter(({ after }) => after > 0)
      .map(({ goal }) => ({ cause: causeOfGoal(goal, judgement), figure: null, off: null })),
    lookNext: null,
    closeCall: false,
    pressure: judgement.pressure ?? null,
    path: path && { ...path, against: false },
    partings: partings.map((parting) => ({ ...parting, reason: null, own: false })),
  };
  return upgraded as unknown as ReadingEntry['judgement'];
}

/** A reading of any earlier shape in today's. */
function upgradedReading<Entry extends ReadingEntry>(entry: Entry): Entry {
  if (!Array.isArray(entry.findings)) return entry;
  const findings = entry.findings.map((finding) =>
    isRecord(finding) ? { ...FINDING_DEFAULTS, ...(finding as Finding) } : finding,
  );
  return {
    ...entry,
    screenId: entry.screenId ?? null,
    choices: entry.choices ?? [],
    judgement: upgradedJudgement(entry.judgement),
    note: entry.note ?? '',
    facts: entry.facts ? { ...entry.facts, rests: entry.facts.rests ?? null } : null,
    findings,
  };
}

/** A look from before it named its shots, its model and the length of its trial. */
const LOOK_DEFAULTS: Pick<LookEntry, 'shotIds' | 'modelVersion' | 'length'> = {
  shotIds: null,
  modelVersion: null,
  length: 'full',
};

/** A trial of any earlier shape in today's: all of them were whole trials. */
function upgradedTrial(entry: TrialEntry): TrialEntry {
  const whole = { ...entry, length: entry.length ?? 'full' };
  if (!Array.isArray(entry.apart?.changes)) return whole;
  return { ...whole, apart: { ...entry.apart, changes: entry.apart.changes.map(renamedChange) } };
}

/** A ladder from before turns were measured on it, and before there were any of one's own. */
function upgradedLadder(entry: LadderEntry): LadderEntry {
  const turns = Array.isArray(entry.turns)
    ? entry.turns.map((turn) => (isRecord(turn) ? { ...turn, measured: turn.measured ?? null } : turn))
    : entry.turns;
  return { ...entry, own: entry.own ?? null, turns };
}

/** A card from before a ladder could go home with it. */
const CARD_DEFAULTS: Pick<CardEntry, 'ladder'> = { ladder: null };

/** A swing from before it had a path, and before it named the shot that it was. */
export const SWING_DEFAULTS = { path: null, shot: null };

/** Swings on a mat were a club's before they were a shot's too. */
const PRESSURE_DEFAULTS = { shot: 'full' } as const;

/** Swings of any earlier shape in today's. */
const upgradedPressure = (entry: PressureEntry): PressureEntry => ({
  ...PRESSURE_DEFAULTS,
  ...entry,
  swings: Array.isArray(entry.swings)
    ? entry.swings.map((swing) => (isRecord(swing) ? { ...SWING_DEFAULTS, ...swing } : swing))
    : entry.swings,
});

/** An entry of any earlier shape in today's. */
export function upgradedEntry<Entry extends NewEntry | LogEntry>(entry: Entry): Entry {
  if (entry.kind === 'address') {
    const { setup } = entry as { setup: unknown };
    return isRecord(setup) ? { ...entry, setup: upgradedSetup(setup as unknown as Setup) } : entry;
  }
  if (entry.kind === 'trial') return upgradedTrial(entry) as Entry;
  if (entry.kind === 'change') return { ...CHANGE_DEFAULTS, ...entry };
  if (entry.kind === 'look') return { ...LOOK_DEFAULTS, ...entry };
  if (entry.kind === 'ladder') return upgradedLadder(entry) as Entry;
  if (entry.kind === 'pressure') return upgradedPressure(entry) as Entry;
  if (entry.kind === 'card') return { ...CARD_DEFAULTS, ...entry };
  return entry.kind === 'reading' ? (upgradedReading(entry) as Entry) : entry;
}

/** A screen from before an angle told how sure it was and when it was taken, and before the line and the hand counted, in today's shape. */
export const upgradedScreen = <Taken extends Screen>(screen: Taken): Taken =>
  Array.isArray(screen.items)
    ? {
        ...screen,
        hand: screen.hand ?? null,
        items: screen.items.map((item) =>
          isRecord(item)
            ? { ...item, uncertainty: item.uncertainty ?? null, takenAt: item.takenAt ?? null }
            : item,
        ),
        turnedOn: isRecord(screen.turnedOn)
          ? { ...screen.turnedOn, toeLine: screen.turnedOn.toeLine ?? 0 }
          : screen.turnedOn,
        earlierTurns: screen.earlierTurns ?? [],
      }
    : screen;

/** What a student is known by besides what earlier versions kept: no day of birth and no facts. */
const PERSON_DEFAULTS = { bornOn: null, facts: [] as CautionFact[] };

/** A student from before the day of birth and the facts were kept, in today's shape. */
export const upgradedStudent = <Known extends object>(student: Known): Known & typeof PERSON_DEFAULTS => ({
  ...PERSON_DEFAULTS,
  ...student,
});

/** A person as an edit leaves them: one that knew no facts leaves those, and the day of birth, as they are. */
export function personAfter(before: Pick<Person, 'bornOn' | 'facts'>, edit: StudentEdit): Person {
  const { name, hand, birthYear, cautions } = edit;
  const known = edit.facts === null ? before : { bornOn: edit.bornOn, facts: edit.facts };
  return { name, hand, birthYear, bornOn: known.bornOn, cautions, facts: known.facts };
}

/**
 * A write's body in today's shape.
 * @param version - the contract version it was written for; 1 is everything before versions were sent
 */
export function upgradedBody(route: string, version: number, body: unknown): unknown {
  if (version >= CONTRACT_VERSION || !isRecord(body)) return body;
  if (route === 'entry') return upgradedEntry(body as unknown as NewEntry);
  if (route === 'screen') return upgradedScreen(body as unknown as Screen);
  if (route === 'student') return upgradedStudent(body);
  if (route === 'consent') return { sharing: false, after: null, ...body };
  if (route === 'card link') return { pictures: null, ...body };
  // An app that knew of no facts has not taken any away.
  if (route === 'student edit') return { bornOn: null, facts: null, ...body };
  return body;
}
