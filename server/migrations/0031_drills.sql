-- Drills of an academy's own. Each write of one is kept, and the newest stands; one that is taken out is said to be gone.

create function drill_is_sound(drill jsonb) returns boolean
  language sql immutable set search_path = public, pg_temp
  as $$ select jsonb_typeof(drill) = 'object' and drills_are_sound(jsonb_build_array(drill)) $$;

create table drill (
  academy_id uuid not null constraint drill_academy references academy,
  id uuid not null,
  drill_id text generated always as (contents ->> 'id') stored,
  contents jsonb not null constraint drill_sound check (drill_is_sound(contents)),
  gone boolean not null,
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  constraint drill_key primary key (academy_id, id),
  constraint drill_made_by foreign key (academy_id, made_by) references instructor (academy_id, id)
);
create index drill_newest on drill (academy_id, drill_id, made_at desc, id desc);
alter table drill enable row level security;
alter table drill force row level security;
create policy drill_own on drill to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on drill to pedastance_app;
