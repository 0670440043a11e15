-- A screen knows the line its turn was taken on, the tests it left out as they were last taken, and the turns before.

alter table leg_screen add column turned_on_toe_line double precision
  constraint leg_screen_toe_line check (turned_on_toe_line between -45 and 45);
-- The owner of the tables sees every academy's rows while it brings them to their new shape.
alter table leg_screen no force row level security;
update leg_screen set turned_on_toe_line = 0 where turned_on_lead_flare is not null;
alter table leg_screen force row level security;
alter table leg_screen
  drop constraint leg_screen_turned_on_whole,
  add constraint leg_screen_turned_on_whole
    check (num_nulls(turned_on_lead_flare, turned_on_trail_flare, turned_on_toe_line) in (0, 3));

alter table screened_item add column taken_at timestamptz
  constraint screened_item_taken_at check (taken_at >= '2000-01-01Z' and taken_at < '2100-01-01Z');

create table earlier_turn (
  academy_id uuid not null,
  student_id uuid not null,
  screen_id uuid not null,
  position smallint not null constraint earlier_turn_position check (position between 0 and 39),
  taken_at timestamptz not null constraint earlier_turn_taken_at check (taken_at >= '2000-01-01Z' and taken_at < '2100-01-01Z'),
  lead_flare foot_flare not null,
  trail_flare foot_flare not null,
  toe_line double precision not null constraint earlier_turn_toe_line check (toe_line between -45 and 45),
  back double precision constraint earlier_turn_back check (back between 0 and 100),
  back_uncertainty double precision constraint earlier_turn_back_uncertainty check (back_uncertainty > 0 and back_uncertainty <= 90),
  through double precision constraint earlier_turn_through check (through between 0 and 110),
  through_uncertainty double precision constraint earlier_turn_through_uncertainty check (through_uncertainty > 0 and through_uncertainty <= 90),
  stopped_back text constraint earlier_turn_stopped_back check (stopped_back in ('lead', 'trail')),
  stopped_through text constraint earlier_turn_stopped_through check (stopped_through in ('lead', 'trail')),
  constraint earlier_turn_key primary key (academy_id, screen_id, position),
  constraint earlier_turn_screen foreign key (academy_id, student_id, screen_id)
    references leg_screen (academy_id, student_id, id),
  constraint earlier_turn_whole check (
    (back is null) = (back_uncertainty is null) and (through is null) = (through_uncertainty is null)
    and num_nonnulls(back, through) >= 1)
);
alter table earlier_turn enable row level security;
alter table earlier_turn force row level security;
create policy earlier_turn_own on earlier_turn to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on earlier_turn to pedastance_app;
