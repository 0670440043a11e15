import type {
  AddressEntry,
  ChangeEntry,
  IntakeEntry,
  LadderEntry,
  NewBuild,
  NewScreen,
  ReadingEntry,
} from '@pedastance/contract';
import {
  ADULT_AGE,
  agesOn,
  MEASURED_UNCERTAINTY,
  NOTHING_ASKED,
  SCREEN_ITEMS,
  USUAL_GOAL,
  agreedFigures,
  asPlayed,
  bodyWith,
  caseOf as judgedCase,
  cautionsOf,
  differences,
  estimateBuild,
  goalOf,
  isMinor,
  judge,
  NOTHING_MORE,
  personalPath,
  playedKey,
  readSetup,
  restsOf,
  shoeLengthFromSize,
  setupAsTaught,
  withFigure,
  type AgreedFigure,
  type BuildFigureName,
  type CameFor,
  type Case,
  type Caution,
  type CardStudent,
  type CautionFact,
  type Hand,
  type HouseMethod,
  type Played,
  type Setup,
} from '@pedastance/core';
import { PRESETS } from '@pedastance/core/method/presets';
import { Client } from 'pg';

import { hashPassword } from '../accounts/passwords';
import { APPLICATION_ROLE } from '../config/settings';
import { addAccount } from '../store/accounts';
import { addBuild } from '../store/builds';
import { addEntry, addLesson } from '../store/lessons';
import { addMethodVersion } from '../store/methods';
import type { Writer } from '../store/rows';
import { addScreen } from '../store/screens';
import { addStudent } from '../store/students';
import { addConsent } from '../store/consents';
import { addPhoto, withEncodedPicture } from '../store/photos';
import { addDemoCard } from './card';
import { idAt } from './ids';
import { turnsUp } from './ladder';
import { demoPhoto, standsAsIn } from './photo';
import { addDemoTrial } from './trial';
import {
  DEMO_ACADEMIES,
  DEMO_PASSWORD,
  type DemoAcademy,
  type DemoLesson,
  type DemoStudent,
} from './scenario';

export const DEMO_SIGN_IN = { email: DEMO_ACADEMIES[0]!.instructor.email, password: DEMO_PASSWORD };

const DEMO_LOCK = 7_461_200_332;
const DAY_MS = 24 * 60 * 60 * 1000;
const MINUTE_MS = 60 * 1000;

const daysBefore = (now: Date, days: number): Date => new Date(now.getTime() - days * DAY_MS);

function buildOf(student: DemoStudent, studentId: string, height: number, madeAt: Date): NewBuild {
  const estimates = estimateBuild({
    height,
    estimateAs: student.estimateAs,
    junior: student.age < ADULT_AGE,
  });
  const figure = (name: Exclude<BuildFigureName, 'height'>) => {
    const value = student.measured[name];
    return value === undefined
      ? estimates[name]
      : { value, source: 'measured' as const, uncertainty: MEASURED_UNCERTAINTY[name] };
  };
  const { shoeSize } = student;
  return {
    id: idAt(madeAt),
    studentId,
    madeAt: madeAt.toISOString(),
    figures: {
      height: { value: height, source: 'measured', uncertainty: MEASURED_UNCERTAINTY.height },
      shoulderBreadth: figure('shoulderBreadth'),
      hipBreadth: figure('hipBreadth'),
      shoeLength: shoeSize ? shoeLengthFromSize(shoeSize.system, shoeSize.size) : figure('shoeLength'),
      shoeBreadth: figure('shoeBreadth'),
    },
    estimateAs: student.estimateAs,
    shoeSize: shoeSize ?? null,
  };
}

function screenOf(
  { hand }: DemoStudent,
  legs: NonNullable<DemoStudent['legs']>,
  build: NewBuild,
  madeAt: Date,
): NewScreen {
  const items = SCREEN_ITEMS.flatMap((item): NewScreen['items'] => {
    const angle = legs.angles[item];
    return angle === undefined
      ? []
      : [
          {
            item,
            tries: [angle],
            by: 'typed',
            uncertainty: null,
            pain: '',
            takenAt: null,
          } as NewScreen['items'][number],
        ];
  });
  return {
    id: idAt(madeAt),
    studentId: build.studentId,
    buildId: build.id,
    hand,
    madeAt: madeAt.toISOString(),
    items,
    turnedOn: legs.turnedOn ? { ...legs.turnedOn, toeLine: 0 } : null,
    earlierTurns: [],
    stoppedBack: legs.stoppedBack ?? null,
    stoppedThrough: null,
    soreKnee: legs.soreKnee ?? { lead: false, trail: false },
  };
}

