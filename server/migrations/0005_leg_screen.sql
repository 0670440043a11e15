-- Legs and trunk on one day, taken with a build. Only added to; the newest counts.

create table leg_screen (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  build_id uuid not null,
  turned_on_lead_flare foot_flare,
  turned_on_trail_flare foot_flare,
  stopped_back text constraint leg_screen_stopped_back check (stopped_back in ('lead', 'trail')),
  stopped_through text constraint leg_screen_stopped_through check (stopped_through in ('lead', 'trail')),
  sore_knee_lead boolean not null,
  sore_knee_trail boolean not null,
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  constraint leg_screen_key primary key (academy_id, id),
  constraint leg_screen_of_student unique (academy_id, student_id, id),
  constraint leg_screen_build foreign key (academy_id, student_id, build_id) references build (academy_id, student_id, id),
  constraint leg_screen_made_by foreign key (academy_id, made_by) references instructor,
  constraint leg_screen_turned_on_whole check ((turned_on_lead_flare is null) = (turned_on_trail_flare is null))
);
create index leg_screen_newest on leg_screen (academy_id, student_id, made_at desc);

create table screened_item (
  academy_id uuid not null,
  student_id uuid not null,
  screen_id uuid not null,
  item text not null,
  tries double precision[] not null constraint screened_item_tries check (cardinality(tries) between 0 and 2),
  taken_by text not null constraint screened_item_taken_by check (taken_by in ('gauge', 'by eye', 'typed', 'apparent width')),
  pain text not null constraint screened_item_pain check (char_length(pain) <= 120),
  constraint screened_item_key primary key (academy_id, screen_id, item),
  constraint screened_item_screen foreign key (academy_id, student_id, screen_id)
    references leg_screen (academy_id, student_id, id),
  constraint screened_item_taken check (cardinality(tries) > 0 or pain <> ''),
  constraint screened_item_range check (case
    when item in ('toeOutLead', 'toeOutTrail') then -10 <= all (tries) and 50 >= all (tries)
    when item in ('turnInLead', 'turnInTrail') then 0 <= all (tries) and 70 >= all (tries)
    when item in ('turnOutLead', 'turnOutTrail') then 0 <= all (tries) and 80 >= all (tries)
    when item in ('trunkBack', 'trunkThrough') then 0 <= all (tries) and 90 >= all (tries)
    when item = 'hipsBack' then 0 <= all (tries) and 100 >= all (tries)
    when item = 'hipsThrough' then 0 <= all (tries) and 110 >= all (tries)
    when item = 'shouldersBack' then 0 <= all (tries) and 150 >= all (tries)
    when item = 'shouldersThrough' then 0 <= all (tries) and 160 >= all (tries)
    else false
  end)
);

-- A reading keeps the screen it was made with, where there was one.
alter table reading_entry
  add column screen_id uuid,
  add constraint reading_entry_screen foreign key (academy_id, student_id, screen_id)
    references leg_screen (academy_id, student_id, id);

do $$
declare
  of_academy text;
begin
  foreach of_academy in array array['leg_screen', 'screened_item'] loop
    execute format('alter table %I enable row level security', of_academy);
    execute format('alter table %I force row level security', of_academy);
    execute format('create policy %I on %I to pedastance_app using (academy_id = current_academy()) with check (academy_id = current_academy())',
                   of_academy || '_own', of_academy);
    execute format('grant select, insert on %I to pedastance_app', of_academy);
  end loop;
end
$$;
