import type { NewBuild, Person, Student } from '@pedastance/contract';
import { v7 as newId } from 'uuid';
import { post, type Post } from '../outbox';

type Build = Pick<NewBuild, 'figures' | 'estimateAs' | 'shoeSize'>;

const buildPost = (studentId: string, name: string, build: Build, madeAt: string): Post => ({
  subjectId: studentId,
  label: `Build of ${name}`,
  writing: { route: 'build', body: { id: newId(), studentId, madeAt, ...build } },
});

const studentPosts = (studentId: string, person: Person, build: Build | null): Post[] => {
  const madeAt = new Date().toISOString();
  const student: Post = {
    subjectId: studentId,
    label: `New student ${person.name}`,
    writing: { route: 'student', body: { id: studentId, madeAt, ...person } },
  };
  return [student, ...(build ? [buildPost(studentId, person.name, build, madeAt)] : [])];
};

/** Adds a student with a first build. Answers the student's id. */
export async function addStudent(person: Person, build: Build): Promise<string> {
  const studentId = newId();
  await post(studentPosts(studentId, person, build));
  return studentId;
}

/** Adds many students at once, all or none; those without a height have no build yet. */
export const addStudents = (rows: readonly { person: Person; build: Build | null }[]): Promise<void> =>
  post(rows.flatMap(({ person, build }) => studentPosts(newId(), person, build)));

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Keeps a student's facts as they are now: an edit of this version, and nothing else of it. */
export async function keepFacts(student: Student, facts: Person['facts']): Promise<void> {
  const { name, hand, birthYear, bornOn, cautions } = student;
  const common = { id: newId(), madeAt: new Date().toISOString() };
  const body = {
    ...common,
    studentId: student.id,
    version: student.version,
    name,
    hand,
    birthYear,
    bornOn,
    cautions,
    facts,
  };
  await post([
    { subjectId: student.id, label: `Facts of ${name}`, writing: { route: 'student edit', body } },
  ]);
}

/** Saves what differs: the person as an edit of this version, the build as a new dated record. */
export async function saveStudent(student: Student, person: Person, build: Build): Promise<void> {
  const madeAt = new Date().toISOString();
  const { name, hand, birthYear, bornOn, cautions, facts } = student;
  const posts: Post[] = [];
  if (!same(person, { name, hand, birthYear, bornOn, cautions, facts })) {
    const body = { id: newId(), madeAt, studentId: student.id, version: student.version, ...person };
    posts.push({
      subjectId: student.id,
      label: `Change to ${person.name}`,
      writing: { route: 'student edit', body },
    });
  }
  const { build: before } = student;
  const known = before && {
    figures: before.figures,
    estimateAs: before.estimateAs,
    shoeSize: before.shoeSize,
  };
  if (!known || !sameBuild(known, build)) posts.push(buildPost(student.id, person.name, build, madeAt));
  if (posts.length > 0) await post(posts);
}

/** Key order differs between what the server answers and what a form makes. */
const sameBuild = (a: Build, b: Build): boolean =>
  a.estimateAs === b.estimateAs &&
  a.shoeSize?.system === b.shoeSize?.system &&
  a.shoeSize?.size === b.shoeSize?.size &&
  (Object.keys(a.figures) as (keyof Build['figures'])[]).every(
    (name) =>
      a.figures[name].value === b.figures[name].value && a.figures[name].source === b.figures[name].source,
  );
