import { ownerOf } from '@pedastance/contract/owner';
import { startAccount, useAccount } from '../../state/account';
import { closeDrafts, openDrafts } from '../../state/drafts';
import { closeLesson, keepBeforeLeaving } from '../../state/lesson';
import { closeOutbox, openOutbox, sendLetters, trySoon } from '../../state/outbox';
import { startPreferences } from '../../state/preferences';
import { closeRecords, openRecords, refreshStudents } from '../../state/records';

async function openFor(owner: string): Promise<void> {
  await Promise.all([openRecords(owner), openOutbox(owner), openDrafts(owner)]);
  await refreshStudents(owner);
  await sendLetters();
}

function closeAll(): void {
  closeLesson();
  closeRecords();
  closeOutbox();
  closeDrafts();
}

/** Opens and closes what belongs to a coach as coaches come and go. */
function followAccount(): void {
  useAccount.subscribe((account, before) => {
    const owner = account.identity && ownerOf(account.identity);
    const ownerBefore = before.identity && ownerOf(before.identity);
    if (owner !== ownerBefore) closeAll();
    if (
      owner &&
      (owner !== ownerBefore || (account.status === 'signed in' && before.status !== 'signed in'))
    ) {
      void openFor(owner);
    }
  });
}

/** The shell opens with no server from then on. */
function registerServiceWorker(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  navigator.serviceWorker.register('/service-worker.js').catch(() => undefined);
}

let started = false;

/** Runs once, when the app opens. */
export function startApp(): void {
  if (started) return;
  started = true;
  followAccount();
  registerServiceWorker();
  void startPreferences();
  void startAccount();
  addEventListener('online', trySoon);
  addEventListener('pagehide', keepBeforeLeaving);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') keepBeforeLeaving();
    else trySoon();
  });
  // Asked for so that the browser does not clear lessons away when the device runs short of room.
  void navigator.storage?.persist?.();
}
