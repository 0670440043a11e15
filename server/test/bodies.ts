import type { StudentShots } from '@pedastance/contract/pathShots';
import { createHash, randomBytes } from 'node:crypto';
import type {
  AddressEntry,
  CardEntry,
  ChangeEntry,
  ExceptionEntry,
  LadderEntry,
  IntakeEntry,
  LookEntry,
  NewBuild,
  NewCardLink,
  NewConsent,
  NewDrill,
  NewLesson,
  NewMatSession,
  NewMethodVersion,
  NewOwnLadder,
  NewPainAnswer,
  NewPhoto,
  NewScreen,
  NewStudent,
  PressureEntry,
  ReadingEntry,
  ShotsEntry,
  StandIn,
  TestEntry,
  TestName,
  TestOf,
  TrialEntry,
} from '@pedastance/contract';
import {
  caseOf,
  judge,
  NOTHING_MORE,
  personalPath,
  readSetup,
  restsOf,
  USUAL_GOAL,
  type Posture,
} from '@pedastance/core';
import { DRILL_LIBRARY } from '@pedastance/core/card';
import { MODEL_VERSION } from '@pedastance/core/reading';
import { SHOULDERS_AND_NEUTRAL } from '@pedastance/core/method/presets';
import { v7 as uuidv7 } from 'uuid';
import { build as exampleBuild, ownLadder, setup as exampleSetup } from '../../core/test/example';
import { withSuggestions } from '../../core/test/suggestions';
import { SMALL_JPEG } from './pictures';
import type { Coach, World } from './world';

const madeAt = '2026-05-01T10:00:00.000Z';

export const newStudent = (over: Partial<NewStudent> = {}): NewStudent => ({
  id: uuidv7(),
  madeAt,
  name: 'Marl Testwick',
  hand: 'left',
  birthYear: 1980,
  bornOn: null,
  cautions: '',
  facts: [],
  ...over,
});

export const newBuild = (studentId: string, over: Partial<NewBuild> = {}): NewBuild => ({
  id: uuidv7(),
  studentId,
  madeAt,
  figures: exampleBuild(),
  estimateAs: 'not said',
  shoeSize: null,
  ...over,
});

/** The first version of a method of one's own. */
export const newMethod = (over: Partial<NewMethodVersion> = {}): NewMethodVersion => ({
  id: uuidv7(),
  madeAt,
  methodId: uuidv7(),
  version: 1,
  ...SHOULDERS_AND_NEUTRAL,
  name: 'Of our own',
  ...over,
});

/** A screen with two tries, pain on one item, and the turn taken on known feet. */
export const newScreen = (studentId: string, buildId: string, over: Partial<NewScreen> = {}): NewScreen => ({
  id: uuidv7(),
  studentId,
  buildId,
  madeAt,
  items: [
    { item: 'toeOutLead', tries: [12], by: 'by eye', uncertainty: null, pain: '', takenAt: null },
    { item: 'turnInTrail', tries: [8, 11], by: 'gauge', uncertainty: null, pain: '', takenAt: null },
    { item: 'turnOutTrail', tries: [], by: 'typed', uncertainty: null, pain: 'at once', takenAt: null },
    { item: 'hipsBack', tries: [33.5], by: 'apparent width', uncertainty: 6.5, pain: '', takenAt: null },
  ],
  hand: 'right',
  turnedOn: { leadFlare: 15, trailFlare: 5, toeLine: 4 },
  stoppedBack: 'trail',
  stoppedThrough: null,
  earlierTurns: [
    {
      takenAt: '2026-04-02T09:00:00.000Z',
      leadFlare: 15,
      trailFlare: 5,
      toeLine: -6,
      back: { value: 30, uncertainty: 4 },
      through: null,
      stoppedBack: null,
      stoppedThrough: null,
    },
  ],
  soreKnee: { lead: true, trail: false },
  ...over,
});

export const newConsent = (studentId: string, over: Partial<NewConsent> = {}): NewConsent => ({
  id: uuidv7(),
  studentId,
  madeAt,
  after: null,
  given: true,
  photos: false,
  sharing: false,
  by: 'guardian',
  guardian: 'Grown Testwick',
  on: '2026-05-01',
  ...over,
});

/** A student's newest answer on consent, as a coach knows it who gives another one. */
export const newestConsent = async (coach: Coach, studentId: string): Promise<string | null> =>
  (await coach.ask('GET', `/api/students/${studentId}`)).body.student.consent?.id ?? null;

