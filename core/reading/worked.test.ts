import {
  bandsFor,
  causeOf,
  ITEMS,
  putRightSince,
  readItem,
  readSetup,
  seeded,
  type Reading,
  type ReadingInput,
} from '..';
import { drawnJudged } from '../test/adviceCases';
import { rounded } from '../test/rounded';

const drawn = (): ReadingInput[] => {
  const random = seeded(20_261_202);
  return Array.from({ length: 80 }, () => {
    const { played, ...judged } = drawnJudged(random);
    return { ...judged, ...played };
  });
};

/** A reading as it is told, in a line. */
const told = ({ findings, notices, choices }: Reading): string =>
  JSON.stringify(
    rounded([
      findings.map(({ item, verdict, close, weight, because, withheld, putForward, ...rest }) => [
        ...[
          item,
          rest.measured,
          rest.low,
          rest.high,
          verdict,
          close,
          rest.limits,
          rest.untested,
          rest.widenedBy,
        ],
        ...[weight.out, weight.turn, weight.path, weight.total],
        ...[because?.words ?? '', withheld ?? '', putForward],
      ]),
      notices,
      choices.map(({ question, asTaught }) => [question, asTaught]),
    ]),
  );

/** Nobody worked these out by hand: a change of the reading that was not meant shows here first. */
test('drawn addresses are read as they were', () => {
  expect(drawn().map((given) => told(readSetup(given)))).toMatchSnapshot();
});

test('one item by itself is read as it is among the others', () => {
  for (const given of drawn()) {
    const { findings } = readSetup(given);
    const verdicts = new Map(findings.map(({ item, verdict }) => [item, verdict]));
    for (const item of ITEMS) expect(readItem(given, item)).toBe(verdicts.get(item) ?? null);
  }
});

test('at most two are put forward, none that is withheld, comes of another or is in its band', () => {
  for (const given of drawn()) {
    const forward = readSetup(given).findings.filter(({ putForward }) => putForward);
    expect(forward.length).toBeLessThanOrEqual(2);
    for (const { verdict, because, withheld } of forward)
      expect([verdict === 'in', because, withheld]).toEqual([false, null, null]);
  }
});

test('what was put right since is out then and in now, and nobody agreed on it', () => {
  const readings = drawn().map((given) => readSetup(given).findings);
  readings.slice(1).forEach((now, at) => {
    const before = readings[at]!;
    const agreed = now.slice(0, 2).map(({ item }) => item);
    const expected = now.filter(
      ({ item, verdict }) =>
        verdict === 'in' &&
        !agreed.includes(item) &&
        before.some((then) => then.item === item && then.verdict !== 'in'),
    );
    expect(putRightSince(before, now, agreed).map(({ item }) => item)).toEqual(
      expected.map(({ item }) => item),
    );
  });
});

test('a band that a method does not set is not read', () => {
  for (const given of drawn().slice(0, 20)) {
    const { figures } = bandsFor(given.method, { build: given.build, legs: given.legs }, given);
    for (const { question } of readSetup(given).findings) expect(figures[question]).toBeDefined();
  }
});

test('what comes from what is told as it was', () => {
  const verdicts = ['below', 'above'] as const;
  const told = ITEMS.flatMap((item) =>
    verdicts.flatMap((verdict) =>
      ITEMS.flatMap((by) =>
        verdicts.flatMap((is) => {
          const found = causeOf(item, verdict, (other) => (other === by ? is : 'in'));
          return found ? [`${item} ${verdict} by ${by} ${is}: ${found.words}`] : [];
        }),
      ),
    ),
  );
  expect(told).toMatchSnapshot();
  expect(causeOf('hipTurn', 'in', () => 'below')).toBeNull();
});
