-- Students' privacy: consent, what owners did with data, and erasure, the one exception to a log that only grows.

alter table landed_write no force row level security;
alter table student no force row level security;
alter table build no force row level security;
alter table leg_screen no force row level security;
alter table lesson no force row level security;
alter table log_entry no force row level security;

-- What landed names its student, so that nothing of an erased one stays.
alter table landed_write add column student_id uuid;
update landed_write set student_id = known.student_id from (
  select academy_id, id, id as student_id from student
  union all select academy_id, id, student_id from build
  union all select academy_id, id, student_id from leg_screen
  union all select academy_id, id, student_id from lesson
  union all select academy_id, id, student_id from log_entry
) as known where known.academy_id = landed_write.academy_id and known.id = landed_write.id;
-- Whose an edit of before was cannot be told any more. It was answered long ago.
delete from landed_write where route = 'student edit';
alter table landed_write
  add constraint landed_write_student foreign key (academy_id, student_id) references student (academy_id, id);
create index landed_write_of_student on landed_write (academy_id, student_id);

alter table landed_write force row level security;
alter table student force row level security;
alter table build force row level security;
alter table leg_screen force row level security;
alter table lesson force row level security;
alter table log_entry force row level security;

alter table stand_in_shot add column student_id uuid,
  add constraint stand_in_shot_student foreign key (academy_id, student_id) references student (academy_id, id);

-- Somebody whose name came with records from a file: the name stays with them, and nobody signs in by it.
alter table instructor
  alter column email drop not null,
  alter column password_hash drop not null,
  add constraint instructor_keys_whole check (
    (email is null) = (password_hash is null) and (email is not null or ended_at is not null));

create function colleague_from_file(actor uuid, own_id uuid, own_name text) returns void
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    if not is_owner_here(actor) then
      raise exception 'only an owner brings colleagues from a file';
    end if;
    insert into instructor (academy_id, id, name, demo, role, created_at, ended_at)
      values (current_academy(), own_id, own_name, false, 'instructor', now(), now())
      on conflict (academy_id, id) do nothing;
  end
  $$;
grant create on schema public to pedastance_doorman;
alter function colleague_from_file(uuid, uuid, text) owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;
revoke execute on function colleague_from_file(uuid, uuid, text) from public;
grant execute on function colleague_from_file(uuid, uuid, text) to pedastance_app;

create table consent (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  given boolean not null,
  photos boolean not null,
  given_by text not null constraint consent_given_by check (given_by in ('student', 'guardian')),
  -- Of a guardian; the student's own name stands with the student.
  guardian text not null constraint consent_guardian_length check (char_length(guardian) <= 80),
  given_on date not null constraint consent_given_on check (given_on >= '2000-01-01' and given_on < '2100-01-01'),
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  constraint consent_key primary key (academy_id, id),
  constraint consent_student foreign key (academy_id, student_id) references student (academy_id, id),
  constraint consent_made_by foreign key (academy_id, made_by) references instructor (academy_id, id),
  constraint consent_guardian_named check ((given_by = 'guardian') = (guardian <> '')),
  constraint consent_photos_given check (given or not photos)
);
create index consent_newest on consent (academy_id, student_id, made_at desc);

-- What was done with data and access, for the owners to read; it names no student.
create table audit_entry (
  academy_id uuid not null constraint audit_entry_academy references academy,
  id uuid not null default gen_random_uuid(),
  at timestamptz not null default now(),
  made_by uuid not null,
  act text not null constraint audit_entry_act check (act in (
    'student exported', 'academy exported', 'table exported', 'records imported', 'erasure asked', 'erasure taken back',
    'student erased', 'invited', 'joined', 'role changed', 'access ended', 'reset link made')),
  -- Whom of the colleagues it was about.
  whom uuid,
  -- The student, who may be gone since: an identifier alone.
  student uuid,
  constraint audit_entry_key primary key (academy_id, id),
  constraint audit_entry_made_by foreign key (academy_id, made_by) references instructor (academy_id, id),
  constraint audit_entry_whom foreign key (academy_id, whom) references instructor (academy_id, id)
);
create index audit_entry_newest on audit_entry (academy_id, at desc);

