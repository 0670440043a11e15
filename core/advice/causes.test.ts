import { judge } from '..';
import { caseOf } from '../test/adviceCases';
import { type WrittenCase } from '../test/writtenCases';
import { causesOf, tooFarToPost } from './causes';
import { toldPath } from './pathTold';
import { standingOf } from './standing';
import type { Case, CauseName } from './types';

const written = (over: Partial<WrittenCase>): Case => caseOf({ name: 'one of these', first: [], ...over });
const found = (given: Case) => causesOf(standingOf(given), toldPath(given));
const named = (given: Case): CauseName[] => found(given).map(({ cause }) => cause);
const firstOf = (given: Case) => judge(given, 0).things[0]?.thing ?? 'nothing';

describe('a joint that is stiff and no more', () => {
  const stiff = (over: Partial<WrittenCase> = {}) =>
    written({ age: 68, cameFor: ['cannot turn back'], facts: [['ankle', 'right', 'stiff']], ...over });

  test('is answered where the student came for the turn, and by feet, not by a heel or by nothing', () => {
    expect(named(stiff())).toContain('stiff joint');
    expect(['trail foot', 'line']).toContain(firstOf(stiff()));
    expect(['trail foot', 'line']).toContain(firstOf(stiff({ facts: [['hip', 'right', 'stiff']] })));
    expect(['trail foot', 'line']).toContain(
      firstOf(stiff({ hand: 'left', facts: [['ankle', 'left', 'stiff']] })),
    );
  });

  test('is left where nobody asked about the turn, on a pitch, and while something hurts', () => {
    expect(named(stiff({ cameFor: ['just a check'] }))).not.toContain('stiff joint');
    expect(named(stiff({ club: 'sand-wedge', pitch: true }))).not.toContain('stiff joint');
    expect(
      named(
        stiff({
          facts: [
            ['ankle', 'right', 'stiff'],
            ['hip', 'left', 'pain'],
          ],
        }),
      ),
    ).not.toContain('stiff joint');
  });
});

describe('what a figure out of its band is the answer to', () => {
  const answers = (over: Partial<WrittenCase>) =>
    found(written(over)).find(({ faults }) => faults.length > 0)!.answers;

  test('a square trail foot answers the turn back, and a square lead foot the turn through', () => {
    expect(answers({ cameFor: ['cannot turn back'], today: { trailFlare: 0 } })).toContain('turn back');
    expect(answers({ cameFor: ['cannot turn through'], today: { leadFlare: 0 } })).toContain('turn through');
  });

  test('but no turn while something hurts: nobody is asked for more of it then', () => {
    const sore = written({
      facts: [['hip', 'left', 'pain']],
      cameFor: ['cannot turn back'],
      today: { trailFlare: 0, leadFlare: 0 },
    });
    for (const { answers: each } of found(sore)) {
      expect(each).not.toContain('turn back');
      expect(each).not.toContain('turn through');
    }
  });

  test('an open line answers a path across the ball, and a closed one does not', () => {
    expect(answers({ cameFor: ['curves away'], path: -6, today: { stanceLine: -8 } })).toContain('path');
    expect(answers({ cameFor: ['curves toward'], path: 6, today: { stanceLine: 9 } })).toContain('path');
    expect(answers({ cameFor: ['curves away'], path: -6, today: { stanceLine: 9 } })).not.toContain('path');
  });
});

describe('a trail knee that stays bent', () => {
  const bent = { method: 'free-the-hips', today: { trailKneeBack: 100 } };

  test('is about the knee, also where the method asks nothing of it', () => {
    const free = written({ cameFor: ['cannot turn back'], today: { trailKneeBack: 100 } });
    expect(found(free).find(({ cause }) => cause === 'trail knee stuck')).toMatchObject({
      ...{ item: 'trailKneeBack', figure: 'trailKneeBack', off: 'less', concern: 'turn back' },
    });
  });

  test('is stuck where the student came for the turn, and else out of its band', () => {
    expect(named(written({ ...bent, cameFor: ['cannot turn back'] }))).toContain('trail knee stuck');
    const check = named(written({ ...bent, cameFor: ['just a check'] }));
    expect(check).not.toContain('trail knee stuck');
  });
});

