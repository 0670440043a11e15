import type {
  AddressEntry,
  CardEntry,
  ChangeEntry,
  EntryCheck,
  ExceptionEntry,
  IntakeEntry,
  LadderEntry,
  LookEntry,
  NewEntry,
  PressureEntry,
  ReadingEntry,
  ShotsEntry,
  TestEntry,
  TrialEntry,
} from '@pedastance/contract';
import { ITEMS } from '@pedastance/core';
import { MODEL_VERSION } from '@pedastance/core/reading';
import type { EntryKey, TableRows } from './rows';

/** What an entry is kept as: rows of its kind's tables, in an order in which each refers only to what comes before. */
export function entryRows(key: EntryKey, entry: NewEntry): TableRows[] {
  switch (entry.kind) {
    case 'intake':
      return intakeRows(key, entry);
    case 'exception':
      return exceptionRows(key, entry);
    case 'ladder':
      return ladderRows(key, entry);
    case 'test':
      return testRows(key, entry);
    case 'pressure':
      return pressureRows(key, entry);
    case 'address':
      return addressRows(key, entry);
    case 'reading':
      return readingRows(key, entry);
    case 'change':
      return changeRows(key, entry);
    case 'trial':
      return trialRows(key, entry);
    case 'shots':
      return shotsRows(key, entry);
    case 'look':
      return lookRows(key, entry);
    case 'card':
      return cardRows(key, entry);
  }
}

const intakeRows = (key: EntryKey, { cameFor, sore, words, sport }: IntakeEntry): TableRows[] => [
  ['intake_entry', [{ ...key, came_for: cameFor, sore, words, sport }]],
];

const exceptionRows = (key: EntryKey, { item, low, high, club, ended }: ExceptionEntry): TableRows[] => [
  ['exception_entry', [{ ...key, item, low, high, club, ended }]],
];

const ladderRows = (key: EntryKey, { ladder, own, turns }: LadderEntry): TableRows[] => [
  ['ladder_entry', [{ ...key, ladder, own: own ?? undefined, turns }]],
];

const testRows = (key: EntryKey, entry: TestEntry): TableRows[] => {
  const low = entry.test === 'low point' ? entry : null;
  const club = 'club' in entry ? entry.club : undefined;
  const { test, tries } = entry;
  const places = { ball_along: low?.ballAlong, tee_height: low?.teeHeight ?? undefined };
  return [['test_entry', [{ ...key, test, club, ...places, tries }]]];
};

const pressureRows = (
  key: EntryKey,
  { club, shot, route, source, hangsBack, swings, pattern, cue }: PressureEntry,
): TableRows[] => [
  [
    'pressure_entry',
    [
      {
        ...key,
        club,
        shot,
        route,
        source,
        hangs_back: hangsBack ?? undefined,
        swings,
        pattern: pattern ?? undefined,
        cue,
      },
    ],
  ],
];

function addressRows(key: EntryKey, entry: AddressEntry): TableRows[] {
  const { shoe, lead, trail } = entry.setup.address;
  const { balance, measured, posture } = entry.setup;
  const address = {
    ...key,
    standing: entry.standing,
    club: entry.club,
    club_length_inches: entry.clubLengthInches,
    shot: entry.shot,
    shoe_length: shoe.length,
    shoe_breadth: shoe.breadth,
    lead_heel_x: lead.heel.x,
    lead_heel_y: lead.heel.y,
    lead_flare: lead.flare,
    trail_heel_x: trail.heel.x,
    trail_heel_y: trail.heel.y,
    trail_flare: trail.flare,
    lead_share: balance.leadShare,
    lead_heel_toe: balance.leadHeelToe,
    trail_heel_toe: balance.trailHeelToe,
    seat: posture?.choices.seat,
    pressure_route: posture?.choices.pressureRoute,
    trail_elbow: posture?.choices.trailElbow,
    trail_arm: posture?.choices.trailArm,
    club_rest: posture?.choices.clubRest,
    swing_path: posture?.swingPath,
    tell_tales: posture?.tellTales,
  };
  const { academy_id, student_id, id: address_id } = key;
  const ofAddress = { academy_id, student_id, address_id };
  const measurements = Object.entries(measured).filter(([, measurement]) => measurement);
  const sightings = Object.entries(posture?.figures ?? {}).filter(([, sighting]) => sighting);
  return [
    ['address_entry', [address]],
    ['measurement', measurements.map(([figure, measurement]) => ({ ...ofAddress, figure, ...measurement }))],
    ['sighting', sightings.map(([item, sighting]) => ({ ...ofAddress, item, ...sighting }))],
  ];
}

function readingRows(key: EntryKey, entry: ReadingEntry): TableRows[] {
  const reading = {
    ...key,
    address_id: entry.addressId,
    build_id: entry.buildId,
    screen_id: entry.screenId,
    method_id: entry.methodId,
    method_version: entry.methodVersion,
    model_version: entry.modelVersion,
    note: entry.note,
    read_cautions: entry.facts?.cautions,
    read_age: entry.facts?.age,
    read_hand: entry.facts?.rests?.hand,
    read_caution_facts: entry.facts?.rests?.facts,
    read_shoulder_goal: entry.facts?.rests?.shoulderGoal,
    notices: entry.notices,
    judgement: entry.judgement ?? undefined,
  };
  const ofReading = { academy_id: key.academy_id, reading_id: key.id };
  const findings = entry.findings.map(({ widenedBy, putForward, weight, because, ...figures }) => ({
    ...ofReading,
    position: ITEMS.indexOf(figures.item),
    ...figures,
    widened_by: widenedBy,
    weight_out: weight.out,
    weight_turn: weight.turn,
    weight_path: weight.path,
    weight_total: weight.total,
    because_item: because?.item,
    because_words: because?.words,
    put_forward: putForward,
  }));
  const choices = entry.choices.map(({ asTaught, ...choice }) => ({
    ...ofReading,
    ...choice,
    as_taught: asTaught,
  }));
  return [
    ['reading_entry', [reading]],
    ['finding', findings],
    ['choice_finding', choices],
  ];
}

