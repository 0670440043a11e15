-- A photo of a student's feet, kept with the address that was measured in it. Unlike the log it can be deleted; it goes
-- with its address when a student is erased.

create table photo (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  address_id uuid not null,
  address_kind text not null default 'address' constraint photo_address_kind check (address_kind = 'address'),
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  width integer not null constraint photo_width check (width between 200 and 4096),
  height integer not null constraint photo_height check (height between 200 and 4096),
  -- It begins as a JPEG does.
  jpeg bytea not null constraint photo_jpeg check (
    octet_length(jpeg) between 100 and 400000 and get_byte(jpeg, 0) = 255 and get_byte(jpeg, 1) = 216),
  sight jsonb not null constraint photo_sight check (
    jsonb_typeof(sight) = 'object' and sight ?& array['camera', 'known', 'taps', 'heights']
    and pg_column_size(sight) <= 16000),
  constraint photo_key primary key (academy_id, id),
  constraint photo_address foreign key (academy_id, student_id, address_id, address_kind)
    references log_entry (academy_id, student_id, id, kind) on delete cascade,
  constraint photo_made_by foreign key (academy_id, made_by) references instructor (academy_id, id)
);
create index photo_of_student on photo (academy_id, student_id, made_at desc);
create index photo_of_address on photo (academy_id, address_id);
-- A JPEG is packed already.
alter table photo alter column jpeg set storage external;

alter table photo enable row level security;
alter table photo force row level security;
create policy photo_own on photo to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
grant select, insert, delete on photo to pedastance_app;
create policy photo_eraser on photo to pedastance_eraser using (academy_id = current_academy());
grant select, delete on photo to pedastance_eraser;
