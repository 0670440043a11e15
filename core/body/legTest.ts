import type { FootName } from '../setup';
import type { Build } from './build';

/** The foot-in-the-air test of each leg and the feet's own turn-out, degrees. */
export interface LegTest {
  /** How far each foot points out on its own. */
  naturalToeOut: Record<FootName, number>;
  turnIn: Record<FootName, number>;
  turnOut: Record<FootName, number>;
}

/** Everything of a student that a house method's rules go by. */
export interface Body {
  build: Build;
  /** Null until the legs have been tested. */
  legs: LegTest | null;
}