const changeRows = (key: EntryKey, entry: ChangeEntry): TableRows[] => [
  [
    'change_entry',
    [
      {
        ...key,
        reading_id: entry.readingId,
        from_address_id: entry.fromAddressId,
        to_address_id: entry.toAddressId,
        lead_heel_lift: entry.leadHeelLift,
        shoulder_goal: entry.shoulderGoal,
        reason: entry.reason,
        feel: entry.feel,
        note: entry.note,
      },
    ],
  ],
];

const cardRows = (key: EntryKey, { practice, ...entry }: CardEntry): TableRows[] => [
  [
    'card_entry',
    [
      {
        ...key,
        change_id: entry.changeId,
        dose: entry.dose,
        further: entry.further,
        feel_swings: entry.rounds.feel,
        play_swings: entry.rounds.play,
        routine: entry.routine,
        drills: entry.drills,
        cue: entry.cue,
        days_a_week: practice?.daysAWeek,
        balls: practice?.balls,
        warm_up: practice?.warmUp,
        next_look: entry.nextLook,
        ladder: entry.ladder ?? undefined,
      },
    ],
  ],
];

function trialRows(key: EntryKey, entry: TrialEntry): TableRows[] {
  const trial = {
    ...key,
    address_a_id: entry.addressAId,
    address_b_id: entry.addressBId,
    cue_a: entry.cueA,
    cue_b: entry.cueB,
    primary_outcome: entry.primary,
    margin: entry.margin,
    scatter: entry.scatter,
    mishits: entry.mishits,
    warm_ups: entry.warmUps,
    length: entry.length,
    block_size: entry.blockSize,
    seed: entry.seed,
    source: entry.source,
    apart: entry.apart?.changes ?? [],
  };
  const { academy_id, student_id, id: trial_id } = key;
  const cells = (entry.apart?.addressIds ?? []).map((address_id, cell) => ({
    academy_id,
    student_id,
    trial_id,
    cell,
    address_id,
  }));
  return [
    ['trial_entry', [trial]],
    ['trial_cell', cells],
  ];
}

function shotsRows(key: EntryKey, entry: ShotsEntry): TableRows[] {
  const { place } = entry;
  const inOrder = place && !place.warmUp ? place : null;
  const together = {
    ...key,
    address_id: entry.addressId,
    trial_id: entry.trialId,
    source: entry.source,
    sitting: entry.sitting,
    warm_up: place?.warmUp ?? false,
    block: inOrder?.block,
    arm: inOrder?.arm,
    cell: inOrder?.cell,
  };
  const { academy_id, student_id, id: entry_id } = key;
  const shots = entry.shots.map((shot, position) => ({
    academy_id,
    student_id,
    entry_id,
    position,
    path: shot.path,
    face: shot.face,
    start_line: shot.startLine,
    curve: shot.curve,
    club_speed: shot.clubSpeed,
    ball_speed: shot.ballSpeed,
    carry: shot.carry,
    side: shot.side,
    attack: shot.attack,
    divot_start: shot.divotStart,
    divot_end: shot.divotEnd,
    tee_height: shot.teeHeight,
    start_side: shot.startSide,
    curve_side: shot.curveSide,
    strike: shot.strike,
    balance_held: shot.balanceHeld,
    felt_turn: shot.feltTurn,
    mishit: shot.mishit,
  }));
  return [
    ['shots_entry', [together]],
    ['shot', shots],
  ];
}

function lookRows(key: EntryKey, entry: LookEntry): TableRows[] {
  const { evidence } = entry;
  const look = {
    ...key,
    trial_id: entry.trialId,
    shot_ids: entry.shotIds,
    model_version: entry.modelVersion,
    length: entry.length,
    look: entry.look,
    pain_up: entry.painUp,
    verdict: entry.verdict,
    because: entry.because,
    difference: evidence?.difference,
    shift: evidence?.shift,
    interval_low: evidence?.interval[0],
    interval_high: evidence?.interval[1],
    p: evidence?.p,
    exact: evidence?.exact,
    arrangements: evidence?.arrangements,
    chance: evidence?.chance,
    count_a: evidence?.count.A,
    count_b: evidence?.count.B,
    mean_a: evidence?.mean.A,
    mean_b: evidence?.mean.B,
    effects: entry.effects ?? undefined,
    decision: entry.decision,
    note: entry.note,
  };
  return [['look_entry', [look]]];
}

/** What came of working an entry out again, as a row beside it. */
export const checkRow = (
  academy_id: string,
  entry_id: string,
  { verdict, differences }: EntryCheck,
  model_version: string = MODEL_VERSION,
): Record<string, unknown> => ({ academy_id, entry_id, verdict, differences, model_version });
