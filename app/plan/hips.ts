import type { Hand } from '@pedastance/core/body';
import { capitalised, footWord, type FootWords } from '@pedastance/core/phrases';
import {
  uncertaintyOf,
  type Address,
  type AddressMeasures,
  type FootName,
  type Point,
  type Setup,
} from '@pedastance/core/setup';
import {
  inOrderMet,
  neededTurn,
  stopsOf,
  TURNS,
  type Goal,
  type Turn,
  type TurningBody,
  type TurningFeet,
} from '@pedastance/core/turn';
import { angleFigure, radians } from '@pedastance/core/units';
import type { Projection } from './frame';
import { HIPS, HIPS_ROWS, type Layout } from './layout';
import { label, moved, n, segment, type Drawing } from './parts';

/** A body with how far its lead heel may come up going back, mm, and the turn it works toward. */
export interface Turning {
  body: TurningBody;
  leadHeelLift: number;
  goal: Goal;
  /** By how much the method itself has the trail foot further out than the lead foot, degrees. */
  ownDifference: number;
}

/** One way of turning: where it ends, by which leg, and what is needed, degrees. */
export interface HalfTurn {
  /** Null where a leg or a flare that decides it is not known. */
  limit: number | null;
  needed: number;
  leg: FootName;
  /** How much is missing, whole degrees; 0 where there is enough or nothing is known. */
  short: number;
}

/** The drawing shows no turn beyond this, degrees: the other half's wing begins there. */
const MOST_DRAWN = 86;

/** So much more than is needed is plainly enough (starting value), degrees. */
const PLAINLY_ENOUGH = 5;

/** The turn is worked out anew for so much of the line, degrees: less of it is not seen. */
const TURN_LINE_STEP = 0.5;

/** The toe line that the turns are worked out on, degrees: square where it was not measured. */
export function turnLine(setup: Setup, measures: AddressMeasures): number {
  if (uncertaintyOf({ setup, measures }, 'stanceLine') === null) return 0;
  return Math.round(measures.toeLine / TURN_LINE_STEP) * TURN_LINE_STEP;
}

/** Where both turns end on these feet, by the middle of what is known: how sure that is stands in the words. */
export function halfTurns(
  { body, leadHeelLift, goal, ownDifference }: Turning,
  setup: Setup,
  measures: AddressMeasures,
): Record<Turn, HalfTurn> {
  const { measured } = setup;
  const { leadFlare, trailFlare } = measures;
  const feet: TurningFeet = {
    flare: { lead: leadFlare, trail: trailFlare },
    flareUncertainty: { lead: 0, trail: 0 },
    toeLine: { value: turnLine(setup, measures), uncertainty: 0 },
    ownDifference,
    leadHeelLift,
  };
  const flaresMeasured = Boolean(measured.leadFlare && measured.trailFlare);
  const half = (turn: Turn): HalfTurn => {
    const stops = stopsOf(turn, body, feet).filter(({ name }) => name !== 'trail through');
    const first = inOrderMet(stops)[0]!;
    const known = flaresMeasured && stops.every((stop) => stop.at !== null);
    const limit = known ? Math.max(0, first.at!.value) : null;
    const needed = neededTurn(turn, body, goal).value;
    // By the whole degrees that are told: what is missing is the difference of the two figures beside it.
    const missing = limit === null ? 0 : Math.round(needed) - Math.round(limit);
    return { limit, needed, leg: first.leg, short: Math.max(0, missing) };
  };
  return { back: half('back'), through: half('through') };
}

/** Whether there is enough of a turn, in a word or two. */
function enoughWords({ limit, needed, short }: HalfTurn): string {
  if (limit === null) return 'not known';
  if (short > 0) return `${angleFigure(short)} short`;
  return limit - needed < PLAINLY_ENOUGH ? 'just enough' : 'enough';
}

export const HALF_NAMES: Record<Turn, string> = { back: 'Hips back', through: 'Hips through' };

const figureWords = ({ limit, needed, short }: HalfTurn): string =>
  `${limit === null ? '?' : angleFigure(limit)} ${short > 0 ? 'of' : 'needs'} ${angleFigure(needed)}`;

/** The turns that a leg keeps short, as it is said between the shoes. */
const STOPPED: Record<string, string> = { back: 'turn back', through: 'turn through', both: 'both turns' };

