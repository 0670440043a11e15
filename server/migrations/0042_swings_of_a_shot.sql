-- Swings on a mat belong to a club and a shot, as feet do; those from before were full swings, as far as anybody said.
alter table pressure_entry add column shot text not null default 'full'
  constraint pressure_entry_shot check (shot in ('full', 'pitch'));
alter table pressure_entry alter column shot drop default;
