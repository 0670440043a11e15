-- Passkeys (Web Authentication, level 3) beside passwords: the public half of a key that a coach's device keeps.

alter table audit_entry drop constraint audit_entry_act;
alter table audit_entry add constraint audit_entry_act check (act in (
  'student exported', 'academy exported', 'table exported', 'records imported', 'erasure asked', 'erasure taken back',
  'student erased', 'invited', 'joined', 'role changed', 'access ended', 'reset link made', 'password changed',
  'password reset', 'recovery codes made', 'recovery code used', 'consent withdrawn', 'passkey made', 'passkey ended'));

create table passkey (
  academy_id uuid not null,
  instructor_id uuid not null,
  -- The credential's own, base64url.
  id text not null constraint passkey_id check (char_length(id) between 16 and 1400 and id ~ '^[A-Za-z0-9_-]+$'),
  public_key bytea not null constraint passkey_public_key check (octet_length(public_key) between 16 and 4096),
  -- How often its device says that it was used; 0 for ever where it does not count.
  counter bigint not null constraint passkey_counter check (counter between 0 and 4294967295),
  -- What the browser that it was made in calls itself.
  device text not null constraint passkey_device check (char_length(device) <= 400),
  made_at timestamptz not null,
  used_at timestamptz,
  constraint passkey_key primary key (academy_id, instructor_id, id),
  constraint passkey_once unique (id),
  constraint passkey_instructor foreign key (academy_id, instructor_id) references instructor (academy_id, id)
);

-- A challenge that was answered works no second time.
create table answered_challenge (
  hash bytea not null constraint answered_challenge_key primary key
    constraint answered_challenge_sha256 check (octet_length(hash) = 32),
  ends_at timestamptz not null
);

do $$
declare
  kept text;
begin
  foreach kept in array array['passkey', 'answered_challenge'] loop
    execute format('alter table %s enable row level security', kept);
    execute format('alter table %s force row level security', kept);
    execute format('create policy %s_none on %s to pedastance_app using (false)', kept, kept);
    execute format('create policy %s_doorman on %s to pedastance_doorman using (true) with check (true)', kept, kept);
  end loop;
end
$$;
grant select, insert, update (counter, used_at), delete on passkey to pedastance_doorman;
grant select, insert, delete on answered_challenge to pedastance_doorman;

grant create on schema public to pedastance_doorman;

-- With a password ends whatever else lets in to an account: now its passkeys too.
create or replace function keys_end(of_academy uuid, of_instructor uuid, at timestamptz, kept bytea) returns void
  language sql security definer set search_path = public, pg_temp
  as $$
    delete from recovery_code where academy_id = of_academy and instructor_id = of_instructor;
    delete from passkey where academy_id = of_academy and instructor_id = of_instructor;
    delete from session where academy_id = of_academy and instructor_id = of_instructor and token_hash is distinct from kept;
    update reset_link set used_at = at
      where academy_id = of_academy and of_instructor in (instructor_id, made_by) and used_at is null;
    update invite set withdrawn_at = at
      where academy_id = of_academy and made_by = of_instructor and used_at is null and withdrawn_at is null;
  $$;

-- Keeps a passkey of the account behind an open session; 'changed' where the password is another by now.
create function passkey_add(token bytea, shown_hash text, key_id text, key bytea, count bigint, on_device text, most integer,
                            at timestamptz) returns text
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    mine session;
  begin
    select session.* into mine from session
      join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
      where session.token_hash = token and session.expires_at > at
        and instructor.password_hash = shown_hash and instructor.ended_at is null and not instructor.demo
      for update of instructor;
    if mine.id is null then
      return 'changed';
    end if;
    if (select count(*) from passkey where academy_id = mine.academy_id and instructor_id = mine.instructor_id) >= most then
      return 'too many';
    end if;
    insert into passkey (academy_id, instructor_id, id, public_key, counter, device, made_at)
      values (mine.academy_id, mine.instructor_id, key_id, key, passkey_add.count, left(on_device, 400), at)
      on conflict (id) do nothing;
    if not found then
      return 'known';
    end if;
    perform note_key(mine.academy_id, mine.instructor_id, 'passkey made', at);
    return 'made';
  end
  $$;

create function own_passkeys(token bytea, at timestamptz)
  returns table (id text, device text, made_at timestamptz, used_at timestamptz)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select passkey.id, passkey.device, passkey.made_at, passkey.used_at
    from session
    join passkey on passkey.academy_id = session.academy_id and passkey.instructor_id = session.instructor_id
    where session.token_hash = token and session.expires_at > at
    order by passkey.made_at desc
  $$;

create function passkey_end(token bytea, key_id text, at timestamptz) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    ended passkey;
  begin
    delete from passkey using session
      where session.token_hash = token and session.expires_at > at and passkey.academy_id = session.academy_id
        and passkey.instructor_id = session.instructor_id and passkey.id = key_id
      returning passkey.* into ended;
    if ended.id is null then
      return false;
    end if;
    perform note_key(ended.academy_id, ended.instructor_id, 'passkey ended', at);
    return true;
  end
  $$;

-- The account that a passkey signs in to, as by its address.
create function passkey_find(key_id text)
  returns table (email text, public_key bytea, counter bigint)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select instructor.email, passkey.public_key, passkey.counter
    from passkey
    join instructor on instructor.academy_id = passkey.academy_id and instructor.id = passkey.instructor_id
    where passkey.id = key_id and instructor.ended_at is null
  $$;

-- Notes that a passkey answered a challenge; false where that challenge was answered before, or the passkey has ended.
create function passkey_used(key_id text, challenge bytea, count bigint, at timestamptz, ends timestamptz) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    insert into answered_challenge (hash, ends_at) values (challenge, ends) on conflict do nothing;
    if not found then
      return false;
    end if;
    update passkey set counter = passkey_used.count, used_at = at where id = key_id;
    return found;
  end
  $$;

create function challenges_clear(before timestamptz) returns void
  language sql security definer set search_path = public, pg_temp
  as $$ delete from answered_challenge where ends_at <= before $$;

do $$
declare
  of_doorman text;
begin
  foreach of_doorman in array array[
    'passkey_add(bytea, text, text, bytea, bigint, text, integer, timestamptz)', 'own_passkeys(bytea, timestamptz)',
    'passkey_end(bytea, text, timestamptz)', 'passkey_find(text)',
    'passkey_used(text, bytea, bigint, timestamptz, timestamptz)', 'challenges_clear(timestamptz)'] loop
    execute format('alter function %s owner to pedastance_doorman', of_doorman);
    execute format('revoke execute on function %s from public', of_doorman);
    execute format('grant execute on function %s to pedastance_app', of_doorman);
  end loop;
end
$$;
revoke create on schema public from pedastance_doorman;
