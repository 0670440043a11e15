import type { EntryCheck } from '@pedastance/contract';
import { FIGURE_WORDS, type FigureName } from '@pedastance/core/setup';
import { capitalised, type Speech } from '@pedastance/core/phrases';
import { figureName } from '../domain/sentences';
import { Notice } from '../ui/Notice';
import { Body, Quiet } from '../ui/Words';
import { messages } from './CheckNotice.messages';

const MOST_SHOWN = 4;

const isFigure = (name: string): name is FigureName => name in FIGURE_WORDS;

/** What of a finding or a look differs, as a coach says it; the other parts by their own names. */
const PART_WORDS: Record<string, string> = {
  low: 'low end of its band',
  middle: 'middle of its band',
  high: 'high end of its band',
  uncertainty: '±',
  measured: 'as measured',
  verdict: 'verdict',
  putForward: 'put forward',
  shotIds: 'the shots it rests on',
};

/** "stanceWidth.low" as words: the figure as this coach calls it, and what of it. */
function placeWords(place: string, speech: Speech): string {
  const [first, ...rest] = place.split('.');
  const name = isFigure(first!) ? figureName(first, speech) : capitalised(PART_WORDS[first!] ?? first!);
  const what = rest
    .filter((part) => !/^\d+$/.test(part))
    .map((part) => PART_WORDS[part] ?? part)
    .join(' ');
  return what === '' ? name : `${name}, ${what}`;
}

/** A figure no finer than a coach reads one; anything else as it is. */
const shown = (value: string): string => {
  const number = Number(value);
  return value === '' || Number.isNaN(number) ? `“${value}”` : String(Math.round(number * 1000) / 1000);
};

/** What came of working a record out again on the server; nothing where it agrees. */
export function CheckNotice({ check, speech }: { check: EntryCheck | null | undefined; speech: Speech }) {
  if (!check || check.verdict === 'agrees') return null;
  if (check.verdict === 'as told') {
    return <Quiet>{messages.keptAsTheDeviceTold}</Quiet>;
  }
  const more = check.differences.length - MOST_SHOWN;
  return (
    <Notice kind="caution">
      <Body className="font-semibold">{messages.workedOutAgainThisComes}</Body>
      {check.differences.slice(0, MOST_SHOWN).map(({ place, told, computed }) => (
        <Body key={place}>
          {messages.recordedWorkedOut(placeWords(place, speech), shown(told), shown(computed))}
        </Body>
      ))}
      {more > 0 && <Quiet>{messages.andMore(more)}</Quiet>}
    </Notice>
  );
}
