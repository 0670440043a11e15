/**
 * Cautions to show beside advice: what is not suggested to a student with this note or age, what
 * is suggested instead, and whose word goes before this product's.
 */
import type { Item } from '../setup';
import { ADULT_AGE } from './estimate';

export const NOT_MEDICAL_ADVICE =
  'Coaching support, not medical advice. Pain ends a test or a drill at once.';

/** A way of changing an item of the setup. */
export interface Remedy {
  item: Item;
  by: 'more' | 'less';
}

export interface Caution {
  /** What to know. */
  caution: string;
  /** What this student is not advised, and what instead; empty where nothing is left out. */
  notSuggested: string;
  instead: string;
  /** Whose limits overrule what is read here; empty where nobody has to be asked. */
  deferTo: string;
  /** Said beside a finding whose remedy is left out. */
  reason: string;
  withholds: readonly Remedy[];
}

interface CautionRule extends Caution {
  /** Words in the coach's own note that call for the caution. */
  words: RegExp;
}

const more = (item: Item): Remedy => ({ item, by: 'more' });
const less = (item: Item): Remedy => ({ item, by: 'less' });

const DOCTOR = 'A doctor or physiotherapist first; their limits overrule what is read here.';

const RULES: readonly CautionRule[] = [
  {
    words: /replac|surg|operat|numb|dizz|pain|sore|ache|hurt/i,
    caution:
      'Persisting pain, recent surgery, a replaced joint, numbness or dizziness: a doctor or physiotherapist first. Their limits overrule what is read here.',
    notSuggested: 'Turning further than is comfortable.',
    instead: 'A shorter swing, and feet that give the turn what the joint does not.',
    deferTo: DOCTOR,
    reason: 'Pain or surgery is noted: no more turn is asked for.',
    withholds: [more('hipTurn'), more('shoulderTurn')],
  },
  {
    words: /knee/i,
    caution:
      'A square lead foot stuck in the ground at speed is hard on the knee. A small study found the lead knee’s adduction moment lower with the foot turned out (Lynn & Noffal 2010, J Sports Sci Med 9:275–281, from memory); it says nothing of twist.',
    notSuggested: 'A squarer lead foot, or a straighter trail knee.',
    instead: 'Leave the flare, and let the lead foot come round at the finish.',
    deferTo: DOCTOR,
    reason: 'A knee is noted: its foot is not turned squarer and the knee not straightened.',
    withholds: [less('leadFlare'), less('trailKneeFlex')],
  },
  {
    words: /hip|back|spine|disc/i,
    caution:
      'Wide plus a bump, reverse tilt or a locked trail knee load the lower back and the knee. Go in small steps.',
    notSuggested: 'A wider stance, more bump or more tilt.',
    instead: 'Flare first, then a narrower stance, in small steps.',
    deferTo: DOCTOR,
    reason: 'A hip or the back is noted: no wider stance, no more bump and no more tilt.',
    withholds: [more('stanceWidth'), more('hipBump'), more('shoulderTilt')],
  },
  {
    words: /fall|fell|balance/i,
    caution:
      'Balance drills only on clear ground with something to hold, and not for anyone who has fallen lately.',
    notSuggested: 'Balance drills on one leg or a cushion, and a narrower stance.',
    instead: 'Rock and settle with something to hold.',
    deferTo: DOCTOR,
    reason: 'Balance is noted: no narrower stance.',
    withholds: [less('stanceWidth')],
  },
];

const JUNIOR_CAUTION: Caution = {
  caution:
    'Junior: growth spurts, low volume, no forced end-range stretch. Take the build again when they have grown.',
  notSuggested: 'Turning to the end of the range, and many repetitions.',
  instead: 'Feet that let the turn happen by itself.',
  deferTo: 'Parents and, where something hurts, a doctor.',
  reason: 'A junior: nothing that forces the turn.',
  withholds: [more('hipTurn'), more('shoulderTurn')],
};

/** What a note says is not there, as in "no pain". */
const DENIED = /\b(no|without|never|not)\s+(any\s+)?\w+/gi;

/**
 * The cautions for a student from the coach's own note and the age reached this year.
 * @param note the coach’s own words
 * @param age years
 * @returns the cautions, each once
 */
export function cautionsFor(note: string, age: number): Caution[] {
  const said = note.replace(DENIED, '');
  const found = RULES.filter((rule) => rule.words.test(said));
  return [
    ...(age < ADULT_AGE ? [JUNIOR_CAUTION] : []),
    ...found.map(({ words: _words, ...caution }) => caution),
  ];
}
