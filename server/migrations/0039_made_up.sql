-- An academy of made-up students, the demo's: what a stand-in simulates is kept there alone. What an academy kept before comes
-- back with its own records file, told as simulated; it judges nothing there.

alter table academy add column made_up boolean not null default false;
update academy set made_up = true
  where exists (select from instructor where instructor.academy_id = academy.id and instructor.demo);

create function simulated_where_made_up() returns trigger
  language plpgsql
  as $$
  begin
    if new.source like 'simulated%' and current_setting('pedastance.bringing_in', true) is distinct from 'on'
        and not exists (select from academy where academy.id = new.academy_id and academy.made_up) then
      raise exception 'what is simulated is kept of made-up students alone'
        using errcode = 'check_violation', constraint = 'simulated_where_made_up', table = tg_table_name;
    end if;
    return new;
  end
  $$;

create trigger trial_entry_simulated before insert on trial_entry
  for each row execute function simulated_where_made_up();
create trigger shots_entry_simulated before insert on shots_entry
  for each row execute function simulated_where_made_up();
create trigger pressure_entry_simulated before insert on pressure_entry
  for each row execute function simulated_where_made_up();
