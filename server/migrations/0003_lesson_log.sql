-- House methods as versioned data, lessons, and the log, which only grows: the application's role
-- may add to it and read it, and nothing else.

create function house_method_is_sound(questions jsonb) returns boolean
  language sql immutable
  as $$
    select jsonb_typeof(questions) = 'object'
      and (select count(*) from jsonb_object_keys(questions)) = 7
      and not exists (
        select 1
        from unnest(array['stanceWidth','leadFlare','trailFlare','stanceLine','ballAlong','leadShare','heelToe']) as name
        where jsonb_typeof(questions -> name -> 'answers') is distinct from 'array'
           or jsonb_array_length(questions -> name -> 'answers') = 0
           or coalesce(questions -> name ->> 'why', '') = ''
           or coalesce(questions -> name ->> 'limitsBelow', '') = ''
           or coalesce(questions -> name ->> 'limitsAbove', '') = ''
      )
  $$;

create table house_method (
  academy_id uuid not null constraint house_method_academy references academy,
  id uuid not null,
  version integer not null constraint house_method_version check (version >= 1),
  name text not null constraint house_method_name_length check (char_length(name) between 1 and 80),
  summary text not null constraint house_method_summary_length check (char_length(summary) between 1 and 500),
  questions jsonb not null constraint house_method_sound check (house_method_is_sound(questions)),
  made_at timestamptz not null,
  constraint house_method_key primary key (academy_id, id, version)
);

create table lesson (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  instructor_id uuid not null,
  started_at timestamptz not null,
  received_at timestamptz not null,
  constraint lesson_key primary key (academy_id, id),
  constraint lesson_of_student unique (academy_id, student_id, id),
  constraint lesson_student foreign key (academy_id, student_id) references student,
  constraint lesson_instructor foreign key (academy_id, instructor_id) references instructor
);

create table log_entry (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  lesson_id uuid not null,
  instructor_id uuid not null,
  kind text not null constraint log_entry_kind check (kind in ('address', 'reading', 'change')),
  replaces_id uuid,
  made_at timestamptz not null,
  received_at timestamptz not null,
  constraint log_entry_key primary key (academy_id, id),
  -- What the tables of each kind refer to, so that an entry keeps to its student and its kind.
  constraint log_entry_of_kind unique (academy_id, student_id, id, kind),
  constraint log_entry_lesson foreign key (academy_id, student_id, lesson_id)
    references lesson (academy_id, student_id, id),
  constraint log_entry_instructor foreign key (academy_id, instructor_id) references instructor,
  constraint log_entry_replaces foreign key (academy_id, student_id, replaces_id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint log_entry_replaces_another check (replaces_id <> id)
);
create index log_entry_newest on log_entry (academy_id, student_id, made_at desc);

create domain ground_coordinate as double precision constraint ground_coordinate_range check (value between -3000 and 3000);
create domain foot_flare as double precision constraint foot_flare_range check (value between -45 and 90);
create domain percent_share as double precision constraint percent_share_range check (value between 0 and 100);

create table address_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'address' constraint address_entry_kind check (kind = 'address'),
  standing text not null constraint address_entry_standing check (standing in ('today', 'agreed')),
  club text not null constraint address_entry_club check (club in (
    'driver', '3-wood', '5-wood', 'hybrid', '3-iron', '4-iron', '5-iron', '6-iron', '7-iron', '8-iron', '9-iron',
    'pitching-wedge', 'gap-wedge', 'sand-wedge', 'lob-wedge')),
  club_length_inches double precision not null constraint address_entry_club_length check (club_length_inches between 18 and 48),
  shot text not null constraint address_entry_shot check (shot in ('full', 'pitch')),
  shoe_length double precision not null constraint address_entry_shoe_length check (shoe_length between 150 and 380),
  shoe_breadth double precision not null constraint address_entry_shoe_breadth check (shoe_breadth between 50 and 160),
  lead_heel_x ground_coordinate not null,
  lead_heel_y ground_coordinate not null,
  lead_flare foot_flare not null,
  trail_heel_x ground_coordinate not null,
  trail_heel_y ground_coordinate not null,
  trail_flare foot_flare not null,
  lead_share percent_share not null,
  lead_heel_toe percent_share not null,
  trail_heel_toe percent_share not null,
  constraint address_entry_key primary key (academy_id, id),
  constraint address_entry_of_student unique (academy_id, student_id, id),
  constraint address_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint address_entry_lead_is_ahead check (lead_heel_x > trail_heel_x),
  constraint address_entry_pitch check (shot = 'full' or club not in ('driver', '3-wood', '5-wood', 'hybrid'))
);

