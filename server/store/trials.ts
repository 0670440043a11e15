import type { LookEntry, ShotsEntry, TrialEntry } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { CHECK_AS_JSON } from './checks';
import { insertRow, insertRows, type EntryKey } from './rows';

export async function addTrial(client: ClientBase, key: EntryKey, entry: TrialEntry): Promise<void> {
  await insertRow(client, 'trial_entry', {
    ...key,
    address_a_id: entry.addressAId,
    address_b_id: entry.addressBId,
    cue_a: entry.cueA,
    cue_b: entry.cueB,
    primary_outcome: entry.primary,
    margin: entry.margin,
    scatter: entry.scatter,
    mishits: entry.mishits,
    warm_ups: entry.warmUps,
    length: entry.length,
    block_size: entry.blockSize,
    seed: entry.seed,
    source: entry.source,
    apart: entry.apart?.changes ?? [],
  });
  const { academy_id, student_id, id: trial_id } = key;
  const addressIds = entry.apart?.addressIds ?? [];
  await insertRows(
    client,
    'trial_cell',
    addressIds.map((address_id, cell) => ({ academy_id, student_id, trial_id, cell, address_id })),
  );
}

export async function addShots(client: ClientBase, key: EntryKey, entry: ShotsEntry): Promise<void> {
  const { place } = entry;
  const inOrder = place && !place.warmUp ? place : null;
  await insertRow(client, 'shots_entry', {
    ...key,
    address_id: entry.addressId,
    trial_id: entry.trialId,
    source: entry.source,
    sitting: entry.sitting,
    warm_up: place?.warmUp ?? false,
    block: inOrder?.block,
    arm: inOrder?.arm,
    cell: inOrder?.cell,
  });
  const { academy_id, student_id, id: entry_id } = key;
  const shots = entry.shots.map((shot, position) => ({
    academy_id,
    student_id,
    entry_id,
    position,
    path: shot.path,
    face: shot.face,
    start_line: shot.startLine,
    curve: shot.curve,
    club_speed: shot.clubSpeed,
    ball_speed: shot.ballSpeed,
    carry: shot.carry,
    side: shot.side,
    attack: shot.attack,
    divot_start: shot.divotStart,
    divot_end: shot.divotEnd,
    tee_height: shot.teeHeight,
    start_side: shot.startSide,
    curve_side: shot.curveSide,
    strike: shot.strike,
    balance_held: shot.balanceHeld,
    felt_turn: shot.feltTurn,
    mishit: shot.mishit,
  }));
  await insertRows(client, 'shot', shots);
}

export async function addLook(client: ClientBase, key: EntryKey, entry: LookEntry): Promise<void> {
  const { evidence } = entry;
  await insertRow(client, 'look_entry', {
    ...key,
    trial_id: entry.trialId,
    shot_ids: entry.shotIds,
    model_version: entry.modelVersion,
    length: entry.length,
    look: entry.look,
    pain_up: entry.painUp,
    verdict: entry.verdict,
    because: entry.because,
    difference: evidence?.difference,
    shift: evidence?.shift,
    interval_low: evidence?.interval[0],
    interval_high: evidence?.interval[1],
    p: evidence?.p,
    exact: evidence?.exact,
    arrangements: evidence?.arrangements,
    chance: evidence?.chance,
    count_a: evidence?.count.A,
    count_b: evidence?.count.B,
    mean_a: evidence?.mean.A,
    mean_b: evidence?.mean.B,
    effects: entry.effects && JSON.stringify(entry.effects),
    decision: entry.decision,
    note: entry.note,
  });
}

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
    from shots_entry where shots_entry.academy_id = entry.academy_id and shots_entry.id = entry.id)
  when 'look' then (
    select jsonb_build_object('trialId', trial_id, 'shotIds', to_jsonb(shot_ids), 'modelVersion', model_version, 'check', (${CHECK_AS_JSON}), 'length', length, 'look', look, 'painUp', pain_up, 'verdict', verdict,
      'because', because, 'effects', effects, 'decision', decision, 'note', note,
      'evidence', case when difference is not null then jsonb_build_object('difference', difference, 'shift', shift,
        'interval', jsonb_build_array(interval_low, interval_high), 'p', p, 'exact', exact,
        'arrangements', arrangements, 'chance', chance, 'count', jsonb_build_object('A', count_a, 'B', count_b),
        'mean', jsonb_build_object('A', mean_a, 'B', mean_b)) end)
    from look_entry where look_entry.academy_id = entry.academy_id and look_entry.id = entry.id)`;
