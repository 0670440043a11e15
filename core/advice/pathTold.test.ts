import { judge } from '..';
import { NOT_LOOKED_AT, type Posture } from '../setup';
import { caseOf } from '../test/adviceCases';
import type { WrittenCase } from '../test/writtenCases';
import { toldPath } from './pathTold';
import type { Case } from './types';

const written = (over: Partial<WrittenCase> = {}): Case =>
  caseOf({ name: 'one of these', first: [], ...over });

/** A case with no shots: what came before them, and what the coach saw. */
function unseen(hand: Case['hand'], cameFor: readonly string[], posture: Partial<Posture> = {}): Case {
  const given = written();
  return {
    ...given,
    hand,
    cameFor: cameFor as Case['cameFor'],
    path: { ...given.path, shots: 0 },
    setup: { ...given.setup, posture: { ...NOT_LOOKED_AT, ...posture } },
  };
}
const wayOf = (...of: Parameters<typeof unseen>) => Math.sign(toldPath(unseen(...of))?.value ?? 0);

describe('with no shots the flight and the eye tell which way the path goes', () => {
  test.each([
    ['right', 'starts left', 'starts right'],
    ['left', 'starts right', 'starts left'],
  ] as const)('of a %s-handed student', (hand, lead, trail) => {
    expect(wayOf(hand, [lead, 'curves away'])).toBe(-1);
    expect(wayOf(hand, [trail, 'curves toward'])).toBe(1);
    // A ball that goes on the way it set out tells of the face.
    expect(wayOf(hand, [lead, 'curves toward'])).toBe(0);
    expect(wayOf(hand, [trail, 'curves away'])).toBe(0);
    for (const half of [lead, trail, 'curves away', 'curves toward']) expect(wayOf(hand, [half])).toBe(0);
  });

  test('each of the signs that are seen does as well, and two that say the opposite say nothing', () => {
    expect(wayOf('right', [], { swingPath: 'across from outside' })).toBe(-1);
    expect(wayOf('right', [], { tellTales: ['over the top'] })).toBe(-1);
    expect(wayOf('right', [], { swingPath: 'from the inside' })).toBe(1);
    expect(wayOf('right', [], { tellTales: ['sways'] })).toBe(0);
    expect(wayOf('right', ['starts left', 'curves away'], { swingPath: 'from the inside' })).toBe(0);
    expect(wayOf('right', ['starts right', 'curves toward'], { tellTales: ['over the top'] })).toBe(0);
  });
});

describe('a simulated monitor’s path counts where any of the feet was measured', () => {
  const onlyMeasured = (...names: readonly string[]): Case => {
    const given = written({ path: -6 });
    const kept = Object.entries(given.setup.measured).filter(([name]) => names.includes(name));
    return {
      ...given,
      cameFor: [],
      pathSimulated: true,
      path: { ...given.path, shots: 10 },
      setup: { ...given.setup, posture: undefined, measured: Object.fromEntries(kept) } as Case['setup'],
    };
  };

  test.each(['stanceWidth', 'leadFlare', 'trailFlare', 'setback'])('%s is enough', (name) => {
    expect(toldPath(onlyMeasured(name))).not.toBeNull();
  });
  test('the load or the ball are not', () => {
    expect(toldPath(onlyMeasured())).toBeNull();
    expect(toldPath(onlyMeasured('leadShare', 'ballAlong'))).toBeNull();
  });
});

describe('what a change buys for a turn', () => {
  const short = written({ cameFor: ['cannot turn back'], legs: { inTrail: 0 } });

  test('where a foot is moved, the end comes further and what is needed likelier; where none is, both stay', () => {
    const { things, back } = judge(short, 200);
    expect(things.map(({ thing }) => thing)).toContain('trail foot');
    expect(back).toMatchObject({ stoppedBy: 'trail' });
    expect(back!.to).toBeGreaterThan(back!.from + 3);
    expect(back!.chanceTo!).toBeGreaterThan(back!.chanceFrom!);
    const content = judge(written({ cameFor: ['cannot turn back'] }), 200);
    expect(content.things).toEqual([]);
    expect(content.back!.to).toBe(content.back!.from);
    expect(content.back!.chanceTo).toBe(content.back!.chanceFrom);
  });

  test('nothing is said of a turn that a hurt leg ends, of legs that nobody tested, and of feet that nobody measured', () => {
    const { turnIn } = short.body!.legs;
    const legs = { ...short.body!.legs, turnIn: { ...turnIn, trail: null } };
    expect(judge({ ...short, body: { ...short.body!, legs, hurts: ['trail back'] } }, 0).back).toBeNull();
    expect(judge(written({ cameFor: ['cannot turn back'], legs: null }), 0).back).toBeNull();
    expect(judge(written({ cameFor: ['cannot turn back'], unmeasured: true }), 0).back).toBeNull();
  });
});
