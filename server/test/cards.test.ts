import { CardPictures, OpenedCard, type NewConsent } from '@pedastance/contract';
import { CARD_PICTURE_PX } from '@pedastance/contract/cardLimits';
import ICAL from 'ical.js';
import sharp from 'sharp';
import { v7 as uuidv7 } from 'uuid';
import { calendarOf } from '../http/calendar';
import {
  landCard,
  landRecord,
  newCard,
  newCardLink,
  newChange,
  newConsent,
  newestConsent,
  newStudent,
} from './bodies';
import { bothPictures, cardPicture } from './pictures';
import { asAdmin, openWorld, type World } from './world';

let world: World;
let record: Awaited<ReturnType<typeof landRecord>>;
beforeAll(async () => {
  world = await openWorld();
  record = await landRecord(world, world.lantern);
}, 60_000);
afterAll(() => world.close());

const open = (token: unknown) => world.ask('POST', '/api/card', { token });

async function linked(over = {}) {
  const { token, link } = newCardLink(record.student.id, record.card.id, over);
  const answer = await world.lantern.ask('POST', '/api/card-links', link);
  return { token, link, answer };
}

/** Every field of a value, as paths without the places of lists. */
function fieldsOf(value: unknown, path = ''): string[] {
  if (Array.isArray(value)) return value.flatMap((each) => fieldsOf(each, `${path}[]`));
  if (value === null || typeof value !== 'object') return [path];
  return Object.entries(value).flatMap(([name, inner]) => fieldsOf(inner, `${path}.${name}`));
}

/** Everything that anybody with a link is told; a field more is a leak until somebody has thought about it. */
const TOLD = [
  '.card.care[]',
  '.card.clubs[].agreedOn',
  '.card.clubs[].also[]',
  '.card.clubs[].because',
  '.card.clubs[].doses[].lines[]',
  '.card.clubs[].doses[].name',
  '.card.clubs[].doses[].now',
  '.card.clubs[].doses[].swings',
  '.card.clubs[].drawing.ball.x',
  '.card.clubs[].drawing.ball.y',
  '.card.clubs[].drawing.drops[].from',
  '.card.clubs[].drawing.drops[].to',
  '.card.clubs[].drawing.drops[].x',
  '.card.clubs[].drawing.height',
  '.card.clubs[].drawing.level.from',
  '.card.clubs[].drawing.level.to',
  '.card.clubs[].drawing.level.y',
  '.card.clubs[].drawing.line',
  '.card.clubs[].drawing.names[].words',
  '.card.clubs[].drawing.names[].x',
  '.card.clubs[].drawing.names[].y',
  '.card.clubs[].drawing.shoes[].dashed',
  '.card.clubs[].drawing.shoes[].path',
  '.card.clubs[].drawing.shoes[].side',
  '.card.clubs[].drawing.target',
  '.card.clubs[].drawing.width',
  '.card.clubs[].feel',
  '.card.clubs[].marks[]',
  '.card.clubs[].sentences[]',
  '.card.clubs[].title',
  '.card.cue',
  '.card.drills[].dose',
  '.card.drills[].feel',
  '.card.drills[].how',
  '.card.drills[].name',
  '.card.drills[].needs',
  '.card.drills[].right',
  '.card.firstName',
  '.card.ladder.counts',
  '.card.ladder.name',
  '.card.ladder.purpose',
  '.card.ladder.rungs[].at',
  '.card.ladder.rungs[].words',
  '.card.nextLook',
  '.card.odd',
  '.card.practice.days',
  '.card.practice.daysAWeek',
  '.card.practice.lines[]',
  '.card.routine[]',
  '.changedOn',
  '.endsOn',
  '.pictured',
  '.rungs[].at',
  '.rungs[].done',
  '.rungs[].on',
  '.ticked[].hurts',
  '.ticked[].on',
  '.ticked[].rounds',
];