export const newLesson = (studentId: string): NewLesson => ({ id: uuidv7(), studentId, startedAt: madeAt });

const corner = (x: number, y: number) => ({ x, y });

export const newPhoto = (studentId: string, addressId: string, over: Partial<NewPhoto> = {}): NewPhoto => ({
  id: uuidv7(),
  studentId,
  addressId,
  madeAt,
  width: 240,
  height: 200,
  jpeg: SMALL_JPEG,
  sight: {
    camera: { centre: corner(120, 100), focal: 180 },
    known: {
      ground: [corner(0, 0), corner(210, 0), corner(210, -297), corner(0, -297)],
      image: [corner(90, 60), corner(150, 60), corner(160, 140), corner(80, 140)],
    },
    taps: {
      lead: { toe: corner(170, 100), heel: corner(170, 60) },
      trail: { toe: corner(70, 100), edge: [corner(75, 70), corner(75, 95)] },
      ball: corner(120, 180),
      stick: null,
    },
    heights: { toe: 15, heel: 10 },
  },
  ...over,
});

const entry = (lessonId: string) => ({ id: uuidv7(), lessonId, madeAt, replaces: null });

/** A body looked at from knee to shoulder, with what comes from what. */
const posture: Posture = {
  figures: {
    hipBump: { value: 60, way: 'by eye', uncertainty: 12 },
    hipGap: { value: 10, way: 'tape', uncertainty: 8 },
    shoulderLine: { value: -12, way: 'by eye', uncertainty: 4 },
    shoulderTurn: { value: 118, way: 'tape', uncertainty: 4 },
  },
  choices: { seat: 'behind the heels', pressureRoute: 'centred' },
  swingPath: 'from the inside',
  tellTales: ['sways', 'falls back'],
};

export const newIntake = (lessonId: string, over: Partial<IntakeEntry> = {}): IntakeEntry => ({
  ...entry(lessonId),
  kind: 'intake',
  cameFor: ['fat', 'sore'],
  sore: 'left wrist, on frozen ground',
  words: 'Wants to play in the spring.',
  sport: '',
  ...over,
});

export const newAddress = (lessonId: string, over: Partial<AddressEntry> = {}): AddressEntry => ({
  ...entry(lessonId),
  kind: 'address',
  standing: 'today',
  club: '7-iron',
  clubLengthInches: 37,
  shot: 'full',
  setup: { ...exampleSetup(), posture },
  ...over,
});

export const newException = (lessonId: string, over: Partial<ExceptionEntry> = {}): ExceptionEntry => ({
  ...entry(lessonId),
  kind: 'exception',
  item: 'trailFlare',
  low: 20,
  high: 28,
  club: '7-iron',
  ended: false,
  ...over,
});

export const newLadder = (lessonId: string, over: Partial<LadderEntry> = {}): LadderEntry => ({
  ...entry(lessonId),
  kind: 'ladder',
  ladder: 'trail flare',
  own: null,
  turns: [
    { rung: 0, result: null, measured: null },
    {
      rung: 0,
      result: 'failed',
      measured: {
        hips: 31.5,
        uncertainty: 4,
        by: 'gauge',
        stoppedBy: 'trail',
        at: '2026-05-01T09:58:00.000Z',
      },
    },
    { rung: 10, result: 'worse', measured: null },
    { rung: 20, result: 'passed', measured: null },
  ],
  ...over,
});

/** A whole ladder of an academy's own, as it is written. */
export const newOwnLadder = (ladder = ownLadder(), over: Partial<NewOwnLadder> = {}): NewOwnLadder => ({
  id: uuidv7(),
  madeAt,
  ladder,
  gone: false,
  ...over,
});

export const newTest = <Name extends TestName>(
  lessonId: string,
  of: Omit<TestOf<Name>, 'id' | 'lessonId' | 'madeAt' | 'replaces' | 'kind'>,
): TestOf<Name> => ({ ...entry(lessonId), kind: 'test', ...of }) as unknown as TestOf<Name>;

const SERIES = Array.from({ length: 120 }, (_, at) => 400 + at);

export const newPressure = (lessonId: string, over: Partial<PressureEntry> = {}): PressureEntry => ({
  ...entry(lessonId),
  kind: 'pressure',
  shot: 'full',
  club: '7-iron',
  route: 'centred',
  source: 'file',
  hangsBack: null,
  swings: [
    {
      rate: 100,
      load: SERIES,
      share: SERIES,
      leadAlong: SERIES,
      leadAcross: SERIES,
      trailAlong: SERIES,
      trailAcross: SERIES,
      times: { address: 100, top: 600, 'early down': 700, impact: 850, finish: 1150 },
      path: -2.5,
      shot: null,
    },
  ],
  pattern: 'falls back',
  cue: 'Stand on the lead heel.',
  ...over,
});

