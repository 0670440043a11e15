-- Students and their build over time. A student may be edited and carries a version; a build is a
-- dated record that is only added to.

create table student (
  academy_id uuid not null constraint student_academy references academy,
  id uuid not null,
  name text not null constraint student_name_length check (char_length(btrim(name)) between 1 and 80),
  hand text not null constraint student_hand check (hand in ('right', 'left')),
  birth_year integer not null constraint student_birth_year check (birth_year between 1900 and 2100),
  cautions text not null constraint student_cautions_length check (char_length(cautions) <= 500),
  version integer not null constraint student_version check (version >= 1),
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  updated_at timestamptz not null,
  constraint student_key primary key (academy_id, id),
  constraint student_made_by foreign key (academy_id, made_by) references instructor
);

create domain figure_source as text constraint figure_source_known check (value in ('measured', 'estimated'));
create domain figure_uncertainty as double precision constraint figure_uncertainty_range check (value > 0 and value <= 200);

create table build (
  academy_id uuid not null,
  id uuid not null,
  student_id uuid not null,
  height double precision not null constraint build_height check (height between 900 and 2300),
  height_source figure_source not null,
  height_uncertainty figure_uncertainty not null,
  shoulder_breadth double precision not null constraint build_shoulder_breadth check (shoulder_breadth between 200 and 650),
  shoulder_breadth_source figure_source not null,
  shoulder_breadth_uncertainty figure_uncertainty not null,
  hip_breadth double precision not null constraint build_hip_breadth check (hip_breadth between 150 and 550),
  hip_breadth_source figure_source not null,
  hip_breadth_uncertainty figure_uncertainty not null,
  shoe_length double precision not null constraint build_shoe_length check (shoe_length between 150 and 380),
  shoe_length_source figure_source not null,
  shoe_length_uncertainty figure_uncertainty not null,
  shoe_breadth double precision not null constraint build_shoe_breadth check (shoe_breadth between 50 and 160),
  shoe_breadth_source figure_source not null,
  shoe_breadth_uncertainty figure_uncertainty not null,
  estimate_as text not null constraint build_estimate_as check (estimate_as in ('woman', 'man', 'not said')),
  shoe_size_system text constraint build_shoe_size_system
    check (shoe_size_system in ('EU', 'UK', 'US men', 'US women', 'Mondopoint')),
  shoe_size double precision constraint build_shoe_size check (shoe_size between 0 and 400),
  made_by uuid not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  constraint build_key primary key (academy_id, id),
  constraint build_of_student unique (academy_id, student_id, id),
  constraint build_student foreign key (academy_id, student_id) references student,
  constraint build_made_by foreign key (academy_id, made_by) references instructor,
  constraint build_shoe_size_whole check ((shoe_size_system is null) = (shoe_size is null)),
  constraint build_shoulders_of_height check (shoulder_breadth <= 0.4 * height)
);
create index build_newest on build (academy_id, student_id, made_at desc);

alter table student enable row level security;
alter table student force row level security;
alter table build enable row level security;
alter table build force row level security;

create policy student_own on student to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());
create policy build_own on build to pedastance_app
  using (academy_id = current_academy()) with check (academy_id = current_academy());

grant select, insert, update on student to pedastance_app;
grant select, insert on build to pedastance_app;
