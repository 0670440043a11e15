/**
 * Recordings of a mat written from what a force plate shows, for checking what is found in them. Nothing of `core/balance` is
 * used, and nothing of the simulated mat: forces are sums of half waves and smooth steps, feet land, tires and clocks round.
 * All of it invented from memory of such traces (starting values).
 */
import { normals, seeded } from '../statistics';
import type { PressureFrame, PressureRecording } from '../balance';

/** When the club truly was where, ms from the start. */
export interface TrueSwing {
  away: number;
  top: number;
  impact: number;
  kind: 'swing' | 'soft' | 'practice';
}

export interface Written {
  recording: PressureRecording;
  /** Times, loads and places as a file tells them, the header first. */
  rows: string[][];
  swings: TrueSwing[];
}

/** What is on the mat, one after another. */
export type Scene = 'stands' | 'waggles' | 'steps in' | 'steps off' | TrueSwing['kind'];

interface Options {
  /** frames a second */
  rate: number;
  /** Times are told in whole numbers of so many ms; 0 tells them exactly. */
  roundedTo: number;
  /** Frames that are lost, with so many ms each, in the strike's neighbourhood or anywhere. */
  gaps?: { count: number; ms: number; near: 'strike' | 'anywhere' };
}

interface Moment {
  /** Of the body's weight. */
  total: number;
  /** Percent on the lead foot. */
  lead: number;
  along: number;
}

const smooth = (share: number): number => {
  const x = Math.min(1, Math.max(0, share));
  return x * x * x * (10 + x * (6 * x - 15));
};
const wave = (at: number, from: number, to: number): number =>
  at <= from || at >= to ? 0 : Math.sin((Math.PI * (at - from)) / (to - from)) ** 2;

/** The same with slopes at its ends. */
const arch = (at: number, from: number, to: number): number =>
  at <= from || at >= to ? 0 : Math.sin((Math.PI * (at - from)) / (to - from));

type Piece = { until: number; at: (time: number) => Moment; swing?: TrueSwing };
type Draw = (low: number, high: number) => number;

const settledOf = (draw: Draw): Moment => ({ total: 1, lead: draw(44, 56), along: draw(38, 58) });

/** Quiet standing with a slow sway. */
function standing(from: number, lasts: number, still: Moment, draw: Draw): Piece {
  const [slow, fast, phase] = [draw(2200, 4200), draw(700, 1100), draw(0, 6)];
  return {
    until: from + lasts,
    at: (time) => ({
      total: 1 + 0.004 * Math.sin(time / 190),
      lead:
        still.lead +
        1.1 * Math.sin((2 * Math.PI * time) / slow + phase) +
        0.4 * Math.sin((2 * Math.PI * time) / fast),
      along: still.along + 1.2 * Math.sin((2 * Math.PI * time) / slow + 2 * phase),
    }),
  };
}

/** The club goes to and fro over the ball: some percent of the load go along, the force hardly changes. */
function waggling(from: number, still: Moment, draw: Draw): Piece {
  const lasts = draw(1800, 3500);
  const [period, by, force] = [draw(600, 1000), draw(2, 8), draw(0.005, 0.03)];
  return {
    until: from + lasts,
    at: (time) => {
      const phase = (2 * Math.PI * (time - from)) / period;
      const fades = smooth((time - from) / 400) * smooth((from + lasts - time) / 400);
      return {
        total: 1 + fades * force * Math.sin(2 * phase),
        lead: still.lead - fades * by * (0.5 - 0.5 * Math.cos(phase)),
        along: still.along + fades * 2 * Math.sin(phase),
      };
    },
  };
}

