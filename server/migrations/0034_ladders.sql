-- A ladder that was gone up in a lesson: every turn on its rungs, in time, as an entry of the log. It goes with its entry
-- when a student is erased.

alter table log_entry drop constraint log_entry_kind;
alter table log_entry add constraint log_entry_kind
  check (kind in ('address', 'reading', 'change', 'trial', 'shots', 'look', 'intake', 'exception', 'card', 'ladder'));

-- Turns in time: a rung of the ladder, and how it went; null where it only warmed up.
create function ladder_turns_are_sound(ladder text, turns jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$
    select jsonb_typeof(turns) = 'array' and jsonb_array_length(turns) between 1 and 60
      and not exists (
        select from jsonb_array_elements(turns) as each
        where not coalesce(has_numbers(each, array['rung'])
          and (each -> 'rung')::float8 between case ladder when 'width' then 240 else 0 end
            and case ladder when 'width' then 660 when 'lead flare' then 50 else 40 end
          and each ? 'result'
          and (each -> 'result' = 'null'::jsonb or each ->> 'result' in ('passed', 'failed', 'worse', 'pain')), false))
  $$;

create table ladder_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'ladder' constraint ladder_entry_kind check (kind = 'ladder'),
  ladder text not null constraint ladder_entry_ladder check (ladder in ('trail flare', 'lead flare', 'width')),
  turns jsonb not null constraint ladder_entry_turns check (ladder_turns_are_sound(ladder, turns)),
  constraint ladder_entry_key primary key (academy_id, id),
  constraint ladder_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind) on delete cascade
);
alter table ladder_entry enable row level security;
alter table ladder_entry force row level security;
create policy ladder_entry_own on ladder_entry to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on ladder_entry to pedastance_app;
create policy ladder_entry_eraser on ladder_entry to pedastance_eraser using (academy_id = current_academy());
grant select, delete on ladder_entry to pedastance_eraser;
