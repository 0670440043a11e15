-- What the application's role can reach, narrowed to what it needs.

-- Columns are granted one by one: password hashes and addresses are reached through sign_in_lookup alone.
revoke select on instructor from pedastance_app;
grant select (academy_id, id, name, demo, created_at) on instructor to pedastance_app;

-- A session is opened only by whoever can show the account's own password hash, which sign_in_lookup answers
-- for one e-mail address at a time.
create function session_open(token bytea, instructor uuid, shown_hash text, kept_cookie jsonb, until timestamptz)
  returns boolean
  language sql security definer set search_path = public, pg_temp
  as $$
    with opened as (
      insert into session (academy_id, instructor_id, token_hash, cookie, expires_at)
      select found.academy_id, found.id, token, kept_cookie, until
      from instructor as found where found.id = instructor and found.password_hash = shown_hash
      returning 1
    )
    select exists (select from opened)
  $$;

-- Moves the end of an open session. A plain update that matches nothing writes nothing.
create function session_touch(token bytea, kept_cookie jsonb, until timestamptz) returns void
  language sql security definer set search_path = public, pg_temp
  as $$
    update session set cookie = kept_cookie, expires_at = until
    where token_hash = token and expires_at < until - interval '1 hour'
  $$;

drop function session_keep(bytea, uuid, uuid, jsonb, timestamptz);

drop function session_find(bytea, timestamptz);
create function session_find(wanted bytea, at timestamptz)
  returns table (academy_id uuid, academy_name text, instructor_id uuid, instructor_name text, cookie jsonb,
                 expires_at timestamptz)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select session.academy_id, academy.name, session.instructor_id, instructor.name, session.cookie,
           session.expires_at
    from session
    join academy on academy.id = session.academy_id
    join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
    where session.token_hash = wanted and session.expires_at > at
  $$;

-- The shots that are ready for everybody who listens, in one query. The academy follows from the session
-- token: a listener whose session has ended gets no row, any other at least one.
create policy stand_in_shot_doorman on stand_in_shot to pedastance_doorman using (true);
grant select, delete on stand_in_shot to pedastance_doorman;
create function shots_ready(tokens bytea[], sessions uuid[], seen integer[], at timestamptz)
  returns table (listener integer, number integer, shot_id uuid, measured jsonb)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select asked.place::integer, shot.number, shot.shot_id, shot.measured
    from unnest(tokens, sessions, seen) with ordinality as asked (token, session_id, after, place)
    join session on session.token_hash = asked.token and session.expires_at > at
    left join stand_in_shot as shot on shot.academy_id = session.academy_id
      and shot.session_id = asked.session_id and shot.number > asked.after and shot.ready_at <= at
    order by asked.place, shot.number
  $$;

create index stand_in_shot_age on stand_in_shot (ready_at);
create function stand_in_shots_clear(before timestamptz) returns void
  language sql security definer set search_path = public, pg_temp
  as $$ delete from stand_in_shot where ready_at <= before $$;

grant create on schema public to pedastance_doorman;
alter function session_open(bytea, uuid, text, jsonb, timestamptz) owner to pedastance_doorman;
alter function session_touch(bytea, jsonb, timestamptz) owner to pedastance_doorman;
alter function session_find(bytea, timestamptz) owner to pedastance_doorman;
alter function shots_ready(bytea[], uuid[], integer[], timestamptz) owner to pedastance_doorman;
alter function stand_in_shots_clear(timestamptz) owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;

revoke execute on function session_open(bytea, uuid, text, jsonb, timestamptz),
  session_touch(bytea, jsonb, timestamptz), session_find(bytea, timestamptz),
  shots_ready(bytea[], uuid[], integer[], timestamptz), stand_in_shots_clear(timestamptz) from public;
grant execute on function session_open(bytea, uuid, text, jsonb, timestamptz),
  session_touch(bytea, jsonb, timestamptz), session_find(bytea, timestamptz),
  shots_ready(bytea[], uuid[], integer[], timestamptz), stand_in_shots_clear(timestamptz) to pedastance_app;
