// A cue from the sport that a student knows, for what is taught; common practice, no source.
import type { Thing } from '../advice';

interface SportCue {
  /** Words by which a coach may have named the sport, in small letters. */
  sports: readonly string[];
  cues: Partial<Record<Thing, string>>;
}

const SPORT_CUES: readonly SportCue[] = [
  {
    sports: ['baseball', 'softball', 'cricket', 'handball', 'javelin', 'pitch', 'throw'],
    cues: {
      line: 'Step across yourself as for a long throw.',
      'trail foot': 'Load the back hip as before a throw.',
      'lead foot': 'Land on the front foot as you throw: toe out, then turn over it.',
      width: 'No wider than you stride to throw.',
    },
  },
  {
    sports: ['tennis', 'badminton', 'squash', 'padel', 'pickleball'],
    cues: {
      line: 'Stand as for a forehand from a closed stance.',
      'trail foot': 'Open the back foot as for a forehand on the run.',
      'lead foot': 'Turn over the front foot as after a forehand.',
      load: 'Settle as after a split step.',
    },
  },
  {
    sports: ['row', 'kayak', 'canoe'],
    cues: {
      'trail foot': 'Push from the heel, as off the foot stretcher.',
      load: 'Heels down first, as at the catch.',
    },
  },
  {
    sports: ['hockey', 'skat', 'curling'],
    cues: {
      'trail foot': 'Turn the back foot out like a skate about to push.',
      load: 'Stand over the middle of the blade.',
      width: 'As wide as you glide, no wider.',
    },
  },
  {
    sports: ['ski', 'snowboard', 'surf'],
    cues: {
      load: 'Shins forward, weight over the middle of the foot.',
      'lead foot': 'Move onto the front foot as onto the outside ski.',
    },
  },
  {
    sports: ['football', 'soccer', 'rugby'],
    cues: {
      'lead foot': 'Plant the front foot as beside a ball you strike far.',
      width: 'As wide as you stand to tackle, no wider.',
    },
  },
  {
    sports: ['box', 'karate', 'judo', 'fenc', 'taekwondo', 'martial'],
    cues: {
      'trail foot': 'Back foot turned out as in your guard.',
      width: 'As wide as your guard.',
      load: 'Weight as in your guard: ready to go either way.',
    },
  },
  {
    sports: ['danc', 'ballet', 'gymnast'],
    cues: {
      'lead foot': 'Turn out from the hip, never from the knee.',
      'trail foot': 'Turn out from the hip, never from the knee.',
      load: 'Weight as before a turn: over the middle of the foot.',
    },
  },
  {
    sports: ['riding', 'equestrian'],
    cues: { load: 'Weight where the stirrup carries it.' },
  },
];

/**
 * A cue from the sport that a student knows.
 * @param sport as the coach named it; empty where nobody asked
 * @param things what is taught, the first first
 * @returns the cue; null where the sport has none for it
 * @example cueFrom('Ice hockey', ['trail foot']) // 'Turn the back foot out like a skate about to push.'
 */
export function cueFrom(sport: string, things: readonly Thing[]): string | null {
  const named = sport.toLowerCase().split(/[^a-z]+/);
  const known = SPORT_CUES.filter(({ sports }) =>
    sports.some((each) => named.some((word) => word.startsWith(each))),
  );
  for (const thing of things) {
    const found = known.map(({ cues }) => cues[thing]).find((cue) => cue !== undefined);
    if (found) return found;
  }
  return null;
}
