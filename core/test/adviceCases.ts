import { caseOf as judgedCase, NOTHING_MORE, type Case, type Judged } from '../advice';
import { CAME_FOR, cautionsOf, JOINTS, type CautionFact } from '../body';
import { BAG, canPitch, clubById } from '../club';
import { setupAsTaught, type HouseMethod, type Played } from '../method';
import { PRESETS } from '../method/presets';
import { personalPath, type PathShot } from '../path';
import {
  figureOf,
  ITEMS,
  PLACED_FIGURES,
  withFigure,
  withMeasured,
  FIGURES,
  PATTERN_WAYS,
  PRESSURE_PATTERNS,
  type PatternSeen,
  TELL_TALE_NAMES,
  type Setup,
} from '../setup';
import { USUAL_GOAL, type TurningBody } from '../turn';
import { build } from './example';
import { bodyOf, both } from './turning';
import { USUAL_LEGS, type WrittenCase } from './writtenCases';

export const methodNamed = (key: string): HouseMethod => ({
  id: key,
  version: 1,
  ...PRESETS.find((preset) => preset.key === key)!.contents,
});

const factsOf = ({ facts = [], clearedBy = '' }: WrittenCase): CautionFact[] =>
  facts.map(([joint, side, state]) => ({
    joint,
    side,
    state,
    since: '',
    clearedBy,
    notedOn: '2026-05-01',
    status: 'stands',
  }));

function legsOf({ legs, toeOut }: WrittenCase): TurningBody | null {
  if (legs === null) return null;
  const natural = toeOut === undefined ? null : both(toeOut);
  return bodyOf({ ...USUAL_LEGS, ...legs }, { naturalToeOut: natural });
}

/** The setup as the method teaches it, all of it taped, with what the case says of today. */
function setupOf({ today = {}, wider = 0, seen, swingPath }: WrittenCase, taught: Setup): Setup {
  const width = figureOf(taught, 'stanceWidth')! + wider;
  const feet = ['leadFlare', 'trailFlare', 'stanceWidth', 'stanceLine', 'ballAlong', 'ballOut'] as const;
  const others = ITEMS.filter((item) => !(feet as readonly string[]).includes(item));
  const placed = [...feet, ...others].reduce((setup, item) => {
    const value = item === 'stanceWidth' ? width : today[item];
    return value === undefined ? setup : withFigure(setup, item, value);
  }, taught);
  const measured = withMeasured(placed, PLACED_FIGURES, 'tape');
  const { posture } = measured;
  const figures = Object.fromEntries(
    Object.entries(posture?.figures ?? {}).map(([name, sighting]) => [
      name,
      { ...sighting, way: 'tape', uncertainty: FIGURES[name as 'hipBump'].uncertainty.tape },
    ]),
  );
  return {
    ...measured,
    posture: {
      figures,
      choices: posture?.choices ?? {},
      ...(swingPath && { swingPath }),
      ...(seen && { tellTales: [...seen] }),
    },
  };
}

/** Shots from these feet whose mean is the monitor's. */
const shotsOf = ({ path }: WrittenCase, setup: Setup, clubLengthInches: number): PathShot[] =>
  path === undefined
    ? []
    : Array.from({ length: 24 }, (_, at) => ({ setup, clubLengthInches, path: path + ((at % 5) - 2) * 0.8 }));

/** A written case as the judgement takes it. */
export const caseOf = (written: WrittenCase): Case => judgedCase(judgedOf(written));

/** All that a written case says of a student. */
export function judgedOf(written: WrittenCase): Judged {
  const { hand = 'right', age = 40, club = '7-iron', method = 'shoulders-and-neutral' } = written;
  const played: Played = {
    club,
    clubLengthInches: clubById(club).lengthInches,
    shot: written.pitch ? 'pitch' : 'full',
  };
  const legs = legsOf(written);
  const body = { build: build(), legs };
  const house = methodNamed(method);
  const stood = setupOf(written, setupAsTaught(house, body, played));
  const setup: Setup = written.unmeasured
    ? { address: stood.address, balance: stood.balance, measured: {} }
    : stood;
  const facts = factsOf(written);
  return {
    ...NOTHING_MORE,
    setup,
    played,
    method: house,
    build: body.build,
    legs,
    hand,
    facts,
    cautions: cautionsOf(facts, hand, age < 18),
    goal: USUAL_GOAL,
    cameFor: written.cameFor ?? [],
    path: personalPath(shotsOf(written, stood, played.clubLengthInches), played.clubLengthInches),
    // Somebody who measured nothing has hit no shots but simulated ones.
    pathSimulated: written.unmeasured ?? false,
  };
}

const pick = <Value>(random: () => number, values: readonly Value[]): Value =>
  values[Math.floor(random() * values.length)]!;

/** Some of these, each with a chance. */
const some = <Value>(random: () => number, values: readonly Value[], chance: number): Value[] =>
  values.filter(() => random() < chance);

/** A case drawn at random: body, facts, complaints, tell-tales, method, club and today's figures. */
export const drawnCase = (random: () => number): Case => judgedCase(drawnJudged(random));

/** All that is known of a student drawn at random. */
export function drawnJudged(random: () => number): Judged {
  const between = (least: number, most: number) => least + (most - least) * random();
  const now = (chance: number, least: number, most: number) =>
    random() < chance ? Math.round(between(least, most)) : undefined;
  const club = pick(random, BAG);
  const written: WrittenCase = {
    name: 'drawn',
    hand: random() < 0.15 ? 'left' : 'right',
    age: Math.round(between(12, 75)),
    facts:
      random() < 0.35
        ? [
            [
              pick(random, JOINTS),
              pick(random, ['left', 'right', 'both']),
              pick(random, ['pain', 'stiff', 'operated']),
            ],
          ]
        : [],
    cameFor: some(random, CAME_FOR, 0.12),
    seen: some(random, TELL_TALE_NAMES, 0.08),
    legs:
      random() < 0.12
        ? null
        : {
            inLead: between(10, 55),
            outLead: between(20, 60),
            inTrail: between(5, 55),
            outTrail: between(20, 60),
            trunk: between(30, 60),
          },
    ...(random() < 0.3 && { toeOut: between(0, 25) }),
    club: club.id,
    ...(canPitch(club.id) && random() < 0.3 && { pitch: true as const }),
    method: pick(random, PRESETS).key,
    wider: Math.round(between(-120, 140)),
    today: Object.fromEntries(
      Object.entries({
        leadFlare: now(0.8, -5, 40),
        trailFlare: now(0.8, -8, 38),
        stanceLine: now(0.7, -10, 12),
        ballAlong: now(0.4, -20, 130),
        leadShare: now(0.4, 35, 68),
        leadHeelToe: now(0.4, 25, 78),
        trailHeelToe: now(0.4, 25, 78),
        hipBump: now(0.3, -20, 80),
        trailKneeInside: now(0.2, -40, 50),
        shoulderLine: now(0.3, -14, 10),
        clubFace: now(0.3, -8, 8),
        hipTurn: now(0.2, 25, 80),
      }).filter(([, value]) => value !== undefined),
    ),
    ...(random() < 0.3 && { path: between(-6, 6) }),
    first: [],
  };
  return judgedOf(written);
}

/** What a mat or an eye saw of the pressure, in one case of four. */
export const drawnPressure = (random: () => number): PatternSeen | null =>
  random() < 0.25 ? { pattern: pick(random, PRESSURE_PATTERNS), way: pick(random, PATTERN_WAYS) } : null;
