-- A device whose session is gone is told when the reason is that an owner ended its coach's access. It has to name the
-- academy and the coach, which it learned when that coach signed in on it; nothing else is answered.

create function access_has_ended(of_academy uuid, of_instructor uuid) returns boolean
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select exists (
      select from instructor where academy_id = of_academy and id = of_instructor and ended_at is not null)
  $$;
grant create on schema public to pedastance_doorman;
alter function access_has_ended(uuid, uuid) owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;
revoke execute on function access_has_ended(uuid, uuid) from public;
grant execute on function access_has_ended(uuid, uuid) to pedastance_app;
