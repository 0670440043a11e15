-- What changed since a number, page by page, and a search that an index serves.

alter table student no force row level security;
alter table house_method no force row level security;
alter table log_entry no force row level security;
alter table build no force row level security;
alter table leg_screen no force row level security;

-- One row an academy. Whoever writes draws the next number from it and holds the row until the transaction
-- ends, so that numbers are committed in their order: who has seen a number has seen all below it.
create table academy_counter (
  academy_id uuid constraint academy_counter_key primary key
    constraint academy_counter_academy references academy,
  number bigint not null constraint academy_counter_number check (number >= 1)
);
alter table academy_counter enable row level security;
alter table academy_counter force row level security;
create policy academy_counter_own on academy_counter to pedastance_app using (academy_id = current_academy());
create policy academy_counter_owner on academy_counter to pedastance_owner using (true) with check (true);
create policy academy_counter_doorman on academy_counter to pedastance_doorman using (true) with check (true);
grant select on academy_counter to pedastance_app;
grant select, insert, update on academy_counter to pedastance_doorman;

-- The number of this transaction's changes, drawn when it is first asked for.
create function this_change() returns bigint
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    drawn text := current_setting('pedastance.change', true);
    following bigint;
  begin
    if drawn <> '' then return drawn::bigint; end if;
    insert into academy_counter (academy_id, number) values (current_academy(), 1)
      on conflict (academy_id) do update set number = academy_counter.number + 1
      returning number into following;
    perform set_config('pedastance.change', following::text, true);
    return following;
  end
  $$;

alter table student add column changed bigint, add column last_entry_at timestamptz;
alter table house_method add column changed bigint;
alter table log_entry add column changed bigint;
alter table build add column changed bigint;
alter table leg_screen add column changed bigint;

update house_method set changed = 1;
update build set changed = 1;
update leg_screen set changed = 1;
-- Each entry has a number of its own, so that a long log can be read page by page.
update log_entry set changed = numbered.place from (
  select academy_id, id, row_number() over (partition by academy_id order by received_at, made_at, id) as place
  from log_entry
) as numbered where log_entry.academy_id = numbered.academy_id and log_entry.id = numbered.id;
update student set changed = 1;
update student set changed = last.number, last_entry_at = last.at from (
  select academy_id, student_id, max(changed) as number, max(made_at) as at from log_entry group by academy_id, student_id
) as last where last.academy_id = student.academy_id and last.student_id = student.id;
insert into academy_counter (academy_id, number)
select academy_id, max(changed) from (
  select academy_id, changed from student union all select academy_id, changed from house_method
) as all_changes group by academy_id;

alter table student alter column changed set not null, alter column changed set default this_change();
alter table house_method alter column changed set not null, alter column changed set default this_change();
alter table log_entry alter column changed set not null, alter column changed set default this_change();
alter table build alter column changed set not null, alter column changed set default this_change();
alter table leg_screen alter column changed set not null, alter column changed set default this_change();

create index student_changed on student (academy_id, changed, id);
create index student_by_name on student (academy_id, (lower(name)) collate "C", id);
create index house_method_changed on house_method (academy_id, changed);
create index log_entry_changed on log_entry (academy_id, student_id, changed, id);

-- The words a student is found by. Range comparisons on them use the index under row-level security, which
-- pattern matching cannot (its operators are not leakproof). The name beside each word puts those found in order
-- without reading the students.
create table student_word (
  academy_id uuid not null,
  student_id uuid not null,
  word text collate "C" not null constraint student_word_length check (char_length(word) between 1 and 80),
  name text collate "C" not null constraint student_word_name_length check (char_length(name) between 1 and 160),
  constraint student_word_key primary key (academy_id, word, student_id) include (name),
  constraint student_word_student foreign key (academy_id, student_id) references student (academy_id, id)
);
create index student_word_of on student_word (academy_id, student_id);
alter table student_word enable row level security;
alter table student_word force row level security;
create policy student_word_own on student_word to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert, delete on student_word to pedastance_app;

alter table student force row level security;
alter table house_method force row level security;
alter table log_entry force row level security;
alter table build force row level security;
alter table leg_screen force row level security;

grant create on schema public to pedastance_doorman;
alter function this_change() owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;
revoke execute on function this_change() from public;
grant execute on function this_change() to pedastance_app;
