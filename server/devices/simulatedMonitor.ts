import { bell, chanceFrom } from './chance';
import type { LaunchMonitor, Measured, Swing } from './types';

const tenths = (value: number): number => Math.round(value * 10) / 10;
const within = (value: number, least: number, most: number): number =>
  tenths(Math.min(most, Math.max(least, value)));

/** How much of the club's speed the ball takes, from a long shaft to a short one. */
const takes = (clubLengthInches: number): number => 1.2 + 0.03 * (clubLengthInches - 34);

/** Off the middle by this much is called toe or heel, mm. */
const OFF = 14;

const struck = ({ strike, offCentre }: Swing): Measured['strike'] => {
  if (strike !== 'clean') return strike;
  if (Math.abs(offCentre) < OFF) return 'clean';
  return offCentre > 0 ? 'toe' : 'heel';
};

/** A simulated launch monitor: it sees a swing with small errors of its own, and flags a bad strike itself. */
export function simulatedMonitor(sessionId: string, number: number): LaunchMonitor {
  const chance = chanceFrom('monitor', sessionId, number);
  return {
    measure(swing: Swing, clubLengthInches: number): Measured {
      const bad = swing.strike !== 'clean';
      const lost = bad ? 0.18 + 0.2 * chance() : 0.0004 * swing.offCentre ** 2;
      const ballSpeed = swing.clubSpeed * takes(clubLengthInches) * (1 - lost);
      const start = 0.25 * swing.path + 0.75 * swing.face + (bad ? 3 * bell(chance) : 0);
      const bends = 0.9 * (swing.face - swing.path) + 0.1 * swing.offCentre;
      const carry = Math.max(2, 3.1 * ballSpeed - 25 - 0.02 * bends ** 2);
      return {
        path: within(swing.path + 0.4 * bell(chance), -30, 30),
        startLine: within(start + 0.2 * bell(chance), -45, 45),
        clubSpeed: within(swing.clubSpeed + 0.2 * bell(chance), 5, 75),
        ballSpeed: within(ballSpeed + 0.2 * bell(chance), 5, 110),
        carry: within(carry + 0.8 * bell(chance), 0, 380),
        side: within(carry * Math.tan(((start + bends / 2) * Math.PI) / 180), -150, 150),
        strike: struck(swing),
        mishit: bad,
      };
    },
  };
}
