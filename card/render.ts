// A card as HTML: for the student's page, for the coach who looks at it first, and for paper.
import type { CardPictures } from '@pedastance/contract';
import { CARD_PICTURE_PX } from '@pedastance/contract/cardLimits';
import type { Card, CardClub, CardDrawing, CardDrill, CardLadder } from '@pedastance/core/card';
import { LOCALE } from '@pedastance/core/units';

const ESCAPED: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
export const escaped = (text: string): string =>
  text
    .replace(/[&<>"']/g, (sign) => ESCAPED[sign]!)
    // A number stays on the line of its unit.
    .replace(/(\d) (cm|in)\b/g, '$1\u00a0$2');

const LONG_DAY = new Intl.DateTimeFormat(LOCALE, {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
});
/** A day as it is spoken: 'Friday 4 December'. */
export const spokenDay = (day: string): string => LONG_DAY.format(new Date(`${day}T12:00:00Z`));

const part = (tag: string, name: string, text: string): string =>
  text === '' ? '' : `<${tag} class="card-${name}">${escaped(text)}</${tag}>`;

const list = (tag: 'ul' | 'ol', name: string, lines: readonly string[]): string =>
  lines.length === 0
    ? ''
    : `<${tag} class="card-${name}">${lines.map((line) => `<li>${escaped(line)}</li>`).join('')}</${tag}>`;

const section = (name: string, title: string, body: string): string =>
  body === '' ? '' : `<section class="card-${name}"><h2>${escaped(title)}</h2>${body}</section>`;

const BALL_RADIUS = 21;

/** The arrow's head at the end of the ball's line that the target lies at. */
function arrowHead({ target, line, width }: CardDrawing): string {
  const [tip, back] = target === 'left' ? [4, 22] : [width - 4, width - 22];
  return `M${back} ${line - 12}L${tip} ${line}L${back} ${line + 12}`;
}

/**
 * The feet of a card as the shapes of an SVG, lengths mm.
 * @param drawing the drawing
 * @returns SVG elements, to stand in an `svg` of the drawing's width and height
 */
export function cardDrawing(drawing: CardDrawing): string {
  const { width, shoes, names, ball, line, level, drops } = drawing;
  return [
    `<path class="card-target" d="M4 ${line}H${width - 4}${arrowHead(drawing)}"/>`,
    ...drops.map(({ x, from, to }) => `<path class="card-drop" d="M${x} ${from}V${to}"/>`),
    ...shoes.map(
      ({ path, dashed }) => `<path class="${dashed ? 'card-big-shoe' : 'card-shoe'}" d="${path}"/>`,
    ),
    `<path class="card-level" d="M${level.from} ${level.y}H${level.to}"/>`,
    `<circle class="card-ball" cx="${ball.x}" cy="${ball.y}" r="${BALL_RADIUS}"/>`,
    ...names.map(
      ({ x, y, words }) =>
        `<text class="card-side" x="${x}" y="${y}" text-anchor="middle">${escaped(words)}</text>`,
    ),
  ].join('');
}

const drawn = (drawing: CardDrawing): string =>
  `<svg class="card-feet" viewBox="0 0 ${drawing.width} ${drawing.height}" role="img" aria-label="Your feet as you see them looking down">${cardDrawing(drawing)}</svg>`;

const doses = ({ doses: given }: CardClub): string =>
  given
    .map(
      ({ name, lines, swings, now }) =>
        `<li${now ? ' class="card-now"' : ''}><b>${escaped(name)}${now ? ' · now' : ''}</b>${lines.map((line) => `<span>${escaped(line)}</span>`).join('')}<i>${escaped(swings)}</i></li>`,
    )
    .join('');

const drill = ({ name, how, dose, feel, right, needs }: CardDrill): string =>
  `<article class="card-drill"><h3>${escaped(name)}</h3>${part('p', 'how', how)}<p class="card-how-much">${escaped(dose)}</p>${part('p', 'feels', feel && `Feel: ${feel}`)}${part('p', 'right', right && `Right when: ${right}`)}${part('p', 'needs', needs && `You need: ${needs}`)}</article>`;

/** Another club of the bag: its marks, and no more. */
const another = ({ title, sentences, marks }: CardClub): string =>
  `<article class="card-another"><h3>${escaped(title)}</h3>${list('ul', 'marks', sentences.length > 0 ? sentences : marks)}</article>`;

const picture = (name: string, { on, jpeg }: CardPictures['earlier']): string =>
  `<figure><img src="data:image/jpeg;base64,${escaped(jpeg)}" width="${CARD_PICTURE_PX.width}" height="${CARD_PICTURE_PX.height}" alt="Your feet from above, ${escaped(spokenDay(on))}"><figcaption>${name}, ${escaped(spokenDay(on))}</figcaption></figure>`;

/** The feet before and after, beside each other, with what was measured of them. */
function beforeAndAfter({ earlier, later, measures }: CardPictures): string {
  const rows = measures.map(
    (each) =>
      `<tr><th scope="row">${escaped(each.name)}</th><td>${escaped(each.earlier)}</td><td>${escaped(each.later)}</td></tr>`,
  );
  return `<div class="card-two">${picture('Before', earlier)}${picture('After', later)}</div><table class="card-measures"><thead><tr><td></td><th scope="col">Before</th><th scope="col">After</th></tr></thead><tbody>${rows.join('')}</tbody></table>`;
}

/** What was tried of a card's ladder, and whether more can be ticked now. */
export interface LadderTicks {
  tried: readonly { at: number; done: boolean }[];
  live: boolean;
}

const marksOn = (at: number, { tried }: LadderTicks): string =>
  tried
    .filter((each) => each.at === at)
    .map(({ done }) => (done ? '●' : '○'))
    .join(' ');

const HOW_ALONE =
  'Warm up, then start at the first. Rest after five tries. Fifteen a day at most, and none where it hurts.';

/** A ladder to go up alone: a line for each rung, with what was ticked on it. */
function ladderHtml({ purpose, counts, rungs }: CardLadder, ticks: LadderTicks): string {
  const button = (at: number, done: boolean): string =>
    `<button data-do="${done ? 'did' : 'not yet'}" data-at="${at}">${done ? 'Did it' : 'Not yet'}</button>`;
  const lines = rungs.map(
    ({ at, words }) =>
      `<li><span>${escaped(words)}</span><b aria-label="${marksOn(at, ticks) === '' ? 'not tried' : 'tried'}">${marksOn(at, ticks)}</b>${ticks.live ? `<span class="card-doing">${button(at, true)}${button(at, false)}</span>` : ''}</li>`,
  );
  return `${part('p', 'how', purpose)}${part('p', 'how', counts)}${part('p', 'how', HOW_ALONE)}<ol class="card-rungs">${lines.join('')}</ol>`;
}

const NOT_TRIED: LadderTicks = { tried: [], live: false };

/**
 * A card as HTML, everything in it escaped.
 * @param card the card
 * @param doing what a student can do on the page, as HTML, where there is anything
 * @param pictures the feet before and after, where the student shares them
 * @param ticks what was tried of its ladder
 * @returns an element of the class `card`
 */
export function cardHtml(
  card: Card,
  doing = '',
  pictures: CardPictures | null = null,
  ticks: LadderTicks = NOT_TRIED,
): string {
  const [first, ...others] = card.clubs as [CardClub, ...CardClub[]];
  const { practice, drills, routine, cue, nextLook, ladder, care, odd, firstName } = card;
  const given = doses(first);
  return [
    '<div class="card">',
    `<header class="card-head"><h1>${escaped(first.title)}</h1><p>${escaped(firstName)}, agreed ${escaped(spokenDay(first.agreedOn))}</p></header>`,
    `<div class="card-do">${first.sentences.map((line) => part('p', 'sentence', line)).join('')}${list('ul', 'also', first.also)}</div>`,
    `<figure class="card-figure">${drawn(first.drawing)}<figcaption>${escaped(odd)}</figcaption></figure>`,
    part('p', 'feel', first.feel && `Feel: ${first.feel}`),
    part('p', 'feel', cue && `Think: ${cue}`),
    part('p', 'because', first.because && `Why: ${first.because}`),
    pictures ? section('pictures', 'Before and after', beforeAndAfter(pictures)) : '',
    practice ? section('practice', practice.days, `${list('ol', 'lines', practice.lines)}${doing}`) : doing,
    given === ''
      ? ''
      : section('doses', 'Big first, then as you play', `<ol class="card-doses-list">${given}</ol>`),
    section('check', 'Check before you swing', list('ul', 'marks', first.marks)),
    section('routine', 'Step in the same way, every ball', list('ol', 'steps', routine)),
    section('drills', drills.length > 1 ? 'Two drills' : 'One drill', drills.map(drill).join('')),
    ladder ? section('ladder', ladder.name, ladderHtml(ladder, ticks)) : '',
    section('bag', 'Your other clubs', others.map(another).join('')),
    nextLook ? section('next', 'We look at it again', part('p', 'day', spokenDay(nextLook))) : '',
    `<footer class="card-care">${care.map((line) => part('p', 'caution', line)).join('')}</footer>`,
    '</div>',
  ].join('');
}

/** A card as plain text, for a message. */
export function cardText(card: Card): string {
  const lines = card.clubs.flatMap(({ title, sentences, also, feel }) => [
    title,
    ...sentences,
    ...also,
    ...(feel === '' ? [] : [`Feel: ${feel}`]),
    '',
  ]);
  const practice = card.practice ? [card.practice.days, ...card.practice.lines, ''] : [];
  const cue = card.cue === '' ? [] : [`Think: ${card.cue}`, ''];
  const next = card.nextLook ? [`We look at it again: ${spokenDay(card.nextLook)}`] : [];
  return [...lines, ...cue, ...practice, card.odd, ...next, ...card.care].join('\n');
}
