import { ownerOf } from '@pedastance/contract/owner';
import { startAccount, useAccount } from '../../state/account';
import { closeDrafts, openDrafts } from '../../state/drafts';
import { closeMethodDrafts, openMethodDrafts } from '../../state/methodDrafts';
import { closeOutbox, openOutbox, sendQueue, retryNow } from '../../state/outbox';
import { startPreferences } from '../../state/preferences';
import { closeRecords, openRecords, refreshStudents, useRecords } from '../../state/records';

async function openFor(owner: string): Promise<void> {
  await Promise.all([openRecords(owner), openOutbox(owner), openDrafts(owner), openMethodDrafts(owner)]);
  await refreshStudents(owner);
  await sendQueue();
}

function closeAll(): void {
  closeRecords();
  closeOutbox();
  closeDrafts();
  closeMethodDrafts();
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

const POLL_INTERVAL_MS = 5_000;

/** While the server is away it is looked for again, also when nothing waits to be sent. */
function pollWhileAway(): void {
  useRecords.subscribe((records, before) => {
    if (records.serverAway && !before.serverAway) pollServer();
  });
}

function pollServer(): void {
  setTimeout(async () => {
    const { owner, serverAway } = useRecords.getState();
    if (!owner || !serverAway) return;
    await refreshStudents(owner);
    if (useRecords.getState().serverAway) pollServer();
    else retryNow();
  }, POLL_INTERVAL_MS);
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
  pollWhileAway();
  registerServiceWorker();
  void startPreferences();
  void startAccount();
  addEventListener('online', retryNow);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') retryNow();
  });
  // Asked for so that the browser does not clear lessons away when the device runs short of room.
  void navigator.storage?.persist?.();
}
