import { CUES, MOVE_TABLE } from './moves';

/**
 * What a coach does about each cause, row by row as it was written down before there was code for it (common practice, no
 * source): whoever changes a row says so here.
 */
const WRITTEN = `
  open line: line, setback more, as taught (taught)
  trail leg back: trail foot, trailFlare more, what the turn needs (turn)
  trail leg back: line, setback more, a quarter shoe back (turn)
  lead leg back: lead foot, leadFlare less, as taught (taught)
  lead leg back: lead heel up, leadHeelLift more, what the turn needs (turn)
  trail knee stuck: trail knee, trailKneeBack more, as taught or usual (seen)
  trail toes loaded: load, trailHeelToe less, as taught (taught)
  stiff joint: trail foot, trailFlare more, one dose further (caution)
  stiff joint: line, setback more, a quarter shoe back (caution)
  lead leg through: lead foot, leadFlare more, what the turn needs (turn)
  closed line: line, setback less, as taught (taught)
  lead foot spins out: lead foot, leadFlare more, one dose further (seen)
  sore joint: lead foot, leadFlare more, a dose beyond as taught (caution)
  too wide to post: width, stanceWidth less, what the hips can post on (seen)
  hips central: hips, hipBump more, an inch (seen)
  trail knee outside: trail knee, trailKneeInside more, as taught or usual (seen)
  hips pushed: hips, hipBump less, as taught or usual (taught)
  turns too far: trail foot, trailFlare less, as taught (taught)
  turns too far: line, setback less, as taught (taught)
  path: line, setback more, what the path asks (path)
  path: line, setback less, what the path asks (path)
`;

test('each cause has the moves that were written down for it, in the order in which they are thought of', () => {
  const lines = MOVE_TABLE.map(
    ({ cause, thing, figure, by, to, reason }) => `${cause}: ${thing}, ${figure} ${by}, ${to} (${reason})`,
  );
  expect(lines).toEqual(
    WRITTEN.trim()
      .split('\n')
      .map((line) => line.trim()),
  );
});

test('what is said without a figure', () => {
  expect(CUES).toEqual({
    'trail heel stuck': 'trail foot release',
    'turns too far': 'shorter swing',
    'load felt': 'load',
    'trail knee outside': 'trail knee',
    pressure: 'pressure',
    'face first': 'face',
    'too much loft': 'less loft',
  });
});