/** A student on the stand-in mat. */
export const newMatSession = (studentId: string): NewMatSession => ({
  id: uuidv7(),
  madeAt,
  studentId,
  setup: exampleSetup(),
  route: 'centred',
});

/** One of each test that stands beside the ladders. */
export const everyTest = (lessonId: string): TestEntry[] => [
  newTest<'setback'>(lessonId, {
    test: 'setback',
    club: '7-iron',
    tries: [
      { rung: 'fully forward', score: 'balance' },
      { rung: 'middle', score: 'held' },
    ],
  }),
  newTest<'low point'>(lessonId, {
    test: 'low point',
    club: '7-iron',
    ballAlong: 50,
    teeHeight: null,
    tries: [
      { mark: 'ahead', start: null, end: null, strike: null },
      { mark: null, start: -10, end: 90, strike: 'low' },
    ],
  }),
  newTest<'settled'>(lessonId, { test: 'settled', tries: [{ along: 45 }, { along: 50 }] }),
  newTest<'stripe'>(lessonId, {
    test: 'stripe',
    club: '7-iron',
    tries: [
      {
        address: { lead: true, trail: true },
        top: { lead: true, trail: false },
        'early down': { lead: null, trail: null },
        impact: { lead: true, trail: null },
      },
    ],
  }),
  newTest<'broomstick'>(lessonId, { test: 'broomstick', tries: [{ felt: 'toes' }] }),
  newTest<'lift'>(lessonId, { test: 'lift', club: '7-iron', tries: [{ held: false }] }),
  newTest<'finish'>(lessonId, { test: 'finish', club: 'driver', tries: [{ held: true }, { held: false }] }),
];

/** What would be judged of an address, as a record keeps it, by shots where there are any. */
export function judgementOf(
  { setup, club, clubLengthInches, shot }: AddressEntry,
  build: NewBuild,
  { method }: Pick<World, 'method'>,
  by: StudentShots = { shots: [], shotIds: [], simulated: false },
): NonNullable<ReadingEntry['judgement']> {
  const given = caseOf({
    ...NOTHING_MORE,
    setup,
    played: { club, clubLengthInches, shot },
    method,
    build: build.figures,
    legs: null,
    hand: 'left',
    goal: USUAL_GOAL,
    cameFor: [],
    facts: [],
    cautions: [],
    path: personalPath(by.shots, clubLengthInches),
    pathSimulated: by.simulated,
  });
  const { setup: _follows, ...told } = judge(given);
  return { intakeId: null, shotIds: by.shotIds, pinned: [], rests: restsOf(given), ...told };
}

export function newReading(
  world: World,
  address: AddressEntry,
  build: NewBuild,
  over: Partial<ReadingEntry> = {},
): ReadingEntry {
  const { setup, club, clubLengthInches, shot } = address;
  const reading = readSetup({
    setup,
    club,
    clubLengthInches,
    shot,
    build: build.figures,
    legs: null,
    method: world.method,
  });
  return {
    ...entry(address.lessonId),
    kind: 'reading',
    addressId: address.id,
    note: '',
    buildId: build.id,
    screenId: null,
    methodId: world.method.id,
    methodVersion: world.method.version,
    facts: { cautions: '', age: 40, rests: { hand: 'left', facts: [], shoulderGoal: 90 } },
    judgement: judgementOf(address, build, world),
    ...reading,
    ...over,
  };
}

export const newTrial = (
  addressA: AddressEntry,
  addressBId: string,
  over: Partial<TrialEntry> = {},
): TrialEntry => ({
  ...entry(addressA.lessonId),
  kind: 'trial',
  addressAId: addressA.id,
  addressBId,
  cueA: '',
  cueB: 'pocket back',
  primary: 'straight path',
  margin: 1,
  scatter: 2,
  mishits: 'left out',
  warmUps: 4,
  length: 'full',
  blockSize: 2,
  seed: 4_123_456_789,
  source: 'simulated monitor',
  apart: null,
  ...over,
});

