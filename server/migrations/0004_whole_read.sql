-- The whole body at address, house methods that coaches write themselves, and findings that say
-- what they weigh, what they come from and why nothing is suggested.

-- What was looked at above the feet. What was not looked at has no row.
create table sighting (
  academy_id uuid not null,
  student_id uuid not null,
  address_id uuid not null,
  item text not null,
  value double precision not null,
  seen_by text not null constraint sighting_seen_by check (seen_by in ('eye', 'measured')),
  constraint sighting_key primary key (academy_id, address_id, item),
  constraint sighting_address foreign key (academy_id, student_id, address_id)
    references address_entry (academy_id, student_id, id),
  constraint sighting_range check (case item
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
    else false
  end)
);

alter table address_entry
  add column seat text constraint address_entry_seat check (seat in ('over the heels', 'behind the heels')),
  add column pressure_route text constraint address_entry_pressure_route
    check (pressure_route in ('centred', 'loaded heel', 'long drive', 'forward-posted')),
  add column swing_path text constraint address_entry_swing_path
    check (swing_path in ('from the inside', 'along the line', 'across from outside'));

-- Findings: more items, in their places; those made before keep theirs and weigh nothing.
alter table finding
  drop constraint finding_position,
  drop constraint finding_item,
  drop constraint finding_question,
  drop constraint finding_unit,
  drop constraint finding_put_forward;

alter table finding
  add column untested boolean not null default false,
  add column weight_out double precision not null default 0 constraint finding_weight_out check (weight_out >= 0),
  add column weight_turn double precision not null default 0 constraint finding_weight_turn check (weight_turn >= 0),
  add column weight_path double precision not null default 0 constraint finding_weight_path check (weight_path >= 0),
  add column weight_total double precision not null default 0 constraint finding_weight_total check (weight_total >= 0),
  add column because_item text,
  add column because_words text constraint finding_because_words check (char_length(because_words) between 1 and 200),
  add column withheld text constraint finding_withheld check (char_length(withheld) between 1 and 200),
  add constraint finding_position check (position between 0 and 18),
  add constraint finding_item check (item = (array[
    'stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'leadShare', 'leadHeelToe', 'trailHeelToe',
    'ballOut', 'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap', 'hipLine', 'shoulderLine', 'shoulderTilt',
    'clubFace', 'hipTurn', 'shoulderTurn'])[position + 1]),
  add constraint finding_question check (
    question = case when item in ('leadHeelToe', 'trailHeelToe') then 'heelToe' else item end),
  add constraint finding_unit check (unit = case
    when item in ('stanceWidth', 'ballAlong', 'ballOut', 'trailKneeInside', 'hipBump', 'hipGap') then 'mm'
    when item in ('leadShare', 'leadHeelToe', 'trailHeelToe') then 'percent'
    else 'degrees'
  end),
  add constraint finding_because check ((because_item is null) = (because_words is null) and because_item <> item),
  add constraint finding_put_forward check (
    not put_forward or (verdict <> 'in' and because_item is null and withheld is null));

alter table finding
  alter column untested drop default,
  alter column weight_out drop default,
  alter column weight_turn drop default,
  alter column weight_path drop default,
  alter column weight_total drop default;

-- Questions answered by a word.
create table choice_finding (
  academy_id uuid not null,
  reading_id uuid not null,
  question text not null constraint choice_finding_question check (question in ('seat', 'pressureRoute')),
  seen text not null,
  wanted text[] not null,
  as_taught boolean not null,
  mark text not null constraint choice_finding_mark
    check (mark in ('common practice, no source', 'starting value', 'from memory')),
  why text not null constraint choice_finding_why check (char_length(why) between 1 and 500),
  constraint choice_finding_key primary key (academy_id, reading_id, question),
  constraint choice_finding_reading foreign key (academy_id, reading_id) references reading_entry (academy_id, id),
  constraint choice_finding_wanted check (cardinality(wanted) >= 1),
  constraint choice_finding_as_taught check (as_taught = (seen = any (wanted))),
  constraint choice_finding_words check (case question
    when 'seat' then array[seen] || wanted <@ array['over the heels', 'behind the heels']
    else array[seen] || wanted <@ array['centred', 'loaded heel', 'long drive', 'forward-posted']
  end)
);