/** The setup a lesson found: as the method teaches it, moved by the scenario's offsets. */
function setupOf(lesson: DemoLesson, build: NewBuild, method: HouseMethod): Setup {
  const played = asPlayed({ club: lesson.club, shot: lesson.shot ?? 'full' });
  const body = { build: build.figures, legs: null };
  const taught = setupAsTaught(method, body, played);
  const { findings } = readSetup({ ...body, ...played, method, setup: taught });
  const moved = findings.reduce(
    (setup, finding) => withFigure(setup, finding.item, finding.middle + (lesson.offsets[finding.item] ?? 0)),
    taught,
  );
  const stands = lesson.photo ? standsAsIn(lesson.photo, moved) : moved;
  return lesson.posture ? { ...stands, posture: lesson.posture } : stands;
}

type ReadFacts = NonNullable<ReadingEntry['facts']>;

const YES_TO_PHOTOS = {
  after: null,
  given: true,
  photos: true,
  sharing: true,
  by: 'student',
  guardian: '',
} as const;
const saidAt = (at: Date) => ({ id: idAt(at), madeAt: at.toISOString(), on: at.toISOString().slice(0, 10) });

interface Scene {
  client: Client;
  writer: Writer;
  method: HouseMethod;
  studentId: string;
  student: CardStudent;
  hand: Hand;
  build: NewBuild;
  /** Legs and trunk as tested before the lesson. */
  screen: NewScreen | null;
  cautions: readonly Caution[];
  facts: ReadFacts & { rests: NonNullable<ReadFacts['rests']> };
}

/** The case of the address a lesson found, by what was known then: no ball was hit on record before it. */
function caseOf(
  { method, hand, build, screen, cautions, facts, agreed }: Scene & { agreed: readonly AgreedFigure[] },
  { club, shot, clubLengthInches }: Played,
  cameFor: readonly CameFor[],
  setup: Setup,
): Case {
  const body = bodyWith(build.figures, screen, hand);
  return judgedCase({
    ...NOTHING_MORE,
    agreed,
    setup,
    played: { club, shot, clubLengthInches },
    method,
    build: build.figures,
    legs: body.legs,
    hand,
    goal: goalOf(facts.rests.shoulderGoal),
    cameFor,
    facts: facts.rests.facts,
    cautions,
    path: personalPath([], clubLengthInches),
    pathSimulated: false,
  });
}

/** What was agreed with a student so far, by club and shot, the newest word on each figure. */
type AgreedSoFar = Map<string, readonly AgreedFigure[]>;

const agreedBefore = (
  { agreedSoFar }: { agreedSoFar: AgreedSoFar },
  played: string,
): readonly AgreedFigure[] => agreedSoFar.get(played) ?? [];

const newestOf = (agreed: readonly AgreedFigure[]): AgreedFigure[] =>
  agreed.filter((each, at) => agreed.findLastIndex(({ item }) => item === each.item) === at);

