-- Entries name all their inputs, and the server works them out again.

alter table reading_entry
  add column read_cautions text constraint reading_entry_cautions_length check (char_length(read_cautions) <= 500),
  add column read_age smallint constraint reading_entry_age check (read_age between 0 and 200),
  add constraint reading_entry_facts_whole check ((read_cautions is null) = (read_age is null));

alter table look_entry
  add column shot_ids uuid[] constraint look_entry_shot_ids check (cardinality(shot_ids) <= 500);

-- What came of working an entry out again when it landed, beside what the coach's device told.
create table entry_check (
  academy_id uuid not null,
  entry_id uuid not null,
  verdict text not null constraint entry_check_verdict check (verdict in ('agrees', 'differs', 'as told')),
  differences jsonb not null constraint entry_check_differences
    check (jsonb_typeof(differences) = 'array' and (verdict = 'differs') = (jsonb_array_length(differences) > 0)),
  model_version text not null constraint entry_check_model_version check (model_version ~ '^\d+\.\d+\.\d+$'),
  constraint entry_check_key primary key (academy_id, entry_id),
  constraint entry_check_entry foreign key (academy_id, entry_id) references log_entry (academy_id, id)
);
alter table entry_check enable row level security;
alter table entry_check force row level security;
create policy entry_check_own on entry_check to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on entry_check to pedastance_app;
