import { seeded } from '@pedastance/core/statistics';
import sharp from 'sharp';
import { encodedJpeg, NotAJpeg } from '../store/encodedJpeg';
import { landRecord, newConsent, newestConsent, newLesson, newAddress, newPhoto } from './bodies';
import { MARKER, meanDifference, SMALL_JPEG, spoiltPicture } from './pictures';
import { asAdmin, openWorld, type World } from './world';

let world: World;
let landed: Awaited<ReturnType<typeof landRecord>>;

beforeAll(async () => {
  world = await openWorld();
  landed = await landRecord(world, world.lantern);
}, 60_000);
afterAll(() => world.close());

const bytes = Buffer.from(SMALL_JPEG, 'base64');
const wanted = { width: 240, height: 200, mostBytes: 400_000 };
/** Drawn in a test run; the bench draws ten thousand. */
const SPOILT = Number(process.env.SPOILT_PICTURES ?? 300);
const send = (photo: object) => world.lantern.ask('POST', '/api/photos', photo);
const photo = (over: Parameters<typeof newPhoto>[2] = {}) =>
  newPhoto(landed.student.id, landed.address.id, over);
const spoilt = (change: (copy: Buffer) => Buffer) => change(Buffer.from(bytes)).toString('base64');

describe('a picture that comes in', () => {
  test('loses its place, its maker and what follows its end, and looks the same', async () => {
    const longer = Buffer.concat([bytes, Buffer.from('somebody’s voice')]);
    const anew = await encodedJpeg(longer, wanted);
    expect(bytes.toString('latin1')).toContain('Exif');
    for (const told of ['Exif', 'Invented', 'voice']) expect(anew.toString('latin1')).not.toContain(told);
    expect(await meanDifference(anew, bytes)).toBeLessThan(3);
  });

  test('has nothing left of a marker in whatever part of it, or is refused', async () => {
    const random = seeded(7);
    const outcomes = { kept: 0, refused: 0 };
    for (let drawn = 0; drawn < SPOILT; drawn += 1) {
      const copy = await spoiltPicture(bytes, random);
      try {
        const kept = await encodedJpeg(copy, wanted);
        expect(kept.includes(MARKER)).toBe(false);
        const { info } = await sharp(kept, { failOn: 'warning' }).raw().toBuffer({ resolveWithObject: true });
        expect([info.width, info.height]).toEqual([240, 200]);
        outcomes.kept += 1;
      } catch (error) {
        if (!(error instanceof NotAJpeg)) throw error;
        outcomes.refused += 1;
      }
    }
    // Both happen, or nothing was tried.
    expect(Math.min(outcomes.kept, outcomes.refused)).toBeGreaterThan(SPOILT / 50);
  }, 600_000);

  test('is kept so, and answered so', async () => {
    const kept = photo();
    expect((await send(kept)).status).toBe(201);
    const [row] = await asAdmin<{ jpeg: Buffer }>(world.adminUrl, 'select jpeg from photo where id = $1', [
      kept.id,
    ]);
    expect(row!.jpeg.toString('latin1')).not.toContain('Exif');
    const listed = await world.lantern.ask('GET', `/api/students/${landed.student.id}/photos`);
    const { jpeg: _without, ...told } = kept;
    expect(listed.body).toContainEqual(told);
    expect(JSON.stringify(listed.body)).not.toContain('jpeg');
  });

  test.each([
    [
      'another kind',
      (copy: Buffer) => Buffer.concat([Buffer.from('89504e470d0a1a0a', 'hex'), copy]),
      'a JPEG picture',
    ],
    ['cut off in its data', (copy: Buffer) => copy.subarray(0, copy.length - 60), 'a whole picture'],
    ['cut off in its head', (copy: Buffer) => copy.subarray(0, 130), 'a whole picture'],
    [
      'with a length that leads nowhere',
      (copy: Buffer) => (copy.writeUInt16BE(0xfff0, 4), copy),
      'a whole picture',
    ],
    ['with a length of nothing', (copy: Buffer) => (copy.writeUInt16BE(0, 4), copy), 'a whole picture'],
    ['of letters alone', () => Buffer.alloc(400, 'a'), 'a JPEG picture'],
    ['of markers alone', () => Buffer.alloc(400, 0xff), 'a JPEG picture'],
    [
      'without a picture',
      () =>
        Buffer.concat([
          Buffer.from('ffd8', 'hex'),
          Buffer.from('fffe0064', 'hex'),
          Buffer.alloc(98),
          Buffer.from('ffd9', 'hex'),
        ]),
      'a whole picture',
    ],
  ])('%s is refused, and nothing is written', async (_kind, change, expected) => {
    const answer = await send(photo({ jpeg: spoilt(change) }));
    expect(answer.status).toBe(422);
    expect(answer.body.faults[0]).toMatchObject({ field: 'jpeg', expected });
  });

  test('of another size than it says, or larger than is kept, is refused', async () => {
    expect((await send(photo({ width: 400 }))).body.faults[0]).toMatchObject({
      expected: '400 by 200 pixels',
      found: '240 by 200',
    });
    const large = Buffer.concat([bytes, Buffer.alloc(401_000)]).toString('base64');
    expect((await send(photo({ jpeg: large }))).body.faults[0].field).toBe('jpeg');
    expect((await send(photo({ jpeg: `${SMALL_JPEG}!` }))).body.faults[0]).toMatchObject({
      expected: 'base64',
    });
  });
});

