import type { PressurePattern } from '../setup';

/** What a pattern usually does, and one thing to think, to rehearse and to practise (common practice, no source). */
export interface PressureRemedy {
  /** What it usually does to the swing and the ball. */
  does: string;
  /** What it brings to be rid of it. */
  buys: string;
  cue: string;
  rehearse: string;
  /** A drill of the library, by its identifier. */
  drill: string;
  /** How it is checked the next time. */
  check: string;
}

export const PRESSURE_REMEDIES: Record<PressurePattern, PressureRemedy> = {
  'toe-ward going back': {
    does: 'It blocks the trail hip, and the turn with it.',
    buys: 'The trail hip is free to turn.',
    cue: 'Trail big toe light going back.',
    rehearse: 'Turn back five times with the trail big toe curled up.',
    drill: 'curl-the-toe',
    check: 'The trail heel carries the load at the top.',
  },
  'toes early coming down': {
    does: 'The body stands up, and the club comes from outside: a slice or a pull.',
    buys: 'The body stays down, and the club has room.',
    cue: 'Lead heel down first.',
    rehearse: 'From the top, lift the lead toes and press the heel, five times.',
    drill: 'lead-toes-up',
    check: 'The load is mid-foot early on the way down.',
  },
  'heel, then toes': {
    does: 'The club is dragged around and then thrown out: the trace crosses itself.',
    buys: 'The club comes down the way it went back.',
    cue: 'Mid-foot until the club is up.',
    rehearse: 'Swing waist to waist, the weight under the laces.',
    drill: 'waist-to-waist',
    check: 'Going back and coming down lie side by side.',
  },
  reverse: {
    does: 'The hips drift to the target and the trunk hangs back: fat, thin, and falling back.',
    buys: 'The weight is there to come forward with.',
    cue: 'Feel the trail heel at the top.',
    rehearse: 'Turn back and lift the lead heel, five times.',
    drill: 'curl-the-toe',
    check: 'Most of the load is on the trail foot at the top.',
  },
  'trail foot rolls outside': {
    does: 'The body sways off the ball, and has to come back.',
    buys: 'The body stays over the ball.',
    cue: 'Trail knee over its instep.',
    rehearse: 'Turn back five times with a ball under the outer edge of the trail shoe.',
    drill: 'twist-the-thigh-in',
    check: 'The trail foot bears inside its middle at the top.',
  },
  'falls back': {
    does: 'The lead foot is never stood on: fat and thin ones.',
    buys: 'The strike comes back to the ball.',
    cue: 'Stand on the lead heel until the ball is down.',
    rehearse: 'Hold the strike on the lead foot, three times.',
    drill: 'hold-the-strike',
    check: 'Nine tenths of the load is on the lead foot at the finish.',
  },
};
