-- A session says from which network it was opened, by a keyed hash: one that is used by another browser from another network
-- shows the password again before it hands out or ends what belongs to all.

alter table session add column network bytea constraint session_network check (octet_length(network) = 32);

drop function session_find(bytea, timestamptz);
create function session_find(wanted bytea, at timestamptz)
  returns table (academy_id uuid, academy_name text, instructor_id uuid, instructor_name text, role text, cookie jsonb,
                 expires_at timestamptz, device_key bytea, device text, network bytea)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select session.academy_id, academy.name, session.instructor_id, instructor.name, instructor.role, session.cookie,
           session.expires_at, instructor.device_key, session.device, session.network
    from session
    join academy on academy.id = session.academy_id
    join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
    where session.token_hash = wanted and session.expires_at > at and instructor.ended_at is null
  $$;

drop function session_open(bytea, uuid, text, jsonb, timestamptz, text);
create function session_open(token bytea, instructor uuid, shown_hash text, kept_cookie jsonb, until timestamptz, on_device text,
                             on_network bytea)
  returns boolean
  language sql security definer set search_path = public, pg_temp
  as $$
    with opened as (
      insert into session (academy_id, instructor_id, token_hash, cookie, expires_at, device, network)
      select found.academy_id, found.id, token, kept_cookie, until, left(on_device, 200), on_network
      from instructor as found
      where found.id = instructor and found.password_hash = shown_hash and found.ended_at is null
      returning 1
    )
    select exists (select from opened)
  $$;

-- The password was shown again: from now on the session is at home in this browser and network. False where the session has
-- ended or the password is another by now.
create function session_confirm(token bytea, shown_hash text, on_device text, on_network bytea, at timestamptz) returns boolean
  language sql security definer set search_path = public, pg_temp
  as $$
    with confirmed as (
      update session set device = left(on_device, 200), network = on_network
      from instructor
      where session.token_hash = token and session.expires_at > at
        and instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
        and instructor.password_hash = shown_hash and instructor.ended_at is null
      returning 1
    )
    select exists (select from confirmed)
  $$;

grant update (device, network) on session to pedastance_doorman;

grant create on schema public to pedastance_doorman;
alter function session_find(bytea, timestamptz) owner to pedastance_doorman;
alter function session_open(bytea, uuid, text, jsonb, timestamptz, text, bytea) owner to pedastance_doorman;
alter function session_confirm(bytea, text, text, bytea, timestamptz) owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;
revoke execute on function session_find(bytea, timestamptz),
  session_open(bytea, uuid, text, jsonb, timestamptz, text, bytea),
  session_confirm(bytea, text, text, bytea, timestamptz) from public;
grant execute on function session_find(bytea, timestamptz),
  session_open(bytea, uuid, text, jsonb, timestamptz, text, bytea),
  session_confirm(bytea, text, text, bytea, timestamptz) to pedastance_app;
