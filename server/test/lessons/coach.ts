// What a coach does in a lesson, drawn at random, and a ledger of what was entered and agreed with which club.
import type { NewScreen } from '@pedastance/contract';
import { pathShotsOf } from '@pedastance/contract/pathShots';
import { isKind } from '@pedastance/contract/trialLog';
import type { HouseMethod } from '@pedastance/core';
import { judge, setupWith, type Case, type Judgement } from '@pedastance/core/advice';
import { canPitch, type ClubId, type ShotType } from '@pedastance/core/club';
import { personalPath } from '@pedastance/core/path';
import { readSetup } from '@pedastance/core/reading';
import { measureSetup, QUICK_LOOK, setupAsSeen, type PlacedFigure } from '@pedastance/core/setup';
import { goalOf } from '@pedastance/core/turn';
import type { Device } from './device';

type Random = () => number;

/** Figures that may be set without another one moving along, and what a coach sets them to, mm and degrees. */
const DIALS = {
  stanceWidth: [300, 560],
  leadFlare: [0, 35],
  trailFlare: [0, 35],
  setback: [-60, 90],
  ballAlong: [20, 180],
} as const;
type Dial = keyof typeof DIALS;

const CLUBS: readonly ClubId[] = ['9-iron', '7-iron', 'driver', 'sand-wedge'];

/** What was entered of the feet, agreed on and said with one club and shot of one lesson. */
export interface Entered {
  feet: Map<PlacedFigure, Set<number>>;
  agreed: Map<PlacedFigure, Set<number>>;
  lifts: Set<number>;
  said: Set<string>;
}
/** By lesson, club and shot. */
export type Ledger = Map<string, Entered>;

export const ledgerKey = (lesson: string, club: string, shot: string): string => `${lesson} ${club} ${shot}`;

function entered(ledger: Ledger, key: string): Entered {
  const known = ledger.get(key) ?? {
    feet: new Map(),
    agreed: new Map(),
    lifts: new Set([0]),
    said: new Set(),
  };
  ledger.set(key, known);
  return known;
}

function note(figures: Entered['feet'], figure: PlacedFigure, value: number): void {
  figures.set(figure, (figures.get(figure) ?? new Set()).add(value));
}

const pick = <Item>(items: readonly Item[], random: Random): Item =>
  items[Math.floor(random() * items.length)]!;

export interface Lesson {
  device: Device;
  studentId: string;
  screen: NewScreen | null;
  method: HouseMethod;
  random: Random;
  ledger: Ledger;
}

const draftOf = ({ device }: Lesson) => device.app.lesson.lesson.getState().draft!;
const keyOf = (of: Lesson) => {
  const { id, club, shot } = draftOf(of);
  return ledgerKey(id, club!, shot);
};

/** The case of today's feet, as the lesson's screens put it together. */
function caseNow(of: Lesson): { judged: Case; judgement: Judgement; shotIds: readonly string[] } {
  const { device, studentId, method } = of;
  const { app } = device;
  const draft = draftOf(of);
  const [student, build] = [device.student(studentId), device.build(studentId)];
  const entries = device.entries(studentId);
  const { shots, shotIds, simulated } = pathShotsOf(entries, studentId, false);
  const played = { club: draft.club!, shot: draft.shot };
  const own = app.agreed.ownWith({ entries, studentId, ...played, lessonId: draft.id });
  const judged = app.case.caseOf({
    student,
    build: build.figures,
    legs: null,
    method,
    cautions: [],
    path: { ...personalPath(shots, draft.clubLengthInches), simulated },
    goal: goalOf(draft.shoulderGoal),
    draft,
    setup: draft.setup!,
    own,
    dropped: own.dropped,
    weight: { pressure: null, feltUnder: null },
  })!;
  return { judged, judgement: judge(judged), shotIds };
}

function takeClub(of: Lesson): void {
  const { device, studentId, random } = of;
  const { app } = device;
  const club = pick(CLUBS, random);
  const shot: ShotType = canPitch(club) && random() < 0.3 ? 'pitch' : 'full';
  const records = app.logged.recordsOf(device.entries(studentId), studentId);
  app.lesson.openStep('club');
  app.lesson.chooseClub(club, shot, device.build(studentId).figures, (of, played) =>
    app.last.feetOf(records.find(({ address }) => address.club === of && address.shot === played) ?? null),
  );
}

/** A figure and what a coach sets it to. */
function drawnFigure(random: Random): { dial: Dial; value: number } {
  const dial = pick(Object.keys(DIALS) as Dial[], random);
  const [least, most] = DIALS[dial];
  return { dial, value: Math.round(least + (most - least) * random()) };
}

function measure(of: Lesson): void {
  const { device, random, ledger } = of;
  device.app.lesson.openStep('feet');
  for (let left = 1 + Math.floor(4 * random()); left > 0; left -= 1) {
    const { dial, value } = drawnFigure(random);
    device.app.lesson.setDial(dial, value, 'tape');
    note(entered(ledger, keyOf(of)).feet, dial, value);
  }
}

function see(of: Lesson): void {
  const { device, studentId, random, ledger } = of;
  const setup = draftOf(of).setup!;
  const look = pick(['lead foot', 'trail foot', 'ball', 'side to side'] as const, random);
  const { shoulderBreadth } = device.build(studentId).figures;
  const choice = pick(QUICK_LOOK[look], random);
  device.app.lesson.openStep('quickLook');
  device.app.tape.standAs(setupAsSeen(setup, choice, shoulderBreadth.value));
  for (const [figure, value] of Object.entries(choice.figures(setup, shoulderBreadth.value)))
    note(entered(ledger, keyOf(of)).feet, figure as PlacedFigure, value);
}

