-- A judgement goes by causes and by what is done about them, no more by goals that are short. What was told of a goal is told of
-- the cause that it was about; what a judgement rested on besides is not known of those from before.

create function cause_of_goal(goal text, judgement jsonb) returns text
  language sql immutable set search_path = public, pg_temp
  as $$
    select case
      when goal = 'turn back' and judgement #>> '{back,stoppedBy}' = 'lead' then 'lead leg back'
      when goal = 'path' and coalesce(judgement -> 'path', 'null') = 'null'::jsonb then 'face first'
      when goal = 'pressure' and coalesce(judgement -> 'pressure', 'null') = 'null'::jsonb then 'face first'
      when goal = 'turn back' then 'trail leg back'
      when goal = 'turn through' then 'lead leg through'
      when goal = 'sparing' then 'sore joint'
      when goal = 'posting' then 'too wide to post'
      when goal = 'too much turn' then 'turns too far'
      when goal = 'pressure' then 'pressure'
      when goal = 'path' then 'path'
      when goal = 'loft' then 'too much loft'
      else 'out of band' end
  $$;

create function judgement_by_causes(judgement jsonb) returns jsonb
  language sql immutable set search_path = public, pg_temp
  as $$
    select (judgement - 'goals') || jsonb_build_object(
      'rests', null,
      'spares', null,
      'legsUntested', judgement -> 'before' @> '["test the legs"]',
      'things', (
        select coalesce(jsonb_agg((thing - 'serves') || jsonb_build_object(
            'cause', cause_of_goal(thing #>> '{serves,0}', judgement),
            'figure', thing #> '{moves,0,figure}',
            'off', case when (thing #> '{moves,0,to}')::float8 > (thing #> '{moves,0,from}')::float8 then 'less'
                        when thing #> '{moves,0,to}' is not null then 'more' end,
            'reason', null) order by place), '[]')
        from jsonb_array_elements(judgement -> 'things') with ordinality as all_things (thing, place)),
      'waits', (
        select coalesce(jsonb_agg(jsonb_build_object(
            'cause', cause_of_goal(each ->> 'goal', judgement), 'figure', null, 'off', null) order by place), '[]')
        from jsonb_array_elements(judgement -> 'goals') with ordinality as all_goals (each, place)
        where (each -> 'after')::float8 > 0),
      'lookNext', null,
      'closeCall', false,
      'path', case when jsonb_typeof(judgement -> 'path') = 'object'
        then judgement -> 'path' || '{"against": false}' else 'null' end,
      'partings', (
        select coalesce(jsonb_agg(parting || '{"reason": null, "own": false}' order by place), '[]')
        from jsonb_array_elements(judgement -> 'partings') with ordinality as all_partings (parting, place)))
  $$;

-- The owner of the tables sees every academy's rows while it brings them to their new shape.
alter table reading_entry no force row level security;

alter table reading_entry drop constraint reading_entry_judgement;

update reading_entry set judgement = judgement_by_causes(judgement)
  where judgement is not null and judgement ? 'goals';

-- A cause: its name, the figure that is out where one is, and which way.
create function cause_is_sound(told jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select coalesce(jsonb_typeof(told) = 'object'
      and told ->> 'cause' in ('trail leg back', 'lead leg back', 'open line', 'trail knee stuck', 'trail toes loaded',
        'stiff joint', 'lead leg through', 'closed line', 'lead foot spins out', 'trail heel stuck', 'sore joint',
        'too wide to post', 'hips central', 'trail knee outside', 'hips pushed', 'turns too far', 'load felt', 'pressure',
        'path', 'face first', 'pitch stance', 'too much loft', 'out of band')
      and told ? 'figure' and told ? 'off'
      and (told -> 'off' = 'null' or told ->> 'off' in ('more', 'less')), false)
  $$;

create function every_cause_is_sound(causes jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select jsonb_typeof(causes) = 'array'
      and not exists (select from jsonb_array_elements(causes) as each where not cause_is_sound(each))
  $$;

alter table reading_entry add constraint reading_entry_judgement check (
    jsonb_typeof(judgement) = 'object'
    and judgement ?& array['intakeId', 'shotIds', 'pinned', 'rests', 'before', 'spares', 'legsUntested', 'things', 'waits',
                           'lookNext', 'closeCall', 'back', 'through', 'path', 'pressure', 'partings', 'pulledBothWays',
                           'leadHeelLift']
    and every_cause_is_sound(judgement -> 'things') and jsonb_array_length(judgement -> 'things') <= 2
    and every_cause_is_sound(judgement -> 'waits') and jsonb_array_length(judgement -> 'waits') <= 40
    and jsonb_typeof(judgement -> 'shotIds') = 'array'
    and jsonb_typeof(judgement -> 'pinned') = 'array'
    and judgement -> 'pinned' <@ '["stanceWidth", "leadFlare", "trailFlare", "setback", "ballAlong", "leadShare", "hipBump",
                                   "leadHeelLift"]'
    and jsonb_typeof(judgement -> 'before') = 'array'
    and judgement -> 'before' <@ '["see a doctor", "measure the feet", "test the legs", "measure the turn"]'
    and jsonb_typeof(judgement -> 'closeCall') = 'boolean'
    and jsonb_typeof(judgement -> 'legsUntested') = 'boolean'
    and (judgement -> 'rests' = 'null' or judgement -> 'rests' ?& array['exceptions', 'agreed', 'cued', 'dropped', 'feltUnder'])
    and (judgement is null or pattern_seen_is_sound(judgement -> 'pressure'))
    and has_numbers(judgement, array['leadHeelLift'])
    and (judgement -> 'leadHeelLift')::float8 between 0 and 25);

alter table reading_entry force row level security;

drop function judgement_by_causes(jsonb);
drop function cause_of_goal(text, jsonb);

-- Whatever was agreed of an address is the student's own from then on, and can be let go again.
alter table exception_entry
  drop constraint exception_entry_item,
  drop constraint exception_entry_band,
  add constraint exception_entry_item check (
    item in ('stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'heelToe', 'widest', 'ballOut', 'leadShare',
      'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap', 'hipLine', 'shoulderLine', 'shoulderTilt', 'clubFace', 'hipTurn',
      'shoulderTurn', 'trailKneeBack', 'shaftLean', 'leadHeelLift')),
  add constraint exception_entry_band check (low <= high and case item
    when 'stanceWidth' then low >= 50 and high <= 1200
    when 'widest' then low >= 50 and high <= 1200
    when 'leadFlare' then low >= -30 and high <= 60
    when 'trailFlare' then low >= -30 and high <= 60
    when 'stanceLine' then low >= -30 and high <= 40
    when 'ballAlong' then low >= -200 and high <= 500
    when 'ballOut' then low >= 100 and high <= 1200
    when 'heelToe' then low >= 0 and high <= 100
    when 'leadShare' then low >= 0 and high <= 100
    when 'trailKneeInside' then low >= -150 and high <= 150
    when 'trailKneeFlex' then low >= -30 and high <= 60
    when 'hipBump' then low >= -150 and high <= 150
    when 'hipGap' then low >= -100 and high <= 400
    when 'hipLine' then low >= -45 and high <= 45
    when 'shoulderLine' then low >= -45 and high <= 45
    when 'shoulderTilt' then low >= -20 and high <= 45
    when 'clubFace' then low >= -30 and high <= 30
    when 'hipTurn' then low >= 0 and high <= 90
    when 'shoulderTurn' then low >= 0 and high <= 150
    when 'trailKneeBack' then low >= 0 and high <= 400
    when 'shaftLean' then low >= -20 and high <= 40
    when 'leadHeelLift' then low >= 0 and high <= 25
    else true end);

-- A pitch is stepped into in steps of its own.
alter table card_entry
  drop constraint card_entry_routine,
  add constraint card_entry_routine check (
    routine <@ array['face behind the ball', 'lead foot', 'trail foot', 'bump', 'tilt', 'rock and settle', 'hover', 'look', 'go',
                     'feet close', 'trail foot in', 'weight forward']
    and cardinality(routine) <= 12);
