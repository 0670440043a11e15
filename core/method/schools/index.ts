import { bandsFor, type Bands } from '../bands';
import { usualBody } from '../check/bodies';
import { PRESETS } from '../presets';

/** Three plain questions to an instructor, with what they are asked of. */
export const SCHOOL_QUESTIONS = {
  width: ['close together', 'heels under the hips', 'by the shoulders'],
  flare: ['both a little', 'both well out', 'lead foot more'],
  line: ['square', 'trail foot back', 'further back with long clubs'],
} as const;
export type SchoolQuestion = keyof typeof SCHOOL_QUESTIONS;
export type SchoolAnswers = { [Question in SchoolQuestion]: (typeof SCHOOL_QUESTIONS)[Question][number] };

/** What tells schools apart with a mid iron and a driver, on a usual body: mm and degrees. */
interface Traits {
  width: number;
  leadFlare: number;
  /** How much further out the lead foot is than the trail foot. */
  leadMore: number;
  line: number;
  /** How much further the line closes with a driver than with a mid iron. */
  lineWithDriver: number;
}

/** A difference in a trait that an instructor would call another school (starting values). */
const NOTICED: Traits = { width: 25, leadFlare: 8, leadMore: 10, line: 5, lineWithDriver: 2 };

/** What an answer says of some of the traits. */
const SAYS: { [Question in SchoolQuestion]: Record<SchoolAnswers[Question], Partial<Traits>> } = {
  width: {
    'close together': { width: 255 },
    'heels under the hips': { width: 335 },
    'by the shoulders': { width: 380 },
  },
  flare: {
    'both a little': { leadFlare: 15, leadMore: 0 },
    'both well out': { leadFlare: 30, leadMore: 0 },
    'lead foot more': { leadFlare: 25, leadMore: 12 },
  },
  line: {
    square: { line: 0, lineWithDriver: 0 },
    'trail foot back': { line: 7, lineWithDriver: 0 },
    'further back with long clubs': { line: 0, lineWithDriver: 3 },
  },
};

const BODY = usualBody(175, 'man');
const middle = (
  { figures }: Bands,
  figure: 'stanceWidth' | 'leadFlare' | 'trailFlare' | 'stanceLine',
): number => figures[figure]?.middle ?? 0;

function traitsOf({ key, contents }: (typeof PRESETS)[number]): Traits {
  const method = { id: key, version: 1, ...contents };
  const iron = bandsFor(method, BODY, { club: '7-iron', shot: 'full', clubLengthInches: 37 });
  const driver = bandsFor(method, BODY, { club: 'driver', shot: 'full', clubLengthInches: 45.5 });
  const leadFlare = middle(iron, 'leadFlare');
  return {
    width: middle(iron, 'stanceWidth'),
    leadFlare,
    leadMore: leadFlare - middle(iron, 'trailFlare'),
    line: middle(iron, 'stanceLine'),
    lineWithDriver: middle(driver, 'stanceLine') - middle(iron, 'stanceLine'),
  };
}

/**
 * The school whose middles come nearest to what an instructor answers, each trait in steps that would be noticed.
 * @param answers one for each question
 * @returns the preset's key
 * @example schoolFor({ width: 'by the shoulders', flare: 'both a little', line: 'square' }) // 'shoulders-and-neutral'
 */
export function schoolFor(answers: SchoolAnswers): string {
  const wanted: Partial<Traits> = {
    ...SAYS.width[answers.width],
    ...SAYS.flare[answers.flare],
    ...SAYS.line[answers.line],
  };
  const apart = (preset: (typeof PRESETS)[number]): number => {
    const traits = traitsOf(preset);
    return (Object.keys(wanted) as (keyof Traits)[]).reduce(
      (sum, trait) => sum + ((traits[trait] - wanted[trait]!) / NOTICED[trait]) ** 2,
      0,
    );
  };
  return PRESETS.map((preset) => ({ key: preset.key, off: apart(preset) })).reduce((best, each) =>
    each.off < best.off ? each : best,
  ).key;
}
