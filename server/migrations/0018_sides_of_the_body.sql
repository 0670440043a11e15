-- Legs and trunk belong to a side of the body: a screen keeps the hand that its lead and trail were named for, so that
-- they stay with the leg where a hand is put right later. Besides, the level-turn check.

alter table leg_screen no force row level security;
alter table student no force row level security;
alter table leg_screen add column hand text constraint leg_screen_hand check (hand in ('right', 'left'));
update leg_screen set hand = student.hand
from student where student.academy_id = leg_screen.academy_id and student.id = leg_screen.student_id;
alter table leg_screen alter column hand set not null;
alter table leg_screen force row level security;
alter table student force row level security;

alter table screened_item drop constraint screened_item_range;
alter table screened_item add constraint screened_item_range check (case
  when item in ('toeOutLead', 'toeOutTrail') then -10 <= all (tries) and 50 >= all (tries)
  when item in ('turnInLead', 'turnInTrail') then 0 <= all (tries) and 70 >= all (tries)
  when item in ('turnOutLead', 'turnOutTrail') then 0 <= all (tries) and 80 >= all (tries)
  when item in ('trunkBack', 'trunkThrough') then 0 <= all (tries) and 90 >= all (tries)
  when item = 'hipsBack' then 0 <= all (tries) and 100 >= all (tries)
  when item = 'hipsThrough' then 0 <= all (tries) and 110 >= all (tries)
  when item in ('shouldersBack', 'levelTurnBack') then 0 <= all (tries) and 150 >= all (tries)
  when item = 'shouldersThrough' then 0 <= all (tries) and 160 >= all (tries)
  else false
end);
