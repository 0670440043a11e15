-- Academies, instructors and sign-in.
--
-- Every table is under forced row-level security. The application's role sees the rows of the
-- academy named by the setting pedastance.academy, which each transaction sets for itself; with
-- no academy set it sees none. Sign-in happens before an academy is known and goes through the
-- functions below, which run as the doorman and can do just that.

create function current_academy() returns uuid
  language sql stable
  as $$ select nullif(current_setting('pedastance.academy', true), '')::uuid $$;

create table academy (
  id uuid constraint academy_key primary key,
  name text not null constraint academy_name_length check (char_length(name) between 1 and 80),
  created_at timestamptz not null
);

create table instructor (
  academy_id uuid not null constraint instructor_academy references academy,
  id uuid not null,
  email text not null
    constraint instructor_email_unique unique
    constraint instructor_email_form check (email = lower(email) and email like '_%@_%' and char_length(email) <= 254),
  name text not null constraint instructor_name_length check (char_length(name) between 1 and 80),
  password_hash text not null constraint instructor_password_argon2id check (password_hash like '$argon2id$%'),
  demo boolean not null,
  created_at timestamptz not null,
  constraint instructor_key primary key (academy_id, id)
);

create table session (
  academy_id uuid not null,
  instructor_id uuid not null,
  token_hash bytea not null
    constraint session_token_unique unique
    constraint session_token_sha256 check (octet_length(token_hash) = 32),
  cookie jsonb not null constraint session_cookie_object check (jsonb_typeof(cookie) = 'object'),
  expires_at timestamptz not null,
  constraint session_key primary key (academy_id, token_hash),
  constraint session_instructor foreign key (academy_id, instructor_id) references instructor on delete cascade
);
create index session_expiry on session (expires_at);

-- Counted attempts, by a hash of what is limited; shaped as rate-limiter-flexible writes it.
create table sign_in_attempts (
  key varchar(255) constraint sign_in_attempts_key primary key,
  points integer not null constraint sign_in_attempts_points check (points >= 0),
  expire bigint
);

alter table academy enable row level security;
alter table academy force row level security;
alter table instructor enable row level security;
alter table instructor force row level security;
alter table session enable row level security;
alter table session force row level security;
alter table sign_in_attempts enable row level security;
alter table sign_in_attempts force row level security;

create policy academy_own on academy to pedastance_app
  using (id = current_academy()) with check (id = current_academy());
create policy instructor_own on instructor to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
-- The application's role reaches sessions through the doorman's functions alone.
create policy session_none on session to pedastance_app using (false);
-- Attempts belong to nobody yet: they hold no names, only hashes and counts.
create policy sign_in_attempts_counted on sign_in_attempts to pedastance_app using (true) with check (true);

-- The owner keeps the accounts; nobody signs in as the owner.
create policy academy_owner on academy to pedastance_owner using (true) with check (true);
create policy instructor_owner on instructor to pedastance_owner using (true) with check (true);

create policy academy_doorman on academy to pedastance_doorman using (true);
create policy instructor_doorman on instructor for select to pedastance_doorman using (true);
create policy session_doorman on session to pedastance_doorman using (true) with check (true);

grant select on academy, instructor to pedastance_app;
grant select, insert, update, delete on sign_in_attempts to pedastance_app;
grant select on academy, instructor to pedastance_doorman;
grant select, insert, update, delete on session to pedastance_doorman;

-- What sign-in needs to know of one e-mail address, and nothing more.
create function sign_in_lookup(wanted text)
  returns table (academy_id uuid, academy_name text, instructor_id uuid, instructor_name text,
                 password_hash text, demo boolean)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select instructor.academy_id, academy.name, instructor.id, instructor.name,
           instructor.password_hash, instructor.demo
    from instructor join academy on academy.id = instructor.academy_id
    where instructor.email = wanted
  $$;

create function session_find(wanted bytea, at timestamptz)
  returns table (academy_id uuid, academy_name text, instructor_id uuid, instructor_name text, cookie jsonb)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select session.academy_id, academy.name, session.instructor_id, instructor.name, session.cookie
    from session
    join academy on academy.id = session.academy_id
    join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
    where session.token_hash = wanted and session.expires_at > at
  $$;

create function session_keep(token bytea, academy uuid, instructor uuid, kept_cookie jsonb, until timestamptz)
  returns void
  language sql security definer set search_path = public, pg_temp
  as $$
    insert into session (academy_id, instructor_id, token_hash, cookie, expires_at)
    values (academy, instructor, token, kept_cookie, until)
    on conflict (token_hash) do update set cookie = excluded.cookie, expires_at = excluded.expires_at
      where session.academy_id = excluded.academy_id and session.instructor_id = excluded.instructor_id
        -- Kept up on every request; written only when that moves the end by an hour or more.
        and session.expires_at < excluded.expires_at - interval '1 hour'
  $$;

create function session_end(token bytea) returns void
  language sql security definer set search_path = public, pg_temp
  as $$ delete from session where token_hash = token $$;

create function sessions_clear(before timestamptz) returns void
  language sql security definer set search_path = public, pg_temp
  as $$ delete from session where expires_at <= before $$;

-- A new owner of a function must be allowed to create in its schema, for just that moment.
grant create on schema public to pedastance_doorman;
alter function sign_in_lookup(text) owner to pedastance_doorman;
alter function session_find(bytea, timestamptz) owner to pedastance_doorman;
alter function session_keep(bytea, uuid, uuid, jsonb, timestamptz) owner to pedastance_doorman;
alter function session_end(bytea) owner to pedastance_doorman;
alter function sessions_clear(timestamptz) owner to pedastance_doorman;

revoke create on schema public from pedastance_doorman;

revoke execute on function current_academy(), sign_in_lookup(text), session_find(bytea, timestamptz),
  session_keep(bytea, uuid, uuid, jsonb, timestamptz), session_end(bytea), sessions_clear(timestamptz)
  from public;
grant execute on function current_academy() to pedastance_app, pedastance_doorman;
grant execute on function sign_in_lookup(text), session_find(bytea, timestamptz),
  session_keep(bytea, uuid, uuid, jsonb, timestamptz), session_end(bytea), sessions_clear(timestamptz)
  to pedastance_app;
