-- Five more things to look at: how far the trail knee goes back, shaft lean, trail elbow, trail arm, and whether the
-- club rests on the ground.

alter table sighting drop constraint sighting_range;
alter table sighting add constraint sighting_range check (case item
  when 'trailKneeInside' then value between -150 and 150
  when 'trailKneeFlex' then value between -30 and 60
  when 'hipBump' then value between -150 and 150
  when 'hipGap' then value between -100 and 400
  when 'hipLine' then value between -45 and 45
  when 'shoulderLine' then value between -45 and 45
  when 'shoulderTilt' then value between -20 and 45
  when 'clubFace' then value between -30 and 30
  when 'hipTurn' then value between 0 and 90
  when 'shoulderTurn' then value between 0 and 150
  when 'trailKneeBack' then value between 0 and 400
  when 'shaftLean' then value between -20 and 40
  else false
end);

alter table address_entry
  add column trail_elbow text constraint address_entry_trail_elbow
    check (trail_elbow in ('close to the side', 'away from the side')),
  add column trail_arm text constraint address_entry_trail_arm
    check (trail_arm in ('soft, below the lead arm', 'straight, above the lead arm')),
  add column club_rest text constraint address_entry_club_rest check (club_rest in ('on the ground', 'hovered'));

alter table finding
  drop constraint finding_position,
  drop constraint finding_item,
  drop constraint finding_unit,
  add constraint finding_position check (position between 0 and 20),
  add constraint finding_item check (item = (array[
    'stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'leadShare', 'leadHeelToe', 'trailHeelToe',
    'ballOut', 'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap', 'hipLine', 'shoulderLine', 'shoulderTilt',
    'clubFace', 'hipTurn', 'shoulderTurn', 'trailKneeBack', 'shaftLean'])[position + 1]),
  add constraint finding_unit check (unit = case
    when item in ('stanceWidth', 'ballAlong', 'ballOut', 'trailKneeInside', 'hipBump', 'hipGap', 'trailKneeBack') then 'mm'
    when item in ('leadShare', 'leadHeelToe', 'trailHeelToe') then 'percent'
    else 'degrees'
  end);

alter table trial_entry drop constraint trial_entry_apart_known;
alter table trial_entry add constraint trial_entry_apart_known check (apart <@ array[
  'stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'ballAlong', 'leadToeOut', 'leadShare', 'leadHeelToe',
  'trailHeelToe', 'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap', 'hipLine', 'shoulderLine', 'shoulderTilt',
  'clubFace', 'hipTurn', 'shoulderTurn', 'trailKneeBack', 'shaftLean']);

-- What can be answered to each question that is answered by a word; null for any other question.
create function house_choices(question text) returns text[] language sql immutable as $$
  select case question
    when 'seat' then array['over the heels', 'behind the heels']
    when 'pressureRoute' then array['centred', 'loaded heel', 'long drive', 'forward-posted']
    when 'trailElbow' then array['close to the side', 'away from the side']
    when 'trailArm' then array['soft, below the lead arm', 'straight, above the lead arm']
    when 'clubRest' then array['on the ground', 'hovered']
  end
$$;
revoke execute on function house_choices(text) from public;
grant execute on function house_choices(text) to pedastance_app;

alter table choice_finding
  drop constraint choice_finding_question,
  drop constraint choice_finding_words,
  add constraint choice_finding_question check (house_choices(question) is not null),
  add constraint choice_finding_words check (array[seen] || wanted <@ house_choices(question));

-- House methods: versions from before leave the new questions free, as they did.
alter table house_method no force row level security;
alter table house_method drop constraint house_method_sound;

create or replace function house_questions() returns text[] language sql immutable as $$
  select array['stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'leadShare', 'heelToe', 'ballOut',
               'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap', 'hipLine', 'shoulderLine', 'shoulderTilt', 'clubFace',
               'hipTurn', 'shoulderTurn', 'trailKneeBack', 'shaftLean', 'seat', 'pressureRoute', 'trailElbow', 'trailArm',
               'clubRest']
$$;

