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
  /** Ticked on a card that it hurts, and nobody has asked yet; the newest first. A day kept from before cards has none. */
  hurts?: (About & { on: string })[];
  /** To be looked at again: on the day of the card, or a week after what was agreed, where the club was not measured since; the longest first. */
  due: AboutClub[];
  /** Agreed, measured since, and drifted: the figures that did, as a coach names them. */
  drifted: (AboutClub & { figures: string[] })[];
  /** Another body than the one the last agreement was made for. */
  outgrown: About[];
  /** Trials that were declared and neither kept nor dropped. */
  trials: (About & { trialId: string; declaredAt: string })[];
  /** Minors with no guardian's word on what is kept. */
  consents: About[];
  /** How much was done with keys, access and consent since an owner last looked through the acts. */
  acts?: number;
}