-- An erasure that an owner asked for; it waits a day, in which it can be taken back.
create table erasure (
  academy_id uuid not null constraint erasure_academy references academy,
  id uuid not null,
  student uuid not null,
  asked_by uuid not null,
  asked_at timestamptz not null default now(),
  taken_back_at timestamptz,
  erased_at timestamptz,
  constraint erasure_key primary key (academy_id, id),
  constraint erasure_asked_by foreign key (academy_id, asked_by) references instructor (academy_id, id),
  constraint erasure_ends_once check (num_nonnulls(taken_back_at, erased_at) <= 1)
);
create unique index erasure_open on erasure (academy_id, student) where taken_back_at is null and erased_at is null;

-- What stays of an erased student: that there was one, so that devices and old files do not bring it back.
create table erased_student (
  academy_id uuid not null constraint erased_student_academy references academy,
  student uuid not null,
  lessons uuid[] not null,
  erased_at timestamptz not null,
  changed bigint not null default this_change(),
  constraint erased_student_key primary key (academy_id, student)
);
create index erased_student_changed on erased_student (academy_id, changed);

do $$
declare
  of_academy text;
begin
  foreach of_academy in array array['consent', 'audit_entry', 'erasure', 'erased_student'] loop
    execute format('alter table %I enable row level security', of_academy);
    execute format('alter table %I force row level security', of_academy);
    execute format('create policy %I on %I to pedastance_app using (academy_id = current_academy()) with check (academy_id = current_academy())',
                   of_academy || '_own', of_academy);
    execute format('grant select on %I to pedastance_app', of_academy);
    execute format('create policy %I on %I to pedastance_eraser using (true) with check (true)', of_academy || '_eraser', of_academy);
  end loop;
  -- What an erasure removes, of the academy it works in.
  foreach of_academy in array array['shot', 'look_entry', 'shots_entry', 'trial_cell', 'trial_entry', 'change_entry', 'finding',
    'choice_finding', 'reading_entry', 'measurement', 'sighting', 'address_entry', 'intake_entry', 'exception_entry',
    'entry_check', 'log_entry', 'stand_in_shot', 'earlier_turn', 'screened_item', 'leg_screen', 'build', 'lesson',
    'student_word', 'landed_write', 'student'] loop
    execute format('create policy %I on %I to pedastance_eraser using (academy_id = current_academy())',
                   of_academy || '_eraser', of_academy);
    execute format('grant select, delete on %I to pedastance_eraser', of_academy);
  end loop;
end
$$;
create policy academy_eraser on academy for select to pedastance_eraser using (true);
grant select (id) on academy to pedastance_eraser;
grant insert on consent, audit_entry to pedastance_app;
grant select, delete on consent to pedastance_eraser;
grant insert on audit_entry to pedastance_eraser;
grant select, insert, update (taken_back_at, erased_at) on erasure to pedastance_eraser;
grant select, insert on erased_student to pedastance_eraser;
grant execute on function current_academy(), this_change(), is_owner_here(uuid) to pedastance_eraser;

-- Nobody adds a student anew who was erased, whatever an old device or file says.
create function refuse_erased_student() returns trigger
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    if exists (select from erased_student where academy_id = new.academy_id and student = new.id) then
      raise exception 'student % was erased', new.id using errcode = 'PE001';
    end if;
    return new;
  end
  $$;

-- Removes all of one student in the academy that is set, and leaves the tombstone.
create function erase_student(which uuid, at timestamptz) returns void
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    insert into erased_student (academy_id, student, lessons, erased_at)
      select current_academy(), which, coalesce(array_agg(id), '{}'), at
      from lesson where academy_id = current_academy() and student_id = which
      on conflict do nothing;
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

