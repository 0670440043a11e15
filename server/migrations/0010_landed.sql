-- A write that has landed leaves a hash and a time; its answer is made again from the record itself.
alter table landed_write drop column answer;

-- The key that seals what a sign-out leaves on a device, given to the signed-in instructor alone:
-- 244 random bits of two UUIDs (version 4).
alter table instructor add column device_key bytea not null
  default uuid_send(gen_random_uuid()) || uuid_send(gen_random_uuid())
  constraint instructor_device_key_length check (octet_length(device_key) = 32);

drop function sign_in_lookup(text);
create function sign_in_lookup(wanted text)
  returns table (academy_id uuid, academy_name text, instructor_id uuid, instructor_name text,
                 password_hash text, demo boolean, device_key bytea)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select instructor.academy_id, academy.name, instructor.id, instructor.name,
           instructor.password_hash, instructor.demo, instructor.device_key
    from instructor join academy on academy.id = instructor.academy_id
    where instructor.email = wanted
  $$;

drop function session_find(bytea, timestamptz);
create function session_find(wanted bytea, at timestamptz)
  returns table (academy_id uuid, academy_name text, instructor_id uuid, instructor_name text, cookie jsonb,
                 expires_at timestamptz, device_key bytea)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select session.academy_id, academy.name, session.instructor_id, instructor.name, session.cookie,
           session.expires_at, instructor.device_key
    from session
    join academy on academy.id = session.academy_id
    join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
    where session.token_hash = wanted and session.expires_at > at
  $$;

grant create on schema public to pedastance_doorman;
alter function sign_in_lookup(text) owner to pedastance_doorman;
alter function session_find(bytea, timestamptz) owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;
revoke execute on function sign_in_lookup(text), session_find(bytea, timestamptz) from public;
grant execute on function sign_in_lookup(text), session_find(bytea, timestamptz) to pedastance_app;
