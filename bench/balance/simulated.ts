/** Finds the moments and patterns of simulated swings on the stand-in mat, and prints how well: usage simulated.ts <swings>. */
import type { PressurePattern } from '@pedastance/core/setup';
import { MAT_HABITS, MAT_ROUTES, type MatHabit, type MatRouteName } from '../../server/devices/mat/habits';
import { momentsFound, patternsTold } from '../../server/test/mats';

const swings = Number(process.argv[2] ?? 1000);
/** Three swings make one student. */
const students = Math.ceil(swings / 30);

const nameOf = (habit: MatHabit): PressurePattern =>
  habit === 'rolls outside' ? 'trail foot rolls outside' : habit;

/** What is the point of a route, or says nothing on it. */
const NOT_ON: Record<MatRouteName, readonly MatHabit[]> = {
  centred: [],
  'loaded heel': [],
  'long drive': ['toes early coming down', 'heel, then toes'],
  'forward-posted': ['toe-ward going back', 'reverse', 'rolls outside'],
};

for (const route of Object.keys(MAT_ROUTES) as MatRouteName[]) {
  console.log(`${route}, moments:`, JSON.stringify(momentsFound(Math.ceil(swings / 4), route)));
  const clean = Array.from({ length: 2 * students }, (_, at) => patternsTold(`clean ${at}`, route, []));
  const accused = clean.filter((told) => told.length > 0).length / clean.length;
  const named = MAT_HABITS.filter((habit) => !NOT_ON[route].includes(habit)).map((habit) => {
    const told = Array.from({ length: students }, (_, at) => patternsTold(`${habit} ${at}`, route, [habit]));
    const right = told.filter((each) => each.includes(nameOf(habit))).length / students;
    const others = told.filter((each) => each.some((one) => one !== nameOf(habit))).length / students;
    return [habit, right, others] as const;
  });
  console.log(`${route}, patterns: accused ${accused}, named (and another beside it)`, JSON.stringify(named));
}
