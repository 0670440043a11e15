-- A colleague who forgot the password is let in again by an owner: a link that works once and ends in a day.

create table reset_link (
  academy_id uuid not null,
  id uuid not null,
  code_hash bytea not null
    constraint reset_link_code_unique unique
    constraint reset_link_code_sha256 check (octet_length(code_hash) = 32),
  instructor_id uuid not null,
  made_by uuid not null,
  made_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz,
  constraint reset_link_key primary key (academy_id, id),
  constraint reset_link_instructor foreign key (academy_id, instructor_id) references instructor,
  constraint reset_link_made_by foreign key (academy_id, made_by) references instructor,
  constraint reset_link_ends check (expires_at > made_at and expires_at <= made_at + interval '1 day')
);
alter table reset_link enable row level security;
alter table reset_link force row level security;
-- The application reaches these links through the functions below alone.
create policy reset_link_none on reset_link to pedastance_app using (false);
create policy reset_link_doorman on reset_link to pedastance_doorman using (true) with check (true);
grant select, insert, update (used_at) on reset_link to pedastance_doorman;

-- An owner makes a link for a colleague who is in: 'made', 'not an owner' or 'nobody'.
create function reset_make(actor uuid, whom uuid, link uuid, hash bytea, at timestamptz, until timestamptz)
  returns text
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  begin
    if not is_owner_here(actor) then
      return 'not an owner';
    end if;
    if whom = actor or not exists (
      select from instructor
      where academy_id = current_academy() and id = whom and ended_at is null and not demo
    ) then
      return 'nobody';
    end if;
    insert into reset_link (academy_id, id, code_hash, instructor_id, made_by, made_at, expires_at)
      values (current_academy(), link, hash, whom, actor, at, until);
    return 'made';
  end
  $$;

-- Whose password a link sets; nothing where it was used, has ended, or its maker has no say any more.
create function reset_find(wanted bytea, at timestamptz)
  returns table (academy_name text, instructor_name text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select academy.name, instructor.name
    from reset_link
    join academy on academy.id = reset_link.academy_id
    join instructor on instructor.academy_id = reset_link.academy_id and instructor.id = reset_link.instructor_id
    join instructor as maker on maker.academy_id = reset_link.academy_id and maker.id = reset_link.made_by
    where reset_link.code_hash = wanted and reset_link.used_at is null and reset_link.expires_at > at
      and instructor.ended_at is null and maker.ended_at is null and maker.role = 'owner'
  $$;

-- Sets the password by a link, once: every session ends, and so do the other links to this colleague.
create function reset_use(wanted bytea, new_hash text, at timestamptz) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    open_link reset_link;
  begin
    select * into open_link from reset_link where code_hash = wanted for update;
    if open_link.id is null or not exists (select from reset_find(wanted, at)) then
      return false;
    end if;
    update instructor set password_hash = new_hash
      where academy_id = open_link.academy_id and id = open_link.instructor_id;
    update reset_link set used_at = at
      where academy_id = open_link.academy_id and instructor_id = open_link.instructor_id and used_at is null;
    delete from session where academy_id = open_link.academy_id and instructor_id = open_link.instructor_id;
    return true;
  end
  $$;

grant create on schema public to pedastance_doorman;
do $$
declare
  of_doorman text;
begin
  foreach of_doorman in array array[
    'reset_make(uuid, uuid, uuid, bytea, timestamptz, timestamptz)', 'reset_find(bytea, timestamptz)',
    'reset_use(bytea, text, timestamptz)'] loop
    execute format('alter function %s owner to pedastance_doorman', of_doorman);
    execute format('revoke execute on function %s from public', of_doorman);
    execute format('grant execute on function %s to pedastance_app', of_doorman);
  end loop;
end
$$;
revoke create on schema public from pedastance_doorman;
