import type { Range } from '@pedastance/core/setup';
import type { Build } from '@pedastance/core/body';
import { clubById, canPitch, type ClubId, type ShotType } from '@pedastance/core/club';
import { startingSetup } from '@pedastance/core/method';
import {
  moveFoot,
  setBallAlong,
  anythingSeen,
  NOT_LOOKED_AT,
  type Address,
  type FootName,
  type Setup,
  type Posture,
  type FeetFigure,
  type LoadFigure,
  type MeasurementWay,
  withMeasured,
  type SetupFigure,
  withFigure,
  type PlacedFigure,
  FIGURES,
  figureOf,
} from '@pedastance/core/setup';
import { createStore } from 'zustand/vanilla';
import type { Ghost } from '../plan/drawing';
import { frameFor, needsNewFrame, type Frame } from '../plan/frame';
import { keepDraft, useDrafts } from './drafts';
import {
  type ClubPart,
  type LessonDraft,
  type Place,
  type Step,
  placeOf,
  stepIn,
  untouchedClub,
  withClub,
  withFeet,
} from '../domain/lessonDraft';
import { measuredOf } from '../domain/measured';

/** What the steppers, the keyboard and typed figures set on the plan. */
export type Dial = FeetFigure;
export type LoadDial = LoadFigure;

/** Which of the lesson's two setups is being placed: as the student stands, or as is agreed. */
export type Standing = 'setup' | 'agreed';

interface OpenLesson {
  owner: string;
  draft: LessonDraft | null;
  standing: Standing;
  frame: Frame | null;
  dial: Dial;
  loadDial: LoadDial;
  /** Which of the two the desk sets, and the plan holds. */
  deskFor: 'feet' | 'load';
  /** On a phone the plan is as large as can be where words come first; it shrinks again with the next step. */
  planLarge: boolean;
  /** A flared foot keeps its toe on its line, or turns about its heel. */
  keepToe: boolean;
  /** A foot taken back turns with the line, or keeps its flare. */
  turnWithLine: boolean;
  /** Feet that another way of freeing the turn would have, drawn on the plan while they are offered. */
  offers: readonly Ghost[];
  /** In a trial: the feet to stand in next, and the other ones. */
  trying: { setup: Setup; other: Setup } | null;
  past: Pick<LessonDraft, 'setup' | 'agreed' | 'leadHeelLift'>[];
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
  planLarge: false,
  keepToe: true,
  turnWithLine: false,
  offers: [],
  trying: null,
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
  // What another tab has saved is saved.
  if (useDrafts.getState().drafts[state.draft.id] === state.draft) return;
  clearTimeout(keeping);
  keeping = setTimeout(() => void keepNow(), KEEP_AFTER_MS);
});

/**
 * Changes the draft together with records that go out, all in one transaction of the device, or not at all.
 * @param keep - writes both; where it throws nothing has changed
 */
export async function changeDraftWith(
  change: Partial<LessonDraft>,
  keep: (draft: { before: LessonDraft; after: LessonDraft }) => Promise<void>,
): Promise<void> {
  const before = lesson.getState().draft;
  if (!before) return;
  // A save that was about to go would put the older lesson over the newer one.
  clearTimeout(keeping);
  keeping = undefined;
  await keep({ before, after: { ...before, ...change, updatedAt: new Date().toISOString() } });
  changeDraft(change);
}

// A lesson as another tab has changed it is shown where it is open here and the coach is working there.
useDrafts.subscribe(({ changedElsewhere: kept }, before) => {
  if (!kept || kept === before.changedElsewhere) return;
  const { owner, draft, dragging } = lesson.getState();
  if (draft?.id !== kept.id || dragging || document.hasFocus()) return;
  if (kept.updatedAt > draft.updatedAt) openLesson(owner, kept);
});

/** Saves the draft when the page is about to go away. */
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
  lesson.setState({ draft: null, frame: null, past: [], offers: [], trying: null });
}

/** Changes the draft, with the moment given to it. */
export function changeDraft(change: Partial<LessonDraft>): void {
  lesson.setState(({ draft }) => ({
    draft: draft && { ...draft, ...change, updatedAt: new Date().toISOString() },
  }));
}

/** Puts today's feet to another setup; what is agreed goes by them. */
export function changeFeet(setup: Setup): void {
  const { draft } = lesson.getState();
  if (draft) changeDraft(withFeet(draft, setup));
}

/** Opens a step. */
export function openStep(step: Step): void {
  const { draft } = lesson.getState();
  if (!draft) return;
  const standing = standingIn(step);
  const setup = currentSetup({ draft, standing });
  lesson.setState({ standing, frame: framed(setup), past: [], planLarge: false });
  // A club is chosen on the way; its place goes on where it was.
  changeDraft(step === 'club' ? { step } : { step, leftAt: { ...draft.leftAt, [placeOf(step)]: step } });
}

/** Opens a place where it was left; the club comes first where there is none. */
export function openPlace(place: Place): void {
  const { draft } = lesson.getState();
  if (!draft) return;
  openStep(place === 'address' && !draft.club ? 'club' : stepIn(draft, place));
}

/** The feet as this student last stood with a club, where the log has them. */
export type LastFeet = (club: ClubId, shot: ShotType) => Setup | null;

/** Where the shoes are drawn before anything is measured: as the student last stood, else plainly. */
export const startingFrom = (last: Setup | null, build: Build, clubLengthInches: number): Setup =>
  last
    ? { address: last.address, balance: last.balance, measured: {} }
    : startingSetup(build, clubLengthInches);

