-- Turns measured on a ladder, ladders of an academy's own and what a student ticks of one at home, tests beside the
-- ladders, and what they find of a student's own: as wide as they can stand, their ball, their middle.

alter table log_entry drop constraint log_entry_kind;
alter table log_entry add constraint log_entry_kind
  check (kind in ('address', 'reading', 'change', 'trial', 'shots', 'look', 'intake', 'exception', 'card', 'ladder', 'test'));

-- A ladder that a coach built: a figure of the feet, its ends and a step between them.
create function own_ladder_is_sound(ladder jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select coalesce(jsonb_typeof(ladder) = 'object'
      and ladder ->> 'id' ~ '^[a-z0-9-]{1,60}$'
      and char_length(ladder ->> 'name') between 1 and 60
      and char_length(ladder ->> 'purpose') between 1 and 160
      and char_length(ladder ->> 'passes') between 1 and 160
      and ladder ->> 'figure' in ('trailFlare', 'leadFlare', 'stanceWidth', 'setback', 'ballAlong')
      and ladder ->> 'passing' in ('from', 'up to')
      and ladder ->> 'swing' in ('turn', 'half swing', 'full swing')
      and jsonb_typeof(ladder -> 'minors') = 'boolean'
      and has_numbers(ladder, array['first', 'last', 'step'])
      and (ladder -> 'first')::float8 >= case ladder ->> 'figure' when 'stanceWidth' then 50 when 'setback' then -600
        when 'ballAlong' then -200 else -30 end
      and (ladder -> 'last')::float8 <= case ladder ->> 'figure' when 'stanceWidth' then 1200 when 'setback' then 600
        when 'ballAlong' then 500 else 60 end
      and (ladder -> 'step')::float8 > 0
      and ((ladder -> 'last')::float8 - (ladder -> 'first')::float8) / (ladder -> 'step')::float8 between 2 and 24, false)
  $$;

-- A turn that was measured on a rung: degrees, the leg that stopped it, and when.
create function measured_turn_is_sound(measured jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select coalesce(measured = 'null'::jsonb or jsonb_typeof(measured) = 'object'
      and has_numbers(measured, array['hips', 'uncertainty'])
      and (measured -> 'hips')::float8 between 0 and 100
      and (measured -> 'uncertainty')::float8 > 0 and (measured -> 'uncertainty')::float8 <= 90
      and measured ->> 'by' in ('gauge', 'by eye', 'typed', 'apparent width')
      and measured ? 'stoppedBy'
      and (measured -> 'stoppedBy' = 'null'::jsonb or measured ->> 'stoppedBy' in ('lead', 'trail'))
      and measured ->> 'at' ~ '^20\d\d-\d\d-\d\dT', false)
  $$;

alter table ladder_entry
  drop constraint ladder_entry_turns,
  drop constraint ladder_entry_ladder;
drop function ladder_turns_are_sound(text, jsonb);

-- Turns in time: a rung of the ladder, how it went, null where it only warmed up, and what was measured on it.
create function ladder_turns_are_sound(ladder text, own jsonb, turns jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select jsonb_typeof(turns) = 'array' and jsonb_array_length(turns) between 1 and 60
      and not exists (
        select from jsonb_array_elements(turns) as each
        where not coalesce(has_numbers(each, array['rung'])
          and (each -> 'rung')::float8
            between case ladder when 'own' then (own -> 'first')::float8 when 'width' then 240 else 0 end
            and case ladder when 'own' then (own -> 'last')::float8 when 'width' then 660 when 'trail flare' then 40 else 50 end
          and each ? 'result'
          and (each -> 'result' = 'null'::jsonb or each ->> 'result' in ('passed', 'failed', 'worse', 'pain'))
          and each ? 'measured' and measured_turn_is_sound(each -> 'measured'), false))
  $$;

-- No turn of a ladder was measured before. The owner of the table sees every academy's rows while it says so.
alter table ladder_entry no force row level security;
update ladder_entry set turns = (
  select jsonb_agg(each || '{"measured": null}' order by place)
  from jsonb_array_elements(turns) with ordinality as all_turns (each, place));
alter table ladder_entry force row level security;

alter table ladder_entry
  add column own jsonb,
  add constraint ladder_entry_ladder check (ladder in ('trail flare', 'lead flare', 'easy lead flare', 'width', 'own')),
  add constraint ladder_entry_own check ((ladder = 'own') = (own is not null) and (own is null or own_ladder_is_sound(own))),
  add constraint ladder_entry_turns check (ladder_turns_are_sound(ladder, own, turns));

-- Ladders of an academy's own. Each write of one is kept, and the newest stands; one that is taken out is said to be gone.
create table own_ladder (
  academy_id uuid not null constraint own_ladder_academy references academy,
  id uuid not null,
  ladder_id text generated always as (contents ->> 'id') stored,
  contents jsonb not null constraint own_ladder_sound check (own_ladder_is_sound(contents)),
  gone boolean not null,
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  constraint own_ladder_key primary key (academy_id, id),
  constraint own_ladder_made_by foreign key (academy_id, made_by) references instructor (academy_id, id)
);
create index own_ladder_newest on own_ladder (academy_id, ladder_id, made_at desc, id desc);
alter table own_ladder enable row level security;
alter table own_ladder force row level security;
create policy own_ladder_own on own_ladder to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on own_ladder to pedastance_app;

-- What was tried beside the ladders, one after the other.
create function test_tries_are_sound(test text, tries jsonb) returns boolean
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

create table test_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'test' constraint test_entry_kind check (kind = 'test'),
  test text not null constraint test_entry_test check (test in ('setback', 'low point', 'settled', 'finish')),
  club text constraint test_entry_club check (club = any (bag())),
  ball_along double precision constraint test_entry_ball_along check (ball_along between -600 and 1000),
  tee_height double precision constraint test_entry_tee_height check (tee_height between 0 and 120),
  tries jsonb not null constraint test_entry_tries check (test_tries_are_sound(test, tries)),
  constraint test_entry_key primary key (academy_id, id),
  constraint test_entry_whole check ((club is null) = (test = 'settled') and (ball_along is null) = (test <> 'low point')
    and (tee_height is null or test = 'low point')),
  constraint test_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind) on delete cascade
);
alter table test_entry enable row level security;
alter table test_entry force row level security;
create policy test_entry_own on test_entry to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on test_entry to pedastance_app;
create policy test_entry_eraser on test_entry to pedastance_eraser using (academy_id = current_academy());
grant select, delete on test_entry to pedastance_eraser;

-- What a student may have of their own besides the four figures that a body and a method part in.
alter table exception_entry
  drop constraint exception_entry_item,
  drop constraint exception_entry_band,
  add constraint exception_entry_item check (
    item in ('stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'heelToe', 'widest')),
  add constraint exception_entry_band check (low <= high and case item
    when 'stanceWidth' then low >= 50 and high <= 1200
    when 'widest' then low >= 50 and high <= 1200
    when 'stanceLine' then low >= -30 and high <= 40
    when 'ballAlong' then low >= -200 and high <= 500
    when 'heelToe' then low >= 0 and high <= 100
    else low >= -30 and high <= 60
  end);

-- A ladder that goes home with a card, and the rungs of it that were ticked.
alter table card_entry add column ladder jsonb
  constraint card_entry_ladder check (ladder is null or own_ladder_is_sound(ladder));
alter table card_tick
  add column rung_at double precision constraint card_tick_rung_at check (rung_at between -600 and 1200),
  add column rung_done boolean,
  add constraint card_tick_rung_whole check ((rung_at is null) = (rung_done is null));

drop function card_open(bytea, date);
create function card_open(wanted bytea, today date)
  returns table (contents jsonb, pictured boolean, changed_on date, ends_on date, ticked jsonb, rungs jsonb)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select link.contents, link.pictures is not null, link.changed_on, link.ends_on, (
      select coalesce(jsonb_agg(jsonb_build_object('on', ticked_on, 'rounds', rounds, 'hurts', hurts) order by ticked_on), '[]')
      from (
        select ticked_on, sum(rounds) as rounds, bool_or(hurts) as hurts from card_tick
        where card_tick.academy_id = link.academy_id and card_tick.card_id = link.card_id
        group by ticked_on order by ticked_on desc limit 200
      ) as days), (
      select coalesce(jsonb_agg(jsonb_build_object('on', ticked_on, 'at', rung_at, 'done', rung_done) order by received_at, id), '[]')
      from (
        select * from card_tick
        where card_tick.academy_id = link.academy_id and card_tick.card_id = link.card_id and rung_at is not null
        order by received_at desc, id desc limit 200
      ) as tried)
    from card_link as link
    where link.token_hash = wanted and link.revoked_at is null and link.ends_on >= today
  $$;

create or replace function card_tick_add(wanted bytea, ticks jsonb, at timestamptz) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    link card_link;
  begin
    select * into link from card_link
      where token_hash = wanted and revoked_at is null and ends_on >= (at at time zone 'UTC')::date for update;
    if link.id is null then
      return false;
    end if;
    insert into card_tick (academy_id, id, student_id, card_id, ticked_on, rounds, hurts, rung_at, rung_done, received_at)
      select link.academy_id, (each ->> 'id')::uuid, link.student_id, link.card_id,
        -- A clock that is off by more than a day's travel is not believed.
        case when (each ->> 'on')::date between (link.made_at - interval '1 day')::date and (at + interval '1 day')::date
          then (each ->> 'on')::date else (at at time zone 'UTC')::date end,
        (each -> 'rounds')::integer, (each -> 'hurts')::boolean,
        (each -> 'rung' ->> 'at')::float8, (each -> 'rung' ->> 'done')::boolean, at
      from jsonb_array_elements(ticks) as each
      where (select count(*) from card_tick where card_tick.academy_id = link.academy_id
        and card_tick.card_id = link.card_id) < 2000
      on conflict (academy_id, id) do nothing;
    return true;
  end
  $$;

grant create on schema public to pedastance_doorman;
do $$
begin
  alter function card_open(bytea, date) owner to pedastance_doorman;
  revoke execute on function card_open(bytea, date) from public;
  grant execute on function card_open(bytea, date) to pedastance_app;
end
$$;
revoke create on schema public from pedastance_doorman;

-- Whoever reads many records in tells the planner of these tables too.
create or replace function records_analyze() returns void
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    filled text;
  begin
    foreach filled in array array['student', 'student_word', 'build', 'leg_screen', 'screened_item', 'earlier_turn', 'consent',
      'lesson', 'log_entry', 'intake_entry', 'exception_entry', 'address_entry', 'measurement', 'sighting', 'reading_entry',
      'finding', 'choice_finding', 'change_entry', 'trial_entry', 'trial_cell', 'shots_entry', 'shot', 'look_entry',
      'ladder_entry', 'test_entry', 'card_entry', 'card_tick', 'entry_check'] loop
      execute format('analyze %I', filled);
    end loop;
  end
  $$;
