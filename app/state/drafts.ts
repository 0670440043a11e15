import { create } from 'zustand';
import { currentOwner } from './account';
import { deviceDatabase, letGoOfPhotos, NotTheOwner, ownedBy, wordsOfFullDevice, writeFor } from './database';
import { tellTabs } from './tabs';
import type { LessonDraft } from '../domain/lessonDraft';

interface Drafts {
  drafts: Record<string, LessonDraft>;
  loaded: boolean;
  /** The lesson that another tab of this browser changed last. */
  changedElsewhere: LessonDraft | null;
  /** The device refused to keep the lesson; the coach has to know at once. */
  notKept: string | null;
}

const NONE: Drafts = { drafts: {}, loaded: false, changedElsewhere: null, notKept: null };

export const useDrafts = create<Drafts>(() => NONE);

export async function openDrafts(owner: string): Promise<void> {
  const rows = await (await deviceDatabase()).getAll('drafts', ownedBy(owner));
  if (currentOwner() !== owner) return;
  useDrafts.setState({ drafts: Object.fromEntries(rows.map((row) => [row.id, row.value])), loaded: true });
}

export const closeDrafts = (): void => useDrafts.setState(NONE);

/** Keeps a lesson in progress on the device. */
export async function keepDraft(owner: string, draft: LessonDraft): Promise<void> {
  if (currentOwner() === owner) {
    useDrafts.setState((state) => ({ drafts: { ...state.drafts, [draft.id]: draft } }));
  }
  try {
    await writeFor(owner, ['drafts'], (transaction) =>
      transaction.objectStore('drafts').put({ owner, id: draft.id, value: draft }),
    );
    if (useDrafts.getState().notKept) useDrafts.setState({ notKept: null });
    tellTabs({ kind: 'draft', owner, id: draft.id });
  } catch (error) {
    if (!(error instanceof NotTheOwner)) useDrafts.setState({ notKept: wordsOfFullDevice(error) });
  }
}

/** Reads a lesson in progress again, which another tab has changed. */
export async function readDraftAgain(owner: string, id: string): Promise<void> {
  const kept = (await (await deviceDatabase()).get('drafts', [owner, id]))?.value;
  if (kept && currentOwner() === owner)
    useDrafts.setState((state) => ({ drafts: { ...state.drafts, [id]: kept }, changedElsewhere: kept }));
}

export async function removeDraft(owner: string, id: string): Promise<void> {
  await writeFor(owner, ['drafts', 'photos'], async (transaction) => {
    await transaction.objectStore('drafts').delete([owner, id]);
    await letGoOfPhotos(transaction.objectStore('photos'), owner, id);
  });
  useDrafts.setState((state) => {
    const { [id]: _gone, ...rest } = state.drafts;
    return { drafts: rest };
  });
}

export const draftsOf = (drafts: Record<string, LessonDraft>, studentId: string): LessonDraft[] =>
  Object.values(drafts)
    .filter((draft) => draft.studentId === studentId)
    .sort((a, b) => b.updatedAt.localeCompare(a.updatedAt));
