import type { NewMatSession, PressureEntry, Student } from '@pedastance/contract';
import { MOST_PRESSURE_SWINGS } from '@pedastance/contract/limits';
import type { SwingTrace } from '@pedastance/core/balance';
import { v7 as newId } from 'uuid';
import type { PressureDraft } from '../domain/pressure';
import { partKey, type LessonDraft } from '../domain/lessonDraft';
import { currentOwner } from './account';
import { api } from './api';
import { changeDraft, lesson } from './lesson';
import { openMat } from './liveMat';
import { entryPost, keepInLesson } from './writes/inLesson';

const NOTHING: PressureDraft = { source: 'simulated mat', swings: [], hangsBack: null };

/** Changes the swings with the lesson's club and shot. */
function change(make: (before: PressureDraft) => PressureDraft): void {
  const { club, shot, pressures } = lesson.getState().draft!;
  const key = partKey({ club, shot });
  if (club) changeDraft({ pressures: { ...pressures, [key]: make(pressures?.[key] ?? NOTHING) } });
}

/** Adds swings of a source to the open lesson; those of another source make room. */
export const addSwings = (source: PressureDraft['source'], swings: readonly SwingTrace[]): void =>
  change((before) => ({
    ...before,
    source,
    swings: [...(before.source === source ? before.swings : []), ...swings].slice(-MOST_PRESSURE_SWINGS),
  }));

/** Puts a swing in place of one, or takes it away where none is given. */
export const replaceSwing = (at: number, swing: SwingTrace | null): void =>
  change((before) => ({
    ...before,
    swings: before.swings.flatMap((each, place) => (place === at ? (swing ?? []) : each)),
  }));

/** Puts swings in place of those there are. */
export const replaceSwings = (swings: readonly SwingTrace[]): void =>
  change((before) => ({ ...before, swings }));

export const noteTrunk = (hangsBack: boolean | null): void => change((before) => ({ ...before, hangsBack }));

/** Puts the student on the stand-in mat, and listens to it. @throws where the server is away */
export async function standOnMat(of: Pick<NewMatSession, 'studentId' | 'setup' | 'route'>): Promise<void> {
  const session: NewMatSession = { id: newId(), madeAt: new Date().toISOString(), ...of };
  await api.standOnMat(currentOwner()!, session);
  openMat(session.id);
}

type Kept = Pick<
  PressureEntry,
  'club' | 'shot' | 'route' | 'source' | 'hangsBack' | 'swings' | 'pattern' | 'cue'
>;

/** Keeps swings with what was taken of them as an entry of the log; the lesson begins with new ones. */
export async function keepPressure(kept: Kept, draft: LessonDraft, student: Student): Promise<void> {
  const made = { id: newId(), lessonId: draft.id, madeAt: new Date().toISOString(), replaces: null };
  const body: PressureEntry = { ...made, kind: 'pressure', ...kept };
  const { [partKey(kept)]: _kept, ...pressures } = draft.pressures ?? {};
  await keepInLesson([entryPost('Pressure', student, body)], { draft, student }, { pressures });
}
