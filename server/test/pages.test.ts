import type { NewStudent } from '@pedastance/contract';
import { v7 as uuidv7 } from 'uuid';
import { cursorOf, written } from '../store/cursor';
import { landRecord, newBuild, newLesson, newShots, newStudent, landTrial } from './bodies';
import { openWorld, type World } from './world';

let world: World;
beforeAll(async () => (world = await openWorld()), 60_000);
afterAll(() => world.close());

const get = async (path: string) => (await world.harbour.ask('GET', path)).body;
const add = async (over: Partial<NewStudent>) => {
  const body = newStudent(over);
  expect((await world.harbour.ask('POST', '/api/students', body)).status).toBe(201);
  return body;
};

test('a cursor is read as it was written, and nothing else is one', () => {
  const id = uuidv7();
  for (const cursor of [{ number: 7, id }, cursorOf('12')!])
    expect(cursorOf(written(cursor))).toEqual(cursor);
  for (const text of ['', 'x', '-1', '1.5', '1e9', `7.${id}x`, '9'.repeat(16)])
    expect(cursorOf(text)).toBeUndefined();
});

test('students come in pages by name, each once, and are searched by the beginnings of words', async () => {
  for (let at = 0; at < 35; at += 1) await add({ name: `Page ${String(at).padStart(3, '0')}` });
  const first = await get('/api/students');
  expect([first.students.length, first.more]).toEqual([30, true]);
  const second = await get(`/api/students?after=${first.students.at(-1).id}`);
  expect([second.students.length, second.more]).toEqual([5, false]);
  const names = [...first.students, ...second.students].map(({ name }: { name: string }) => name);
  expect(names).toEqual([...names].sort());
  expect(new Set(names).size).toBe(35);

  const odile = await add({ name: 'Ödilé Brånd-Völd', hand: 'left', cautions: 'Trail hip, stiff.' });
  for (const search of ['odile', 'bran vo', 'LEFT stiff', 'hip od']) {
    const found = await get(`/api/students?search=${encodeURIComponent(search)}`);
    expect(found.students.map(({ id }: { id: string }) => id)).toEqual([odile.id]);
  }
  expect((await get('/api/students?search=dile')).students).toEqual([]);
  const edit = { ...odile, id: uuidv7(), studentId: odile.id, version: 1, name: 'Renamed', cautions: '' };
  await world.harbour.ask('PUT', '/api/students', edit);
  expect((await get('/api/students?search=odile')).students).toEqual([]);
  expect((await get('/api/students?search=renam')).students).toHaveLength(1);
  expect((await world.lantern.ask('GET', '/api/students?search=renam')).body.students).toEqual([]);
}, 30_000);

test('changes since a place: all of them, each at least once, whatever is written meanwhile', async () => {
  const start = (await get('/api/changes')).through;
  expect(await get(`/api/changes?after=${start}`)).toEqual({
    students: [],
    methods: [],
    erased: [],
    more: false,
    through: start,
  });
  // Many writers at once, and a reader between them.
  const seen = new Set<string>();
  let through = start;
  const read = async () => {
    for (let more = true; more;) {
      const page = await get(`/api/changes?after=${through}`);
      for (const { id } of page.students) seen.add(id);
      ({ through, more } = page);
    }
  };
  const writers = Array.from({ length: 30 }, (_, at) => add({ name: `Change ${at}` }));
  for (let time = 0; time < 10; time += 1) await read();
  const made = await Promise.all(writers);
  await read();
  expect(made.filter(({ id }) => !seen.has(id))).toEqual([]);
  // A build, a lesson's entry and an edit change a student too; another academy's do not show.
  const [one] = made;
  await world.harbour.ask('POST', '/api/builds', newBuild(one!.id));
  const after = await get(`/api/changes?after=${through}`);
  expect(after.students).toMatchObject([{ id: one!.id, build: { studentId: one!.id } }]);
  await landRecord(world, world.lantern);
  expect((await get(`/api/changes?after=${after.through}`)).students).toEqual([]);
}, 30_000);

test('a long log comes in pages, newest first, and what is new since; each entry once', async () => {
  const landed = await landRecord(world, world.lantern);
  const { trial } = await landTrial(world.lantern, landed);
  const path = `/api/students/${landed.student.id}`;
  const ask = async (query: string) => (await world.lantern.ask('GET', `${path}${query}`)).body;
  const shots = Array.from({ length: 70 }, () =>
    newShots(trial, { trialId: null, place: null, source: 'file', addressId: landed.address.id }),
  );
  for (const body of shots) expect((await world.lantern.ask('POST', '/api/entries', body)).status).toBe(201);
  const newest = await ask('');
  expect([newest.entries.length, newest.more]).toEqual([60, true]);
  const older = await ask(`?before=${newest.first}`);
  expect(older.more).toBe(false);
  const ids = [...newest.entries, ...older.entries].map(({ id }: { id: string }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids).toEqual(expect.arrayContaining([...shots.map(({ id }) => id), landed.change.id]));
  expect(await ask(`?after=${newest.last}`)).toMatchObject({ entries: [], more: false, last: null });
  const late = newShots(trial, { trialId: null, place: null, source: 'file', addressId: landed.address.id });
  await world.lantern.ask('POST', '/api/entries', late);
  expect((await ask(`?after=${newest.last}`)).entries.map(({ id }: { id: string }) => id)).toEqual([late.id]);
  const bad = await world.lantern.ask('GET', `${path}?after=soon`);
  expect([bad.status, bad.body.faults[0].field]).toEqual([422, 'after']);
  expect((await world.lantern.ask('POST', '/api/lessons', newLesson(landed.student.id))).status).toBe(201);
}, 30_000);
