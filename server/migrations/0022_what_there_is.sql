-- Trials with the numbers there are: a quick try of five and five, shots typed from any monitor or taken from its file,
-- more figures of a shot; and a note where a reading found nothing to change.

alter table trial_entry
  add column length text not null default 'full' constraint trial_entry_length check (length in ('full', 'quick')),
  add constraint trial_entry_quick check (length = 'full' or (cardinality(apart) = 0 and block_size = 1)),
  add constraint trial_entry_with_length unique (academy_id, id, length),
  drop constraint trial_entry_source,
  add constraint trial_entry_source check (source in ('by hand', 'typed', 'file', 'simulated monitor'));
alter table trial_entry alter column length drop default;

alter table shots_entry
  drop constraint shots_entry_source,
  add constraint shots_entry_source check (source in ('by hand', 'typed', 'file', 'simulated monitor'));

alter table shot
  add column face double precision constraint shot_face check (face between -45 and 45),
  add column curve double precision constraint shot_curve check (curve between -150 and 150),
  add column attack double precision constraint shot_attack check (attack between -20 and 20),
  add column divot_start double precision constraint shot_divot_start check (divot_start between -300 and 300),
  add column divot_end double precision constraint shot_divot_end check (divot_end between -300 and 500),
  add column tee_height double precision constraint shot_tee_height check (tee_height between 0 and 120),
  -- A divot ends beyond where it starts.
  add constraint shot_divot check (divot_end >= divot_start);

alter table look_entry
  add column length text not null default 'full',
  drop constraint look_entry_trial,
  drop constraint look_entry_last,
  drop constraint look_entry_not_shown,
  add constraint look_entry_of_length foreign key (academy_id, trial_id, length)
    references trial_entry (academy_id, id, length),
  add constraint look_entry_trial foreign key (academy_id, student_id, trial_id)
    references trial_entry (academy_id, student_id, id),
  add constraint look_entry_quick check (length = 'full' or look = 1),
  -- After the last look, and after the one of a quick try, there is none to go on to.
  add constraint look_entry_last check (
    (length = 'full' and look < 3) or (verdict <> 'not yet' and decision <> 'go on')),
  add constraint look_entry_not_shown check (
    verdict <> 'not shown' or look = 3 or length = 'quick' or effects is not null);
alter table look_entry alter column length drop default;

alter table reading_entry
  add column note text not null default '' constraint reading_entry_note check (char_length(note) <= 2000);
alter table reading_entry alter column note drop default;
