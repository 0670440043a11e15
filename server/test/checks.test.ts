import type { LogEntry, LookEntry, ShotsEntry } from '@pedastance/contract';
import { pathShotsOf } from '@pedastance/contract/pathShots';
import { placedShots, planOfTrial } from '@pedastance/contract/trialLog';
import { MODEL_VERSION } from '@pedastance/core/reading';
import { drawOrder, verdictOf } from '@pedastance/core/trial';
import { v7 as uuidv7 } from 'uuid';
import { judgementOf, landRecord, newLook, newShots, newTrial } from './bodies';
import { openWorld, type World } from './world';

let world: World;
let landed: Awaited<ReturnType<typeof landRecord>>;
beforeAll(async () => {
  world = await openWorld();
  landed = await landRecord(world, world.lantern);
}, 60_000);
afterAll(() => world.close());

const post = (body: object) => world.lantern.ask('POST', '/api/entries', body);
const kept = async (id: string) => {
  const { body } = await world.lantern.ask('GET', `/api/students/${landed.student.id}`);
  return body.entries.find((entry: { id: string }) => entry.id === id);
};
const again = (over: object = {}) => ({ ...landed.reading, id: uuidv7(), ...over });

describe('a reading', () => {
  test('that is right agrees, in the answer and in the log', async () => {
    const body = again();
    const answer = await post(body);
    expect([answer.status, answer.body.check]).toEqual([201, { verdict: 'agrees', differences: [] }]);
    expect((await kept(body.id)).check).toEqual({ verdict: 'agrees', differences: [] });
  });

  test('with another band, or another measure, is kept as told and marked with what differs', async () => {
    const [first, ...rest] = landed.reading.findings;
    for (const wrong of [
      { low: first!.low - 3 },
      { measured: first!.measured + 0.001 },
      { why: 'Because.' },
      { putForward: !first!.putForward },
    ]) {
      const body = again({ findings: [{ ...first!, ...wrong }, ...rest] });
      const answer = await post(body);
      const [field, value] = Object.entries(wrong)[0]!;
      expect(answer.status).toBe(201);
      expect(answer.body.check.verdict).toBe('differs');
      expect(answer.body.check.differences).toContainEqual(
        expect.objectContaining({ place: `${first!.item}.${field}` }),
      );
      expect((await kept(body.id)).findings[0][field]).toBe(value);
    }
  });

  test('within a millionth of the same is the same', async () => {
    const findings = landed.reading.findings.map((each) => ({ ...each, measured: each.measured + 1e-9 }));
    expect((await post(again({ findings }))).body.check.verdict).toBe('agrees');
  });

  test('with another judgement is kept as told and marked with what differs', async () => {
    const { judgement } = landed.reading;
    const flare = { figure: 'leadFlare' as const, from: 10, to: 40 };
    const told = { thing: 'lead foot', cause: 'out of band', figure: 'leadFlare', off: 'less' } as const;
    const wrong = { ...judgement!, things: [{ ...told, moves: [flare], reason: 'taught' as const }] };
    const body = again({ judgement: wrong });
    const answer = await post(body);
    expect([answer.status, answer.body.check.verdict]).toEqual([201, 'differs']);
    expect(
      answer.body.check.differences.every(({ place }: { place: string }) => place.startsWith('judgement.')),
    ).toBe(true);
    expect((await kept(body.id)).judgement).toEqual(wrong);
    // Of one from before it was kept what it rested on nothing is worked out.
    const before = await post(again({ judgement: { ...wrong, rests: null } }));
    expect(before.body.check.verdict).toBe('agrees');
  });

  test('whose judgement rests on shots is worked out by those shots', async () => {
    const trial = newTrial(landed.address, landed.agreed.id);
    const hit = await Promise.all(
      [-8.4, -7.1, -9.3, -6.2, -8.8, -7.7].map(async (path) => {
        const [shot] = newShots(trial).shots;
        const over = { addressId: landed.address.id, trialId: null, place: null, source: 'file' as const };
        const { body } = await post(newShots(trial, { ...over, shots: [{ ...shot!, path }] }));
        return body as LogEntry;
      }),
    );
    const studentId = landed.student.id;
    const by = pathShotsOf([{ ...landed.address, studentId, receivedAt: '' }, ...hit], studentId, true);
    expect(by.shots).toHaveLength(6);
    const judgement = judgementOf(landed.address, landed.build, world, by);
    // The shots decide it: without them it would be another one.
    expect(judgement.waits).not.toEqual(landed.reading.judgement!.waits);
    expect((await post(again({ judgement }))).body.check).toEqual({ verdict: 'agrees', differences: [] });
    const without = await post(again({ judgement: { ...landed.reading.judgement!, shotIds: by.shotIds } }));
    expect(without.body.check.verdict).toBe('differs');
  });

  test('goes by the facts it names', async () => {
    const knee = {
      joint: 'knee' as const,
      side: 'right' as const,
      state: 'pain' as const,
      since: 'spring',
      clearedBy: '',
      notedOn: '2026-11-01',
      status: 'stands' as const,
    };
    const rests = { hand: 'left' as const, facts: [knee], shoulderGoal: 80 };
    const facts = { cautions: 'Right knee hurts.', age: 71, rests };
    const { body } = await post(again({ facts }));
    // The same findings, read for another student, need not be right.
    expect(['agrees', 'differs']).toContain(body.check.verdict);
    expect((await kept(body.id)).facts).toEqual(facts);
  });

  test('by an older model, or naming no facts, is as told; by a newer one the app keeps it', async () => {
    expect((await post(again({ modelVersion: '1.0.0' }))).body.check.verdict).toBe('as told');
    expect((await post(again({ facts: null }))).body.check.verdict).toBe('as told');
    const { body: before } = await post(again({ facts: { cautions: '', age: 40, rests: null } }));
    expect(before.check.verdict).toBe('as told');
    const [major] = MODEL_VERSION.split('.').map(Number);
    const body = again({ modelVersion: `${major! + 1}.0.0` });
    expect(await post(body)).toMatchObject({ status: 503, body: { type: 'about:pedastance/newer-model' } });
    expect(await kept(body.id)).toBeUndefined();
  });
});

