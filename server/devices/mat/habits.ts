import { bell, chanceFrom } from '../chance';

/** Where somebody's weight goes in a swing, as numbers of its own: percent of the load on the lead foot, and of each sole from the heel. */
export interface MatMoment {
  lead: number;
  leadAlong: number;
  trailAlong: number;
  leadAcross: number;
  trailAcross: number;
}

/** A route as a body makes it: at address, half back, the top, early down, the strike, just after, and the finish. */
export type MatRoute = readonly [MatMoment, MatMoment, MatMoment, MatMoment, MatMoment, MatMoment, MatMoment];

const moment = (
  lead: number,
  leadAlong: number,
  trailAlong: number,
  leadAcross = 50,
  trailAcross = 50,
): MatMoment => ({ lead, leadAlong, trailAlong, leadAcross, trailAcross });

export const MAT_ROUTES = {
  centred: [
    moment(50, 50, 50),
    moment(35, 50, 50),
    moment(20, 50, 50),
    moment(52, 50, 52),
    moment(80, 28, 68, 66),
    moment(85, 30, 78, 70),
    moment(92, 32, 85, 62),
  ],
  'loaded heel': [
    moment(50, 50, 50),
    moment(34, 48, 38),
    moment(24, 48, 26),
    moment(55, 46, 36),
    moment(80, 30, 66, 66),
    moment(85, 32, 78, 70),
    moment(92, 34, 85, 60),
  ],
  'long drive': [
    moment(42, 50, 50),
    moment(28, 50, 38),
    moment(16, 50, 26),
    moment(50, 58, 48),
    moment(78, 76, 72, 58),
    moment(84, 74, 80, 60),
    moment(90, 64, 85, 60),
  ],
  'forward-posted': [
    moment(60, 62, 50, 36),
    moment(63, 63, 50, 36),
    moment(66, 64, 50, 35),
    moment(74, 65, 55, 36),
    moment(84, 66, 65, 40),
    moment(87, 62, 75, 46),
    moment(92, 52, 85, 52),
  ],
} as const satisfies Record<string, MatRoute>;
export type MatRouteName = keyof typeof MAT_ROUTES;

export const MAT_HABITS = [
  'toe-ward going back',
  'toes early coming down',
  'heel, then toes',
  'reverse',
  'rolls outside',
  'falls back',
] as const;
export type MatHabit = (typeof MAT_HABITS)[number];

type Change = (route: MatMoment[]) => void;

/** What each habit does to a route. */
const HABITS: Record<MatHabit, Change> = {
  'toe-ward going back'(route) {
    route[1]!.trailAlong += 16;
    route[2]!.trailAlong += 28;
    route[3]!.trailAlong += 14;
  },
  'toes early coming down'(route) {
    route[3]!.leadAlong += 28;
    route[3]!.trailAlong += 28;
    route[4]!.leadAlong += 24;
  },
  'heel, then toes'(route) {
    route[1]!.leadAlong -= 22;
    route[1]!.trailAlong -= 22;
    route[3]!.leadAlong += 24;
    route[3]!.trailAlong += 24;
  },
  reverse(route) {
    route[1]!.lead = 58;
    route[2]!.lead = 64;
    route[3]!.lead = 62;
    route[4]!.lead = 58;
    route[5]!.lead = 52;
    route[6]!.lead = 46;
  },
  'rolls outside'(route) {
    route[1]!.trailAcross += 18;
    route[2]!.trailAcross += 32;
  },
  'falls back'(route) {
    route[4]!.lead -= 10;
    route[5]!.lead -= 24;
    route[6]!.lead -= 44;
  },
};

/** How much of a swing differs from the next, percent. */
const SWING_SCATTER = 3.5;

const kept = (value: number): number => Math.min(97, Math.max(3, value));

/**
 * A route with habits, as one swing of a student makes it.
 * @param name of the route
 * @param habits that change it
 * @param settled where the student settles before it: their own lead share and heel-to-toe, percent
 * @param seed of this swing
 */
export function routeOf(
  name: MatRouteName,
  habits: readonly MatHabit[],
  settled: { lead: number; along: number },
  seed: string,
): MatMoment[] {
  const route = MAT_ROUTES[name].map((each) => ({ ...each }));
  for (const habit of habits) HABITS[habit](route);
  const chance = chanceFrom('mat swing', seed);
  return route.map((each, at) => {
    // At address they stand as they settled; the further the swing goes, the less of that is left.
    const left = Math.max(0, 1 - at / 3);
    const scatter = (at === 0 ? 0.3 : 1) * SWING_SCATTER;
    const off = (by = 0) => by * left + scatter * bell(chance);
    return {
      lead: kept(each.lead + off(settled.lead - MAT_ROUTES[name][0].lead)),
      leadAlong: kept(each.leadAlong + off(settled.along - MAT_ROUTES[name][0].leadAlong)),
      trailAlong: kept(each.trailAlong + off(settled.along - MAT_ROUTES[name][0].trailAlong)),
      leadAcross: kept(each.leadAcross + off()),
      trailAcross: kept(each.trailAcross + off()),
    };
  });
}