describe('loads along both feet', () => {
  const loads = (lead: number, trail: number) =>
    found(
      written({ today: { leadHeelToe: lead, trailHeelToe: trail }, cameFor: ['cannot turn back'] }),
    ).filter(({ item }) => item === 'leadHeelToe' || item === 'trailHeelToe');

  test('that are off the same way are one cause, with what both are the answer to', () => {
    const [both, ...others] = loads(74, 74);
    expect(others).toEqual([]);
    expect(both!.faults.map(({ item }) => item)).toEqual(['leadHeelToe', 'trailHeelToe']);
    expect(both!.concern).toBe('turn back');
    const [lead] = loads(74, 50);
    expect(lead!.concern).not.toBe('turn back');
  });

  test('that are off opposite ways are two', () => {
    expect(loads(74, 20)).toHaveLength(2);
  });
});

describe('too far to post', () => {
  const stands = (over: Partial<Case>, of: Partial<WrittenCase> = {}) =>
    tooFarToPost(standingOf({ ...written(of), ...over }));
  const wide = { wider: 240 };

  test('goes by the hips, and by the student’s own test where there is one', () => {
    expect([stands({}), stands({}, wide)]).toEqual([false, true]);
    expect(stands({ widest: 900 }, wide)).toBe(false);
    expect([stands({ widest: 345 }), stands({ widest: 200 })]).toEqual([false, true]);
  });

  test('is seen by a sway, a slide or a fall, and is about the width', () => {
    const about = { item: 'stanceWidth', figure: 'stanceWidth', off: 'more' };
    const free = (seen: WrittenCase['seen'], of: Partial<WrittenCase>): Case => {
      const given = written({ ...of, seen });
      return { ...given, bands: { ...given.bands, figures: {} } };
    };
    for (const seen of [['sways'], ['slides without turning']] as const) {
      expect(found(free(seen, wide)).find(({ cause }) => cause === 'too wide to post')).toMatchObject(about);
      expect(named(free(seen, {}))).not.toContain('too wide to post');
    }
    expect(found(free(['falls back'], {})).find(({ cause }) => cause === 'too wide to post')).toMatchObject(
      about,
    );
  });

  test('is a cause by itself by the student’s own test, and else where it is seen in the swing', () => {
    const own = { ...written({}), widest: 200 };
    expect(found(own).find(({ cause }) => cause === 'too wide to post')).toMatchObject({
      ...{ item: 'stanceWidth', figure: 'stanceWidth', off: 'more', concern: 'posting' },
    });
    const byHips = { ...written({}), widest: null, bands: { ...written({}).bands, figures: {} } };
    const stood = { ...byHips, setup: written(wide).setup };
    expect(tooFarToPost(standingOf(stood))).toBe(true);
    expect(named(stood)).not.toContain('too wide to post');
    const seen = { ...stood, setup: written({ ...wide, seen: ['sways'] }).setup };
    expect(named(seen)).toContain('too wide to post');
  });

  test('is nobody’s on a pitch, nor where the width was not measured', () => {
    expect(stands({}, { ...wide, club: 'sand-wedge', pitch: true })).toBe(false);
    expect(stands({ widest: 100 }, { club: 'sand-wedge', pitch: true })).toBe(false);
    const given = written(wide);
    const { stanceWidth: _unknown, ...measured } = given.setup.measured;
    expect(tooFarToPost(standingOf({ ...given, setup: { ...given.setup, measured } }))).toBe(false);
  });

  test('a bump brings the lead foot nearer', () => {
    const near = { wider: 150 };
    expect(stands({}, { ...near, today: { hipBump: -60 } })).toBe(true);
    expect(stands({}, { ...near, today: { hipBump: 60 } })).toBe(false);
  });
});
