/** The kinds of a trial as the log's query makes them JSON, each in the shape it was sent in. */
export const TRIAL_KINDS_AS_JSON = `
  when 'trial' then (
    select jsonb_build_object('addressAId', address_a_id, 'addressBId', address_b_id, 'cueA', cue_a, 'cueB', cue_b,
      'primary', primary_outcome, 'margin', margin, 'scatter', scatter, 'mishits', mishits, 'warmUps', warm_ups,
      'length', length, 'blockSize', block_size, 'seed', seed, 'source', source,
      'apart', case when cardinality(apart) > 0 then jsonb_build_object('changes', to_jsonb(apart), 'addressIds', (
        select jsonb_agg(address_id order by cell) from trial_cell
        where trial_cell.academy_id = entry.academy_id and trial_cell.trial_id = entry.id)) end)
    from trial_entry where trial_entry.academy_id = entry.academy_id and trial_entry.id = entry.id)
  when 'shots' then (
    select jsonb_build_object('addressId', address_id, 'trialId', trial_id, 'source', source, 'sitting', sitting,
      'place', case
        when trial_id is null then null
        when warm_up then '{"warmUp": true}'::jsonb
        else jsonb_strip_nulls(jsonb_build_object('warmUp', false, 'block', block, 'arm', arm, 'cell', cell)) end,
      'shots', (
        select coalesce(jsonb_agg(jsonb_strip_nulls(jsonb_build_object('path', path, 'face', face, 'startLine', start_line, 'curve', curve,
          'clubSpeed', club_speed, 'ballSpeed', ball_speed, 'carry', carry, 'side', side, 'attack', attack,
          'divotStart', divot_start, 'divotEnd', divot_end, 'teeHeight', tee_height, 'startSide', start_side,
          'curveSide', curve_side, 'strike', strike, 'balanceHeld', balance_held, 'feltTurn', felt_turn,
          'mishit', mishit)) order by position), '[]')
        from shot where shot.academy_id = entry.academy_id and shot.entry_id = entry.id))
    from shots_entry where shots_entry.academy_id = entry.academy_id and shots_entry.id = entry.id)`;

/** A look as the log's query makes it JSON; `check` is the part that came of working it out again. */
export const lookAsJson = (check: string): string => `
  when 'look' then (
    select jsonb_build_object('trialId', trial_id, 'shotIds', to_jsonb(shot_ids), 'modelVersion', model_version, ${check} 'length', length, 'look', look, 'painUp', pain_up, 'verdict', verdict,
      'because', because, 'effects', effects, 'decision', decision, 'note', note,
      'evidence', case when difference is not null then jsonb_build_object('difference', difference, 'shift', shift,
        'interval', jsonb_build_array(interval_low, interval_high), 'p', p, 'exact', exact,
        'arrangements', arrangements, 'chance', chance, 'count', jsonb_build_object('A', count_a, 'B', count_b),
        'mean', jsonb_build_object('A', mean_a, 'B', mean_b)) end)
    from look_entry where look_entry.academy_id = entry.academy_id and look_entry.id = entry.id)`;
