import { eyeRecord, type Guess } from './byEye';

const guesses = (errors: readonly number[], figure: Guess['figure'] = 'leadFlare'): Guess[] =>
  errors.map((error, at) => ({ figure, guessed: 10 + at + error, truth: 10 + at }));

describe('how good an eye is', () => {
  test('nothing is said of a figure that was never guessed', () => {
    expect(eyeRecord(guesses([3, 4]), 'stanceWidth')).toBeNull();
  });

  test('by hand: errors of 3, 4 and 5 are off by the root of 50/3 and lean by 4', () => {
    const { count, off, bias, biased } = eyeRecord(guesses([3, 4, 5]), 'leadFlare')!;
    expect(count).toBe(3);
    expect(off).toBeCloseTo(Math.sqrt(50 / 3), 10);
    expect(bias).toBeCloseTo(4, 10);
    // Three guesses lean by chance often enough.
    expect(biased).toBe(false);
  });

  test('a lean counts where the t interval of five errors leaves nought out', () => {
    // Mean 2, variance 2.5: 2.776 standard errors of 0.707 reach 1.963, just short of the mean (t table, 4 degrees of freedom).
    expect(eyeRecord(guesses([0, 1, 2, 3, 4]), 'leadFlare')!.biased).toBe(true);
    // Mean 1.9, as scattered: the interval reaches nought.
    expect(eyeRecord(guesses([-0.1, 0.9, 1.9, 2.9, 3.9]), 'leadFlare')!.biased).toBe(false);
  });

  test('guesses of another figure change nothing', () => {
    const alone = eyeRecord(guesses([1, -2, 3]), 'leadFlare');
    expect(eyeRecord([...guesses([1, -2, 3]), ...guesses([40, 50], 'stanceWidth')], 'leadFlare')).toEqual(
      alone,
    );
  });
});
