-- After many records came in at once the planner is told how many there are, instead of finding out by and by.

create function records_analyze() returns void
  language plpgsql security definer set search_path = public, pg_temp
  as $$
  declare
    filled text;
  begin
    foreach filled in array array['student', 'student_word', 'build', 'leg_screen', 'screened_item', 'earlier_turn', 'consent',
      'lesson', 'log_entry', 'intake_entry', 'exception_entry', 'address_entry', 'measurement', 'sighting', 'reading_entry',
      'finding', 'choice_finding', 'change_entry', 'trial_entry', 'trial_cell', 'shots_entry', 'shot', 'look_entry',
      'entry_check'] loop
      execute format('analyze %I', filled);
    end loop;
  end
  $$;
revoke execute on function records_analyze() from public;
grant execute on function records_analyze() to pedastance_app;
