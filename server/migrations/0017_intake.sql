-- What a student came for, by lesson, and what was seen in the swing, by address.

alter table log_entry drop constraint log_entry_kind;
alter table log_entry add constraint log_entry_kind
  check (kind in ('address', 'reading', 'change', 'trial', 'shots', 'look', 'intake'));

create table intake_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'intake' constraint intake_entry_kind check (kind = 'intake'),
  came_for text[] not null constraint intake_entry_came_for check (
    came_for <@ array['curves away', 'curves toward', 'starts right', 'starts left', 'misses both ways', 'fat', 'thin',
      'swing too short', 'more distance', 'cannot turn back', 'cannot turn through', 'turns too far', 'falls off balance',
      'sore', 'just a check'] and cardinality(came_for) <= 15),
  sore text not null constraint intake_entry_sore check (char_length(sore) <= 120),
  words text not null constraint intake_entry_words check (char_length(words) <= 300),
  sport text not null constraint intake_entry_sport check (char_length(sport) <= 60),
  constraint intake_entry_key primary key (academy_id, id),
  constraint intake_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint intake_entry_something check (cardinality(came_for) > 0 or sore <> '' or words <> '' or sport <> '')
);
alter table intake_entry enable row level security;
alter table intake_entry force row level security;
create policy intake_entry_own on intake_entry to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on intake_entry to pedastance_app;

alter table address_entry add column tell_tales text[] constraint address_entry_tell_tales check (
  tell_tales <@ array['shoulders tip down, arms lift', 'sways', 'trail foot rolls outside', 'flat, then steep',
    'loses the club at the top', 'over the top', 'stands up', 'slides without turning', 'flips the hands',
    'trail heel stuck down', 'lead foot spins out', 'falls back'] and cardinality(tell_tales) between 1 and 12);