/**
 * Chooses club and shot. Feet, change and words belong to them: those of the club before are put by, and what was begun with
 * this one comes back; else its feet start as the student last stood with it, or plainly.
 */
export function chooseClub(club: ClubId, shot: ShotType, build: Build, lastFeet: LastFeet): void {
  const { draft } = lesson.getState();
  const played: ShotType = canPitch(club) ? shot : 'full';
  if (!draft || (draft.club === club && draft.shot === played)) return;
  const { lengthInches } = clubById(club);
  const clubLengthInches = draft.club === club ? draft.clubLengthInches : lengthInches;
  const setup = startingFrom(lastFeet(club, played), build, lengthInches);
  const change = withClub(draft, { ...untouchedClub, club, shot: played, clubLengthInches, setup });
  changeDraft(change);
  // What is undone belongs to the club that it was done with.
  lesson.setState({ frame: framed(change.setup), past: [] });
}

/** The student stands with this club as with another one of this lesson: its feet, as they were measured there. */
export function standAsWith({ setup }: Pick<ClubPart, 'setup'>): void {
  markPast();
  if (setup) changeFeet(setup);
  lesson.setState({ frame: framed(setup) });
}

export const setClubLength = (clubLengthInches: number): void => changeDraft({ clubLengthInches });

const pastOf = ({ setup, agreed, leadHeelLift }: LessonDraft) => ({
  setup,
  agreed,
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

/** Puts a setup in the draft, as today's or as the agreed one. */
function place(setup: Setup): void {
  const { standing } = lesson.getState();
  if (standing === 'agreed') changeDraft({ agreed: setup });
  else changeFeet(setup);
}

/** What is agreed is to be met with a tape, however it was set on the plan. */
const wayNow = (way: MeasurementWay): MeasurementWay =>
  lesson.getState().standing === 'agreed' ? 'tape' : way;

/** Moves the feet by a drag, which measures the figures given. */
export function placeFeet(change: (address: Address) => Address, figures: readonly FeetFigure[]): void {
  const setup = currentSetup(lesson.getState());
  if (setup) place(withMeasured({ ...setup, address: change(setup.address) }, figures, wayNow('drag')));
}

/** Sets a figure by the way of moving that is chosen. */
function placeFigure(name: SetupFigure, value: number, way: MeasurementWay): void {
  const { keepToe, turnWithLine } = lesson.getState();
  const setup = currentSetup(lesson.getState());
  if (setup) place(withFigure(setup, name, value, { keepToe, turnWithLine }, wayNow(way)));
}

export const placeLoad = (name: LoadFigure, value: number): void => placeFigure(name, value, 'drag');

/** Notes that figures stand as they are drawn: looked at, and judged by eye. */
export function standAsDrawn(figures: readonly PlacedFigure[]): void {
  const { draft } = lesson.getState();
  if (!draft?.setup) return;
  markPast();
  changeFeet(withMeasured(draft.setup, figures, 'by eye'));
}

/** Notes what is seen of the posture; an undefined figure or word takes it back. Nothing left is no posture. */
export function notePosture(change: (posture: Posture) => Posture): void {
  const { draft } = lesson.getState();
  if (!draft?.setup) return;
  const { posture: before, ...setup } = draft.setup;
  const posture = change(before ?? NOT_LOOKED_AT);
  markPast();
  changeFeet(anythingSeen(posture) ? { ...setup, posture } : setup);
}

/** Agrees on other feet, and on a lift where it goes with them; on today's feet nothing is lifted. */
export function replaceAgreed(agreed: Setup | null, leadHeelLift: number | null = null): void {
  markPast();
  const lift = agreed === null ? 0 : leadHeelLift;
  changeDraft({ agreed, ...(lift !== null && { leadHeelLift: lift }) });
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

export const flareFoot = (foot: FootName, flare: number): void => placeFigure(`${foot}Flare`, flare, 'drag');

/** The figures that dragging a shoe measures: a trail shoe those of itself against the lead one, a lead shoe those of both. */
const DRAGGED: Record<FootName, readonly FeetFigure[]> = {
  trail: ['stanceWidth', 'setback'],
  lead: ['stanceWidth', 'setback', 'ballAlong', 'ballOut'],
};

export const dragFoot = (foot: FootName, along: number, out: number): void =>
  placeFeet((address) => moveFoot(address, foot, along, out), DRAGGED[foot]);

/** Moves the ball along its line; the feet stay where they are drawn. */
export function dragBall(along: number): void {
  lesson.setState(({ frame }) => ({
    frame: frame && { ...frame, centre: { ...frame.centre, x: frame.centre.x - along } },
  }));
  placeFeet((address) => setBallAlong(address, address.lead.heel.x - along), ['ballAlong']);
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

const within = (value: number, { least, most }: Range): number => Math.min(most, Math.max(least, value));

/** Sets a figure of the feet to a value, kept within what it can be. */
export function setDial(dial: Dial, value: number, way: MeasurementWay = 'drag'): void {
  const before = currentSetup(lesson.getState());
  if (!before) return;
  markPast();
  placeFigure(dial, within(value, FIGURES[dial].range), way);
  if (dial === 'ballAlong' || dial === 'ballOut') {
    shiftFrameWith(before.address, currentSetup(lesson.getState())!.address);
  }
  reframe();
}

export function setLoadDial(dial: LoadDial, value: number): void {
  markPast();
  placeLoad(dial, within(value, FIGURES[dial].range));
}

export const dialValue = (setup: Setup, dial: Dial | LoadDial): number =>
  figureOf(setup, dial, measuredOf(setup).measures)!;
