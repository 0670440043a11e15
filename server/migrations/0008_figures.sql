-- One table of figures, each measured or not. How far the lead toe is from the ball's line has a
-- name of its own, apart from how far the ball is out from the toe line.

-- The owner of the tables sees every academy's rows while it brings them to their new shape.
alter table trial_entry no force row level security;
alter table address_entry no force row level security;
alter table sighting no force row level security;

alter table trial_entry drop constraint trial_entry_apart_known;
update trial_entry set apart = array_replace(apart, 'ballOut', 'leadToeOut');
alter table trial_entry add constraint trial_entry_apart_known check (apart <@ array[
  'stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'ballAlong', 'leadToeOut', 'leadShare', 'leadHeelToe',
  'trailHeelToe', 'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap', 'hipLine', 'shoulderLine', 'shoulderTilt',
  'clubFace', 'hipTurn', 'shoulderTurn']);

-- How a figure was obtained, and one standard deviation of it, mm, degrees or percent.
create domain measurement_way as text
  constraint measurement_way_known check (value in ('tape', 'drag', 'by eye', 'photo', 'mat', 'gauge'));
create domain measured_uncertainty as double precision
  constraint measured_uncertainty_range check (value > 0 and value <= 500);

-- Which figures of feet and load were measured; what only stood as it was drawn has no row.
create table measurement (
  academy_id uuid not null,
  student_id uuid not null,
  address_id uuid not null,
  figure text not null constraint measurement_figure check (figure in (
    'stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'ballAlong', 'ballOut', 'leadShare', 'leadHeelToe', 'trailHeelToe')),
  way measurement_way not null,
  uncertainty measured_uncertainty not null,
  constraint measurement_key primary key (academy_id, address_id, figure),
  constraint measurement_address foreign key (academy_id, student_id, address_id)
    references address_entry (academy_id, student_id, id)
);

-- Addresses from before were placed with sticks and a tape, and the load noted, all of it.
insert into measurement (academy_id, student_id, address_id, figure, way, uncertainty)
select academy_id, student_id, id, figure, way, uncertainty
from address_entry cross join (values
  ('stanceWidth', 'tape', 10), ('leadFlare', 'tape', 2), ('trailFlare', 'tape', 2), ('setback', 'tape', 10),
  ('ballAlong', 'tape', 10), ('ballOut', 'tape', 10),
  ('leadShare', 'drag', 2), ('leadHeelToe', 'drag', 5), ('trailHeelToe', 'drag', 5)
) as before (figure, way, uncertainty);

-- What is seen above the feet says the same of itself: how, and how sure.
alter table sighting add column way measurement_way, add column uncertainty measured_uncertainty;
update sighting set
  way = case seen_by when 'eye' then 'by eye' else 'tape' end,
  uncertainty = case item
    when 'trailKneeInside' then case seen_by when 'eye' then 15 else 8 end
    when 'trailKneeFlex' then case seen_by when 'eye' then 5 else 3 end
    when 'hipBump' then case seen_by when 'eye' then 12 else 8 end
    when 'hipGap' then case seen_by when 'eye' then 15 else 8 end
    when 'clubFace' then case seen_by when 'eye' then 2 else 1 end
    when 'hipTurn' then case seen_by when 'eye' then 8 else 4 end
    when 'shoulderTurn' then case seen_by when 'eye' then 8 else 4 end
    else case seen_by when 'eye' then 4 else 2 end
  end;
alter table sighting
  alter column way set not null,
  alter column uncertainty set not null,
  drop column seen_by;

alter table trial_entry force row level security;
alter table address_entry force row level security;
alter table sighting force row level security;
alter table measurement enable row level security;
alter table measurement force row level security;
create policy measurement_own on measurement to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert on measurement to pedastance_app;
