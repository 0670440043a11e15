-- What a student takes home of a change: an entry of the log. A link opens it without an account, and what the student
-- ticked comes back. A link is reached by its secret's hash alone, through the doorman's functions.

alter table log_entry drop constraint log_entry_kind;
alter table log_entry add constraint log_entry_kind
  check (kind in ('address', 'reading', 'change', 'trial', 'shots', 'look', 'intake', 'exception', 'card'));

-- Exaggerated figures: at most three, each once, a number of mm or degrees.
create function further_is_sound(further jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select jsonb_typeof(further) = 'array' and jsonb_array_length(further) <= 3
      and (select count(distinct each -> 'figure') = count(*) from jsonb_array_elements(further) as each)
      and not exists (
        select from jsonb_array_elements(further) as each
        where not coalesce(each ->> 'figure' in ('leadFlare', 'trailFlare', 'setback')
          and has_numbers(each, array['value']) and (each -> 'value')::float8 between -100 and 600, false))
  $$;

-- Drills as they were when they were given: at most two, each with its words.
create function drills_are_sound(drills jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select jsonb_typeof(drills) = 'array' and jsonb_array_length(drills) <= 2
      and not exists (
        select from jsonb_array_elements(drills) as each
        where not coalesce(each ->> 'id' ~ '^[a-z0-9-]{1,60}$'
          and char_length(each ->> 'name') between 1 and 60
          and char_length(each ->> 'how') between 1 and 300
          and char_length(each ->> 'dose') between 1 and 160
          and char_length(each ->> 'feel') <= 200 and char_length(each ->> 'right') <= 200
          and char_length(each ->> 'needs') <= 160
          and jsonb_typeof(each -> 'things') = 'array' and jsonb_typeof(each -> 'cameFor') = 'array'
          and jsonb_typeof(each -> 'tellTales') = 'array' and jsonb_typeof(each -> 'paths') = 'array'
          and jsonb_typeof(each -> 'stops') = 'array'
          and jsonb_typeof(each -> 'notFor') = 'array' and jsonb_typeof(each -> 'minors') = 'boolean', false))
  $$;

create table card_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'card' constraint card_entry_kind check (kind = 'card'),
  change_id uuid not null,
  change_kind text not null default 'change' constraint card_entry_change_kind check (change_kind = 'change'),
  dose text not null constraint card_entry_dose check (dose in ('feel', 'between', 'play')),
  further jsonb not null constraint card_entry_further check (further_is_sound(further)),
  feel_swings integer not null constraint card_entry_feel_swings check (feel_swings between 0 and 30),
  play_swings integer not null constraint card_entry_play_swings check (play_swings between 1 and 30),
  routine text[] not null constraint card_entry_routine check (
    routine <@ array['face behind the ball', 'lead foot', 'trail foot', 'bump', 'tilt', 'rock and settle', 'hover', 'look', 'go']
    and cardinality(routine) <= 9),
  drills jsonb not null constraint card_entry_drills check (drills_are_sound(drills)),
  cue text not null constraint card_entry_cue check (char_length(cue) <= 160),
  days_a_week integer constraint card_entry_days_a_week check (days_a_week between 1 and 7),
  balls integer constraint card_entry_balls check (balls between 5 and 150),
  warm_up boolean,
  next_look date constraint card_entry_next_look check (next_look >= '2000-01-01' and next_look < '2100-01-01'),
  constraint card_entry_key primary key (academy_id, id),
  constraint card_entry_of_student unique (academy_id, student_id, id),
  constraint card_entry_practice_whole check (num_nonnulls(days_a_week, balls, warm_up) in (0, 3)),
  constraint card_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint card_entry_change foreign key (academy_id, student_id, change_id, change_kind)
    references log_entry (academy_id, student_id, id, kind)
);

create table card_link (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  card_id uuid not null,
  token_hash bytea not null constraint card_link_token_unique unique
    constraint card_link_token_sha256 check (octet_length(token_hash) = 32),
  whole_bag boolean not null,
  length text not null constraint card_link_length check (length in ('cm', 'inches')),
  -- The card as it reads: brought up to date when what it rests on is corrected.
  contents jsonb not null constraint card_link_contents check (
    jsonb_typeof(contents) = 'object'
    and contents ?& array['firstName', 'clubs', 'odd', 'routine', 'practice', 'drills', 'cue', 'nextLook', 'care']),
  changed_on date,
  ends_on date not null constraint card_link_ends_on check (ends_on >= '2000-01-01' and ends_on < '2100-01-01'),
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  revoked_at timestamptz,
  opened integer not null default 0,
  last_opened_at timestamptz,
  constraint card_link_key primary key (academy_id, id),
  constraint card_link_card foreign key (academy_id, student_id, card_id)
    references card_entry (academy_id, student_id, id),
  constraint card_link_made_by foreign key (academy_id, made_by) references instructor (academy_id, id)
);
create index card_link_of_student on card_link (academy_id, student_id);

create table card_tick (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  card_id uuid not null,
  -- By the student's own calendar, or the server's day where that cannot be.
  ticked_on date not null constraint card_tick_on check (ticked_on >= '2000-01-01' and ticked_on < '2100-01-01'),
  rounds integer not null constraint card_tick_rounds check (rounds between 0 and 40),
  hurts boolean not null,
  received_at timestamptz not null,
  constraint card_tick_key primary key (academy_id, id),
  constraint card_tick_card foreign key (academy_id, student_id, card_id)
    references card_entry (academy_id, student_id, id)
);
create index card_tick_of_student on card_tick (academy_id, student_id, received_at desc);

do $$
declare
  of_student text;
begin
  foreach of_student in array array['card_entry', 'card_link', 'card_tick'] loop
    execute format('alter table %I enable row level security', of_student);
    execute format('alter table %I force row level security', of_student);
    execute format('create policy %I on %I to pedastance_app using (academy_id = current_academy()) with check (academy_id = current_academy())',
                   of_student || '_own', of_student);
    execute format('grant select, insert on %I to pedastance_app', of_student);
    execute format('create policy %I on %I to pedastance_eraser using (academy_id = current_academy())',
                   of_student || '_eraser', of_student);
    execute format('grant select, delete on %I to pedastance_eraser', of_student);
  end loop;
end
$$;
grant update (contents, changed_on, revoked_at) on card_link to pedastance_app;

-- The doorman sees links and ticks, and nothing else of a student.
create policy card_link_doorman on card_link to pedastance_doorman using (true) with check (true);
create policy card_tick_doorman on card_tick to pedastance_doorman using (true) with check (true);
grant select, update (opened, last_opened_at) on card_link to pedastance_doorman;
grant select, insert on card_tick to pedastance_doorman;

-- The card of a link that is open, with what was ticked of it; no row for any other.
create function card_open(wanted bytea, today date)
  returns table (contents jsonb, changed_on date, ends_on date, ticked jsonb)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select link.contents, link.changed_on, link.ends_on, (
      select coalesce(jsonb_agg(jsonb_build_object('on', ticked_on, 'rounds', rounds, 'hurts', hurts) order by ticked_on), '[]')
      from (
        select ticked_on, sum(rounds) as rounds, bool_or(hurts) as hurts from card_tick
        where card_tick.academy_id = link.academy_id and card_tick.card_id = link.card_id
        group by ticked_on order by ticked_on desc limit 200
      ) as days)
    from card_link as link
    where link.token_hash = wanted and link.revoked_at is null and link.ends_on >= today
  $$;

-- Counts that somebody read the card; false where the link is not open.
create function card_seen(wanted bytea, at timestamptz) returns boolean
  language sql security definer set search_path = public, pg_temp
  as $$
    with seen as (
      update card_link set opened = opened + 1, last_opened_at = at
      where token_hash = wanted and revoked_at is null and ends_on >= (at at time zone 'UTC')::date
      returning 1)
    select exists (select from seen)
  $$;

-- So many ticks a link can bring: nobody practises more.
create function card_tick_add(wanted bytea, ticks jsonb, at timestamptz) returns boolean
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
    insert into card_tick (academy_id, id, student_id, card_id, ticked_on, rounds, hurts, received_at)
      select link.academy_id, (each ->> 'id')::uuid, link.student_id, link.card_id,
        -- A clock that is off by more than a day's travel is not believed.
        case when (each ->> 'on')::date between (link.made_at - interval '1 day')::date and (at + interval '1 day')::date
          then (each ->> 'on')::date else (at at time zone 'UTC')::date end,
        (each -> 'rounds')::integer, (each -> 'hurts')::boolean, at
      from jsonb_array_elements(ticks) as each
      where (select count(*) from card_tick where card_tick.academy_id = link.academy_id
        and card_tick.card_id = link.card_id) < 2000
      on conflict (academy_id, id) do nothing;
    return true;
  end
  $$;

grant create on schema public to pedastance_doorman;
do $$
declare
  of_doorman text;
begin
  foreach of_doorman in array array['card_open(bytea, date)', 'card_seen(bytea, timestamptz)',
    'card_tick_add(bytea, jsonb, timestamptz)'] loop
    execute format('alter function %s owner to pedastance_doorman', of_doorman);
    execute format('revoke execute on function %s from public', of_doorman);
    execute format('grant execute on function %s to pedastance_app', of_doorman);
  end loop;
end
$$;
revoke create on schema public from pedastance_doorman;

-- An erasure takes them too.
create or replace function erase_student(which uuid, at timestamptz) returns void
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    insert into erased_student (academy_id, student, lessons, erased_at)
      select current_academy(), which, coalesce(array_agg(id), '{}'), at
      from lesson where academy_id = current_academy() and student_id = which
      on conflict do nothing;
    delete from card_tick where academy_id = current_academy() and student_id = which;
    delete from card_link where academy_id = current_academy() and student_id = which;
    delete from card_entry where academy_id = current_academy() and student_id = which;
    delete from shot where academy_id = current_academy() and student_id = which;
    delete from look_entry where academy_id = current_academy() and student_id = which;
    delete from shots_entry where academy_id = current_academy() and student_id = which;
    delete from trial_cell where academy_id = current_academy() and student_id = which;
    delete from trial_entry where academy_id = current_academy() and student_id = which;
    delete from change_entry where academy_id = current_academy() and student_id = which;
    delete from finding using reading_entry as reading
      where finding.academy_id = current_academy() and reading.academy_id = finding.academy_id
        and reading.id = finding.reading_id and reading.student_id = which;
    delete from choice_finding using reading_entry as reading
      where choice_finding.academy_id = current_academy() and reading.academy_id = choice_finding.academy_id
        and reading.id = choice_finding.reading_id and reading.student_id = which;
    delete from reading_entry where academy_id = current_academy() and student_id = which;
    delete from measurement where academy_id = current_academy() and student_id = which;
    delete from sighting where academy_id = current_academy() and student_id = which;
    delete from address_entry where academy_id = current_academy() and student_id = which;
    delete from intake_entry where academy_id = current_academy() and student_id = which;
    delete from exception_entry where academy_id = current_academy() and student_id = which;
    delete from entry_check using log_entry as entry
      where entry_check.academy_id = current_academy() and entry.academy_id = entry_check.academy_id
        and entry.id = entry_check.entry_id and entry.student_id = which;
    delete from log_entry where academy_id = current_academy() and student_id = which;
    delete from stand_in_shot where academy_id = current_academy() and student_id = which;
    delete from earlier_turn where academy_id = current_academy() and student_id = which;
    delete from screened_item where academy_id = current_academy() and student_id = which;
    delete from leg_screen where academy_id = current_academy() and student_id = which;
    delete from build where academy_id = current_academy() and student_id = which;
    delete from lesson where academy_id = current_academy() and student_id = which;
    delete from consent where academy_id = current_academy() and student_id = which;
    delete from student_word where academy_id = current_academy() and student_id = which;
    delete from landed_write where academy_id = current_academy() and student_id = which;
    delete from student where academy_id = current_academy() and id = which;
  end
  $$;

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
      'card_entry', 'card_tick', 'entry_check'] loop
      execute format('analyze %I', filled);
    end loop;
  end
  $$;
