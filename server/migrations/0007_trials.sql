-- Trials: what was declared before the first shot, every shot, and what was decided at each look.

alter table log_entry drop constraint log_entry_kind;
alter table log_entry add constraint log_entry_kind
  check (kind in ('address', 'reading', 'change', 'trial', 'shots', 'look'));

create domain outcome as text constraint outcome_known check (value in (
  'straight path', 'start line', 'nearness to the line', 'carry', 'club speed',
  'started on line', 'flew straight', 'clean strike', 'balance held', 'turn felt'));

create table trial_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'trial' constraint trial_entry_kind check (kind = 'trial'),
  address_a_id uuid not null,
  address_b_id uuid not null,
  cue_a text not null constraint trial_entry_cue_a check (char_length(cue_a) <= 200),
  cue_b text not null constraint trial_entry_cue_b check (char_length(cue_b) <= 200),
  primary_outcome outcome not null,
  margin double precision not null constraint trial_entry_margin check (margin > 0 and margin <= 100),
  scatter double precision not null constraint trial_entry_scatter check (scatter > 0 and scatter <= 100),
  mishits text not null constraint trial_entry_mishits check (mishits in ('left out', 'counted')),
  warm_ups smallint not null constraint trial_entry_warm_ups check (warm_ups between 0 and 20),
  block_size smallint not null constraint trial_entry_block_size check (block_size in (1, 2)),
  seed bigint not null constraint trial_entry_seed check (seed between 0 and 4294967295),
  source text not null constraint trial_entry_source check (source in ('simulated monitor', 'by hand')),
  -- Changes that are taken apart, one by one; none where B is tried as a whole.
  apart text[] not null constraint trial_entry_apart check (cardinality(apart) in (0, 2, 3)),
  constraint trial_entry_apart_known check (apart <@ array['stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'ballAlong',
    'ballOut', 'leadShare', 'leadHeelToe', 'trailHeelToe', 'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap',
    'hipLine', 'shoulderLine', 'shoulderTilt', 'clubFace', 'hipTurn', 'shoulderTurn']),
  constraint trial_entry_key primary key (academy_id, id),
  constraint trial_entry_of_student unique (academy_id, student_id, id),
  constraint trial_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint trial_entry_address_a foreign key (academy_id, student_id, address_a_id)
    references address_entry (academy_id, student_id, id),
  constraint trial_entry_address_b foreign key (academy_id, student_id, address_b_id)
    references address_entry (academy_id, student_id, id),
  -- Something has to differ: the feet, or what is thought of.
  constraint trial_entry_differs check (address_a_id <> address_b_id or cue_a <> cue_b)
);

-- Each way of combining the changes that are taken apart, with the address it is stood in.
create table trial_cell (
  academy_id uuid not null,
  student_id uuid not null,
  trial_id uuid not null,
  cell smallint not null constraint trial_cell_cell check (cell between 0 and 7),
  address_id uuid not null,
  constraint trial_cell_key primary key (academy_id, trial_id, cell),
  constraint trial_cell_trial foreign key (academy_id, student_id, trial_id)
    references trial_entry (academy_id, student_id, id),
  constraint trial_cell_address foreign key (academy_id, student_id, address_id)
    references address_entry (academy_id, student_id, id)
);

create table shots_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'shots' constraint shots_entry_kind check (kind = 'shots'),
  address_id uuid not null,
  trial_id uuid,
  source text not null constraint shots_entry_source check (source in ('simulated monitor', 'by hand', 'file')),
  sitting smallint not null constraint shots_entry_sitting check (sitting between 0 and 100),
  -- Where a trial's shot stands in its order: a warm-up, or a block with its setup.
  warm_up boolean not null,
  block smallint constraint shots_entry_block check (block between 0 and 47),
  arm text constraint shots_entry_arm check (arm in ('A', 'B')),
  cell smallint,
  constraint shots_entry_key primary key (academy_id, id),
  constraint shots_entry_of_student unique (academy_id, student_id, id),
  constraint shots_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint shots_entry_address foreign key (academy_id, student_id, address_id)
    references address_entry (academy_id, student_id, id),
  constraint shots_entry_trial foreign key (academy_id, student_id, trial_id)
    references trial_entry (academy_id, student_id, id),
  constraint shots_entry_cell foreign key (academy_id, trial_id, cell)
    references trial_cell (academy_id, trial_id, cell),
  constraint shots_entry_place check (case
    when trial_id is null then not warm_up and block is null and arm is null and cell is null
    when warm_up then block is null and arm is null and cell is null
    else block is not null and num_nonnulls(arm, cell) = 1
  end)
);
create index shots_entry_of_trial on shots_entry (academy_id, trial_id);

