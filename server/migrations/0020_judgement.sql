-- A reading keeps the judgement that was told with it; one from before there was a judgement has none.

alter table reading_entry
  add column judgement jsonb,
  add constraint reading_entry_judgement check (
    jsonb_typeof(judgement) = 'object'
    and judgement ?& array['intakeId', 'shotIds', 'pinned', 'before', 'things', 'goals', 'back', 'through', 'path', 'partings', 'pulledBothWays',
                           'leadHeelLift']
    and jsonb_typeof(judgement -> 'things') = 'array' and jsonb_array_length(judgement -> 'things') <= 2
    and jsonb_typeof(judgement -> 'goals') = 'array' and jsonb_array_length(judgement -> 'goals') = 15
    and jsonb_typeof(judgement -> 'shotIds') = 'array'
    and jsonb_typeof(judgement -> 'pinned') = 'array'
    and judgement -> 'pinned' <@ '["stanceWidth", "leadFlare", "trailFlare", "setback", "ballAlong", "leadShare", "hipBump",
                                   "leadHeelLift"]'
    and jsonb_typeof(judgement -> 'before') = 'array' and judgement -> 'before' <@ '["see a doctor", "test the legs"]'
    and has_numbers(judgement, array['leadHeelLift'])
    and (judgement -> 'leadHeelLift')::float8 between 0 and 25);
