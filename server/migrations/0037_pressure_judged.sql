-- A judgement knows where the weight goes in the swing, and a swing on a mat its path, and the shot of the log that it was.

create function pattern_seen_is_sound(seen jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select coalesce(seen = 'null'::jsonb or jsonb_typeof(seen) = 'object'
      and seen ->> 'pattern' in ('toe-ward going back', 'toes early coming down', 'heel, then toes', 'reverse',
        'trail foot rolls outside', 'falls back')
      and seen ->> 'way' in ('simulated mat', 'file', 'stripe', 'finish'), false)
  $$;

-- The owner of the tables sees every academy's rows while it brings them to their new shape.
alter table reading_entry no force row level security;
alter table pressure_entry no force row level security;

alter table reading_entry drop constraint reading_entry_judgement;

-- Nothing was known of the pressure in a judgement before: nothing was short of it.
update reading_entry set judgement = judgement || jsonb_build_object('pressure', null, 'goals', (
    select jsonb_agg(goal order by place, after) from (
      select each as goal, place, 1 as after
      from jsonb_array_elements(judgement -> 'goals') with ordinality as all_goals (each, place)
      union all
      select '{"goal": "pressure", "today": 0, "after": 0}', place, 0
      from jsonb_array_elements(judgement -> 'goals') with ordinality as all_goals (each, place)
      where each ->> 'goal' = 'path') as goals))
  where judgement is not null;

alter table reading_entry add constraint reading_entry_judgement check (
    jsonb_typeof(judgement) = 'object'
    and judgement ?& array['intakeId', 'shotIds', 'pinned', 'before', 'things', 'goals', 'back', 'through', 'path', 'pressure',
                           'partings', 'pulledBothWays', 'leadHeelLift']
    and jsonb_typeof(judgement -> 'things') = 'array' and jsonb_array_length(judgement -> 'things') <= 2
    and jsonb_typeof(judgement -> 'goals') = 'array' and jsonb_array_length(judgement -> 'goals') = 16
    and jsonb_typeof(judgement -> 'shotIds') = 'array'
    and jsonb_typeof(judgement -> 'pinned') = 'array'
    and judgement -> 'pinned' <@ '["stanceWidth", "leadFlare", "trailFlare", "setback", "ballAlong", "leadShare", "hipBump",
                                   "leadHeelLift"]'
    and jsonb_typeof(judgement -> 'before') = 'array' and judgement -> 'before' <@ '["see a doctor", "test the legs"]'
    and (judgement is null or pattern_seen_is_sound(judgement -> 'pressure'))
    and has_numbers(judgement, array['leadHeelLift'])
    and (judgement -> 'leadHeelLift')::float8 between 0 and 25);

alter table pressure_entry drop constraint pressure_entry_swings;
drop function pressure_swings_are_sound(jsonb);

-- The traces of as many swings as a trial has, and of each its path, and the shot that it was: an entry of shots and its place
-- in it; null where none was named.
create function pressure_swings_are_sound(swings jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select jsonb_typeof(swings) = 'array' and jsonb_array_length(swings) between 1 and 24
      and not exists (
        select from jsonb_array_elements(swings) as each
        where not coalesce(has_numbers(each, array['rate']) and (each -> 'rate')::float8 between 20 and 1000
          and series_is_sound(each -> 'load', jsonb_array_length(each -> 'load'), 5000)
          and series_is_sound(each -> 'share', jsonb_array_length(each -> 'load'), 1000)
          and series_is_sound(each -> 'leadAlong', jsonb_array_length(each -> 'load'), 1000)
          and series_is_sound(each -> 'leadAcross', jsonb_array_length(each -> 'load'), 1000)
          and series_is_sound(each -> 'trailAlong', jsonb_array_length(each -> 'load'), 1000)
          and series_is_sound(each -> 'trailAcross', jsonb_array_length(each -> 'load'), 1000)
          and each ? 'path' and (each -> 'path' = 'null'::jsonb
            or has_numbers(each, array['path']) and (each -> 'path')::float8 between -30 and 30)
          and has_numbers(each -> 'times', array['address', 'top', 'early down', 'impact', 'finish'])
          and (each -> 'times' -> 'address')::float8 >= 0
          and (each -> 'times' -> 'address')::float8 < (each -> 'times' -> 'top')::float8
          and (each -> 'times' -> 'top')::float8 < (each -> 'times' -> 'early down')::float8
          and (each -> 'times' -> 'early down')::float8 < (each -> 'times' -> 'impact')::float8
          and (each -> 'times' -> 'impact')::float8 < (each -> 'times' -> 'finish')::float8
          and (each -> 'times' -> 'finish')::float8
            <= 1000 * jsonb_array_length(each -> 'load') / (each -> 'rate')::float8
          and (each -> 'shot' = 'null'::jsonb or (
            each #>> '{shot,entryId}' ~ '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$'
            and has_numbers(each -> 'shot', array['at'])
            and (each #> '{shot,at}')::float8 between 0 and 499
            and each -> 'path' <> 'null'::jsonb)), false))
  $$;

-- Swings from before have no path, or a path and no shot.
update pressure_entry set swings = (
  select jsonb_agg('{"path": null, "shot": null}' || each order by place)
  from jsonb_array_elements(swings) with ordinality as all_swings (each, place));

alter table pressure_entry
  add constraint pressure_entry_swings check (pressure_swings_are_sound(swings));

alter table reading_entry force row level security;
alter table pressure_entry force row level security;
