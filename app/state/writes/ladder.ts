import type {
  ExceptionEntry,
  LadderEntry,
  NewBuild,
  NewEntry,
  NewScreen,
  Student,
  TestEntry,
} from '@pedastance/contract';
import { withTurns, type EarlierTurn } from '@pedastance/core/body';
import { v7 as newId } from 'uuid';
import type { LessonDraft } from '../../domain/lessonDraft';
import type { Post } from '../outbox';
import { entryPost, keepInLesson } from './inLesson';

type Made = 'id' | 'lessonId' | 'madeAt';
type Without<Entry, Names extends PropertyKey> = Entry extends unknown ? Omit<Entry, Names> : never;

/** A ladder or a test as it is kept: what was tried, and the student's own bands where they are taken. */
export interface Tried {
  tried: Without<LadderEntry | TestEntry, Made>;
  bands: readonly Pick<ExceptionEntry, 'item' | 'low' | 'high' | 'club' | 'replaces'>[];
  /** Turns of the hips that were measured on it, and tell of a leg. */
  turns: readonly EarlierTurn[];
}

interface Whose {
  draft: LessonDraft;
  student: Student;
  build: NewBuild;
  /** The newest test of the legs; null where there is none, or its legs no longer hold. */
  screen: NewScreen | null;
}

const LABELS = { ladder: 'Ladder', test: 'Test', exception: 'Exception' } as const;

/** The legs as the measured turns tell of them; null where they tell nothing new. */
function screenWith(turns: readonly EarlierTurn[], { student, build, screen }: Whose): NewScreen | null {
  const whole = withTurns(screen, turns, student.hand);
  if (!whole) return null;
  const made = { id: newId(), studentId: student.id, buildId: build.id, madeAt: new Date().toISOString() };
  return { ...whole, ...made } as NewScreen;
}

/** Keeps what was tried as an entry of the log, with the student's own bands, and what measured turns say of the legs. */
export async function keepTried({ tried, bands, turns }: Tried, whose: Whose): Promise<void> {
  const { draft, student } = whose;
  const made = () => ({ id: newId(), lessonId: draft.id, madeAt: new Date().toISOString() });
  const entries = [
    { ...made(), ...tried },
    ...bands.map((band) => ({ ...made(), kind: 'exception' as const, ended: false, ...band })),
  ] as NewEntry[];
  const screen = screenWith(turns, whose);
  const screens: Post[] = screen
    ? [
        {
          subjectId: student.id,
          label: `Legs and trunk of ${student.name}`,
          writing: { route: 'screen', body: screen },
        },
      ]
    : [];
  const posts = entries.map((body) => entryPost(LABELS[body.kind as keyof typeof LABELS], student, body));
  await keepInLesson([...screens, ...posts], { draft, student });
}
