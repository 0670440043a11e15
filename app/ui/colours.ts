/** Colours for icons, which take no class. */
export const INK = 'rgb(var(--ink))';
export const ON_DESK = 'rgb(var(--on-desk))';
export const ON_LAGOON = 'rgb(var(--on-lagoon))';