create table shot (
  academy_id uuid not null,
  student_id uuid not null,
  entry_id uuid not null,
  position smallint not null constraint shot_position check (position between 0 and 499),
  path double precision constraint shot_path check (path between -30 and 30),
  start_line double precision constraint shot_start_line check (start_line between -45 and 45),
  club_speed double precision constraint shot_club_speed check (club_speed between 5 and 75),
  ball_speed double precision constraint shot_ball_speed check (ball_speed between 5 and 110),
  carry double precision constraint shot_carry check (carry between 0 and 380),
  side double precision constraint shot_side check (side between -150 and 150),
  start_side text constraint shot_start_side check (start_side in ('near', 'none', 'far')),
  curve_side text constraint shot_curve_side check (curve_side in ('near', 'none', 'far')),
  strike text constraint shot_strike check (strike in ('clean', 'fat', 'thin', 'heel', 'toe')),
  balance_held boolean,
  felt_turn text constraint shot_felt_turn check (felt_turn in ('short', 'enough', 'full')),
  mishit boolean not null,
  constraint shot_key primary key (academy_id, entry_id, position),
  constraint shot_entry foreign key (academy_id, student_id, entry_id)
    references shots_entry (academy_id, student_id, id)
);

create table look_entry (
  academy_id uuid not null,
  student_id uuid not null,
  id uuid not null,
  kind text not null default 'look' constraint look_entry_kind check (kind = 'look'),
  trial_id uuid not null,
  look smallint not null constraint look_entry_look check (look between 1 and 3),
  pain_up boolean not null,
  verdict text not null constraint look_entry_verdict check (verdict in ('keep', 'not yet', 'drop')),
  because text not null constraint look_entry_because
    check (because in ('pain', 'better', 'worse', 'unclear', 'never shown', 'not seen')),
  -- The evidence as it was: the primary outcome alone decides. Null where it was not seen.
  difference double precision,
  shift double precision,
  interval_low double precision,
  interval_high double precision,
  p double precision constraint look_entry_p check (p between 0 and 1),
  exact boolean,
  arrangements bigint constraint look_entry_arrangements check (arrangements >= 1),
  chance double precision constraint look_entry_chance check (chance between 0 and 1),
  count_a smallint constraint look_entry_count_a check (count_a >= 1),
  count_b smallint constraint look_entry_count_b check (count_b >= 1),
  mean_a double precision,
  mean_b double precision,
  -- What each change did that was taken apart; null where B was tried as a whole.
  effects jsonb constraint look_entry_effects check (
    jsonb_typeof(effects) = 'array' and jsonb_array_length(effects) between 2 and 3),
  decision text not null constraint look_entry_decision check (decision in ('keep', 'go on', 'drop')),
  note text not null constraint look_entry_note check (char_length(note) <= 500),
  constraint look_entry_key primary key (academy_id, id),
  constraint look_entry_entry foreign key (academy_id, student_id, id, kind)
    references log_entry (academy_id, student_id, id, kind),
  constraint look_entry_trial foreign key (academy_id, student_id, trial_id)
    references trial_entry (academy_id, student_id, id),
  -- Each look once, and three at most.
  constraint look_entry_once unique (academy_id, trial_id, look),
  constraint look_entry_evidence_whole check (num_nulls(difference, shift, interval_low, interval_high, p,
    exact, arrangements, count_a, count_b, mean_a, mean_b) in (0, 11)),
  constraint look_entry_interval check (interval_low <= interval_high),
  constraint look_entry_last check (look < 3 or (verdict <> 'not yet' and decision <> 'go on')),
  constraint look_entry_pain check (not pain_up or verdict = 'drop'),
  -- Another decision than the verdict's is allowed, and says why.
  constraint look_entry_overruled check (
    decision = case verdict when 'not yet' then 'go on' else verdict end or char_length(note) >= 1)
);

-- What the simulated monitor measured and has not been seen by everybody yet; no part of the log.
create table stand_in_shot (
  academy_id uuid not null,
  session_id uuid not null,
  number integer not null constraint stand_in_shot_number check (number >= 1),
  shot_id uuid not null,
  measured jsonb not null constraint stand_in_shot_measured check (jsonb_typeof(measured) = 'object'),
  ready_at timestamptz not null,
  constraint stand_in_shot_key primary key (academy_id, session_id, number),
  constraint stand_in_shot_once unique (academy_id, shot_id),
  constraint stand_in_shot_academy foreign key (academy_id) references academy
);

do $$
declare
  of_academy text;
begin
  foreach of_academy in array array['trial_entry', 'trial_cell', 'shots_entry', 'shot', 'look_entry', 'stand_in_shot'] loop
    execute format('alter table %I enable row level security', of_academy);
    execute format('alter table %I force row level security', of_academy);
    execute format('create policy %I on %I to pedastance_app using (academy_id = current_academy()) with check (academy_id = current_academy())',
                   of_academy || '_own', of_academy);
    execute format('grant select, insert on %I to pedastance_app', of_academy);
  end loop;
end
$$;