alter table reading_entry
  drop constraint reading_entry_notices,
  add constraint reading_entry_notices check (jsonb_typeof(notices) = 'array' and jsonb_array_length(notices) <= 8);

-- House methods: all twenty questions. A version that had seven leaves the others free, as it did.
alter table house_method drop constraint house_method_sound;
drop function house_method_is_sound(jsonb);

create function bag() returns text[] language sql immutable as $$
  select array['driver', '3-wood', '5-wood', 'hybrid', '3-iron', '4-iron', '5-iron', '6-iron', '7-iron', '8-iron', '9-iron',
               'pitching-wedge', 'gap-wedge', 'sand-wedge', 'lob-wedge']
$$;

create function house_questions() returns text[] language sql immutable as $$
  select array['stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'leadShare', 'heelToe', 'ballOut',
               'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap', 'hipLine', 'shoulderLine', 'shoulderTilt', 'clubFace',
               'hipTurn', 'shoulderTurn', 'seat', 'pressureRoute']
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

-- Whether every one of these fields is a number.
create function has_numbers(given jsonb, fields text[]) returns boolean language sql immutable as $$
  select coalesce(bool_and(jsonb_typeof(given -> field) = 'number'), true) from unnest(fields) as field
$$;

-- Whether a figure can be one of the question's at all.
create function house_figure_in_range(question text, figure jsonb) returns boolean language sql immutable as $$
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
    else false
  end
$$;

-- Marks along club length: at least two, each with these numbers, in rising order of length.
create function marks_are_sound(marks jsonb, field text) returns boolean language sql immutable as $$
  select jsonb_typeof(marks) = 'array' and jsonb_array_length(marks) >= 2
    and coalesce((
      select bool_and(has_numbers(mark, array['lengthInches', field])
                      and (mark -> 'lengthInches')::float8 between 18 and 48
                      and (before is null or (mark -> 'lengthInches')::float8 > (before -> 'lengthInches')::float8))
      from (select mark, lag(mark) over (order by place) as before
            from jsonb_array_elements(marks) with ordinality as each (mark, place)) as marked), false)
$$;

