import type { Item } from '../setup';
import { DOCTOR, type FactState, type Joint } from './facts';

/** A move of the table: of an item, or of the flare on the side that the fact is about. */
export interface TableMove {
  item: Item | 'flare of that foot';
  by: 'more' | 'less';
}

/** One row: for which joints, legs and states, what is left out, kept small or preferred, why, and whose word overrules it. */
export interface CautionRow {
  joints: readonly Joint[] | 'any';
  legs: 'lead' | 'trail' | 'either';
  states: readonly FactState[];
  /** Never asked for. */
  barred: readonly TableMove[];
  /** Asked for by one noticeable step at a time. */
  limited: readonly TableMove[];
  /** Asked for before other ways. */
  preferred: readonly TableMove[];
  caution: string;
  notSuggested: string;
  instead: string;
  /** Said beside a finding whose remedy is left out. */
  reason: string;
  /** Whose limits overrule what is read here; empty where nobody has to be asked. */
  deferTo: string;
  /** What a word of it rests on; left out where it is common practice. */
  source?: string;
}

const more = (item: TableMove['item']): TableMove => ({ item, by: 'more' });
const less = (item: TableMove['item']): TableMove => ({ item, by: 'less' });

const MENDED: readonly FactState[] = ['pain', 'operated', 'replaced'];

