/** Figures to a hundredth, whatever they stand in: what is kept of a model's answers is no finer than they are told. */
export const rounded = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value ?? null, (_key, each: unknown) =>
      typeof each === 'number' ? Math.round(each * 100) / 100 : each,
    ),
  );