describe('whose it is', () => {
  test('another academy reaches no photo by its id, to see it or to delete it', async () => {
    const path = `/api/photos/${landed.photo.id}`;
    expect((await world.harbour.ask('GET', path)).status).toBe(404);
    await world.harbour.ask('DELETE', '/api/photos', { id: landed.photo.id });
    const [row] = await asAdmin<{ count: number }>(
      world.adminUrl,
      'select count(*)::integer as count from photo where id = $1',
      [landed.photo.id],
    );
    expect(row!.count).toBe(1);
  });

  test('without a yes to photos it is refused, and taken once there is one', async () => {
    const other = await landRecord(world, world.lantern);
    const yes = async (photos: boolean, madeAt: string) => {
      const after = await newestConsent(world.lantern, other.student.id);
      return world.lantern.ask(
        'POST',
        '/api/consents',
        newConsent(other.student.id, { photos, madeAt, after }),
      );
    };
    await yes(false, '2026-05-03T10:00:00.000Z');
    const body = newPhoto(other.student.id, other.address.id);
    const refused = await send(body);
    expect([refused.status, refused.body.type]).toEqual([409, 'about:pedastance/photo-consent']);
    await yes(true, '2026-05-04T10:00:00.000Z');
    expect((await send(body)).status).toBe(201);
  });

  test('it goes with an address of its own student, twenty a lesson, and can be deleted', async () => {
    const other = await landRecord(world, world.lantern);
    const wrong = await send(newPhoto(landed.student.id, other.address.id));
    expect(wrong.body.faults[0].field).toBe('addressId');
    const lesson = newLesson(landed.student.id);
    const address = newAddress(lesson.id);
    await world.lantern.ask('POST', '/api/lessons', lesson);
    await world.lantern.ask('POST', '/api/entries', address);
    const bodies = Array.from({ length: 21 }, () => newPhoto(landed.student.id, address.id));
    const answers = await Promise.all(bodies.map(send));
    expect(answers.map(({ status }) => status).sort()).toEqual([...Array<number>(20).fill(201), 409]);
    const one = bodies[answers.findIndex(({ status }) => status === 201)]!;
    expect((await world.lantern.ask('DELETE', '/api/photos', { id: one.id })).status).toBe(204);
    expect((await world.lantern.ask('GET', `/api/photos/${one.id}`)).status).toBe(404);
    const left = bodies[answers.findIndex(({ status }) => status === 409)]!;
    expect((await send(left)).status).toBe(201);
  });
});