create function house_rule_is_sound(question text, rule jsonb, clubs jsonb) returns boolean language sql immutable as $$
  select coalesce(case rule ->> 'kind'
    when 'fixed' then house_figure_in_range(question, rule -> 'value')
    when 'by club' then jsonb_typeof(rule -> 'values') = 'object'
      and not exists (select 1 from jsonb_array_elements_text(clubs) as club
                      where not coalesce(house_figure_in_range(question, rule -> 'values' -> club), false))
    when 'by club length' then marks_are_sound(rule -> 'marks', 'value')
      and not exists (select 1 from jsonb_array_elements(rule -> 'marks') as mark
                      where not coalesce(house_figure_in_range(question, mark -> 'value'), false))
    when 'shoulders by club length' then question = 'stanceWidth' and marks_are_sound(rule -> 'marks', 'soleBreadths')
    when 'hips' then question = 'stanceWidth' and has_numbers(rule, array['share'])
    when 'gap in club heads' then question = 'stanceWidth' and has_numbers(rule, array['heads', 'headBreadth'])
    when 'gap between shoes' then question = 'stanceWidth' and has_numbers(rule, array['gap'])
    when 'leg test' then question = 'trailFlare' and has_numbers(rule, array['neededTurn', 'give', 'untested'])
    when 'what the legs lack' then question = 'stanceLine' and has_numbers(rule, array['neededTurn', 'give', 'most', 'untested'])
    when 'by the arc' then question = 'stanceLine' and has_numbers(rule, array['lowPointInside', 'pathPerDegree'])
      and (rule -> 'pathPerDegree')::float8 > 0
    when 'marks of the lead shoe' then question = 'stanceLine' and has_numbers(rule, array['marks'])
    when 'share of the club' then question = 'ballOut' and has_numbers(rule, array['share'])
    when 'choice' then question in ('seat', 'pressureRoute') and jsonb_typeof(rule -> 'choices') = 'array'
      and jsonb_array_length(rule -> 'choices') > 0
      and rule -> 'choices' <@ case question
        when 'seat' then '["over the heels", "behind the heels"]'::jsonb
        else '["centred", "loaded heel", "long drive", "forward-posted"]'::jsonb
      end
    -- What the feet are drawn from has to be answered; the rest may be left free.
    when 'no view' then question not in
      ('stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'leadShare', 'heelToe')
    else false
  end, false)
$$;

create function house_answer_is_sound(question text, answer jsonb) returns boolean language sql immutable as $$
  select coalesce(
    answer ->> 'shot' in ('full', 'pitch')
    and answer ->> 'mark' in ('common practice, no source', 'starting value', 'from memory')
    and jsonb_typeof(answer -> 'clubs') = 'array'
    and jsonb_array_length(answer -> 'clubs') > 0
    and answer -> 'clubs' <@ to_jsonb(bag())
    and has_numbers(answer -> 'tolerance', array['below', 'above'])
    and (answer -> 'tolerance' -> 'below')::float8 >= 0
    and (answer -> 'tolerance' -> 'above')::float8 >= 0
    and house_rule_is_sound(question, answer -> 'rule', answer -> 'clubs'), false)
$$;

-- Every question answered once for every club and shot.
create function house_method_is_sound(questions jsonb) returns boolean language sql immutable as $$
  select jsonb_typeof(questions) = 'object'
    and (select count(*) from jsonb_object_keys(questions)) = cardinality(house_questions())
    and not exists (
      select 1
      from unnest(house_questions()) as name
      where jsonb_typeof(questions -> name -> 'answers') is distinct from 'array'
         or coalesce(questions -> name ->> 'why', '') = ''
         or coalesce(questions -> name ->> 'limitsBelow', '') = ''
         or coalesce(questions -> name ->> 'limitsAbove', '') = ''
         or exists (select 1 from jsonb_array_elements(questions -> name -> 'answers') as answer
                    where not house_answer_is_sound(name, answer))
         or exists (select 1
                    from unnest(bag()) with ordinality as each (club, place)
                    cross join unnest(array['full', 'pitch']) as shot
                    where (shot = 'full' or place > 4)
                      and 1 <> (select count(*) from jsonb_array_elements(questions -> name -> 'answers') as answer
                                where answer ->> 'shot' = shot and answer -> 'clubs' ? club)))
$$;

alter table house_method add constraint house_method_sound check (house_method_is_sound(questions));

-- Versions without gaps: each but the first refers to the one before it.
alter table house_method
  add column previous_version integer generated always as (nullif(version - 1, 0)) stored,
  add column made_by uuid,
  add column received_at timestamptz,
  add constraint house_method_previous foreign key (academy_id, id, previous_version)
    references house_method (academy_id, id, version),
  add constraint house_method_made_by foreign key (academy_id, made_by) references instructor;

do $$
declare
  of_academy text;
  named text;
begin
  foreach of_academy in array array['sighting', 'choice_finding'] loop
    execute format('alter table %I enable row level security', of_academy);
    execute format('alter table %I force row level security', of_academy);
    execute format('create policy %I on %I to pedastance_app using (academy_id = current_academy()) with check (academy_id = current_academy())',
                   of_academy || '_own', of_academy);
    execute format('grant select, insert on %I to pedastance_app', of_academy);
  end loop;
  foreach named in array array['bag()', 'house_questions()', 'has_numbers(jsonb, text[])', 'house_figure_in_range(text, jsonb)',
                               'marks_are_sound(jsonb, text)', 'house_rule_is_sound(text, jsonb, jsonb)',
                               'house_answer_is_sound(text, jsonb)', 'house_method_is_sound(jsonb)'] loop
    execute format('revoke execute on function %s from public', named);
    execute format('grant execute on function %s to pedastance_app', named);
  end loop;
end
$$;

grant insert on house_method to pedastance_app;
