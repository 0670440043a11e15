-- How far each owner has looked through the academy's acts: what was done with keys, access and consent since is told in
-- the day.

alter table instructor add column acts_seen_at timestamptz;
update instructor set acts_seen_at = now();
alter table instructor alter column acts_seen_at set default now(), alter column acts_seen_at set not null;
grant select (acts_seen_at) on instructor to pedastance_app;
grant update (acts_seen_at) on instructor to pedastance_doorman;

-- Of the acts of others; of one's own those that let in to one's account, which somebody else may have done.
create function acts_unseen(actor uuid) returns integer
  language sql stable security invoker set search_path = public, pg_temp
  as $$
    select count(*)::integer
    from instructor
    join audit_entry as entry on entry.academy_id = instructor.academy_id and entry.at > instructor.acts_seen_at
    where instructor.academy_id = current_academy() and instructor.id = actor and instructor.role = 'owner'
      and (entry.act in ('recovery codes made', 'recovery code used', 'password changed', 'password reset', 'passkey made')
        or entry.made_by <> actor
          and entry.act in ('invited', 'joined', 'role changed', 'access ended', 'reset link made', 'consent withdrawn'))
  $$;

-- An owner has looked through the list up to its newest act.
create function acts_seen(actor uuid, newest uuid) returns void
  language sql security definer set search_path = public, pg_temp
  as $$
    update instructor set acts_seen_at = greatest(acts_seen_at, entry.at)
    from audit_entry as entry
    where instructor.academy_id = current_academy() and instructor.id = actor and instructor.role = 'owner'
      and instructor.ended_at is null and entry.academy_id = instructor.academy_id and entry.id = newest
  $$;

grant select on audit_entry to pedastance_doorman;
grant create on schema public to pedastance_doorman;
alter function acts_seen(uuid, uuid) owner to pedastance_doorman;
revoke create on schema public from pedastance_doorman;
revoke execute on function acts_unseen(uuid), acts_seen(uuid, uuid) from public;
grant execute on function acts_unseen(uuid), acts_seen(uuid, uuid) to pedastance_app;
