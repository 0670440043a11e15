// The page behind a card's link: shows the card, keeps it for where there is no signal, and sends what is ticked.
import type { OpenedCard, Tick } from '@pedastance/contract';
import { MOST_TICKS_AT_ONCE } from '@pedastance/contract/cardLimits';
import { v7 as newId } from 'uuid';
import { keep, keptCard, letGo, letGoOfEnded, localDay, type Kept } from './kept';
import { cardHtml, escaped, spokenDay, type LadderTicks } from './render';
import { startRoutine } from './routine';
import { Away, calendarFile, Closed, countSeen, fetchPictures, Full, openCard, sendTicks } from './server';

const CLOSED = 'This card is not open. Ask your coach for a new one.';
const NO_CONNECTION = 'No connection. Open it again where there is one.';

const token = location.hash.slice(1);
const root = document.getElementById('card')!;
let kept: Kept | null = null;
let away = false;
/** Some of what was ticked found no room. */
let full = false;

/** Rounds of a day, with those that wait to be sent. */
function roundsOn(day: string): number {
  const sent = kept!.opened.ticked.find(({ on }) => on === day)?.rounds ?? 0;
  return kept!.waiting.filter(({ on }) => on === day).reduce((sum, { rounds }) => sum + rounds, sent);
}

/** Whether it hurts on a day: what waits to be sent comes after what the server knows. */
function hurtsToday(day: string): boolean {
  const sent = kept!.opened.ticked.some(({ on, hurts }) => on === day && hurts);
  return kept!.waiting
    .filter(({ on }) => on === day)
    .reduce((hurting, { hurts, takesBack }) => (hurting || hurts) && !takesBack, sent);
}

function doing(): string {
  const today = localDay();
  const rounds = roundsOn(today);
  const done = rounds === 0 ? '' : `<p>Today: ${rounds} ${rounds === 1 ? 'round' : 'rounds'} done.</p>`;
  if (hurtsToday(today))
    return `<div class="card-doing"><p><b>Stop for today.</b> Your coach will see that it hurts. Ask before you go on.</p><button data-do="no pain">It does not hurt, I pressed by mistake</button></div>`;
  return `<div class="card-doing"><button class="card-main" data-do="round">Tick a round</button><button class="card-hurts" data-do="hurts">It hurts</button>${done}</div>`;
}

/** What was tried of the ladder, with what waits to be sent; on a day on which it hurt nothing more is tried. */
function ladderTicks(): LadderTicks {
  const waiting = kept!.waiting.flatMap(({ rung }) => rung ?? []);
  return { tried: [...(kept!.opened.rungs ?? []), ...waiting], live: !hurtsToday(localDay()) };
}

const TOOLS =
  '<div class="card card-tools"><div class="card-doing"><button data-do="step">Step me in</button><button data-do="calendar">Put it in my calendar</button><button data-do="print">Print</button></div></div>';

function told({ changedOn }: OpenedCard): string {
  const lines = [
    ...(away ? ['No connection. This is the card as your phone keeps it.'] : []),
    ...(changedOn ? [`Your coach brought this up to date on ${spokenDay(changedOn)}.`] : []),
    ...(full ? ['This card has all the rounds it can keep. Ask your coach for a new one.'] : []),
    ...(kept!.waiting.length > 0 ? ['What you ticked goes out with the next connection.'] : []),
  ];
  return lines.map((line) => `<p class="card-told">${escaped(line)}</p>`).join('');
}

function show(): void {
  if (!kept) return;
  const { card } = kept.opened;
  document.title = `${card.clubs[0]!.title} · your card`;
  root.innerHTML = told(kept.opened) + cardHtml(card, doing(), kept.pictures ?? null, ladderTicks()) + TOOLS;
}

function close(): void {
  letGo(token);
  kept = null;
  root.innerHTML = `<p class="card-closed">${escaped(CLOSED)}</p>`;
}

/** Sends what waits; what comes meanwhile goes out with the next. */
async function send(): Promise<void> {
  const batch = kept?.waiting.slice(0, MOST_TICKS_AT_ONCE) ?? [];
  if (!kept || batch.length === 0) return;
  await sendTicks(token, batch).catch((error) => {
    if (!(error instanceof Full)) throw error;
    full = true;
  });
  const sent = new Set(batch.map(({ id }) => id));
  kept.waiting = kept.waiting.filter(({ id }) => !sent.has(id));
  keep(token, kept);
  await send();
}

/** Pictures are fetched once: they come after the words, which are what a student opens the card for. */
async function fetchMissingPictures(): Promise<void> {
  if (!kept || kept.pictures !== undefined) return;
  kept.pictures = await fetchPictures(token);
  keep(token, kept);
  show();
}

/** Fetches the card as it reads now, after what waited has been sent. */
async function meetServer(): Promise<void> {
  try {
    await send();
    const opened = await openCard(token);
    away = false;
    kept = { opened, waiting: kept?.waiting ?? [], pictures: opened.pictured ? kept?.pictures : null };
    keep(token, kept);
    show();
    await fetchMissingPictures();
  } catch (error) {
    if (error instanceof Closed) return close();
    if (!(error instanceof Away)) throw error;
    away = true;
    if (kept) show();
    else root.innerHTML = `<p class="card-closed">${escaped(NO_CONNECTION)}</p>`;
  }
}

function tick(what: Partial<Pick<Tick, 'rounds' | 'hurts' | 'takesBack' | 'rung'>>): void {
  if (!kept) return;
  kept.waiting.push({
    id: newId(),
    on: localDay(),
    rounds: 0,
    hurts: false,
    takesBack: false,
    rung: null,
    ...what,
  });
  keep(token, kept);
  show();
  void meetServer();
}

async function saveCalendar(): Promise<void> {
  try {
    const address = URL.createObjectURL(await calendarFile(token));
    const link = Object.assign(document.createElement('a'), { href: address, download: 'practice.ics' });
    link.click();
    URL.revokeObjectURL(address);
  } catch (error) {
    if (error instanceof Closed) return close();
    away = true;
    show();
  }
}

const tickRung = (button: HTMLElement, done: boolean): void =>
  tick({ rung: { at: Number(button.dataset.at), done } });

const DOES: Record<string, (button: HTMLElement) => void> = {
  round: () => tick({ rounds: 1 }),
  hurts: () => tick({ hurts: true }),
  'no pain': () => tick({ takesBack: true }),
  did: (button) => tickRung(button, true),
  'not yet': (button) => tickRung(button, false),
  calendar: () => void saveCalendar(),
  print: () => window.print(),
  step: () => startRoutine(root),
};

let counted = false;

/** Counted once somebody can see the page: what only fetches a link runs no page, or shows it to nobody. */
function countWhenSeen(): void {
  if (counted || document.visibilityState !== 'visible' || !kept) return;
  counted = true;
  countSeen(token).catch(() => (counted = false));
}

async function start(): Promise<void> {
  letGoOfEnded(localDay());
  kept = keptCard(token);
  show();
  await meetServer();
  countWhenSeen();
}

root.addEventListener('click', (event) => {
  const button = (event.target as Element).closest<HTMLElement>('[data-do]');
  if (button) DOES[button.dataset.do!]?.(button);
});
addEventListener('online', () => void meetServer().then(countWhenSeen));
addEventListener('hashchange', () => location.reload());
document.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'visible') void meetServer().then(countWhenSeen);
});
void start();
void navigator.serviceWorker?.register('/card/service-worker.js', { scope: '/card/' }).catch(() => undefined);