describe('a link to a card', () => {
  test('opens without an account, and tells what is listed here and nothing else', async () => {
    const { token, answer } = await linked();
    expect(answer.status).toBe(201);
    const tick = { id: uuidv7(), on: '2026-05-02', rounds: 1, hurts: false };
    const tried = { ...tick, id: uuidv7(), rounds: 0, rung: { at: 40, done: true } };
    expect((await world.ask('POST', '/api/card/ticks', { token, ticks: [tick, tried] })).status).toBe(204);
    const opened = await open(token);
    expect(opened.status).toBe(200);
    expect(OpenedCard.safeParse(opened.body).error).toBeUndefined();
    const told = new Set(fieldsOf(opened.body));
    expect([...told].filter((field) => !TOLD.includes(field))).toEqual([]);
    expect(TOLD.filter((field) => !told.has(field) && field !== '.card.clubs[].also[]')).toEqual([]);
    const text = JSON.stringify(opened.body);
    expect(opened.body.card.firstName).toBe('Marl');
    for (const secret of ['Testwick', record.student.id, String(record.student.birthYear), 'academy', 'Ada'])
      expect(text).not.toContain(secret);
    expect(opened.headers.get('cache-control')).toBe('no-store');
  });

  test('says the left-hander’s own sides', async () => {
    const { token } = await linked();
    const { body } = await open(token);
    expect(body.card.clubs[0].drawing.target).toBe('right');
    expect(JSON.stringify(body.card)).not.toMatch(/\b(lead|trail) (foot|toe|heel)\b/i);
  });

  test('revoked, ended, altered, never one: the same answer, whatever is asked', async () => {
    const revoked = await linked();
    expect((await open(revoked.token)).status).toBe(200);
    const ask = (id: string) => world.colleague.ask('DELETE', '/api/card-links', { id });
    expect((await ask(revoked.link.id)).status).toBe(204);
    expect((await ask(revoked.link.id)).status).toBe(422);
    const ended = await linked();
    await asAdmin(world.adminUrl, `update card_link set ends_on = '2026-05-03' where id = $1`, [
      ended.link.id,
    ]);
    const altered = `${ended.token.slice(0, -1)}${ended.token.endsWith('A') ? 'B' : 'A'}`;
    const ticks = [{ id: uuidv7(), on: '2026-05-02', rounds: 1, hurts: false }];
    const answers = await Promise.all(
      [revoked.token, ended.token, altered, '', 7, null, 'x'.repeat(5000)].flatMap((token) =>
        ['', '/pictures', '/seen', '/ticks', '/calendar'].map((path) =>
          world.ask('POST', `/api/card${path}`, { token, ...(path === '/ticks' && { ticks }) }),
        ),
      ),
    );
    const first = answers[0]!.body;
    expect(first).toMatchObject({ status: 410, title: 'This card is not open' });
    for (const { body } of answers) expect(body).toEqual(first);
  });

  test('of a student who was erased opens no more', async () => {
    const other = await landRecord(world, world.lantern);
    const { token } = await landCard(world, world.lantern, other);
    expect((await open(token)).status).toBe(200);
    await asAdmin(
      world.adminUrl,
      `do $$ begin
         perform set_config('pedastance.academy', '${world.lantern.identity.academyId}', true);
         perform erase_student('${other.student.id}', now());
       end $$`,
    );
    expect((await open(token)).status).toBe(410);
  });

  test('of a minor needs a guardian’s word', async () => {
    const minor = newStudent({ birthYear: new Date().getFullYear() - 12 });
    const small = await landRecord(world, world.lantern);
    await asAdmin(world.adminUrl, 'update student set birth_year = $2 where id = $1', [
      small.student.id,
      minor.birthYear,
    ]);
    const make = () =>
      world.lantern.ask('POST', '/api/card-links', newCardLink(small.student.id, small.card.id).link);
    expect(await make()).toMatchObject({ status: 409, body: { type: 'about:pedastance/guardian-first' } });
    expect((await world.lantern.ask('POST', '/api/consents', newConsent(small.student.id))).status).toBe(201);
    expect((await make()).status).toBe(201);
  });

  test('cannot be made of another student’s card, nor for a day that is over', async () => {
    const other = await landRecord(world, world.lantern);
    const strange = newCardLink(other.student.id, record.card.id).link;
    expect((await world.lantern.ask('POST', '/api/card-links', strange)).body.faults[0].field).toBe('cardId');
    expect((await linked({ endsOn: '2026-01-01' })).answer.body.faults[0].field).toBe('endsOn');
  });

  test('shows the newer where its record was corrected since, and says so', async () => {
    const other = await landRecord(world, world.lantern);
    const { token } = await landCard(world, world.lantern, other);
    expect((await open(token)).body.changedOn).toBeNull();
    const corrected = newChange(other.reading, other.agreed.id, {
      reason: 'The hips had no room.',
      replaces: other.change.id,
    });
    expect((await world.lantern.ask('POST', '/api/entries', corrected)).status).toBe(201);
    const after = (await open(token)).body;
    expect(after.card.clubs[0].because).toBe('The hips had no room.');
    expect(after.changedOn).toBe(new Date().toISOString().slice(0, 10));
    const newer = newCard(corrected, {
      replaces: other.card.id,
      madeAt: '2026-06-01T10:00:00.000Z',
      drills: [],
    });
    expect((await world.lantern.ask('POST', '/api/entries', newer)).status).toBe(201);
    expect((await open(token)).body.card.drills).toEqual([]);
  });

  test('with no session, nothing of a student can be read but by the functions', async () => {
    const { rows } = await world.pool.query('select count(*)::integer as count from card_link');
    expect(rows[0].count).toBe(0);
    for (const table of ['student', 'card_entry', 'card_tick', 'address_entry'])
      expect((await world.pool.query(`select * from ${table}`)).rows).toEqual([]);
  });
});

