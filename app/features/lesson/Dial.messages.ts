import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  layTheNeedleAlongWhat: (uncertainty: Said) =>
    `Lay the needle along what you see; straight up is where it began. By eye it is ± ${uncertainty}° (starting value).`,
  dial: (label: Said) => `Dial: ${label}`,
  takeTheDialsAngle: (label: Said) => `Take the dial’s angle: ${label}`,
};