/** The leg to be named between the shoes and what it stops; null where no turn is short. */
function namedStop(halves: Record<Turn, HalfTurn>): { leg: FootName; stops: keyof typeof STOPPED } | null {
  const short = TURNS.filter((turn) => halves[turn].short > 0);
  const first = short[0];
  if (!first) return null;
  const both = short.length === 2 && halves.back.leg === halves.through.leg;
  return { leg: halves[first].leg, stops: both ? 'both' : first };
}

export interface HipsInput {
  halves: Record<Turn, HalfTurn>;
  setup: Setup;
  hand: Hand;
  footWords: FootWords;
}

/** The turn in words, for those who do not see it. */
export function hipsWords({ halves, hand, footWords }: Omit<HipsInput, 'setup'>): string {
  const told = TURNS.map((turn) => {
    const half = halves[turn];
    const stopped = half.short > 0 ? `, the ${footWord(half.leg, footWords, hand)} leg stops it` : '';
    return `${HALF_NAMES[turn]} ${figureWords(half)}, ${enoughWords(half)}${stopped}.`;
  });
  return told.join(' ');
}

/** A letter is about so wide for its height: an estimate, as nothing is measured while a shoe is dragged. */
const LETTER = 0.55;

const NAME_EM = 0.95;
const LEAST_ROOM_DEEP_EM = 4.2;

/** The words between the shoes reach so far from their middle along the shoes, as a share of one. */
const HALF_DEEP = 0.22;

/** The free ground between the soles where words stand: its middle, and how wide it is, mm. */
function freeBetween({ lead, trail, shoe }: Address): { middle: Point; width: number } {
  const y = (lead.heel.y + trail.heel.y) / 2 + 0.5 * shoe.length;
  const inner = ({ heel, flare }: Address['lead'], row: number) => {
    const before = Math.min(shoe.length, Math.max(0, row - heel.y));
    return before * Math.tan(radians(flare)) - shoe.breadth / 2 / Math.cos(radians(flare));
  };
  const rows = [y - HALF_DEEP * shoe.length, y + HALF_DEEP * shoe.length];
  const right = lead.heel.x + Math.min(...rows.map((row) => inner(lead, row)));
  const left = trail.heel.x - Math.min(...rows.map((row) => inner(trail, row)));
  return { middle: { x: (left + right) / 2, y }, width: right - left };
}

/** "Right leg stops the turn back" in two or three rows between the shoes; null where they leave no room for it. */
function stopRows({ halves, setup, hand, footWords }: HipsInput, { em }: Layout): readonly string[] | null {
  const named = namedStop(halves);
  if (!named) return null;
  const leg = capitalised(footWord(named.leg, footWords, hand));
  const object = STOPPED[named.stops]!;
  const the = named.stops === 'both' ? '' : 'the ';
  const choices = [
    [`${leg} leg stops`, `${the}${object}`],
    [`${leg} leg`, `stops ${the}`.trim(), object],
  ];
  const room = freeBetween(setup.address).width - 1.2 * em;
  if (setup.address.shoe.length < LEAST_ROOM_DEEP_EM * em) return null;
  return (
    choices.find((rows) => Math.max(...rows.map((row) => row.length)) * LETTER * NAME_EM * em < room) ?? null
  );
}

const ROWS_BETWEEN = [0, 1, 2] as const;

function betweenParts(
  input: HipsInput,
  place: Projection,
  layout: Layout,
): { parts: Drawing; named: boolean } {
  const rows = stopRows(input, layout);
  const middle = place.toScreen(freeBetween(input.setup.address).middle);
  const parts: Drawing = {};
  for (const row of ROWS_BETWEEN) {
    const down = (row - ((rows?.length ?? 1) - 1) / 2) * 1.2 + 0.35;
    const text = rows?.[row] ?? '';
    Object.assign(parts, label(`stops-${row}`, middle.x, middle.y + down * layout.em, { text }));
  }
  return { parts, named: rows !== null };
}

/** The words of one half in its corner: what it is, its figure, and whether that is enough. */
function cornerParts(
  turn: Turn,
  input: HipsInput,
  named: boolean,
  place: Projection,
  layout: Layout,
): Drawing {
  const half = input.halves[turn];
  const leg = footWord(half.leg, input.footWords, input.hand);
  const saidBetween = named && namedStop(input.halves)!.leg === half.leg;
  const enough = half.short > 0 && !saidBetween ? `${leg}, ${enoughWords(half)}` : enoughWords(half);
  const away = (turn === 'back' ? -1 : 1) * place.signs.x;
  const x = away * (layout.width / 2 - 0.7 * layout.em);
  const anchor = { 'text-anchor': away > 0 ? 'end' : 'start' };
  const y = place.signs.y * layout.hipsWordsY;
  const at = (row: number) => y + HIPS_ROWS[row]! * layout.em;
  const verdict = half.short > 0 ? 'below' : 'none';
  return {
    ...label(`${turn}-name`, x, at(0), { ...anchor, opacity: '1' }),
    ...label(`${turn}-figure`, x, at(1), { ...anchor, text: figureWords(half), 'data-verdict': verdict }),
    ...label(`${turn}-enough`, x, at(2), { ...anchor, text: enough, 'data-verdict': verdict }),
  };
}

