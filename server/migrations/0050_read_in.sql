-- The writer of an entry that came from a file of records is as the file tells it: who read the file in, and when, stands
-- beside that.

alter table log_entry
  add column read_in_by uuid,
  add column read_in_at timestamptz,
  add constraint log_entry_read_in check ((read_in_by is null) = (read_in_at is null)),
  add constraint log_entry_read_in_by foreign key (academy_id, read_in_by) references instructor (academy_id, id);
