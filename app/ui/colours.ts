/** Colours for icons and charts, which take no class. */
export const INK = 'rgb(var(--ink))';
export const LAGOON = 'rgb(var(--lagoon))';
export const RUST = 'rgb(var(--rust))';
export const GRID = 'rgb(var(--grid))';
export const PAPER = 'rgb(var(--paper))';
export const ON_DESK = 'rgb(var(--on-desk))';
export const ON_LAGOON = 'rgb(var(--on-lagoon))';

/** Soles drawn over a photo of the ground. */
export const SOLES = { lead: '#5eead4', trail: '#ffb38a' } as const;
