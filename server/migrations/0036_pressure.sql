-- Swings with the pressure under the feet as an entry of the log, and students on the stand-in mat.

alter table log_entry drop constraint log_entry_kind;
alter table log_entry add constraint log_entry_kind
  check (kind in ('address', 'reading', 'change', 'trial', 'shots', 'look', 'intake', 'exception', 'card', 'ladder', 'test',
    'pressure'));

-- A series of whole numbers of a swing, as many as there are frames.
create function series_is_sound(series jsonb, frames integer, most integer) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select coalesce(jsonb_typeof(series) = 'array' and jsonb_array_length(series) = frames and frames between 50 and 1000
      and not exists (
        select from jsonb_array_elements(series) as each
        where not coalesce(jsonb_typeof(each) = 'number' and each::numeric between 0 and most
          and each::numeric = trunc(each::numeric), false)), false)
  $$;

create function pressure_swings_are_sound(swings jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select jsonb_typeof(swings) = 'array' and jsonb_array_length(swings) between 1 and 10
      and not exists (
        select from jsonb_array_elements(swings) as each
        where not coalesce(has_numbers(each, array['rate']) and (each -> 'rate')::float8 between 20 and 1000
          and series_is_sound(each -> 'load', jsonb_array_length(each -> 'load'), 5000)
          and series_is_sound(each -> 'share', jsonb_array_length(each -> 'load'), 1000)
          and series_is_sound(each -> 'leadAlong', jsonb_array_length(each -> 'load'), 1000)
          and series_is_sound(each -> 'leadAcross', jsonb_array_length(each -> 'load'), 1000)
          and series_is_sound(each -> 'trailAlong', jsonb_array_length(each -> 'load'), 1000)
          and series_is_sound(each -> 'trailAcross', jsonb_array_length(each -> 'load'), 1000)
          and has_numbers(each -> 'times', array['address', 'top', 'early down', 'impact', 'finish'])
          and (each -> 'times' -> 'address')::float8 >= 0
          and (each -> 'times' -> 'address')::float8 < (each -> 'times' -> 'top')::float8
          and (each -> 'times' -> 'top')::float8 < (each -> 'times' -> 'early down')::float8
          and (each -> 'times' -> 'early down')::float8 < (each -> 'times' -> 'impact')::float8
          and (each -> 'times' -> 'impact')::float8 < (each -> 'times' -> 'finish')::float8
          and (each -> 'times' -> 'finish')::float8
            <= 1000 * jsonb_array_length(each -> 'load') / (each -> 'rate')::float8, false))
  $$;

create table pressure_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'pressure' constraint pressure_entry_kind check (kind = 'pressure'),
  club text not null constraint pressure_entry_club check (club = any (bag())),
  route text not null constraint pressure_entry_route check (route in ('centred', 'loaded heel', 'long drive', 'forward-posted')),
  source text not null constraint pressure_entry_source check (source in ('simulated mat', 'file')),
  hangs_back boolean,
  swings jsonb not null constraint pressure_entry_swings check (pressure_swings_are_sound(swings)),
  pattern text constraint pressure_entry_pattern check (pattern in ('toe-ward going back', 'toes early coming down',
    'heel, then toes', 'reverse', 'trail foot rolls outside', 'falls back')),
  cue text not null constraint pressure_entry_cue check (char_length(cue) <= 160),
  constraint pressure_entry_key primary key (academy_id, id),
  constraint pressure_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind) on delete cascade
);
alter table pressure_entry enable row level security;
alter table pressure_entry force row level security;
create policy pressure_entry_own on pressure_entry to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on pressure_entry to pedastance_app;
create policy pressure_entry_eraser on pressure_entry to pedastance_eraser using (academy_id = current_academy());
grant select, delete on pressure_entry to pedastance_eraser;

