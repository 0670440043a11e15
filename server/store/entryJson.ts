import { CHECK_AS_JSON } from './checks';
import { lookAsJson, TRIAL_KINDS_AS_JSON } from './trials';

const FINDINGS_AS_JSON = `
  select jsonb_agg(jsonb_build_object(
    'item', item, 'question', question, 'unit', unit, 'measured', measured, 'uncertainty', uncertainty,
    'low', low, 'middle', middle, 'high', high, 'verdict', verdict, 'close', close,
    'widenedBy', to_jsonb(widened_by), 'untested', untested, 'mark', mark, 'why', why, 'limits', limits,
    'weight', jsonb_build_object('out', weight_out, 'turn', weight_turn, 'path', weight_path, 'total', weight_total),
    'because', case when because_item is not null then jsonb_build_object('item', because_item, 'words', because_words) end,
    'withheld', withheld, 'putForward', put_forward
  ) order by position)
  from finding where finding.academy_id = entry.academy_id and finding.reading_id = entry.id`;

const CHOICES_AS_JSON = `
  select coalesce(jsonb_agg(jsonb_build_object(
    'question', question, 'seen', seen, 'wanted', to_jsonb(wanted), 'asTaught', as_taught, 'mark', mark, 'why', why
  ) order by array_position(house_questions(), question)), '[]')
  from choice_finding where choice_finding.academy_id = entry.academy_id and choice_finding.reading_id = entry.id`;

const MEASURED_AS_JSON = `
  select coalesce(jsonb_object_agg(figure, jsonb_build_object('way', way, 'uncertainty', uncertainty)), '{}')
  from measurement where measurement.academy_id = entry.academy_id and measurement.address_id = entry.id`;

/** What was looked at above the feet; nothing at all where nothing was. */
const POSTURE_AS_JSON = `
  select case when num_nonnulls(seat, pressure_route, trail_elbow, trail_arm, club_rest, swing_path, tell_tales) = 0 and figures = '{}' then '{}'
    else jsonb_build_object('posture', jsonb_build_object(
      'figures', figures,
      'choices', jsonb_strip_nulls(jsonb_build_object(
        'seat', seat, 'pressureRoute', pressure_route, 'trailElbow', trail_elbow, 'trailArm', trail_arm, 'clubRest', club_rest))
    ) || jsonb_strip_nulls(jsonb_build_object('swingPath', swing_path, 'tellTales', to_jsonb(tell_tales)))) end
  from (
    select coalesce(jsonb_object_agg(item, jsonb_build_object('value', value, 'way', way, 'uncertainty', uncertainty)), '{}') as figures
    from sighting where sighting.academy_id = entry.academy_id and sighting.address_id = entry.id
  ) as seen`;

/** The parts of a reading and a look that are answered with them, and that a file of records has apart. */
interface Inside {
  findings: string;
  check: string;
}

