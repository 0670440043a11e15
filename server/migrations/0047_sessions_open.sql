-- Which of the sessions that listen to a live mat are still open: a stream ends with its session.

grant create on schema public to pedastance_doorman;

create function sessions_open(tokens bytea[], at timestamptz) returns setof bytea
  language sql stable security definer set search_path = public, pg_temp
  as $$ select token_hash from session where token_hash = any(tokens) and expires_at > at $$;

alter function sessions_open(bytea[], timestamptz) owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;
revoke execute on function sessions_open(bytea[], timestamptz) from public;
grant execute on function sessions_open(bytea[], timestamptz) to pedastance_app;
