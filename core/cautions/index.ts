/**
 * Cautions to show beside advice. Plain statements for the coach; each defers to people whose
 * limits overrule this product's.
 */
import { ADULT_AGE } from '../build';

export const NOT_MEDICAL_ADVICE =
  'Coaching support, not medical advice. Pain ends a test or a drill at once.';

interface CautionRule {
  /** Words in the coach's own note that call for the caution. */
  words: RegExp;
  caution: string;
}

const RULES: readonly CautionRule[] = [
  {
    words: /replac|surg|operat|numb|dizz|pain|sore|ache|hurt/i,
    caution:
      'Persisting pain, recent surgery, a replaced joint, numbness or dizziness: a doctor or physiotherapist first. Their limits overrule what is read here.',
  },
  {
    words: /knee/i,
    caution:
      'A square lead foot stuck in the ground at speed is hard on the knee. A small study found the lead knee’s adduction moment lower with the foot turned out (Lynn & Noffal 2010, J Sports Sci Med 9:275–281, from memory); it says nothing of twist.',
  },
  {
    words: /hip|back|spine|disc/i,
    caution:
      'Wide plus a bump, reverse tilt or a locked trail knee load the lower back and the knee. Go in small steps.',
  },
  {
    words: /fall|fell|balance/i,
    caution:
      'Balance drills only on clear ground with something to hold, and not for anyone who has fallen lately.',
  },
];

const JUNIOR_CAUTION =
  'Junior: growth spurts, low volume, no forced end-range stretch. Take the build again when they have grown.';

/** What a note says is not there, as in "no pain". */
const DENIED = /\b(no|without|never|not)\s+(any\s+)?\w+/gi;

/** The cautions for a student from the coach's own note and the age reached this year. */
export function cautionsFor(note: string, age: number): string[] {
  const said = note.replace(DENIED, '');
  return [
    ...(age < ADULT_AGE ? [JUNIOR_CAUTION] : []),
    ...RULES.filter((rule) => rule.words.test(said)).map((rule) => rule.caution),
  ];
}
