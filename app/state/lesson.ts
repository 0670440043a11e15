import type { Build } from '@pedastance/core/body';
import { clubById, canPitch, type ClubId, type ShotType } from '@pedastance/core/club';
import { startingSetup } from '@pedastance/core/method';
import {
  dropFoot,
  dropFootTurned,
  flareAboutHeel,
  flareToeKept,
  measureAddress,
  moveFoot,
  setBallAlong,
  setBallOut,
  setSetback,
  setStanceWidth,
  anythingSeen,
  NOT_LOOKED_AT,
  type Address,
  type Balance,
  type FootName,
  type Setup,
  type Posture,
} from '@pedastance/core/setup';
import { createStore } from 'zustand/vanilla';
import type { Ghost } from '../plan/drawing';
import { frameFor, needsNewFrame, type Frame } from '../plan/frame';
import { keepDraft } from './drafts';
import type { LessonDraft } from '../domain/lessonDraft';

/** What the steppers, the keyboard and typed figures set on the plan. */
export type Dial = 'stanceWidth' | 'leadFlare' | 'trailFlare' | 'setback' | 'ballAlong' | 'ballOut';
export const LOAD_DIALS = ['leadShare', 'leadHeelToe', 'trailHeelToe'] as const;
export type LoadDial = (typeof LOAD_DIALS)[number];

/** Which of the lesson's two setups is being placed: as the student stands, or as is agreed. */
export type Standing = 'setup' | 'agreed';

interface OpenLesson {
  owner: string;
  draft: LessonDraft | null;
  standing: Standing;
  frame: Frame | null;
  dial: Dial;
  loadDial: LoadDial;
  /** Which of the two the desk sets where both are on one screen. */
  deskFor: 'feet' | 'load';
  /** A flared foot keeps its toe on its line, or turns about its heel. */
  keepToe: boolean;
  /** A foot taken back turns with the line, or keeps its flare. */
  turnWithLine: boolean;
  /** Feet that an answer of the fit would have, drawn on the plan while they are offered. */
  offers: readonly Ghost[];
  /** The stance line the fit is to come to, closed positive, degrees; null where the method's own band is asked. */
  lineAsked: number | null;
  /** In a trial: the feet to stand in next, and the other ones. */
  trying: { setup: Setup; other: Setup } | null;
  past: Pick<LessonDraft, 'setup' | 'agreed' | 'taken' | 'leadHeelLift'>[];
  /** A foot or the ball is under the finger; saving and re-framing wait. */
  dragging: boolean;
}

export const lesson = createStore<OpenLesson>(() => ({
  owner: '',
  draft: null,
  standing: 'setup',
  frame: null,
  dial: 'stanceWidth',
  loadDial: 'leadShare',
  deskFor: 'feet',
  keepToe: true,
  turnWithLine: false,
  offers: [],
  trying: null,
  lineAsked: null,
  past: [],
  dragging: false,
}));

const MOST_PAST = 60;
const KEEP_AFTER_MS = 150;

let keeping: ReturnType<typeof setTimeout> | undefined;

/** Writes the open lesson to the device now. */
export async function keepNow(): Promise<void> {
  clearTimeout(keeping);
  keeping = undefined;
  const { owner, draft } = lesson.getState();
  if (draft) await keepDraft(owner, draft);
}

lesson.subscribe((state, before) => {
  if (!state.draft || state.draft === before.draft || state.draft.id !== before.draft?.id || state.dragging)
    return;
  clearTimeout(keeping);
  keeping = setTimeout(() => void keepNow(), KEEP_AFTER_MS);
});

/** Keeps what has not been kept when the page is about to go away. */
export function keepBeforeLeaving(): void {
  if (keeping) void keepNow();
}

/** Shows the feet of a trial on the plan, or the lesson's own again. */
export function tryOn(trying: OpenLesson['trying']): void {
  lesson.setState({ trying });
  const setup = trying?.setup ?? currentSetup(lesson.getState());
  lesson.setState({ frame: framed(setup) });
}

export const currentSetup = ({ draft, standing }: Pick<OpenLesson, 'draft' | 'standing'>): Setup | null =>
  draft && (standing === 'agreed' ? (draft.agreed ?? draft.setup) : draft.setup);

