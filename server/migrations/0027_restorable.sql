-- A backup is restored with no search path, and its rows are checked as they come in: what a rule calls says where it
-- looks for what it calls itself.

do $$
declare
  rule regprocedure;
begin
  for rule in
    select oid::regprocedure from pg_proc
    where pronamespace = 'public'::regnamespace and provolatile = 'i' and proconfig is null
      and proowner = (select oid from pg_roles where rolname = current_user)
  loop
    execute format('alter function %s set search_path = public, pg_temp', rule);
  end loop;
end
$$;
