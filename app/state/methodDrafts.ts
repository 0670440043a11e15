import type { MethodContents } from '@pedastance/core/method';
import { create } from 'zustand';
import { currentOwner } from './account';
import { deviceDatabase, methodDraftsKey, writeFor } from './database';

/** A method that is being written, kept on the device until it is saved or given up. */
export interface MethodDraft {
  contents: MethodContents;
  /** The version it was begun from; 0 for a method that is new. */
  fromVersion: number;
}

/** Drafts by the id of the method they are of, or of the preset they began from. */
type Drafts = Record<string, MethodDraft>;

export const useMethodDrafts = create<{ drafts: Drafts }>(() => ({ drafts: {} }));

export async function openMethodDrafts(owner: string): Promise<void> {
  const kept = (await (await deviceDatabase()).get('device', methodDraftsKey(owner))) as Drafts | undefined;
  if (currentOwner() === owner) useMethodDrafts.setState({ drafts: kept ?? {} });
}

export const closeMethodDrafts = (): void => useMethodDrafts.setState({ drafts: {} });

function keep(drafts: Drafts): void {
  const owner = currentOwner();
  useMethodDrafts.setState({ drafts });
  if (!owner) return;
  void writeFor(owner, [], (transaction) =>
    transaction.objectStore('device').put(drafts, methodDraftsKey(owner)),
  ).catch(() => undefined);
}

export const keepMethodDraft = (id: string, draft: MethodDraft): void =>
  keep({ ...useMethodDrafts.getState().drafts, [id]: draft });

export function dropMethodDraft(id: string): void {
  const { [id]: _gone, ...rest } = useMethodDrafts.getState().drafts;
  keep(rest);
}
