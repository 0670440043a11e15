import { differences, setupAsTaken, withFigure, type Setup } from '@pedastance/core';
import { setup as example } from '../../core/test/example';
import {
  newDraft,
  otherParts,
  untouchedClub,
  withClub,
  withFeet,
  type ClubPart,
  type LessonDraft,
} from './lessonDraft';

const CLUBS = ['7-iron', 'driver', '9-iron'] as const;
const drawn: Setup = { ...example(), measured: {} };
const fresh = (club: (typeof CLUBS)[number], shot: 'full' | 'pitch' = 'full'): ClubPart => ({
  ...untouchedClub,
  club,
  shot,
  clubLengthInches: 37,
  setup: drawn,
});
const taking = (draft: LessonDraft, part: ClubPart): LessonDraft => ({ ...draft, ...withClub(draft, part) });
const begun = taking(newDraft('lesson', 'student', '2026-05-01T10:00:00.000Z', 90), fresh('7-iron'));
const stood = (width: number): Setup => setupAsTaken(drawn, { stanceWidth: width }, 'tape');
const agreedOn = (draft: LessonDraft, width: number): LessonDraft => ({
  ...draft,
  setup: stood(width),
  agreed: stood(width - 60),
  leadHeelLift: 25,
  reason: `why ${width}`,
});

test('another club begins with its own feet, nothing measured, nothing agreed; coming back finds all as it was', () => {
  const iron = agreedOn(begun, 480);
  const driver = taking(iron, fresh('driver'));
  expect(driver).toMatchObject({ club: 'driver', agreed: null, leadHeelLift: 0, reason: '', setup: drawn });
  expect(otherParts(driver)).toMatchObject([{ club: '7-iron', reason: 'why 480' }]);
  const back = taking(agreedOn(driver, 560), fresh('7-iron'));
  expect(back).toMatchObject({ club: '7-iron', setup: iron.setup, agreed: iron.agreed, reason: 'why 480' });
  expect(otherParts(back)).toMatchObject([{ club: 'driver', reason: 'why 560' }]);
});

test('a figure that is measured after a change was agreed on is no part of that change', () => {
  const draft = { setup: stood(480), agreed: withFigure(stood(480), 'stanceWidth', 420) };
  const later = withFigure(draft.setup, 'leadFlare', 24);
  const { setup, agreed } = withFeet(draft, later);
  expect(differences(setup!, agreed!).map(({ change, to }) => [change, Math.round(to)])).toEqual([
    ['stanceWidth', 420],
  ]);
  // What was agreed stays what it was, from wherever the feet stand now.
  const wider = withFeet({ setup, agreed }, withFigure(setup!, 'stanceWidth', 520));
  expect(differences(wider.setup!, wider.agreed!)).toMatchObject([
    { change: 'stanceWidth', from: 520, to: 420 },
  ]);
  expect(withFeet({ setup, agreed: null }, later).agreed).toBeNull();
});

test('a pitch with the same club is another part', () => {
  const pitch = taking(agreedOn(begun, 480), fresh('7-iron', 'pitch'));
  expect(pitch).toMatchObject({ shot: 'pitch', agreed: null });
  expect(taking(pitch, fresh('7-iron'))).toMatchObject({ shot: 'full', reason: 'why 480' });
});

test('a club that was only looked at is not put by', () => {
  expect(otherParts(taking(begun, fresh('driver')))).toEqual([]);
});

test('whatever clubs are gone through, each has what was last put there with it', () => {
  // A walk through clubs and shots, each step placing feet: the last ones of each are found again.
  const walk = Array.from({ length: 60 }, (_step, at) => ({
    club: CLUBS[(at * 7 + (at % 4)) % 3]!,
    shot: (at * 5) % 3 === 0 ? ('pitch' as const) : ('full' as const),
    width: 400 + at,
  }));
  const last = new Map<string, number>();
  let draft = begun;
  for (const { club, shot, width } of walk) {
    if (draft.club !== club || draft.shot !== shot) draft = taking(draft, fresh(club, shot));
    expect(draft.reason).toBe(last.has(`${club} ${shot}`) ? `why ${last.get(`${club} ${shot}`)}` : '');
    draft = agreedOn(draft, width);
    last.set(`${club} ${shot}`, width);
  }
  expect(otherParts(draft)).toHaveLength(last.size - 1);
});
