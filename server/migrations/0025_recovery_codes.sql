-- Codes that let a coach who forgot the password back in, each once; kept as hashes, shown when they are made.

create table recovery_code (
  academy_id uuid not null,
  instructor_id uuid not null,
  code_hash bytea not null constraint recovery_code_sha256 check (octet_length(code_hash) = 32),
  made_at timestamptz not null,
  used_at timestamptz,
  constraint recovery_code_key primary key (academy_id, instructor_id, code_hash),
  constraint recovery_code_instructor foreign key (academy_id, instructor_id) references instructor
);
alter table recovery_code enable row level security;
alter table recovery_code force row level security;
-- The application reaches the codes through the functions below alone.
create policy recovery_code_none on recovery_code to pedastance_app using (false);
create policy recovery_code_doorman on recovery_code to pedastance_doorman using (true) with check (true);
grant select, insert, update (used_at), delete on recovery_code to pedastance_doorman;

-- The administrator's command makes a link for an owner whom nobody else can let in.
create policy reset_link_owner on reset_link to pedastance_owner using (true) with check (true);

-- New codes in place of the old ones, behind an open session and its password; false where that was changed meanwhile.
create function recovery_renew(token bytea, shown_hash text, hashes bytea[], at timestamptz) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    mine session;
  begin
    select session.* into mine from session
      join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
      where session.token_hash = token and session.expires_at > at
        and instructor.password_hash = shown_hash and instructor.ended_at is null;
    if mine.id is null then
      return false;
    end if;
    delete from recovery_code where academy_id = mine.academy_id and instructor_id = mine.instructor_id;
    insert into recovery_code (academy_id, instructor_id, code_hash, made_at)
      select mine.academy_id, mine.instructor_id, each, at from unnest(hashes) as each;
    return true;
  end
  $$;

-- How many of one's own codes are left.
create function recovery_left(token bytea, at timestamptz) returns integer
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select count(*)::integer
    from session
    join recovery_code on recovery_code.academy_id = session.academy_id
      and recovery_code.instructor_id = session.instructor_id
    where session.token_hash = token and session.expires_at > at and recovery_code.used_at is null
  $$;

-- Sets the password by a code, once; every session of the account ends. False where address and code do not belong together.
create function recovery_use(wanted text, code bytea, new_hash text, at timestamptz) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    used recovery_code;
  begin
    update recovery_code set used_at = at
      from instructor
      where instructor.email = wanted and instructor.ended_at is null and not instructor.demo
        and recovery_code.academy_id = instructor.academy_id and recovery_code.instructor_id = instructor.id
        and recovery_code.code_hash = code and recovery_code.used_at is null
      returning recovery_code.* into used;
    if used.code_hash is null then
      return false;
    end if;
    update instructor set password_hash = new_hash where academy_id = used.academy_id and id = used.instructor_id;
    delete from session where academy_id = used.academy_id and instructor_id = used.instructor_id;
    return true;
  end
  $$;

grant create on schema public to pedastance_doorman;
do $$
declare
  of_doorman text;
begin
  foreach of_doorman in array array[
    'recovery_renew(bytea, text, bytea[], timestamptz)', 'recovery_left(bytea, timestamptz)',
    'recovery_use(text, bytea, text, timestamptz)'] loop
    execute format('alter function %s owner to pedastance_doorman', of_doorman);
    execute format('revoke execute on function %s from public', of_doorman);
    execute format('grant execute on function %s to pedastance_app', of_doorman);
  end loop;
end
$$;
revoke create on schema public from pedastance_doorman;
