-- Academies of one's own: whoever signs up begins one, invites colleagues by links that end, and keeps the keys.

alter table instructor
  add column role text not null default 'owner' constraint instructor_role check (role in ('owner', 'instructor')),
  -- Access that was ended: the name stays in the log, nobody signs in any more.
  add column ended_at timestamptz;
alter table instructor alter column role drop default;
grant select (role, ended_at) on instructor to pedastance_app;

alter table session
  add column id uuid not null default gen_random_uuid(),
  add column opened_at timestamptz not null default now(),
  -- What the browser called itself, so that a coach knows which session is which.
  add column device text not null default '' constraint session_device_length check (char_length(device) <= 200);

create table invite (
  academy_id uuid not null constraint invite_academy references academy,
  id uuid not null,
  -- Only a hash of the link's secret is kept.
  code_hash bytea not null
    constraint invite_code_unique unique
    constraint invite_code_sha256 check (octet_length(code_hash) = 32),
  role text not null constraint invite_role check (role in ('owner', 'instructor')),
  made_by uuid not null,
  made_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz,
  used_by uuid,
  withdrawn_at timestamptz,
  constraint invite_key primary key (academy_id, id),
  constraint invite_made_by foreign key (academy_id, made_by) references instructor,
  constraint invite_used_by foreign key (academy_id, used_by) references instructor,
  constraint invite_used_whole check ((used_at is null) = (used_by is null)),
  constraint invite_ends check (expires_at > made_at and expires_at <= made_at + interval '30 days')
);
alter table invite enable row level security;
alter table invite force row level security;
create policy invite_own on invite to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select (academy_id, id, role, made_by, made_at, expires_at, used_at, used_by, withdrawn_at) on invite to pedastance_app;
grant insert on invite to pedastance_app;
create policy invite_doorman on invite to pedastance_doorman using (true) with check (true);
grant select, update (used_at, used_by, withdrawn_at) on invite to pedastance_doorman;

create policy academy_doorman_start on academy for insert to pedastance_doorman with check (true);
create policy instructor_doorman_join on instructor for insert to pedastance_doorman with check (true);
create policy instructor_doorman_change on instructor for update to pedastance_doorman using (true) with check (true);
grant insert on academy, instructor to pedastance_doorman;
grant update (password_hash, role, ended_at) on instructor to pedastance_doorman;

-- Sign-in and sessions know only those whose access has not ended.
drop function sign_in_lookup(text);
create function sign_in_lookup(wanted text)
  returns table (academy_id uuid, academy_name text, instructor_id uuid, instructor_name text, role text,
                 password_hash text, demo boolean, device_key bytea)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select instructor.academy_id, academy.name, instructor.id, instructor.name, instructor.role,
           instructor.password_hash, instructor.demo, instructor.device_key
    from instructor join academy on academy.id = instructor.academy_id
    where instructor.email = wanted and instructor.ended_at is null
  $$;

drop function session_find(bytea, timestamptz);
create function session_find(wanted bytea, at timestamptz)
  returns table (academy_id uuid, academy_name text, instructor_id uuid, instructor_name text, role text, cookie jsonb,
                 expires_at timestamptz, device_key bytea)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select session.academy_id, academy.name, session.instructor_id, instructor.name, instructor.role, session.cookie,
           session.expires_at, instructor.device_key
    from session
    join academy on academy.id = session.academy_id
    join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
    where session.token_hash = wanted and session.expires_at > at and instructor.ended_at is null
  $$;

-- A session opened says what device it is on.
drop function session_open(bytea, uuid, text, jsonb, timestamptz);
create function session_open(token bytea, instructor uuid, shown_hash text, kept_cookie jsonb, until timestamptz, on_device text)
  returns boolean
  language sql security definer set search_path = public, pg_temp
  as $$
    with opened as (
      insert into session (academy_id, instructor_id, token_hash, cookie, expires_at, device)
      select found.academy_id, found.id, token, kept_cookie, until, left(on_device, 200)
      from instructor as found
      where found.id = instructor and found.password_hash = shown_hash and found.ended_at is null
      returning 1
    )
    select exists (select from opened)
  $$;

-- Begins an academy with its first owner; false where the address is known already.
create function academy_start(academy uuid, academy_name text, instructor uuid, own_name text, own_email text,
                              own_hash text, at timestamptz)
  returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    insert into academy (id, name, created_at) values (academy, academy_name, at);
    insert into instructor (academy_id, id, email, name, password_hash, demo, role, created_at)
      values (academy, instructor, own_email, own_name, own_hash, false, 'owner', at);
    return true;
  exception when unique_violation then
    return false;
  end
  $$;