-- Who stands on the stand-in mat, and since when: all of its frames follow from that.
create table mat_session (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  route text not null constraint mat_session_route check (route in ('centred', 'loaded heel', 'long drive', 'forward-posted')),
  lead_share double precision not null constraint mat_session_lead_share check (lead_share between 0 and 100),
  along double precision not null constraint mat_session_along check (along between 0 and 100),
  started_at timestamptz not null,
  constraint mat_session_key primary key (academy_id, id),
  constraint mat_session_student foreign key (academy_id, student_id) references student (academy_id, id) on delete cascade
);
alter table mat_session enable row level security;
alter table mat_session force row level security;
create policy mat_session_own on mat_session to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on mat_session to pedastance_app;
create policy mat_session_eraser on mat_session to pedastance_eraser using (academy_id = current_academy());
grant select, delete on mat_session to pedastance_eraser;

-- What stood on the stand-in mat goes with the simulated shots, a day later.
create policy mat_session_doorman on mat_session to pedastance_doorman using (true);
grant select, delete on mat_session to pedastance_doorman;
create index mat_session_age on mat_session (started_at);
drop function stand_in_shots_clear(timestamptz);
create function stand_in_shots_clear(before timestamptz) returns void
  language sql security definer set search_path = public, pg_temp
  as $$
    delete from stand_in_shot where ready_at <= before;
    delete from mat_session where started_at <= before
  $$;
grant create on schema public to pedastance_doorman;
alter function stand_in_shots_clear(timestamptz) owner to pedastance_doorman;
revoke execute on function stand_in_shots_clear(timestamptz) from public;
grant execute on function stand_in_shots_clear(timestamptz) to pedastance_app;
revoke create on schema public from pedastance_doorman;

-- Checks without a mat, among the tests beside the ladders.
create or replace function test_tries_are_sound(test text, tries jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select jsonb_typeof(tries) = 'array' and jsonb_array_length(tries) between 1 and 40
      and not exists (
        select from jsonb_array_elements(tries) as each
        where not coalesce(case test
          when 'setback' then each ->> 'rung' in ('fully forward', 'together', 'rearward', 'middle', 'heel pad', 'heel')
            and each ->> 'score' in ('held', 'head', 'strike', 'flight', 'balance', 'pain')
          when 'settled' then has_numbers(each, array['along']) and (each -> 'along')::float8 between 0 and 100
          when 'finish' then jsonb_typeof(each -> 'held') = 'boolean'
          when 'lift' then jsonb_typeof(each -> 'held') = 'boolean'
          when 'broomstick' then each ->> 'felt' in ('heels', 'middle', 'toes')
          when 'stripe' then each ?& array['address', 'top', 'early down', 'impact'] and not exists (
            select from jsonb_each(each) as moment (name, feet)
            where not coalesce(feet ?& array['lead', 'trail'] and jsonb_typeof(feet -> 'lead') in ('boolean', 'null')
              and jsonb_typeof(feet -> 'trail') in ('boolean', 'null'), false))
          when 'low point' then each ?& array['mark', 'start', 'end', 'strike']
            and (each -> 'mark' = 'null'::jsonb or each ->> 'mark' in ('ahead', 'at', 'behind'))
            and (each -> 'strike' = 'null'::jsonb or each ->> 'strike' in ('high', 'middle', 'low'))
            and (each -> 'start' = 'null'::jsonb
              or has_numbers(each, array['start']) and (each -> 'start')::float8 between -300 and 400)
            and (each -> 'end' = 'null'::jsonb
              or has_numbers(each, array['start', 'end']) and (each -> 'end')::float8 between (each -> 'start')::float8 and 400)
            and not (each -> 'mark' = 'null'::jsonb and each -> 'start' = 'null'::jsonb and each -> 'strike' = 'null'::jsonb)
          else false end, false))
  $$;
alter table test_entry
  drop constraint test_entry_test,
  drop constraint test_entry_whole,
  add constraint test_entry_test check (
    test in ('setback', 'low point', 'settled', 'finish', 'stripe', 'broomstick', 'lift')),
  add constraint test_entry_whole check ((club is null) = (test in ('settled', 'broomstick'))
    and (ball_along is null) = (test <> 'low point') and (tee_height is null or test = 'low point'));
