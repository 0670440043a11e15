// Whole lessons, drawn: through the app's own stores, the real server and PostgreSQL. What is kept has to be what was done.
import type { AddressEntry, ChangeEntry, LogEntry, Logged, ReadingEntry } from '@pedastance/contract';
import { isKind } from '@pedastance/contract/trialLog';
import { differences, figureOf, PLACED_FIGURES, type PlacedFigure } from '@pedastance/core/setup';
import { seeded } from '@pedastance/core/statistics';
import { newBuild, newStudent } from '../bodies';
import { act, begin, ledgerKey, type Ledger, type Lesson } from './coach';
import { openDevice, type Device } from './device';
import { toldFalsely } from './told';
import { openWorld, type World } from '../world';

const LESSONS = Number(process.env.LESSONS ?? 50);
const ACTIONS = { least: 20, most: 40 };

jest.setTimeout(60_000 + LESSONS * 3000);

let world: World;
let devices: readonly Device[];
beforeAll(async () => {
  world = await openWorld();
  devices = [await openDevice(world, world.lantern), await openDevice(world, world.colleague)];
}, 60_000);
afterAll(() => world.close());

/** Draws what two coaches do with one student, and answers the log that comes of it with what they entered. */
async function drawnLessons(seed: number): Promise<{ log: LogEntry[]; ledger: Ledger; studentId: string }> {
  const random = seeded(seed);
  const student = newStudent({ hand: random() < 0.5 ? 'left' : 'right' });
  await world.lantern.ask('POST', '/api/students', student);
  await world.lantern.ask('POST', '/api/builds', newBuild(student.id));
  const ledger: Ledger = new Map();
  const lessons = devices.map((device): Lesson => ({
    ...{ device, studentId: student.id, screen: null, method: world.method, random, ledger },
  }));
  for (const { device } of lessons) await device.app.records.followChanges(device.owner);
  for (const lesson of lessons) await begin(lesson);
  const actions = ACTIONS.least + Math.floor((ACTIONS.most + 1 - ACTIONS.least) * random());
  for (let left = actions; left > 0; left -= 1) await act(lessons[random() < 0.7 ? 0 : 1]!);
  for (const { device } of lessons) {
    device.offline = false;
    device.app.outbox.retryNow();
    await device.settle();
    device.app.lesson.closeLesson();
  }
  const { entries } = (await world.lantern.ask('GET', `/api/students/${student.id}`)).body;
  return { log: entries, ledger, studentId: student.id };
}

/** How far a figure may lie from what was entered: it is worked out again from where the feet stand, mm and degrees. */
const SAME = 0.3;

const wasEntered = (entered: Map<PlacedFigure, Set<number>>, figure: PlacedFigure, value: number): boolean =>
  [...(entered.get(figure) ?? [])].some((each) => Math.abs(each - value) < SAME);

/** What of a log was never entered, agreed or said with its club in its lesson. */
function keptFalsely(log: readonly LogEntry[], ledger: Ledger): string[] {
  const addresses = new Map(log.filter(isKind('address')).map((entry) => [entry.id, entry]));
  const of = ({ lessonId, club, shot }: AddressEntry) => ledger.get(ledgerKey(lessonId, club, shot));
  const told = (entry: AddressEntry, figure: string) => `${figure} with ${entry.club} ${entry.shot}`;
  const feet = [...addresses.values()].flatMap((address) =>
    address.standing === 'agreed'
      ? []
      : PLACED_FIGURES.filter((figure) => address.setup.measured[figure])
          .filter((figure) => {
            const { feet } = of(address) ?? { feet: new Map() };
            return !wasEntered(feet, figure, figureOf(address.setup, figure)!);
          })
          .map((figure) => `measured: ${told(address, figure)}`),
  );
  const changes = log.filter(isKind('change')).flatMap((entry) => {
    const change = entry as Logged<ChangeEntry>;
    const [from, to] = [addresses.get(change.fromAddressId)!, addresses.get(change.toAddressId)!];
    const entered = of(to);
    if (!entered || from.club !== to.club || from.shot !== to.shot) return [`change of no club`];
    const moved = differences(from.setup, to.setup)
      .filter(({ change: figure, to: value }) => !wasEntered(entered.agreed, figure as PlacedFigure, value))
      .map(({ change: figure }) => `agreed: ${told(to, figure)}`);
    const lifted = entered.lifts.has(change.leadHeelLift) ? [] : [`lift: ${change.leadHeelLift}`];
    const said = entered.said.has(change.reason) && change.feel === `feel of ${change.reason}`;
    return [...moved, ...lifted, ...(said ? [] : [`said: ${change.reason} with ${to.club}`])];
  });
  const judged = log.filter(isKind('reading')).flatMap((entry) => {
    const { check } = entry as Logged<ReadingEntry>;
    return check?.verdict === 'agrees' ? [] : [`reading: ${JSON.stringify(check)}`];
  });
  return [...feet, ...changes, ...judged];
}

test(`${LESSONS} drawn lessons: nothing kept that was not done with that club, nothing told that is not in the log`, async () => {
  const count = { entries: 0, changes: 0, held: 0, sentences: 0 };
  for (let seed = 1; seed <= LESSONS; seed += 1) {
    const { log, ledger, studentId } = await drawnLessons(seed);
    expect([seed, keptFalsely(log, ledger)]).toEqual([seed, []]);
    for (const device of devices) {
      await device.app.records.followChanges(device.owner);
      await device.app.records.refreshStudent(device.owner, studentId);
      const own = device.entries(studentId);
      expect([seed, own.map(({ id }) => id).sort()]).toEqual([seed, log.map(({ id }) => id).sort()]);
    }
    const told = toldFalsely(devices[0]!, log, studentId);
    expect([seed, told.faults]).toEqual([seed, []]);
    count.entries += log.length;
    count.changes += log.filter(isKind('change')).length;
    count.held += told.held;
    count.sentences += told.sentences;
  }
  if (process.env.LESSONS) process.stdout.write(`${JSON.stringify(count)}\n`);
  // A generator that does nothing shows nothing.
  expect(count.changes).toBeGreaterThan(LESSONS / 2);
  expect(count.held).toBeGreaterThan(LESSONS / 4);
});