create table reading_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'reading' constraint reading_entry_kind check (kind = 'reading'),
  address_id uuid not null,
  build_id uuid not null,
  method_id uuid not null,
  method_version integer not null,
  model_version text not null constraint reading_entry_model_version check (model_version ~ '^\d+\.\d+\.\d+$'),
  notices jsonb not null constraint reading_entry_notices check (jsonb_typeof(notices) = 'array' and jsonb_array_length(notices) <= 2),
  constraint reading_entry_key primary key (academy_id, id),
  constraint reading_entry_of_student unique (academy_id, student_id, id),
  constraint reading_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint reading_entry_address foreign key (academy_id, student_id, address_id)
    references address_entry (academy_id, student_id, id),
  constraint reading_entry_build foreign key (academy_id, student_id, build_id)
    references build (academy_id, student_id, id),
  constraint reading_entry_method foreign key (academy_id, method_id, method_version)
    references house_method (academy_id, id, version)
);

create table finding (
  academy_id uuid not null,
  reading_id uuid not null,
  position integer not null constraint finding_position check (position between 0 and 7),
  item text not null constraint finding_item check (
    item = (array['stanceWidth','leadFlare','trailFlare','stanceLine','ballAlong','leadShare','leadHeelToe','trailHeelToe'])[position + 1]),
  question text not null constraint finding_question check (
    question = (array['stanceWidth','leadFlare','trailFlare','stanceLine','ballAlong','leadShare','heelToe','heelToe'])[position + 1]),
  unit text not null constraint finding_unit check (unit in ('mm', 'degrees', 'percent')),
  measured double precision not null,
  uncertainty double precision not null constraint finding_uncertainty check (uncertainty > 0),
  low double precision not null,
  middle double precision not null,
  high double precision not null,
  verdict text not null,
  close boolean not null,
  widened_by text[] not null constraint finding_widened_by check (
    widened_by <@ array['height', 'shoulderBreadth', 'hipBreadth', 'shoeLength', 'shoeBreadth']),
  mark text not null constraint finding_mark check (mark in ('common practice, no source', 'starting value', 'from memory')),
  why text not null constraint finding_why check (char_length(why) between 1 and 500),
  limits text not null constraint finding_limits check (char_length(limits) <= 500),
  put_forward boolean not null,
  constraint finding_key primary key (academy_id, reading_id, position),
  constraint finding_reading foreign key (academy_id, reading_id) references reading_entry (academy_id, id),
  constraint finding_band check (low <= middle and middle <= high),
  constraint finding_verdict check (verdict = case when measured < low then 'below' when measured > high then 'above' else 'in' end),
  constraint finding_put_forward check (not put_forward or verdict <> 'in')
);

create table change_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'change' constraint change_entry_kind check (kind = 'change'),
  reading_id uuid not null,
  from_address_id uuid not null,
  to_address_id uuid not null,
  reason text not null constraint change_entry_reason check (char_length(reason) between 1 and 500),
  feel text not null constraint change_entry_feel check (char_length(feel) <= 500),
  note text not null constraint change_entry_note check (char_length(note) <= 2000),
  constraint change_entry_key primary key (academy_id, id),
  constraint change_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint change_entry_reading foreign key (academy_id, student_id, reading_id)
    references reading_entry (academy_id, student_id, id),
  constraint change_entry_from foreign key (academy_id, student_id, from_address_id)
    references address_entry (academy_id, student_id, id),
  constraint change_entry_to foreign key (academy_id, student_id, to_address_id)
    references address_entry (academy_id, student_id, id),
  constraint change_entry_changes check (from_address_id <> to_address_id)
);

-- Every write that landed: the same id and body again is answered as it was the first time.
create table landed_write (
  academy_id uuid not null,
  id uuid not null,
  instructor_id uuid not null,
  route text not null constraint landed_write_route check (char_length(route) between 1 and 80),
  body_hash bytea not null constraint landed_write_sha256 check (octet_length(body_hash) = 32),
  answer jsonb not null constraint landed_write_answer check (jsonb_typeof(answer) = 'object'),
  received_at timestamptz not null,
  constraint landed_write_key primary key (academy_id, id),
  constraint landed_write_instructor foreign key (academy_id, instructor_id) references instructor
);

do $$
declare
  of_academy text;
begin
  foreach of_academy in array array['house_method', 'lesson', 'log_entry', 'address_entry', 'reading_entry',
                                    'finding', 'change_entry', 'landed_write'] loop
    execute format('alter table %I enable row level security', of_academy);
    execute format('alter table %I force row level security', of_academy);
    execute format('create policy %I on %I to pedastance_app using (academy_id = current_academy()) with check (academy_id = current_academy())',
                   of_academy || '_own', of_academy);
    execute format('grant select, insert on %I to pedastance_app', of_academy);
  end loop;
end
$$;

revoke insert on house_method from pedastance_app;
create policy house_method_owner on house_method to pedastance_owner using (true) with check (true);
revoke execute on function house_method_is_sound(jsonb) from public;