describe('before and after on a card', () => {
  let of: Awaited<ReturnType<typeof landRecord>>;
  beforeAll(async () => {
    of = await landRecord(world, world.lantern);
  });
  const say = async (over: Partial<NewConsent>) =>
    world.lantern.ask(
      'POST',
      '/api/consents',
      newConsent(of.student.id, {
        by: 'student',
        guardian: '',
        photos: true,
        sharing: true,
        madeAt: new Date().toISOString(),
        after: await newestConsent(world.lantern, of.student.id),
        ...over,
      }),
    );
  const make = async (pictures: unknown) => {
    const { token, link } = newCardLink(of.student.id, of.card.id);
    const answer = await world.lantern.ask('POST', '/api/card-links', { ...link, pictures });
    return { token, link, answer };
  };
  const shown = (token: string) => world.ask('POST', '/api/card/pictures', { token });

  test('needs the student’s own yes: one to photos alone is none, nor is a guardian’s', async () => {
    expect((await make(await bothPictures())).answer.body.type).toBe('about:pedastance/sharing-consent');
    await say({ sharing: false });
    expect((await make(await bothPictures())).answer.status).toBe(409);
    const byGuardian = await say({ by: 'guardian', guardian: 'Grown Testwick' });
    expect(byGuardian.body.faults[0].field).toBe('sharing');
    const withoutPhotos = await say({ photos: false });
    expect(withoutPhotos.body.faults[0].field).toBe('sharing');
    await say({});
    expect((await make(await bothPictures())).answer.status).toBe(201);
  });

  test('is told to whoever has the link, without what a program wrote into the pictures', async () => {
    await say({});
    const pictures = await bothPictures();
    const { token } = await make(pictures);
    expect((await open(token)).body.pictured).toBe(true);
    const { body } = await shown(token);
    expect(CardPictures.safeParse(body.pictures).error).toBeUndefined();
    expect(body.pictures.measures).toEqual(pictures.measures);
    const bytes = Buffer.from(body.pictures.earlier.jpeg, 'base64');
    expect(Buffer.from(pictures.earlier.jpeg, 'base64').includes('Exif')).toBe(true);
    expect(bytes.includes('Exif')).toBe(false);
    expect(await sharp(bytes).metadata()).toMatchObject({ width: CARD_PICTURE_PX.width });
    const without = await make(null);
    expect((await open(without.token)).body.pictured).toBe(false);
    expect((await shown(without.token)).body).toEqual({ pictures: null });
  });

  test('goes from every card when the yes is withdrawn, and with a link that is revoked', async () => {
    await say({});
    const [kept, revoked] = [await make(await bothPictures()), await make(await bothPictures())];
    await world.lantern.ask('DELETE', '/api/card-links', { id: revoked.link.id });
    await say({ given: false, photos: false, sharing: false });
    expect((await open(kept.token)).body.pictured).toBe(false);
    expect((await shown(kept.token)).body).toEqual({ pictures: null });
    const left = await asAdmin(
      world.adminUrl,
      'select id from card_link where pictures is not null and student_id = $1',
      [of.student.id],
    );
    expect(left).toEqual([]);
  });

  test('is never a minor’s, whoever says yes', async () => {
    await say({});
    await asAdmin(world.adminUrl, 'update student set birth_year = $2 where id = $1', [
      of.student.id,
      new Date().getFullYear() - 12,
    ]);
    const { answer } = await make(await bothPictures());
    expect(answer.status).toBe(409);
    await asAdmin(world.adminUrl, 'update student set birth_year = $2 where id = $1', [
      of.student.id,
      of.student.birthYear,
    ]);
  });

  test('what is no such picture is refused by its field, and no link is made', async () => {
    await say({});
    const good = await bothPictures();
    const bad: [unknown, string][] = [
      [{ ...good, later: { on: '2026-05-01', jpeg: 'R0lGODlhAQABAIAAAAAAAP' } }, 'pictures.later.jpeg'],
      [{ ...good, later: undefined }, 'pictures.later'],
      [{ ...good, later: await cardPicture('2026-05-01', { width: 900, height: 400 }) }, 'jpeg'],
      [{ ...good, measures: Array(7).fill(good.measures[0]) }, 'pictures.measures'],
    ];
    for (const [pictures, field] of bad) {
      const { token, answer } = await make(pictures);
      expect(answer.status).toBe(422);
      expect(answer.body.faults[0].field).toBe(field);
      expect((await open(token)).status).toBe(410);
    }
  });

  test('an app that knew of no pictures makes links and notes consents as before', async () => {
    const { pictures: _none, ...link } = newCardLink(of.student.id, of.card.id).link;
    expect((await world.lantern.ask('POST', '/api/card-links', { ...link, contract: 6 })).status).toBe(201);
    const { sharing: _unknown, after: _neither, ...consent } = newConsent(of.student.id);
    expect((await world.lantern.ask('POST', '/api/consents', { ...consent, contract: 6 })).status).toBe(201);
    // It knew nothing of the answer before: a yes to more than that is asked again.
    const more = { ...consent, id: uuidv7(), photos: true, contract: 6 };
    expect((await world.lantern.ask('POST', '/api/consents', more)).body.type).toMatch(/consent-meanwhile/);
  });
});

