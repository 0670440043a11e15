-- What a key lets in ends with the password it was made beside; a link is worth what its maker may do when it is opened; a no
-- counts as it arrives, and a yes only where it was said knowing the last answer; a photo that was deleted stays deleted.

alter table audit_entry drop constraint audit_entry_act;
alter table audit_entry add constraint audit_entry_act check (act in (
  'student exported', 'academy exported', 'table exported', 'records imported', 'erasure asked', 'erasure taken back',
  'student erased', 'invited', 'joined', 'role changed', 'access ended', 'reset link made', 'password changed',
  'password reset', 'recovery codes made', 'recovery code used', 'consent withdrawn'));
create policy audit_entry_doorman on audit_entry to pedastance_doorman using (true) with check (true);
grant insert on audit_entry to pedastance_doorman;

-- Ends whatever else lets in to an account, and what its owner handed out: codes, links, invitations, the other sessions.
create function keys_end(of_academy uuid, of_instructor uuid, at timestamptz, kept bytea) returns void
  language sql security definer set search_path = public, pg_temp
  as $$
    delete from recovery_code where academy_id = of_academy and instructor_id = of_instructor;
    delete from session where academy_id = of_academy and instructor_id = of_instructor and token_hash is distinct from kept;
    update reset_link set used_at = at
      where academy_id = of_academy and of_instructor in (instructor_id, made_by) and used_at is null;
    update invite set withdrawn_at = at
      where academy_id = of_academy and made_by = of_instructor and used_at is null and withdrawn_at is null;
  $$;

create function note_key(of_academy uuid, of_instructor uuid, what text, at timestamptz) returns void
  language sql security definer set search_path = public, pg_temp
  as $$
    insert into audit_entry (academy_id, made_by, act, at) values (of_academy, of_instructor, what, at)
  $$;

create or replace function password_change(token bytea, shown_hash text, new_hash text, at timestamptz)
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
    perform keys_end(mine.academy_id, mine.instructor_id, at, token);
    perform note_key(mine.academy_id, mine.instructor_id, 'password changed', at);
    return true;
  end
  $$;

create or replace function reset_use(wanted bytea, new_hash text, at timestamptz) returns boolean
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
    perform keys_end(open_link.academy_id, open_link.instructor_id, at, null);
    perform note_key(open_link.academy_id, open_link.instructor_id, 'password reset', at);
    return true;
  end
  $$;

create or replace function recovery_use(wanted text, code bytea, new_hash text, at timestamptz) returns boolean
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
    perform keys_end(used.academy_id, used.instructor_id, at, null);
    perform note_key(used.academy_id, used.instructor_id, 'recovery code used', at);
    return true;
  end
  $$;

create or replace function recovery_renew(token bytea, shown_hash text, hashes bytea[], at timestamptz) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    mine session;
  begin
    select session.* into mine from session
      join instructor on instructor.academy_id = session.academy_id and instructor.id = session.instructor_id
      where session.token_hash = token and session.expires_at > at
        and instructor.password_hash = shown_hash and instructor.ended_at is null
      -- A password that changes at the same moment takes its turn, and ends the codes that were made before it.
      for update of instructor;
    if mine.id is null then
      return false;
    end if;
    delete from recovery_code where academy_id = mine.academy_id and instructor_id = mine.instructor_id;
    insert into recovery_code (academy_id, instructor_id, code_hash, made_at)
      select mine.academy_id, mine.instructor_id, each, at from unnest(hashes) as each;
    perform note_key(mine.academy_id, mine.instructor_id, 'recovery codes made', at);
    return true;
  end
  $$;

-- Invitations are owners' to make, and to be worth anything when they are opened.
create or replace function invite_find(wanted bytea, at timestamptz)
  returns table (academy_name text, invited_by text, role text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select academy.name, instructor.name, invite.role
    from invite
    join academy on academy.id = invite.academy_id
    join instructor on instructor.academy_id = invite.academy_id and instructor.id = invite.made_by
    where invite.code_hash = wanted and invite.used_at is null and invite.withdrawn_at is null
      and invite.expires_at > at and instructor.ended_at is null and instructor.role = 'owner'
  $$;

create or replace function invite_accept(wanted bytea, newcomer uuid, own_name text, own_email text, own_hash text, at timestamptz)
  returns text
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    open_invite invite;
  begin
    select * into open_invite from invite
      where code_hash = wanted and used_at is null and withdrawn_at is null and expires_at > at for update;
    -- A role that changes at the same moment takes its turn.
    if open_invite.id is null then
      return 'no invitation';
    end if;
    perform from instructor as host
      where host.academy_id = open_invite.academy_id and host.id = open_invite.made_by
        and host.ended_at is null and host.role = 'owner' for share;
    if not found then
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

create or replace function colleague_change(actor uuid, whom uuid, new_role text, ends boolean, at timestamptz)
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
    if ends or new_role <> 'owner' then
      -- What an owner handed out ends with the role.
      update invite set withdrawn_at = at
        where academy_id = current_academy() and made_by = whom and used_at is null and withdrawn_at is null;
      update reset_link set used_at = at where academy_id = current_academy() and made_by = whom and used_at is null;
    end if;
    if ends then
      perform keys_end(current_academy(), whom, at, null);
    end if;
    return 'done';
  end
  $$;

-- Answers on consent in the order in which they counted: by the academy's changes, and those of a file before all of them.
alter table consent
  add column after_id uuid,
  add column place bigint not null default 0;
alter table consent alter column place set default this_change();
drop index consent_newest;
create index consent_newest on consent (academy_id, student_id, place desc, received_at desc, id desc);

-- What a student's newest answer allows: the row, where there is one.
create function consent_now(of_academy uuid, of_student uuid) returns setof consent
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select * from consent where academy_id = of_academy and student_id = of_student
    order by place desc, received_at desc, id desc limit 1
  $$;
create policy consent_doorman on consent for select to pedastance_doorman using (true);
grant select on consent to pedastance_doorman;

-- No picture is answered whose consent does not stand at that moment.
create or replace function card_pictures(wanted bytea, today date) returns table (pictures jsonb)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select case when (select sharing from consent_now(link.academy_id, link.student_id)) then link.pictures end
    from card_link as link
    where link.token_hash = wanted and link.revoked_at is null and link.ends_on >= today
  $$;

-- A photo that was deleted: a file from before does not bring it back.
create table deleted_photo (
  academy_id uuid not null constraint deleted_photo_academy references academy,
  photo uuid not null,
  deleted_at timestamptz not null default now(),
  constraint deleted_photo_key primary key (academy_id, photo)
);
alter table deleted_photo enable row level security;
alter table deleted_photo force row level security;
create policy deleted_photo_own on deleted_photo to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on deleted_photo to pedastance_app;

create function leave_deleted_photo() returns trigger
  language plpgsql set search_path = public, pg_temp
  as $$
  begin
    if exists (select from deleted_photo where academy_id = new.academy_id and photo = new.id) then
      return null;
    end if;
    return new;
  end
  $$;
create trigger photo_deleted_before before insert on photo for each row execute function leave_deleted_photo();

grant create on schema public to pedastance_doorman;
do $$
declare
  of_doorman text;
begin
  foreach of_doorman in array array['keys_end(uuid, uuid, timestamptz, bytea)', 'note_key(uuid, uuid, text, timestamptz)',
    'consent_now(uuid, uuid)'] loop
    execute format('alter function %s owner to pedastance_doorman', of_doorman);
    execute format('revoke execute on function %s from public', of_doorman);
  end loop;
end
$$;
revoke create on schema public from pedastance_doorman;
