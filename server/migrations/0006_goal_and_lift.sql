-- How sure the way of taking an angle was, where the way itself tells; a change's lift and its goal.

alter table screened_item
  add column uncertainty double precision
    constraint screened_item_uncertainty check (uncertainty > 0 and uncertainty <= 90);

-- A change may be the lead heel's lift alone, on feet that stand as they stood. What was agreed before
-- lifts were kept lifted nothing, and aimed at the usual turn of the shoulders.
alter table change_entry
  add column lead_heel_lift double precision not null default 0
    constraint change_entry_lead_heel_lift check (lead_heel_lift between 0 and 25),
  add column shoulder_goal double precision not null default 90
    constraint change_entry_shoulder_goal check (shoulder_goal between 45 and 120);
alter table change_entry
  alter column lead_heel_lift drop default,
  alter column shoulder_goal drop default;
