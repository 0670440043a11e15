-- One table of figures, each measured or not. How far the lead toe is from the ball's line has a
-- name of its own, apart from how far the ball is out from the toe line.

alter table trial_entry drop constraint trial_entry_apart_known;
update trial_entry set apart = array_replace(apart, 'ballOut', 'leadToeOut');
alter table trial_entry add constraint trial_entry_apart_known check (apart <@ array[
  'stanceWidth', 'leadFlare', 'trailFlare', 'setback', 'ballAlong', 'leadToeOut', 'leadShare', 'leadHeelToe',
  'trailHeelToe', 'trailKneeInside', 'trailKneeFlex', 'hipBump', 'hipGap', 'hipLine', 'shoulderLine', 'shoulderTilt',
  'clubFace', 'hipTurn', 'shoulderTurn']);