/** One wing about the middle of the hips: how far the half goes, what is missing of what it needs, and the pin. */
function wingParts(
  turn: Turn,
  { limit, needed, short }: HalfTurn,
  place: Projection,
  { wing, mmPerPx }: Layout,
) {
  const away = (turn === 'back' ? -1 : 1) * place.signs.x;
  const drawn = (angle: number) => Math.min(MOST_DRAWN, Math.max(0, angle));
  const at = (angle: number, share: number): Point => ({
    x: away * wing * share * Math.cos(radians(drawn(angle))),
    y: -place.signs.y * wing * share * Math.sin(radians(drawn(angle))),
  });
  const sweep = away * place.signs.y > 0 ? 0 : 1;
  const sector = (from: number, to: number) => {
    const begin = at(from, 1);
    const end = at(to, 1);
    return `M0 0L${n(begin.x)} ${n(begin.y)}A${n(wing)} ${n(wing)} 0 0 ${sweep} ${n(end.x)} ${n(end.y)}Z`;
  };
  const reached = limit ?? 0;
  const head = at(needed, HIPS.pin);
  return {
    [`wing-${turn}`]: {
      d: sector(0, reached),
      'data-short': String(short > 0),
      opacity: limit === null ? '0' : '1',
    },
    [`missing-${turn}`]: { d: short > 0 ? sector(reached, needed) : '' },
    [`end-${turn}`]: {
      ...segment(at(reached, 0.5), at(reached, 1)),
      'data-short': String(short > 0),
      opacity: limit === null ? '0' : '1',
    },
    [`pin-${turn}`]: segment(at(needed, 0.5), head),
    [`pin-${turn}-head`]: { cx: n(head.x), cy: n(head.y), r: n(4 * mmPerPx) },
  };
}

/** Where on the shoe a leg stands, as a share from the heel. */
const ANKLE_SHARE = 0.2;
/** And how wide it is drawn, for a wing of one. */
const LEG_WIDTH = 0.18;

/** From the hips to the ankle of each leg; the one that keeps a turn short is filled. */
function legParts(halves: Record<Turn, HalfTurn>, setup: Setup, place: Projection, layout: Layout): Drawing {
  const parts: Drawing = {};
  for (const foot of ['lead', 'trail'] as const) {
    const { heel, flare } = setup.address[foot];
    const outward = foot === 'lead' ? 1 : -1;
    const along = ANKLE_SHARE * setup.address.shoe.length;
    const ankle = place.toScreen({
      x: heel.x + outward * along * Math.sin(radians(flare)),
      y: heel.y + along * Math.cos(radians(flare)),
    });
    const hip = {
      x: outward * place.signs.x * 0.5 * HIPS.halfWidth * layout.wing,
      y: place.signs.y * layout.hipsY,
    };
    const stops = TURNS.some((turn) => halves[turn].short > 0 && halves[turn].leg === foot);
    parts[`${foot}-leg`] = {
      ...segment(hip, ankle),
      'stroke-width': n(LEG_WIDTH * layout.wing),
      'data-short': String(stops),
    };
  }
  return parts;
}

/** The turn at the hips, seen from above: the hips behind the heels, a wing for each half, its words, the legs. */
export function hipsParts(input: HipsInput, place: Projection, layout: Layout): Drawing {
  const { wing, hipsY, em } = layout;
  const between = betweenParts(input, place, layout);
  const parts: Drawing = {
    hips: { opacity: '1' },
    'hips-at': { transform: moved(0, place.signs.y * hipsY) },
    'hips-oval': { rx: n(HIPS.halfWidth * wing), ry: n(HIPS.halfDepth * wing) },
    ...label('hips-word', 0, 0.3 * em, { opacity: '1' }),
    ...between.parts,
    ...legParts(input.halves, input.setup, place, layout),
  };
  for (const turn of TURNS) {
    Object.assign(parts, wingParts(turn, input.halves[turn], place, layout));
    Object.assign(parts, cornerParts(turn, input, between.named, place, layout));
  }
  return parts;
}