async function addLessonWithEntries(
  scene: Scene & { agreedSoFar: AgreedSoFar },
  lesson: DemoLesson,
  startedAt: Date,
) {
  const { client, writer, method, studentId, student, hand, build, screen, cautions, facts } = scene;
  const after = (minutes: number) => new Date(startedAt.getTime() + minutes * MINUTE_MS);
  const lessonId = idAt(startedAt);
  const entry = (minutes: number) => ({
    id: idAt(after(minutes)),
    lessonId,
    madeAt: after(minutes).toISOString(),
    replaces: null,
  });
  const land = { ...writer, receivedAt: after(40) };
  await addLesson(client, { id: lessonId, studentId, startedAt: startedAt.toISOString() }, land);

  const club = asPlayed({ club: lesson.club, shot: lesson.shot ?? 'full' });
  const setup = setupOf(lesson, build, method);
  const today: AddressEntry = { ...entry(12), kind: 'address', standing: 'today', ...club, setup };
  const intake: IntakeEntry | null = lesson.intake
    ? { ...entry(2), kind: 'intake', ...NOTHING_ASKED, ...lesson.intake }
    : null;
  const { cameFor, sport } = intake ?? NOTHING_ASKED;
  const playedAs = playedKey(club);
  const before = agreedBefore(scene, playedAs);
  const given = caseOf({ ...scene, agreed: before }, club, cameFor, setup);
  const { setup: agreed, ...judgement } = judge(given);
  const body = bodyWith(build.figures, screen, hand);
  const goal = goalOf(facts.rests.shoulderGoal);
  const own = { agreed: before, exceptions: [] };
  const reading = readSetup({ ...body, ...club, setup, method, cautions, goal, own });
  const read: ReadingEntry = {
    ...entry(14),
    kind: 'reading',
    addressId: today.id,
    buildId: build.id,
    screenId: screen?.id ?? null,
    methodId: method.id,
    methodVersion: method.version,
    facts,
    judgement: { intakeId: intake?.id ?? null, shotIds: [], pinned: [], rests: restsOf(given), ...judgement },
    note: '',
    ...reading,
  };
  if (intake) await addEntry(client, intake, land);
  if (lesson.turnsFrom !== undefined) {
    const turns = turnsUp(lesson.turnsFrom);
    const ladder: LadderEntry = { ...entry(8), kind: 'ladder', ladder: 'trail flare', own: null, turns };
    await addEntry(client, ladder, land);
  }
  await addEntry(client, today, land);
  if (lesson.photo) {
    const photo = demoPhoto(lesson.photo, { ...entry(11), studentId }, today.id);
    await addPhoto(client, await withEncodedPicture(photo), land);
  }
  await addEntry(client, read, land);

  const { leadHeelLift } = judgement;
  if (!lesson.change || (leadHeelLift === 0 && differences(setup, agreed).length === 0)) return;
  const toAddress: AddressEntry = {
    ...entry(25),
    kind: 'address',
    standing: 'agreed',
    ...club,
    setup: agreed,
  };
  const change: ChangeEntry = {
    ...entry(35),
    kind: 'change',
    readingId: read.id,
    fromAddressId: today.id,
    toAddressId: toAddress.id,
    leadHeelLift,
    shoulderGoal: facts.rests.shoulderGoal,
    reason: lesson.change.reason,
    feel: lesson.change.feel,
    note: lesson.change.note ?? '',
  };
  await addEntry(client, toAddress, land);
  await addEntry(client, change, land);
  const lift = { from: given.leadHeelLift, to: leadHeelLift };
  scene.agreedSoFar.set(playedAs, newestOf([...before, ...agreedFigures(setup, agreed, lift, false)]));
  await addDemoCard(
    { client, land, student, entry: entry(38) },
    change,
    { club: lesson.club, shot: club.shot, method, from: setup, agreed, cameFor, sport },
    lesson.ticked,
  );
  const addresses = { A: today, B: toAddress };
  const scheduled = {
    client,
    land,
    studentId,
    addresses,
    entry: (seconds: number) => entry(15 + seconds / 60),
  };
  if (lesson.trial) await addDemoTrial(scheduled, lesson.trial);
}

