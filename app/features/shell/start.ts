import { ownerOf } from '@pedastance/contract/owner';
import { currentOwner, followOtherTab, startAccount, useAccount } from '../../state/account';
import { closeDrafts, openDrafts, readDraftAgain } from '../../state/drafts';
import { closeMethodDrafts, openMethodDrafts } from '../../state/methodDrafts';
import { ChangedElsewhere, closeOutbox, NotKept, openOutbox, sendQueue, retryNow } from '../../state/outbox';
import { startPreferences } from '../../state/preferences';
import { closeRecords, followChanges, openRecords, refreshStudents, useRecords } from '../../state/records';
import { openSealed } from '../../state/sealing';
import { hearTabs } from '../../state/tabs';
import { closeToday, openToday } from '../../state/today';

async function openFor(owner: string): Promise<void> {
  await openSealed(owner);
  await Promise.all([openRecords(owner), openOutbox(owner), openDrafts(owner), openMethodDrafts(owner)]);
  // Sending does not wait for the lists: over a slow line they take long, and either may fail alone.
  await Promise.all([sendQueue(), refreshStudents(owner)]);
}

function closeAll(): void {
  closeRecords();
  closeOutbox();
  closeDrafts();
  closeMethodDrafts();
  closeToday();
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

/** With erased students go their lessons in progress and what waited for them. */
function followErased(): void {
  useRecords.subscribe(({ erased, owner }, before) => {
    if (!owner || erased.length <= before.erased.length) return;
    closeToday();
    void Promise.all([openDrafts(owner), openOutbox(owner), openToday(owner)]);
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

/** What others changed is asked for so often while the page is seen, and when it is seen again, ms. */
const FOLLOW_INTERVAL_MS = 4_000;

/** Brings over what others changed, once at a time; while the server is away the other poll looks for it. */
function followOthers(): void {
  let busy = false;
  const follow = async () => {
    const { owner, serverAway, loaded } = useRecords.getState();
    const seen = document.visibilityState === 'visible' && useAccount.getState().status === 'signed in';
    if (!owner || !loaded || serverAway || !seen || busy) return;
    busy = true;
    await followChanges(owner).catch(() => undefined);
    busy = false;
  };
  setInterval(() => void follow(), FOLLOW_INTERVAL_MS);
  document.addEventListener('visibilitychange', () => void follow());
}

/** The shell opens with no server from then on. */
function registerServiceWorker(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  navigator.serviceWorker.register('/service-worker.js').catch(() => undefined);
}

/** Shows what another tab of this browser did. */
function followTabs(): void {
  hearTabs((message) => {
    if (message.kind === 'account') return void followOtherTab();
    if (message.owner !== currentOwner()) return;
    if (message.kind === 'records') void openRecords(message.owner).then(() => openOutbox(message.owner));
    if (message.kind === 'draft') void readDraftAgain(message.owner, message.id);
  });
}

/** What was not kept has been told in the strip; nothing has changed, so there is nothing else to do. */
const quietWhenTold = (event: PromiseRejectionEvent): void => {
  if (event.reason instanceof NotKept || event.reason instanceof ChangedElsewhere) event.preventDefault();
};

let started = false;

/** Runs once, when the app opens. */
export function startApp(): void {
  if (started) return;
  started = true;
  followAccount();
  followErased();
  followTabs();
  pollWhileAway();
  followOthers();
  registerServiceWorker();
  void startPreferences();
  void startAccount();
  addEventListener('online', retryNow);
  addEventListener('unhandledrejection', quietWhenTold);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') retryNow();
  });
  // Asked for so that the browser does not clear lessons away when the device runs short of room.
  void navigator.storage?.persist?.();
}
