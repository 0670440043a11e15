import type { Pool } from 'pg';
import type { Attempts } from '../accounts/attempts';
import type { Challenges } from '../accounts/challenges';
import type { KnownDevices } from '../accounts/knownDevices';
import type { NetworkHash } from '../accounts/networks';
import type { MatFeed } from './matFeed';
import type { ShotFeed } from './shotFeed';

/** What the routes work with. */
export interface Services {
  pool: Pool;
  attempts: Attempts;
  shotFeed: ShotFeed;
  matFeed: MatFeed;
  knownDevices: KnownDevices;
  challenges: Challenges;
  networkHash: NetworkHash;
  /** The time between two swings of the simulated student, ms. */
  standInPaceMs: number;
}