const framed = (setup: Setup | null): Frame | null => setup && frameFor(setup.address);

/** From the change on the steps look at the agreed feet, the others at today's. */
const standingIn = (step: LessonDraft['step']): Standing =>
  step === 'change' || step === 'try' || step === 'keep' ? 'agreed' : 'setup';

export function openLesson(owner: string, draft: LessonDraft): void {
  const standing = standingIn(draft.step);
  const setup = currentSetup({ draft, standing });
  lesson.setState({ owner, draft, standing, frame: framed(setup), past: [], dragging: false });
}

export function closeLesson(): void {
  keepBeforeLeaving();
  lesson.setState({ draft: null, frame: null, past: [], offers: [], trying: null, lineAsked: null });
}

/** Changes the draft, with the moment given to it. */
export function changeDraft(change: Partial<LessonDraft>): void {
  lesson.setState(({ draft }) => ({
    draft: draft && { ...draft, ...change, updatedAt: new Date().toISOString() },
  }));
}

/** Opens a step. */
export function openStep(step: LessonDraft['step']): void {
  const { draft } = lesson.getState();
  if (!draft) return;
  const standing = standingIn(step);
  const setup = currentSetup({ draft, standing });
  lesson.setState({ standing, frame: framed(setup), past: [] });
  changeDraft({ step });
}

/** The feet as this student last stood with a club, where the log has them. */
export type LastFeet = (club: ClubId, shot: ShotType) => Setup | null;

/** Chooses club and shot. Feet not placed yet start as the student last stood with it, or plainly. */
export function chooseClub(club: ClubId, shot: ShotType, build: Build, lastFeet: LastFeet): void {
  const { draft } = lesson.getState();
  if (!draft) return;
  const played: ShotType = canPitch(club) ? shot : 'full';
  const { lengthInches } = clubById(club);
  const untouched = !draft.setup || (!draft.feetPlaced && !draft.balanceNoted);
  const setup = untouched ? (lastFeet(club, played) ?? startingSetup(build, lengthInches)) : draft.setup;
  changeDraft({
    club,
    shot: played,
    clubLengthInches: draft.club === club ? draft.clubLengthInches : lengthInches,
    setup,
  });
  lesson.setState({ frame: framed(setup) });
}

export const setClubLength = (clubLengthInches: number): void => changeDraft({ clubLengthInches });

const pastOf = ({ setup, agreed, taken, leadHeelLift }: LessonDraft) => ({
  setup,
  agreed,
  taken,
  leadHeelLift,
});

/** Remembers where the setups are, to be able to go back there. */
export function markPast(): void {
  lesson.setState(({ draft, past }) => ({
    past: draft ? [...past.slice(1 - MOST_PAST), pastOf(draft)] : past,
  }));
}

export function undo(): void {
  const { past } = lesson.getState();
  const last = past[past.length - 1];
  if (!last) return;
  lesson.setState({ past: past.slice(0, -1) });
  changeDraft(last);
  reframe();
}

/** Puts a setup where the standing says, as placed by the coach. */
function place(setup: Setup, touched: Partial<Pick<LessonDraft, 'feetPlaced' | 'balanceNoted'>>): void {
  const { standing } = lesson.getState();
  changeDraft(standing === 'agreed' ? { agreed: setup } : { setup, ...touched });
}

export function placeAddress(change: (address: Address) => Address): void {
  const setup = currentSetup(lesson.getState());
  if (setup) place({ ...setup, address: change(setup.address) }, { feetPlaced: true });
}

export function placeLoad(change: Partial<Balance>): void {
  const setup = currentSetup(lesson.getState());
  if (setup) place({ ...setup, balance: { ...setup.balance, ...change } }, { balanceNoted: true });
}

/** Notes what is seen of the posture; an undefined figure or word takes it back. Nothing left is no posture. */
export function notePosture(change: (posture: Posture) => Posture): void {
  const { draft } = lesson.getState();
  if (!draft?.setup) return;
  const { posture: before, ...setup } = draft.setup;
  const posture = change(before ?? NOT_LOOKED_AT);
  markPast();
  changeDraft({ setup: anythingSeen(posture) ? { ...setup, posture } : setup });
}