export const newShots = (trial: TrialEntry, over: Partial<ShotsEntry> = {}): ShotsEntry => ({
  ...entry(trial.lessonId),
  kind: 'shots',
  addressId: trial.addressBId,
  trialId: trial.id,
  source: 'simulated monitor',
  sitting: 0,
  place: { warmUp: false, block: 3, arm: 'B' },
  shots: [
    {
      path: -2.3,
      face: 0.8,
      startLine: 1.1,
      curve: 3.5,
      clubSpeed: 38.2,
      ballSpeed: 51,
      carry: 133.4,
      side: -4,
      attack: -3.1,
      divotStart: 12,
      divotEnd: 140,
      teeHeight: 0,
      strike: 'clean',
      mishit: false,
    },
  ],
  ...over,
});

export const newLook = (trial: TrialEntry, over: Partial<LookEntry> = {}): LookEntry => ({
  ...entry(trial.lessonId),
  kind: 'look',
  trialId: trial.id,
  shotIds: null,
  modelVersion: MODEL_VERSION,
  length: 'full',
  look: 1,
  painUp: false,
  verdict: 'keep',
  because: 'better',
  evidence: {
    difference: 1.4,
    shift: 1.3,
    interval: [0.4, 2.2],
    p: 0.0108,
    exact: true,
    arrangements: 924,
    chance: 0.81,
    count: { A: 11, B: 12 },
    mean: { A: -3.1, B: -1.7 },
  },
  effects: null,
  decision: 'keep',
  note: '',
  ...over,
});

export const newStandIn = (studentId: string, over: Partial<StandIn> = {}): StandIn => ({
  id: uuidv7(),
  madeAt,
  sessionId: uuidv7(),
  studentId,
  setup: exampleSetup(),
  clubLengthInches: 37,
  shots: 2,
  ...over,
});

export const newChange = (
  reading: ReadingEntry,
  toAddressId: string,
  over: Partial<ChangeEntry> = {},
): ChangeEntry => ({
  ...entry(reading.lessonId),
  kind: 'change',
  readingId: reading.id,
  fromAddressId: reading.addressId,
  toAddressId,
  leadHeelLift: 12.5,
  shoulderGoal: 85,
  reason: 'Lead foot square.',
  feel: 'Toe to the target.',
  note: '',
  ...over,
});

export const newCard = (change: ChangeEntry, over: Partial<CardEntry> = {}): CardEntry => ({
  ...entry(change.lessonId),
  kind: 'card',
  changeId: change.id,
  dose: 'feel',
  further: [{ figure: 'trailFlare', value: 38.5 }],
  rounds: { feel: 3, play: 5 },
  routine: ['lead foot', 'trail foot', 'rock and settle', 'go'],
  drills: [DRILL_LIBRARY[0]!, DRILL_LIBRARY[6]!],
  cue: 'Lead foot as for a long throw.',
  practice: { daysAWeek: 3, balls: 40, warmUp: true },
  nextLook: '2026-05-08',
  ladder: ownLadder(),
  ...over,
});

/** A drill of an academy's own. */
export const newDrill = (over: Partial<NewDrill> = {}): NewDrill => ({
  id: uuidv7(),
  madeAt,
  drill: { ...DRILL_LIBRARY[1]!, id: `own-${uuidv7()}`, name: 'Up on the toes' },
  gone: false,
  ...over,
});

/** A link to a card that opens for a long time, with its secret. */
export function newCardLink(
  studentId: string,
  cardId: string,
  over: Partial<NewCardLink> = {},
): { token: string; link: NewCardLink } {
  const token = randomBytes(16).toString('base64url');
  const tokenHash = createHash('sha256').update(token).digest('base64url');
  const link: NewCardLink = {
    id: uuidv7(),
    studentId,
    madeAt,
    cardId,
    tokenHash,
    wholeBag: false,
    length: 'cm',
    endsOn: '2098-01-01',
    pictures: null,
    ...over,
  };
  return { token, link };
}

/** A link to a card, opened and ticked. */
export async function landCard(
  world: World,
  coach: Coach,
  { student, card }: { student: NewStudent; card: CardEntry },
) {
  const { token, link } = newCardLink(student.id, card.id);
  const tick = { id: uuidv7(), on: '2026-05-02', rounds: 2, hurts: false };
  for (const [ask, path, body, status] of [
    [coach.ask, '/api/card-links', link, 201],
    [world.ask, '/api/card/seen', { token }, 204],
    [world.ask, '/api/card/ticks', { token, ticks: [tick] }, 204],
  ] as const) {
    const answer = await ask('POST', path, body);
    if (answer.status !== status) throw new Error(`${path}: ${answer.status} ${JSON.stringify(answer.body)}`);
  }
  return { token, link, tick };
}