const entryAsJson = ({ findings, check }: Inside): string => `
       jsonb_build_object('id', entry.id, 'lessonId', entry.lesson_id, 'kind', entry.kind, 'replaces', entry.replaces_id)
       || case entry.kind
         when 'intake' then (
           select jsonb_build_object('cameFor', to_jsonb(came_for), 'sore', sore, 'words', words, 'sport', sport)
           from intake_entry where intake_entry.academy_id = entry.academy_id and intake_entry.id = entry.id)
         when 'exception' then (
           select jsonb_build_object('item', item, 'low', low, 'high', high, 'club', club, 'ended', ended)
           from exception_entry where exception_entry.academy_id = entry.academy_id and exception_entry.id = entry.id)
         when 'ladder' then (
           select jsonb_build_object('ladder', ladder, 'own', own, 'turns', turns)
           from ladder_entry where ladder_entry.academy_id = entry.academy_id and ladder_entry.id = entry.id)
         when 'test' then (
           select jsonb_build_object('test', test, 'tries', tries)
             || case when club is not null then jsonb_build_object('club', club) else '{}' end
             || case when test = 'low point' then jsonb_build_object('ballAlong', ball_along, 'teeHeight', tee_height) else '{}' end
           from test_entry where test_entry.academy_id = entry.academy_id and test_entry.id = entry.id)
         when 'pressure' then (
           select jsonb_build_object('club', club, 'shot', shot, 'route', route, 'source', source, 'hangsBack', hangs_back, 'swings', swings,
             'pattern', pattern, 'cue', cue)
           from pressure_entry where pressure_entry.academy_id = entry.academy_id and pressure_entry.id = entry.id)
         when 'address' then (
           select jsonb_build_object('standing', standing, 'club', club, 'clubLengthInches', club_length_inches, 'shot', shot,
             'setup', jsonb_build_object(
               'address', jsonb_build_object(
                 'shoe', jsonb_build_object('length', shoe_length, 'breadth', shoe_breadth),
                 'lead', jsonb_build_object('heel', jsonb_build_object('x', lead_heel_x, 'y', lead_heel_y), 'flare', lead_flare),
                 'trail', jsonb_build_object('heel', jsonb_build_object('x', trail_heel_x, 'y', trail_heel_y), 'flare', trail_flare)),
               'balance', jsonb_build_object('leadShare', lead_share, 'leadHeelToe', lead_heel_toe, 'trailHeelToe', trail_heel_toe),
               'measured', (${MEASURED_AS_JSON}))
               || (${POSTURE_AS_JSON}))
           from address_entry where address_entry.academy_id = entry.academy_id and address_entry.id = entry.id)
         when 'reading' then (
           select jsonb_build_object('addressId', address_id, 'buildId', build_id, 'screenId', screen_id, 'methodId', method_id,
             'methodVersion', method_version, 'modelVersion', model_version, 'notices', notices, 'judgement', judgement,
             'note', note, 'facts', case when read_age is not null then jsonb_build_object('cautions', read_cautions, 'age', read_age,
               'rests', case when read_hand is not null then jsonb_build_object('hand', read_hand, 'facts', read_caution_facts,
                 'shoulderGoal', read_shoulder_goal) end) end,
             ${check} ${findings} 'choices', (${CHOICES_AS_JSON}))
           from reading_entry where reading_entry.academy_id = entry.academy_id and reading_entry.id = entry.id)
         when 'change' then (
           select jsonb_build_object('readingId', reading_id, 'fromAddressId', from_address_id,
             'toAddressId', to_address_id, 'leadHeelLift', lead_heel_lift,
             'shoulderGoal', shoulder_goal, 'reason', reason, 'feel', feel, 'note', note)
           from change_entry where change_entry.academy_id = entry.academy_id and change_entry.id = entry.id)
         when 'card' then (
           select jsonb_build_object('changeId', change_id, 'dose', dose, 'further', further,
             'rounds', jsonb_build_object('feel', feel_swings, 'play', play_swings), 'routine', to_jsonb(routine),
             'drills', drills, 'cue', cue, 'practice', case when balls is not null then jsonb_build_object(
               'daysAWeek', days_a_week, 'balls', balls, 'warmUp', warm_up) end, 'nextLook', next_look, 'ladder', ladder)
           from card_entry where card_entry.academy_id = entry.academy_id and card_entry.id = entry.id)
         ${TRIAL_KINDS_AS_JSON}
         ${lookAsJson(check)}
       end`;

/** An entry in the shape it was sent in, without when it was made; within a query of `entry`, a row of the log. */
export const ENTRY_AS_JSON = entryAsJson({
  check: `'check', (${CHECK_AS_JSON}),`,
  findings: `'findings', (${FINDINGS_AS_JSON}),`,
});

/** The same without the check and a reading's findings, of which the database makes text of its own faster. */
export const ENTRY_CORE_AS_JSON = entryAsJson({ check: '', findings: '' });

/** A reading's findings as text; null for an entry that has none. */
export const FINDINGS_AS_TEXT = `(${FINDINGS_AS_JSON.replaceAll('jsonb_', 'json_')})::text`;