describe('what comes back', () => {
  test('a card is counted as opened when its page says so, and at no other time', async () => {
    const { token, link } = await linked();
    await open(token);
    const cards = async () =>
      (await world.colleague.ask('GET', `/api/students/${record.student.id}/cards`)).body.links.find(
        ({ id }: { id: string }) => id === link.id,
      );
    expect(await cards()).toMatchObject({ opened: 0, lastOpenedAt: null });
    await world.ask('POST', '/api/card/seen', { token });
    expect(await cards()).toMatchObject({ opened: 1, lastOpenedAt: expect.any(String) });
  });

  test('ticks come in once each, and a phone’s wrong clock is put right', async () => {
    const other = await landRecord(world, world.lantern);
    const { token } = await landCard(world, world.lantern, other);
    const ticks = [
      { id: uuidv7(), on: '2071-01-01', rounds: 1, hurts: false },
      { id: uuidv7(), on: '2001-01-01', rounds: 0, hurts: true },
    ];
    const send = () => world.ask('POST', '/api/card/ticks', { token, ticks });
    const answers = await Promise.all([send(), send(), send()]);
    expect(answers.map(({ status }) => status)).toEqual([204, 204, 204]);
    const { ticks: kept } = (await world.lantern.ask('GET', `/api/students/${other.student.id}/cards`)).body;
    const today = new Date().toISOString().slice(0, 10);
    expect(kept).toHaveLength(3);
    expect(kept.filter(({ on }: { on: string }) => on === today)).toHaveLength(2);
    expect((await open(token)).body.ticked).toContainEqual({ on: today, rounds: 1, hurts: true });
  });

  test('a full card says so, and still hears that it hurts', async () => {
    const other = await landRecord(world, world.lantern);
    const { token } = await landCard(world, world.lantern, other);
    await asAdmin(
      world.adminUrl,
      `insert into card_tick (academy_id, id, student_id, card_id, ticked_on, rounds, hurts, received_at)
       select academy_id, gen_random_uuid(), student_id, card_id, current_date, 1, false, now()
       from card_link, generate_series(1, 1998) where student_id = $1`,
      [other.student.id],
    );
    const tick = (over: object) => ({ id: uuidv7(), on: '2026-05-03', rounds: 1, hurts: false, ...over });
    const [last, beyond, pain] = [tick({}), tick({}), tick({ rounds: 0, hurts: true })];
    const send = (...ticks: object[]) => world.ask('POST', '/api/card/ticks', { token, ticks });
    const answer = await send(last, beyond, pain);
    expect([answer.status, answer.body.type]).toEqual([409, 'about:pedastance/card-full']);
    const { ticks: kept } = (await world.lantern.ask('GET', `/api/students/${other.student.id}/cards`)).body;
    const ids = kept.map(({ id }: { id: string }) => id);
    expect([last, beyond, pain].map(({ id }) => ids.includes(id))).toEqual([true, false, true]);
    // Sent again, as after an answer that was lost, what is there is taken.
    expect((await send(last, pain)).status).toBe(204);
  });

  test('a bad tick names its field, and none of those with it is taken', async () => {
    const { token } = await linked();
    const good = { id: uuidv7(), on: '2026-05-03', rounds: 1, hurts: false };
    const answer = await world.ask('POST', '/api/card/ticks', {
      token,
      ticks: [good, { ...good, rounds: 99 }],
    });
    expect(answer).toMatchObject({ status: 422, body: { faults: [{ field: 'ticks.1.rounds' }] } });
    const { ticks } = (await world.lantern.ask('GET', `/api/students/${record.student.id}/cards`)).body;
    expect(ticks.map(({ id }: { id: string }) => id)).not.toContain(good.id);
  });
});

