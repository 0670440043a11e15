-- Erasures in turns: a few of one academy at a time, each a transaction of its own, so that none waits for another academy's
-- thousand, and a transaction holds one academy's counter alone.

drop function erasures_run();

-- The academies in which erasures have waited their day.
create function erasures_due() returns setof uuid
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select academy_id from erasure
    where taken_back_at is null and erased_at is null and asked_at <= now() - interval '1 day'
    group by academy_id order by min(asked_at)
  $$;

create function erasures_run(of_academy uuid, most integer) returns integer
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    due erasure;
    done integer := 0;
  begin
    perform set_config('pedastance.academy', of_academy::text, true);
    perform set_config('pedastance.change', '', true);
    for due in
      select * from erasure
      where academy_id = of_academy and taken_back_at is null and erased_at is null and asked_at <= now() - interval '1 day'
      order by asked_at limit most for update skip locked
    loop
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

grant create on schema public to pedastance_eraser;
alter function erasures_due() owner to pedastance_eraser;
alter function erasures_run(uuid, integer) owner to pedastance_eraser;
revoke create on schema public from pedastance_eraser;
revoke execute on function erasures_due(), erasures_run(uuid, integer) from public;
grant execute on function erasures_due(), erasures_run(uuid, integer) to pedastance_app;
