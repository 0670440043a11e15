import { judge, readSetup, seeded, setupWith, type Case } from '@pedastance/core';
import { causeSentence } from '@pedastance/core/phrases';
import { drawnJudged } from '../../core/test/adviceCases';
import { caseOf } from '@pedastance/core/advice';
import { reasonsFor } from './reasons';

/** Drawn cases with their judgement and what was read of them. */
function drawn(count: number) {
  const random = seeded(20_261_203);
  return Array.from({ length: count }, () => {
    const judged = drawnJudged(random);
    const given: Case = caseOf(judged);
    const reading = readSetup({
      setup: given.setup,
      ...judged.played,
      method: judged.method,
      build: given.build,
      legs: judged.legs,
      cautions: given.cautions,
      goal: given.goal,
      own: judged,
    });
    return { given, judgement: judge(given, 0), findings: reading.findings };
  });
}

test('a reason is offered for what is agreed alone: each thing that is used brings its cause, and none of another', () => {
  let offered = 0;
  for (const { given, judgement, findings } of drawn(120)) {
    for (const thing of judgement.things.filter(({ moves }) => moves.length > 0)) {
      const agreed = setupWith(given.setup, thing.moves);
      const leadHeelLift = thing.moves.find(({ figure }) => figure === 'leadHeelLift')?.to ?? 0;
      const reasons = reasonsFor({ setup: given.setup, agreed, leadHeelLift, judgement, findings });
      expect(reasons).toContain(causeSentence(judgement, thing));
      offered += 1;
      const moved = thing.moves.map(({ figure }) => figure);
      const others = judgement.things.filter(
        (each) => each !== thing && !each.moves.some(({ figure }) => moved.includes(figure)),
      );
      const said = others.map((each) => causeSentence(judgement, each));
      expect(
        reasons.filter((each) => said.includes(each) && each !== causeSentence(judgement, thing)),
      ).toEqual([]);
    }
  }
  expect(offered).toBeGreaterThan(60);
});

test('nothing is offered where nothing is agreed', () => {
  for (const { given, judgement, findings } of drawn(20))
    expect(
      reasonsFor({ setup: given.setup, agreed: given.setup, leadHeelLift: 0, judgement, findings }),
    ).toEqual([]);
});