describe('the calendar', () => {
  test('has the practice days and the next look, as RFC 5545 has them (read by another library)', async () => {
    const { token } = await linked();
    const answer = await world.ask('POST', '/api/card/calendar', { token });
    expect(answer.headers.get('content-type')).toMatch('text/calendar');
    const { card } = (await open(token)).body;
    const dated = { ...card, nextLook: '2026-05-08' };
    const text = calendarOf(dated, { id: 'one', from: '2026-05-01', now: new Date('2026-05-01T10:00:00Z') })!;
    const calendar = new ICAL.Component(ICAL.parse(text));
    const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
    expect(events).toHaveLength(2);
    const [practice, look] = events as [ICAL.Event, ICAL.Event];
    expect(look.startDate.isDate).toBe(true);
    expect(look.startDate.toString()).toBe('2026-05-08');
    const days = practice.iterator();
    // Tuesdays, Thursdays and Saturdays from 1 to 8 May 2026.
    const found = [];
    for (let next = days.next(); next; next = days.next()) found.push(next.toString().slice(0, 10));
    expect(found).toEqual(['2026-05-02', '2026-05-05', '2026-05-07']);
    expect(practice.summary).toBe('Practice: 7-iron');
    expect(practice.description.split('\n').length).toBeGreaterThan(3);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });

  test('made again, replaces what was there: the same identifiers, a higher number', async () => {
    const { token } = await linked();
    const { card } = (await open(token)).body;
    const edition = (now: string) => {
      const text = calendarOf(card, { id: 'one', from: '2026-05-01', now: new Date(now) })!;
      return new ICAL.Component(ICAL.parse(text))
        .getAllSubcomponents('vevent')
        .map((event) => [event.getFirstPropertyValue('uid'), event.getFirstPropertyValue('sequence')]);
    };
    const [before, after] = [edition('2026-05-01T10:00:00Z'), edition('2026-05-01T11:00:00Z')];
    expect(after.map(([uid]) => uid)).toEqual(before.map(([uid]) => uid));
    expect(Number(after[0]![1]) - Number(before[0]![1])).toBe(60);
  });
});