async function addDemoStudent(
  scene: Pick<Scene, 'client' | 'writer' | 'method'>,
  student: DemoStudent,
  now: Date,
) {
  const { client, writer } = scene;
  const firstSeen =
    Math.max(7, student.grownFrom?.daysAgo ?? 0, ...student.lessons.map((lesson) => lesson.daysAgo)) + 1;
  const madeAt = daysBefore(now, firstSeen);
  const studentId = idAt(madeAt);
  const person = {
    name: student.name,
    hand: student.hand,
    birthYear: now.getFullYear() - student.age,
    bornOn: student.bornOn ? `${now.getFullYear() - student.age}-${student.bornOn}` : null,
    cautions: student.cautions,
    facts: (student.facts ?? []).map((fact): CautionFact => ({
      since: '',
      clearedBy: '',
      notedOn: madeAt.toISOString().slice(0, 10),
      status: 'stands',
      ...fact,
    })),
  };
  const land = { ...writer, receivedAt: madeAt };
  await addStudent(client, { id: studentId, madeAt: madeAt.toISOString(), ...person }, land);
  if (student.photos) await addConsent(client, { ...YES_TO_PHOTOS, ...saidAt(madeAt), studentId }, land);
  const first = buildOf(student, studentId, student.grownFrom?.height ?? student.height, madeAt);
  await addBuild(client, first, land);
  const builds = [first];
  if (student.grownFrom) {
    const regrown = buildOf(student, studentId, student.height, daysBefore(now, 34));
    await addBuild(client, regrown, { ...writer, receivedAt: new Date(regrown.madeAt) });
    builds.push(regrown);
  }
  const newest = builds[builds.length - 1]!;
  const screenedAt = new Date(Date.parse(newest.madeAt) + MINUTE_MS);
  const screened = student.legs ? screenOf(student, student.legs, newest, screenedAt) : null;
  if (screened) await addScreen(client, screened, { ...writer, receivedAt: screenedAt });
  const agreedSoFar: AgreedSoFar = new Map();
  const inOrder = [...student.lessons].sort((a, b) => b.daysAgo - a.daysAgo);
  for (const lesson of inOrder) {
    const startedAt = daysBefore(now, lesson.daysAgo);
    const build = builds.findLast((each) => new Date(each.madeAt) <= startedAt)!;
    const on = startedAt.toISOString().slice(0, 10);
    const rests = { hand: person.hand, facts: person.facts, shoulderGoal: USUAL_GOAL.shoulders };
    const facts = { cautions: student.cautions, age: agesOn(person, on).least, rests };
    const cautions = cautionsOf(person.facts, person.hand, isMinor(person, on));
    const screen = screenedAt <= startedAt ? screened : null;
    const { hand } = person;
    await addLessonWithEntries(
      { ...scene, studentId, student: person, hand, build, screen, cautions, facts, agreedSoFar },
      lesson,
      startedAt,
    );
  }
}

/** The presets an academy has made its house methods; the first is what its lessons were read with. */
async function addDemoMethods(client: Client, academy: DemoAcademy, writer: Writer): Promise<HouseMethod[]> {
  const methods: HouseMethod[] = [];
  for (const [at, key] of academy.methods.entries()) {
    const madeAt = new Date(writer.receivedAt.getTime() + at * MINUTE_MS);
    const { contents } = PRESETS.find((preset) => preset.key === key)!;
    const version = { id: idAt(madeAt), madeAt: madeAt.toISOString(), methodId: idAt(madeAt), version: 1 };
    methods.push(await addMethodVersion(client, { ...version, ...contents }, writer));
  }
  return methods;
}

async function addDemoAcademy(client: Client, academy: DemoAcademy, now: Date): Promise<void> {
  const opened = daysBefore(now, 200);
  const academyId = idAt(opened);
  const instructorId = idAt(opened);
  await client.query('set local role pedastance_owner');
  await addAccount(
    client,
    {
      academyId,
      academyName: academy.name,
      instructorId,
      instructorName: academy.instructor.name,
      email: academy.instructor.email,
      passwordHash: await hashPassword(DEMO_PASSWORD),
      demo: true,
    },
    opened,
  );
  await client.query(`set local role ${APPLICATION_ROLE}`);
  await client.query("select set_config('pedastance.academy', $1, true)", [academyId]);
  const writer = { academyId, instructorId, receivedAt: opened };
  const methods = await addDemoMethods(client, academy, writer);
  const method = methods[0]!;
  for (const student of academy.students) await addDemoStudent({ client, writer, method }, student, now);
}

/**
 * Loads the demo academies into a database that has no academy, all or nothing, while other
 * servers that start at the same moment wait. Answers whether it loaded them.
 */
export async function loadDemoWhenEmpty(adminUrl: string, now: Date): Promise<boolean> {
  const client = new Client({ connectionString: adminUrl });
  await client.connect();
  try {
    await client.query('begin');
    await client.query('select pg_advisory_xact_lock($1)', [DEMO_LOCK]);
    await client.query('set local role pedastance_owner');
    const { rows } = await client.query('select exists (select 1 from academy) as found');
    if (rows[0].found) return false;
    for (const academy of DEMO_ACADEMIES) await addDemoAcademy(client, academy, now);
    await client.query('commit');
    return true;
  } finally {
    await client.end();
  }
}
