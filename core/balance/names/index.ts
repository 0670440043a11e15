// Names alone, for the schemas: what is made of them is loaded where it is asked for.

export const SWING_MARKS = ['address', 'top', 'early down', 'impact', 'finish'] as const;
/** Moments of a swing, in the order they come. */
export type SwingMark = (typeof SWING_MARKS)[number];

/** Places under the shoes at which a broomstick is felt. */
export const STICK_PLACES = ['heels', 'middle', 'toes'] as const;
export type StickPlace = (typeof STICK_PLACES)[number];
