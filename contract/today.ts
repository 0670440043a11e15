/** A student that something is about. */
export interface About {
  studentId: string;
  name: string;
}

/** What was agreed with a club. */
export interface AboutClub extends About {
  /** Club and shot as a coach names them. */
  club: string;
  agreedAt: string;
}

/** A coach's day, from the records alone. */
export interface Today {
  /** Agreed long enough ago to be looked at again, and not measured with the club since; the longest first. */
  due: AboutClub[];
  /** Agreed, measured since, and drifted: the figures that did, as a coach names them. */
  drifted: (AboutClub & { figures: string[] })[];
  /** Another body than the one the last agreement was made for. */
  outgrown: About[];
  /** Trials that were declared and neither kept nor dropped. */
  trials: (About & { trialId: string; declaredAt: string })[];
  /** Minors with no guardian's word on what is kept. */
  consents: About[];
}