update house_method
set questions = (
  select jsonb_object_agg(name, jsonb_build_object(
    'why', 'This version was written before the question was asked, and leaves it free.',
    'limitsBelow', 'Not asked in this version.',
    'limitsAbove', 'Not asked in this version.',
    'answers', jsonb_build_array(
      jsonb_build_object('shot', 'full', 'clubs', to_jsonb(bag()), 'rule', '{"kind": "no view"}'::jsonb,
                         'tolerance', '{"below": 0, "above": 0}'::jsonb, 'mark', 'starting value'),
      jsonb_build_object('shot', 'pitch', 'clubs', to_jsonb((bag())[5:]), 'rule', '{"kind": "no view"}'::jsonb,
                         'tolerance', '{"below": 0, "above": 0}'::jsonb, 'mark', 'starting value'))))
  from unnest(house_questions()) as name
) || questions;

create or replace function house_figure_in_range(question text, figure jsonb) returns boolean language sql immutable as $$
  select jsonb_typeof(figure) = 'number' and case
    when question = 'stanceWidth' then figure::float8 between 50 and 1200
    when question in ('leadFlare', 'trailFlare') then figure::float8 between -30 and 60
    when question = 'stanceLine' then figure::float8 between -30 and 40
    when question = 'ballAlong' then figure::float8 between -200 and 500
    when question in ('leadShare', 'heelToe') then figure::float8 between 0 and 100
    when question = 'ballOut' then figure::float8 between 100 and 1200
    when question in ('trailKneeInside', 'hipBump') then figure::float8 between -150 and 150
    when question = 'trailKneeFlex' then figure::float8 between -30 and 60
    when question = 'hipGap' then figure::float8 between -100 and 400
    when question in ('hipLine', 'shoulderLine') then figure::float8 between -45 and 45
    when question = 'shoulderTilt' then figure::float8 between -20 and 45
    when question = 'clubFace' then figure::float8 between -30 and 30
    when question = 'hipTurn' then figure::float8 between 0 and 90
    when question = 'shoulderTurn' then figure::float8 between 0 and 150
    when question = 'trailKneeBack' then figure::float8 between 0 and 400
    when question = 'shaftLean' then figure::float8 between -20 and 40
    else false
  end
$$;

create or replace function house_rule_is_sound(question text, rule jsonb, clubs jsonb) returns boolean language sql immutable as $$
  select coalesce(case rule ->> 'kind'
    when 'fixed' then house_figure_in_range(question, rule -> 'value')
    when 'by club' then jsonb_typeof(rule -> 'values') = 'object'
      and not exists (select 1 from jsonb_array_elements_text(clubs) as club
                      where not coalesce(house_figure_in_range(question, rule -> 'values' -> club), false))
    when 'by club length' then marks_are_sound(rule -> 'marks', 'value')
      and not exists (select 1 from jsonb_array_elements(rule -> 'marks') as mark
                      where not coalesce(house_figure_in_range(question, mark -> 'value'), false))
    when 'shoulders by club length' then question = 'stanceWidth' and marks_are_sound(rule -> 'marks', 'soleBreadths')
      and (not rule ? 'place' or (has_numbers(rule, array['place']) and (rule -> 'place')::float8 between 0 and 1))
    when 'hips' then question = 'stanceWidth' and has_numbers(rule, array['share'])
    when 'gap in club heads' then question = 'stanceWidth' and has_numbers(rule, array['heads', 'headBreadth'])
    when 'gap between shoes' then question = 'stanceWidth' and has_numbers(rule, array['gap'])
    when 'leg test' then question = 'trailFlare' and has_numbers(rule, array['neededTurn', 'give', 'untested'])
    when 'what the legs lack' then question = 'stanceLine' and has_numbers(rule, array['neededTurn', 'give', 'most', 'untested'])
    when 'by the arc' then question = 'stanceLine' and has_numbers(rule, array['lowPointInside', 'pathPerDegree'])
      and (rule -> 'pathPerDegree')::float8 > 0
    when 'marks of the lead shoe' then question = 'stanceLine' and has_numbers(rule, array['marks'])
    when 'share of the club' then question = 'ballOut' and has_numbers(rule, array['share'])
    when 'choice' then house_choices(question) is not null and jsonb_typeof(rule -> 'choices') = 'array'
      and jsonb_array_length(rule -> 'choices') > 0
      and rule -> 'choices' <@ to_jsonb(house_choices(question))
    -- What the feet are drawn from has to be answered; the rest may be left free.
    when 'no view' then question not in
      ('stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'leadShare', 'heelToe')
    else false
  end, false)
$$;

alter table house_method add constraint house_method_sound check (house_method_is_sound(questions));
alter table house_method force row level security;
