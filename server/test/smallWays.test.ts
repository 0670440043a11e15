import { request as httpRequest } from 'node:http';
import { landRecord, newStudent } from './bodies';
import { asAdmin, openWorld, type World } from './world';

let world: World;
beforeAll(async () => (world = await openWorld()), 60_000);
afterAll(() => world.close());

test('a contract that is no number is named, whatever it is', async () => {
  const sent = await world.lantern.ask('POST', '/api/students', {
    ...newStudent(),
    contract: { toString: 'x' },
  });
  expect(sent).toMatchObject({ status: 422, body: { faults: [{ field: 'contract' }] } });
});

test('a file nested nine thousand deep is refused by its line', async () => {
  await landRecord(world, world.lantern);
  const file = (await world.lantern.ask('GET', '/api/exports/academy')).body as string;
  const [header] = file.split('\n');
  const deep = `{"kind":"student","record":${'['.repeat(9000)}${']'.repeat(9000)}}`;
  const answer = await world.lantern.ask('POST', '/api/imports', `${header}\n${deep}\n`, {
    'content-type': 'application/x-ndjson',
  });
  expect(answer.status).toBe(422);
  expect(answer.body.faults[0].line ?? answer.body.faults[0].field).toBeDefined();
});

test('a record of a file that is dated far ahead is refused by its line and its field', async () => {
  await landRecord(world, world.lantern);
  const file = (await world.lantern.ask('GET', '/api/exports/academy')).body as string;
  const ahead = file.replace(/"madeAt":"20\d\d/, '"madeAt":"2099');
  const answer = await world.lantern.ask('POST', '/api/imports?step=preview', ahead, {
    'content-type': 'application/x-ndjson',
  });
  expect(answer.body.faults).toEqual([
    expect.objectContaining({ field: 'madeAt', expected: 'a moment before tomorrow' }),
  ]);
  const born = file.indexOf('"kind":"student"');
  const later = `${file.slice(0, born)}${file.slice(born).replace(/"madeAt":"20\d\d/, '"madeAt":"2099')}`;
  const again = await world.lantern.ask('POST', '/api/imports?step=preview', later, {
    'content-type': 'application/x-ndjson',
  });
  expect(again.body.faults).toEqual([expect.objectContaining({ field: 'record.madeAt' })]);
});

test('a database that only reads is told as away, so that what is written waits', async () => {
  // As a standby answers (SQLSTATE 25006).
  await asAdmin(
    world.adminUrl,
    `create function only_reads() returns trigger language plpgsql
       as $$ begin raise exception 'read-only' using errcode = '25006'; end $$;
     create trigger only_reads before insert on student execute function only_reads()`,
  );
  const answer = await world.lantern.ask('POST', '/api/students', newStudent());
  await asAdmin(world.adminUrl, 'drop trigger only_reads on student; drop function only_reads()');
  expect([answer.status, answer.body.type]).toEqual([503, 'about:pedastance/database-away']);
  expect((await world.lantern.ask('POST', '/api/students', newStudent())).status).toBe(201);
});

/** Asks with headers that `fetch` does not let through. */
const through = (headers: Record<string, string>): Promise<number> =>
  new Promise((resolve, reject) => {
    httpRequest(`${world.origin}/api/health`, { headers }, ({ statusCode }) => resolve(statusCode!))
      .on('error', reject)
      .end();
  });

test('without a public origin nothing is answered through a proxy, whatever it says of itself', async () => {
  expect(await through({})).toBe(200);
  for (const header of ['via', 'x-forwarded-for', 'x-real-ip', 'forwarded'])
    expect([header, await through({ [header]: '1.1 somewhere' })]).toEqual([header, 421]);
});
