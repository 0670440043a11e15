-- A width by the shoulders may name the place along the shoe that the plumb line meets.

create or replace function house_rule_is_sound(question text, rule jsonb, clubs jsonb) returns boolean language sql immutable as $$
  select coalesce(case rule ->> 'kind'
    when 'fixed' then house_figure_in_range(question, rule -> 'value')
    when 'by club' then jsonb_typeof(rule -> 'values') = 'object'
      and not exists (select 1 from jsonb_array_elements_text(clubs) as club
                      where not coalesce(house_figure_in_range(question, rule -> 'values' -> club), false))
    when 'by club length' then marks_are_sound(rule -> 'marks', 'value')
      and not exists (select 1 from jsonb_array_elements(rule -> 'marks') as mark
                      where not coalesce(house_figure_in_range(question, mark -> 'value'), false))
    when 'shoulders by club length' then question = 'stanceWidth' and marks_are_sound(rule -> 'marks', 'soleBreadths')
      and (not rule ? 'place' or (has_numbers(rule, array['place']) and (rule -> 'place')::float8 between 0 and 1))
    when 'hips' then question = 'stanceWidth' and has_numbers(rule, array['share'])
    when 'gap in club heads' then question = 'stanceWidth' and has_numbers(rule, array['heads', 'headBreadth'])
    when 'gap between shoes' then question = 'stanceWidth' and has_numbers(rule, array['gap'])
    when 'leg test' then question = 'trailFlare' and has_numbers(rule, array['neededTurn', 'give', 'untested'])
    when 'what the legs lack' then question = 'stanceLine' and has_numbers(rule, array['neededTurn', 'give', 'most', 'untested'])
    when 'by the arc' then question = 'stanceLine' and has_numbers(rule, array['lowPointInside', 'pathPerDegree'])
      and (rule -> 'pathPerDegree')::float8 > 0
    when 'marks of the lead shoe' then question = 'stanceLine' and has_numbers(rule, array['marks'])
    when 'share of the club' then question = 'ballOut' and has_numbers(rule, array['share'])
    when 'choice' then question in ('seat', 'pressureRoute') and jsonb_typeof(rule -> 'choices') = 'array'
      and jsonb_array_length(rule -> 'choices') > 0
      and rule -> 'choices' <@ case question
        when 'seat' then '["over the heels", "behind the heels"]'::jsonb
        else '["centred", "loaded heel", "long drive", "forward-posted"]'::jsonb
      end
    -- What the feet are drawn from has to be answered; the rest may be left free.
    when 'no view' then question not in
      ('stanceWidth', 'leadFlare', 'trailFlare', 'stanceLine', 'ballAlong', 'leadShare', 'heelToe')
    else false
  end, false)
$$;
