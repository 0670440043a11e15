import { MEASURED_BEFORE, measureAddress, withFigure, type Setup } from '@pedastance/core';
import { seeded } from '@pedastance/core/statistics';
import { setup } from '../../core/test/example';
import { bodyOf } from '../../core/test/turning';
import { drawPlan, type DrawingInput } from './drawing';
import { frameFor } from './frame';
import { halfTurns, hipsWords, type Turning } from './hips';
import { planWords } from './words';

const goal = { shoulders: 90, through: 45 };
const turningOf = (legs: Parameters<typeof bodyOf>[0]): Turning => ({
  body: bodyOf(legs),
  leadHeelLift: 0,
  goal,
  ownDifference: 0,
});

const halvesOf = (of: Setup, turning: Turning) => halfTurns(turning, of, measureAddress(of.address));

const input = (of: Setup, turning: Turning | null, over: Partial<DrawingInput> = {}): DrawingInput => ({
  setup: of,
  frame: frameFor(of.address),
  hand: 'right',
  viewpoint: 'coach',
  length: 'cm',
  footWords: 'left and right',
  shoulderBreadth: 480,
  verdictOf: null,
  size: { width: 390, height: 346 },
  turning,
  ...over,
});

const flares = { leadFlare: 20, trailFlare: 10 };

describe('the turn at the hips', () => {
  // The trail leg turns in 15°, its foot stands 10° out and gives 10°: 35 of the 45 that 45° of trunk leave.
  const stiff = turningOf({ inTrail: 15 });

  test('the leg that stops the turn back is named, with how much is missing', () => {
    const drawn = drawPlan(input(setup(flares), stiff));
    expect(drawn['back-figure']).toMatchObject({ text: '35° of 45°', 'data-verdict': 'below' });
    expect(drawn['back-enough']!.text).toBe('10° short');
    expect(['stops-0', 'stops-1'].map((row) => drawn[row]!.text)).toEqual([
      'Right leg stops',
      'the turn back',
    ]);
    expect(drawn['trail-leg']!['data-short']).toBe('true');
    expect(drawn['lead-leg']!['data-short']).toBe('false');
    expect(drawn['missing-back']!.d).not.toBe('');
    expect(drawn['missing-through']!.d).toBe('');
  });

  test('a left-hander has it on the other side, and the leg is the left one', () => {
    const drawn = drawPlan(input(setup(flares), stiff, { hand: 'left' }));
    expect(drawn['stops-0']!.text).toBe('Left leg stops');
    expect(drawn['back-figure']!['text-anchor']).toBe('end');
    expect(drawPlan(input(setup(flares), stiff))['back-figure']!['text-anchor']).toBe('start');
  });

  test('where the shoes leave no room the leg is named beside the figure', () => {
    const drawn = drawPlan(input(setup({ ...flares, width: 130 }), stiff));
    expect(drawn['stops-0']!.text).toBe('');
    expect(drawn['back-enough']!.text).toBe('right, 10° short');
  });

  test('one leg that stops both turns is named for both; two legs are named each', () => {
    const one = drawPlan(input(setup(flares), turningOf({ inLead: 5, outLead: 10 })));
    expect(['stops-0', 'stops-1'].map((row) => one[row]!.text)).toEqual(['Left leg stops', 'both turns']);
    const two = drawPlan(input(setup(flares), turningOf({ inLead: 5, inTrail: 15 })));
    expect(two['stops-1']!.text).toBe('the turn back');
    expect(two['through-enough']!.text).toBe('left, 10° short');
  });

  test('enough is told from just enough', () => {
    const halves = halvesOf(setup(flares), turningOf({ inTrail: 26, inLead: 30, outLead: 60 }));
    expect([halves.back.limit, halves.through.limit]).toEqual([46, 60]);
    const words = hipsWords({ halves, hand: 'right', footWords: 'left and right' });
    expect(words).toBe('Hips back 46° needs 45°, just enough. Hips through 60° needs 45°, enough.');
  });

  test('nothing is said of a turn before both flares are measured', () => {
    const { leadFlare: _, ...others } = MEASURED_BEFORE;
    const drawn = drawPlan(input({ ...setup(flares), measured: others }, stiff));
    expect(drawn['back-figure']!.text).toBe('? needs 45°');
    expect(drawn['back-enough']!.text).toBe('not known');
    expect(drawn['wing-back']!.opacity).toBe('0');
    expect(drawn['stops-0']!.text).toBe('');
  });

  test('the end of a wing is where the limit is, turned back from the side', () => {
    const drawn = drawPlan(input(setup(flares), stiff));
    const { x2, y2 } = drawn['end-back']!;
    expect((Math.atan2(-Number(y2), -Number(x2)) * 180) / Math.PI).toBeCloseTo(35, 0);
    const pin = drawn['pin-back']!;
    expect((Math.atan2(-Number(pin.y2), -Number(pin.x2)) * 180) / Math.PI).toBeCloseTo(45, 0);
  });

  test('the plan in words tells it too, and without tested legs there are no hips', () => {
    const speech = { length: 'cm', feet: 'left and right', hand: 'right' } as const;
    expect(planWords(setup(flares), speech, stiff)).toContain(
      'Hips back 35° of 45°, 10° short, the right leg stops it.',
    );
    expect(planWords(setup(flares), speech, null)).not.toContain('Hips');
    expect(drawPlan(input(setup(flares), null)).hips).toEqual({ opacity: '0' });
  });

  test('what is told in words is what is drawn, and what is missing is the difference of the two figures told', () => {
    const random = seeded(7);
    const drawnBetween = (low: number, high: number) => low + (high - low) * random();
    for (let drawn = 0; drawn < 300; drawn += 1) {
      const { setback: _, ...others } = MEASURED_BEFORE;
      const stood = setup({ leadFlare: drawnBetween(-5, 40), trailFlare: drawnBetween(-5, 40) });
      const measured = random() < 0.5 ? MEASURED_BEFORE : others;
      const of = { ...withFigure(stood, 'setback', drawnBetween(-60, 120)), measured };
      const turning = turningOf({
        inTrail: drawnBetween(10, 40),
        inLead: drawnBetween(10, 40),
        outLead: drawnBetween(10, 50),
      });
      const plan = drawPlan(input(of, turning));
      const words = planWords(of, { length: 'cm', feet: 'left and right', hand: 'right' }, turning);
      for (const [turn, name] of [
        ['back', 'Hips back'],
        ['through', 'Hips through'],
      ] as const) {
        const { text } = plan[`${turn}-figure`]!;
        expect(words).toContain(`${name} ${text}, `);
        const [limit, needed] = text!.match(/\d+/g)!.map(Number) as [number, number];
        const short = plan[`${turn}-enough`]!.text!.match(/(\d+)° short/);
        expect([text, Number(short?.[1] ?? 0)]).toEqual([text, Math.max(0, needed - limit)]);
      }
    }
  });
});
