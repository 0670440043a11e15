/** A yes to pictures taken back, again and again, while links, photos and files with pictures are made. */
import { landRecord, newCardLink, newConsent, newestConsent, newPhoto } from '../../server/test/bodies';
import { bothPictures } from '../../server/test/pictures';
import type { Coach, World } from '../../server/test/world';
import { CROWD_PASSWORD, newAcademy } from './academies';
import { ORIGIN, report, signedIn } from './coach';

const ROUNDS = 500;
/** A file of records is read in beside every so many of them: each takes the academy's one place. */
const FILE_EVERY = 10;
const LINKS_EACH = 2;
const HOUR_MS = 60 * 60 * 1000;
const YES = { by: 'student', guardian: '', given: true, photos: true, sharing: true } as const;
const NO = { by: 'student', guardian: '', given: false, photos: false, sharing: false } as const;

/** A clock that is up to two hours off, ms since 1970. */
const byClock = (round: number): string => new Date(Date.now() + ((round % 5) - 2) * HOUR_MS).toISOString();

const importing = ({ headers }: Coach, file: string): Promise<unknown> =>
  fetch(`${ORIGIN}/api/imports?step=take`, {
    method: 'POST',
    headers: { ...headers, origin: ORIGIN, 'content-type': 'application/x-ndjson' },
    body: file,
  }).then((answer) => answer.text());

async function picturesOf(token: string): Promise<unknown> {
  const answer = await fetch(`${ORIGIN}/api/card/pictures`, {
    method: 'POST',
    headers: { origin: ORIGIN, 'content-type': 'application/json' },
    body: JSON.stringify({ token }),
  });
  return answer.ok ? ((await answer.json()) as { pictures: unknown }).pictures : null;
}

async function main(): Promise<void> {
  await newAcademy(99);
  const { coach, method } = await signedIn('crowd-99@bench.example', CROWD_PASSWORD);
  const record = await landRecord({ method } as World, coach);
  const { id } = record.student;
  const say = (words: typeof YES | typeof NO, after: string | null, madeAt: string) =>
    coach.ask('POST', '/api/consents', newConsent(id, { ...words, after, madeAt }));
  const pictures = await bothPictures();
  let [shown, seenBefore, refused] = [0, 0, 0];
  const known: string[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const yes = await say(YES, await newestConsent(coach, id), byClock(round + 3));
    if (yes.status !== 201) throw new Error(`a yes: ${yes.status} ${JSON.stringify(yes.body)}`);
    const links = Array.from({ length: LINKS_EACH + 1 }, () => newCardLink(id, record.card.id, { pictures }));
    const photos = [newPhoto(id, record.address.id), newPhoto(id, record.address.id)];
    await coach.ask('POST', '/api/card-links', links[0]!.link);
    await coach.ask('POST', '/api/photos', photos[0]!);
    if (await picturesOf(links[0]!.token)) seenBefore += 1;
    const file =
      round % FILE_EVERY === 0 ? String((await coach.ask('GET', `/api/exports/students/${id}`)).body) : null;
    const late = await newestConsent(coach, id);
    const [no] = await Promise.all([
      say(NO, late, byClock(round)),
      ...links.slice(1).map(({ link }) => coach.ask('POST', '/api/card-links', link)),
      coach.ask('POST', '/api/photos', photos[1]!),
      // Queued from before the no, by a clock that is ahead.
      say(YES, late, byClock(4)),
      ...(file ? [importing(coach, file)] : []),
    ]);
    if (no.status !== 201) refused += 1;
    known.push(...links.map(({ token }) => token));
    const answers = await Promise.all([
      ...known.slice(-12).map(picturesOf),
      ...photos.map(async (photo) => (await coach.ask('GET', `/api/photos/${photo.id}`)).status === 200),
    ]);
    const stands = (await coach.ask('GET', `/api/students/${id}`)).body.student.consent.given as boolean;
    shown += answers.filter(Boolean).length + Number(stands);
  }
  report({ rounds: ROUNDS, shown, seenBefore, refused });
}

void main();
