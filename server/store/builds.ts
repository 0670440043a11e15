import type { NewBuild } from '@pedastance/contract';
import { BUILD_FIGURES, type BuildFigure, type BuildFigureName } from '@pedastance/core';
import type { ClientBase } from 'pg';
import { insertRow, madeBy, type Made, type Writer } from './rows';
import { noteStudentChanged } from './studentChanged';

const COLUMNS = {
  height: 'height',
  shoulderBreadth: 'shoulder_breadth',
  hipBreadth: 'hip_breadth',
  shoeLength: 'shoe_length',
  shoeBreadth: 'shoe_breadth',
} as const satisfies Record<BuildFigureName, string>;

type Column = (typeof COLUMNS)[BuildFigureName];

/** A build as PostgreSQL writes it to JSON. */
export type BuildRow = Record<Column | `${Column}_uncertainty`, number> &
  Record<`${Column}_source`, BuildFigure['source']> & {
    id: string;
    student_id: string;
    made_at: string;
    estimate_as: NewBuild['estimateAs'];
    shoe_size_system: NonNullable<NewBuild['shoeSize']>['system'] | null;
    shoe_size: number | null;
  };

function figuresFromRow(row: BuildRow): NewBuild['figures'] {
  const figure = (name: BuildFigureName): BuildFigure => ({
    value: row[COLUMNS[name]],
    source: row[`${COLUMNS[name]}_source`],
    uncertainty: row[`${COLUMNS[name]}_uncertainty`],
  });
  return Object.fromEntries(BUILD_FIGURES.map((name) => [name, figure(name)])) as NewBuild['figures'];
}

export const buildFromRow = (row: BuildRow): NewBuild => ({
  id: row.id,
  studentId: row.student_id,
  madeAt: new Date(row.made_at).toISOString(),
  figures: figuresFromRow(row),
  estimateAs: row.estimate_as,
  shoeSize:
    row.shoe_size_system && row.shoe_size !== null
      ? { system: row.shoe_size_system, size: row.shoe_size }
      : null,
});

/** So many builds of one student are answered; nobody has more. */
const MOST_LISTED = 200;

/** A student's builds, newest first. */
export async function listBuilds(client: ClientBase, studentId: string): Promise<NewBuild[]> {
  const { rows } = await client.query<{ build: BuildRow }>(
    `select to_jsonb(build) as build from build where academy_id = current_academy() and student_id = $1
     order by made_at desc, id desc limit $2`,
    [studentId, MOST_LISTED],
  );
  return rows.map((row) => buildFromRow(row.build));
}

/** The builds of students, each with who made it. */
export async function buildsOf(client: ClientBase, studentIds: string[]): Promise<Made<NewBuild>[]> {
  const { rows } = await client.query<{ build: BuildRow; made_by: string; received_at: Date }>(
    `select to_jsonb(build) as build, made_by, received_at from build
     where academy_id = current_academy() and student_id = any($1) order by made_at, id`,
    [studentIds],
  );
  return rows.map((row) => madeBy(row, buildFromRow(row.build)));
}

/** A build of this academy; null where there is none such. */
export async function findBuild(client: ClientBase, id: string): Promise<NewBuild | null> {
  const { rows } = await client.query<{ build: BuildRow }>(
    'select to_jsonb(build) as build from build where academy_id = current_academy() and id = $1',
    [id],
  );
  return rows[0] ? buildFromRow(rows[0].build) : null;
}

/** A build as its table keeps it. */
export function buildRow(build: NewBuild, writer: Writer): Record<string, unknown> {
  const figures = BUILD_FIGURES.flatMap((name) => [
    [COLUMNS[name], build.figures[name].value],
    [`${COLUMNS[name]}_source`, build.figures[name].source],
    [`${COLUMNS[name]}_uncertainty`, build.figures[name].uncertainty],
  ]);
  return {
    academy_id: writer.academyId,
    id: build.id,
    student_id: build.studentId,
    ...Object.fromEntries(figures),
    estimate_as: build.estimateAs,
    shoe_size_system: build.shoeSize?.system ?? null,
    shoe_size: build.shoeSize?.size ?? null,
    made_by: writer.instructorId,
    made_at: build.madeAt,
    received_at: writer.receivedAt,
  };
}

export async function addBuild(client: ClientBase, build: NewBuild, writer: Writer): Promise<NewBuild> {
  await insertRow(client, 'build', buildRow(build, writer));
  await noteStudentChanged(client, build.studentId);
  return build;
}