export const newPainAnswer = (
  studentId: string,
  tickId: string,
  over: Partial<NewPainAnswer> = {},
): NewPainAnswer => ({ id: uuidv7(), studentId, madeAt, tickId, found: 'noted', ...over });

/** A tick that it hurts, from the link of a card, and that a coach asked after it. */
export async function landPain(world: World, coach: Coach, studentId: string, token: string) {
  const tick = { id: uuidv7(), on: '2026-05-02', rounds: 0, hurts: true };
  const answer = newPainAnswer(studentId, tick.id);
  const sent = await world.ask('POST', '/api/card/ticks', { token, ticks: [tick] });
  const asked = await coach.ask('POST', '/api/pain-answers', answer);
  if (sent.status !== 204 || asked.status !== 201) throw new Error(JSON.stringify([sent.body, asked.body]));
  return { tick, answer };
}

/** A student with a build, a lesson and a whole record in it, landed for a coach. */
export async function landRecord(world: World, coach: Coach) {
  const student = newStudent();
  const build = newBuild(student.id);
  const screen = newScreen(student.id, build.id);
  const lesson = newLesson(student.id);
  const address = newAddress(lesson.id);
  const reading = newReading(world, address, build);
  const agreedSetup = withSuggestions(
    address.setup,
    reading.findings.filter((finding) => finding.putForward),
  );
  const agreed = newAddress(lesson.id, { standing: 'agreed', setup: agreedSetup });
  const intake = newIntake(lesson.id);
  const exception = newException(lesson.id);
  const ladder = newLadder(lesson.id);
  const tests = everyTest(lesson.id);
  const pressure = newPressure(lesson.id);
  const change = newChange(reading, agreed.id);
  const card = newCard(change);
  const consent = newConsent(student.id, { photos: true, by: 'student', guardian: '' });
  const photo = newPhoto(student.id, address.id);
  const sent: [string, object][] = [
    ['/api/students', student],
    ['/api/builds', build],
    ['/api/screens', screen],
    ['/api/lessons', lesson],
    ['/api/entries', intake],
    ['/api/entries', exception],
    ['/api/entries', ladder],
    ...tests.map((each): [string, object] => ['/api/entries', each]),
    ['/api/entries', pressure],
    ['/api/entries', address],
    ['/api/entries', reading],
    ['/api/entries', agreed],
    ['/api/entries', change],
    ['/api/entries', card],
    ['/api/consents', consent],
    ['/api/photos', photo],
    ['/api/mat-sessions', newMatSession(student.id)],
  ];
  for (const [path, body] of sent) {
    const answer = await coach.ask('POST', path, body);
    if (answer.status !== 201) throw new Error(`${path}: ${answer.status} ${JSON.stringify(answer.body)}`);
  }
  return {
    student,
    build,
    screen,
    lesson,
    intake,
    exception,
    ladder,
    tests,
    pressure,
    address,
    reading,
    agreed,
    change,
    card,
    photo,
  };
}

/** A trial of what was agreed, with a shot, a look, and shots of the stand-in. */
export async function landTrial(
  coach: Coach,
  { student, address, agreed }: Awaited<ReturnType<typeof landRecord>>,
) {
  const trial = newTrial(address, agreed.id);
  const shots = newShots(trial);
  const look = newLook(trial);
  const standIn = newStandIn(student.id);
  const apart = newTrial(address, agreed.id, {
    apart: {
      changes: ['leadFlare', 'trailFlare'],
      addressIds: [address.id, agreed.id, agreed.id, agreed.id],
    },
  });
  const factorialShots = newShots(apart, { place: { warmUp: false, block: 2, cell: 3 } });
  const effect = {
    change: 1,
    difference: 1.2,
    interval: [0.2, 2.1] as [number, number],
    p: 0.0117,
    pairs: 8,
  };
  const apartLook = newLook(apart, {
    evidence: null,
    effects: [null, { ...effect, verdict: 'helps' }],
  });
  for (const [path, body] of [
    ['/api/entries', trial],
    ['/api/entries', shots],
    ['/api/entries', look],
    ['/api/entries', apart],
    ['/api/entries', factorialShots],
    ['/api/entries', apartLook],
    ['/api/stand-in', standIn],
  ] as const) {
    const answer = await coach.ask('POST', path, body);
    if (answer.status !== 201) throw new Error(`${path}: ${answer.status} ${JSON.stringify(answer.body)}`);
  }
  return { trial, shots, look, standIn, apart, factorialShots, apartLook };
}
