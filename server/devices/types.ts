/** How a student stands, in plain figures, so that the simulation shares nothing with the model it tests. */
export interface Stance {
  /** Of the toe line, degrees, closed positive. */
  closed: number;
  leadFlare: number;
  trailFlare: number;
  /** Between the heels, mm. */
  width: number;
  /** Load on the lead foot from its middle toward the toes, %. */
  toeward: number;
  /** Mm inside the lead heel. */
  ballInside: number;
  clubLengthInches: number;
}

/** What a swing does to the ball before anything measures it: degrees, metres a second. */
export interface Swing {
  path: number;
  face: number;
  clubSpeed: number;
  /** How far off the middle of the face, mm, toward the toe positive. */
  offCentre: number;
  strike: 'clean' | 'fat' | 'thin';
}

/** Somebody who swings. */
export interface Swinger {
  /** The next swing; `number` counts from 1 within a session. */
  swing(stance: Stance, number: number): Swing;
}

/** What a launch monitor tells of a shot. Sideways is positive away from the golfer. */
export interface Measured {
  path: number;
  startLine: number;
  clubSpeed: number;
  ballSpeed: number;
  carry: number;
  side: number;
  strike: 'clean' | 'fat' | 'thin' | 'heel' | 'toe';
  mishit: boolean;
}

/** Something that watches swings and measures what came of them. */
export interface LaunchMonitor {
  measure(swing: Swing, clubLengthInches: number): Measured;
}
