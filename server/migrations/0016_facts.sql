-- Facts that advice has to mind, the day of birth, and what of both a reading was made with.

create function caution_facts_are_sound(facts jsonb) returns boolean language sql immutable as $$
  select jsonb_typeof(facts) = 'array' and jsonb_array_length(facts) <= 40
    and coalesce((
      select bool_and(
        jsonb_typeof(fact) = 'object'
        and fact ?& array['joint', 'side', 'state', 'since', 'clearedBy', 'notedOn', 'status']
        and (select count(*) from jsonb_object_keys(fact)) = 7
        and fact ->> 'joint' in ('hip', 'knee', 'ankle', 'lower back', 'shoulder', 'neck', 'wrist', 'other')
        and fact ->> 'side' in ('left', 'right', 'both')
        and fact ->> 'state' in ('pain', 'stiff', 'operated', 'replaced', 'recent fall', 'dizzy or numb', 'growing')
        and fact ->> 'status' in ('stands', 'over', 'waved away')
        and jsonb_typeof(fact -> 'since') = 'string' and char_length(fact ->> 'since') <= 60
        and jsonb_typeof(fact -> 'clearedBy') = 'string' and char_length(fact ->> 'clearedBy') <= 60
        and fact ->> 'notedOn' ~ '^20\d\d-[01]\d-[0-3]\d$')
      from jsonb_array_elements(facts) as fact), true)
$$;
revoke execute on function caution_facts_are_sound(jsonb) from public;
grant execute on function caution_facts_are_sound(jsonb) to pedastance_app, pedastance_owner;

alter table student
  add column born_on date,
  add constraint student_born_on check (extract(year from born_on) = birth_year),
  add column caution_facts jsonb not null default '[]',
  add constraint student_caution_facts check (caution_facts_are_sound(caution_facts));

alter table reading_entry
  add column read_hand text constraint reading_entry_hand check (read_hand in ('right', 'left')),
  add column read_caution_facts jsonb constraint reading_entry_caution_facts check (caution_facts_are_sound(read_caution_facts)),
  add column read_shoulder_goal double precision
    constraint reading_entry_shoulder_goal check (read_shoulder_goal between 45 and 120),
  -- All of it since readings name them, none before.
  add constraint reading_entry_facts_named check (
    num_nulls(read_hand, read_caution_facts, read_shoulder_goal) in (0, 3)
    and (read_hand is null or read_age is not null));
