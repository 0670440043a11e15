import { asAdmin } from './world';

/** Tables that hold nothing of a student, and why. A table that is neither here nor of a student fails the tests. */
export const WITHOUT_STUDENTS: Record<string, string> = {
  academy: 'names of academies',
  instructor: 'coaches',
  session: 'coaches',
  sign_in_attempts: 'counts by a hash',
  invite: 'coaches',
  reset_link: 'coaches',
  recovery_code: 'coaches',
  passkey: 'coaches',
  answered_challenge: 'hashes of challenges that passkeys answered',
  house_method: 'what an academy teaches',
  drill: 'what an academy teaches',
  own_ladder: 'what an academy teaches',
  academy_counter: 'a number an academy',
  audit_entry: 'an identifier alone',
  deleted_photo: 'an identifier alone: that a photo was deleted',
  erasure: 'an identifier alone',
  erased_student: 'an identifier alone: that somebody was erased',
  schema_migration: 'names of migrations',
};

export interface StudentTable {
  name: string;
  /** What a query of the table joins to know its student, and by which column. */
  count: string;
}

const OWN_COLUMN = 'student_id';

/** Every table that refers to a student, however far around, with a query that counts one student's rows; from the catalogue. */
export async function studentTables(adminUrl: string): Promise<StudentTable[]> {
  const references = await asAdmin<{ name: string; refers: string; columns: string[]; to: string[] }>(
    adminUrl,
    `select child.relname as name, parent.relname as refers,
       array(select attname::text from unnest(conkey) with ordinality as key (number, place)
         join pg_attribute on attrelid = conrelid and attnum = number order by place) as columns,
       array(select attname::text from unnest(confkey) with ordinality as key (number, place)
         join pg_attribute on attrelid = confrelid and attnum = number order by place) as "to"
     from pg_constraint
     join pg_class as child on child.oid = conrelid
     join pg_class as parent on parent.oid = confrelid
     where contype = 'f' and conrelid <> confrelid and child.relnamespace = 'public'::regnamespace`,
  );
  const known = new Map<string, string>([['student', 'select * from student where id = $1']]);
  for (let grew = true; grew;) {
    grew = false;
    for (const { name, refers, columns, to } of references) {
      const parent = known.get(refers);
      if (known.has(name) || !parent) continue;
      const own = columns.includes(OWN_COLUMN);
      const joined = columns.map((column, at) => `child.${column} = parent.${to[at]}`).join(' and ');
      known.set(
        name,
        own
          ? `select * from ${name} where ${OWN_COLUMN} = $1`
          : `select child.* from ${name} as child join (${parent}) as parent on ${joined}`,
      );
      grew = true;
    }
  }
  return [...known].map(([name, rows]) => ({
    name,
    count: `select count(*)::integer as count from (${rows}) as rows where $2::uuid is null or academy_id = $2`,
  }));
}

/** How many rows each table has of one student, in every academy or in one. */
export async function rowsOf(
  adminUrl: string,
  studentId: string,
  academyId: string | null = null,
): Promise<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const { name, count } of await studentTables(adminUrl)) {
    const [row] = await asAdmin<{ count: number }>(adminUrl, count, [studentId, academyId]);
    counts[name] = row!.count;
  }
  return counts;
}