/** Both feet come onto the mat one after another, each with the knock of its landing; then small corrections of a foot. */
function steppingIn(from: number, still: Moment, draw: Draw): Piece {
  const first = from + draw(100, 500);
  const second = first + draw(450, 1100);
  const leadFirst = draw(0, 1) < 0.5;
  const knocks = [draw(0.08, 0.35), draw(0.08, 0.35)];
  const shuffles = Array.from({ length: Math.floor(draw(0, 3)) }, (_, number) => ({
    at: second + 800 + 900 * number + draw(0, 300),
    lead: draw(0, 1) < 0.5,
    knock: draw(0.03, 0.18),
  }));
  const lasts = 5200;
  const landed = (time: number, at: number, knock: number) =>
    knock * wave(time, at, at + 170) - 0.4 * knock * wave(time, at + 150, at + 420);
  return {
    until: from + lasts,
    at: (time) => {
      const stood = smooth((time - first) / 140);
      // Some of the weight is still on the other foot, beside the mat, until that one lands too.
      const onBoth = smooth((time - second) / 220);
      let total = stood * (0.35 + 0.65 * smooth((time - first) / 420)) * (1 - 0.02 * (1 - onBoth));
      total += landed(time, first, knocks[0]!) + landed(time, second, knocks[1]!);
      const alone = leadFirst ? 100 : 0;
      let lead = alone + (still.lead - alone) * onBoth;
      for (const { at, lead: isLead, knock } of shuffles) {
        const lifted = wave(time, at - 260, at + 120);
        lead += (isLead ? -1 : 1) * (isLead ? lead : 100 - lead) * lifted;
        total += landed(time, at, knock) - 0.05 * lifted;
      }
      return { total: Math.max(0, total), lead, along: still.along + 6 * (1 - onBoth) };
    },
  };
}

/** Nobody is on the mat. */
const nobody = (from: number, lasts: number): Piece => ({
  until: from + lasts,
  at: () => ({ total: 0, lead: 50, along: 50 }),
});

interface SwingDraw {
  back: number;
  down: number;
  light: number;
  press: number;
  toTrail: number;
  toLead: number;
}

/** What somebody is like: their swings are like each other. */
type Body = Record<TrueSwing['kind'], SwingDraw>;

const bodyOf = (draw: Draw): Body => {
  const swing = drawnSwing('swing', draw);
  // Without a ball it is softer, slower, or both.
  const practice: SwingDraw = {
    ...swing,
    back: swing.back * draw(1, 1.3),
    down: swing.down * draw(1.05, 1.5),
    press: swing.press * draw(0.2, 0.6),
    light: swing.light * draw(0.3, 0.9),
  };
  return { swing, practice, soft: drawnSwing('soft', draw) };
};

/** Their next swing: as they do, and a little else. */
const nextOf = (usual: SwingDraw, normal: () => number): SwingDraw => ({
  back: usual.back * (1 + 0.03 * normal()),
  down: usual.down * (1 + 0.04 * normal()),
  light: Math.max(0, usual.light * (1 + 0.1 * normal())),
  press: Math.max(0.015, usual.press * (1 + 0.1 * normal())),
  toTrail: usual.toTrail + 1.5 * normal(),
  toLead: usual.toLead + 1.5 * normal(),
});

function drawnSwing(kind: 'swing' | 'soft', draw: Draw): SwingDraw {
  return {
    back: draw(600, 1050),
    down: draw(210, kind === 'soft' ? 380 : 310),
    light: kind === 'soft' ? draw(0, 0.06) : draw(0.04, 0.2),
    press: kind === 'soft' ? draw(0.02, 0.12) : draw(0.15, 0.75),
    toTrail: draw(15, 32),
    toLead: kind === 'soft' ? draw(18, 38) : draw(22, 44),
  };
}

/** A swing with its finish held, and the way back to standing. */
function swinging(
  from: number,
  still: Moment,
  kind: TrueSwing['kind'],
  body: Body,
  draw: Draw,
  normal: () => number,
): Piece {
  const { back, down, light, press, toTrail, toLead } = nextOf(body[kind], normal);
  const away = from;
  const top = away + back;
  const impact = top + down;
  const held = impact + draw(1500, 2400);
  // The load is ahead of the club, and the body lightest shortly before the club turns.
  const furthest = top - draw(70, 170);
  const lightest = top - 30 + 14 * normal();
  // The force is that of the standing body again at the strike, or nearly (six ms, one sd).
  const met = impact + 6 * normal();
  const after = draw(0.3, 0.8) * (press + 0.08);
  const presses = lightest + 40;
  const toes = draw(-6, 6);
  return {
    until: held + 1900,
    swing: { away, top, impact, kind },
    at: (time) => {
      const home = smooth((time - held) / 1500);
      const forward = smooth((time - furthest) / (impact + 90 - furthest));
      const share = -toTrail * smooth((time - away) / (furthest - away)) + (toTrail + toLead) * forward;
      const total =
        1 -
        light * wave(time, lightest - 170, lightest + 170) +
        press * arch(time, presses, met) -
        after * arch(time, met, met + 330) +
        0.05 * wave(time, met + 300, met + 700);
      return {
        total: Math.max(0.05, total),
        lead: Math.min(97, Math.max(3, still.lead + share * (1 - home))),
        along: still.along + toes * smooth((time - top) / 200) * (1 - home),
      };
    },
  };
}

