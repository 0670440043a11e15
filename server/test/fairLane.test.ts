import { fairLane, LaneFull } from '../accounts/fairLane';

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** Pieces of work that take so long each, ms, and the names of those that are done, in order. */
function workOf(ms: number) {
  const done: string[] = [];
  const work = (name: string) => async () => {
    await pause(ms);
    done.push(name);
  };
  return { done, work };
}

test('thirty at once from one place do not keep another from its turn', async () => {
  const lane = fairLane(5, 100);
  const { done, work } = workOf(5);
  const crowd = Array.from({ length: 30 }, (_one, at) =>
    lane('crowd', work(`crowd ${at}`)).catch((error: unknown) => error),
  );
  const coach = lane('coach', work('coach'));
  await coach;
  expect(done.indexOf('coach')).toBeLessThanOrEqual(2);
  const answers = await Promise.all(crowd);
  // One at work, five waiting: the others are told at once.
  expect(answers.filter((answer) => answer instanceof LaneFull)).toHaveLength(24);
});

test('one at a time, each in its order, and a failure ends no turn', async () => {
  const lane = fairLane(10, 20);
  let at = 0;
  let most = 0;
  const order: string[] = [];
  const work = (name: string, fails = false) =>
    lane(name[0]!, async () => {
      most = Math.max(most, (at += 1));
      await pause(2);
      at -= 1;
      order.push(name);
      if (fails) throw new Error(name);
    }).catch(() => undefined);
  await Promise.all([work('a1', true), work('a2'), work('a3'), work('b1'), work('b2', true), work('c1')]);
  expect(most).toBe(1);
  expect(order).toEqual(['a1', 'a2', 'b1', 'c1', 'a3', 'b2']);
});

test('all together wait no more than may wait', async () => {
  const lane = fairLane(5, 8);
  const answers = Array.from({ length: 12 }, (_one, at) =>
    lane(`${at}`, () => pause(2)).then(
      () => 'done',
      () => 'full',
    ),
  );
  expect((await Promise.all(answers)).filter((answer) => answer === 'full')).toHaveLength(3);
});

test('a known device goes before a crowd from everywhere, which fills no place of its own', async () => {
  const lane = fairLane(5, 8);
  const { done, work } = workOf(2);
  const crowd = Array.from({ length: 30 }, (_one, at) =>
    lane(`${at}`, work(`stranger ${at}`)).catch((error: unknown) => error),
  );
  await lane('0', work('coach'), true);
  expect(done.indexOf('coach')).toBeLessThanOrEqual(1);
  await Promise.all(crowd);
});

test('a crowd of known devices keeps nobody from their turn', async () => {
  const lane = fairLane(20, 200);
  const { done, work } = workOf(2);
  const crowd = Array.from({ length: 15 }, (_one, at) => lane('known', work(`known ${at}`), true));
  await lane('coach', work('coach'));
  expect(done.indexOf('coach')).toBeLessThanOrEqual(2);
  await Promise.all(crowd);
});
