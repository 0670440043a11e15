import type {
  NewBuild,
  NewCardLink,
  NewConsent,
  NewDrill,
  NewEntry,
  NewLesson,
  NewMethodVersion,
  NewOwnLadder,
  NewPainAnswer,
  NewPhoto,
  NewScreen,
  NewStudent,
  Problem,
  StudentEdit,
} from '@pedastance/contract';
import { upgradedBody } from '@pedastance/contract/earlier';

/** What can be sent: each write with where it goes. */
export type Writing =
  | { route: 'student'; body: NewStudent }
  | { route: 'student edit'; body: StudentEdit }
  | { route: 'build'; body: NewBuild }
  | { route: 'screen'; body: NewScreen }
  | { route: 'consent'; body: NewConsent }
  | { route: 'pain answer'; body: NewPainAnswer }
  | { route: 'method'; body: NewMethodVersion }
  | { route: 'drill'; body: NewDrill }
  | { route: 'ladder'; body: NewOwnLadder }
  | { route: 'card link'; body: NewCardLink }
  | { route: 'lesson'; body: NewLesson }
  | { route: 'entry'; body: NewEntry }
  | { route: 'photo'; body: NewPhoto };

export const ROUTES: Record<Writing['route'], { method: 'POST' | 'PUT'; path: string }> = {
  student: { method: 'POST', path: '/api/students' },
  'student edit': { method: 'PUT', path: '/api/students' },
  build: { method: 'POST', path: '/api/builds' },
  screen: { method: 'POST', path: '/api/screens' },
  consent: { method: 'POST', path: '/api/consents' },
  'pain answer': { method: 'POST', path: '/api/pain-answers' },
  method: { method: 'POST', path: '/api/methods' },
  drill: { method: 'POST', path: '/api/drills' },
  ladder: { method: 'POST', path: '/api/ladders' },
  'card link': { method: 'POST', path: '/api/card-links' },
  lesson: { method: 'POST', path: '/api/lessons' },
  entry: { method: 'POST', path: '/api/entries' },
  photo: { method: 'POST', path: '/api/photos' },
};

/** A body as it is sent: with the contract version it was made for. */
export type SentBody = Writing['body'] & { contract: number };

/** A write waiting in the outbox, in the order it was made. */
export interface QueuedWrite {
  sequence?: number;
  /** The contract version its body was made for; the body is kept and sent as it was made. */
  contract: number;
  /** How often the server failed at it; after a few times it waits for the coach. */
  failures?: number;
  owner: string;
  /** Whose it is: a student, or the house method it is a version of. */
  subjectId: string;
  /** What it is, in the coach's words. */
  label: string;
  writing: Writing;
  /** Why the server refused it; a refused write waits for the coach. */
  refusal: Problem | null;
}

/** The server is asked this often before a write it fails at is set aside. */
export const MOST_FAILURES = 3;

/** A queued write with its body in today's shape, to be shown and looked into. */
export const inTodaysShape = (queued: QueuedWrite): QueuedWrite => ({
  ...queued,
  writing: {
    ...queued.writing,
    body: upgradedBody(queued.writing.route, queued.contract, queued.writing.body),
  } as Writing,
});

/** What a queued write depends on, and has to land first: its own subject, and the method it was read with. */
export function dependsOn({ subjectId, writing }: QueuedWrite): string[] {
  const { route, body } = writing;
  return route === 'entry' && body.kind === 'reading' ? [subjectId, body.methodId] : [subjectId];
}