-- An owner asks for an erasure: 'asked', 'not an owner', 'nobody' or 'waits already'.
create function erasure_ask(actor uuid, which uuid, own_id uuid) returns text
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    if not is_owner_here(actor) then
      return 'not an owner';
    end if;
    if not exists (select from student where academy_id = current_academy() and id = which) then
      return 'nobody';
    end if;
    insert into erasure (academy_id, id, student, asked_by) values (current_academy(), own_id, which, actor);
    insert into audit_entry (academy_id, made_by, act, student) values (current_academy(), actor, 'erasure asked', which);
    return 'asked';
  exception when unique_violation then
    return 'waits already';
  end
  $$;

-- An owner takes an erasure back while it waits.
create function erasure_take_back(actor uuid, which uuid) returns text
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    if not is_owner_here(actor) then
      return 'not an owner';
    end if;
    update erasure set taken_back_at = now()
      where academy_id = current_academy() and student = which and taken_back_at is null and erased_at is null;
    if not found then
      return 'nobody';
    end if;
    insert into audit_entry (academy_id, made_by, act, student)
      values (current_academy(), actor, 'erasure taken back', which);
    return 'taken back';
  end
  $$;

-- Carries out what has waited a day, by the database's own clock, in every academy; answers how many.
create function erasures_run() returns integer
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    due erasure;
    done integer := 0;
  begin
    for due in
      select * from erasure
      where taken_back_at is null and erased_at is null and asked_at <= now() - interval '1 day'
      order by asked_at for update skip locked
    loop
      perform set_config('pedastance.academy', due.academy_id::text, true);
      -- Each academy counts its own changes.
      perform set_config('pedastance.change', '', true);
      perform erase_student(due.student, now());
      update erasure set erased_at = now() where academy_id = due.academy_id and id = due.id;
      insert into audit_entry (academy_id, made_by, act, student)
        values (due.academy_id, due.asked_by, 'student erased', due.student);
      done := done + 1;
    end loop;
    perform set_config('pedastance.academy', '', true);
    perform set_config('pedastance.change', '', true);
    return done;
  end
  $$;

-- Every erasure there was, to be kept apart from the database: a restored backup replays them.
create function erased_students() returns table (academy uuid, student uuid, erased_at timestamptz)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select academy_id, student, erased_at from erased_student order by erased_at, academy_id, student $$;

-- In a restored backup: erases a student again, in the academy that is set, and leaves the tombstone also where the
-- backup is from before the student; false where it had none such.
create function erase_again(academy uuid, which uuid, at timestamptz) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    there boolean := exists (select from student where academy_id = erase_again.academy and id = which);
  begin
    if not exists (select from academy as known where known.id = erase_again.academy) then
      return false;
    end if;
    perform erase_student(which, at);
    update erasure set erased_at = at
      where academy_id = erase_again.academy and student = which and taken_back_at is null and erased_at is null;
    return there;
  end
  $$;

-- What an erased student's data would be known by: the student, or a lesson.
create function is_erased(ids uuid[]) returns boolean
  language sql stable
  as $$
    select exists (
      select from erased_student
      where academy_id = current_academy() and (student = any(ids) or lessons && ids))
  $$;

grant create on schema public to pedastance_eraser;
do $$
declare
  of_eraser text;
begin
  foreach of_eraser in array array[
    'refuse_erased_student()', 'erase_student(uuid, timestamptz)', 'erasure_ask(uuid, uuid, uuid)',
    'erasure_take_back(uuid, uuid)', 'erasures_run()', 'erased_students()',
    'erase_again(uuid, uuid, timestamptz)'] loop
    execute format('alter function %s owner to pedastance_eraser', of_eraser);
    execute format('revoke execute on function %s from public', of_eraser);
  end loop;
end
$$;
revoke create on schema public from pedastance_eraser;
revoke execute on function is_erased(uuid[]) from public;
-- Not erase_student, which is for what has waited its day; and erase_again is the administrator's.
grant execute on function erasure_ask(uuid, uuid, uuid), erasure_take_back(uuid, uuid), erasures_run(),
  erased_students(), is_erased(uuid[]) to pedastance_app;
grant execute on function erase_again(uuid, uuid, timestamptz) to pedastance_owner;

create trigger student_not_erased before insert on student
  for each row execute function refuse_erased_student();
