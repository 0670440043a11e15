-- A student's word that it hurts stands until a coach has asked; a wrong tap is taken back by another, so that both stay.

alter table card_tick
  add column takes_back boolean not null default false,
  add constraint card_tick_takes_back check (not takes_back or (rounds = 0 and not hurts and rung_at is null)),
  add constraint card_tick_hurting unique (academy_id, student_id, id, hurts);
create index card_tick_hurts on card_tick (academy_id, student_id, received_at desc) where hurts;

-- What came of asking: it was noted with the student, or it was nothing. It goes with its tick when a student is erased.
create table pain_answer (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  tick_id uuid not null,
  tick_hurts boolean not null default true constraint pain_answer_of_pain check (tick_hurts),
  found text not null constraint pain_answer_found check (found in ('noted', 'nothing')),
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  constraint pain_answer_key primary key (academy_id, id),
  constraint pain_answer_tick foreign key (academy_id, student_id, tick_id, tick_hurts)
    references card_tick (academy_id, student_id, id, hurts) on delete cascade,
  constraint pain_answer_made_by foreign key (academy_id, made_by) references instructor (academy_id, id)
);
create index pain_answer_of_tick on pain_answer (academy_id, tick_id);
alter table pain_answer enable row level security;
alter table pain_answer force row level security;
create policy pain_answer_own on pain_answer to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on pain_answer to pedastance_app;
create policy pain_answer_eraser on pain_answer to pedastance_eraser using (academy_id = current_academy());
grant select, delete on pain_answer to pedastance_eraser;

-- Devices that were here before hear of the pain that was ticked.
alter table student no force row level security;
alter table card_tick no force row level security;
update academy_counter set number = number + 1 where academy_id in (select academy_id from card_tick where hurts);
update student set changed = counter.number from academy_counter as counter
  where counter.academy_id = student.academy_id and exists (select from card_tick
    where card_tick.academy_id = student.academy_id and card_tick.student_id = student.id and card_tick.hurts);
alter table student force row level security;
alter table card_tick force row level security;

-- Days on which it hurts and no later tick of the day takes that back.
create or replace function card_open(wanted bytea, today date)
  returns table (contents jsonb, pictured boolean, changed_on date, ends_on date, ticked jsonb, rungs jsonb)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select link.contents, link.pictures is not null, link.changed_on, link.ends_on, (
      select coalesce(jsonb_agg(jsonb_build_object('on', ticked_on, 'rounds', rounds, 'hurts', hurts) order by ticked_on), '[]')
      from (
        select ticked_on, sum(rounds) as rounds,
          coalesce((max(id::text) filter (where hurts)) > coalesce(max(id::text) filter (where takes_back), ''), false) as hurts
        from card_tick
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

-- A word that it hurts, or that it does not, changes the student: the academy's devices hear of it.
create policy student_doorman_hurts on student to pedastance_doorman
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select (academy_id, id), update (changed) on student to pedastance_doorman;
grant execute on function caution_facts_are_sound(jsonb) to pedastance_doorman;

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
    insert into card_tick (academy_id, id, student_id, card_id, ticked_on, rounds, hurts, takes_back, rung_at, rung_done, received_at)
      select link.academy_id, (each ->> 'id')::uuid, link.student_id, link.card_id,
        -- A clock that is off by more than a day's travel is not believed.
        case when (each ->> 'on')::date between (link.made_at - interval '1 day')::date and (at + interval '1 day')::date
          then (each ->> 'on')::date else (at at time zone 'UTC')::date end,
        (each -> 'rounds')::integer, (each -> 'hurts')::boolean, coalesce((each -> 'takesBack')::boolean, false),
        (each -> 'rung' ->> 'at')::float8, (each -> 'rung' ->> 'done')::boolean, at
      from jsonb_array_elements(ticks) as each
      where (select count(*) from card_tick where card_tick.academy_id = link.academy_id
        and card_tick.card_id = link.card_id) < 2000
      on conflict (academy_id, id) do nothing;
    if jsonb_path_exists(ticks, '$[*] ? (@.hurts == true || @.takesBack == true)') then
      perform set_config('pedastance.academy', link.academy_id::text, true);
      update student set changed = this_change() where academy_id = link.academy_id and id = link.student_id;
    end if;
    return true;
  end
  $$;
