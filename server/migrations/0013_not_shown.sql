-- A look that shows nothing says so, intervals may have no bound, and a look names the model that made it.

alter table look_entry
  add column model_version text constraint look_entry_model_version check (model_version ~ '^\d{1,4}\.\d{1,4}\.\d{1,4}$'),
  drop constraint look_entry_verdict,
  add constraint look_entry_verdict check (verdict in ('keep', 'not yet', 'not shown', 'drop')),
  -- What the last look does not show, or the one look at changes taken apart.
  add constraint look_entry_not_shown check (verdict <> 'not shown' or look = 3 or effects is not null),
  drop constraint look_entry_evidence_whole,
  add constraint look_entry_evidence_whole check (
    num_nulls(difference, p, exact, arrangements, count_a, count_b, mean_a, mean_b) in (0, 8)
    and (difference is not null or num_nonnulls(shift, interval_low, interval_high) = 0)),
  drop constraint look_entry_overruled,
  add constraint look_entry_overruled check (
    decision = case verdict when 'not yet' then 'go on' when 'not shown' then 'drop' else verdict end
    or char_length(note) >= 1);