/** Rows of a file: loads in newtons with a decimal, places in percent. */
function rowsOf(frames: readonly PressureFrame[], roundedTo: number): string[][] {
  const foot = ({ load, along, across }: PressureFrame['lead']) =>
    [load.toFixed(1), along.toFixed(1), across.toFixed(1)] as const;
  const header = [
    'time_ms',
    ...['left', 'right'].flatMap((side) => ['load', 'along', 'across'].map((name) => `${side}_${name}`)),
  ];
  return [
    header,
    ...frames.map(({ at, lead, trail }) => [
      roundedTo > 0 ? String(at) : at.toFixed(3),
      ...foot(lead),
      ...foot(trail),
    ]),
  ];
}

/**
 * A recording of scenes one after another.
 * @param seed of its chance
 * @param scenes in order; a swing follows a second or two of standing
 * @returns the recording, its rows as a file has them, and when the swings truly were
 */
export function written(seed: number, scenes: readonly Scene[], { rate, roundedTo, gaps }: Options): Written {
  const random = seeded(seed);
  const normal = normals(random);
  const draw: Draw = (low, high) => low + (high - low) * random();
  const still = settledOf(draw);
  const body = bodyOf(draw);
  const weight = draw(480, 1100);
  const pieces: Piece[] = [];
  const now = () => pieces[pieces.length - 1]?.until ?? 0;
  for (const scene of scenes) {
    if (scene === 'stands') pieces.push(standing(now(), draw(1800, 3500), still, draw));
    else if (scene === 'waggles') pieces.push(waggling(now(), still, draw));
    else if (scene === 'steps in') pieces.push(steppingIn(now(), still, draw));
    else if (scene === 'steps off') pieces.push(nobody(now(), draw(4000, 9000)));
    else {
      pieces.push(standing(now(), draw(1000, 2200), still, draw));
      pieces.push(swinging(now(), still, scene, body, draw, normal));
    }
  }
  const swings = pieces.flatMap(({ swing }) => swing ?? []);
  const lost = lostStretches(swings, now(), gaps, draw);
  const frames: PressureFrame[] = [];
  const start = draw(0, 1000 / rate);
  let piece = 0;
  for (let number = 0; ; number += 1) {
    const time = start + (1000 * number) / rate;
    if (time >= now()) break;
    while (pieces[piece]!.until <= time) piece += 1;
    if (lost.some(([from, to]) => time > from && time < to)) continue;
    const { total, lead, along } = pieces[piece]!.at(time);
    // A sensor of one percent or so.
    const load = Math.max(0, weight * total * (1 + 0.006 * normal()) + (total > 0 ? normal() : 0));
    const share = Math.min(100, Math.max(0, lead + 0.4 * normal()));
    const foot = (part: number) => ({
      load: (load * part) / 100,
      along: Math.min(99, Math.max(1, along + 0.5 * normal())),
      across: 50,
    });
    const told = roundedTo > 0 ? roundedTo * Math.round(time / roundedTo) : time;
    frames.push({ at: told, lead: foot(share), trail: foot(100 - share) });
  }
  return { recording: { rate, frames }, rows: rowsOf(frames, roundedTo), swings };
}

/** Stretches of time in which no frame came. */
function lostStretches(
  swings: readonly TrueSwing[],
  lasts: number,
  gaps: Options['gaps'],
  draw: Draw,
): [number, number][] {
  if (!gaps) return [];
  return Array.from({ length: gaps.count }, (_, number): [number, number] => {
    const swing = swings[number % Math.max(1, swings.length)];
    const middle = gaps.near === 'strike' && swing ? swing.impact + draw(-200, 60) : draw(300, lasts - 300);
    return [middle - gaps.ms / 2, middle + gaps.ms / 2];
  });
}