/** The feet of another club of the lesson: offered where nothing was measured with this one. */
function sameFeet(of: Lesson): void {
  const { device, random, ledger } = of;
  const { anyMeasured, otherParts } = device.app.draft;
  const draft = draftOf(of);
  const measured = otherParts(draft).filter(({ setup }) => setup && anyMeasured(setup));
  if (anyMeasured(draft.setup!) || measured.length === 0) return;
  const part = pick(measured, random);
  device.app.lesson.standAsWith(part);
  const { feet } = entered(ledger, keyOf(of));
  const theirs = entered(ledger, ledgerKey(draft.id, part.club!, part.shot)).feet;
  for (const [figure, values] of theirs) for (const value of values) note(feet, figure, value);
}

function use(of: Lesson): void {
  const { device, ledger } = of;
  const moves = caseNow(of).judgement.things.flatMap((thing) => thing.moves);
  if (moves.length === 0) return;
  const lift = moves.find(({ figure }) => figure === 'leadHeelLift')?.to ?? 0;
  device.app.lesson.openStep('change');
  device.app.lesson.replaceAgreed(setupWith(draftOf(of).setup!, moves), lift);
  const noted = entered(ledger, keyOf(of));
  noted.lifts.add(lift);
  for (const { figure, to } of moves) note(noted.agreed, figure as PlacedFigure, to);
}

function adjust(of: Lesson): void {
  const { device, random, ledger } = of;
  const { dial, value } = drawnFigure(random);
  device.app.lesson.openStep('change');
  device.app.lesson.setDial(dial, value);
  note(entered(ledger, keyOf(of)).agreed, dial, value);
}

let words = 0;

function say(of: Lesson): void {
  const reason = `${keyOf(of)} because ${(words += 1)}`;
  of.device.app.lesson.changeDraft({ reason, feel: `feel of ${reason}` });
  entered(of.ledger, keyOf(of)).said.add(reason);
}

/** Records what is open, with what was told; a change needs its reason. */
async function record(of: Lesson): Promise<void> {
  const { device, studentId, screen, method } = of;
  const { app } = device;
  const [student, build] = [device.student(studentId), device.build(studentId)];
  app.lesson.openStep('keep');
  if (app.draft.hasChange(draftOf(of)) && draftOf(of).reason === '') say(of);
  const draft = draftOf(of);
  const { judged, judgement, shotIds } = caseNow(of);
  const { club, clubLengthInches, shot, shoulderGoal } = draft;
  const reading = readSetup({
    build: build.figures,
    legs: null,
    club: club!,
    clubLengthInches,
    shot,
    method,
    cautions: [],
    goal: goalOf(shoulderGoal),
    own: app.agreed.ownWith({
      entries: device.entries(studentId),
      studentId,
      club: club!,
      shot,
      lessonId: draft.id,
    }),
    setup: draft.setup!,
    measured: measureSetup(draft.setup!),
  });
  if (reading.findings.length === 0) return;
  await app.record.recordLesson({
    ...{ draft, student, build, screen, method, reading, judgement, judged, shotIds },
  });
}

/** A shot hit in the newest feet of the log. */
async function hit({ device, studentId, random }: Lesson): Promise<void> {
  const [address] = device
    .entries(studentId)
    .filter(isKind('address'))
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt));
  if (!address) return;
  await device.app.shots.keepTypedShot(device.student(studentId), address, {
    path: Math.round(100 * (random() * 8 - 4)) / 100,
    mishit: false,
  });
}

/** Ends the lesson, and begins the next. */
async function next(of: Lesson): Promise<void> {
  const { app, owner } = of.device;
  const { id } = draftOf(of);
  app.lesson.closeLesson();
  await app.drafts.removeDraft(owner, id);
  await begin(of);
}

/** Begins a lesson on the device. */
export async function begin({ device, studentId }: Pick<Lesson, 'device' | 'studentId'>): Promise<void> {
  const { app, owner } = device;
  await app.records.openStudent(owner, studentId);
  const id = await app.start.startLesson(studentId, 'who');
  app.lesson.openLesson(owner, app.drafts.useDrafts.getState().drafts[id]!);
}

const ACTIONS: readonly [times: number, act: (of: Lesson) => void | Promise<void>][] = [
  [3, takeClub],
  [10, measure],
  [3, see],
  [2, sameFeet],
  [7, use],
  [3, adjust],
  [2, ({ device }) => device.app.lesson.undo()],
  [1, ({ device }) => device.app.lesson.replaceAgreed(null)],
  [2, say],
  [6, record],
  [2, hit],
  [1, ({ device }) => void (device.offline = !device.offline)],
  [1, ({ device }) => device.reopen()],
  [1, ({ device }) => device.app.records.followChanges(device.owner)],
  [1, next],
];
const ALL = ACTIONS.flatMap(([times, act]) => Array.from({ length: times }, () => act));

/** One thing that a coach does next. */
export async function act(of: Lesson): Promise<void> {
  const drawn = pick(ALL, of.random);
  const before = !draftOf(of).club;
  await (before ? takeClub : drawn)(of);
  await of.device.settle();
}
