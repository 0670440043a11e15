/** Limits that a card's page keeps to, apart from the schemas so that the page stays small. */
export const MOST_TICKS_AT_ONCE = 50;

/** A picture on a card, pixels: the ground around the ball at 0.45 pixels a mm. */
export const CARD_PICTURE_PX = { width: 558, height: 459, perMm: 0.45 };
/** Of such a picture in base64: 60 kB. */
export const LONGEST_CARD_PICTURE = 80_000;
