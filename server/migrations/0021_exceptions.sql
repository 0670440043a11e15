-- A student's exceptions from the house method: bands of their own, with one club or with all, each an entry of the log;
-- the one that replaces it may change it or end it.

alter table log_entry drop constraint log_entry_kind;
alter table log_entry add constraint log_entry_kind
  check (kind in ('address', 'reading', 'change', 'trial', 'shots', 'look', 'intake', 'exception'));

create table exception_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'exception' constraint exception_entry_kind check (kind = 'exception'),
  item text not null constraint exception_entry_item check (item in ('stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine')),
  low double precision not null,
  high double precision not null,
  club text constraint exception_entry_club check (club = any (bag())),
  ended boolean not null,
  constraint exception_entry_key primary key (academy_id, id),
  constraint exception_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint exception_entry_band check (low <= high and case item
    when 'stanceWidth' then low >= 50 and high <= 1200
    when 'stanceLine' then low >= -30 and high <= 40
    else low >= -30 and high <= 60
  end)
);
alter table exception_entry enable row level security;
alter table exception_entry force row level security;
create policy exception_entry_own on exception_entry to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on exception_entry to pedastance_app;