/** Common practice, no source, but for the study that is named. */
export const CAUTION_TABLE: readonly CautionRow[] = [
  {
    joints: 'any',
    legs: 'either',
    states: [...MENDED, 'dizzy or numb'],
    barred: [more('hipTurn'), more('shoulderTurn')],
    limited: [],
    preferred: [],
    caution:
      'Persisting pain, recent surgery, a replaced joint, numbness or dizziness: a doctor or physiotherapist first. Their limits overrule what is read here.',
    notSuggested: 'Turning further than is comfortable.',
    instead: 'A shorter swing, and feet that give the turn what the joint does not.',
    reason: 'Pain or surgery is noted: no more turn is asked for.',
    deferTo: DOCTOR,
  },
  {
    joints: ['knee'],
    legs: 'lead',
    states: [...MENDED, 'stiff'],
    barred: [less('flare of that foot')],
    limited: [],
    preferred: [more('flare of that foot')],
    caution:
      'A square lead foot stuck in the ground at speed is hard on the knee. A small study found less load on the lead knee with the foot turned out. It says nothing of twist.',
    source: 'Lead knee adduction moment: Lynn & Noffal 2010, J Sports Sci Med 9:275–281, from memory.',
    notSuggested: 'A squarer lead foot.',
    instead: 'Leave the flare, and let the lead foot come round at the finish.',
    reason: 'The lead knee is noted: its foot is not turned squarer.',
    deferTo: DOCTOR,
  },
  {
    joints: ['knee'],
    legs: 'trail',
    states: [...MENDED, 'stiff'],
    barred: [less('flare of that foot'), less('trailKneeFlex')],
    limited: [],
    preferred: [],
    caution: 'A locked trail knee loads the knee and the lower back.',
    notSuggested: 'A squarer trail foot, or a straighter trail knee.',
    instead: 'Leave the flare, and keep some flex.',
    reason: 'The trail knee is noted: its foot is not turned squarer and the knee not straightened.',
    deferTo: DOCTOR,
  },
  {
    joints: ['hip'],
    legs: 'lead',
    states: MENDED,
    barred: [less('flare of that foot'), more('stanceWidth'), more('hipBump')],
    limited: [],
    preferred: [more('flare of that foot')],
    caution: 'Wide plus a bump loads the lead hip. Go in small steps.',
    notSuggested: 'A squarer lead foot, a wider stance or more bump.',
    instead: 'More lead flare, then a narrower stance, in small steps.',
    reason: 'The lead hip is noted: no squarer lead foot, no wider stance and no more bump.',
    deferTo: DOCTOR,
  },
  {
    joints: ['hip'],
    legs: 'trail',
    states: MENDED,
    barred: [less('flare of that foot'), more('stanceWidth'), more('hipBump')],
    limited: [more('leadFlare')],
    preferred: [more('leadFlare')],
    caution: 'A sore trail hip is helped from the other foot first.',
    notSuggested: 'A squarer trail foot, a wider stance or more bump.',
    instead: 'A little more lead flare at a time, until moving onto the lead foot is smooth.',
    reason: 'The trail hip is noted: no squarer trail foot, no wider stance and no more bump.',
    deferTo: DOCTOR,
  },
  {
    joints: ['hip'],
    legs: 'either',
    states: ['stiff'],
    barred: [],
    limited: [more('stanceWidth'), more('hipBump')],
    preferred: [more('flare of that foot'), more('stanceLine')],
    caution: 'A stiff hip turns on the feet it is given.',
    notSuggested: '',
    instead: 'Flare first, then a closed line; wider or more bump only a little at a time.',
    reason: '',
    deferTo: '',
  },
  {
    joints: ['lower back'],
    legs: 'either',
    states: [...MENDED, 'stiff'],
    barred: [more('stanceWidth'), more('hipBump'), more('shoulderTilt'), less('trailKneeFlex')],
    limited: [],
    preferred: [],
    caution: 'Wide plus a bump, reverse tilt or a locked trail knee load the lower back. Go in small steps.',
    notSuggested: 'A wider stance, more bump, more tilt or a straighter trail knee.',
    instead: 'Flare first, then a narrower stance, in small steps.',
    reason: 'The lower back is noted: no wider stance, no more bump or tilt, no straighter knee.',
    deferTo: DOCTOR,
  },
  {
    joints: ['ankle'],
    legs: 'either',
    states: MENDED,
    barred: [less('flare of that foot')],
    limited: [],
    preferred: [],
    caution: 'An ankle that hurts cannot roll under the turn.',
    notSuggested: 'A squarer foot on that side.',
    instead: 'Leave the flare, and a shorter swing.',
    reason: 'The ankle is noted: its foot is not turned squarer.',
    deferTo: DOCTOR,
  },
  {
    joints: ['ankle'],
    legs: 'either',
    states: ['stiff'],
    barred: [],
    limited: [less('flare of that foot')],
    preferred: [more('stanceLine'), more('flare of that foot')],
    caution: 'A stiff ankle gives the turn little.',
    notSuggested: '',
    instead: 'A closed line, and more flare on that side.',
    reason: '',
    deferTo: '',
  },
  {
    joints: ['shoulder', 'neck'],
    legs: 'either',
    states: [...MENDED, 'stiff'],
    barred: [more('shoulderTurn')],
    limited: [],
    preferred: [],
    caution: 'A shoulder or neck that does not turn is not turned by the feet.',
    notSuggested: 'More shoulder turn.',
    instead: 'A shorter backswing.',
    reason: 'A shoulder or the neck is noted: no more shoulder turn is asked for.',
    deferTo: DOCTOR,
  },
  {
    joints: 'any',
    legs: 'either',
    states: ['recent fall', 'dizzy or numb'],
    barred: [less('stanceWidth')],
    limited: [],
    preferred: [],
    caution:
      'Balance drills only on clear ground with something to hold, and not for anyone who has fallen lately.',
    notSuggested: 'Balance drills on one leg or a cushion, and a narrower stance.',
    instead: 'Rock and settle with something to hold.',
    reason: 'A fall or dizziness is noted: no narrower stance.',
    deferTo: DOCTOR,
  },
];

/** Who is not of age, or grows: a row of its own, for no joint. */
export const GROWING_ROW: CautionRow = {
  joints: 'any',
  legs: 'either',
  states: ['growing'],
  barred: [more('hipTurn'), more('shoulderTurn')],
  limited: [],
  preferred: [],
  caution:
    'Junior: growth spurts, low volume, no forced end-range stretch. Take the build again when they have grown.',
  notSuggested: 'Turning to the end of the range, and many repetitions.',
  instead: 'Feet that let the turn happen by itself.',
  reason: 'A junior: nothing that forces the turn.',
  deferTo: 'Parents and, where something hurts, a doctor.',
};