describe('a look', () => {
  /** A trial hit as far as the first look, in the order that was dealt. */
  const hit = async () => {
    const trial = newTrial(landed.address, landed.agreed.id, {
      primary: 'straight path',
      warmUps: 0,
      blockSize: 1,
    });
    expect((await post(trial)).status).toBe(201);
    const shots: ShotsEntry[] = [];
    for (const [block, arm] of drawOrder(trial)[0]!.entries()) {
      const body = newShots(trial, {
        addressId: arm === 'A' ? landed.address.id : landed.agreed.id,
        place: { warmUp: false, block, arm },
        shots: [{ path: (arm === 'A' ? -3 : -1) + ((block * 7) % 5) / 10, mishit: false }],
      });
      expect((await post(body)).status).toBe(201);
      shots.push(body);
    }
    return { trial, shots };
  };

  test('names its shots, and is worked out again from them', async () => {
    const { trial, shots } = await hit();
    const logged = shots.map((each) => ({ ...each, studentId: '', receivedAt: '' }));
    const { verdict, because, primary } = verdictOf(planOfTrial(trial), placedShots(logged).shots, 1, false);
    const { outcome: _outcome, ...evidence } = primary!;
    const shotIds = shots.map(({ id }) => id);
    const right: Partial<LookEntry> = {
      shotIds,
      verdict,
      because,
      evidence: evidence as LookEntry['evidence'],
      decision: verdict === 'keep' ? 'keep' : verdict === 'drop' ? 'drop' : 'go on',
    };
    const missing = await post(newLook(trial, { ...right, shotIds: [...shotIds.slice(1), uuidv7()] }));
    expect([missing.status, missing.body.faults[0].field]).toEqual([422, 'shotIds']);
    const body = newLook(trial, right);
    expect((await post(body)).body.check).toEqual({ verdict: 'agrees', differences: [] });
    const told = newLook(trial, { ...right, look: 2, verdict: 'keep', decision: 'keep' });
    const answer = await post(told);
    expect([answer.status, answer.body.check.verdict]).toEqual([201, 'differs']);
    expect((await kept(told.id)).check.differences).toMatchObject([
      { place: 'shotIds', computed: 'not the shots that were dealt up to this look' },
    ]);
    const other = await hit();
    const wrong = newLook(other.trial, {
      ...right,
      shotIds: other.shots.map(({ id }) => id),
      evidence: { ...right.evidence!, p: 0.9 },
    });
    const places = (await post(wrong)).body.check.differences.map(({ place }: { place: string }) => place);
    expect(places).toContain('evidence.p');
  }, 30_000);
});