-- What an open invitation is to: whoever has the link may know.
create function invite_find(wanted bytea, at timestamptz)
  returns table (academy_name text, invited_by text, role text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select academy.name, instructor.name, invite.role
    from invite
    join academy on academy.id = invite.academy_id
    join instructor on instructor.academy_id = invite.academy_id and instructor.id = invite.made_by
    where invite.code_hash = wanted and invite.used_at is null and invite.withdrawn_at is null
      and invite.expires_at > at and instructor.ended_at is null
  $$;

-- Joins by an invitation, once: 'joined', 'no invitation' or 'known address'.
create function invite_accept(wanted bytea, newcomer uuid, own_name text, own_email text, own_hash text, at timestamptz)
  returns text
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    open_invite invite;
  begin
    select * into open_invite from invite
      where code_hash = wanted and used_at is null and withdrawn_at is null and expires_at > at for update;
    if open_invite.id is null or not exists (
      select from instructor as host
      where host.academy_id = open_invite.academy_id and host.id = open_invite.made_by and host.ended_at is null
    ) then
      return 'no invitation';
    end if;
    insert into instructor (academy_id, id, email, name, password_hash, demo, role, created_at)
      values (open_invite.academy_id, newcomer, own_email, own_name, own_hash, false, open_invite.role, at);
    update invite set used_at = at, used_by = newcomer where code_hash = wanted;
    return 'joined';
  exception when unique_violation then
    return 'known address';
  end
  $$;

-- An owner of this academy that is still in.
create function is_owner_here(who uuid) returns boolean
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select exists (
      select from instructor
      where academy_id = current_academy() and id = who and role = 'owner' and ended_at is null)
  $$;

-- An owner changes a colleague's role or ends access; the last owner stays one. 'done', 'not an owner', 'nobody' or 'last owner'.
create function colleague_change(actor uuid, whom uuid, new_role text, ends boolean, at timestamptz)
  returns text
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    -- Two owners who end each other at the same moment take turns.
    perform from instructor where academy_id = current_academy() order by id for update;
    if not is_owner_here(actor) then
      return 'not an owner';
    end if;
    if not exists (select from instructor where academy_id = current_academy() and id = whom and ended_at is null) then
      return 'nobody';
    end if;
    if (ends or new_role <> 'owner') and not exists (
      select from instructor
      where academy_id = current_academy() and id <> whom and role = 'owner' and ended_at is null
    ) then
      return 'last owner';
    end if;
    update instructor set role = new_role, ended_at = case when ends then at end
      where academy_id = current_academy() and id = whom;
    if ends then
      delete from session where academy_id = current_academy() and instructor_id = whom;
    end if;
    return 'done';
  end
  $$;

create function invite_withdraw(actor uuid, which uuid, at timestamptz) returns boolean
  language sql security definer set search_path = public, pg_temp
  as $$
    with withdrawn as (
      update invite set withdrawn_at = at
      where academy_id = current_academy() and id = which and used_at is null and withdrawn_at is null
        and is_owner_here(actor)
      returning 1
    )
    select exists (select from withdrawn)
  $$;

-- One's own account, by an open session: what changing the password needs.
create function own_account(token bytea, at timestamptz)
  returns table (email text, password_hash text, demo boolean)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select instructor.email, instructor.password_hash, instructor.demo
    from session
    join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
    where session.token_hash = token and session.expires_at > at and instructor.ended_at is null
  $$;

-- Changes one's own password where the old hash is shown, and ends every other session of one's own.
create function password_change(token bytea, shown_hash text, new_hash text, at timestamptz)
  returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    mine session;
  begin
    select * into mine from session where token_hash = token and expires_at > at;
    update instructor set password_hash = new_hash
      where academy_id = mine.academy_id and id = mine.instructor_id and password_hash = shown_hash;
    if not found then
      return false;
    end if;
    delete from session
      where academy_id = mine.academy_id and instructor_id = mine.instructor_id and token_hash <> token;
    return true;
  end
  $$;

-- One's own sessions, by an open one of them.
create function own_sessions(token bytea, at timestamptz)
  returns table (id uuid, device text, opened_at timestamptz, expires_at timestamptz, here boolean)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select other.id, other.device, other.opened_at, other.expires_at, other.token_hash = token
    from session as mine
    join session as other on other.academy_id = mine.academy_id and other.instructor_id = mine.instructor_id
    where mine.token_hash = token and mine.expires_at > at and other.expires_at > at
    order by other.opened_at desc
  $$;

create function own_session_end(token bytea, which uuid, at timestamptz) returns boolean
  language sql security definer set search_path = public, pg_temp
  as $$
    with ended as (
      delete from session as other using session as mine
      where mine.token_hash = token and mine.expires_at > at and other.academy_id = mine.academy_id
        and other.instructor_id = mine.instructor_id and other.id = which and other.token_hash <> token
      returning 1
    )
    select exists (select from ended)
  $$;

grant execute on function current_academy() to pedastance_doorman;
grant create on schema public to pedastance_doorman;
do $$
declare
  of_doorman text;
begin
  foreach of_doorman in array array[
    'sign_in_lookup(text)', 'session_find(bytea, timestamptz)',
    'session_open(bytea, uuid, text, jsonb, timestamptz, text)',
    'academy_start(uuid, text, uuid, text, text, text, timestamptz)',
    'invite_find(bytea, timestamptz)', 'invite_accept(bytea, uuid, text, text, text, timestamptz)',
    'is_owner_here(uuid)', 'colleague_change(uuid, uuid, text, boolean, timestamptz)',
    'invite_withdraw(uuid, uuid, timestamptz)', 'own_account(bytea, timestamptz)',
    'password_change(bytea, text, text, timestamptz)', 'own_sessions(bytea, timestamptz)',
    'own_session_end(bytea, uuid, timestamptz)'] loop
    execute format('alter function %s owner to pedastance_doorman', of_doorman);
    execute format('revoke execute on function %s from public', of_doorman);
    execute format('grant execute on function %s to pedastance_app', of_doorman);
  end loop;
end
$$;
revoke create on schema public from pedastance_doorman;