/** Agrees on other feet, and on a lift where it goes with them; on today's feet nothing is lifted. */
export function replaceAgreed(
  agreed: Setup | null,
  taken: LessonDraft['taken'],
  leadHeelLift: number | null = null,
): void {
  markPast();
  const lift = agreed === null ? 0 : leadHeelLift;
  changeDraft({ agreed, taken, ...(lift !== null && { leadHeelLift: lift }) });
  reframe();
}

/** Gives the feet room again after they have been moved. */
export function reframe(): void {
  const state = lesson.getState();
  const setup = currentSetup(state);
  if (setup && (!state.frame || needsNewFrame(state.frame, setup.address)))
    lesson.setState({ frame: framed(setup) });
}

export function startDrag(): void {
  markPast();
  lesson.setState({ dragging: true });
}

export function endDrag(): void {
  lesson.setState({ dragging: false });
  changeDraft({});
  reframe();
}

export const flareFoot = (foot: FootName, flare: number): void => {
  const turn = lesson.getState().keepToe ? flareToeKept : flareAboutHeel;
  placeAddress((address) => turn(address, foot, flare));
};

export const dragFoot = (foot: FootName, along: number, out: number): void =>
  placeAddress((address) => moveFoot(address, foot, along, out));

/** Moves the ball along its line; the feet stay where they are drawn. */
export function dragBall(along: number): void {
  lesson.setState(({ frame }) => ({
    frame: frame && { ...frame, centre: { ...frame.centre, x: frame.centre.x - along } },
  }));
  placeAddress((address) => setBallAlong(address, address.lead.heel.x - along));
}

/** Keeps the feet where they are drawn while the ball's place among them is set. */
function shiftFrameWith(before: Address, after: Address): void {
  lesson.setState(({ frame }) => ({
    frame: frame && {
      ...frame,
      centre: {
        x: frame.centre.x + after.lead.heel.x - before.lead.heel.x,
        y: frame.centre.y + after.lead.heel.y - before.lead.heel.y,
      },
    },
  }));
}

function dialled(address: Address, dial: Dial, value: number): Address {
  const { keepToe, turnWithLine } = lesson.getState();
  const turn = keepToe ? flareToeKept : flareAboutHeel;
  switch (dial) {
    case 'stanceWidth':
      return setStanceWidth(address, value);
    case 'leadFlare':
      return turn(address, 'lead', value);
    case 'trailFlare':
      return turn(address, 'trail', value);
    case 'setback':
      return setSetback(address, value, turnWithLine ? dropFootTurned : dropFoot);
    case 'ballAlong':
      return setBallAlong(address, value);
    case 'ballOut':
      return setBallOut(address, value);
  }
}

/** What a dial may be set to, mm or degrees; the same ranges as the log takes. */
export const DIAL_RANGES: Record<Dial | LoadDial, { least: number; most: number }> = {
  stanceWidth: { least: 10, most: 1500 },
  leadFlare: { least: -45, most: 90 },
  trailFlare: { least: -45, most: 90 },
  setback: { least: -600, most: 600 },
  ballAlong: { least: -600, most: 1000 },
  ballOut: { least: 50, most: 1600 },
  leadShare: { least: 0, most: 100 },
  leadHeelToe: { least: 0, most: 100 },
  trailHeelToe: { least: 0, most: 100 },
};

const within = (value: number, { least, most }: { least: number; most: number }): number =>
  Math.min(most, Math.max(least, value));

export function setDial(dial: Dial, value: number): void {
  const before = currentSetup(lesson.getState());
  if (!before) return;
  markPast();
  placeAddress((address) => dialled(address, dial, within(value, DIAL_RANGES[dial])));
  if (dial === 'ballAlong' || dial === 'ballOut') {
    shiftFrameWith(before.address, currentSetup(lesson.getState())!.address);
  }
  reframe();
}

export function setLoadDial(dial: LoadDial, value: number): void {
  markPast();
  placeLoad({ [dial]: within(value, DIAL_RANGES[dial]) });
}

export const dialValue = ({ address, balance }: Setup, dial: Dial | LoadDial): number =>
  dial in balance ? balance[dial as LoadDial] : measureAddress(address)[dial as Dial];
